import { describe, expect, it } from 'vitest';
import { alterBlock, downSeam, onSeam, seamNear } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { EDGE_NAMES } from '../draft/index.js';
import { distance, nearestPlace, pathLength, placeAtLength, seeded, type Point } from '../geometry/index.js';
import { SHEETS } from '../shipped/index.js';
import { atCentre, firstFold, FOLD, foldFault, foldPlace, foldWork, type Pin } from './index.js';

function drafted(sheet = SHEETS[0]): Draft {
  const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
  const outcome = computeDraft({ ...EMPTY_INPUT, ...(sheet && { sheet }), measured });
  if (!outcome.ok) throw new Error('must draft');
  return outcome.value;
}
const { block } = drafted();
const { front, back } = block;

describe('a place on a seam', () => {
  it('counts from the upper end of side, inseam and rise, and from the centre of the waist, the side of the hem', () => {
    const start = (edge: (typeof EDGE_NAMES)[number]): Point | undefined => onSeam(front, { edge, share: 0 })?.at;
    expect(start('side')).toEqual(front.points.sideWaist);
    expect(distance(start('waist') ?? front.points.sideHem, front.points.centreWaist)).toBeLessThan(1e-6);
    expect(start('hem')).toEqual(front.points.sideHem);
    expect(distance(start('rise') ?? front.points.sideHem, front.points.centreWaist)).toBeLessThan(1e-6);
    expect(distance(start('inseam') ?? front.points.sideHem, front.points.crotchPoint)).toBeLessThan(1e-6);
    const hip = onSeam(front, { edge: 'side', level: { line: 'hipLevel', by: 0 } });
    expect(hip?.at.y).toBeCloseTo(front.levels.hipLevel, 6);
    expect(hip?.down).toBeCloseTo(pathLength(front.edges.side.slice(0, front.joints.sideHip)), 3);
    expect(onSeam(front, { edge: 'waist', level: { line: 'kneeLevel', by: 0 } })).toBeUndefined();
  });

  it('is found again from any point of any seam, to a hundredth of a millimetre', () => {
    const random = seeded(8);
    for (const panel of [front, back])
      for (const edge of EDGE_NAMES)
        for (let i = 0; i < 10; i++) {
          const path = panel.edges[edge];
          const { at } = placeAtLength(path, (0.03 + 0.94 * random()) * pathLength(path));
          expect(distance(onSeam(panel, seamNear(panel, at))?.at ?? { x: 0, y: 0 }, at)).toBeLessThan(0.01);
          const held = seamNear(panel, at, ['side']);
          expect(held.edge).toBe('side');
        }
    const typed = onSeam(back, downSeam(back, 'side', 125));
    expect(typed?.down).toBeCloseTo(125, 2);
  });
});

describe('a fold pinned from seam to seam', () => {
  it('takes up its amounts square to itself, each at its own end', () => {
    const fold = { ...firstFold('back'), byTo: 6 };
    const place = foldPlace(fold, 14, block);
    const [a, b, c, d] = place?.corners ?? [];
    if (!a || !b || !c || !d) throw new Error('four corners');
    expect(distance(a, d)).toBeCloseTo(14, 6);
    expect(distance(b, c)).toBeCloseTo(6, 6);
    const middle = { x: (a.x + d.x) / 2, y: (a.y + d.y) / 2 };
    expect(nearestPlace(back.edges.rise, middle).distance).toBeLessThan(1e-6);
    expect(nearestPlace(back.edges.side, { x: (b.x + c.x) / 2, y: (b.y + c.y) / 2 }).distance).toBeLessThan(1e-6);
  });

  it.each(SHEETS.map((s) => [s.id, s] as const))('comes out of the paper by what is pinned, by %s', (_, sheet) => {
    const { block: of } = drafted(sheet);
    const long = (b: typeof of, edge: 'rise' | 'side'): number => pathLength(b.back.edges[edge]);
    const fold = { ...firstFold('back'), byTo: 4 };
    const { block: after, told } = alterBlock(of, [{ id: 'a', on: true, note: '', work: foldWork(fold, 9) }]);
    expect(told[0]?.done).toBe(true);
    expect(long(of, 'side') - long(after, 'side')).toBeCloseTo(4, 0);
    // The rise is drawn anew in one bend: where the hip line meets its curve it loses a little less.
    const lost = long(of, 'rise') - long(after, 'rise');
    expect([lost > 7, lost < 9.5]).toEqual([true, true]);
    expect(after.front).toEqual(of.front);
  });

  it('can be pinned where its ends lie apart on their seams and it takes something in', () => {
    const fold = firstFold('back');
    const fault = (facts: Partial<typeof fold>, by = 8): string | undefined =>
      foldFault({ ...fold, ...facts }, by, block);
    expect(fault({})).toBeUndefined();
    expect(fault({ byTo: 4 }, 0)).toBeUndefined();
    expect(fault({}, 0)).toBe('nothing');
    expect(fault({ byTo: -1 })).toBe('nothing');
    const down = (mm: number) => downSeam(back, 'side', mm);
    expect(fault({ from: down(100), to: down(109) })).toBe('onePlace');
    expect(fault({ from: down(100), to: down(111) })).toBeUndefined();
    const level = (by: number) => ({ edge: 'side', level: { line: 'waistLine', by } }) as const;
    // The trued side begins just below the waist line: that is its end; far above it there is no side.
    expect(fault({ to: level(0) })).toBeUndefined();
    expect(onSeam(back, level(0))?.at).toEqual(back.points.sideWaist);
    expect(fault({ to: level(-60) })).toBe('offSeam');
  });

  it('at the back waist is moved to the centre, with as much in all', () => {
    const pin = (facts: Partial<Pin>): Pin => ({ kind: FOLD, by: 8, leg: 'both', fold: firstFold('back'), ...facts });
    const waist = { edge: 'waist', share: 0.4 } as const;
    const fold = { ...firstFold('back'), from: waist };
    expect(atCentre(pin({ fold }))).toEqual({ kind: 'pinchedCentreBack', by: 16, leg: 'both' });
    expect(atCentre(pin({ fold, leg: 'left' }))).toEqual({ kind: 'pinchedCentreBack', by: 8, leg: 'both' });
    expect(atCentre(pin({ by: 0, fold: { ...firstFold('back'), to: waist, byTo: 5 } }))?.by).toBe(10);
    expect(atCentre(pin({}))).toBeUndefined();
    expect(atCentre(pin({ fold: { ...fold, panel: 'front' } }))).toBeUndefined();
    expect(atCentre({ kind: 'pinchedSide', by: 8, leg: 'both' })).toBeUndefined();
  });
});
