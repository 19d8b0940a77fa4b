import { edgeLengths, type Block, type Panel } from '../draft/index.js';
import { crossLine, distance, meetLines, subtract, unit as unitOf, type Point } from '../geometry/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import type { Check } from './check.js';

const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };
/** A curve whose hollow is under this share of its diagonal hugs the corner, over the other it slopes. */
const HUGS = 0.47;
const SLOPES = 0.6;

/** The hollow of a crotch curve as a share of the diagonal from the corner to its chord: 0 in the corner, 1 straight. */
function hollowShare({ points, edges: { rise } }: Panel): number {
  const { corner, crotchPoint, curveStart } = points;
  const chord = meetLines(corner, DIAGONAL, crotchPoint, unitOf(subtract(curveStart, crotchPoint)));
  const hit = crossLine(rise, corner, DIAGONAL).filter((h) => h.along > 0)[0];
  return chord && hit ? distance(corner, hit.at) / chord.alongFirst : 0;
}

/** How the rise is spread, in words: flat or deep in front, J or L behind, and how far the two differ (docs/trade/truing.md). */
export function riseCharacter(block: Block, unit: Unit): Check {
  const [front, back] = [hollowShare(block.front), hollowShare(block.back)];
  const inFront = front < HUGS ? 'deep front' : front > SLOPES ? 'flat front' : 'even front';
  const behind = back < HUGS ? 'an L behind' : back > SLOPES ? 'a J behind' : 'between J and L behind';
  const longer = edgeLengths(block.back).rise - edgeLengths(block.front).rise;
  const by = formatLength(Math.abs(longer), tapeFor(unit));
  return {
    id: 'riseCharacter',
    label: 'Character',
    against: 'body',
    kind: 'word',
    value: `${inFront}, ${behind}; back ${by} ${longer < 0 ? 'shorter' : 'longer'}`.replace(/^./, (c) =>
      c.toUpperCase(),
    ),
    low: undefined,
    high: undefined,
    verdict: 'in',
    compares: 'How the length of the rises is spread: near the corner of centre and crotch line, or sloping across it.',
    restsOnEstimate: false,
    about: {
      edges: [
        ['front', 'rise'],
        ['back', 'rise'],
      ],
    },
  };
}
