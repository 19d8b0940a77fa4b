import { create } from 'zustand';
import type { Box, Point } from '../../core/geometry/index.js';

/** How the board is looked at: pixels a millimetre, and where the board's origin lies on the screen. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

/** The board on the screen, in pixels. */
export interface ScreenSize {
  readonly width: number;
  readonly height: number;
}

/** Width of the tapes along the board's edges, in pixels. */
export const RULER = 26;

const LEAST_SCALE = 0.05;
const MOST_SCALE = 20;
/** Room kept free about the pieces when all is shown: level names at the left, tapes at left and top. */
const PADDING = { left: 128, right: 40, top: 48, bottom: 22 };
/** On a telephone the pieces fill the width: the level names give way to them. */
const NARROW = 520;
const NARROW_PADDING = { left: 40, right: 12, top: 40, bottom: 16 };

/** The view that shows a whole box. */
export function fitView(box: Box, size: ScreenSize): View {
  const padding = size.width < NARROW ? NARROW_PADDING : PADDING;
  const width = Math.max(60, size.width - padding.left - padding.right);
  const height = Math.max(60, size.height - padding.top - padding.bottom);
  const scale = Math.min(width / (box.maxX - box.minX), height / (box.maxY - box.minY));
  return {
    scale,
    x: padding.left + (width - scale * (box.maxX - box.minX)) / 2 - scale * box.minX,
    y: padding.top + (height - scale * (box.maxY - box.minY)) / 2 - scale * box.minY,
  };
}

/** The view zoomed by a factor about a place on the screen, which stays where it is. */
export function zoomView(view: View, factor: number, at: Point): View {
  const scale = Math.min(MOST_SCALE, Math.max(LEAST_SCALE, view.scale * factor));
  const k = scale / view.scale;
  return { scale, x: at.x - (at.x - view.x) * k, y: at.y - (at.y - view.y) * k };
}

/** Pixels a millimetre at full size, as style sheets count them. */
const FULL_SIZE = 96 / 25.4;

/** The scale at which the board lies, as a drawing states it: `1 : 5.2`, or `2.1 : 1` where it is larger than life. */
export function scaleWords({ scale }: View): string {
  const times = FULL_SIZE / scale;
  const figure = (x: number): string => String(Number(x.toFixed(x < 9.95 ? 1 : 0)));
  return times >= 1 ? `1 : ${figure(times)}` : `${figure(1 / times)} : 1`;
}

/** A board point on the screen. */
export const toScreen = (p: Point, view: View): Point => ({
  x: view.x + p.x * view.scale,
  y: view.y + p.y * view.scale,
});

/** A screen point on the board. */
export const fromScreen = (p: Point, view: View): Point => ({
  x: (p.x - view.x) / view.scale,
  y: (p.y - view.y) / view.scale,
});

interface ViewState {
  /** Nothing until a maker pans or zooms: then the board keeps its place from station to station. */
  readonly view: View | undefined;
  readonly setView: (view: View | undefined) => void;
}

/** The view of the board, the same at every station. */
export const useView = create<ViewState>()((set) => ({
  view: undefined,
  setView: (view) => {
    set({ view });
  },
}));
