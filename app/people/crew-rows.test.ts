import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { describe, expect, it } from 'vitest';
import { currentSet, newPerson, type Person } from '../../core/kept/index.js';
import { cellsOf, crewLine, crewShown, isHeader, pasteCells, writeCell, type CrewField } from './crew-rows.js';

const now = new Date('2026-11-23T10:00:00Z');
let n = 0;
const named = (name: string): Person => newPerson(() => `id-${++n}`, name, 'cm', now);
const byId = (id: string): Person => DEMO_WORKBOOK.people.find((p) => p.id === id) as Person;
const lines = DEMO_WORKBOOK.people.map(crewLine);
const ids = (filter: Parameters<typeof crewShown>[2], search = ''): string[] =>
  crewShown(lines, search, filter).map((l) => l.id);

describe('the table of the crew', () => {
  it('finds who is incomplete, who is doubtful, and a part of a name or a note', () => {
    expect(ids('all')).toHaveLength(8);
    expect(ids('incomplete')).toEqual(['apprentice']);
    expect(ids('doubtful')).toEqual(['ticket-seller']);
    expect(ids('all', 'seated PLAYS')).toEqual(['cellist']);
    expect(ids('doubtful', 'cellist')).toEqual([]);
  });

  it('shows the newest set from the body, not the pair', () => {
    expect(currentSet(byId('cook')).id).toBe('cook-1');
    expect(currentSet(byId('lead-puppeteer')).id).toBe('lead-puppeteer-2');
  });

  it('takes a figure in any notation and keeps what it was; a bad one changes nothing and says why', () => {
    const cellist = byId('cellist');
    const done = writeCell(cellist, 'waist', '31 1/2 in', 'cm', now);
    expect(done.ok && currentSet(done.person).values.waist).toBeCloseTo(31.5 * 25.4, 9);
    expect(done.ok && currentSet(done.person).corrected[0]?.was).toBe(780);
    const out = writeCell(cellist, 'thigh', '', 'cm', now);
    expect(out.ok && currentSet(out.person).values.thigh).toBeUndefined();
    for (const [field, text, words] of [
      ['waist', 'wide', /Cellist: Waist: “wide” is not a length. Write it as/],
      ['waist', '7.8', /Cellist: Waist 7\.8 cm cannot be drafted/],
      ['name', '  ', /cannot be empty/],
      ['date', '7 May', /is not a date/],
    ] as const) {
      const refused = writeCell(cellist, field, text, 'cm', now);
      expect(refused.ok ? '' : refused.sentence).toMatch(words);
    }
    const pairOnly = { ...byId('cook'), sets: byId('cook').sets.filter((s) => s.source === 'pair') };
    expect(writeCell(pairOnly, 'waist', '80', 'cm', now)).toMatchObject({ ok: false });
  });

  it('takes rows pasted from a spreadsheet: over people who are there and below them as new ones', () => {
    const columns: CrewField[] = ['name', 'waist', 'hip', 'inseam'];
    const shown = [byId('cellist'), byId('cook')];
    const text = 'Cellist\t79\t103\t\r\nCook\twide\t129\t75\r\nBosun\t88\t104\t81\r\n';
    const pasted = pasteCells(cellsOf(text), { line: 0, column: 0 }, shown, columns, 'cm', now, named);
    expect(pasted.people.map((p) => [p.name, currentSet(p).values.waist, currentSet(p).values.inseam])).toEqual([
      ['Cellist', 790, 790],
      ['Cook', 1120, 750],
      ['Bosun', 880, 810],
    ]);
    expect(pasted.problems).toHaveLength(1);
    expect(pasted.problems[0]).toMatch(/Cook: Waist: “wide”/);
    const below = pasteCells([['90']], { line: 5, column: 1 }, shown, columns, 'cm', now, named);
    expect(below).toMatchObject({ people: [], written: 0 });
    expect(below.problems[0]).toContain('below the last person');
  });

  it('knows a heading that was copied along with its table from a person', () => {
    expect(isHeader(['Name', 'Waist (cm)', 'Hip'])).toBe(true);
    expect(isHeader(['', 'Waist', ''])).toBe(true);
    expect(isHeader(['Cellist', '79', '103'])).toBe(false);
    expect(isHeader(['Cellist', 'Waist', 'Hip'])).toBe(false);
    expect(isHeader(['Waist'])).toBe(false);
    expect(isHeader(undefined)).toBe(false);
  });

  it('reads cells as spreadsheets copy them: tabs, quoted cells, any line ends', () => {
    expect(cellsOf('a\tb\r\nc\td\r\n')).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ]);
    expect(cellsOf('"44 1/8"""\t2')).toEqual([['44 1/8"', '2']]);
    expect(cellsOf('one')).toEqual([['one']]);
  });
});
