import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';

/** A line with a choice from a few words, and what is to be said of it below. */
export function PickLine<T extends string>({
  label,
  value,
  choices,
  about,
  onChoose,
}: {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  about?: string;
  onChoose: (value: T) => void;
}) {
  const id = useId();
  return (
    <div className="line">
      <label htmlFor={id}>{label}</label>
      <NativeSelect
        inputProps={{ id }}
        sx={{ gridColumn: '2 / -1' }}
        value={value}
        onChange={(event) => {
          onChoose(event.target.value as T);
        }}
      >
        {choices.map(([choice, words]) => (
          <option key={choice} value={choice}>
            {words}
          </option>
        ))}
      </NativeSelect>
      {about && <div className="sum">{about}</div>}
    </div>
  );
}
