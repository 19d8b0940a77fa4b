import { describe, expect, it } from 'vitest';
import type { Alteration, AlterationWork } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { edgeLengths, outlineOf, type Block } from '../draft/index.js';
import { wordsOfPage } from '../drawing/index.js';
import { garmentOf } from '../garment/index.js';
import type { Path } from '../geometry/index.js';
import { figuresOf } from '../measured/index.js';
import type { PanelName } from '../method/index.js';
import { houseAllowances, piecesOf, type Allowances } from '../piece/index.js';
import {
  blankFittingPage,
  causesOf,
  firstFold,
  fittingPage,
  FOLD,
  KNOWLEDGE,
  learntOf,
  onCut,
  sewnSeam,
  worksOf,
  type DoesId,
} from './index.js';
import { OPPOSITE } from './does.js';

const BODY = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, thigh: 580, frontRise: 300, backRise: 370 };

function draft(works: readonly AlterationWork[] = [], more: Partial<DraftInput> = {}): Draft {
  const alterations = works.map((work, i): Alteration => ({ id: `a${i}`, on: true, note: '', work }));
  const outcome = computeDraft({ ...EMPTY_INPUT, measured: BODY, alterations, ...more });
  if (!outcome.ok) throw new Error('must draft');
  return outcome.value;
}

const done = (date: string, ...pairs: [string, number][]) => ({
  date,
  done: pairs.map(([cause, by]) => ({ cause, by })),
});

describe('what a person’s fittings have taught', () => {
  it('is how much of an amount stayed: of 50 mm opened 19 came out again, so that 62 % is offered next', () => {
    const drafts = [[done('2026-03-02', ['backRiseShort', 50]), done('2026-03-20', ['backRiseLong', 19])]];
    const [learnt, ...more] = learntOf(drafts);
    expect(more).toEqual([]);
    expect(learnt).toMatchObject({ does: 'openSeat', given: 50, back: 19, date: '2026-03-02' });
    expect(learnt?.share).toBeCloseTo(0.62, 9);
    const seen = { seen: [{ what: 'tooShortBehind' }], pins: [{ kind: 'openedSeat', by: 40, leg: 'both' as const }] };
    const first = (taught = learntOf([])) => causesOf(seen, draft(), 'cm', taught)[0];
    expect(first()).toMatchObject({ amount: 40, from: 'pin', learnt: undefined });
    expect(first(learntOf(drafts))).toMatchObject({ amount: 25, learnt: { given: 50, back: 19 } });
  });

  it('is nothing where nothing came out, where it was another draft, or all of it and more came out', () => {
    const opened = done('2026-03-02', ['backRiseShort', 20]);
    expect(learntOf([[opened]])).toEqual([]);
    expect(learntOf([[opened], [done('2026-03-20', ['backRiseLong', 5])]])).toEqual([]);
    expect(learntOf([[opened, done('2026-03-20', ['backRiseLong', 25])]])).toEqual([]);
    expect(learntOf([[opened, done('2026-03-20', ['seatWide', 5])]])).toEqual([]);
    expect(learntOf([[opened, done('2026-03-20', ['no such cause', 5])]])).toEqual([]);
  });

  it('is the latest of its kind, and never less than a tenth', () => {
    const early = [done('2025-03-02', ['backRiseShort', 20]), done('2025-03-20', ['backRiseLong', 10])];
    const late = [done('2026-03-02', ['backRiseShort', 20]), done('2026-03-20', ['backRiseLong', 19.5])];
    for (const drafts of [
      [early, late],
      [late, early],
    ]) {
      expect(learntOf(drafts)).toMatchObject([{ share: 0.1, date: '2026-03-02' }]);
    }
  });

  it('knows of opposites that take one another back: done one after the other the figure is what it was', () => {
    for (const [id, opposite] of Object.entries(OPPOSITE) as [DoesId, DoesId][]) {
      expect(OPPOSITE[opposite]).toBe(id);
      const one = draft().block;
      const first = worksOf(id, 8, one);
      const both = draft([...first, ...worksOf(opposite, 8, draft(first).block)]).block;
      for (const figure of ['frontRise', 'backRise', 'waist', 'hip'] as const) {
        expect(Math.abs(figuresOf(one)[figure] - figuresOf(both)[figure]), `${id} ${figure}`).toBeLessThan(1);
      }
    }
  });
});

describe('a seam measured as it is sewn', () => {
  it('is told between its stitching lines, against the piece and what is wanted', () => {
    const here = draft();
    // 17 in from the crotch seam to the raw edge, half an inch of it allowance, 16 1/4 wanted: a quarter over.
    const found = sewnSeam({ seam: 'backRise', is: 17 * 25.4, wanted: 16.25 * 25.4 }, 12.7, here);
    expect(found?.net).toBeCloseTo(16.5 * 25.4, 9);
    expect(found?.paper).toBeCloseTo(edgeLengths(here.block.back).rise, 9);
    expect(found?.mend).toMatchObject([{ kind: 'waist', panel: 'back', side: 0 }]);
    const mended = draft(found?.mend);
    expect(edgeLengths(here.block.back).rise - edgeLengths(mended.block.back).rise).toBeCloseTo(0.25 * 25.4, 0);
    // It runs out to the side.
    expect(edgeLengths(mended.block.back).side).toBeCloseTo(edgeLengths(here.block.back).side, 1);
  });

  it('takes what the body wants where the maker says nothing, and the side by both of its raw ends', () => {
    const here = draft();
    const check = here.checks.find((c) => c.id === 'backRise');
    const middle = ((check?.low ?? NaN) + (check?.high ?? NaN)) / 2;
    expect(sewnSeam({ seam: 'backRise', is: middle }, 0, here)).toMatchObject({ wanted: middle, mend: undefined });
    const side = sewnSeam({ seam: 'side', is: 1000 }, 15, here);
    expect(side).toMatchObject({ net: 970, wanted: undefined, mend: undefined });
    expect(sewnSeam({ seam: 'pocket', is: 1000 }, 15, here)).toBeUndefined();
  });

  it('puts a waist right in the back darts', () => {
    const here = draft();
    const { waist } = figuresOf(here.block);
    const found = sewnSeam({ seam: 'waist', is: waist + 12, wanted: waist }, 10, here);
    const mended = figuresOf(draft(found?.mend).block).waist;
    expect(waist - mended).toBeCloseTo(12, 0);
  });
});

describe('a waist without darts, measured as it is sewn', () => {
  it('is put right at both sides', () => {
    const measured = { ...BODY, waist: 980 };
    const here = draft([], { measured });
    expect(here.block.back.darts).toEqual([]);
    const { waist } = figuresOf(here.block);
    const found = sewnSeam({ seam: 'waist', is: waist + 12, wanted: waist }, 0, here);
    const mended = draft(found?.mend, { measured });
    expect(mended.altered.told.every((t) => t.done)).toBe(true);
    expect(waist - figuresOf(mended.block).waist).toBeCloseTo(12, 0);
  });
});

describe('cloth that is cut', () => {
  const allowances: Allowances = { ...houseAllowances('cm'), given: [] };
  const cut = (block: Block, by: Allowances = allowances): Record<PanelName, Path> => {
    const pieces = piecesOf(garmentOf(block), by);
    const of = (name: PanelName): Path => pieces.find((p) => p.part.id === name)?.cut ?? [];
    return { front: of('front'), back: of('back') };
  };
  const here = draft().block;
  const lines = cut(here);
  const side = (by: number): AlterationWork => ({
    kind: 'seam',
    panel: 'back',
    seam: 'side',
    by,
    from: { line: 'hipLevel', by: 0 },
    to: { line: 'crotchLevel', by: 0 },
    runOut: 120,
  });
  const verdict = (work: AlterationWork, panel: PanelName, edge: string, on = lines) =>
    onCut(on, here, draft([work]).block).find((o) => o.panel === panel && o.edge === edge);

  it('says nothing of what has not moved', () => {
    expect(onCut(lines, here, draft().block)).toEqual([]);
    expect(outlineOf(here.front).length).toBeGreaterThan(0);
  });

  it('has an inlay: let out within it, with too little left, and beyond it', () => {
    const inlay = allowances.profile.side;
    expect(verdict(side(-6), 'back', 'side')).toMatchObject({ verdict: 'takenIn' });
    // A little is told by what is left where it is let out, not by a narrower allowance elsewhere on the edge.
    const little = verdict(side(6), 'back', 'side');
    expect(little?.verdict).toBe('inlay');
    expect(little?.left).toBeCloseTo(inlay - 6, 0);
    const fits = verdict(side(inlay - 8), 'back', 'side');
    expect(fits?.verdict).toBe('inlay');
    expect(fits?.left).toBeCloseTo(8, 0);
    expect(verdict(side(inlay - 3), 'back', 'side')?.verdict).toBe('tight');
    const beyond = verdict(side(inlay + 7), 'back', 'side');
    expect(beyond?.verdict).toBe('setIn');
    expect(beyond?.left).toBeCloseTo(-7, 0);
  });

  it('cannot have a front curve filled again that is cut, though a back one may have a piece set in', () => {
    const fill = (panel: PanelName): AlterationWork => ({ kind: 'scoop', panel, at: 0.5, by: -16, keepLength: false });
    const narrow = cut(here, { ...allowances, profile: { ...allowances.profile, rise: 2 } });
    expect(verdict(fill('front'), 'front', 'rise', narrow)?.verdict).toBe('gone');
    expect(verdict(fill('back'), 'back', 'rise', narrow)?.verdict).toBe('setIn');
    const scoop: AlterationWork = { kind: 'scoop', panel: 'front', at: 0.5, by: 6, keepLength: false };
    expect(verdict(scoop, 'front', 'rise')?.verdict).toBe('takenIn');
  });
});

describe('a fitting as a page', () => {
  const facts = {
    date: '2026-05-07',
    of: 'Rigger trousers',
    who: '',
    cloth: 'toile',
    give: 0.15,
    posture: 'hips forward',
    note: 'Left heel raised.',
    verdict: 'again in toile',
    seen: [{ what: 'hemLowInside', leg: 'left' as const }],
    pins: [{ kind: 'pinchedCentreBack', by: 16, leg: 'both' as const }],
    sewn: [],
    photos: [],
    predicted: [{ words: 'The hip is tighter.', seen: 'It was so.' }],
    done: [{ words: 'The waist is too wide behind', by: 16, leg: 'both' as const }],
    before: draft().block,
    now: draft(worksOf('deeperDarts', 16, draft().block)).block,
  };

  it('tells what was seen, pinned and done, and the figures before and after', () => {
    const page = fittingPage(facts, 'cm');
    const words = wordsOfPage(page).join('\n');
    for (const said of [
      'left leg',
      'Left heel raised.',
      '1.6 cm',
      'Before and after',
      'toile that gives 15 %; stands: hips forward',
    ])
      expect(words).toContain(said);
    const plain = wordsOfPage(fittingPage({ ...facts, give: undefined, posture: '' }, 'cm')).join('\n');
    expect(plain).toContain('Rigger trousers; toile; again in toile.');
    const table = page.blocks.find((b) => b.as === 'table');
    const waist = table?.as === 'table' ? table.rows.find(([label]) => label === 'Waist') : undefined;
    const [before, now] = [figuresOf(facts.before).waist, figuresOf(facts.now).waist];
    expect(waist?.slice(1, 3)).toEqual([`${(before / 10).toFixed(1)} cm`, `${(now / 10).toFixed(1)} cm`]);
    expect(waist?.[3]).toMatch(/^−1\.\d cm$/);
    expect(words).not.toContain('seen by');
  });

  it('tells a fold by its places and both its amounts, on its leg, in the maker’s unit', () => {
    const pins = [{ kind: FOLD, by: 12.7, leg: 'left' as const, fold: { ...firstFold('back'), byTo: 6.35 } }];
    const words = wordsOfPage(fittingPage({ ...facts, pins }, 'in')).join('\n');
    expect(words).toMatch(
      /Back: fold out 1\/2 in at the rise at the hip line, 1\/4 in at the side at the hip line, left leg/,
    );
  });

  it('is blank with everything that can be seen and every pin', () => {
    const words = wordsOfPage(blankFittingPage()).join('\n');
    for (const { words: seen } of [...KNOWLEDGE.seen, ...KNOWLEDGE.pins]) expect(words).toContain(seen);
  });
});
