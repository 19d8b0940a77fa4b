import {
  endDirection,
  endOf,
  pathLength,
  placeAtLength,
  point,
  scale,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../../core/geometry/index.js';
import type { Part } from '../../core/garment/index.js';
import { componentNamed, standing, type Style, type Styled, type StyleContext } from '../../core/style/index.js';

/** A place on a part that can be taken hold of: it sets one length of one component. */
export interface StyleHandle {
  readonly component: string;
  readonly field: string;
  readonly label: string;
  readonly at: Point;
  /** Unit direction in which the length grows. */
  readonly along: Point;
  /** How much of the way the hand goes the length changes by. */
  readonly share: number;
  /** The length now, in mm. */
  readonly mm: number;
  readonly least: number;
  readonly most: number;
}

const pathOf = (part: Part, edge: string): Path | undefined => part.edges.find((e) => e.id === edge)?.path;

/** The strips of a straight band. */
const BANDS = new Set(['band', 'bandFront', 'bandBack']);

type Place = Pick<StyleHandle, 'at' | 'along'> & { readonly share?: number };

const outwardAt = (hem: Path, end: 'start' | 'end'): Point => {
  const [a, b] = [startOf(hem), endOf(hem)];
  const way = end === 'start' ? Math.sign(a.x - b.x) : Math.sign(b.x - a.x);
  return point(way, 0);
};

/** Where each length of each component is gripped on a part that shows it. */
const PLACES: Readonly<Record<string, Readonly<Record<string, (part: Part) => Place | undefined>>>> = {
  flare: { by: atHem(1) },
  taper: { by: atHem(-1) },
  fullLeg: { by: atHem(1) },
  length: {
    inside: (part) => {
      const hem = pathOf(part, 'hem');
      return hem && { at: placeAtLength(hem, pathLength(hem) / 2).at, along: point(0, 1) };
    },
  },
  waistDrop: {
    by: (part) => {
      const rise = pathOf(part, 'rise') ?? pathOf(part, 'flyOpening');
      const open = pathOf(part, 'flyOpening') ?? pathOf(part, 'zipOpening') ?? rise;
      return open && { at: endOf(open), along: scale(endDirection(open), -1) };
    },
  },
  slantPocket: {
    waist: (part) => {
      const mouth = pathOf(part, 'pocketMouth');
      const waist = pathOf(part, 'waist');
      return mouth && waist && { at: startOf(mouth), along: scale(endDirection(waist), -1) };
    },
    side: (part) => {
      const mouth = pathOf(part, 'pocketMouth');
      const side = pathOf(part, 'side');
      return mouth && side && { at: endOf(mouth), along: startDirection(side) };
    },
  },
  fly: {
    length: (part) => {
      const open = pathOf(part, 'flyOpening') ?? undefined;
      return open && { at: startOf(open), along: scale(startDirection(open), -1) };
    },
  },
  zip: {
    length: (part) => {
      const open = pathOf(part, 'zipOpening');
      if (!open) return undefined;
      // In the side the opening runs down, in the centre behind up to the waist.
      const down = startOf(open).y < endOf(open).y;
      return down
        ? { at: endOf(open), along: endDirection(open) }
        : { at: startOf(open), along: scale(startDirection(open), -1) };
    },
  },
  yoke: {
    side: (part) => {
      const yokeLine = pathOf(part, 'yokeLine');
      const side = pathOf(part, 'side');
      return yokeLine && side && { at: endOf(yokeLine), along: startDirection(side) };
    },
    centre: (part) => {
      const yokeLine = pathOf(part, 'yokeLine');
      const rise = pathOf(part, 'rise');
      return yokeLine && rise && { at: startOf(yokeLine), along: scale(endDirection(rise), -1) };
    },
  },
  band: {
    depth: (part) => {
      const upper = BANDS.has(part.like ?? part.id) ? pathOf(part, 'upper') : undefined;
      const folded = part.marks.some((m) => m.kind === 'line' && m.meaning === 'fold');
      return (
        upper && { at: placeAtLength(upper, pathLength(upper) / 2).at, along: point(1, 0), share: folded ? 0.5 : 1 }
      );
    },
  },
  slit: {
    height: (part) => {
      const open = pathOf(part, 'slit');
      if (!open) return undefined;
      const up = startOf(open).y < endOf(open).y;
      return up ? { at: startOf(open), along: point(0, -1) } : { at: endOf(open), along: point(0, -1) };
    },
  },
};

function atHem(sign: 1 | -1): (part: Part) => Place | undefined {
  return (part) => {
    const hem = pathOf(part, 'hem');
    return hem && { at: startOf(hem), along: scale(outwardAt(hem, 'start'), sign) };
  };
}

/** What of a style can be set by hand on a part, as it lies in its own coordinates. */
export function styleHandles(part: Part, style: Style, styled: Styled, context: StyleContext): StyleHandle[] {
  const left = new Set(styled.told.filter((t) => t.refusal).map((t) => t.component));
  return style.flatMap(({ id, values }): StyleHandle[] => {
    const component = componentNamed(id);
    const places = PLACES[id];
    if (!component || !places || left.has(id)) return [];
    return Object.entries(places).flatMap(([name, place]): StyleHandle[] => {
      const field = component.fields[name];
      const found = place(part);
      if (field?.as !== 'length' || !found) return [];
      const set = standing(field, values[name], context);
      const mm = typeof set === 'number' ? set : (styled.opening?.length ?? 0);
      return [
        {
          component: id,
          field: name,
          label: `${component.label}: ${field.label.toLowerCase()}`,
          at: found.at,
          along: found.along,
          share: found.share ?? 1,
          mm,
          least: field.least,
          most: field.most,
        },
      ];
    });
  });
}
