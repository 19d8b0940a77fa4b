import { DEFAULT_SHEET } from '../method/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { describe, expect, it } from 'vitest';
import { compareDrafts } from '../compare/index.js';
import { bodyOf, computeDraft, easeTable, extensionsFor, missingFigures } from '../chain/index.js';
import {
  doubtsOf,
  inputOf,
  newDraft,
  newerSet,
  newSet,
  newestFirst,
  newPerson,
  risesAsk,
  setBefore,
  valuesOf,
  withFigure,
  withoutRises,
  withRule,
  withSet,
  type Person,
} from './index.js';

const now = new Date('2026-11-23T10:00:00Z');
let n = 0;
const id = (): string => `id-${++n}`;
const byId = (name: string): Person => DEMO_WORKBOOK.people.find((p) => p.id === name) as Person;
const firstSet = (person: Person): Person['sets'][number] => person.sets[0] as Person['sets'][number];

describe('a set of measurements', () => {
  it('keeps what a figure was before it was corrected, once for a correction made in one go', () => {
    const minute = (m: number): Date => new Date(now.getTime() + m * 60_000);
    let set = withFigure(firstSet(newPerson(id, 'A', 'cm', now)), 'waist', 870, now);
    expect(set.corrected).toEqual([]);
    set = withFigure(set, 'waist', 78, minute(60));
    set = withFigure(set, 'waist', 780, minute(61));
    expect(set.values.waist).toBe(780);
    expect(set.corrected.map((c) => [c.id, c.was])).toEqual([['waist', 870]]);
    set = withFigure(set, 'waist', undefined, minute(120));
    expect(set.values).toEqual({});
    expect(set.corrected.map((c) => c.was)).toEqual([870, 780]);
    expect(withFigure(set, 'waist', undefined, minute(121))).toBe(set);
  });

  it('asks whether the rises hold where the girths have changed and the rises are those of then', () => {
    const start = newPerson(id, 'A', 'cm', now);
    const was = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, frontRise: 290, backRise: 380 };
    const first = { ...firstSet(start), date: '2026-03-01', values: was };
    const again = { ...first, id: 'again', date: '2026-11-23' };
    const ask = (values: object, more: object = {}, traces: Person['traces'] = []) => {
      const set = { ...again, values: { ...was, ...values }, ...more };
      return risesAsk({ ...start, traces, sets: [first, set] }, set);
    };
    expect(ask({ hip: 1050 })).toEqual({
      since: '2026-03-01',
      girth: 'hip',
      share: 0.05,
      rises: ['frontRise', 'backRise'],
      traced: false,
    });
    expect(ask({ waist: 830, hip: 1010 })?.girth).toBe('waist');
    // Three in a hundred is no change of weight; nor is anything asked once it was answered or the rises were taken
    // anew.
    expect(ask({ hip: 1029 })).toBeUndefined();
    expect(ask({ hip: 1050 }, { risesAsked: true })).toBeUndefined();
    expect(ask({ hip: 1050, frontRise: 296, backRise: 391 })).toBeUndefined();
    const trace = { id: 't', name: 'T', date: '2026-03-01', note: '', inseam: 0.45, points: [] };
    expect(ask({ hip: 1050, frontRise: undefined, backRise: undefined })).toBeUndefined();
    expect(ask({ hip: 1050, frontRise: undefined, backRise: undefined }, {}, [trace])).toMatchObject({
      rises: [],
      traced: true,
    });
    const taken = withoutRises({ ...again, values: was }, now);
    expect(Object.keys(taken.values)).toEqual(['waist', 'hip', 'crotchDepth', 'inseam']);
    expect(taken.corrected.map((c) => c.was)).toEqual([290, 380]);
  });

  it('from a pair has the figures that the pair gives', () => {
    const pair = byId('cook').sets.find((s) => s.source === 'pair');
    expect(pair && valuesOf(pair)).toMatchObject({ waist: 1150, hip: 1330, crotchDepth: 315, outseam: 1040 });
    expect(pair?.values).toEqual({});
  });

  it('is newer than another by its date, among those of one source', () => {
    const lead = byId('lead-puppeteer');
    const [newest, oldest] = newestFirst(lead);
    expect([newest?.id, oldest?.id]).toEqual(['lead-puppeteer-2', 'lead-puppeteer-1']);
    expect(oldest && newerSet(lead, oldest)?.id).toBe('lead-puppeteer-2');
    expect(newest && newerSet(lead, newest)).toBeUndefined();
    expect(newest && setBefore(lead, newest)?.id).toBe('lead-puppeteer-1');
    const cook = byId('cook');
    for (const set of cook.sets) expect(newerSet(cook, set)).toBeUndefined();
  });

  it('is doubted beside the set before it', () => {
    const lead = byId('lead-puppeteer');
    const [newest] = newestFirst(lead);
    if (!newest) throw new Error('no set');
    expect(doubtsOf(lead, newest)).toEqual([]);
    const swollen = withFigure(newest, 'waist', 810, now);
    expect(doubtsOf(withSet(lead, swollen), swollen)[0]?.sentence).toMatch(/beside 71\.0 cm of 2026-03-02 \(\+14 %\)/);
  });
});

describe('a draft from a set', () => {
  const person = byId('cellist');
  const draft = newDraft(id, person, 'Trousers', now);

  it('needs the inseam or the outseam, and takes an adopted crotch depth', () => {
    const set = firstSet(person);
    const without = withFigure(withFigure(set, 'inseam', undefined, now), 'crotchDepth', undefined, now);
    const input = (s: typeof set): ReturnType<typeof inputOf> =>
      inputOf({ person: withSet(person, s), draft }, DEFAULT_SHEET);
    expect(missingFigures(input(without))).toEqual(['crotchDepth', 'inseam']);
    const outseam = withFigure(without, 'outseam', 1070, now);
    const adopted = withRule(outseam, 'crotchDepth', 'quarter-hip-1-in');
    expect(missingFigures(input(adopted))).toEqual([]);
    expect(bodyOf(input(adopted)).get('inseam')?.mm).toBeCloseTo(1070 - (1020 / 4 + 25.4), 9);
    const outcome = computeDraft(input(adopted));
    expect(outcome.ok && outcome.value.worked.ledger.get('crotchLevel')?.restsOnEstimate).toBe(true);
  });

  it('tells what would change with another set, the largest first', () => {
    const rigger = byId('stage-rigger');
    const [newest, oldest] = newestFirst(rigger);
    const work = (setId: string | undefined) =>
      computeDraft(
        inputOf({ person: rigger, draft: { ...newDraft(id, rigger, 'x', now), setId: setId ?? '' } }, DEFAULT_SHEET),
      );
    const [was, is] = [work(oldest?.id), work(newest?.id)];
    if (!was.ok || !is.ok) throw new Error('must draft');
    const changes = compareDrafts(was.value, is.value);
    expect(compareDrafts(was.value, was.value)).toEqual([]);
    const hip = changes.find((c) => c.name === 'front.hipWidth');
    // As it lies on the piece: an eighth of an inch laid off, and half a millimetre by which the rise leaves its line
    // more.
    expect(hip?.by).toBeGreaterThan((0.5 * 25.4) / 4 - 0.3);
    expect(hip?.by).toBeLessThan((0.5 * 25.4) / 4 + 1);
    const sizes = changes.map((c) => Math.abs(c.by));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });

  it('has every finished girth as body and ease, which the pieces follow', () => {
    const compute = (fit: Partial<typeof draft.fit>, settings = {}, set = {}) => {
      const outcome = computeDraft(
        inputOf({ person, draft: { ...draft, fit: { ...draft.fit, ...fit }, settings, set } }, DEFAULT_SHEET),
      );
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
      return outcome.value;
    };
    const hipRow = (fit: Partial<typeof draft.fit>, settings = {}) =>
      easeTable(compute(fit, settings)).find((r) => r.id === 'hip');
    const laidOff = (fit: Partial<typeof draft.fit>, settings = {}): number => hipRow(fit, settings)?.ease ?? NaN;
    expect(laidOff({})).toBeCloseTo(25.4, 9);
    expect(laidOff({ fitClass: 'regular' })).toBeCloseTo(35, 9);
    expect(laidOff({ fitClass: 'loose' })).toBeCloseTo(50, 9);
    expect(laidOff({ fitClass: 'regular' }, { hipEase: 10 })).toBeCloseTo(10, 9);
    expect(laidOff({ fitClass: 'knit', stretch: 0.5 })).toBeCloseTo(-51, 9);
    expect(laidOff({ fitClass: 'knit', stretch: 0.8 })).toBeCloseTo(-102, 9);
    expect(compute({ fitClass: 'knit', stretch: 0.2 }).worked.warnings).toEqual([
      { code: 'tooLittleStretch', stretch: 0.2 },
    ]);
    for (const row of easeTable(compute({ fitClass: 'close-relaxed' }))) {
      expect(row.finished).toBeCloseTo(
        row.body + row.ease + (row.setting?.over ?? 0) * (row.setting?.holds === 'ease' ? 1 : 0),
        9,
      );
    }
    const regular = compute({ fitClass: 'regular' });
    const hip = regular.checks.find((c) => c.id === 'hip');
    expect(hip).toMatchObject({ verdict: 'in', low: 1040 });
    // The thigh has no setting in this sheet: the extensions give it, in proportion.
    const regularInput = inputOf(
      { person, draft: { ...draft, fit: { ...draft.fit, fitClass: 'regular' }, settings: {}, set: {} } },
      DEFAULT_SHEET,
    );
    const wanted = extensionsFor(regular, 700, regularInput);
    const narrowed = easeTable(compute({ fitClass: 'regular' }, {}, wanted)).find((r) => r.id === 'thigh');
    expect(Math.abs((narrowed?.finished ?? 0) - 700)).toBeLessThan(0.5);
    expect(extensionsFor(regular, 300, regularInput)).toBeUndefined();
  });
});

describe('the day of a set', () => {
  it('is the maker’s own, wherever they are', () => {
    const zone = process.env['TZ'];
    try {
      process.env['TZ'] = 'Pacific/Auckland';
      expect(newSet(() => 'x', 'cm', new Date('2026-11-27T20:30:00Z'), 'body').date).toBe('2026-11-28');
      process.env['TZ'] = 'America/Lima';
      expect(newSet(() => 'x', 'cm', new Date('2026-11-28T03:30:00Z'), 'body').date).toBe('2026-11-27');
    } finally {
      if (zone === undefined) delete process.env['TZ'];
      else process.env['TZ'] = zone;
    }
  });
});
