import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AlterationWork } from '../../core/alter/index.js';
import { EffectItems } from './EffectItems.js';

/** What works on the paper would do, looked at before they are taken; nothing may be taken without any. */
export function TakeActs({
  works,
  taken,
  words,
  labels,
  onTake,
}: {
  readonly works: readonly AlterationWork[] | undefined;
  readonly taken: boolean;
  /** What the button says: at first, and once it was taken. */
  readonly words: readonly [first: string, again: string];
  /** What both buttons are called where one hears and does not see them. */
  readonly labels: { readonly does: string; readonly take: string };
  readonly onTake: (works: readonly AlterationWork[]) => void;
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
          disabled={!works}
          aria-label={labels.take}
          onClick={() => {
            if (works) onTake(works);
          }}
        >
          {words[taken ? 1 : 0]}
        </Button>
      </div>
      {open && works && <EffectItems works={works} />}
    </>
  );
}
