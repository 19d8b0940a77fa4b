import { useState, type PointerEvent, type RefObject } from 'react';
import type { Point } from '../../core/geometry/index.js';
import { useBoard } from './board-store.js';
import type { Drawn } from './drawn-board.js';
import { takeAt } from './measuring.js';
import { usePointer } from './pointer.js';
import type { useNavigation } from './use-navigation.js';

/** What the hand does on the bare board: takes a piece in hand, moves the board, or takes points to measure between. */
export function useHand(
  svg: RefObject<SVGSVGElement | null>,
  drawn: Drawn | undefined,
  navigation: ReturnType<typeof useNavigation>,
) {
  const { tool, taken, set } = useBoard();
  const point = usePointer((p) => p.set);
  const [moving, setMoving] = useState(false);
  const screenPoint = (event: PointerEvent): Point => {
    const box = svg.current?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };
  const up = (event: PointerEvent<SVGSVGElement>): void => {
    navigation.up(event.pointerId);
    setMoving(false);
  };
  return {
    moving,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGSVGElement>): void => {
        const piece = (event.target as Element).closest('[data-piece]')?.getAttribute('data-piece');
        if (tool === 'hand' && (piece === 'front' || piece === 'back')) set({ inHand: piece });
        const at = screenPoint(event);
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
      onPointerCancel: up,
      onPointerLeave: (): void => {
        point(undefined);
      },
    },
  };
}
