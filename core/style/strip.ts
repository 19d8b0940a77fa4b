import type { Panel } from '../draft/index.js';
import { reversePath, splitPath } from '../geometry/index.js';
import type { Edge, EdgeRole } from '../garment/index.js';
import type { Opening } from './opening.js';
import { ringOf } from './ring.js';
import type { RunPiece, SeamLine } from './run.js';
import { closedOver, flatDarts, parallelBelow } from './closed-panel.js';

/** What the four edges of a strip along the waist are for. */
export interface StripRoles {
  readonly waist: EdgeRole;
  readonly lower: EdgeRole;
}

/**
 * A strip along the waist of a panel, cut from it with the darts closed: waist, side, lower edge parallel to the waist,
 * centre. Nothing where it does not run from the centre to the side.
 */
export function waistStrip(panel: Panel, depth: number, roles: StripRoles): Edge[] | undefined {
  const cut = parallelBelow(panel, depth);
  if (!cut) return undefined;
  const side = closedOver(panel.edges.side, flatDarts(panel));
  const [sideTop] = splitPath(side, cut.side);
  const [centreTop] = splitPath(reversePath(panel.edges.rise), cut.centre);
  return ringOf([
    { id: 'upper', role: roles.waist, path: panel.closedWaist },
    { id: 'side', role: 'side', path: sideTop },
    { id: 'lower', role: roles.lower, path: reversePath(cut.line) },
    { id: 'centre', role: 'rise', path: reversePath(centreTop) },
  ]);
}

/** What a line of sewing between two strips has that all of them have. */
const PLAIN = { ease: undefined, matches: [], cuts: [1, 1] } as const;

/** The parts of the strips along the waist: the front's of either leg, and the back's. */
export interface StripParts {
  readonly front: { readonly left: string; readonly right: string };
  readonly back: string;
}

/**
 * The strips along the waist sewn to one another at the sides and the centres, but for where the garment opens; `id`
 * begins the names of the lines, `label` what they are called.
 */
export function stripJoins(
  { front, back }: StripParts,
  opening: Opening | undefined,
  id: string,
  label: string,
): SeamLine[] {
  const pair = front.left === front.right;
  const on = (part: string, edge: string, mirrored = false): RunPiece[] => [
    { part, edge, backward: false, ...(mirrored ? { mirrored } : {}) },
  ];
  const side = (leg: 'left' | 'right' | 'both'): SeamLine => ({
    ...PLAIN,
    id: leg === 'both' ? `${id}Side` : `${id}Side.${leg}`,
    ...(leg === 'both' ? {} : { like: `${id}Side` }),
    label: `${label} at the side`,
    first: on(leg === 'right' ? front.right : front.left, 'side', pair && leg === 'right'),
    second: on(back, 'side', leg === 'right'),
    start: 'upper edge',
    end: 'lower edge',
  });
  const centre = (name: string, words: string, one: string, other: string): SeamLine => ({
    ...PLAIN,
    id: `${id}${name}`,
    label: `${label} ${words}`,
    first: on(one, 'centre'),
    second: on(other, 'centre', one === other),
    start: 'lower edge',
    end: 'upper edge',
  });
  const sides = opening?.at === 'side' ? [side('right')] : pair ? [side('both')] : [side('left'), side('right')];
  return [
    ...sides,
    ...(opening?.at === 'back' ? [] : [centre('CentreBack', 'behind', back, back)]),
    ...(opening?.at === 'front' ? [] : [centre('CentreFront', 'in front', front.left, front.right)]),
  ];
}
