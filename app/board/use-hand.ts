import { useRef, useState, type PointerEvent, type RefObject } from 'react';
import { distance, type Point } from '../../core/geometry/index.js';
import type { Levels } from '../../core/method/index.js';
import { useBoard } from './board-store.js';
import type { Drawn } from './drawn-board.js';
import { takeAt } from './measuring.js';
import { usePointer } from './pointer.js';
import type { useNavigation } from './use-navigation.js';

/** A hand that has not gone further than this, in pixels, has pressed and not pulled. */
const PRESS = 4;

/** What the hand does on the bare board: takes a piece in hand, moves the board, or takes points to measure between. */
export function useHand(
  svg: RefObject<SVGSVGElement | null>,
  drawn: Drawn | undefined,
  navigation: ReturnType<typeof useNavigation>,
) {
  const { tool, taken, set } = useBoard();
  const point = usePointer((p) => p.set);
  const [moving, setMoving] = useState(false);
  const pressed = useRef<{ readonly at: Point; readonly level: string | undefined }>(undefined);
  const screenPoint = (event: PointerEvent): Point => {
    const box = svg.current?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };
  const cancel = (event: PointerEvent<SVGSVGElement>): void => {
    pressed.current = undefined;
    navigation.up(event.pointerId);
    setMoving(false);
  };
  /** A press on a level or a seam asks what can be done to it. */
  const up = (event: PointerEvent<SVGSVGElement>): void => {
    const at = screenPoint(event);
    const from = pressed.current;
    cancel(event);
    if (!from || !drawn || tool !== 'hand' || event.button !== 0 || distance(from.at, at) > PRESS) return;
    const screen = { x: event.clientX, y: event.clientY };
    // Where a view draws something else in the place of the pieces, they are not there to be pressed.
    const lying = event.currentTarget.querySelector('[data-edge]') !== null;
    const seam = lying ? takeAt(drawn, at).on : undefined;
    if (from.level !== undefined) set({ verbs: { line: { level: from.level as keyof Levels }, at, screen } });
    else if (seam) set({ verbs: { line: { panel: seam.panel, edge: seam.edge }, at, screen } });
  };
  return {
    moving,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGSVGElement>): void => {
        const piece = (event.target as Element).closest('[data-piece]')?.getAttribute('data-piece');
        if (tool === 'hand' && (piece === 'front' || piece === 'back')) set({ inHand: piece });
        const at = screenPoint(event);
        const level = (event.target as Element).closest('[data-level-name]')?.getAttribute('data-level-name');
        pressed.current = { at, level: level ?? undefined };
        if (tool === 'measure') {
          const next = drawn && takeAt(drawn, at);
          if (next) set({ taken: taken.length === 1 ? [...taken, next] : [next] });
          return;
        }
        event.currentTarget.setPointerCapture(event.pointerId);
        navigation.down(event.pointerId, at);
        point(undefined);
        setMoving(true);
      },
      onPointerMove: (event: PointerEvent<SVGSVGElement>): void => {
        const at = screenPoint(event);
        if (moving) navigation.move(event.pointerId, at);
        else point(at);
      },
      onPointerUp: up,
      onPointerCancel: cancel,
      onPointerLeave: (): void => {
        point(undefined);
      },
    },
  };
}
