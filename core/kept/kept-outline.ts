import { outlineOf, type Block, type Panel } from '../draft/index.js';
import type { Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { setOf, type Work } from './kept.js';
import { valuesOf } from './person.js';

/**
 * The outlines of both pieces as they were last kept: `x y` of the start, then three points a curve, in mm to a
 * hundredth; and what of the person they were drawn from, since a set may be changed from elsewhere than this draft.
 */
export interface KeptOutline extends Readonly<Record<PanelName, string>> {
  readonly from: string;
}

const inOrder = (record: object): [string, unknown][] =>
  Object.entries(record).sort(([a], [b]) => (a < b ? -1 : Number(a > b)));

/**
 * What of a person the lines of a draft are drawn from: figure, build, the figures of its set and the rules adopted.
 */
export function drawnFrom(work: Work): string {
  const set = setOf(work);
  const { figure, build } = work.person;
  return JSON.stringify([figure, inOrder(build), inOrder(valuesOf(set)), inOrder(set.adopted)]);
}

const hundredths = (mm: number): string => String(Math.round(mm * 100) / 100);
const written = (points: readonly Point[]): string =>
  points.map(({ x, y }) => `${hundredths(x)} ${hundredths(y)}`).join(' ');

function outlineText(panel: Panel): string {
  const path = outlineOf(panel);
  const [first] = path;
  return first ? written([first.p0, ...path.flatMap(({ p1, p2, p3 }) => [p1, p2, p3])]) : '';
}

/**
 * How the pieces of a block lie, for a draft that is kept: so that a later program can show what it draws otherwise.
 */
export const keptOutline = ({ front, back }: Block, work: Work): KeptOutline => ({
  front: outlineText(front),
  back: outlineText(back),
  from: drawnFrom(work),
});
