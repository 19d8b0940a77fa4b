import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { CHALK_HOUSE, chalkSheet } from '../chalk/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import type { Garment, Seam } from '../garment/index.js';
import { flatten } from '../geometry/index.js';
import { inputOf } from '../kept/index.js';
import { cutListOf, HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { sheetById } from '../shipped/index.js';
import { COMPONENTS, draftGarment, type Style, type Styled } from '../style/index.js';
import { readerIn } from '../units/index.js';
import {
  MAKE_HOUSE,
  makePages,
  makePlan,
  readyPage,
  seamNames,
  specOf,
  specPage,
  type MakeChoice,
  type MakeStep,
} from './index.js';

const BODY = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function drafted(method = 'quarter-and-half'): Draft {
  const sheet = sheetById(method);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, sheet, measured: BODY });
  if (!outcome?.ok) throw new Error(method);
  return outcome.value;
}

const draft = drafted();
const made = (style: Style, of = draft): Styled => draftGarment(of, style, 'cm');
const item = (id: string, values = {}): Style[number] => ({ id, values });
const ADULT = { child: false, stretch: 0 };
const plan = (style: Style, choice: Partial<MakeChoice> = {}, of = draft): readonly MakeStep[] =>
  makePlan(made(style, of).garment, style, ADULT, { ...MAKE_HOUSE, ...choice });
const at = (steps: readonly MakeStep[], id: string): number => steps.findIndex((s) => s.id === id);

const CHOICES: readonly MakeChoice[] = (['last', 'first'] as const).flatMap((inseams) =>
  (['after', 'before'] as const).flatMap((hem) =>
    (['whole', 'sideLast'] as const).map((band): MakeChoice => ({ inseams, hem, band })),
  ),
);

/** Seams that lie on one edge beside the given one, whose parts are joined by another seam: that seam has to be there. */
function neededBy(garment: Garment, seam: Seam): string[] {
  const key = (s: Seam['first']): string => `${s.part}${s.mirrored ? '*' : ''}`;
  const found: string[] = [];
  for (const [mine, far] of [
    [seam.first, seam.second],
    [seam.second, seam.first],
  ] as const) {
    // Of some parts a leg has two: one is sewn to the front, the other to the back.
    const part = garment.parts.find((p) => p.id === mine.part);
    if (part && part.cut.count > (part.leg === 'both' ? 2 : 1)) continue;
    for (const other of garment.seams) {
      if (other === seam) continue;
      for (const [here, there] of [
        [other.first, other.second],
        [other.second, other.first],
      ] as const) {
        if (key(here) !== key(mine) || here.edge !== mine.edge || key(there) === key(far)) continue;
        const joins = garment.seams.filter(
          (j) => [key(j.first), key(j.second)].sort().join() === [key(far), key(there)].sort().join(),
        );
        found.push(...joins.map((j) => j.id));
      }
    }
  }
  return found;
}

/** What is wrong with an order: a seam closed never or twice, or before one that it needs. */
function faultsOf(steps: readonly MakeStep[], garment: Garment): string[] {
  const where = new Map<string, number>();
  const out: string[] = [];
  steps.forEach(({ seams }, i) => {
    for (const id of seams) {
      if (where.has(id)) out.push(`${id} twice`);
      where.set(id, i);
    }
  });
  for (const seam of garment.seams) {
    const i = where.get(seam.id);
    if (i === undefined) out.push(`${seam.id} never`);
    else
      for (const need of neededBy(garment, seam))
        if ((where.get(need) ?? -1) > i) out.push(`${seam.id} before ${need}`);
  }
  return out;
}

const GARMENTS: readonly Style[] = [
  [],
  [item('band'), item('fly'), item('slantPocket'), item('loops')],
  [item('band', { parts: 'frontBack' }), item('zip', { at: 'side' }), item('inSeamPocket')],
  [item('band', { parts: 'halves' }), item('zip', { at: 'back' }), item('patchPocket')],
  [item('shapedBand'), item('fly'), item('weltPocket'), item('hem', { kind: 'turnUp' })],
  [item('yoke'), item('fly'), item('band'), item('patchPocket'), item('coinPocket'), item('kneePatch')],
  [item('waistFacing'), item('zip'), item('slit'), item('lining')],
  [item('casing'), item('drawstring'), item('inSeamPocket')],
  [item('casing', { kind: 'applied' }), item('tabs')],
  [item('pleats'), item('band'), item('fly'), item('hem', { kind: 'faced' })],
];

describe('the order of sewing', () => {
  it('closes every seam once, none before what it is sewn to is there, in all ways of makers', () => {
    for (const style of GARMENTS) {
      const { garment } = made(style);
      for (const choice of CHOICES) {
        const steps = makePlan(garment, style, ADULT, choice);
        expect([style.map((s) => s.id), choice, faultsOf(steps, garment)]).toEqual([
          style.map((s) => s.id),
          choice,
          [],
        ]);
        expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
      }
    }
  });

  it('does so with every component alone and beside a band', () => {
    for (const { id } of COMPONENTS) {
      for (const style of [[item(id)], [item(id), item('band')], [item(id), item('band'), item('fly')]]) {
        const { garment } = made(style);
        const steps = makePlan(garment, style, ADULT, MAKE_HOUSE);
        expect([style.map((s) => s.id), faultsOf(steps, garment)]).toEqual([style.map((s) => s.id), []]);
      }
    }
  });

  it('goes from flat to round: pockets and fly before the sides, the band on the tried-on waist, the crease last', () => {
    const steps = plan([item('band'), item('fly'), item('slantPocket'), item('loops')]);
    const order = [
      'mark',
      'darts',
      'slantPocket',
      'slantBags',
      'sides',
      'inseamsLast',
      'tryOn',
      'loops',
      'band',
      'hem',
      'press',
    ];
    const places = order.map((id) => at(steps, id));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(at(steps, 'fly')).toBeLessThan(at(steps, 'frontRise'));
    expect(steps.at(-1)?.id).toBe('press');
    expect(steps[0]?.say).toContain('wrong side');
  });

  it('leaves the end of the rises open where the inseams come last, and draws one leg into the other where they come first', () => {
    const last = plan([]);
    expect(last.find((s) => s.id === 'frontRise')?.say).toContain('the last 1 in');
    expect(at(last, 'frontRise')).toBeLessThan(at(last, 'inseamsLast'));
    const first = plan([], { inseams: 'first' });
    expect(at(first, 'frontRise')).toBe(-1);
    expect(at(first, 'inseamsFirst')).toBeLessThan(at(first, 'crotch'));
    expect(first.find((s) => s.id === 'crotch')?.seams).toEqual(['frontRise', 'backRise']);
  });

  it('sews a hem flat before the inseam where a maker does, and says what is lost by it', () => {
    const style = [item('hem', { kind: 'faced' })];
    const before = plan(style, { hem: 'before' });
    expect(at(before, 'hemFlat')).toBeLessThan(at(before, 'inseamsLast'));
    expect(before.find((s) => s.id === 'hemFlat')?.note).toContain('never let down');
    expect(at(plan(style), 'hem')).toBeGreaterThan(at(plan(style), 'tryOn'));
    expect(at(plan(style), 'hemFlat')).toBe(-1);
  });

  it('closes a side last through the band where front and back of it are apart, and nowhere else', () => {
    const style = [item('shapedBand'), item('zip', { at: 'back' })];
    const steps = plan(style, { band: 'sideLast' });
    expect(at(steps, 'sideClosedLast')).toBeGreaterThan(at(steps, 'band'));
    expect(at(plan([item('band')], { band: 'sideLast' }), 'sideClosedLast')).toBe(-1);
  });

  it('has a shield behind the teeth on a child’s, and no word of it on others', () => {
    const style = [item('band'), item('fly'), item('casing')];
    const child = makePlan(made([item('fly')]).garment, style, { child: true, stretch: 0 }, MAKE_HOUSE);
    expect(child.find((s) => s.id === 'fly')?.note).toContain('shield');
    expect(child.find((s) => s.id === 'elastic')?.note).toContain('product-safety law');
    expect(plan(style).find((s) => s.id === 'fly')?.note).toBe('');
  });
});

describe('the written pages', () => {
  const style = [item('band'), item('fly'), item('slantPocket')];
  const styled = made(style);
  const pieces = piecesOf(styled.garment, HOUSE_ALLOWANCES);

  it('list the bundle and every step with a box, and name the seams it closes', () => {
    const steps = plan(style);
    const page = makePages(steps, styled, cutListOf(pieces), readerIn('cm'));
    const lists = page.blocks.flatMap((b) => (b.as === 'list' ? [b.rows] : []));
    expect(lists.at(-1)?.length).toBe(steps.length);
    expect(lists.flat().every((r) => r.box)).toBe(true);
    expect(
      lists
        .flat()
        .map((r) => r.words)
        .join(' '),
    ).toContain('2 front');
    // The fly's zip from the finished top edge, and what closes the band.
    expect(
      lists
        .flat()
        .map((r) => r.words)
        .join(' '),
    ).toMatch(/Trimmings: 1 zip, \d+\.\d cm long; 1 hook and bar, or button/);
    const plain = makePages(plan([]), made([]), cutListOf(pieces), readerIn('cm'));
    expect(JSON.stringify(plain)).not.toContain('Trimmings');
    // With a lay at hand, how it was laid stands between the bundle and the first step.
    const drawing = { width: 1300, height: 1500, marks: [] };
    const laid = makePages(steps, styled, cutListOf(pieces), readerIn('cm'), [
      { cloth: 'shell', drawing, words: '1.3 m' },
    ]);
    const kinds = laid.blocks.map((b) => b.as);
    expect(kinds.indexOf('sketch')).toBeGreaterThan(kinds.indexOf('list'));
    expect(kinds.indexOf('sketch')).toBeLessThan(kinds.lastIndexOf('list'));
    expect(laid.blocks.find((b) => b.as === 'sketch')).toMatchObject({ drawing, scale: 20 });
    const sides = steps.find((s) => s.id === 'sides');
    expect(sides && seamNames(sides, styled.garment)).toEqual(['side']);
  });

  it('have the figures to measure before the shears as the piece has them', () => {
    const sheet = chalkSheet(
      { draft, styled, pieces, allowances: HOUSE_ALLOWANCES, unit: 'cm' },
      { ...CHALK_HOUSE, back: 'front' },
    );
    const page = readyPage(draft, styled, sheet, 'cm');
    const words = page.blocks.flatMap((b) => (b.as === 'list' ? b.rows.map((r) => `${r.words} ${r.note ?? ''}`) : []));
    const hip = draft.checks.find((c) => c.id === 'hip');
    expect(hip).toBeDefined();
    expect(words.find((w) => w.startsWith('Whole hip'))).toMatch(/Whole hip, all pieces: 10[0-9]\.\d cm/);
    // The side as a tape lies along it: short straights, added up.
    const run = flatten(styled.legs.left.front.edges.side, 0.01);
    const long = run.reduce(
      (sum, p, i) => sum + (i > 0 ? Math.hypot(p.x - (run[i - 1]?.x ?? 0), p.y - (run[i - 1]?.y ?? 0)) : 0),
      0,
    );
    expect(words.find((w) => w.startsWith('Side,'))).toContain(`${(long / 10).toFixed(1)} cm`);
    expect(words.some((w) => w.includes('was estimated'))).toBe(true);
    expect(words.some((w) => w.startsWith('The front was the ground'))).toBe(true);
  });

  it('give each point of measure of the finished garment with what it may be off by', () => {
    const lines = specOf(styled, 'in');
    const of = (id: string): number => lines.find((l) => l.id === id)?.mm ?? 0;
    const { front } = styled.legs.left;
    const chords = front.edges.inseam.reduce((sum, c) => sum + Math.hypot(c.p3.x - c.p0.x, c.p3.y - c.p0.y), 0);
    expect(of('inseam')).toBeGreaterThan(chords);
    expect(of('inseam')).toBeLessThan(chords + 5);
    expect(of('knee')).toBeGreaterThan(300);
    expect(lines.every((l) => l.tolerance > 5 && l.tolerance < 13)).toBe(true);
    const page = specPage(
      [
        { name: 'Cellist', lines },
        { name: 'Cook', lines },
      ],
      'in',
    );
    const table = page.blocks.find((b) => b.as === 'table');
    expect(table?.head).toEqual(['Where', 'How', 'Cellist', 'Cook', 'May be off by']);
    expect(table?.rows.find((r) => r[0] === 'Waist')?.at(-1)).toBe('± 1/2 in');
  });

  it('leave the knee out of shorts', () => {
    const shorts = made([item('length', { insideLength: 150 })]);
    expect(specOf(shorts, 'cm').some((l) => l.id === 'knee')).toBe(shorts.legs.left.front.kneeOnPiece);
  });
});

describe('the demo garments', () => {
  it('can all be sewn in the order that is told', () => {
    for (const kept of DEMO_WORKBOOK.drafts) {
      const person = DEMO_WORKBOOK.people.find((p) => p.id === kept.personId);
      const sheet = sheetById(kept.method);
      if (!person || !sheet || !kept.style) continue;
      const outcome = computeDraft(inputOf({ person, draft: kept }, sheet));
      if (!outcome.ok) continue;
      const { garment } = draftGarment(outcome.value, kept.style, person.unit);
      for (const choice of CHOICES)
        expect([kept.id, faultsOf(makePlan(garment, kept.style, ADULT, choice), garment)]).toEqual([kept.id, []]);
    }
  });
});
