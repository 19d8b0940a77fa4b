import { useEffect, useState } from 'react';
import { pathLength } from '../../core/geometry/index.js';
import type { SeamWalk } from '../../core/walk/index.js';

/** How fast a seam walks when it is played, in mm a second. */
const PACE = 220;

/** A walk under way. */
export interface Walking {
  /** How far has been walked, in mm, and how far can be. */
  readonly length: number;
  readonly most: number;
  readonly playing: boolean;
  /** Goes to a place, in mm, and stops there. */
  readonly goTo: (length: number) => void;
  /** Walks on, from the start where the end was reached, or stops. */
  readonly play: () => void;
}

/** Walks a seam by play and by keys: N and P from notch to notch, Home and End, Space to walk and stop. */
export function useWalking(walk: SeamWalk | undefined): Walking {
  const [at, setAt] = useState(0);
  const [asked, setAsked] = useState(false);
  const most = walk && walk.marks.length > 0 ? pathLength(walk.first) : 0;
  const length = Math.min(at, most);
  const playing = asked && length < most;

  useEffect(() => {
    if (!asked) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function go(now) {
      const gone = ((now - last) / 1000) * PACE;
      last = now;
      setAt((was) => Math.min(most, was + gone));
      frame = requestAnimationFrame(go);
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [asked, most]);

  useEffect(() => {
    const stops = [0, ...(walk?.marks.map((m) => m.first) ?? [])];
    const key = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof SVGElement || event.target instanceof HTMLSelectElement) return;
      const go = {
        n: stops.find((s) => s > length + 0.5) ?? most,
        p: [...stops].reverse().find((s) => s < length - 0.5) ?? 0,
        Home: 0,
        End: most,
      }[event.key];
      if (go !== undefined) {
        setAt(go);
        setAsked(false);
      } else if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) setAsked(!playing);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('keydown', key);
    };
  }, [walk, length, most, playing]);

  return {
    length,
    most,
    playing,
    goTo: (to) => {
      setAt(to);
      setAsked(false);
    },
    play: () => {
      if (!playing && length >= most) setAt(0);
      setAsked(!playing);
    },
  };
}
