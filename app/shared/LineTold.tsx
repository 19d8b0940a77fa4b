import { lazy, Suspense, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { useLineInHand } from './line-in-hand.js';

const Meaning = lazy(() => import('./Meaning.js').then((m) => ({ default: m.Meaning })));

/** What is to be told of a line while it is in hand: at the foot of the bench, so that nothing moves for it. */
export function LineTold({ line, title, children }: { line: string; title: string; children: ReactNode }) {
  const foot = useLineInHand((s) => (s.line === line ? s.foot : null));
  if (!foot) return null;
  return createPortal(
    <div className="told" data-told={line}>
      <strong>{title}</strong> {children}
      <Suspense fallback={undefined}>
        <Meaning line={line} />
      </Suspense>
    </div>,
    foot,
  );
}
