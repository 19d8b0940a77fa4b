import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { houseCloth } from '../cloth/index.js';
import { edgeLengths } from '../draft/index.js';
import { enclosedArea } from '../geometry/index.js';
import { HOUSE_ALLOWANCES } from '../piece/index.js';
import {
  appliedTo,
  clothOfAll,
  rowAsks,
  rowOf,
  rowRank,
  type Applied,
  type BatchGarment,
  type BatchRow,
} from './index.js';

const garment: BatchGarment = {
  input: {
    ...EMPTY_INPUT,
    settings: { hemGirth: 440 },
    alterations: [
      {
        id: 'a',
        on: true,
        note: '',
        work: { kind: 'waist', panel: 'both', centre: 10, side: 10, centreOnly: false },
      },
    ],
    // What the maker's own model measured is of no matter to anybody else.
    measured: { waist: 600, hip: 900, crotchDepth: 250, inseam: 700, thigh: 500 },
    adopted: { thigh: 'hip' },
    heights: [{ height: 100, girth: 950 }],
  },
  style: ['fly', 'band'].map((id) => ({ id, values: {} })),
  allowances: HOUSE_ALLOWANCES,
  cloths: undefined,
  unit: 'cm',
};
const body = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const made = (applied: Applied): Extract<Applied, { ok: true }> => {
  if (!applied.ok) throw new Error('must be made');
  return applied;
};

describe('a garment applied to a body', () => {
  it('is the same garment drafted for that body by itself: nothing of another body stays in it', () => {
    const { draft } = made(appliedTo(garment, { figure: undefined, measured: body }));
    const alone = computeDraft({ ...garment.input, measured: body, adopted: {}, heights: [] });
    if (!alone.ok) throw new Error('must draft');
    expect(edgeLengths(draft.block.front)).toEqual(edgeLengths(alone.value.block.front));
    expect(edgeLengths(draft.block.back)).toEqual(edgeLengths(alone.value.block.back));
    expect(draft.checks.map((c) => c.id)).not.toContain('height.100');
    // One after another, in either order, each comes out as by itself.
    const other = { waist: 900, hip: 1120, crotchDepth: 290, inseam: 760 };
    const again = made(appliedTo(garment, { figure: undefined, measured: other }));
    expect(edgeLengths(again.draft.block.back)).not.toEqual(edgeLengths(draft.block.back));
    const back = made(appliedTo(garment, { figure: undefined, measured: body }));
    expect(edgeLengths(back.draft.block.back)).toEqual(edgeLengths(draft.block.back));
  });

  it('keeps alterations, settings, style and allowances', () => {
    const { draft, pieces, leftOut } = made(appliedTo(garment, { figure: undefined, measured: body }));
    const plain = made(
      appliedTo({ ...garment, input: { ...garment.input, alterations: [] } }, { figure: undefined, measured: body }),
    );
    expect(leftOut).toEqual([]);
    const rise = (d: typeof draft): number => edgeLengths(d.block.front).rise;
    expect(rise(draft)).toBeGreaterThan(rise(plain.draft) + 8);
    expect(draft.worked.front.hemWidth + draft.worked.back.hemWidth).toBeCloseTo(440, 6);
    expect(pieces.map((p) => p.part.id)).toEqual(expect.arrayContaining(['front', 'back', 'flyFacing', 'band']));
    const front = pieces.find((p) => p.part.id === 'front');
    const net = front?.part.edges.flatMap((e) => e.path) ?? [];
    expect(Math.abs(enclosedArea(front?.cut ?? []))).toBeGreaterThan(Math.abs(enclosedArea(net)) * 1.05);
  });

  it('tells what asks for something, the worst first, what was estimated and how much cloth it takes', () => {
    const tight = { ...body, backRise: 460, thigh: 700 };
    const { asks, estimated, cloth } = made(appliedTo(garment, { figure: 'man', measured: tight }));
    expect(asks.length).toBeGreaterThan(0);
    const verdicts = asks.map((c) => c.verdict);
    expect(verdicts).toEqual([...verdicts].sort((a, b) => (a === b ? 0 : a === 'out' ? -1 : 1)));
    expect(verdicts).not.toContain('in');
    expect(asks.map((c) => c.id)).toContain('backRise');
    expect(estimated).not.toContain('thigh');
    expect(cloth.map((c) => c.kind)).toEqual(['shell', 'interfacing']);
    expect(cloth[0]).toMatchObject({ width: 1500 });
    expect(cloth[0]?.length).toBeGreaterThan(1000);
    const narrow = { ...garment, cloths: { shell: { ...houseCloth('shell', 'cm'), width: 900 } } };
    const more = made(appliedTo(narrow, { figure: 'man', measured: tight })).cloth[0];
    expect(more?.length).toBeGreaterThan((cloth[0]?.length ?? 0) * 1.3);
  });

  it('leaves out nothing that is near its band or out of it, and tells nothing that is in it', () => {
    const plain = { ...garment, input: { ...garment.input, alterations: [] } };
    const verdicts = new Set<string>();
    for (const backRise of [340, 356, 369, 370, 400]) {
      const { draft, asks } = made(appliedTo(plain, { figure: undefined, measured: { ...body, backRise } }));
      const open = draft.checks.filter((c) => c.verdict === 'out' || c.verdict === 'near');
      expect(new Set(asks.map((c) => c.id))).toEqual(new Set(open.map((c) => c.id)));
      for (const { verdict } of asks) verdicts.add(verdict);
    }
    expect(verdicts).toEqual(new Set(['near', 'out']));
  });

  it('is grown for a cloth that shrinks', () => {
    const shell = { ...houseCloth('shell', 'cm'), shrinkLength: 0.05 };
    const area = (cloths: BatchGarment['cloths']): number => {
      const { pieces } = made(appliedTo({ ...garment, cloths }, { figure: undefined, measured: body }));
      return Math.abs(enclosedArea(pieces.find((p) => p.part.id === 'back')?.cut ?? []));
    };
    expect(area({ shell }) / area(undefined)).toBeGreaterThan(1.04);
    expect(area({ shell }) / area(undefined)).toBeLessThan(1.06);
    // What is chalked follows the garment, what is cut the pieces: both are grown.
    const { styled, pieces } = made(
      appliedTo({ ...garment, cloths: { shell } }, { figure: undefined, measured: body }),
    );
    expect(styled.garment.parts).toEqual(pieces.map((p) => p.part));
  });

  it('is none where the body has not the four figures, or a component cannot be made: with the reason', () => {
    const none = appliedTo(garment, { figure: undefined, measured: { waist: 780 } });
    expect(none.ok ? [] : none.refusals.length).toBeGreaterThan(0);
    const style = [{ id: 'taper', values: { by: 149 } }];
    const refused = appliedTo({ ...garment, style }, { figure: undefined, measured: body });
    expect(refused.ok ? '' : refused.refusals[0]?.code).toBe('legTooNarrow');
  });
});

describe('a row of a batch', () => {
  const row = (measured: Record<string, number>): BatchRow =>
    rowOf(appliedTo(garment, { figure: 'man', measured }), 'cm');

  it('tells by how much a length is outside its band, over or under', () => {
    const applied = made(appliedTo(garment, { figure: 'man', measured: { ...body, backRise: 460, frontRise: 180 } }));
    const told = rowOf(applied, 'cm');
    if (!told.ok) throw new Error('must be made');
    for (const { id, off } of told.asks) {
      const check = applied.asks.find((c) => c.id === id);
      if (check?.kind !== 'length' || typeof check.value !== 'number') continue;
      const { value, low = -Infinity, high = Infinity } = check;
      expect(off).toBeCloseTo(value < low ? value - low : value - high, 9);
    }
    expect(told.asks.find((a) => a.id === 'backRise')?.off).toBeLessThan(0);
    expect(told.asks.find((a) => a.id === 'frontRise')?.off).toBeGreaterThan(0);
  });

  it('stands by what asks for most: none made first, then out, then near, what asks for nothing last', () => {
    const none = row({ waist: 780 });
    const out = row({ ...body, backRise: 460 });
    const plain = rowOf(
      appliedTo({ ...garment, input: { ...garment.input, alterations: [] } }, { figure: 'man', measured: body }),
      'cm',
    );
    expect(rowRank(none)).toBeGreaterThan(rowRank(out));
    expect(rowRank(out)).toBeGreaterThan(rowRank(plain));
    expect(rowAsks(none) && rowAsks(out)).toBe(true);
    expect(none.ok ? '' : none.sentence).toMatch(/missing/);
  });

  it('adds up the cloth of all that could be made', () => {
    const rows = [row(body), row({ waist: 780 }), row({ ...body, hip: 1100, waist: 900 })];
    const each = rows.flatMap((r) => (r.ok ? (r.cloth.find((c) => c.kind === 'shell')?.length ?? 0) : []));
    expect(clothOfAll(rows).find((c) => c.kind === 'shell')?.length).toBeCloseTo((each[0] ?? 0) + (each[1] ?? 0), 6);
    expect(each).toHaveLength(2);
  });
});
