import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { WORKBOOK_VERSION } from '../workbook/index.js';
import { draftFrom1, draftFrom2, draftFrom5, migrate, personFrom1, personFrom2 } from './index.js';

const first = JSON.parse(readFileSync('core/older/version-1.upstride.json', 'utf8')) as Record<string, unknown>;

describe('a workbook of the first version', () => {
  it('keeps all it held and is left at the ordinary where it said nothing', () => {
    const now = migrate(first);
    expect(now['version']).toBe(23);
    expect(now['charts']).toEqual([]);
    const [old] = first['people'] as Record<string, unknown>[];
    const [person] = now['people'] as Record<string, unknown>[];
    expect(person).toMatchObject({ id: old?.['id'], name: old?.['name'], build: { seat: 'average' } });
    const [oldSet] = old?.['sets'] as Record<string, unknown>[];
    const [set] = person?.['sets'] as Record<string, unknown>[];
    expect(set).toMatchObject({ ...oldSet, source: 'body', adopted: {}, heights: [], corrected: [] });
  });

  it('is changed once: what has the new fields keeps them', () => {
    expect(personFrom1({ build: { seat: 'full' }, sets: [{ source: 'pair' }] })).toMatchObject({
      build: { seat: 'full' },
      sets: [{ source: 'pair', waistSits: 'natural' }],
    });
    expect(draftFrom1({ fit: { stretch: 0.5 } })).toEqual({ fit: { stretch: 0.5 } });
    const now = migrate(first);
    expect(migrate(now)).toBe(now);
  });

  it('of every version until now opens as one of this version', () => {
    const now = migrate(first);
    for (let version = 2; version < WORKBOOK_VERSION; version++) {
      expect([version, migrate({ ...now, version })['version']]).toEqual([version, WORKBOOK_VERSION]);
    }
  });

  it('that is damaged is left for the schema to refuse', () => {
    expect(migrate({ version: 1, people: 'none', drafts: [3, null] })).toMatchObject({
      version: 23,
      people: 'none',
      drafts: [3, null],
    });
  });
});

describe('a workbook of the second version', () => {
  it('names the school of the waist plan', () => {
    const plan = (waistPlan: boolean): unknown =>
      draftFrom2({ rules: { hipKept: true, waistPlan } }, undefined)['rules'];
    expect(plan(true)).toEqual({ hipKept: true, waistPlan: 'darts' });
    expect(plan(false)).toEqual({ hipKept: true, waistPlan: 'off' });
  });

  it('keeps every draft as it was drawn, though build and age count from now on', () => {
    const build = { seat: 'full', stomach: 'average', thigh: 'flat' };
    const draft = { personId: 'p', rules: {}, choices: { variant: 'even' } };
    expect(draftFrom2(draft, { build, figure: 'child' })['choices']).toEqual({
      variant: 'even',
      seat: 'average',
      thighs: 'average',
      age: 'adult',
    });
    expect(draftFrom2(draft, { build: { seat: 'average' }, figure: 'woman' })['choices']).toEqual({ variant: 'even' });
    const book = { version: 2, people: [{ id: 'p', build, sets: [] }], drafts: [draft] };
    expect(migrate(book)).toMatchObject({ version: 23, drafts: [{ choices: { seat: 'average' }, alterations: [] }] });
  });

  it('takes the band of a finished pair off once only', () => {
    const set = (source: string): unknown =>
      (personFrom2({ sets: [{ source, values: { pairBand: 40, hip: 1000 } }] })['sets'] as { values: unknown }[])[0]
        ?.values;
    expect(set('pair')).toEqual({ hip: 1000 });
    expect(set('body')).toEqual({ pairBand: 40, hip: 1000 });
  });
});

describe('a workbook of the third version', () => {
  it('has no alterations and no traces yet', () => {
    const book = { version: 3, people: [{ id: 'p' }], drafts: [{ id: 'd', set: { 'front.extension': 60 } }] };
    expect(migrate(book)).toEqual({
      version: 23,
      people: [{ id: 'p', traces: [] }],
      drafts: [{ id: 'd', set: { 'front.extension': 60 }, alterations: [], rules: {}, redrawn: true }],
      practice: [],
      styles: [],
    });
  });
});

describe('a workbook of the fourth version', () => {
  it('stays as it was: a draft may have an outline under it from now on', () => {
    const book = { version: 4, people: [{ id: 'p', traces: [] }], drafts: [{ id: 'd', alterations: [] }] };
    expect(migrate(book)).toMatchObject({ version: 23, people: book.people, drafts: book.drafts });
  });
});

describe('a workbook of the fifth version', () => {
  it('has the waist as the method’s makers have it where the old default stood, and its drafts told as drawn anew', () => {
    const rules = (waistPlan: string): unknown => draftFrom5({ id: 'd', rules: { hipKept: true, waistPlan } });
    expect(rules('darts')).toEqual({ id: 'd', rules: { hipKept: true, waistPlan: 'method' }, redrawn: true });
    expect(rules('shared')).toMatchObject({ rules: { waistPlan: 'shared' } });
    const set = { 'front.inseamHollow': 8 };
    const book = { version: 5, people: [], drafts: [{ id: 'd', rules: { waistPlan: 'off' }, set }] };
    expect(migrate(book)).toMatchObject({ version: 23, drafts: [{ set, rules: { waistPlan: 'off' }, redrawn: true }] });
  });
});

describe('a workbook of the ninth version', () => {
  it('keeps its alterations for both legs', () => {
    const drafts = [{ id: 'd', alterations: [{ id: 'a', on: true, note: '', work: {} }] }];
    expect(migrate({ version: 9, people: [], drafts })).toEqual({
      version: 23,
      people: [],
      drafts,
      practice: [],
      styles: [],
    });
  });
});

describe('a workbook of the sixth version', () => {
  it('keeps its allowances as a profile from which nothing differs yet', () => {
    const allowances = { waist: 10, side: 22, inseam: 15, rise: 10, hem: 50 };
    const book = { version: 6, people: [], drafts: [{ id: 'd', allowances }] };
    expect(migrate(book)).toEqual({
      version: 23,
      people: [],
      practice: [],
      styles: [],
      drafts: [{ id: 'd', allowances: { profile: allowances, given: [] } }],
    });
  });
});

describe('a workbook of the twelfth version', () => {
  it('keeps what its cloth shrinks by with the cloth, and none where it does not shrink', () => {
    const fit = { stretch: 0.1, shrinkLength: 0.03, shrinkWidth: 0.01 };
    const drafts = [
      { id: 'd', fit },
      { id: 'e', fit: { stretch: 0, shrinkLength: 0, shrinkWidth: 0 } },
    ];
    expect(migrate({ version: 12, people: [], drafts })).toMatchObject({
      version: 23,
      drafts: [
        { id: 'd', fit: { stretch: 0.1 }, cloths: { shell: { width: 1500, shrinkLength: 0.03, shrinkWidth: 0.01 } } },
        { id: 'e', fit: { stretch: 0 } },
      ],
    });
    const migrated = migrate({ version: 12, people: [], drafts }) as { drafts: { fit: object; cloths?: object }[] };
    expect(migrated.drafts[0]?.fit).toEqual({ stretch: 0.1 });
    expect(migrated.drafts[1]).toEqual({ id: 'e', fit: { stretch: 0 } });
  });
});
