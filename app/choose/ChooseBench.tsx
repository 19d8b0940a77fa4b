import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Switch from '@mui/material/Switch';
import { useId } from 'react';
import { measurementLabel } from '../../core/measure/index.js';
import { sheetById, SHEETS, showSum, type Setting } from '../../core/method/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import type { KeptDraft } from '../../core/kept/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { EASE_SETTINGS, EaseTable } from './EaseTable.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { changeMethod, changeSetting, choose, switchRule } from '../store/work-store.js';

const RULES: readonly (readonly [keyof KeptDraft['rules'], string, string])[] = [
  ['hipKept', 'Keep the hip width', 'Tilting the seat takes nothing from the hip: the side gives it back.'],
  ['trueSeams', 'True the seams', 'The back moves by up to 12 mm so that side and inseam walk.'],
  ['waistPlan', 'Let the surplus decide the darts', 'Darts narrow, widen or double so that the side tapers well.'],
];

function SettingLine({ setting }: { setting: Setting }) {
  const id = useId();
  const unit = useUnit();
  const change = useChange();
  const worked = useComputed((c) => c.draft?.worked);
  const refusal = useComputed((c) => c.refusals.find((r) => r.field === setting.name));
  const byHand = useWork(({ work }) => work.draft.settings[setting.name]);
  const line = worked?.ledger.get(setting.name);
  const value = byHand ?? (typeof line?.value === 'number' ? line.value : undefined);
  const source = byHand !== undefined ? 'hand' : line?.restsOnEstimate ? 'estimate' : 'sheet';
  return (
    <div className="line" data-line={setting.name} data-source={source}>
      <label htmlFor={id}>{setting.label}</label>
      <LengthField
        id={id}
        label={setting.label}
        mm={value}
        unit={unit}
        source={source}
        allowEmpty
        problem={refusal && refusalSentence(refusal)}
        onCommit={(mm) => {
          change(changeSetting(setting.name, mm));
        }}
      />
      <SourceMark
        source={source}
        label={setting.label}
        onGiveBack={() => {
          change(changeSetting(setting.name, undefined));
        }}
      />
      <div className="sum">
        {worked && line
          ? `${withFractions(showSum(worked, setting.name, unit).told)}${setting.formula === undefined ? '' : '. '}`
          : ''}
        {setting.reason}
      </div>
    </div>
  );
}

/** The bench at Choose: the method, its variants, eases and leg, and the rules of the house. */
export function ChooseBench() {
  const draft = useWork(({ work }) => work.draft);
  const change = useChange();
  const body = useComputed((c) => c.draft?.worked.body);
  const sheet = sheetById(draft.method);
  if (!sheet) return <p>There is no method “{draft.method}” in this version.</p>;
  const wanted = sheet.needs.filter((id) => body && body.get(id)?.source !== 'measured');
  return (
    <>
      <div className="line">
        <label htmlFor="method">
          <strong>Method</strong>
        </label>
        <NativeSelect
          inputProps={{ id: 'method' }}
          sx={{ gridColumn: '2 / -1' }}
          value={sheet.id}
          onChange={(event) => {
            change(changeMethod(event.target.value));
          }}
        >
          {SHEETS.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </NativeSelect>
      </div>
      <p className="quiet">{sheet.suits}</p>
      {wanted.length > 0 && (
        <p className="doubt" role="note" data-wants>
          It rests on the {wanted.map((id) => measurementLabel(id).toLowerCase()).join(' and the ')}, which{' '}
          {wanted.length === 1 ? 'is' : 'are'} estimated. Measure {wanted.length === 1 ? 'it' : 'them'} before cutting.
        </p>
      )}
      <details>
        <summary>About this method</summary>
        <p>{sheet.origin}</p>
        <p>
          <strong>Weak points:</strong> {sheet.weak}
        </p>
      </details>
      {sheet.choices.map((c) => (
        <fieldset key={c.id} className="choice">
          <legend>{c.label}</legend>
          <RadioGroup
            value={draft.choices[c.id] ?? c.values[0]?.id ?? ''}
            onChange={(_, value) => {
              change(choose(c.id, value));
            }}
          >
            {c.values.map((v) => (
              <FormControlLabel
                key={v.id}
                value={v.id}
                control={<Radio size="small" />}
                label={
                  <>
                    <strong>{v.label}</strong> <span className="quiet">{v.about}</span>
                  </>
                }
                sx={{ alignItems: 'flex-start', mb: 0.5 }}
              />
            ))}
          </RadioGroup>
        </fieldset>
      ))}
      <EaseTable />
      <h3>Leg and length</h3>
      {sheet.settings
        .filter((s) => !EASE_SETTINGS.has(s.name))
        .map((s) => (
          <SettingLine key={s.name} setting={s} />
        ))}
      <h3>Rules of the house</h3>
      {RULES.map(([rule, label, about]) => (
        <FormControlLabel
          key={rule}
          sx={{ alignItems: 'flex-start', mb: 0.5 }}
          control={
            <Switch
              size="small"
              checked={draft.rules[rule]}
              onChange={(_, on) => {
                change(switchRule(rule, on));
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
    </>
  );
}
