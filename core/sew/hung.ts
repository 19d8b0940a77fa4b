import type { DistanceGrid, SolidBody } from '../body/index.js';
import type { Leg } from '../draft/index.js';
import type { Point } from '../geometry/index.js';
import type { Assembly } from './assembly.js';
import type { Draped } from './drape.js';
import { fitFigures } from './figures.js';
import type { FitFigures } from './fit-figures.js';
import { finderIn } from './finder.js';
import { gapOf, pressureOf, strainOf } from './maps.js';

/** What is shown on the cloth, place by place. */
export const FIT_MAPS = {
  across: { unit: 'percent', noise: 0.3 },
  along: { unit: 'percent', noise: 0.3 },
  drag: { unit: 'percent', noise: 4 },
  gap: { unit: 'mm', noise: 4 },
  pressure: { unit: 'kPa', noise: 0.15 },
} as const satisfies Readonly<Record<string, { unit: string; noise: number }>>;

/** The name of a map. */
export type FitMapId = keyof typeof FIT_MAPS;

/** All maps in order. */
export const FIT_MAP_IDS = Object.keys(FIT_MAPS) as FitMapId[];

/** One part as it hangs, to be drawn and sent: all by its own places. */
export interface HungPart {
  readonly part: string;
  readonly name: string;
  /** Where each place lies on the part, mm: two each. */
  readonly flat: Float32Array;
  /** Where it hangs, mm: x outward, y up, z to the front: three each. */
  readonly places: Float32Array;
  readonly triangles: Uint32Array;
  readonly maps: Readonly<Record<FitMapId, Float32Array>>;
}

/** One half of a garment as it hangs, x outward. */
export interface HungLeg {
  readonly parts: readonly HungPart[];
  readonly figures: FitFigures;
}

/** A garment as it hangs, to be drawn, sent and held against another: its left half, and the right where that differs. */
export interface Hung extends HungLeg {
  readonly rightLeg?: HungLeg;
}

/** One half of a garment as it hangs. */
export const hungLeg = (hung: Hung, leg: Leg): HungLeg => (leg === 'right' ? (hung.rightLeg ?? hung) : hung);

/** What is laid over the particles from its triangles: the mean by area, of what is more than nought. */
function spread({ count, triangles: { corners, area } }: Assembly, of: (t: number) => number): Float64Array {
  const sum = new Float64Array(count);
  const whole = new Float64Array(count);
  for (let t = 0; t < area.length; t++)
    for (let k = 0; k < 3; k++) {
      const p = corners[3 * t + k] as number;
      sum[p] = (sum[p] as number) + of(t) * (area[t] as number);
      whole[p] = (whole[p] as number) + (area[t] as number);
    }
  return sum.map((s, p) => s / Math.max(1e-12, whole[p] as number));
}

/** A draped garment as it is drawn and sent, with its maps and figures. */
export function hungOf({ rightLeg, ...draped }: Draped, body: SolidBody, grid: DistanceGrid): Hung {
  const left = hungLegOf(draped, body, grid);
  return rightLeg ? { ...left, rightLeg: hungLegOf(rightLeg, body, grid) } : left;
}

function hungLegOf(draped: Draped, body: SolidBody, grid: DistanceGrid): HungLeg {
  const { assembly, at } = draped;
  const strain = strainOf(draped);
  const stretch = (of: Float64Array) => (t: number) => 100 * Math.max(0, of[t] as number);
  const maps: Record<FitMapId, Float64Array> = {
    across: spread(assembly, stretch(strain.weft)),
    along: spread(assembly, stretch(strain.warp)),
    drag: spread(assembly, (t) => 100 * Math.abs(strain.shear[t] as number)),
    gap: gapOf(draped, grid),
    pressure: pressureOf(draped),
  };
  return {
    parts: assembly.meshes.map(({ outline, places, triangles }, m): HungPart => {
      const particle = (i: number): number => assembly.particles[m]?.[i] as number;
      return {
        part: outline.part.id,
        name: outline.part.name,
        flat: Float32Array.from(places.flatMap(({ x, y }) => [x, y])),
        places: Float32Array.from(
          places.flatMap((_, i) => [0, 1, 2].map((k) => 1000 * (at[3 * particle(i) + k] as number))),
        ),
        triangles: Uint32Array.from(triangles.flat()),
        maps: Object.fromEntries(
          FIT_MAP_IDS.map((id) => [id, Float32Array.from(places, (_, i) => maps[id][particle(i)] as number)]),
        ) as Record<FitMapId, Float32Array>,
      };
    }),
    figures: fitFigures(draped, body, grid),
  };
}

/**
 * A map of one garment less that of another, place by place of the first: where a part is larger than the other's, the
 * nearest place of that is taken. What lies within the noise is nought.
 */
export function mapDifference(after: HungLeg, before: HungLeg, id: FitMapId): Float32Array[] {
  const { noise } = FIT_MAPS[id];
  return after.parts.map((part) => {
    const other = before.parts.find((p) => p.part === part.part);
    if (!other) return new Float32Array(part.maps[id].length);
    const find = finderIn(pointsOf(other.flat), trianglesOf(other.triangles));
    return part.maps[id].map((value, i) => {
      const { corners, shares } = find({ x: part.flat[2 * i] as number, y: part.flat[2 * i + 1] as number });
      const was = corners.reduce((sum, c, k) => sum + (shares[k] as number) * (other.maps[id][c] as number), 0);
      const by = value - was;
      return Math.abs(by) > noise ? by : 0;
    });
  });
}

const pointsOf = (flat: Float32Array): Point[] =>
  Array.from({ length: flat.length / 2 }, (_, i) => ({ x: flat[2 * i] as number, y: flat[2 * i + 1] as number }));

const trianglesOf = (flat: Uint32Array): [number, number, number][] =>
  Array.from(
    { length: flat.length / 3 },
    (_, t) => [flat[3 * t], flat[3 * t + 1], flat[3 * t + 2]] as [number, number, number],
  );
