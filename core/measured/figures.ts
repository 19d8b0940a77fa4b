import type { Block, Panel } from '../draft/index.js';
import { crossLine, cubicLength, distance, pathLength, point, type Path, type Point } from '../geometry/index.js';
import { crotchJoin, waistRun } from '../walk/index.js';
import { sideStretches } from './lengths.js';
import { hipWidthOf } from './widths.js';

/** Where a fly ends on the front: the length of the rise from the waist to the hip line, in mm. */
function openingLength({ edges: { rise }, levels }: Panel): number {
  const [hit] = crossLine(rise, point(0, levels.hipLevel), point(1, 0)).slice(-1);
  if (!hit) return 0;
  const cut = rise[hit.index];
  return pathLength(rise.slice(hit.index + 1)) + (cut ? cubicLength(cut, hit.t, 1) : 0);
}

const larger = (a: number, b: number): number => (Math.abs(b) > Math.abs(a) ? b : a);

/** How far, in mm, the crease lies off the middle of the crotch width, toward the side (+). */
const offCrotchMiddle = ({ crease, points: p }: Panel): number => (p.sideCrotch.x + p.crotchPoint.x) / 2 - crease;

/** How far, in mm, the crease lies off the middle of knee and hem, the larger of the two. */
function offLegMiddle({ crease, points: p }: Panel): number {
  const off = (side: Point, inseam: Point): number => (side.x + inseam.x) / 2 - crease;
  return larger(off(p.sideKnee, p.inseamKnee), off(p.sideHem, p.inseamHem));
}

/** By how much the legs of a dart differ, in mm. */
const legDifference = ({ darts }: Panel): number[] =>
  darts.map((d) => Math.abs(distance(d.apex, d.centreLeg) - distance(d.apex, d.sideLeg)));

/** The lengths of both panels that figures are made of, in mm; each is measured when it is first asked for. */
interface Lengths {
  readonly front: PanelLengths;
  readonly back: PanelLengths;
}

interface PanelLengths {
  readonly waist: number;
  readonly rise: number;
  readonly hem: number;
  readonly aboveKnee: number;
  readonly belowKnee: number;
}

/** Measures the lengths of a panel as they are asked for, each once. */
function lengthsOf({ edges, joints, closedWaist }: Panel): PanelLengths {
  const known: Partial<Record<keyof PanelLengths, number>> = {};
  const once = (name: keyof PanelLengths, path: () => Path): number => (known[name] ??= pathLength(path()));
  return {
    get waist() {
      return once('waist', () => closedWaist);
    },
    get rise() {
      return once('rise', () => edges.rise);
    },
    get hem() {
      return once('hem', () => edges.hem);
    },
    get aboveKnee() {
      return once('aboveKnee', () => edges.inseam.slice(joints.inseamKnee));
    },
    get belowKnee() {
      return once('belowKnee', () => edges.inseam.slice(0, joints.inseamKnee));
    },
  };
}

function worstSideStretch({ front, back }: Block): number {
  const [f, b] = [sideStretches(front), sideStretches(back)];
  return (['waistToHip', 'hipToKnee', 'kneeToHem'] as const).map((key) => f[key] - b[key]).reduce(larger, 0);
}

const waistOf = ({ front, back }: Lengths): number => 2 * (front.waist + back.waist);

/**
 * The figures of a block, in mm and degrees, each for itself: what the checks judge and what is sought when a draft is
 * changed. Girths are of the whole garment.
 */
const FIGURES = {
  /** The finished waist, darts closed. */
  waist: (_, lengths) => waistOf(lengths),
  /** The finished girth on the hip line, square to the centre lines. */
  hip: ({ front, back }) => 2 * (hipWidthOf(front) + hipWidthOf(back)),
  /** Both crotch widths, side to crotch point. */
  thigh: ({ front, back }) => front.crotchWidth + back.crotchWidth,
  frontRise: (_, { front }) => front.rise,
  backRise: (_, { back }) => back.rise,
  wholeRise: (_, { front, back }) => front.rise + back.rise,
  /** How high centre back stands above the crotch line. */
  seatHeight: ({ back, levels }) => levels.crotchLevel - back.points.centreWaist.y,
  hem: (_, { front, back }) => front.hem + back.hem,
  /** The waist with twice the length of an opening down to the hip line. */
  opening: (block, lengths) => waistOf(lengths) + 2 * openingLength(block.front),
  /** How much shorter the back inseam is than the front, crotch point to knee, and below it. */
  inseamWalk: (_, { front, back }) => front.aboveKnee - back.aboveKnee,
  inseamWalkBelow: (_, { front, back }) => front.belowKnee - back.belowKnee,
  /** The largest difference of front and back side between waist, hip, knee and hem. */
  sideWalk: worstSideStretch,
  waistRun,
  crotchJoin,
  /** The most by which the two legs of a dart differ. */
  darts: ({ front, back }) => Math.max(0, ...legDifference(front), ...legDifference(back)),
  /** How far the crease lies off the middle of the crotch width, and of knee and hem. */
  crease: ({ front, back }) => larger(offCrotchMiddle(front), offCrotchMiddle(back)),
  creaseBelow: ({ front, back }) => larger(offLegMiddle(front), offLegMiddle(back)),
} as const satisfies Readonly<Record<string, (block: Block, lengths: Lengths) => number>>;

/** The name of a figure. */
export type FigureName = keyof typeof FIGURES;

/** The figures of a block by name. */
export type Figures = Readonly<Record<FigureName, number>>;

const bothLengths = ({ front, back }: Block): Lengths => ({ front: lengthsOf(front), back: lengthsOf(back) });

/** One figure of a block, in mm or degrees: only what it needs is measured. */
export const figureOf = (block: Block, name: FigureName): number => FIGURES[name](block, bothLengths(block));

/** All figures of a block. */
export function figuresOf(block: Block): Figures {
  const lengths = bothLengths(block);
  return Object.fromEntries(
    Object.entries(FIGURES).map(([name, of]) => [name, of(block, lengths)]),
  ) as unknown as Figures;
}

/** True where a name is that of a figure. */
export const isFigure = (name: string): name is FigureName => Object.hasOwn(FIGURES, name);
