import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { pathLength } from '../geometry/index.js';
import type { AlterationWork } from '../alter/index.js';
import { sheetById } from '../shipped/index.js';
import { draftGarment, waistDropOf, type Style } from '../style/index.js';
import { bandDone, bandOf, WAYS, worksOf, type DoesId } from './index.js';

const METHODS = ['quarter-and-half', 'close', 'front-first'];

function drafted(method: string, works: readonly AlterationWork[] = []): Draft {
  const sheet = sheetById(method);
  const alterations = works.map((work, i) => ({ id: `a${i}`, on: true, note: '', work }));
  const outcome = computeDraft({
    ...EMPTY_INPUT,
    ...(sheet && { sheet }),
    measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    alterations,
  });
  if (!outcome.ok) throw new Error(`${method} must draft`);
  expect(outcome.value.altered.told.every((t) => t.done)).toBe(true);
  return outcome.value;
}

const dropped = (by: number): Style => [
  { id: 'waistDrop', values: { by } },
  { id: 'band', values: {} },
];
/** The girth of the edge that a band is sewn to, once round. */
function edgeOf(draft: Draft, style: Style): number {
  const { left } = draftGarment(draft, style, 'cm').legs;
  return 2 * (pathLength(left.front.closedWaist) + pathLength(left.back.closedWaist));
}

describe('what is pinned out of a waist behind', () => {
  it.each(METHODS)('is gone from the edge where it was pinned, however far the waist is dropped, by %s', (method) => {
    const draft = drafted(method);
    for (const by of [0, 20, 50]) {
      const style = dropped(by);
      const drop = waistDropOf(draft, style, 'cm');
      expect(drop).toBe(by);
      for (const does of ['deeperDarts', 'centreBackIn', 'narrowerDarts'] as const) {
        const after = drafted(method, worksOf(does, 16, draft.block, drop));
        const changed = edgeOf(after, style) - edgeOf(draft, style);
        const wanted = does === 'narrowerDarts' ? 16 : -16;
        expect([by, does, Math.abs(changed - wanted) < 3]).toEqual([by, does, true]);
      }
    }
  });

  it('is held at the drop that stands, where none was set, and at the waist where there is none', () => {
    const draft = drafted('quarter-and-half');
    const style: Style = [{ id: 'waistDrop', values: {} }];
    const down =
      draftGarment(draft, style, 'cm').legs.left.back.points.centreWaist.y - draft.block.back.points.centreWaist.y;
    expect(down).toBeGreaterThan(10);
    expect(Math.abs(waistDropOf(draft, style, 'cm') - down)).toBeLessThan(2);
    expect(waistDropOf(draft, [{ id: 'band', values: {} }], 'cm')).toBe(0);
  });

  it('is taken in at the darts, the centre seam or the band’s top, as one likes', () => {
    const { block } = drafted('quarter-and-half');
    const kinds = (WAYS.deeperDarts ?? []).map(([does]) => worksOf(does, 10, block).map((w) => w.kind));
    expect(kinds).toEqual([['dart'], ['tilt'], []]);
  });
});

describe('a band taken in at its top', () => {
  const draft = drafted('quarter-and-half');
  const of = (style: Style, by: number) => bandOf('curveBand', by, style);
  const band: Style = [{ id: 'band', values: { depth: 40 } }];

  it('is changed in the style: by so much more than it was, and nothing else is', () => {
    const once = of(band, 12);
    expect(once).toEqual([{ id: 'band', values: { depth: 40, topIn: 12 } }]);
    expect(typeof once === 'object' && of(once, 5)).toEqual([{ id: 'band', values: { depth: 40, topIn: 17 } }]);
    const shaped: Style = [
      { id: 'fly', values: {} },
      { id: 'shapedBand', values: { topIn: 3 } },
    ];
    expect(of(shaped, 8)).toEqual([shaped[0], { id: 'shapedBand', values: { topIn: 3, topBack: 8 } }]);
    expect(of([{ id: 'casing', values: {} }], 8)).toBe('noBand');
    expect(bandOf('deeperDarts' satisfies DoesId, 8, band)).toBeUndefined();
  });

  it('is told as it is done on paper, its strips before and after', () => {
    const done = (style: Style, by: number, unit: 'cm' | 'in' = 'cm') => {
      const next = of(style, by);
      if (typeof next !== 'object') throw new Error('a band');
      return bandDone(draft, style, next, by, unit);
    };
    const bent = done(band, 12);
    if ('refused' in bent) throw new Error(bent.refused);
    expect(bent.said).toEqual([
      '1.2 cm shorter along its top behind; along its seam as long as before.',
      'On paper: slash it behind in 4 places, from its top to just above the stitching line, and lap each by 0.3 cm at the top.',
      'Bent, it is not folded any more: an outer side and a facing are cut, and sewn together along the top.',
    ]);
    // So many times that what the tape shows of a lap is all of it: five of 1/16 in to a half, not three of a little more.
    const slashed = (by: number, unit: 'cm' | 'in'): string | undefined => {
      const made = done(band, by, unit);
      return 'said' in made ? made.said[1]?.match(/in \d+ places|by .* at the top/g)?.join(', ') : undefined;
    };
    expect(slashed(16, 'cm')).toBe('in 8 places, by 0.2 cm at the top');
    expect(slashed(12.7, 'in')).toBe('in 4 places, by 1/8 in at the top');
    expect(slashed(15.875, 'in')).toBe('in 10 places, by 1/16 in at the top');
    const upper = (part: typeof bent.after): number => pathLength(part.edges.find((e) => e.id === 'upper')?.path ?? []);
    expect(upper(bent.before) - upper(bent.after)).toBeCloseTo(12, 2);
    const shaped = done([{ id: 'shapedBand', values: {} }], 12.7, 'in');
    expect('said' in shaped && shaped.said[1]).toBe(
      'On paper: at the centre behind mark 1/4 in in from the top of either half, and draw to nothing at its seam.',
    );
    const far = done(band, 41);
    expect('refused' in far && far.refused).toContain('Give 4.0 cm or less');
    // Two bands stand against one another: there is none to draw.
    const without = done([...band, { id: 'shapedBand', values: {} }], 5);
    expect('refused' in without).toBe(true);
  });
});
