import { useEffect, useRef, useState, type PointerEvent } from 'react';
import type { Point } from '../../core/geometry/index.js';
import { dragHand, type DragActs, type DragHand, type Pull } from './drag.js';
import { useLens } from './lens-store.js';

const FRAMES = {
  ask: (draw: () => void): number => requestAnimationFrame(draw),
  cancel: (frame: number): void => {
    cancelAnimationFrame(frame);
  },
};

const screenOf = (event: { readonly clientX: number; readonly clientY: number }): Point => ({
  x: event.clientX,
  y: event.clientY,
});

/** Where on its drawing a finger is; a mouse and a pen hide nothing, and have no lens. */
const underFinger = (event: PointerEvent): Point => {
  const target = event.currentTarget;
  const box = (target.closest('svg.drawing') ?? target).getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
};

const keysOf = (event: PointerEvent): Pick<Pull, 'fine' | 'alone'> => ({
  fine: event.shiftKey,
  alone: event.ctrlKey || event.altKey,
});

/** The pointer handlers of a thing that can be dragged. */
export interface DragHandlers {
  readonly onPointerDown: (event: PointerEvent) => void;
  readonly onPointerMove: (event: PointerEvent) => void;
  readonly onPointerUp: (event: PointerEvent) => void;
  readonly onPointerCancel: (event: PointerEvent) => void;
}

/**
 * Drags things by pointer: one recompute a frame, the pointer captured, given up by Escape, by a touch that breaks off,
 * and when the thing goes. `held` is what the hand has now; `on` gives the handlers of a thing, from what it takes hold
 * of there (`undefined`: nothing lies under the hand, and the press is someone else's).
 */
export function useDrag<Held>(acts: DragActs<Held>): {
  readonly held: Held | undefined;
  readonly on: (take: (event: PointerEvent) => Held | undefined) => DragHandlers;
} {
  const [held, setHeld] = useState<Held>();
  const latest = useRef(acts);
  const own = useRef<DragHand<Held>>(undefined);
  useEffect(() => {
    latest.current = acts;
  });
  const hand = (): DragHand<Held> => (own.current ??= dragHand(() => latest.current, FRAMES));
  const rest = (): void => {
    setHeld(undefined);
    useLens.getState().show(undefined);
  };

  useEffect(
    () => () => {
      if (own.current?.giveUp()) useLens.getState().show(undefined);
    },
    [],
  );
  useEffect(() => {
    if (held === undefined) return;
    const escape = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape' || !own.current?.giveUp()) return;
      event.stopPropagation();
      setHeld(undefined);
      useLens.getState().show(undefined);
    };
    window.addEventListener('keydown', escape, true);
    return () => {
      window.removeEventListener('keydown', escape, true);
    };
  }, [held]);

  return {
    held,
    on: (take) => ({
      onPointerDown: (event) => {
        if (event.button !== 0) return;
        const taken = take(event);
        if (taken === undefined) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        hand().down(event.pointerId, taken, screenOf(event));
        setHeld(() => taken);
        if (event.pointerType === 'touch') useLens.getState().show(underFinger(event));
      },
      onPointerMove: (event) => {
        if (!hand().moved(event.pointerId, screenOf(event), keysOf(event))) return;
        event.stopPropagation();
        if (event.pointerType === 'touch') useLens.getState().show(underFinger(event));
      },
      onPointerUp: (event) => {
        if (!hand().up(event.pointerId)) return;
        event.stopPropagation();
        rest();
      },
      onPointerCancel: (event) => {
        if (!hand().giveUp(event.pointerId)) return;
        event.stopPropagation();
        rest();
      },
    }),
  };
}
