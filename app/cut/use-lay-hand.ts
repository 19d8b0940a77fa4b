import { useEffect, useRef, useState } from 'react';
import {
  copyName,
  inPlaceOf,
  lengthOfPlaced,
  turnedInPlace,
  type FoundLay,
  type HandPlace,
  type LayCloth,
  type LayShape,
  type Placed,
} from '../../core/lay/index.js';
import type { Hand } from '../shared/job.js';
import type { Layer } from '../workers/lay.worker.js';
import { layHand } from '../shared/lay-search.js';
import type { LayAtHand } from './use-lay.js';

/** A part in the hand: where it was moved to, where it would come to lie, and how long the lay would be then. */
interface Trial {
  readonly moved: Placed;
  readonly place: HandPlace | undefined;
  readonly length: number;
}

/** What a hand does on the cloth. */
export interface LayHand {
  readonly chosen: string | undefined;
  readonly trial: Trial | undefined;
  /** Why what was tried last could not be done. */
  readonly told: string | undefined;
  readonly choose: (copy: string) => void;
  readonly tryAt: (moved: Placed) => void;
  /** Lays a part that was moved here where it comes to lie; where there is no room it goes back. */
  readonly letGo: (moved: Placed) => void;
  readonly giveBack: () => void;
  readonly nudge: (placed: Placed, dx: number, dy: number) => void;
  readonly turn: (placed: Placed) => void;
  /** Changes places with the other of its pair. */
  readonly change: (placed: Placed) => void;
  readonly lock: (placed: Placed) => void;
}

const withMoved = (lay: readonly Placed[], moved: readonly Placed[]): readonly Placed[] =>
  lay.map((p) => moved.find((m) => copyName(m) === copyName(p)) ?? p);

/** A lay as it stands after all that was done to it, and what is locked in it. */
interface Standing {
  readonly found: FoundLay | undefined;
  readonly locked: ReadonlySet<string>;
}

/**
 * Laying by hand: each part moved is kept where it comes to lie free, one act a move. What is done is done one after the
 * other, each on the lay as the one before left it, however fast the keys come.
 */
export function useLayHand(shapes: readonly LayShape[], cloth: LayCloth, lay: LayAtHand): LayHand {
  const [chosen, choose] = useState<string>();
  const [trial, setTrial] = useState<Trial>();
  const [told, setTold] = useState<string>();
  const worker = useRef<{ readonly hand: Hand<Layer>; readonly ready: Promise<void> }>(undefined);
  const asking = useRef<Placed>(undefined);
  const waiting = useRef<Placed>(undefined);
  const gone = useRef(false);
  /** Counts what was given back: an answer that comes after is not shown. */
  const given = useRef(0);
  const now = useRef<Standing>({ found: lay.found, locked: lay.locked });
  const queue = useRef<Promise<void>>(Promise.resolve());

  useEffect(() => {
    now.current = { found: lay.found, locked: lay.locked };
  }, [lay.found, lay.locked]);
  useEffect(
    () => () => {
      worker.current?.hand.stop();
      worker.current = undefined;
    },
    [shapes, cloth],
  );
  const at = (): { readonly hand: Hand<Layer>; readonly ready: Promise<void> } => {
    if (!worker.current) {
      const hand = layHand();
      worker.current = { hand, ready: hand.ask((layer) => layer.ready(shapes, cloth)) };
    }
    return worker.current;
  };
  const placed = (): readonly Placed[] => now.current.found?.placed ?? [];
  const placeOf = async (
    among: readonly Placed[],
    moved: Placed,
    how: 'let go' | 'exactly' = 'let go',
  ): Promise<HandPlace | undefined> => {
    const { hand, ready } = at();
    await ready;
    return hand.ask((layer) => layer.put(among, moved, how));
  };
  const lengthWith = (moved: readonly Placed[]): number => lengthOfPlaced(shapes, withMoved(placed(), moved));

  const keep = (moved: readonly Placed[], locked = now.current.locked): void => {
    const { found } = now.current;
    if (!found) return;
    const length = lengthWith(moved);
    const next = { length, use: (found.use * found.length) / length, placed: withMoved(found.placed, moved) };
    now.current = { found: next, locked };
    setTold(undefined);
    lay.take(next, locked);
  };
  const broken = (): void => {
    setTrial(undefined);
    setTold('Laying by hand broke off. Try again.');
  };
  /** Does something once all that was begun before is done. */
  const inTurn = (act: () => Promise<void> | void): void => {
    queue.current = queue.current.then(act).catch(broken);
  };
  /** Where a part lies now: it may have been moved since it was pressed. */
  const standing = (one: Placed): Placed => placed().find((p) => copyName(p) === copyName(one)) ?? one;
  /** Puts parts, each among the rest as they then lie, and keeps them where all have room. */
  const put = async (moves: readonly Placed[], no: string, how?: 'exactly'): Promise<void> => {
    let among = placed();
    const laid: Placed[] = [];
    for (const moved of moves) {
      // What is still to be moved is not in the way.
      const still = moves.slice(laid.length + 1).map(copyName);
      const place = await placeOf(
        among.filter((p) => !still.includes(copyName(p))),
        moved,
        how,
      );
      if (!place?.free) {
        setTold(no);
        return;
      }
      laid.push({ ...moved, x: place.x, y: place.y });
      among = withMoved(among, laid);
    }
    keep(laid);
  };

  const ask = (moved: Placed): void => {
    asking.current = moved;
    const round = given.current;
    placeOf(placed(), moved)
      .then((place) => {
        asking.current = undefined;
        const next = waiting.current;
        waiting.current = undefined;
        const laid = place?.free ? { ...moved, x: place.x, y: place.y } : moved;
        if (round === given.current && (!gone.current || next))
          setTrial({ moved: next ?? moved, place, length: lengthWith([laid]) });
        if (next) ask(next);
        else if (gone.current) finish(place, laid);
      })
      .catch(broken);
  };
  const tryAt = (moved: Placed): void => {
    setTrial((was) => ({ moved, place: was?.place, length: was?.length ?? lengthWith([]) }));
    if (asking.current) waiting.current = moved;
    else ask(moved);
  };
  const finish = (place: HandPlace | undefined, laid: Placed): void => {
    gone.current = false;
    setTrial(undefined);
    if (place?.free)
      inTurn(() => {
        keep([laid]);
      });
    else setTold('There is no room for it there; it lies where it lay.');
  };

  return {
    chosen,
    trial,
    told,
    choose,
    tryAt: (moved) => {
      gone.current = false;
      tryAt(moved);
    },
    letGo: (moved) => {
      gone.current = true;
      tryAt(moved);
    },
    giveBack: () => {
      // What was let go already is no longer in the hand.
      if (gone.current) return;
      given.current += 1;
      waiting.current = undefined;
      gone.current = false;
      setTrial(undefined);
    },
    nudge: (one, dx, dy) => {
      inTurn(() => {
        if (now.current.locked.has(copyName(one))) {
          setTold('It is locked. Unlock it to move it.');
          return undefined;
        }
        const from = standing(one);
        return put(
          [{ ...from, x: from.x + dx, y: from.y + dy }],
          'There is no room for it further that way.',
          'exactly',
        );
      });
    },
    turn: (one) => {
      inTurn(() => {
        const shape = shapes.find((s) => s.id === one.id);
        if (!shape?.turns.includes(180)) {
          setTold('The nap runs one way: no part may lie turned.');
          return undefined;
        }
        return put([turnedInPlace(shape, standing(one))], 'There is no room for it turned; drag it to where there is.');
      });
    },
    change: (one) => {
      inTurn(() => {
        const own = standing(one);
        const other = placed().find((p) => p.id === own.id && p.flipped !== own.flipped);
        const shape = shapes.find((s) => s.id === own.id);
        if (!other || !shape) {
          setTold('It has no other that is mirrored: only a pair changes places.');
          return undefined;
        }
        return put(
          [inPlaceOf(shape, own, other), inPlaceOf(shape, other, own)],
          'The two of the pair do not fit into each other’s places.',
        );
      });
    },
    lock: (one) => {
      inTurn(() => {
        const name = copyName(one);
        const next = new Set(now.current.locked);
        if (!next.delete(name)) next.add(name);
        keep([], next);
      });
    },
  };
}
