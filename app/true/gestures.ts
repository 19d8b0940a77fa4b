import { RUNS_UP, takesDartOver, type AlterationWork, type LevelPlace } from '../../core/alter/index.js';
import type { Block, EdgeName, Panel } from '../../core/draft/index.js';
import {
  add,
  along,
  directionAtPlace,
  distance,
  dot,
  nearestPlace,
  pathLength,
  placeAtLength,
  subtract,
  type Point,
} from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { snapTo } from '../../core/units/index.js';
import { toPanel, type Arranged } from '../board/arrange.js';
import type { TrueTool } from './true-store.js';

/** Where a hand took hold of a piece, in panel coordinates. */
export interface Hold {
  readonly panel: PanelName;
  readonly edge: EdgeName;
  /** From the edge's upper end (waist: from the centre, hem: from the side), 0 to 1. */
  readonly share: number;
  /** From the edge's start in the direction of the outline, in mm. */
  readonly length: number;
  readonly at: Point;
}

const EDGES: readonly EdgeName[] = ['rise', 'side', 'inseam', 'waist', 'hem'];

/** The seam of either piece that is nearest to a point of the board, no further off than `reach` mm. */
export function holdAt(block: Block, arranged: Arranged, board: Point, reach: number): Hold | undefined {
  let best: (Hold & { off: number }) | undefined;
  for (const panel of PANEL_NAMES) {
    const p = toPanel(board, arranged[panel]);
    for (const edge of EDGES) {
      const path = block[panel].edges[edge];
      const near = nearestPlace(path, p);
      if (near.distance > reach || (best && near.distance >= best.off)) continue;
      const share = near.length / pathLength(path);
      best = {
        panel,
        edge,
        share: RUNS_UP.has(edge) ? 1 - share : share,
        length: near.length,
        at: near.at,
        off: near.distance,
      };
    }
  }
  return best;
}

const whole = (x: number): number => Math.round(x * 1000) / 1000;
const level = (y: number): LevelPlace => ({ line: 'waistLine', by: Math.round(y) });

/** How far a seam moved by hand runs out above and below, in mm. */
const RUN_OUT = 120;
/** How much a new cut is opened, in mm: it is pulled further by hand. */
export const FIRST_OPENING = 5;

/** A cut drawn from one seam to a hinge on another; nothing where both ends lie on one seam or on two pieces. */
export function cutBetween(from: Hold, to: Hold): AlterationWork | undefined {
  if (from.panel !== to.panel || from.edge === to.edge) return undefined;
  return {
    kind: 'wedge',
    panel: from.panel,
    from: { edge: from.edge, share: whole(from.share) },
    hinge: { edge: to.edge, share: whole(to.share) },
    by: FIRST_OPENING,
  };
}

/**
 * The opening of a wedge that was `by` mm and is pulled by `gone` mm, in whole steps. It never comes to nothing: a
 * wedge of nothing has no cut to take hold of.
 */
export function pulledTo(by: number, gone: number, step: number): number {
  const to = snapTo(by + gone, step);
  return to === 0 ? (by < 0 ? -step : step) : to;
}

function seamBy(panel: Panel, hold: Hold, by: Point, step: number): AlterationWork | undefined {
  const seam = hold.edge === 'rise' ? 'centre' : hold.edge;
  if (seam !== 'side' && seam !== 'inseam' && seam !== 'centre') return undefined;
  const outward =
    seam === 'side'
      ? { x: -1, y: 0 }
      : seam === 'inseam'
        ? { x: 1, y: 0 }
        : { x: panel.centreDown.y, y: -panel.centreDown.x };
  const at = level(hold.at.y);
  return {
    kind: 'seam',
    panel: hold.panel,
    seam,
    by: snapTo(dot(by, outward), step),
    from: at,
    to: at,
    runOut: RUN_OUT,
  };
}

function scoopBy(panel: Panel, hold: Hold, by: Point, step: number): AlterationWork | undefined {
  if (hold.edge !== 'rise') return undefined;
  const curve = panel.edges.rise.slice(0, panel.joints.curveStart);
  const total = pathLength(curve);
  const at = Math.min(0.95, Math.max(0.05, hold.length / total));
  const up = directionAtPlace(curve, placeAtLength(curve, at * total));
  return {
    kind: 'scoop',
    panel: hold.panel,
    at: whole(at),
    by: snapTo(dot(by, { x: up.y, y: -up.x }), step),
    keepLength: false,
  };
}

function tiltBy(panel: Panel, hold: Hold, by: Point, step: number): AlterationWork | undefined {
  if (hold.edge !== 'rise') return undefined;
  const { centreWaist, curveStart } = panel.points;
  const reach = distance(centreWaist, curveStart);
  const held = Math.max(30, distance(hold.at, curveStart));
  const inward = dot(by, { x: -panel.centreDown.y, y: panel.centreDown.x });
  return {
    kind: 'tilt',
    panel: hold.panel,
    above: 0,
    by: snapTo((inward * reach) / held, step),
    giveBack: true,
  };
}

/** A dart let go this near to a seam, in mm, is turned into it. */
const ONTO_SEAM = 20;

/** A dart pulled up by its mouth by more than this, in mm, is split. */
const PULLED_OUT = 15;
/** How far apart the halves of a split dart stand, in mm: it is changed in figures. */
const SPLIT_APART = 30;

const INTO = [
  ['side', 'intoSide'],
  ['rise', 'intoCentre'],
  ['hem', 'intoHem'],
] as const;

function dartBy(panel: Panel, hold: Hold, from: Point, by: Point, step: number): AlterationWork | undefined {
  const found = panel.darts
    .map((dart, i) => ({ dart, i, off: Math.min(distance(from, dart.apex), distance(from, dart.peak)) }))
    .sort((a, b) => a.off - b.off)[0];
  if (!found) return undefined;
  const { dart, i } = found;
  const to = add(from, by);
  const into = INTO.find(([edge]) => nearestPlace(panel.edges[edge], to).distance < ONTO_SEAM)?.[1];
  if (into) return { kind: 'dart', panel: hold.panel, dart: i, act: into, by: 0, keepWaist: true };
  const sideward = subtract(dart.sideLeg, dart.centreLeg);
  const along1 = dot(by, sideward) / (distance(dart.sideLeg, dart.centreLeg) || 1);
  const down = subtract(dart.apex, dart.peak);
  const deeper = dot(by, down) / (distance(dart.apex, dart.peak) || 1);
  const atApex = distance(from, dart.apex) < distance(from, dart.peak);
  if (!atApex && -deeper > PULLED_OUT && -deeper > Math.abs(along1)) {
    return { kind: 'dart', panel: hold.panel, dart: i, act: 'split', by: SPLIT_APART, keepWaist: true };
  }
  const act = Math.abs(along1) >= Math.abs(deeper) ? (atApex ? 'turn' : 'move') : 'length';
  return {
    kind: 'dart',
    panel: hold.panel,
    dart: i,
    act,
    by: snapTo(act === 'length' ? deeper : along1, step),
    keepWaist: true,
  };
}

/**
 * The alteration that a drag with a tool makes: `by` is how far the hand has gone, in panel coordinates, mm; amounts
 * snap to `step` mm. Nothing where the tool does nothing to the seam that was taken hold of, or not yet anything.
 */
export function workOfDrag(
  tool: Exclude<TrueTool, 'cut'>,
  panel: Panel,
  hold: Hold,
  by: Point,
  step: number,
): AlterationWork | undefined {
  const work =
    tool === 'seam'
      ? seamBy(panel, hold, by, step)
      : tool === 'scoop'
        ? scoopBy(panel, hold, by, step)
        : tool === 'tilt'
          ? tiltBy(panel, hold, by, step)
          : dartBy(panel, hold, hold.at, by, step);
  const turned = work?.kind === 'dart' && takesDartOver(work.act);
  return work && (turned || ('by' in work && work.by !== 0)) ? work : undefined;
}

/** The dart nearest to a point of the board, held at its mouth or its point; nothing further off than `reach` mm. */
export function dartHoldAt(block: Block, arranged: Arranged, board: Point, reach: number): Hold | undefined {
  for (const panel of PANEL_NAMES) {
    const p = toPanel(board, arranged[panel]);
    for (const dart of block[panel].darts) {
      for (const t of [0, 0.25, 0.5, 0.75, 1]) {
        const at = along(dart.apex, subtract(dart.peak, dart.apex), t);
        if (distance(at, p) < reach + dart.intake / 2) return { panel, edge: 'waist', share: 0, length: 0, at: p };
      }
    }
  }
  return undefined;
}
