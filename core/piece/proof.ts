import type { Block, Legs, Panel } from '../draft/index.js';
import {
  contains,
  crossLine,
  flatten,
  nearestPlace,
  pathLength,
  point,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { garmentOfBoth, partOutline, type Garment, type Part, type Seam } from '../garment/index.js';
import { figuresOf } from '../measured/index.js';
import { widthsAlong, type Allowances, type GivenStretch } from './allowance.js';
import { offsetOutline } from './cut-line.js';

/** A girth as it is drafted, and as the cut pieces come out when they are sewn at their depth; mm. */
export interface ProofLine {
  readonly net: number;
  readonly sewn: number;
}

/** The girths that cutting and sewing must give back, in mm. */
export type Proof = Readonly<Record<'hip' | 'waist' | 'thigh' | 'knee' | 'hem', ProofLine>>;

/** The widest allowance of an edge, in mm; the edges of the block have one, or one that changes along it. */
const widthOf = (garment: Garment, part: Part, edge: string, allowances: Allowances): number =>
  Math.max(...widthsAlong(garment, part, edge, allowances).flatMap(({ mm, end }) => [mm, end ?? mm]));

/** How deep a seam is sewn, in mm: as stated, else half of what its two sides have. */
function depthOf(garment: Garment, seam: Seam, allowances: Allowances): number {
  if (allowances.depth !== undefined) return allowances.depth;
  const side = ({ part, edge }: Seam['first']): number => {
    const found = garment.parts.find((p) => p.id === part);
    return found ? widthOf(garment, found, edge, allowances) : 0;
  };
  return (side(seam.first) + side(seam.second)) / 2;
}

/**
 * What lies outside the sewn line's own place on each edge of the block, in mm: what was added less what sewing takes,
 * stretch by stretch. Where no depth is stated, sewing follows the allowance wherever it changes.
 */
function leftOver(garment: Garment, part: Part, allowances: Allowances): GivenStretch[] {
  return part.edges.flatMap(({ id, path }): GivenStretch[] => {
    const seam = garment.seams.find(({ first, second }) =>
      [first, second].some((s) => s.part === part.id && s.edge === id),
    );
    if (!seam) return [];
    const runs = widthsAlong(garment, part, id, allowances);
    const depth = depthOf(garment, seam, allowances);
    const even = runs.length === 1 && runs[0]?.end === undefined;
    if (allowances.depth === undefined && !even) return [];
    const whole = pathLength(path);
    let at = 0;
    return runs.map((run): GivenStretch => {
      const from = at;
      at += pathLength(run.path) / whole;
      const end = run.end === undefined ? {} : { end: run.end - depth };
      return { on: 'stretch', part: part.id, edge: id, from, to: Math.min(1, at), mm: run.mm - depth, ...end };
    });
  });
}

/** The two places where a line enters and leaves an outline. */
function ends(outline: Path, { on, d }: Line): readonly Point[] {
  const hits = crossLine(outline, on, d).sort((a, b) => a.along - b.along);
  const [first, last] = [hits[0], hits[hits.length - 1]];
  return first && last && first !== last ? [first.at, last.at] : [];
}

/**
 * By how much the sewn outline lies further out than the net one at the two ends of a line, square to the seams there,
 * in mm: sewing takes square to a seam, however it leans.
 */
function further({ net, sewn }: Sewn, line: Line): number {
  const ring = flatten(net, 0.2);
  return ends(net, line).reduce((sum, at) => {
    const near = nearestPlace(sewn, at);
    return sum + (contains(ring, near.at) ? -near.distance : near.distance);
  }, 0);
}

/** A straight line: a place on it and its unit direction. */
interface Line {
  readonly on: Point;
  readonly d: Point;
}

const level = (y: number): Line => ({ on: point(0, y), d: point(1, 0) });

/** The hip is measured from the side square to the centre line. */
const hipLine = ({ points }: Panel): Line => ({
  on: points.sideHip,
  d: unit(subtract(points.centreHip, points.sideHip)),
});

/** The thigh is read so far below the crotch, where side and inseam alone bound the piece; in mm. */
const BELOW_CROTCH = 25;
/** The hem is read so far above its corners, in mm. */
const ABOVE_HEM = 15;

interface Sewn {
  readonly panel: Panel;
  readonly net: Path;
  readonly sewn: Path;
  /** What is left over at centre and side, in mm: it widens the waist. */
  readonly atWaist: number;
}

function sewnPanels(block: Block, allowances: Allowances): Sewn[] {
  const garment = garmentOfBoth({ block, legs: undefined });
  const given = garment.parts.flatMap((part) => leftOver(garment, part, allowances));
  const none: Allowances = { profile: { waist: 0, side: 0, inseam: 0, rise: 0, hem: 0 }, given };
  return garment.parts.map((part): Sewn => {
    const on = (edge: string): GivenStretch[] => given.filter((g) => g.part === part.id && g.edge === edge);
    const side = on('side')[0];
    const rise = on('rise').at(-1);
    const riseTop = rise ? (rise.end ?? rise.mm) : 0;
    return {
      panel: part.id === 'front' ? block.front : block.back,
      net: partOutline(part),
      sewn: offsetOutline(garment, part, none),
      atWaist: (side?.mm ?? 0) + riseTop,
    };
  });
}

/**
 * The proof of the allowances (docs/trade/pieces.md): hip, waist, thigh, knee and hem as drafted, and as the cut pieces
 * give them when every seam is sewn at its depth. The block's legs alone decide it; of legs that differ the mean of both.
 */
export function proofOf(legs: Legs, allowances: Allowances): Proof {
  const one = proofOfBlock(legs.left, allowances);
  if (legs.left === legs.right) return one;
  const two = proofOfBlock(legs.right, allowances);
  const mean = (name: keyof Proof): ProofLine => ({
    net: (one[name].net + two[name].net) / 2,
    sewn: (one[name].sewn + two[name].sewn) / 2,
  });
  return { hip: mean('hip'), waist: mean('waist'), thigh: mean('thigh'), knee: mean('knee'), hem: mean('hem') };
}

function proofOfBlock(block: Block, allowances: Allowances): Proof {
  const panels = sewnPanels(block, allowances);
  const figures = figuresOf(block);
  const gain = (at: (panel: Panel) => Line): number =>
    panels.reduce((sum, one) => sum + further(one, at(one.panel)), 0);
  const line = (net: number, more: number): ProofLine => ({ net, sewn: net + more });
  const kneeWidth = ({ points }: Panel): number => Math.abs(points.inseamKnee.x - points.sideKnee.x);
  const { kneeLevel, hemLevel } = block.front.levels;
  // A little above the hem, where the seams still run; of a short leg the knee is its hem.
  const foot = (panel: Panel): number => Math.min(panel.points.sideHem.y, panel.points.inseamHem.y) - ABOVE_HEM;
  const knee = (panel: Panel): number => (kneeLevel < hemLevel - 1 ? panel.levels.kneeLevel : foot(panel));
  return {
    hip: line(figures.hip, 2 * gain(hipLine)),
    waist: line(figures.waist, 2 * panels.reduce((sum, { atWaist }) => sum + atWaist, 0)),
    thigh: line(
      figures.thigh,
      gain((panel) => level(Math.max(panel.points.crotchPoint.y, panel.levels.crotchLevel) + BELOW_CROTCH)),
    ),
    knee: line(
      kneeWidth(block.front) + kneeWidth(block.back),
      gain((panel) => level(knee(panel))),
    ),
    hem: line(
      [block.front, block.back].reduce((sum, { edges }) => sum + pathLength(edges.hem), 0),
      gain((panel) => level(foot(panel))),
    ),
  };
}
