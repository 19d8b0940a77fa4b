import { describe, expect, it } from 'vitest';
import { drawnInput, finished, type BatchInput, type Grading } from '../batch/index.js';
import { computeDraft } from '../chain/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { edgeLengths } from '../draft/index.js';
import { SHIPPED_CHARTS } from '../measure/index.js';
import { HOUSE_ALLOWANCES } from '../piece/index.js';
import { refusalsSentence } from '../refusal/index.js';
import { SHEETS } from '../shipped/index.js';
import { readerIn } from '../units/index.js';
import { draftSchema } from '../workbook/schema.js';
import {
  bodiesOf,
  draftOfBody,
  inputOf,
  inputOfRule,
  nearestSize,
  ruleOfRun,
  rulesOffered,
  type KeptDraft,
  type Run,
  type Work,
} from './index.js';

const { people, drafts } = DEMO_WORKBOOK;
const women = SHIPPED_CHARTS.find((c) => c.id === 'women');
const sheetOf = (draft: Pick<KeptDraft, 'method' | 'sheet'>): (typeof SHEETS)[number] => {
  const found = draft.sheet ?? SHEETS.find((s) => s.id === draft.method);
  if (!found) throw new Error('no sheet');
  return found;
};
function workOf(id: string): Work {
  const draft = drafts.find((d) => d.id === id);
  const person = people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error(`no ${id} in the demo`);
  return { draft, person };
}
const cellist = workOf('cellist-dress');
const sizes = (women?.sizes ?? []).slice(3, 8).map((s) => s.name);
const run = (more: Partial<Run> = {}): Run => ({
  id: 'women',
  name: 'Women',
  made: '2026-05-05T09:00:00.000Z',
  of: { from: 'chart', chart: 'women', sizes },
  own: {},
  sewn: [],
  ...more,
});
const written = ruleOfRun(run(), cellist.draft, women, 'Dress trousers');
if (!written) throw new Error('no rule');
const rule = written;

describe('a grade rule that is kept', () => {
  it('is the garment and the sizes it was written from, and fits the file', () => {
    expect(rule.sizes.map((s) => s.name)).toEqual(sizes);
    expect(rule.inputs.method).toBe(cellist.draft.method);
    const kept = { ...cellist.draft, runs: [run({ rule })] };
    expect(draftSchema.safeParse(kept).success).toBe(true);
    expect(rulesOffered([kept, ...drafts], workOf('ticket-plain')).map((o) => o.rule.name)).toEqual(['Dress trousers']);
    // A garment is not offered its own.
    expect(rulesOffered([kept], cellist)).toEqual([]);
  });

  it('is none of people, of one size, or of sizes that were made by a rule', () => {
    const crew = run({ of: { from: 'people', people: ['cook', 'cellist'] } });
    expect(ruleOfRun(crew, cellist.draft, women, 'x')).toBeUndefined();
    const one = run({ of: { from: 'chart', chart: 'women', sizes: sizes.slice(0, 1) } });
    expect(ruleOfRun(one, cellist.draft, women, 'x')).toBeUndefined();
    expect(ruleOfRun(run({ by: { rule, size: sizes[0] ?? '' } }), cellist.draft, women, 'x')).toBeUndefined();
  });

  it('drafts its sizes as its run does', () => {
    for (const body of bodiesOf(run(), cellist, { people, drafts, charts: SHIPPED_CHARTS })) {
      const [ruled, asRun] = [
        inputOfRule(rule, body.key, sheetOf(rule.inputs)),
        inputOf(body.work, sheetOf(body.work.draft)),
      ];
      const [a, b] = [ruled && computeDraft(ruled), computeDraft(asRun)];
      if (!a?.ok || !b.ok) throw new Error('must draft');
      expect(edgeLengths(a.value.block.back)).toEqual(edgeLengths(b.value.block.back));
    }
    expect(inputOfRule(rule, 'none', sheetOf(rule.inputs))).toBeUndefined();
  });

  it('takes a draft for the size whose hip is nearest', () => {
    const of = (name: string): number => women?.sizes.find((s) => s.name === name)?.values.hip ?? 0;
    expect(nearestSize(rule, of('6') + 3)).toBe('6');
    expect(nearestSize(rule, 5000)).toBe(sizes.at(-1));
    expect(nearestSize(rule, undefined)).toBe(sizes[0]);
  });
});

describe('a garment in the sizes of a rule', () => {
  const ticket = workOf('ticket-plain');
  const lone = {
    id: 'b',
    on: true,
    note: '',
    leg: 'left' as const,
    work: { kind: 'levelHem', panel: 'both' } as never,
  };
  const bodies = bodiesOf(run({ by: { rule, size: '6' }, own: { '7': { set: {}, alterations: [lone] } } }), ticket, {
    people,
    drafts,
    charts: [],
  });
  const gradingOf = (to: string, from = '6'): Grading => {
    const size = (name: string): Grading['from'] => {
      const input = inputOfRule(rule, name, sheetOf(rule.inputs));
      if (!input) throw new Error('no size');
      return { name, input };
    };
    return {
      about: { name: 'Dress trousers', date: '2026-05-05' },
      base: inputOf(ticket, sheetOf(ticket.draft)),
      from: size(from),
      to: size(to),
    };
  };

  it('has its sizes, whatever has become of the chart, with what each has by hand', () => {
    expect(bodies.map((b) => b.key)).toEqual(sizes);
    expect(bodies.every((b) => b.graded?.rule === rule && b.graded.size === '6')).toBe(true);
    const seven = bodies.find((b) => b.key === '7');
    expect(seven?.work.draft.alterations).toEqual([lone]);
    expect(seven?.byHand).toBe(true);
  });

  it('is its own block moved by what the rule grows by, with all its pieces; a size of its own keeps that block', () => {
    const base = computeDraft(inputOf(ticket, sheetOf(ticket.draft)));
    if (!base.ok) throw new Error('must draft');
    const ruleHem = (size: string): number => {
      const input = inputOfRule(rule, size, sheetOf(rule.inputs));
      const outcome = input && computeDraft(input);
      if (!outcome?.ok) throw new Error('must draft');
      return edgeLengths(outcome.value.block.front).rise;
    };
    for (const body of bodies) {
      const input: BatchInput = { ...inputOf(body.work, sheetOf(body.work.draft)), grading: gradingOf(body.key) };
      const drawn = drawnInput({ ...input, alterations: [] });
      if (!drawn.ok) throw new Error(refusalsSentence(drawn.refusals, readerIn('cm')));
      const outcome = computeDraft(drawn.value);
      if (!outcome.ok) throw new Error('must draft');
      const grown = edgeLengths(outcome.value.block.front).rise - edgeLengths(base.value.block.front).rise;
      expect(Math.abs(grown - (ruleHem(body.key) - ruleHem('6')))).toBeLessThan(4);
      const made = finished(
        { style: [], allowances: HOUSE_ALLOWANCES, cloths: undefined, unit: 'cm' },
        { ...input, alterations: [] },
      );
      expect(made.ok && made.pieces.length >= 2).toBe(true);
      const { draft, person } = draftOfBody(
        body,
        () => `own-${body.key}`,
        new Date('2026-05-06T10:00:00Z'),
        drawn.value.pattern,
      );
      expect(draft.pattern?.front.side).toEqual(drawn.value.pattern?.front.side);
      expect(person?.name).toContain(body.key);
      expect(draftSchema.safeParse({ ...draft, alterations: [] }).success).toBe(true);
    }
  });

  it('says why where it cannot be graded, and is drafted as it is without a rule', () => {
    const input = inputOf(ticket, sheetOf(ticket.draft));
    expect(drawnInput(input)).toEqual({ ok: true, value: input });
    const odd = gradingOf('7');
    const refused = drawnInput({
      ...input,
      grading: { ...odd, to: { name: '7', input: { ...odd.to.input, measured: {} } } },
    });
    expect(refused.ok).toBe(false);
    const made = finished(
      { style: [], allowances: HOUSE_ALLOWANCES, cloths: undefined, unit: 'cm' },
      {
        ...input,
        grading: { ...odd, base: { ...odd.base, measured: { hip: 1 } } },
      },
    );
    expect(made.ok).toBe(false);
  });
});
