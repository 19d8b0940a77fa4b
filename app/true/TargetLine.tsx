import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import type { Check } from '../../core/check/index.js';
import { labelOf, said, VERDICTS } from '../checks/check-words.js';
import { useTape } from '../store/work-context.js';

const IMPORTANCE = [
  ['0', 'leave it'],
  ['0.4', 'a little'],
  ['1', 'as usual'],
  ['3', 'above all'],
] as const;

/** A target of True it: how it stands, and how much it counts. */
export function TargetLine({
  check,
  value,
  onPick,
}: {
  check: Check;
  value: number;
  onPick: (importance: number) => void;
}) {
  const id = useId();
  const tape = useTape();
  const open = check.verdict !== 'unknown' && !check.restsOnEstimate;
  const { sign, word } = VERDICTS[check.verdict];
  return (
    <div className="target" data-target={check.id}>
      <label htmlFor={id}>
        <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
          {sign}
        </span>{' '}
        {labelOf(check, tape)} <span className="number">{said(check, tape)}</span>
        <span className="visually-hidden"> {word}</span>
      </label>
      {open ? (
        <NativeSelect
          inputProps={{ id }}
          value={String(value)}
          onChange={(event) => {
            onPick(Number(event.target.value));
          }}
        >
          {IMPORTANCE.map(([weight, words]) => (
            <option key={weight} value={weight}>
              {words}
            </option>
          ))}
        </NativeSelect>
      ) : (
        <span className="quiet" id={id}>
          not measured
        </span>
      )}
    </div>
  );
}
