import { useEffect, useMemo, useState } from 'react';
import { pathLength } from '../../core/geometry/index.js';
import { walkFrom, type SeamWalk } from '../../core/walk/index.js';
import { useKeys } from '../shared/use-keys.js';

/** How fast a seam walks when it is played, in mm a second. */
const PACE = 220;

/** Where no motion is wanted, it goes from notch to notch, and rests so long at each, in ms. */
const REST = 900;

const unmoved = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** A walk under way. */
export interface Walking {
  /** The walk from where it was begun. */
  readonly walk: SeamWalk | undefined;
  /** How far along the seam one has come, in mm, and how long it is. */
  readonly length: number;
  readonly most: number;
  readonly playing: boolean;
  /** Goes to a place, in mm, and stops there. */
  readonly goTo: (length: number) => void;
  /** Walks on, or stops; where an end was reached, from the beginning, the other way where there is one. */
  readonly play: () => void;
  /** Begins the walk at a stop, by its name. */
  readonly begin: (label: string) => void;
}

/** The next notch of a walk after, or before, a place; its end, or its beginning, where there is none. */
export function nextStop(notches: readonly number[], from: number, most: number, back: boolean): number {
  if (back) return [...notches].reverse().find((s) => s < from - 0.5) ?? 0;
  return notches.find((s) => s > from + 0.5) ?? most;
}

/** Walks a seam by play and by keys: N and P from notch to notch, Home and End, Space to walk and stop. */
export function useWalking(seam: SeamWalk | undefined): Walking {
  const [begun, setBegun] = useState<string>();
  const walk = useMemo(() => seam && walkFrom(seam, begun), [seam, begun]);
  const start = walk?.from.first ?? 0;
  const [gone, setGone] = useState<number>();
  const [back, setBack] = useState(false);
  const [asked, setAsked] = useState(false);
  const most = walk && walk.marks.length > 0 ? pathLength(walk.first) : 0;
  const length = Math.min(gone ?? start, most);
  const notches = useMemo(() => walk?.stops.map((s) => s.first) ?? [], [walk]);
  const playing = asked && (back ? length > 0 : length < most);

  useEffect(() => {
    if (!asked) return;
    if (unmoved()) {
      const timer = window.setInterval(() => {
        setGone((was) => nextStop(notches, was ?? start, most, back));
      }, REST);
      return () => {
        window.clearInterval(timer);
      };
    }
    let last = performance.now();
    let frame = requestAnimationFrame(function go(now) {
      const by = ((now - last) / 1000) * (back ? -PACE : PACE);
      last = now;
      setGone((was) => Math.min(most, Math.max(0, (was ?? start) + by)));
      frame = requestAnimationFrame(go);
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [asked, most, back, start, notches]);

  const play = (): void => {
    const [atTop, atEnd] = [length <= 0, length >= most];
    if (!playing && (atTop || atEnd)) {
      // From an end the walk goes on at the beginning: the other way, where the seam runs both ways from there.
      const turnsBack = start >= most || (atEnd && start > 0);
      if (Math.abs(length - start) > 0.5) setGone(start);
      setBack(turnsBack);
    }
    setAsked(!playing);
  };

  const goTo = (to: number) => (): void => {
    setGone(to);
    setAsked(false);
  };
  useKeys({
    n: goTo(nextStop(notches, length, most, false)),
    p: goTo(nextStop(notches, length, most, true)),
    Home: goTo(0),
    End: goTo(most),
    Space: play,
  });

  return {
    length,
    most,
    playing,
    walk,
    goTo: (to) => {
      goTo(to)();
    },
    play,
    begin: (label) => {
      const stop = seam?.stops.find((s) => s.label === label);
      setBegun(label);
      setGone(stop?.first);
      setBack(stop !== undefined && stop.first >= most);
      setAsked(false);
    },
  };
}
