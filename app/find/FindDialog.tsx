import Dialog from '@mui/material/Dialog';
import { useEffect, useMemo, useRef, useState } from 'react';
import { findIn, type Findable } from './findable.js';
import './find.css';

const MOST = 12;

/** Finds anything by typing a part of its name; arrow keys choose, Enter goes. */
export function FindDialog({ load, onClose }: { load: () => Promise<readonly Findable[]>; onClose: () => void }) {
  const [all, setAll] = useState<readonly Findable[]>();
  const [failed, setFailed] = useState(false);
  /** What was entered and not found yet. */
  const entered = useRef<string>(undefined);
  const leave = useRef((f: Findable): void => f.go());
  useEffect(() => {
    leave.current = (f) => {
      onClose();
      f.go();
    };
  });
  // What there is may come while the dialog is open: it is listed anew then.
  useEffect(() => {
    let over = false;
    load().then(
      (loaded) => {
        if (over) return;
        setAll(loaded);
        // Entered before it was there: gone to as soon as it is.
        const [due] = entered.current === undefined ? [] : findIn(loaded, entered.current);
        if (due) leave.current(due);
      },
      () => {
        if (!over) setFailed(true);
      },
    );
    return () => {
      over = true;
    };
  }, [load]);
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const found = useMemo(() => findIn(all ?? [], text).slice(0, MOST), [all, text]);
  const go = (f: Findable | undefined): void => {
    if (f) leave.current(f);
    else entered.current = text;
  };
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-label="Find anything"
      slotProps={{ paper: { sx: { position: 'absolute', top: 60, m: 0 } } }}
    >
      <input
        className="find-field"
        autoFocus
        role="combobox"
        aria-expanded="true"
        aria-controls="found"
        aria-activedescendant={found[at] ? `found-${found[at].id}` : undefined}
        aria-label="Find anything"
        placeholder="A station, a draft, a line, a check, a word"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
          entered.current = undefined;
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Enter') go(found[at]);
          else return;
          event.preventDefault();
        }}
      />
      <ul id="found" role="listbox" aria-label="Found" className="found">
        {found.map((f, i) => (
          <li
            key={f.id}
            id={`found-${f.id}`}
            role="option"
            aria-selected={i === at}
            onClick={() => {
              go(f);
            }}
          >
            <span className="quiet">{f.kind}</span> {f.label}
          </li>
        ))}
        {found.length === 0 && (
          <li role="option" aria-selected="false" aria-disabled="true">
            {all
              ? 'Nothing goes by that name. Try a part of it, or another word.'
              : failed
                ? 'What can be found could not be fetched. Close this and try again once Upstride can be reached.'
                : 'One moment.'}
          </li>
        )}
      </ul>
    </Dialog>
  );
}
