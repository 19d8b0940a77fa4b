import { useEffect, useRef, type RefObject } from 'react';
import type { Point } from '../../core/geometry/index.js';
import { useView, zoomView, type View } from './view.js';

const WHEEL_ZOOM = 1.0016;
/** A pinch on a trackpad comes as a wheel with Ctrl held, in much smaller steps. */
const PINCH_ZOOM = 1.01;
/** What a line and a page of a wheel are in pixels, where a browser counts in them. */
const WHEEL_UNITS = [1, 16, 400] as const;
const KEY_ZOOM = 1.25;
const KEY_PAN = 60;

/**
 * Pan, zoom by wheel, and pinch with two fingers. Gives the pointer handlers for the bare board; `current` is the view
 * as shown now, which a maker may not have touched yet.
 */
export function useNavigation(svg: RefObject<SVGSVGElement | null>, current: View | undefined) {
  const setView = useView((s) => s.setView);
  const now = useRef(current);
  useEffect(() => {
    now.current = current;
  });
  const fingers = useRef(new Map<number, Point>());

  useEffect(() => {
    const target = svg.current;
    if (!target) return;
    const wheel = (event: WheelEvent): void => {
      if (!now.current) return;
      event.preventDefault();
      const box = target.getBoundingClientRect();
      const at = { x: event.clientX - box.left, y: event.clientY - box.top };
      if (event.shiftKey) {
        setView({ ...now.current, x: now.current.x - event.deltaY - event.deltaX });
        return;
      }
      const pixels = event.deltaY * (WHEEL_UNITS[event.deltaMode] ?? 1);
      setView(zoomView(now.current, (event.ctrlKey ? PINCH_ZOOM : WHEEL_ZOOM) ** -pixels, at));
    };
    target.addEventListener('wheel', wheel, { passive: false });
    return () => {
      target.removeEventListener('wheel', wheel);
    };
  }, [svg, setView]);

  return {
    down: (id: number, at: Point): void => {
      fingers.current.set(id, at);
    },
    up: (id: number): void => {
      fingers.current.delete(id);
    },
    /** Moves the board with the pointer; with two pointers down it zooms about their middle. */
    move: (id: number, at: Point): void => {
      const before = fingers.current.get(id);
      const view = now.current;
      if (!before || !view) return;
      const other = [...fingers.current].find(([key]) => key !== id)?.[1];
      fingers.current.set(id, at);
      if (!other) {
        setView({ ...view, x: view.x + at.x - before.x, y: view.y + at.y - before.y });
        return;
      }
      const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
      const middle = { x: (at.x + other.x) / 2, y: (at.y + other.y) / 2 };
      const moved = { ...view, x: view.x + (at.x - before.x) / 2, y: view.y + (at.y - before.y) / 2 };
      setView(zoomView(moved, apart(at, other) / Math.max(1, apart(before, other)), middle));
    },
    /** Arrow keys pan, plus and minus zoom, 0 shows all. True where the key was meant for the board. */
    key: (key: string, middle: Point): boolean => {
      const view = now.current;
      if (!view) return false;
      if (key === '+' || key === '=') setView(zoomView(view, KEY_ZOOM, middle));
      else if (key === '-') setView(zoomView(view, 1 / KEY_ZOOM, middle));
      else if (key === '0') setView(undefined);
      else if (key === 'ArrowLeft') setView({ ...view, x: view.x + KEY_PAN });
      else if (key === 'ArrowRight') setView({ ...view, x: view.x - KEY_PAN });
      else if (key === 'ArrowUp') setView({ ...view, y: view.y + KEY_PAN });
      else if (key === 'ArrowDown') setView({ ...view, y: view.y - KEY_PAN });
      else return false;
      return true;
    },
  };
}
