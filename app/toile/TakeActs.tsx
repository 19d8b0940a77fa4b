import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';

/** What taking something would do, looked at before it is taken. */
export function TakeActs({
  ready,
  effect,
  taken,
  words,
  labels,
  onTake,
}: {
  /** False where it cannot be taken. */
  readonly ready: boolean;
  /** What it does; shown when asked for. */
  readonly effect: ReactNode;
  readonly taken: boolean;
  /** What the button says: at first, and once it was taken. */
  readonly words: readonly [first: string, again: string];
  /** What both buttons are called where one hears and does not see them. */
  readonly labels: { readonly does: string; readonly take: string };
  readonly onTake: () => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <div className="acts">
        <Button
          size="small"
          variant="outlined"
          aria-expanded={open}
          aria-label={labels.does}
          onClick={() => {
            setOpen(!open);
          }}
        >
          What it does
        </Button>
        <Button
          size="small"
          variant={taken ? 'outlined' : 'contained'}
          disabled={!ready}
          aria-label={labels.take}
          onClick={onTake}
        >
          {words[taken ? 1 : 0]}
        </Button>
      </div>
      {open && effect}
    </>
  );
}
