import Button from '@mui/material/Button';
import { useRef } from 'react';

interface FileButtonProps {
  readonly words: string;
  /** What the file is, for those who do not see the button. */
  readonly label: string;
  readonly accept: string;
  readonly size?: 'small' | 'medium' | 'large';
  readonly onFile: (file: File) => void;
}

/** A button that lets the maker choose a file; the same file can be chosen again. */
export function FileButton({ words, label, accept, size = 'medium', onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" size={size} onClick={() => input.current?.click()}>
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        aria-label={label}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          if (chosen) onFile(chosen);
          event.target.value = '';
        }}
      />
    </>
  );
}

/** Files that tables are read from. */
export const TABLE_FILES = '.csv,.tsv,.txt,text/csv,text/plain';
/** Files that workbooks and sheets are read from. */
export const JSON_FILES = '.json,application/json';
