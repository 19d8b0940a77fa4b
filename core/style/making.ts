import type { Leg, Legs, Panel } from '../draft/index.js';
import { LEGS } from '../draft/index.js';
import { edgeOf, garmentOfBoth, lengthAlong, type Edge, type Garment, type Part } from '../garment/index.js';
import type { PanelName } from '../method/index.js';
import type { Finding } from './finding.js';
import type { Opening } from './opening.js';
import type { Top, Tops } from './round.js';
import { pieceLength, runOfStretch, seamsOfLine, type Parts, type Run, type RunPiece, type SeamLine } from './run.js';

/** A garment in the making: parts and lines of sewing, and what the next component builds on. */
export interface Making {
  readonly parts: readonly Part[];
  readonly lines: readonly SeamLine[];
  readonly top: Tops;
  readonly opening: Opening | undefined;
  /** How far above the cut waist the finished top edge lies, in mm. */
  readonly topAbove: number;
  readonly findings: readonly Finding[];
  /** The panels of each leg as the leg and the waist were cut. */
  readonly blocks: Legs;
  /** The same before the waist was cut down for a band of its own shape. */
  readonly uncut: Legs;
}

/** The parts by name. */
export const partsByName = ({ parts }: Pick<Making, 'parts'>): Parts => new Map(parts.map((p) => [p.id, p]));

const lineOf = (garment: Garment): SeamLine[] =>
  garment.seams.map((seam): SeamLine => {
    const { first, second, matches, ...rest } = seam;
    return {
      ...rest,
      first: [runOfStretch(first)],
      second: [runOfStretch(second)],
      matches: matches.map((m) => ({
        label: m.label,
        first: lengthAlong(garment, first, m.first),
        second: lengthAlong(garment, second, m.second),
      })),
    };
  });

/** The part that carries a panel of a leg: the pair's, or the leg's own. */
export function carrierOf({ parts }: Pick<Making, 'parts'>, panel: PanelName, leg: Leg): Part {
  const found = parts.find((p) => p.id === panel) ?? parts.find((p) => p.id === `${panel}.${leg}`);
  if (!found) throw new Error(`No part carries the ${panel} of the ${leg} leg`);
  return found;
}

/** The legs of a draft, as a garment in the making begins. */
export function begun(blocks: Legs, uncut: Legs): Making {
  const alike = blocks.left === blocks.right;
  const garment = garmentOfBoth({ block: blocks.left, legs: alike ? undefined : blocks });
  const half = (leg: Leg): Top => {
    const on = (panel: PanelName, backward: boolean): Run => {
      const part = carrierOf(garment, panel, leg);
      return [
        {
          part: part.id,
          edge: 'waist',
          backward,
          ...(leg === 'right' && part.leg === 'both' ? { mirrored: true } : {}),
        },
      ];
    };
    return { front: on('front', false), back: on('back', true) };
  };
  return {
    parts: garment.parts,
    lines: lineOf(garment),
    top: { left: half('left'), right: half('right') },
    opening: undefined,
    topAbove: 0,
    findings: [],
    blocks,
    uncut,
  };
}

/** Parts added at the end, and lines that sew them. */
export const withParts = (making: Making, parts: readonly Part[], lines: readonly SeamLine[] = []): Making => ({
  ...making,
  parts: [...making.parts, ...parts],
  lines: [...making.lines, ...lines],
});

/** What a component found, told with the rest. */
export const withFindings = (making: Making, ...findings: readonly Finding[]): Making => ({
  ...making,
  findings: [...making.findings, ...findings],
});

/** A part in the place of the one of the same name. */
export const withPart = (making: Making, part: Part): Making => ({
  ...making,
  parts: making.parts.map((p) => (p.id === part.id ? part : p)),
});

/** Edges of a part in the place of one of its edges, or of none where the list is empty. */
export const edgesInstead = (part: Part, id: string, edges: readonly Edge[]): Part => ({
  ...part,
  edges: part.edges.flatMap((e) => (e.id === id ? edges : [e])),
});

/** Every run of the top edges changed alike. */
const eachRun = ({ left, right }: Tops, change: (run: Run, leg: Leg) => Run): Tops => ({
  left: { front: change(left.front, 'left'), back: change(left.back, 'left') },
  right: { front: change(right.front, 'right'), back: change(right.back, 'right') },
});

/** The part of a run of whole edges that lies between two lengths from its start, in mm. */
function within(parts: Parts, pieces: Run, from: number, to: number): Run {
  let at = 0;
  return pieces.flatMap((piece): Run => {
    const long = pieceLength(parts, piece);
    const [low, high] = [Math.max(0, from - at), Math.min(long, to - at)];
    at += long;
    if (high - low < 0.01) return [];
    const start = piece.from ?? 0;
    return low < 0.01 && long - high < 0.01 && piece.from === undefined
      ? [piece]
      : [{ ...piece, from: start + low, to: start + high }];
  });
}

/**
 * Whatever runs along an edge runs along `pieces` instead, or along the same stretch of them; given in the order of the
 * edge's path, not mirrored, once the parts have their new edges.
 */
export function sewnInstead(making: Making, part: string, edge: string, pieces: Run): Making {
  const parts = partsByName(making);
  const swap = (run: Run): Run =>
    run.flatMap((p): Run => {
      if (p.part !== part || p.edge !== edge) return [p];
      const same =
        p.from === undefined && p.to === undefined ? pieces : within(parts, pieces, p.from ?? 0, p.to ?? Infinity);
      const mirrored = (q: RunPiece): RunPiece => (p.mirrored ? { ...q, mirrored: !q.mirrored } : q);
      return p.backward
        ? [...same].reverse().map((q) => mirrored({ ...q, backward: !q.backward }))
        : same.map(mirrored);
    });
  return {
    ...making,
    lines: making.lines.map((l) => ({ ...l, first: swap(l.first), second: swap(l.second) })),
    top: eachRun(making.top, swap),
  };
}

/** A line of sewing in the place of the one of its name; none takes it away. */
export const lineInstead = (making: Making, id: string, lines: readonly SeamLine[]): Making => ({
  ...making,
  lines: making.lines.flatMap((l) => (l.id === id ? lines : [l])),
});

/** A part with a notch of its own at the beginning or the end of one of its edges. */
export function notchedAt(part: Part, edge: string, end: 'start' | 'end', label: string, count: 1 | 2 = 1): Part {
  const { path } = edgeOf(part, edge);
  const at = end === 'start' ? { index: 0, t: 0 } : { index: path.length - 1, t: 1 };
  return { ...part, notches: [...(part.notches ?? []), { edge, label, at, count }] };
}

/** The panel of a part that carries one. */
export const panelOf = ({ blocks }: Making, name: PanelName, { leg }: Part): Panel =>
  blocks[leg === 'right' ? 'right' : 'left'][name];

/** Every part that carries a panel: the pair, or the two single ones. */
export const carriers = ({ parts }: Pick<Making, 'parts'>, name: PanelName): Part[] =>
  parts.filter((p) => p.id === name || p.like === name);

/** The name of a part that goes with one leg's, or with the pair. */
export const named = (id: string, { leg }: Pick<Part, 'leg'>): string => (leg === 'both' ? id : `${id}.${leg}`);

/** How a part that goes with another is cut, and for which leg. */
export const cutLike = ({ leg, up, cut }: Part): Pick<Part, 'leg' | 'up' | 'cut'> => ({ leg, up, cut });

const LEG_NAMES: Readonly<Record<Leg, string>> = { left: 'Left', right: 'Right' };
/** The leg for which a panel is drawn with the right side of the cloth up. */
const DRAWN_UP: Readonly<Record<PanelName, Leg>> = { front: 'right', back: 'left' };

/** A mirrored pair that carries a panel as two single parts, since a component makes them differ. */
export function pairApart(making: Making, name: PanelName): Making {
  const pair = making.parts.find((p) => p.id === name);
  if (!pair) return making;
  const single = (leg: Leg): Part => ({
    ...pair,
    id: `${name}.${leg}`,
    name: `${LEG_NAMES[leg]} ${pair.name.toLowerCase()}`,
    like: name,
    leg,
    cut: { count: 1, how: 'alike' },
    up: DRAWN_UP[name] === leg ? 'right' : 'wrong',
  });
  const of =
    (leg: Leg) =>
    (p: RunPiece): RunPiece =>
      p.part === name ? { part: `${name}.${leg}`, edge: p.edge, backward: p.backward } : p;
  const on = (run: Run): boolean => run.some((p) => p.part === name);
  const lines = making.lines.flatMap((l): SeamLine[] => {
    if (!on(l.first) && !on(l.second)) return [l];
    const centre = l.second.some((p) => p.part === name && p.mirrored) && l.first.some((p) => p.part === name);
    if (centre) return [{ ...l, first: l.first.map(of('left')), second: l.second.map(of('right')) }];
    if (l.like !== undefined) {
      const leg = l.id.endsWith('.right') ? 'right' : 'left';
      return [{ ...l, first: l.first.map(of(leg)), second: l.second.map(of(leg)) }];
    }
    return LEGS.map((leg) => ({
      ...l,
      id: `${l.id}.${leg}`,
      like: l.id,
      label: `${l.label}, ${leg} leg`,
      first: l.first.map(of(leg)).map((p) => otherSide(p, leg, name)),
      second: l.second.map(of(leg)).map((p) => otherSide(p, leg, name)),
    }));
  });
  return {
    ...making,
    parts: making.parts.flatMap((p) => (p.id === name ? LEGS.map(single) : [p])),
    lines,
    top: eachRun(making.top, (run, leg) => run.map(of(leg))),
  };
}

/** On the right leg a part that is still a pair is sewn by its mirror image. */
const otherSide = (p: RunPiece, leg: Leg, apart: PanelName): RunPiece =>
  leg === 'right' && !p.part.startsWith(`${apart}.`) ? { ...p, mirrored: true } : p;

/** A line that is sewn alike on both legs, as one line for each: what follows may treat them otherwise. */
export function lineApart(making: Making, id: string): Making {
  const line = making.lines.find((l) => l.id === id);
  if (!line) return making;
  return lineInstead(
    making,
    id,
    LEGS.map((leg) => ({
      ...line,
      id: `${id}.${leg}`,
      like: id,
      label: `${line.label}, ${leg} leg`,
      first: leg === 'right' ? line.first.map((p) => ({ ...p, mirrored: !p.mirrored })) : line.first,
      second: leg === 'right' ? line.second.map((p) => ({ ...p, mirrored: !p.mirrored })) : line.second,
    })),
  );
}

/** The garment that has been made: its parts and the seams read from its lines. */
export function made(making: Making): Garment {
  const parts = partsByName(making);
  return { parts: making.parts, seams: making.lines.flatMap((line) => seamsOfLine(parts, line)) };
}
