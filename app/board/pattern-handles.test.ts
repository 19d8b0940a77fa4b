import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft } from '../../core/chain/index.js';
import { roomForDart, type AdoptedPattern, type AdoptedPiece, type Panel } from '../../core/draft/index.js';
import { curvesOf, distance, point, type Point } from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { patternHandlesOf, type Laid, type PatternHandle } from './pattern-handles.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

const computed = (pattern?: AdoptedPattern): Draft => {
  const outcome = computeDraft({
    ...EMPTY_INPUT,
    measured,
    pattern,
    set: { 'front.dartCount': 0, 'back.dartCount': 0 },
  });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
};

const pieceOf = ({ edges, waistSections }: Panel): AdoptedPiece => ({
  waist: waistSections.map((section) => curvesOf(section, 3)),
  side: curvesOf(edges.side, 3),
  hem: curvesOf(edges.hem, 3),
  inseam: curvesOf(edges.inseam, 3),
  rise: curvesOf(edges.rise, 3),
  apexes: [],
});

/** A pattern without darts, as it would be taken over from a file. */
const BARE: AdoptedPattern = (() => {
  const { block } = computed();
  return { name: 'bare', date: '2026-02-03', front: pieceOf(block.front), back: pieceOf(block.back) };
})();

const handle = (pattern: AdoptedPattern, panel: PanelName, id: string): PatternHandle => {
  const found = patternHandlesOf(computed(pattern).block, panel, pattern).find((h) => h.id === id);
  if (!found) throw new Error(`no handle ${id}`);
  return found;
};
const by = (at: Point, x: number, y: number): Point => point(at.x + x, at.y + y);
const coarse = { step: 2.5, modified: false };
/** A pattern with what a handle, dragged by so much, lays into it. */
const dragged = (pattern: AdoptedPattern, panel: PanelName, id: string, x: number, y: number, modified = false) => {
  const { at, drag } = handle(pattern, panel, id);
  const laid: Partial<Laid> = drag(by(at, x, y), { step: 2.5, modified });
  return { ...pattern, ...laid };
};

describe('what is laid into an adopted pattern', () => {
  it('stays as it is while its handle is moved by less than half a step', () => {
    const pattern = { ...BARE, darts: [{ panel: 'back' as const, at: 90, intake: 20, length: 110 }] };
    for (const panel of PANEL_NAMES) {
      for (const { at, drag } of patternHandlesOf(computed(pattern).block, panel, pattern)) {
        expect(drag(by(at, 0.5, 0.5), coarse)).toEqual({});
      }
    }
  });

  it('comes to lie where its handle was dragged: hip and knee on both pieces, whichever is held', () => {
    const was = computed(BARE).block;
    for (const panel of PANEL_NAMES) {
      const hip = computed(dragged(BARE, panel, 'hip-line', 40, -20)).block;
      expect(Math.abs(hip.levels.hipLevel - was.levels.hipLevel + 20)).toBeLessThanOrEqual(1.25);
      expect(hip.levels.kneeLevel).toBe(was.levels.kneeLevel);
      const knee = computed(dragged(BARE, panel, 'knee-line', 40, 30)).block;
      expect(Math.abs(knee.levels.kneeLevel - was.levels.kneeLevel - 30)).toBeLessThanOrEqual(1.25);
    }
  });

  it('has its crease moved on both pieces, with the modifier on one', () => {
    const creaseOff = ({ block }: Draft, panel: PanelName): number => {
      const { sideHem, inseamHem } = block[panel].points;
      return block[panel].crease - (sideHem.x + inseamHem.x) / 2;
    };
    const both = computed(dragged(BARE, 'back', 'crease', 10, 0));
    expect(creaseOff(both, 'front')).toBeCloseTo(10, 1);
    expect(creaseOff(both, 'back')).toBeCloseTo(10, 1);
    for (const panel of PANEL_NAMES) {
      const other = panel === 'front' ? 'back' : 'front';
      const alone = dragged(BARE, panel, 'crease', 10, 0, true);
      expect(creaseOff(computed(alone), panel)).toBeCloseTo(10, 1);
      expect(creaseOff(computed(alone), other)).toBeCloseTo(0, 1);
      // Dragged on together, they stay as far apart.
      const on = computed(dragged(alone, other, 'crease', -5, 0));
      expect(creaseOff(on, panel) - creaseOff(on, other)).toBeCloseTo(10, 1);
    }
  });

  it('has its darts moved by apex and legs, in whatever order they were laid', () => {
    const darts = [
      { panel: 'back' as const, at: 130, intake: 16, length: 95 },
      { panel: 'front' as const, at: 80, intake: 12, length: 80 },
      { panel: 'back' as const, at: 60, intake: 22, length: 120 },
    ];
    const pattern = { ...BARE, darts };
    const at = (p: AdoptedPattern, id: string): Point => handle(p, 'back', id).at;
    // Each laid dart has its own handles: the first lies nearer to the side than the one that was laid after it.
    expect(at(pattern, 'laid-dart-0-apex').x).toBeLessThan(at(pattern, 'laid-dart-1-apex').x - 40);
    for (const i of [0, 1]) {
      const apex = `laid-dart-${i}-apex`;
      const moved = dragged(pattern, 'back', apex, -10, 15);
      const to = by(at(pattern, apex), -10, 15);
      // To half a step each way, and what the curve of the waist turns the dart by on its new place.
      expect(distance(at(moved, apex), to)).toBeLessThan(3);
      const leg = `laid-dart-${i}-sideLeg`;
      const wide = dragged(pattern, 'back', leg, -4, 0);
      const [was, is] = [darts[i === 0 ? 0 : 2], wide.darts?.[i === 0 ? 0 : 2]];
      expect(Math.abs((is?.intake ?? 0) - (was?.intake ?? 0) - 8)).toBeLessThanOrEqual(1.3);
      expect(wide.darts?.filter((d, k) => d !== darts[k])).toHaveLength(1);
    }
    expect(handle(pattern, 'front', 'laid-dart-0-apex').figures.map(([, mm]) => mm)).toEqual([80, 12, 80]);
  });

  it('has a dart’s apex under the hand on a waist that is not straight: the dart turns square to where it lies', () => {
    const { back } = computed().block;
    // A pattern whose waist rises to a roof where its dart was never marked.
    const { centreWaist: from, sideWaist: end } = back.points;
    const roof = (share: number, up: number): Point =>
      point(from.x + share * (end.x - from.x), from.y + share * (end.y - from.y) - up);
    const shape = [
      [0.2, -2],
      [0.3, -2],
      [0.4, 0],
      [0.5, 3],
      [0.6, 0],
      [0.75, -3],
      [0.85, -2],
      [0.95, 0],
    ] as const;
    const flat = [from, ...shape.map(([share, up]) => roof(share, up)), end];
    const waist = flat.flatMap(({ x, y }) => [x, y]).map((mm) => Number(mm.toFixed(3)));
    const pattern = {
      ...BARE,
      back: { ...pieceOf(back), waist: [waist] },
      darts: [{ panel: 'back' as const, at: 60, intake: 15, length: 110 }],
    };
    const at = (p: AdoptedPattern): Point => handle(p, 'back', 'laid-dart-0-apex').at;
    for (const [x, y] of [
      [-20, 10],
      [-60, 20],
      [15, -30],
    ] as const) {
      const moved = dragged(pattern, 'back', 'laid-dart-0-apex', x, y);
      expect([x, distance(at(moved), by(at(pattern), x, y)) < 4]).toEqual([x, true]);
    }
  });

  it('takes one dart after another where its waist has most room', () => {
    let pattern = BARE;
    for (let n = 1; n <= 3; n++) {
      const at = roomForDart(computed(pattern).block.back);
      pattern = { ...pattern, darts: [...(pattern.darts ?? []), { panel: 'back', at, intake: 15, length: 90 }] };
      const { darts } = computed(pattern).block.back;
      expect(darts).toHaveLength(n);
    }
  });

  it('is given back: levels and crease as the pattern came, the dart that is held taken out', () => {
    const darts = [
      { panel: 'back' as const, at: 130, intake: 16, length: 95 },
      { panel: 'back' as const, at: 60, intake: 22, length: 120 },
    ];
    const pattern: AdoptedPattern = { ...BARE, hipAbove: 90, creaseOff: 8, darts };
    expect({ ...pattern, ...handle(pattern, 'back', 'laid-dart-1-apex').given }.darts).toEqual([darts[0]]);
    const back = { ...pattern, ...handle(pattern, 'front', 'hip-line').given };
    expect(computed(back).block.levels.hipLevel).toBeCloseTo(computed({ ...BARE, darts }).block.levels.hipLevel, 6);
  });
});
