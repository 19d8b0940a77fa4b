import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useRef, useState } from 'react';
import { TERMS } from '../../core/vocabulary/index.js';
import { TermPicture } from './TermPicture.js';
import './words.css';

/** The words of the trade as this program uses them: a list, and the one in hand with its meaning and drawing. */
export function WordsDialog({ term, onClose }: { term: string | undefined; onClose: () => void }) {
  const [chosen, setChosen] = useState(term ?? TERMS[0]?.id);
  const list = useRef<HTMLUListElement>(null);
  const shown = TERMS.find((t) => t.id === chosen) ?? TERMS[0];
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'center' });
  }, []);
  if (!shown) return null;
  return (
    <Dialog open onClose={onClose} aria-labelledby="words-title" fullWidth maxWidth="md">
      <DialogTitle id="words-title">Words of the trade</DialogTitle>
      <DialogContent className="words">
        <ul ref={list} aria-label="Terms">
          {TERMS.map((t) => (
            <li key={t.id}>
              <button
                type="button"
                aria-current={t.id === shown.id ? 'true' : undefined}
                onClick={() => {
                  setChosen(t.id);
                }}
              >
                {t.term}
              </button>
            </li>
          ))}
        </ul>
        <article aria-live="polite">
          <h2>{shown.term}</h2>
          <p>{shown.meaning}</p>
          {shown.also.length > 0 && <p className="quiet">Also looked for as: {shown.also.join(', ')}.</p>}
          {shown.shows && <TermPicture shows={shown.shows} label={shown.term} />}
        </article>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
