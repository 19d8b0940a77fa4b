import { characterOf, wantedRise, type Finding } from '../check/index.js';
import type { Draft } from '../chain/index.js';
import type { Panel } from '../draft/index.js';
import { nearestPlace, startOf, type Path } from '../geometry/index.js';
import { hollowShareOf } from '../measured/index.js';
import { namedEdges } from './named-edges.js';
import { laidOutline, type Reference } from './reference.js';

/** A rise of an outline beside what the body wants, in mm; nothing where the body's was not measured. */
export interface OutlineRise {
  readonly id: 'frontRise' | 'backRise' | 'wholeRise';
  readonly outline: number;
  readonly wanted: number | undefined;
}

/** The rises of an outline against the body's, and their character (docs/trade/truing.md). */
export interface OutlineRises {
  readonly rises: readonly OutlineRise[];
  /** Nothing where a rise is not one named line on both pieces. */
  readonly character: Finding | undefined;
}

const riseOf = (reference: Reference, panel: Panel): { length: number; path: Path | undefined } | undefined =>
  namedEdges(laidOutline(reference, panel.name), panel).get('rise');

/** How the outline's curve lies in the corner of the draft on which it is laid; it begins where the draft's does. */
function shareOf(path: Path, { points }: Panel): number {
  const curveStart = nearestPlace(path, points.curveStart).at;
  return hollowShareOf(path, { corner: points.corner, crotchPoint: startOf(path), curveStart });
}

/** The rises of a laid outline, held against the body's and not the draft's, and how their length is spread. */
export function outlineRises(reference: Reference, { block, worked }: Draft): OutlineRises {
  const [front, back] = [riseOf(reference, block.front), riseOf(reference, block.back)];
  const wanted = { front: wantedRise(worked, 'frontRise'), back: wantedRise(worked, 'backRise') };
  const whole = wanted.front === undefined || wanted.back === undefined ? undefined : wanted.front + wanted.back;
  return {
    rises: [
      ...(front ? [{ id: 'frontRise', outline: front.length, wanted: wanted.front } as const] : []),
      ...(back ? [{ id: 'backRise', outline: back.length, wanted: wanted.back } as const] : []),
      ...(front && back ? [{ id: 'wholeRise', outline: front.length + back.length, wanted: whole } as const] : []),
    ],
    character:
      front?.path && back?.path
        ? characterOf(shareOf(front.path, block.front), shareOf(back.path, block.back), back.length - front.length)
        : undefined,
  };
}
