import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { termOf } from '../../core/vocabulary/index.js';
import { useDialogs } from '../head/dialogs.js';
import { useLineInHand } from './line-in-hand.js';

/** What the term of a line means, and the way to its drawing. */
function Meaning({ line }: { line: string }) {
  const show = useDialogs((d) => d.show);
  const term = termOf(line);
  if (!term) return null;
  return (
    <p className="meaning">
      {term.meaning}{' '}
      <button
        type="button"
        className="link"
        onClick={() => {
          show('words', term.id);
        }}
      >
        Show
      </button>
    </p>
  );
}

/** What is to be told of a line while it is in hand: at the foot of the bench, so that nothing moves for it. */
export function LineTold({ line, title, children }: { line: string; title: string; children: ReactNode }) {
  const foot = useLineInHand((s) => (s.line === line ? s.foot : null));
  if (!foot) return null;
  return createPortal(
    <div className="told" data-told={line}>
      <strong>{title}</strong> {children}
      <Meaning line={line} />
    </div>,
    foot,
  );
}
