import { describe, expect, it } from 'vitest';
import { startingWork, type Alteration } from '../alter/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { DEFAULT_SHEET } from '../method/index.js';
import type { KeptDraft, Person } from '../workbook/index.js';
import { changeBack, changeOf, clashesOf, clashOf, recordWith, type Act, type RecordChange } from './act.js';
import { sayAct, sayClash } from './act-words.js';
import { withFigure } from './person.js';

const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'lamp-plain');
const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
if (!draft || !person) throw new Error('The demo has no lamp operator');

const actOf = (...changes: (RecordChange | undefined)[]): Act => ({
  id: 'a',
  place: 'draft:x',
  at: '2026-11-28T10:00:00.000Z',
  rank: 1,
  said: '',
  changes: changes.flatMap((c) => c ?? []),
  undone: false,
});
const said = (act: Act, unit: 'cm' | 'in' = 'cm'): string => sayAct(act, { unit, sheet: DEFAULT_SHEET });
const drafted = (change: Partial<KeptDraft>, from: KeptDraft = draft): string =>
  said(actOf(changeOf({ kind: 'draft', id: from.id }, from, { ...from, ...change })));
const measured = (is: Person): string => said(actOf(changeOf({ kind: 'person', id: is.id }, person, is)));

describe('an act in words', () => {
  it('says what was set, by how much, in the reader’s unit, and what was given back', () => {
    expect(drafted({ set: { ...draft.set, 'back.extension': 155 } })).toBe('Back crotch extension 15.5 cm');
    const set = changeOf({ kind: 'draft', id: draft.id }, draft, { ...draft, set: { 'back.extension': 155 } });
    expect(said(actOf(set), 'in')).toContain('Back crotch extension 6 1/8 in');
    expect(drafted({ set: {} }, { ...draft, set: { 'back.extension': 155 } })).toBe(
      'Back crotch extension given back to the sheet',
    );
    expect(drafted({ settings: { ...draft.settings, hipEase: 30 } })).toBe('Hip ease 3.0 cm');
    expect(drafted({ choices: { ...draft.choices, leg: 'tapered' } })).toBe('Leg shape: tapered');
    expect(drafted({ name: 'Second try' })).toBe('Named “Second try”');
    expect(drafted({ rules: { ...draft.rules, hipKept: !draft.rules.hipKept } })).toMatch(/^Hip kept: (on|off)$/);
    const { allowances } = draft;
    expect(drafted({ allowances: { ...allowances, profile: { ...allowances.profile, hem: 50 } } })).toBe(
      'Allowance at the hem 5.0 cm',
    );
  });

  it('says what was altered, on which leg, and what became of an alteration', () => {
    const scoop: Alteration = { id: 'n', on: true, note: '', work: startingWork('scoop', 'back') };
    const from = { ...draft, alterations: [scoop] };
    expect(drafted({ alterations: [scoop] }, { ...draft, alterations: [] })).toBe('Back: scoop the crotch curve 4 mm');
    expect(drafted({ alterations: [] }, from)).toBe('Taken out “Back: scoop the crotch curve 4 mm”');
    expect(drafted({ alterations: [{ ...scoop, on: false }] }, from)).toBe('An alteration switched off');
    expect(drafted({ alterations: [{ ...scoop, leg: 'left' }] }, from)).toBe('An alteration for the left leg');
    expect(drafted({ alterations: [{ ...scoop, work: startingWork('scoop', 'front') }] }, from)).toBe(
      'An alteration changed',
    );
    const two = [scoop, { ...scoop, id: 'm' }];
    expect(drafted({ alterations: [...two].reverse() }, { ...draft, alterations: two })).toBe('Order changed');
  });

  it('says what was measured, and not that what it was before is kept', () => {
    const [set] = person.sets;
    if (!set) throw new Error('a person has a set');
    const at = new Date('2026-11-28T10:00:00Z');
    const withHip = { ...person, sets: [withFigure(set, 'hip', 1010, at), ...person.sets.slice(1)] };
    expect(measured(withHip)).toBe('Hip 101.0 cm');
    const without = { ...person, sets: [withFigure(set, 'hip', undefined, at), ...person.sets.slice(1)] };
    expect(measured(without)).toBe('Hip taken out');
    expect(measured({ ...person, sets: [...person.sets, { ...set, id: 'new' }] })).toBe('New set of measurements');
    expect(measured({ ...person, unit: 'in' })).toBe('Unit: in');
    expect(measured({ ...person, build: { ...person.build, seat: 'full' } })).toBe('Build');
  });

  it('names two things and counts the rest; goes by its own words where it has them', () => {
    expect(drafted({ name: 'Other', settings: { hipEase: 30, kneeGirth: 400, hemGirth: 300 } })).toMatch(
      /^Named “Other”; .*; and [23] more$/,
    );
    expect(said({ ...actOf(), said: 'Took 9 sizes into the crew' })).toBe('Took 9 sizes into the crew');
    expect(said(actOf(changeOf({ kind: 'draft', id: draft.id }, undefined, draft)))).toBe('New draft');
    expect(said(actOf(changeOf({ kind: 'draft', id: draft.id }, draft, undefined)))).toBe(`Deleted “${draft.name}”`);
  });
});

describe('a clash in words', () => {
  const ref = { kind: 'draft', id: draft.id } as const;
  const clash = (there: object | undefined): string => {
    const wanted = changeOf(ref, draft, { ...draft, set: { ...draft.set, 'back.kneeWidth': 280 } });
    const found = wanted && clashOf(there, wanted);
    return found ? sayClash(found, { unit: 'cm', sheet: DEFAULT_SHEET }) : '';
  };

  it('has what is here and what is there, and says where all of it has gone', () => {
    expect(clash({ ...draft, set: { ...draft.set, 'back.kneeWidth': 300 } })).toBe(
      'Back knee width 28.0 cm here, Back knee width 30.0 cm there',
    );
    expect(clash(undefined)).toBe('The draft was deleted there');
    expect(clash({ ...draft, name: 'Other' })).toBe('');
  });
});

describe('a change of a record', () => {
  const ref = { kind: 'draft', id: draft.id } as const;

  it('leaves out what only follows, and is none where nothing else was changed', () => {
    expect(changeOf(ref, draft, { ...draft, changed: '2026-11-28T10:00:00.000Z' })).toBeUndefined();
    const renamed = changeOf(ref, draft, { ...draft, name: 'Other', changed: '2026-11-28T10:00:00.000Z' });
    expect(renamed?.patches).toEqual([{ at: ['name'], was: draft.name, is: 'Other' }]);
  });

  it('takes a whole record away only while it is as it was, but for what follows', () => {
    const made = changeOf(ref, undefined, draft);
    if (!made) throw new Error('a record is made');
    const back = changeBack(made);
    expect(clashesOf({ ...draft, changed: '2026-11-29T10:00:00.000Z' }, back)).toEqual([]);
    expect(clashesOf({ ...draft, name: 'Worked on' }, back)).toHaveLength(1);
    expect(clashesOf(undefined, made)).toEqual([]);
    expect(recordWith(draft, back)).toBeUndefined();
  });
});
