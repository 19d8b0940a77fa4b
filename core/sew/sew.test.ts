import { describe, expect, it } from 'vitest';
import { BODIES, wornBy } from '../../bench/worn.js';
import type { DistanceGrid } from '../body/index.js';
import { enclosedArea, flatten, pathLength, type Point } from '../geometry/index.js';
import { partOf, partOutline, type Part } from '../garment/index.js';
import { completeBody } from '../measure/index.js';
import {
  CLOTH_MATTER,
  Cloth,
  differ,
  drape,
  drapeOf,
  feltGrid,
  FIT_FIGURE_IDS,
  FIT_FIGURES,
  fitFigures,
  gapOf,
  hungOf,
  mapDifference,
  meshParts,
  particlesOf,
  sayDifference,
  sewUp,
  STAGES,
  strainOf,
  wear,
  type ClothMatter,
  type Draped,
  type PartMesh,
  type Stage,
} from './index.js';

const [first] = BODIES;
if (!first) throw new Error('a body');
const { body, drafts } = wornBy(first, 'close');
const grid = feltGrid(body);
const calico = CLOTH_MATTER[0] as ClothMatter;
const COARSE: readonly Stage[] = STAGES.slice(0, 1).map((stage) => ({ ...stage, spacing: 30 }));
const hang = (name: keyof typeof drafts): Draped => drapeOf({ garment: drafts[name] }, body, calico, grid, COARSE);
const good = hang('good');

const areaOf = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce((sum, p, i) => {
      const q = points[(i + 1) % points.length] as Point;
      return sum + p.x * q.y - q.x * p.y;
    }, 0),
  ) / 2;

describe('the meshes of a garment', () => {
  const meshes = meshParts(drafts.good, 13);

  it('cover each part but for its darts, with no triangle over another', () => {
    for (const { outline, places, triangles } of meshes) {
      const covered = triangles.reduce((sum, t) => sum + areaOf(t.map((i) => places[i] as Point)), 0);
      expect(covered / areaOf(outline.places)).toBeCloseTo(1, 4);
      const part = partOf(drafts.good, outline.part.id);
      const paper = Math.abs(enclosedArea(partOutline(part)));
      const darts = outline.darts.reduce((sum, [a, b]) => {
        const at = (i: number | undefined): Point => outline.places[i ?? 0] as Point;
        return sum + areaOf([at(a[0]), at(a[a.length - 1]), at(b[0])]);
      }, 0);
      expect(covered / (paper - darts)).toBeCloseTo(1, 2);
      expect(outline.darts.length).toBe(1);
    }
  });

  it('have as many places on either side of a seam, and are sewn into one', () => {
    const sewn = sewUp(drafts.good, meshes);
    for (const role of ['side', 'inseam'] as const) {
      const [a, b] = meshes.map(({ outline }) => outline.edges.get(role)?.length);
      expect([role, a]).toEqual([role, b]);
      expect(particlesOf(sewn, role).length).toBe(a);
    }
    // The waist is as long as both panels' waists with their darts closed.
    const waist = sewn.waistSteps.reduce((sum, s) => sum + s, 0);
    const paper = ['front', 'back'].reduce((sum, id) => {
      const edge = partOf(drafts.good, id).edges.find((e) => e.role === 'waist');
      return sum + pathLength(edge?.sewn ?? []);
    }, 0);
    expect(Math.abs(1000 * waist - paper)).toBeLessThan(2);
    expect(flatten(partOutline(partOf(drafts.good, 'front')), 1).length).toBeGreaterThan(20);
  });

  it('lie in the middle along both rises and nowhere else', () => {
    const sewn = sewUp(drafts.good, meshes);
    const rises = new Set(particlesOf(sewn, 'rise'));
    expect([...sewn.onMiddle.keys()].filter((p) => sewn.onMiddle[p] === 1).sort()).toEqual([...rises].sort());
  });
});

/** Nothing anywhere near. */
const NOBODY: DistanceGrid = {
  step: 1000,
  least: [-5000, -5000, -5000],
  count: [2, 2, 2],
  values: new Float32Array(8).fill(1000),
};

/** A strip of cloth along the warp that hangs by its upper edge: 100 by 400 mm. */
function hangingStrip(
  matter: ClothMatter,
  mass: number,
  steps = 12_000,
  tilted = 0,
  warp: Point = { x: 0, y: 1 },
): { readonly cloth: Cloth; readonly draped: Draped } {
  const [wide, long, step] = [100, 390, 13];
  const places: Point[] = [];
  for (let y = 0; y <= long; y += step) for (let x = 0; x <= wide; x += wide / 8) places.push({ x, y });
  const at = (row: number, column: number): number => row * 9 + column;
  const triangles: [number, number, number][] = [];
  for (let r = 0; r < long / step; r++)
    for (let c = 0; c < 8; c++)
      triangles.push([at(r, c), at(r, c + 1), at(r + 1, c)], [at(r, c + 1), at(r + 1, c + 1), at(r + 1, c)]);
  const part = { id: 'strip', name: 'Strip', edges: [] as Part['edges'] } as Part;
  const mesh: PartMesh = {
    outline: { part, places, edges: new Map(), waist: [Array.from({ length: 9 }, (_, c) => at(0, c))], darts: [] },
    places,
    triangles,
    warp,
  };
  const assembly = sewUp({ parts: [], seams: [] }, [mesh]);
  const start = Float64Array.from(
    places.flatMap(({ x, y }) => [1 + x / 1000, 2 - (y * Math.cos(tilted)) / 1000, (y * Math.sin(tilted)) / 1000]),
  );
  const cloth = new Cloth(assembly, matter, NOBODY, () => 2, start, undefined);
  cloth.run(steps, { mass, weighs: true, rubs: false, calm: 3 });
  return { cloth, draped: { assembly, at: cloth.at, press: cloth.press, holding: cloth.holding(), above: 0 } };
}

/** How stiff a strip hangs, in N/m: half its weight for a metre of width, by its mean stretch. */
function stiffnessOf({ draped }: ReturnType<typeof hangingStrip>, matter: ClothMatter): number {
  const { warp } = strainOf(draped);
  const mean = warp.reduce((sum, s) => sum + s, 0) / warp.length;
  return (matter.weight * 9.81 * 0.39) / 2 / mean;
}

describe('a strip of cloth that hangs', () => {
  it('is as stiff as its cloth within a factor of four at the mass of the last stage, in the order of the cloths', () => {
    const found = CLOTH_MATTER.map((matter) => [matter, stiffnessOf(hangingStrip(matter, 50), matter)] as const);
    for (const [matter, stiff] of found) {
      expect([matter.id, stiff > matter.warp / 4 && stiff < matter.warp * 4]).toEqual([matter.id, true]);
    }
    const inOrder = [...found].sort((a, b) => a[0].warp - b[0].warp).map(([, stiff]) => stiff);
    expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b));
  });

  it('is softer across than along where its cloth is', () => {
    const denim = CLOTH_MATTER.find((c) => c.id === 'denim') as ClothMatter;
    const along = strainOf(hangingStrip(denim, 50).draped).warp;
    const across = strainOf(hangingStrip(denim, 50, 12_000, 0, { x: 1, y: 0 }).draped).weft;
    const mean = (of: Float64Array): number => of.reduce((sum, v) => sum + v, 0) / of.length;
    expect(mean(across) / mean(along)).toBeGreaterThan(1.3);
  });

  it('is held by its weight', () => {
    const { draped } = hangingStrip(calico, 50);
    const held = draped.holding.reduce((sum, f) => sum + f, 0);
    const weight = calico.weight * 9.81 * 0.1 * 0.39;
    expect(Math.abs(held - weight)).toBeLessThan(0.05 * weight);
  });

  it('loses energy as it swings to rest, in height, stretch and motion together', () => {
    const { cloth, draped } = hangingStrip(calico, 1, 1, 1);
    const energy = [energyOf(draped, cloth.velocity)];
    for (let i = 0; i < 6; i++) {
      cloth.run(800, { mass: 1, weighs: true, rubs: false, calm: 3 });
      energy.push(energyOf(draped, cloth.velocity));
    }
    // What the tape at its upper edge holds is not counted: a hundredth of a millijoule goes to and fro.
    for (const [i, e] of energy.slice(1).entries()) expect(e).toBeLessThan((energy[i] as number) + 2e-5);
    expect((energy[0] as number) - (energy[6] as number)).toBeGreaterThan(0.004);
  });
});

/** What cloth that hangs holds of energy, in J: its height, its stretch by Hooke, and its motion at the inertia of 0.2 kg/m². */
function energyOf({ assembly, at }: Draped, velocity: Float64Array): number {
  const strain = strainOf({ assembly, at } as Draped);
  const pulled = assembly.triangles.area.reduce(
    (sum, a, t) =>
      sum +
      (a / 2) *
        (calico.warp * (strain.warp[t] as number) ** 2 +
          calico.weft * (strain.weft[t] as number) ** 2 +
          calico.shear * (strain.shear[t] as number) ** 2),
    0,
  );
  return assembly.share.reduce((sum, s, p) => {
    const [vx, vy, vz] = [0, 1, 2].map((k) => velocity[3 * p + k] as number) as [number, number, number];
    const moved = (s * 0.2 * (vx * vx + vy * vy + vz * vz)) / 2;
    return sum + s * calico.weight * 9.81 * (at[3 * p + 1] as number) + moved;
  }, pulled);
}

describe('a garment on a body', () => {
  it('hangs outside it, all of it finite, its waist at the waist', () => {
    expect(good.at.every((v) => Number.isFinite(v))).toBe(true);
    // Where it lies on the body it is off it by nothing.
    expect(Math.abs(Math.min(...gapOf(good, grid)))).toBeLessThan(0.5);
    const figures = fitFigures(good, body, grid);
    expect(Math.abs(figures.waistBehind)).toBeLessThan(20);
    expect(Math.abs(figures.waistFront)).toBeLessThan(20);
    const hem = particlesOf(good.assembly, 'hem').map((p) => 1000 * (good.at[3 * p + 1] as number));
    expect(Math.min(...hem)).toBeGreaterThan(-60);
    expect(Math.max(...hem)).toBeLessThan(120);
  });

  it('is held up by what holds it up, and by nothing where it is pushed up', () => {
    const pushed = fitFigures({ ...good, holding: good.holding.map(() => -1) }, body, grid);
    expect([pushed.holdBehind, pushed.holdFront]).toEqual([0, 0]);
    const held = fitFigures({ ...good, holding: good.holding.map(() => 0.1) }, body, grid);
    // Both halves of the garment, a third of the waist each.
    expect(held.holdBehind).toBeCloseTo(0.2 * Math.ceil(good.holding.length / 3), 0);
  });

  it('shows nothing against itself, and a wide waist in the waist alone', () => {
    const before = fitFigures(good, body, grid);
    expect(differ(before, fitFigures(good, body, grid), true)).toEqual([]);
    const wide = hang('waistWide');
    const found = differ(before, fitFigures(wide, body, grid), true);
    expect(['gapBehind', 'gapSide']).toContain(found[0]?.id);
    const gap = mapDifference(hungOf(wide, body, grid), hungOf(good, body, grid), 'gap');
    const at = gap.flatMap((of) => [...of]);
    expect(Math.max(...at)).toBeGreaterThan(4);
    expect(at.filter((v) => v === 0).length).toBeGreaterThan(at.length / 2);
  });

  it('shows a back rise that is 25 mm short: held up behind, stretched over the seat, dragged at the crotch', () => {
    const before = fitFigures(good, body, grid);
    const short = fitFigures(hang('backRiseShort'), body, grid);
    const told = differ(before, short, true);
    expect(told.map((d) => d.times)).toEqual(told.map((d) => d.times).sort((a, b) => b - a));
    expect(told.length).toBeGreaterThan(3);
    const ids = told.map((d) => d.id);
    for (const id of ['holdBehind', 'seatAlong', 'dragBehind', 'waistBehind'] as const) expect(ids).toContain(id);
    expect(short.waistBehind).toBeLessThan(before.waistBehind);
    // Where the rises are not known nothing of it is said.
    const quiet = differ(before, short, false).map((d) => d.id);
    expect(quiet.filter((id) => FIT_FIGURES[id].ofRise)).toEqual([]);
  });

  it('tells how far it is, shows what hangs before it is done, and does the same twice', () => {
    const shares: number[] = [];
    let shown = 0;
    const work = drape({ garment: drafts.good }, body, calico, grid, COARSE);
    let last: Draped | undefined;
    for (let next = work.next(); ; next = work.next()) {
      if (next.done) {
        last = next.value;
        break;
      }
      shares.push(next.value.share);
      if (next.value.so) shown++;
    }
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares[shares.length - 1]).toBeCloseTo(1, 9);
    expect(shown).toBeGreaterThan(2);
    expect(last.at).toEqual(good.at);
  });

  it('is not hung on a body that cannot be: its rise is told and nothing else', () => {
    const wearer = completeBody(first, 'unknown');
    const impossible = new Map([
      ...[
        ['waist', 780],
        ['hip', 1000],
        ['crotchDepth', 272],
        ['inseam', 780],
        ['hipDepth', 204],
        ['kneeDepth', 612],
        ['thigh', 580],
        ['knee', 370],
        ['calf', 370],
        ['ankle', 230],
        ['crotchLength', 980],
      ].map(([id, mm]) => [id as 'waist', { source: 'measured', mm: mm as number }] as const),
    ]);
    const steps = [...wear({ garment: drafts.good }, impossible, {}, calico, COARSE)];
    expect(steps).toHaveLength(1);
    expect(steps[0]?.body?.sound).toBe(false);
    expect(steps[0]?.so).toBeUndefined();
    const [made, ...rest] = [
      ...wear({ garment: drafts.good }, wearer, {}, calico, [
        { spacing: 40, courses: [{ steps: 100, mass: 1, weighs: false, rubs: false, calm: 400 }] },
      ]),
    ];
    expect(made?.body?.sound).toBe(true);
    // The body is told once, and what hangs only when it is new.
    expect(rest.every((step) => step.body === undefined)).toBe(true);
    expect(rest.filter((step) => step.so).length).toBe(1);
  });
});

describe('what is said of a difference', () => {
  const show = (mm: number): string => `${mm.toFixed(0)} mm`;
  it('has a sentence for every figure, with both figures or the difference, and no amount to alter by', () => {
    for (const id of FIT_FIGURE_IDS) {
      const { unit } = FIT_FIGURES[id];
      const more = sayDifference({ id, before: 4, after: 9 }, unit, show);
      const less = sayDifference({ id, before: 9, after: 4 }, unit, show);
      expect(more).not.toBe(less);
      expect(more).toMatch(/[459]/);
      expect(more).toMatch(/\.$/);
      expect(more + less).not.toMatch(/\bfits?\b|alter|take (in|out)|let out/i);
    }
    expect(sayDifference({ id: 'holdBehind', before: 3.6, after: 7.1 }, 'N', show)).toBe(
      'The waist behind must be held up with 7.1 N, 3.6 N before: it drops when one moves.',
    );
    expect(sayDifference({ id: 'waistBehind', before: -4.5, after: -10.8 }, 'mm', show)).toBe(
      'Centre back waist lies 6 mm lower than before.',
    );
  });
});
