import Button from '@mui/material/Button';
import { useRef } from 'react';
import { refusalSentence } from '../../core/refusal/index.js';
import type { Workbook } from '../../core/kept/index.js';

interface OpenWorkbookProps {
  readonly label: string;
  readonly size?: 'small' | 'large';
  readonly onOpen: (book: Workbook) => Promise<void>;
  /** Hears why a file was refused, in a sentence; nothing once another file is chosen. */
  readonly onRefuse: (sentence: string | undefined) => void;
}

/** Lets the maker choose a workbook file and reads it whole, or not at all. */
export function OpenWorkbook({ label, size = 'small', onOpen, onRefuse }: OpenWorkbookProps) {
  const file = useRef<HTMLInputElement>(null);
  const open = async (chosen: File): Promise<void> => {
    onRefuse(undefined);
    const { readWorkbook } = await import('../../core/workbook/index.js');
    const read = readWorkbook(await chosen.text());
    if (read.ok) await onOpen(read.value);
    else onRefuse(`${read.refusals.map(refusalSentence).join(' ')} Nothing was changed.`);
  };
  return (
    <>
      <Button variant="outlined" size={size} onClick={() => file.current?.click()}>
        {label}
      </Button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Workbook file"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) void open(chosen);
          event.target.value = '';
        }}
      />
    </>
  );
}
