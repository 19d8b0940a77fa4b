import { useEffect, useState } from 'react';
import type { GarmentVerdict } from '../../core/style/index.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';

/** The pieces are judged once a hand has rested so long, in ms: the tape follows, and is never in the way. */
const RESTED_MS = 250;

/** How the pieces of the open draft stand; nothing where it has no style, or before they were first judged. */
export function usePiecesVerdict(): GarmentVerdict | undefined {
  const draft = useComputed((c) => c.draft);
  const style = useWork(({ work }) => work.draft.style);
  const unit = useUnit();
  const [verdict, setVerdict] = useState<GarmentVerdict>();
  const styled = draft !== undefined && style !== undefined && style.length > 0;
  useEffect(() => {
    if (!styled) return undefined;
    let here = true;
    const timer = window.setTimeout(() => {
      void import('./pieces-verdict.js').then(({ piecesVerdict }) => {
        if (here) setVerdict(piecesVerdict(draft, style, unit));
      });
    }, RESTED_MS);
    return () => {
      here = false;
      window.clearTimeout(timer);
    };
  }, [styled, draft, style, unit]);
  return styled ? verdict : undefined;
}
