import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { useId } from 'react';
import type { Choice } from '../../core/method/index.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { useChange, useComputed, useWork } from '../store/work-context.js';
import { choose, unchoose } from '../store/work-changes.js';

/** A choice of the sheet with what each value means beside it. */
export function ChoiceRadios({ choice }: { choice: Choice }) {
  const change = useChange();
  const chosen = useWork(({ work }) => work.draft.choices[choice.id]);
  return (
    <fieldset className="choice">
      <legend>{choice.label}</legend>
      <RadioGroup
        value={chosen ?? choice.values[0]?.id ?? ''}
        onChange={(_, value) => {
          change(choose(choice.id, value));
        }}
      >
        {choice.values.map((v) => (
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
  );
}

/** A choice in one line, with what the chosen value means below. `unset` names what holds where nothing is chosen. */
export function ChoiceLine({ choice, unset }: { choice: Choice; unset?: string }) {
  const id = useId();
  const change = useChange();
  const chosen = useWork(({ work }) => work.draft.choices[choice.id]);
  const holds = useComputed((c) => c.draft?.worked.choices[choice.id]) ?? chosen ?? choice.values[0]?.id;
  const value = choice.values.find((v) => v.id === holds);
  return (
    <div className="line" data-line={choice.id} onFocus={takeLine(choice.id)}>
      <label htmlFor={id}>{choice.label}</label>
      <NativeSelect
        inputProps={{ id }}
        sx={{ gridColumn: '2 / -1' }}
        value={unset === undefined ? holds : (chosen ?? '')}
        onChange={(event) => {
          const next = event.target.value;
          change(next === '' ? unchoose(choice.id) : choose(choice.id, next));
        }}
      >
        {unset !== undefined && <option value="">{unset}</option>}
        {choice.values.map((v) => (
          <option key={v.id} value={v.id}>
            {v.label}
          </option>
        ))}
      </NativeSelect>
      <LineTold line={choice.id} title={`${choice.label}: ${value?.label.toLowerCase() ?? ''}.`}>
        {value?.about}
      </LineTold>
    </div>
  );
}
