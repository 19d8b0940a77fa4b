import { describe, expect, it } from 'vitest';
import { alterBlock, downSeam, onSeam, seamNear, type SeamPlace } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { EDGE_NAMES, type Block, type EdgeName } from '../draft/index.js';
import { distance, nearestPlace, pathLength, placeAtLength, seeded, type Point } from '../geometry/index.js';
import { SHEETS } from '../shipped/index.js';
import {
  atCentre,
  causesOf,
  firstFold,
  FOLD,
  foldFault,
  foldPlace,
  foldWork,
  standsFor,
  worksOf,
  type Pin,
  type PinnedFold,
} from './index.js';

const MEASURED = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function drafted(sheet = SHEETS[0]): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, ...(sheet && { sheet }), measured: MEASURED });
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

describe('what a fold stands for', () => {
  const pin = (fold: PinnedFold, by: number, leg: Pin['leg'] = 'both'): Pin => ({ kind: FOLD, by, leg, fold });
  const level = (edge: EdgeName, line: 'hipLevel' | 'thighLevel', by = 0): SeamPlace => ({ edge, level: { line, by } });
  const waist = (share: number): SeamPlace => ({ edge: 'waist', share });
  const kinds = (one: Pin): string[] => standsFor(one, block).map((s) => s.kind);

  it('is told from where it lies: across, it takes length out of the rise; down from the waist, girth', () => {
    expect(standsFor(pin(firstFold('back'), 14), block)).toEqual([{ kind: 'foldedSeat', by: 14, leg: 'both' }]);
    expect(standsFor(pin(firstFold('front'), 9, 'left'), block)).toEqual([{ kind: 'foldedFront', by: 9, leg: 'left' }]);
    const dart = { panel: 'back', from: waist(0.5), to: level('side', 'hipLevel'), byTo: 0 } as const;
    const [taken, ...more] = standsFor(pin(dart, 10), block);
    expect(more).toEqual([]);
    // On both halves, and by what a slanting fold takes across.
    const [a, b] = [onSeam(back, dart.from)?.at, onSeam(back, dart.to)?.at];
    if (!a || !b) throw new Error('on the piece');
    expect(taken?.kind).toBe('pinchedCentreBack');
    expect(taken?.by).toBeCloseTo((20 * (b.y - a.y)) / Math.hypot(b.x - a.x, b.y - a.y), 6);
    // On one leg alone that leg loses what was pinned there: an amount of the whole girth takes half of it on each.
    const [right] = standsFor(pin(dart, 10, 'right'), block);
    expect(right).toEqual({ ...taken, leg: 'right' });
    const works = worksOf('deeperDarts', right?.by ?? 0, block);
    const onRight = works.map((work, i) => ({ id: `a${i}`, on: true, note: '', work, leg: 'right' as const }));
    const altered = computeDraft({ ...EMPTY_INPUT, measured: MEASURED, alterations: onRight });
    const { left: leftLeg, right: rightLeg } = (altered.ok && altered.value.legs) || {};
    const waistOf = (of: Block | undefined): number => (of ? pathLength(of.back.closedWaist) : NaN);
    expect(waistOf(leftLeg) - waistOf(rightLeg)).toBeCloseTo((right?.by ?? 0) / 2, 0);
    expect(kinds(pin({ ...dart, panel: 'front' }, 10))).toEqual([]);
  });

  it('is all that it takes by half as much as most: an even fold down the whole leg, waist, seat and thigh', () => {
    const down: PinnedFold = { panel: 'back', from: waist(0.5), to: { edge: 'hem', share: 0.5 }, byTo: 12 };
    expect(kinds(pin(down, 12))).toEqual(['pinchedCentreBack', 'pinchedSide', 'pinchedInseam']);
    expect(kinds(pin({ ...down, byTo: 24 }, 0))).toEqual([]);
    const leg: PinnedFold = {
      panel: 'front',
      from: level('rise', 'hipLevel', 60),
      to: { edge: 'hem', share: 0.6 },
      byTo: 0,
    };
    expect(kinds(pin(leg, 20))).toEqual(['pinchedInseam']);
  });

  it('is nothing where it takes next to nothing in, lies along a seam that no cause is known for, or off the piece', () => {
    expect(kinds(pin(firstFold('back'), 2))).toEqual([]);
    expect(kinds(pin({ ...firstFold('back'), byTo: 20 }, 0))).toEqual([]);
    expect(
      kinds(pin({ ...firstFold('back'), to: { edge: 'side', level: { line: 'waistLine', by: -60 } } }, 14)),
    ).toEqual([]);
    expect(kinds({ kind: 'pinchedSide', by: 9, leg: 'both' })).toEqual([]);
  });

  it('brings a cause to the head as a pin of its kind does; two folds across one piece are one amount', () => {
    const folds = [pin(firstFold('back'), 12), pin({ ...firstFold('back'), from: level('rise', 'hipLevel', -40) }, 7)];
    const [first] = causesOf({ seen: [{ what: 'seatBags' }], pins: folds }, drafted(), 'cm');
    expect(first).toMatchObject({ cause: { id: 'backRiseLong' }, from: 'pin', leg: 'both' });
    expect(first?.amount).toBeCloseTo(19, 0);
    const own: Pin = { kind: 'foldedSeat', by: 15, leg: 'both' };
    expect(causesOf({ seen: [], pins: [...folds, own] }, drafted(), 'cm')[0]?.amount).toBe(15);
  });
});
