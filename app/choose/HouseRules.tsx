import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import Switch from '@mui/material/Switch';
import { useId } from 'react';
import type { WaistSchool } from '../../core/draft/index.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { useChange, useComputed, useWork } from '../store/work-context.js';
import { changeRules } from '../store/work-changes.js';
import { SettingLine } from './SettingLine.js';

const SWITCHES = [
  ['hipKept', 'Keep the hip width', 'Tilting the seat takes nothing from the hip: the side gives it back.'],
  ['trueSeams', 'True the seams', 'The back moves a little so that side and inseam walk.'],
] as const;

const SCHOOLS: readonly (readonly [WaistSchool, string, string])[] = [
  ['method', 'As its makers', 'As the method places it: by the plan, or in a way of its own.'],
  ['plan', 'By the plan', 'Over both panels: darts, then the sides alike, then more darts, last the centre.'],
  ['shared', 'Half side, half centre', 'No darts: the surplus leaves half at the side and half at the centre.'],
  ['centre', 'All at the centre', 'No darts: the side stays straight, the centre takes all it can.'],
  ['off', 'As the sheet says', 'The sheet’s darts stand, whatever is left for the side.'],
];

/** The rules that hold for every method, and the house's limits. */
export function HouseRules() {
  const id = useId();
  const change = useChange();
  const rules = useWork(({ work }) => work.draft.rules);
  const settings = useComputed((c) => c.draft?.worked.settings) ?? [];
  return (
    <>
      <div className="line" data-line="waistPlan" onFocus={takeLine('waistPlan')}>
        <label htmlFor={id}>Surplus at the waist</label>
        <NativeSelect
          inputProps={{ id }}
          sx={{ gridColumn: '2 / -1' }}
          value={rules.waistPlan}
          onChange={(event) => {
            change(changeRules({ waistPlan: event.target.value as WaistSchool }));
          }}
        >
          {SCHOOLS.map(([school, label]) => (
            <option key={school} value={school}>
              {label}
            </option>
          ))}
        </NativeSelect>
        <LineTold line="waistPlan" title="Surplus at the waist:">
          {SCHOOLS.find(([school]) => school === rules.waistPlan)?.[2]}
        </LineTold>
      </div>
      {SWITCHES.map(([rule, label, about]) => (
        <FormControlLabel
          key={rule}
          sx={{ alignItems: 'flex-start', mb: 0.5 }}
          control={
            <Switch
              size="small"
              checked={rules[rule]}
              onChange={(_, on) => {
                change(changeRules({ [rule]: on }));
              }}
            />
          }
          label={
            <>
              <strong>{label}</strong> <span className="quiet">{about}</span>
            </>
          }
        />
      ))}
      <h3>Limits of the house</h3>
      {settings
        .filter((s) => s.group === 'house')
        .map((s) => (
          <SettingLine key={s.name} setting={s} />
        ))}
    </>
  );
}
