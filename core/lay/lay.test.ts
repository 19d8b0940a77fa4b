import polygonClipping from 'polygon-clipping';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { jigsaw } from '../../bench/jigsaw.js';
import { blob, layFaults, overlapOf, ring } from '../../bench/lay-faults.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { enclosedArea } from '../geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import { convexParts } from './convex-parts.js';
import { outward } from './outward.js';
import { Overlap } from './overlap.js';
import { areaOf, boundsOf, tidied, turnOf, type Corner, type Polygon } from './polygon.js';
import { seeded } from '../geometry/index.js';
import {
  clothsOf,
  clothWords,
  garmentShapes,
  layDrawing,
  layFault,
  LayJob,
  layOf,
  placedOutline,
  toBuy,
  type FoundLay,
  type LayCloth,
  type LayShape,
} from './index.js';

/** Every lay that a search gives in so many steps. */
function laysOf(shapes: readonly LayShape[], cloth: LayCloth, seed: number, steps: number): FoundLay[] {
  let left = steps;
  return [...layOf(new LayJob(shapes, cloth), seed, () => left-- <= 0)];
}

const SETS = ['one-pair-two-way', 'one-pair-one-way', 'two-pairs-two-way'].map((name) => {
  const file = new URL(`../../bench/lay-sets/${name}.json`, import.meta.url);
  return { name, ...(JSON.parse(readFileSync(file, 'utf8')) as { cloth: LayCloth; shapes: LayShape[] }) };
});

/** How far a corner lies from the edges of an outline, in mm. */
const awayFrom = (outline: Polygon, [x, y]: Corner): number =>
  Math.min(
    ...outline.map(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length] as Corner;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );

describe('an outline made ready for laying', () => {
  it('has fewer corners, and lies nowhere inside the one it stands for', () => {
    for (const { shapes } of SETS.slice(0, 1)) {
      for (const { outline } of shapes) {
        const net = tidied(outline);
        const simple = outward(net);
        expect(simple.length).toBeLessThanOrEqual(net.length);
        const cut = polygonClipping.difference([ring(net)], [ring(simple)]);
        const lost = cut.reduce((sum, p) => sum + Math.abs(areaOf(p[0] ?? [])), 0);
        expect(lost).toBeLessThan(0.01);
        expect(areaOf(simple)).toBeLessThan(areaOf(net) * 1.005);
      }
    }
  });

  it('lies nowhere inside it, on round and hollow outlines of many corners', () => {
    const random = seeded(31);
    for (let i = 0; i < 60; i++) {
      const [waves, deep] = [2 + Math.floor(random() * 4), 0.05 + 0.25 * random()];
      const net = tidied(
        Array.from({ length: 80 }, (_, k): Corner => {
          const angle = (2 * Math.PI * k) / 80;
          const far = 200 * (1 + deep * Math.sin(waves * angle));
          return [far * Math.cos(angle), far * Math.sin(angle)];
        }),
      );
      const simple = outward(net);
      expect(simple.length).toBeLessThan(net.length);
      const lost = polygonClipping
        .difference([ring(net)], [ring(simple)])
        .reduce((sum, p) => sum + Math.abs(areaOf(p[0] ?? [])), 0);
      expect(lost).toBeLessThan(0.01);
      expect(areaOf(simple)).toBeLessThan(areaOf(net) * 1.0045);
      for (const corner of net) expect(awayFrom(simple, corner)).toBeLessThan(1.5);
    }
  });

  it('is cut into convex parts that are it, no more and no less', () => {
    const random = seeded(7);
    for (let i = 0; i < 200; i++) {
      const polygon = blob(random, 3 + Math.floor(random() * 22));
      const parts = convexParts(polygon);
      expect(parts.reduce((sum, p) => sum + areaOf(p), 0)).toBeCloseTo(areaOf(polygon), 6);
      for (const part of parts) {
        part.forEach((c, k) => {
          const [b, d] = [part[(k + 1) % part.length] as Corner, part[(k + 2) % part.length] as Corner];
          expect(turnOf(c, b, d)).toBeGreaterThan(-1e-5);
        });
      }
    }
  });

  it('lies in another as deep as it has to be moved at least: none where they are apart, none missed', () => {
    const random = seeded(11);
    for (let i = 0; i < 300; i++) {
      const [a, b] = [blob(random, 9), blob(random, 7)];
      const lying = (p: Polygon): { parts: readonly Polygon[]; bounds: ReturnType<typeof boundsOf> } => ({
        parts: convexParts(p),
        bounds: boundsOf(p),
      });
      const table = new Overlap(lying(a), lying(b), 0);
      const [x, y] = [(random() * 2 - 1) * 300, (random() * 2 - 1) * 300];
      const moved = b.map(([px, py]): Corner => [px + x, py + y]);
      const deep = overlapOf(a, moved);
      const depth = table.depth(x, y);
      if (deep > 0.01) expect(depth).toBeGreaterThan(0);
      if (depth > 0.01) expect(deep).toBeGreaterThan(0);
    }
  });

  it('lies in another as deep as that lies in it, and by no more than it was moved deeper, wherever cells end', () => {
    const random = seeded(12);
    for (let i = 0; i < 60; i++) {
      const [a, b] = [blob(random, 16), blob(random, 14)].map((p) => ({ parts: convexParts(p), bounds: boundsOf(p) }));
      if (!a || !b) continue;
      const [there, back] = [new Overlap(a, b, 2), new Overlap(b, a, 2)];
      for (let k = 0; k < 60; k++) {
        const [x, y] = [(random() * 2 - 1) * 250, (random() * 2 - 1) * 250];
        const depth = there.depth(x, y);
        expect(back.depth(-x, -y)).toBeCloseTo(depth, 9);
        const [dx, dy] = [random() * 12 - 6, random() * 12 - 6];
        expect(Math.abs(there.depth(x + dx, y + dy) - depth)).toBeLessThan(Math.hypot(dx, dy) + 1e-9);
      }
    }
  });
});

describe('a lay', () => {
  it('has no part in another, none off the cloth, none turned against the nap, at every step of the search', () => {
    for (const { name, shapes, cloth } of SETS) {
      const lays = laysOf(shapes, cloth, 1, 400);
      for (const lay of [lays[0], lays[Math.floor(lays.length / 2)], lays.at(-1)]) {
        expect([name, lay && layFaults(shapes, cloth, lay)]).toEqual([name, []]);
      }
    }
  }, 120_000);

  it('gets shorter and shorter, and never longer than the first that is there at once', () => {
    const [set] = SETS;
    if (!set) throw new Error('no set');
    const lays = laysOf(set.shapes, set.cloth, 3, 900);
    const lengths = lays.map((l) => l.length);
    for (const [i, length] of lengths.entries()) if (i > 0) expect(length).toBeLessThan(lengths[i - 1] as number);
    expect(lays.at(-1)?.use).toBeGreaterThan(0.7);
  }, 120_000);

  it('is the same for the same seed', () => {
    const [set] = SETS;
    if (!set) throw new Error('no set');
    const once = laysOf(set.shapes, set.cloth, 5, 300).at(-1);
    expect(laysOf(set.shapes, set.cloth, 5, 300).at(-1)).toEqual(once);
  }, 60_000);

  it('is free of overlap on sets of all kinds: hollow shapes, mirrored and turned, many and few', () => {
    const random = seeded(23);
    for (let i = 0; i < 60; i++) {
      const shapes = Array.from({ length: 2 + Math.floor(random() * 3) }, (_, k): LayShape => ({
        id: `s${k}`,
        outline: blob(random, 4 + Math.floor(random() * 30)),
        count: 1 + Math.floor(random() * 3),
        turns: random() < 0.5 ? [0] : [0, 180],
        mirrored: random() < 0.5,
      }));
      const cloth = { width: 300 + 500 * random(), gap: random() < 0.5 ? 0 : 2 };
      const lay = laysOf(shapes, cloth, i, 25).at(-1);
      expect([i, lay && layFaults(shapes, cloth, lay)]).toEqual([i, []]);
    }
  }, 120_000);

  it('keeps the gap that is asked for', () => {
    const square = (id: string): LayShape => ({
      id,
      outline: [
        [0, 0],
        [100, 0],
        [100, 100],
        [0, 100],
      ],
      count: 3,
      turns: [0],
      mirrored: false,
    });
    const shapes = [square('a'), square('b')];
    const lay = laysOf(shapes, { width: 320, gap: 5 }, 1, 200).at(-1);
    if (!lay) throw new Error('no lay');
    const boxes = lay.placed.map((p) => boundsOf(placedOutline(shapes[p.id === 'a' ? 0 : 1] as LayShape, p)));
    boxes.forEach((a, i) => {
      boxes.slice(i + 1).forEach((b) => {
        const apart = Math.max(b.left - a.right, a.left - b.right, b.low - a.high, a.low - b.high);
        expect(apart).toBeGreaterThan(4.99);
      });
    });
  });

  it('finds jigsaws of a few pieces nearly whole again', () => {
    const { shapes, width } = jigsaw(6, 1);
    const lay = laysOf(shapes, { width, gap: 0 }, 1, 2500).at(-1);
    expect(lay && layFaults(shapes, { width, gap: 0 }, lay)).toEqual([]);
    expect(lay?.use).toBeGreaterThan(0.8);
  }, 120_000);

  it('takes the pieces of a garment cloth by cloth, pairs mirrored; folded cloth gives a pair at a cut', () => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) throw new Error('must draft');
    const style = ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} }));
    const pieces = piecesOf(draftGarment(outcome.value, style, 'cm').garment, HOUSE_ALLOWANCES);
    expect(clothsOf(pieces)).toEqual(['shell', 'pocketing', 'interfacing']);
    const open = garmentShapes(pieces, 'shell', 'one-way', 'open');
    expect(open.find((s) => s.id === 'front')).toMatchObject({ count: 2, mirrored: true, turns: [0] });
    const folded = garmentShapes(pieces, 'shell', 'two-way', 'folded');
    expect(folded.find((s) => s.id === 'front')).toMatchObject({ count: 1, mirrored: false, turns: [0, 180] });
    expect(folded.find((s) => s.id === 'flyFacing')?.count).toBe(1);
    const front = pieces.find((p) => p.part.id === 'front');
    const box = boundsOf(open.find((s) => s.id === 'front')?.outline ?? []);
    const ys = front?.cut.flatMap(({ p0 }) => [p0.y]) ?? [];
    // The grain lies along the cloth: what is long on the piece is long on the cloth.
    expect(box.right - box.left).toBeCloseTo(Math.max(...ys) - Math.min(...ys), 0);
    const cloth = { width: 1500, gap: 0 };
    const lay = laysOf(open, cloth, 1, 500).at(-1);
    expect(lay && layFaults(open, cloth, lay)).toEqual([]);
    expect(lay?.length).toBeGreaterThan(900);
    expect(lay?.length).toBeLessThan(2000);
    if (!lay) return;
    const drawing = layDrawing(open, lay.placed, { length: lay.length, width: 1500 }, (id) => id);
    expect(drawing.marks.filter((m) => m.kind === 'line' && m.role === 'cut')).toHaveLength(lay.placed.length);
  }, 60_000);

  it('opens out what is cut on the fold: twice the area of the half, and no more', () => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      figure: 'child',
      measured: { waist: 560, hip: 680, crotchDepth: 210, inseam: 560 },
    });
    if (!outcome.ok) throw new Error('must draft');
    const pieces = piecesOf(
      draftGarment(outcome.value, [{ id: 'zip', values: { at: 'side' } }], 'cm').garment,
      HOUSE_ALLOWANCES,
    );
    const folded = pieces.filter((p) => p.part.cut.how === 'on the fold');
    expect(folded.length).toBeGreaterThan(0);
    for (const { part, cut } of folded) {
      const shape = garmentShapes(pieces, part.cloth, 'none', 'open').find((s) => s.id === part.id);
      expect(Math.abs(areaOf(shape?.outline ?? []))).toBeCloseTo(2 * Math.abs(enclosedArea(cut)), 0);
    }
  });

  it.each([
    [{ width: 300, gap: 0 }, 'The part “wide” is 400 across, the cloth 300. Take wider cloth'],
    [{ width: 0, gap: 0 }, 'The cloth is 0 wide. Give a usable width'],
    [{ width: NaN, gap: 0 }, 'Give a usable width'],
    [{ width: 1500, gap: -1 }, 'The gap between parts is -1'],
  ])('refuses cloth that cannot be: %o', (cloth, told) => {
    const wide: LayShape = {
      id: 'wide',
      outline: [
        [0, 0],
        [100, 0],
        [100, 400],
        [0, 400],
      ],
      count: 1,
      turns: [0],
      mirrored: false,
    };
    expect(layFault([wide], cloth, String)).toContain(told);
    expect(layFault([wide], { width: 1500, gap: 2 }, String)).toBeUndefined();
    expect(layFault([], { width: 1500, gap: 2 }, String)).toContain('nothing to lay');
    expect(layFault([{ ...wide, outline: [[0, 0]] }], { width: 1500, gap: 2 }, String)).toContain('no area');
    expect(layFault([{ ...wide, count: 900 }], { width: 1500, gap: 2 }, String)).toContain('500 at most');
  });
});

describe('how much to buy', () => {
  it('is rounded up to what shops cut, and said as one asks for it', () => {
    expect(clothWords(toBuy(1411, 'cm'), 'cm')).toBe('1.45 m');
    expect(clothWords(toBuy(1450, 'cm'), 'cm')).toBe('1.45 m');
    expect(clothWords(toBuy(1411, 'in'), 'in')).toBe('1 5/8 yd');
    expect(clothWords(toBuy(900, 'in'), 'in')).toBe('1 yd');
    expect(clothWords(toBuy(400, 'in'), 'in')).toBe('1/2 yd');
    for (let mm = 100; mm < 4000; mm += 37) {
      expect(toBuy(mm, 'in')).toBeGreaterThanOrEqual(mm);
      expect(toBuy(mm, 'cm') - mm).toBeLessThan(50);
    }
  });
});

describe('a lay that is known already', () => {
  it('is begun from where it can lie so and is shorter, on a cloth that allows more; never where it cannot', () => {
    const set = SETS.find((one) => one.name === 'one-pair-one-way');
    if (!set) throw new Error('no set');
    const lays = laysOf(set.shapes, set.cloth, 5, 400);
    const [first, best] = [lays[0], lays.at(-1)];
    if (!first || !best) throw new Error('no lay');
    expect(best.length).toBeLessThan(first.length - 1);
    const begun = (cloth: LayCloth, shapes: readonly LayShape[], known: readonly FoundLay[]): FoundLay | undefined =>
      [
        ...layOf(
          new LayJob(shapes, cloth),
          5,
          () => true,
          [],
          known.map((k) => k.placed),
        ),
      ][0];
    const wide = { ...set.cloth, width: set.cloth.width + 20 };
    expect(begun(wide, set.shapes, [best, first])?.length).toBeCloseTo(best.length, 6);
    // Not quite as wide as the best one lies.
    const across = best.placed.map((p) => {
      const shape = set.shapes.find(({ id }) => id === p.id);
      return shape ? boundsOf(placedOutline(shape, p)).high : 0;
    });
    const narrow = { ...set.cloth, width: Math.max(...across) - 5 };
    const there = begun(narrow, set.shapes, [best]);
    expect(layFaults(set.shapes, narrow, there ?? best)).toEqual([]);
    expect(there?.length).toBeGreaterThan(best.length);
    const alone = [...layOf(new LayJob(set.shapes, narrow), 5, () => true)][0];
    expect(there?.length).toBeCloseTo(alone?.length ?? 0, 6);
  });
});
