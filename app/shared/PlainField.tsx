import { useId, useState } from 'react';

/** A field for a plain number, such as an angle in degrees. Enter or leaving takes it over; Escape gives back. */
export function PlainField({
  id,
  label,
  value,
  places,
  suffix,
  source,
  step,
  least = -Infinity,
  most = Infinity,
  onCommit,
}: {
  id?: string;
  label: string;
  value: number;
  places: number;
  suffix: string;
  source?: string;
  step: number;
  /** It lies between these. */
  least?: number;
  most?: number;
  onCommit: (value: number) => void;
}) {
  const [text, setText] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const ownId = useId();
  const fieldId = id ?? ownId;
  const commit = (typed: string): void => {
    const number = Number(
      typed
        .replace(',', '.')
        .replace('−', '-')
        .replace(/[°%]\s*$/, ''),
    );
    if (typed.trim() === '' || !Number.isFinite(number)) {
      setWrong(`${label}: “${typed}” is not a number. Write it as ${value.toFixed(places)}.`);
      return;
    }
    if (number < least || number > most) {
      setWrong(`${label}: ${typed.trim()} does not lie between ${least} and ${most}. Give one that does.`);
      return;
    }
    setText(undefined);
    setWrong(undefined);
    if (number.toFixed(places) !== value.toFixed(places)) onCommit(number);
  };
  return (
    <>
      <span className="field" data-source={source} data-wrong={wrong !== undefined}>
        <input
          id={fieldId}
          aria-label={id === undefined ? label : undefined}
          aria-invalid={wrong !== undefined}
          aria-describedby={wrong === undefined ? undefined : `${fieldId}-trouble`}
          value={text ?? value.toFixed(places)}
          data-typed={text !== undefined}
          autoComplete="off"
          onFocus={(event) => {
            event.currentTarget.select();
          }}
          onChange={(event) => {
            setText(event.currentTarget.value);
            setWrong(undefined);
          }}
          onBlur={(event) => {
            if (text !== undefined) commit(event.currentTarget.value);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit(event.currentTarget.value);
            if (event.key === 'Escape' && text !== undefined) {
              event.stopPropagation();
              setText(undefined);
              setWrong(undefined);
            }
            if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
              event.preventDefault();
              const by = (event.shiftKey ? 0.2 : 1) * (event.key === 'ArrowUp' ? step : -step);
              setText(undefined);
              onCommit(Math.min(most, Math.max(least, value + by)));
            }
          }}
        />
        <span className="unit" aria-hidden="true">
          {suffix}
        </span>
      </span>
      {wrong !== undefined && (
        <p className="problem" role="alert" id={`${fieldId}-trouble`}>
          {wrong}
        </p>
      )}
    </>
  );
}
