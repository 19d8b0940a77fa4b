import NativeSelect from '@mui/material/NativeSelect';

interface AskListProps<T extends string> {
  readonly label: string;
  readonly value: T | undefined;
  readonly options: readonly (readonly [T, string])[];
  /** What stands for no answer; without it one is always chosen. */
  readonly none?: string;
  readonly wide?: boolean;
  readonly onPick: (value: T | undefined) => void;
}

/** A question with a few answers, the question above the list. */
export function AskList<T extends string>({ label, value, options, none, wide = false, onPick }: AskListProps<T>) {
  return (
    <label className={wide ? 'ask pick' : 'ask'}>
      <span>{label}</span>
      <NativeSelect
        fullWidth={wide}
        value={value ?? ''}
        onChange={(event) => {
          onPick(event.target.value === '' ? undefined : (event.target.value as T));
          // Keys that the view itself has must reach it again at once.
          event.target.blur();
        }}
      >
        {none !== undefined && <option value="">{none}</option>}
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </NativeSelect>
    </label>
  );
}
