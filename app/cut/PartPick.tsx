import { useMemo } from 'react';
import { PickLine } from '../shared/PickLine.js';
import { useSheetSource } from './use-sheets.js';

const ALL = 'all';

/** Which part is meant: all of the garment, or one by its name. */
export function PartPick({
  label,
  part,
  onPart,
}: {
  readonly label: string;
  readonly part: string | undefined;
  readonly onPart: (part: string | undefined) => void;
}) {
  const source = useSheetSource();
  const choices = useMemo(
    () => [[ALL, 'All pieces'] as const, ...(source?.pieces ?? []).map((p) => [p.part.id, p.part.name] as const)],
    [source],
  );
  return (
    <PickLine
      label={label}
      value={choices.some(([id]) => id === part) && part !== undefined ? part : ALL}
      choices={choices}
      onChoose={(id) => {
        onPart(id === ALL ? undefined : id);
      }}
    />
  );
}
