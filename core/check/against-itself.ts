import { distance, type Point } from '../geometry/index.js';
import { sideStretches } from '../measured/index.js';
import { crotchJoin, waistRun } from '../walk/index.js';
import { edgeLengths, isSound, type Block, type Panel } from '../draft/index.js';
import { verdictOf, type About, type Check, type CheckId } from './check.js';

const MOST_INTAKE = 40;

interface Figured {
  readonly id: CheckId;
  readonly label: string;
  readonly kind: Check['kind'];
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly compares: string;
  readonly about: About;
}

const figured = (f: Figured): Check => ({
  ...f,
  against: 'itself',
  restsOnEstimate: false,
  verdict: verdictOf(f.value, f.low, f.high),
});

const pairOf = (edge: 'waist' | 'side' | 'inseam' | 'rise'): About => ({
  edges: [
    ['front', edge],
    ['back', edge],
  ],
});

/** How far, in mm, the crease lies off the middle of knee and hem, the larger of the two. */
function offHalf({ crease, points: p }: Panel): number {
  const off = (side: Point, inseam: Point): number => (side.x + inseam.x) / 2 - crease;
  return [off(p.sideKnee, p.inseamKnee), off(p.sideHem, p.inseamHem)].reduce((worst, d) =>
    Math.abs(d) > Math.abs(worst) ? d : worst,
  );
}

/** How far, in mm, the crease lies off the middle of the crotch width, toward the side (+). */
const offCrotchMiddle = ({ crease, points: p }: Panel): number => (p.sideCrotch.x + p.crotchPoint.x) / 2 - crease;

function creaseCheck(block: Block): Check {
  const panels = [block.front, block.back];
  const off = panels.map(offCrotchMiddle).reduce((worst, d) => (Math.abs(d) > Math.abs(worst) ? d : worst));
  const halved = panels.every((panel) => Math.abs(offHalf(panel)) < 0.5);
  return {
    id: 'crease',
    label: 'Crease',
    against: 'itself',
    kind: 'length',
    value: off,
    low: undefined,
    high: undefined,
    verdict: 'in',
    compares: `How far the crease lies off the middle of the crotch width; it ${
      halved ? 'halves knee and hem' : 'does not halve knee and hem, so the leg swings'
    }.`,
    restsOnEstimate: false,
    about: { edges: [], level: 'crotchLevel' },
  };
}

function outlineCheck(block: Block): Check {
  const sound = isSound(block.front) && isSound(block.back);
  return {
    id: 'outline',
    label: 'Outline',
    against: 'itself',
    kind: 'word',
    value: sound ? 'Closed' : 'Broken or crossing',
    low: undefined,
    high: undefined,
    verdict: sound ? 'in' : 'out',
    compares: 'Each outline is closed and does not cross itself.',
    restsOnEstimate: false,
    about: { edges: [] },
  };
}

function dartCheck(block: Block): Check {
  const darts = [block.front, block.back].flatMap((panel) => panel.darts.map((dart) => ({ dart, panel })));
  const uneven = Math.max(
    0,
    ...darts.map(({ dart }) => Math.abs(distance(dart.apex, dart.centreLeg) - distance(dart.apex, dart.sideLeg))),
  );
  const deep = darts.some(({ dart, panel }) => dart.apex.y > panel.points.sideHip.y + 0.5 || dart.intake > MOST_INTAKE);
  const check = figured({
    id: 'darts',
    label: 'Darts',
    kind: 'length',
    value: uneven,
    low: 0,
    high: 0.5,
    compares: 'Dart legs are equal, points lie above the hip line, and no intake is over 4 cm.',
    about: pairOf('waist'),
  });
  return deep ? { ...check, verdict: 'near' } : check;
}

/** How much of the back inseam is stretched on above the knee, in mm; and where a method states its crotch drop. */
const STRETCH = 6;
const STATED_STRETCH = 13;

/** The checks of a draft against itself (docs/trade/truing.md). A knit is stretched on, so its walk has more room below the knee. */
export function checkAgainstItself(block: Block, knit = false, statedDrop = false): Check[] {
  const [front, back] = [edgeLengths(block.front), edgeLengths(block.back)];
  const [frontSide, backSide] = [sideStretches(block.front), sideStretches(block.back)];
  const below = (e: typeof front): number => e.inseam - e.inseamAboveKnee;
  const sides = (['waistToHip', 'hipToKnee', 'kneeToHem'] as const).map((key) => frontSide[key] - backSide[key]);
  const worstSide = sides.reduce((worst, d) => (Math.abs(d) > Math.abs(worst) ? d : worst), 0);
  return [
    figured({
      id: 'inseamWalk',
      label: 'Inseam walk',
      kind: 'length',
      value: front.inseamAboveKnee - back.inseamAboveKnee,
      low: 0,
      high: statedDrop ? STATED_STRETCH : STRETCH,
      compares: statedDrop
        ? 'How much shorter the back inseam is than the front, crotch point to knee: the drop that the method states is stretched on.'
        : 'How much shorter the back inseam is than the front, crotch point to knee: it is stretched on.',
      about: pairOf('inseam'),
    }),
    figured({
      id: 'inseamWalkBelow',
      label: 'Below knee',
      kind: 'length',
      value: below(front) - below(back),
      low: knit ? -3 : -1,
      high: knit ? 3 : 1,
      compares: 'Front and back inseam from knee to hem.',
      about: pairOf('inseam'),
    }),
    figured({
      id: 'sideWalk',
      label: 'Side walk',
      kind: 'length',
      value: worstSide,
      low: -1.5,
      high: 1.5,
      compares: 'Front and back side seam: waist to hip, hip to knee, knee to hem; the largest difference.',
      about: pairOf('side'),
    }),
    figured({
      id: 'waistRun',
      label: 'Waist run',
      kind: 'angle',
      value: waistRun(block),
      low: 0,
      high: 2,
      compares: 'The waist is square at the centres, level across the sides and unbroken over closed darts.',
      about: pairOf('waist'),
    }),
    figured({
      id: 'crotchJoin',
      label: 'Crotch join',
      kind: 'angle',
      value: crotchJoin(block),
      low: -3,
      high: 3,
      compares: 'Front and back rise run into one another at the inseam.',
      about: pairOf('rise'),
    }),
    dartCheck(block),
    creaseCheck(block),
    outlineCheck(block),
  ];
}
