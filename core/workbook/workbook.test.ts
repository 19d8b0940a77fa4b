import { sheetById } from '../shipped/index.js';
import { DEFAULT_SHEET } from '../method/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { computeDraft } from '../chain/index.js';
import { doubtsOf, inputOf, newDraft, newPerson, setOf } from '../kept/index.js';
import { readWorkbook, workbookSchema, writeWorkbook } from './index.js';
import { readerIn } from '../units/index.js';
import { fileRefusalsSentence } from '../refusal/index.js';

const now = new Date('2026-11-23T10:00:00.000Z');
const text = writeWorkbook(DEMO_WORKBOOK, now);
const works = DEMO_WORKBOOK.drafts.map((draft) => {
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft.personId);
  if (!person) throw new Error(`${draft.name} belongs to nobody`);
  return { person, draft };
});

describe('the workbook file', () => {
  it('comes back whole, and again the same', () => {
    const read = readWorkbook(text);
    expect(read).toMatchObject({ ok: true, value: { people: DEMO_WORKBOOK.people, drafts: DEMO_WORKBOOK.drafts } });
    if (read.ok) expect(readWorkbook(writeWorkbook(read.value, now))).toEqual(read);
  });

  it('holds inputs only: no outline, no ledger, no check', () => {
    expect(text).not.toMatch(/outline|ledger|verdict|crotchPoint/);
  });

  it('is refused wherever it is cut off, and with any part of it broken', () => {
    for (let i = 0; i < text.length - 2; i += 97) expect(readWorkbook(text.slice(0, i)).ok).toBe(false);
    const broken: [string, string][] = [
      ['"waist": 780', '"waist": "wide"'],
      ['"figure": "woman"', '"figure": "giant"'],
      ['"personId": "cellist"', '"personId": "nobody"'],
      ['"setId": "cellist-1"', '"setId": "cellist-9"'],
      ['"version": 23', '"version": "two"'],
      ['"source": "pair"', '"source": "guess"'],
      ['"id": "cook-pair"', '"id": "cook-1"'],
      ['"id": "cook-kitchen"', '"id": "cellist-dress"'],
    ];
    for (const [part, instead] of broken) {
      expect(text).toContain(part);
      const read = readWorkbook(text.replace(part, instead));
      expect(read.ok).toBe(false);
      if (!read.ok) expect(fileRefusalsSentence(read.refusals, readerIn('cm')).length).toBeGreaterThan(20);
    }
  });

  it('of the first version opens with everything it held, and what is new left at its ordinary', () => {
    const read = readWorkbook(readFileSync('core/older/version-1.upstride.json', 'utf8'));
    if (!read.ok) throw new Error(JSON.stringify(read.refusals));
    const [lead, bargee] = read.value.people;
    expect(lead?.sets.map((s) => s.values.waist)).toEqual([710, 725]);
    expect(bargee).toMatchObject({ build: { seat: 'average' }, sets: [{ source: 'body', waistSits: 'natural' }] });
    expect(read.value.drafts.map((d) => [d.id, d.fit.stretch])).toEqual([
      ['puppeteer-black', 0],
      ['bargee-shorts', 0],
    ]);
    for (const draft of read.value.drafts) {
      const person = read.value.people.find((p) => p.id === draft.personId);
      expect(person && computeDraft(inputOf({ person, draft }, DEFAULT_SHEET)).ok).toBe(true);
    }
  });

  it('tells how far it has been read', () => {
    const people = Array.from({ length: 200 }, (_, i) => ({ ...DEMO_WORKBOOK.people[0], id: `p${i}` }));
    const told: number[] = [];
    readWorkbook(writeWorkbook({ people, drafts: [], charts: [], practice: [], styles: [] } as never, now), (share) =>
      told.push(share),
    );
    expect(told).toEqual([0.25, 0.5, 0.75, 1]);
  });

  it('says so when it was written by a newer program', () => {
    const read = readWorkbook(text.replace('"version": 23', '"version": 24'));
    expect(read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'))).toContain('newer Upstride');
  });

  it('has its published schema in step with the program', () => {
    const published = JSON.parse(readFileSync('docs/workbook.schema.json', 'utf8')) as unknown;
    expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(workbookSchema))));
  });
});

describe('the demo workroom', () => {
  it('has eight people by role and a draft for each adult', () => {
    expect(DEMO_WORKBOOK.people).toHaveLength(8);
    const adults = DEMO_WORKBOOK.people.filter((p) => p.figure !== 'child');
    for (const adult of adults) expect(works.some((w) => w.person.id === adult.id)).toBe(true);
    expect(new Set(DEMO_WORKBOOK.people.map((p) => p.unit))).toEqual(new Set(['cm', 'in']));
    expect(DEMO_WORKBOOK.people.some((p) => p.sets.length > 1)).toBe(true);
  });

  it('drafts with every check in or near its band, but for the slip that is there to be found', () => {
    for (const work of works) {
      const outcome = computeDraft(inputOf(work, sheetById(work.draft.method) ?? DEFAULT_SHEET));
      expect([work.draft.id, outcome.ok]).toEqual([work.draft.id, true]);
      const doubts = doubtsOf(work.person, setOf(work));
      if (work.person.id === 'ticket-seller') {
        expect(doubts[0]?.correction?.mm).toBe(840);
        continue;
      }
      expect(doubts).toEqual([]);
      if (outcome.ok) {
        const out = outcome.value.checks.filter((c) => c.verdict === 'out').map((c) => [work.draft.id, c.id, c.value]);
        expect(out).toEqual([]);
      }
    }
  });
});

describe('a new draft', () => {
  it('is made from the newest set, with the allowances of the maker’s unit', () => {
    let n = 0;
    const id = (): string => `id-${++n}`;
    const person = newPerson(id, 'Somebody', 'in', now);
    expect(person.sets[0]).toMatchObject({ date: '2026-11-23', unit: 'in', values: {} });
    const later = {
      ...person,
      sets: [
        ...person.sets,
        { ...setOf({ person, draft: newDraft(id, person, 'x', now) }), id: 'late', date: '2026-12-01' },
      ],
    };
    const draft = newDraft(id, later, 'Trousers', now);
    expect(draft.setId).toBe('late');
    expect(draft.allowances.profile.side).toBeCloseTo(15.875, 9);
    const book = readWorkbook(
      writeWorkbook({ people: [later], drafts: [draft], charts: [], practice: [], styles: [] }, now),
    );
    expect(book.ok).toBe(true);
  });
});

describe('alterations and traces in a workbook', () => {
  it('come back as they were', () => {
    const read = readWorkbook(text);
    if (!read.ok) throw new Error(JSON.stringify(read.refusals));
    const altered = read.value.drafts.filter((d) => d.alterations.length > 0);
    expect(altered.length).toBeGreaterThan(0);
    for (const draft of altered) {
      expect(draft.alterations).toEqual(DEMO_WORKBOOK.drafts.find((d) => d.id === draft.id)?.alterations);
    }
    expect(read.value.people.flatMap((p) => p.traces)).toHaveLength(2);
  });

  it('that are damaged are refused with their place', () => {
    const spoilt = (from: string, to: string): string => {
      const read = readWorkbook(text.replace(from, to));
      return read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'));
    };
    expect(spoilt('"kind": "wedge"', '"kind": "wedged"')).toContain('alterations.0.work');
    expect(spoilt('"edge": "rise"', '"edge": "collar"')).toContain('alterations.0.work');
    expect(spoilt('"inseam": 0.45', '"inseam": 4.5')).toContain('traces.0.inseam');
  });
});

describe('an outline laid under a draft', () => {
  const place = { from: { x: 1, y: 2 }, to: { x: 3, y: 4 }, turn: 0.5, mirrored: true };
  const shape = {
    layer: 'sew',
    closed: false,
    piece: 'front',
    curves: [0, 0, 1, 1, 2, 2, 3, 3],
    marks: [
      { at: 0, name: 'side' },
      { at: 0.5, name: 'hem' },
    ],
  } as const;
  const reference = {
    name: 'old-block.dxf',
    date: '2026-05-04',
    mmPerUnit: 25.4,
    unitFrom: 'file',
    shapes: [{ ...shape, curves: [...shape.curves], marks: [...shape.marks] }],
    places: { front: place, back: place },
    leftOut: [{ what: 'text', count: 2 }],
  } as const;
  const written = (laid: unknown): string =>
    writeWorkbook(
      {
        ...DEMO_WORKBOOK,
        drafts: DEMO_WORKBOOK.drafts.map((d, i) => (i === 0 ? { ...d, reference: laid as never } : d)),
      },
      now,
    );
  const reason = (laid: unknown): string => {
    const read = readWorkbook(written(laid));
    return read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'));
  };

  it('comes back as it was', () => {
    const read = readWorkbook(written(reference));
    expect(read.ok && read.value.drafts[0]?.reference).toEqual(reference);
  });

  it('is refused where its curves or stretches cannot be', () => {
    const [one] = reference.shapes;
    expect(reason({ ...reference, shapes: [{ ...one, curves: [0, 0, 1] }] })).toContain('reference.shapes.0.curves');
    expect(reason({ ...reference, shapes: [{ ...one, curves: [...one.curves, 4] }] })).toContain('reference.shapes.0');
    expect(reason({ ...reference, shapes: [{ ...one, marks: [...one.marks].reverse() }] })).toContain('marks');
    expect(reason({ ...reference, mmPerUnit: 0 })).toContain('reference.mmPerUnit');
  });
});
