import {
  along,
  angleBetween,
  between,
  distance,
  dot,
  endOf,
  line,
  mapPath,
  pathLength,
  placeAtLength,
  quarterTurn,
  splitPath,
  startOf,
  subtract,
  unit,
  type Cubic,
  type Path,
  type PathPlace,
  type Place,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { close, type FlatDart } from './flat-dart.js';
import type { Panel } from './panel.js';
import { openWaist } from './waist-open.js';

/** A dart that a maker lays into a pattern that has none there; in mm. */
export interface LaidDart {
  readonly panel: PanelName;
  /** Along the waist from the centre to its middle. */
  readonly at: number;
  readonly intake: number;
  readonly length: number;
}

/** A waist from the centre to the side, cut by its darts: its sections, and the apex between each two. */
export interface CutWaist {
  readonly sections: readonly Path[];
  readonly apexes: readonly Point[];
}

/** The waist with its darts closed: each section turned over the darts before it, the legs made equal halfway. */
function closedOver({ sections, apexes }: CutWaist): {
  readonly path: Path;
  readonly cuts: readonly PathPlace[];
  readonly flat: readonly FlatDart[];
} {
  const flat: FlatDart[] = apexes.map((apex, k) => {
    const [centreLeg, sideLeg] = [endOf(sections[k] as Path), startOf(sections[k + 1] as Path)];
    const middle = between(centreLeg, sideLeg, 0.5);
    return {
      apex,
      up: unit(subtract(middle, apex)),
      angle: angleBetween(subtract(centreLeg, apex), subtract(sideLeg, apex)),
    };
  });
  const turned = sections.map((section, k) => mapPath(section, (p) => close(p, flat, k)));
  const path: Cubic[] = [];
  const cuts: PathPlace[] = [];
  for (const section of turned) {
    const before = path[path.length - 1];
    const [first, ...rest] = section;
    if (!first) continue;
    if (!before) {
      path.push(...section);
      continue;
    }
    const meets = between(before.p3, first.p0, 0.5);
    path[path.length - 1] = { ...before, p3: meets };
    cuts.push({ index: path.length, t: 0 });
    path.push({ ...first, p0: meets }, ...rest);
  }
  return { path, cuts, flat };
}

/** A dart begins within this of where it was laid: legs made equal and a curved waist move it by less, in mm. */
const NEAR = 12;

/** What lies between a dart and the next, or an end of its section, at the least, in mm. */
const BESIDE = 3;

/** A waist with darts laid into it, each square to it; nothing where one has no room in a section between two others. */
export function withDarts(waist: CutWaist, darts: readonly LaidDart[]): CutWaist | undefined {
  let { sections, apexes } = waist;
  for (const { at, intake, length } of darts) {
    let before = 0;
    const k = sections.findIndex((section) => {
      const own = pathLength(section);
      if (at - intake / 2 > before + BESIDE && at + intake / 2 < before + own - BESIDE) return true;
      before += own;
      return false;
    });
    const section = sections[k];
    if (!section || intake <= 0 || length <= 0) return undefined;
    const place = (s: number): Place => placeAtLength(section, s - before);
    const [from, to] = [place(at - intake / 2), place(at + intake / 2)];
    // Square to what it takes out of the waist, so that its legs are of one length; the piece lies on the waist's left.
    const apex = along(between(from.at, to.at, 0.5), quarterTurn(unit(subtract(to.at, from.at))), -length);
    const [left] = splitPath(section, from);
    const [, right] = splitPath(section, to);
    sections = [...sections.slice(0, k), left, right, ...sections.slice(k + 1)];
    apexes = [...apexes.slice(0, k), apex, ...apexes.slice(k)];
  }
  return { sections, apexes };
}

/** A waist as a panel has it, and by how much its closed darts turn the side, in radians. */
interface WaistOfPanel extends Pick<Panel, 'darts' | 'waistSections' | 'closedWaist'> {
  readonly edge: Path;
  readonly turned: number;
}

/** Where along a waist, from the centre in mm, one more dart has most room: the middle of its longest section. */
export function roomForDart({ waistSections }: Pick<Panel, 'waistSections'>): number {
  const lengths = waistSections.map(pathLength);
  const longest = lengths.indexOf(Math.max(...lengths));
  return lengths.slice(0, longest).reduce((sum, mm) => sum + mm, 0) + (lengths[longest] ?? 0) / 2;
}

/**
 * Which of a panel's darts each of those laid into it has become, by place in `panel.darts`; -1 where none of them lies
 * there any more. A dart that is laid in later takes its intake out of the waist before those nearer to the side.
 */
export function laidDartsOn(panel: Pick<Panel, 'name' | 'waistSections'>, darts: readonly LaidDart[]): number[] {
  const own = darts.filter((d) => d.panel === panel.name);
  let run = 0;
  const starts = panel.waistSections.slice(0, -1).map((section) => (run += pathLength(section)));
  return own.map(({ at, intake }, i) => {
    const later = own.slice(i + 1).filter((d) => d.at < at);
    const start = at - intake / 2 - later.reduce((sum, d) => sum + d.intake, 0);
    const near = starts.map((s) => Math.abs(s - start));
    const nearest = near.indexOf(Math.min(...near));
    return (near[nearest] ?? Infinity) < NEAR ? nearest : -1;
  });
}

/** How finely places for an apex are looked for along a waist, in mm; and how often such a step is halved. */
const LOOK = 4;
const HALVED = 20;

/**
 * By how much a dart has to move along the waist, and how long it then is, for its apex to come to `to`, in mm: each dart
 * stands square to what it takes out of the waist, so that it turns on a curved one. It moves no further than to the dart
 * beside it; of several places the nearest, where there is none the one from which its middle line passes `to` nearest.
 */
export function dartToward(
  { waistSections, darts }: Pick<Panel, 'waistSections' | 'darts'>,
  index: number,
  to: Point,
): { readonly moved: number; readonly length: number } | undefined {
  const [dart, before, after] = [darts[index], waistSections[index], waistSections[index + 1]];
  if (!dart || !before || !after) return undefined;
  const waist = [...before, line(dart.centreLeg, dart.sideLeg), ...after];
  const half = distance(dart.centreLeg, dart.sideLeg) / 2;
  const now = pathLength(before) + half;
  const [least, most] = [half + BESIDE, pathLength(waist) - half - BESIDE];
  const axis = (s: number): { readonly off: number; readonly length: number } => {
    const [from, end] = [placeAtLength(waist, s - half).at, placeAtLength(waist, s + half).at];
    const across = unit(subtract(end, from));
    const out = subtract(to, between(from, end, 0.5));
    return { off: dot(out, across), length: -dot(out, quarterTurn(across)) };
  };
  let nearest = now;
  let off = Math.abs(axis(now).off);
  const look = (way: 1 | -1): number | undefined => {
    let [s, here] = [now, axis(now).off];
    for (;;) {
      const next = s + way * LOOK;
      if (next < least || next > most) return undefined;
      const there = axis(next).off;
      if (Math.abs(there) < off) [nearest, off] = [next, Math.abs(there)];
      if (here * there <= 0) {
        let [low, high] = [s, next];
        for (let i = 0; i < HALVED; i++) {
          const middle = (low + high) / 2;
          if (axis(middle).off * here > 0) low = middle;
          else high = middle;
        }
        return (low + high) / 2;
      }
      [s, here] = [next, there];
    }
  };
  const found = [look(1), look(-1)]
    .filter((s) => s !== undefined)
    .sort((a, b) => Math.abs(a - now) - Math.abs(b - now));
  const s = found[0] ?? nearest;
  return { moved: s - now, length: axis(s).length };
}

/** The waist opened again over its darts; one without darts as it lies. */
export function waistOf(waist: CutWaist): WaistOfPanel {
  const { path, cuts, flat } = closedOver(waist);
  const open = openWaist({ path, cuts }, flat);
  return {
    edge: open.edge,
    darts: open.darts,
    waistSections: open.sections,
    closedWaist: path,
    turned: flat.reduce((sum, { angle }) => sum + angle, 0),
  };
}
