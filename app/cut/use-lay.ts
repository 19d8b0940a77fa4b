import { useEffect, useMemo, useRef, useState } from 'react';
import type { FoundLay, LayCloth, LayShape } from '../../core/lay/index.js';
import type { Job } from '../shared/job.js';
import { startLay } from './lay-search.js';

/** A first look is so long, in ms. */
const FIRST_MS = 3000;
/** What was changed stands so long before it is laid, in ms. */
const SETTLED_MS = 150;

/** What is laid on what: a lay of other shapes, or on other cloth, is not shown. */
interface Asked {
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
}

interface Searching {
  readonly asked: Asked;
  readonly found: FoundLay | undefined;
  readonly busy: boolean;
  readonly failed: boolean;
}

/** The search for the shapes at hand: begun at once, gone on at a press, stopped at a press; the shortest is kept. */
export function useLay(shapes: readonly LayShape[], cloth: LayCloth, fault: string | undefined) {
  const [state, setState] = useState<Searching>();
  const job = useRef<Job<FoundLay>>(undefined);
  const seed = useRef(0);
  const { width, gap } = cloth;
  const asked = useMemo((): Asked => ({ shapes, cloth: { width, gap } }), [shapes, width, gap]);
  const search = useMemo(
    () =>
      (ms: number): void => {
        job.current?.stop();
        seed.current++;
        const better = (was: Searching | undefined, found: FoundLay): FoundLay =>
          was?.asked === asked && was.found && was.found.length <= found.length ? was.found : found;
        setState((was) => ({ asked, found: was?.asked === asked ? was.found : undefined, busy: true, failed: false }));
        const hear = (found: FoundLay, busy: boolean): void => {
          setState((was) =>
            job.current === started ? { asked, found: better(was, found), busy, failed: false } : was,
          );
        };
        const started = startLay(asked.shapes, asked.cloth, seed.current, ms, (found) => {
          hear(found, true);
        });
        job.current = started;
        started.answer
          .then((found) => {
            hear(found, false);
          })
          .catch(() => {
            setState((was) => (job.current === started && was ? { ...was, busy: false, failed: true } : was));
          });
      },
    [asked],
  );
  useEffect(() => {
    // A figure that is still being typed begins no search for each of its digits.
    const timer = window.setTimeout(() => {
      if (fault === undefined && shapes.length > 0) search(FIRST_MS);
    }, SETTLED_MS);
    return () => {
      window.clearTimeout(timer);
      job.current?.stop();
      job.current = undefined;
    };
  }, [search, fault, shapes.length]);
  const stop = (): void => {
    job.current?.stop();
    job.current = undefined;
    setState((was) => (was ? { ...was, busy: false } : was));
  };
  const shown = state?.asked === asked ? state : undefined;
  return { found: shown?.found, busy: shown?.busy ?? false, failed: shown?.failed ?? false, search, stop };
}
