import { useEffect, useMemo, useRef, useState } from 'react';
import {
  copyName,
  keptLay,
  laidUnder,
  layAreaOf,
  lockedIn,
  placesIn,
  type FoundLay,
  type KeptLay,
  type LayCloth,
  type LayShape,
  type Placed,
} from '../../core/lay/index.js';
import type { Job } from '../shared/job.js';
import { layHolds, startLay } from '../shared/lay-search.js';

/** A first look is so long, in ms. */
const FIRST_MS = 3000;
/** What was changed stands so long before it is laid, in ms. */
const SETTLED_MS = 150;

/** What is laid on what: what was found for anything else is not shown. */
interface Asked {
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
}

/** So many lays are remembered while the view is open, each of another cloth or other pieces. */
const KNOWN = 8;

interface Searching {
  readonly asked: Asked;
  readonly found: FoundLay | undefined;
  readonly busy: boolean;
  readonly failed: boolean;
  /** Whether what was kept could not lie so any more. */
  readonly anew: boolean;
}

/** A lay on the board, how it was come by, and what can be done with it. */
export interface LayAtHand {
  readonly found: FoundLay | undefined;
  readonly busy: boolean;
  readonly failed: boolean;
  readonly anew: boolean;
  readonly locked: ReadonlySet<string>;
  /** Goes on from what is shown, round what is locked, and keeps what is found. */
  readonly search: (ms: number) => void;
  readonly stop: () => void;
  /** Keeps a lay that was made by hand, with what is locked in it. */
  readonly take: (lay: FoundLay, locked: ReadonlySet<string>) => void;
}

const IDLE = { found: undefined, busy: false, failed: false, anew: false } as const;

/**
 * The lay of the shapes at hand: the one that is kept as long as it can lie so, else one that is searched for at once. A
 * search is gone on with at a press, begun from what is shown and round what is locked; what it finds is kept.
 */
export function useLay(
  shapes: readonly LayShape[],
  cloth: LayCloth,
  fault: string | undefined,
  kept: KeptLay | undefined,
  keep: (lay: KeptLay) => void,
): LayAtHand {
  const [state, setState] = useState<Searching>();
  const job = useRef<Job<unknown>>(undefined);
  const seed = useRef(0);
  const ours = useRef<KeptLay>(undefined);
  // What was shown before anything was kept: undoing the first move comes back to it.
  const before = useRef<{ readonly asked: Asked; readonly lay: FoundLay }>(undefined);
  const known = useRef<readonly (readonly [Asked, readonly Placed[]])[]>([]);
  const asked = useMemo((): Asked => ({ shapes, cloth }), [shapes, cloth]);
  const locked = useMemo(() => lockedIn(kept), [kept]);
  const places = useMemo(() => placesIn(kept, shapes), [kept, shapes]);
  const shown = state?.asked === asked ? state : undefined;
  const found = shown?.found;
  useEffect(() => {
    if (found)
      known.current = [...known.current.filter(([of]) => of !== asked), [asked, found.placed] as const].slice(-KNOWN);
  }, [found, asked]);

  const run = <T extends FoundLay | undefined>(started: Job<T>, then: (answer: T) => void): void => {
    job.current = started;
    started.answer
      .then((answer) => {
        if (job.current === started) then(answer);
      })
      .catch(() => {
        if (job.current === started) setState((was) => ({ ...IDLE, ...was, asked, busy: false, failed: true }));
      });
  };
  const seek = (ms: number, from: FoundLay | undefined, anew: boolean, then: (one: FoundLay) => void): void => {
    job.current?.stop();
    seed.current++;
    setState({ ...IDLE, asked, found: from, busy: true, anew });
    const begin = from?.placed ?? places;
    const held = begin.filter((p) => locked.has(copyName(p)));
    // Cloth that was had before has the lay that was found on it, or a better one.
    const task = { shapes, cloth, from: begin, locked: held, known: known.current.map(([, placed]) => placed) };
    const better = (was: Searching | undefined, one: FoundLay): FoundLay =>
      was?.asked === asked && was.found && was.found.length <= one.length ? was.found : one;
    const started = startLay(task, seed.current, ms, (one) => {
      if (job.current === started) setState((was) => ({ ...IDLE, asked, found: better(was, one), busy: true, anew }));
    });
    run(started, (one) => {
      setState((was) => ({ ...IDLE, asked, found: better(was, one), anew }));
      then(one);
    });
  };
  const begin = (): void => {
    if (kept && ours.current === kept && found) return;
    const first = (anew: boolean): void => {
      seek(FIRST_MS, undefined, anew, () => undefined);
    };
    job.current?.stop();
    if (places.length === 0) {
      if (before.current?.asked === asked) setState({ ...IDLE, asked, found: before.current.lay });
      else first(false);
      return;
    }
    // What was shown of the same pieces stands until it is known whether what is kept can lie so.
    setState((was) => ({ ...IDLE, asked, found: was?.asked === asked ? was.found : undefined, busy: true }));
    run(layHolds({ shapes, cloth, from: places, locked: [] }), (holds) => {
      if (holds) setState({ ...IDLE, asked, found: holds });
      else first(true);
    });
  };
  const latest = useRef(begin);
  useEffect(() => {
    latest.current = begin;
  });
  useEffect(() => {
    // A figure that is still being typed begins no search for each of its digits.
    const timer = window.setTimeout(() => {
      if (fault === undefined && asked.shapes.length > 0) latest.current();
    }, SETTLED_MS);
    return () => {
      window.clearTimeout(timer);
    };
  }, [asked, fault, kept]);
  useEffect(
    () => () => {
      job.current?.stop();
      job.current = undefined;
    },
    [asked],
  );

  const take = (one: FoundLay, held: ReadonlySet<string>): void => {
    job.current?.stop();
    job.current = undefined;
    if (!kept && found) before.current = { asked, lay: found };
    ours.current = keptLay(one, { area: layAreaOf(shapes), under: laidUnder(shapes, cloth) }, held);
    setState({ ...IDLE, asked, found: one });
    keep(ours.current);
  };
  const takeShorter = (one: FoundLay | undefined): void => {
    if (one && one.length < (kept?.length ?? Infinity) - 1e-6) take(one, locked);
  };
  return {
    found,
    busy: shown?.busy ?? false,
    failed: shown?.failed ?? false,
    anew: shown?.anew ?? false,
    locked,
    search: (ms) => {
      seek(ms, found, false, takeShorter);
    },
    stop: () => {
      job.current?.stop();
      job.current = undefined;
      setState((was) => (was ? { ...was, busy: false } : was));
      takeShorter(found);
    },
    take,
  };
}
