import { houseCloth } from '../cloth/index.js';

type Json = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const each = (value: unknown, change: (item: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((item: unknown) => (isObject(item) ? change(item) : item)) : value;

/**
 * A person as the first version kept them, as the second does: build, and what is known of a set beside its figures.
 */
export const personFrom1 = (person: Json): Json => ({
  build: { seat: 'average', stomach: 'average', thigh: 'average' },
  ...person,
  sets: each(person['sets'], (set) => ({
    source: 'body',
    waistSits: 'natural',
    waistBelow: 0,
    inseamTo: 'floor',
    adopted: {},
    heights: [],
    corrected: [],
    ...set,
  })),
});

/** A draft as the first version kept it, as the second does: with the fit and the cloth. */
export const draftFrom1 = (draft: Json): Json => ({
  fit: { stretch: 0, shrinkLength: 0, shrinkWidth: 0 },
  ...draft,
});

/**
 * A person as the second version kept them, as the third does: the band of a pair is taken off once, when it is read.
 */
export const personFrom2 = (person: Json): Json => ({
  ...person,
  sets: each(person['sets'], (set) => {
    if (set['source'] !== 'pair' || !isObject(set['values'])) return set;
    const values = Object.fromEntries(Object.entries(set['values']).filter(([id]) => id !== 'pairBand'));
    return { ...set, values };
  }),
});

/** Choices that leave a draft as it was when build and age did not count yet; only those that would change it. */
function pinned(person: Json | undefined): Json {
  const build = isObject(person?.['build']) ? person['build'] : {};
  const unlike = (key: string): boolean => build[key] !== undefined && build[key] !== 'average';
  return {
    ...(unlike('seat') ? { seat: 'average' } : {}),
    ...(unlike('stomach') ? { stomach: 'average' } : {}),
    ...(unlike('thigh') ? { thighs: 'average' } : {}),
    ...(person?.['figure'] === 'child' ? { age: 'adult' } : {}),
  };
}

/** A draft as the second version kept it, as the third does: the waist plan by its school, and drawn as it was. */
export function draftFrom2(draft: Json, person: Json | undefined): Json {
  const rules = isObject(draft['rules']) ? draft['rules'] : {};
  const choices = isObject(draft['choices']) ? draft['choices'] : {};
  const plan = rules['waistPlan'];
  return {
    ...draft,
    rules: { ...rules, waistPlan: plan === true ? 'darts' : plan === false ? 'off' : plan },
    choices: { ...pinned(person), ...choices },
  };
}

/** A person as the third version kept them, as the fourth does: with traces. */
export const personFrom3 = (person: Json): Json => ({ traces: [], ...person });

/** A draft as the third version kept it, as the fourth does: with alterations. */
export const draftFrom3 = (draft: Json): Json => ({ alterations: [], ...draft });

/**
 * A draft as the fifth version kept it, as the sixth does: the plan of the waist as the method's makers have it where
 * the old default stood. Its lines are drawn anew: `redrawn` has that told once.
 */
export function draftFrom5(draft: Json): Json {
  const rules = isObject(draft['rules']) ? draft['rules'] : {};
  const waistPlan = rules['waistPlan'] === 'darts' ? 'method' : rules['waistPlan'];
  return { ...draft, rules: { ...rules, waistPlan }, redrawn: true };
}

/**
 * A draft as the sixth version kept it, as the seventh does: its allowances are a profile from which a seam or an edge
 * may differ.
 */
export const draftFrom6 = (draft: Json): Json =>
  draft['allowances'] === undefined ? draft : { ...draft, allowances: { profile: draft['allowances'], given: [] } };

/** A draft as the twelfth version kept it, as the thirteenth does: what a cloth shrinks by is kept with the cloth. */
export function draftFrom12(draft: Json): Json {
  if (!isObject(draft['fit'])) return draft;
  const { shrinkLength = 0, shrinkWidth = 0, ...fit } = draft['fit'];
  if (shrinkLength === 0 && shrinkWidth === 0) return { ...draft, fit };
  const shell = { ...houseCloth('shell', 'cm'), shrinkLength, shrinkWidth };
  return { ...draft, fit, cloths: { shell } };
}

/** The twenty-third version only adds how far the cloth of a fitting stretches, and how the person stood. */
const from22 = (book: Json): Json => ({ ...book, version: 23 });

/** The twenty-second version only adds grade rules, and where the crease of an adopted back lies. */
const from21 = (book: Json): Json => from22({ ...book, version: 22 });

/** The twenty-first version only adds what is laid on the same cloth and kept of it, and how an own sheet is laid out. */
const from20 = (book: Json): Json => from21({ ...book, version: 21 });

/** The twentieth version only adds the height of the front waist, and what was predicted of a fitting. */
const from19 = (book: Json): Json => from20({ ...book, version: 20 });

/** The nineteenth version only adds that a pin may hold a fold. */
const from18 = (book: Json): Json => from19({ ...book, version: 19 });

/** The eighteenth version has a maker's own styles. */
const from17 = (book: Json): Json => from18({ ...book, version: 18, styles: [] });

/** The seventeenth version only adds what a person, a draft and a fitting may have. */
const from16 = (book: Json): Json => from17({ ...book, version: 17 });

/** The sixteenth version only adds that a lesson may be of truing, or by a maker's own sheet. */
const from15 = (book: Json): Json => from16({ ...book, version: 16 });

/** The fifteenth version has what was practised. */
const from14 = (book: Json): Json => from15({ ...book, version: 15, practice: [] });

/** The fourteenth version only adds that a draft may be applied to many bodies. */
const from13 = (book: Json): Json => from14({ ...book, version: 14 });

const from12 = (book: Json): Json => from13({ ...book, version: 13, drafts: each(book['drafts'], draftFrom12) });

/** The twelfth version only adds that a draft may have a style, and what allowances may have. */
const from11 = (book: Json): Json => from12({ ...book, version: 12 });

/** The eleventh version only adds that a draft may have a note. */
const from10 = (book: Json): Json => from11({ ...book, version: 11 });

/** The tenth version only adds that an alteration may be for one leg. */
const from9 = (book: Json): Json => from10({ ...book, version: 10 });

/** The ninth version only adds measurements, and what may be said of a set. */
const from8 = (book: Json): Json => from9({ ...book, version: 9 });

/** The eighth version only adds kinds of alterations, and what a kind may have. */
const from7 = (book: Json): Json => from8({ ...book, version: 8 });

const from6 = (book: Json): Json => from7({ ...book, version: 7, drafts: each(book['drafts'], draftFrom6) });

const from5 = (book: Json): Json => from6({ ...book, version: 6, drafts: each(book['drafts'], draftFrom5) });

/** The fifth version only adds what a draft may have: an outline laid under it. */
const from4 = (book: Json): Json => from5({ ...book, version: 5 });

function from3(book: Json): Json {
  return from4({
    ...book,
    version: 4,
    people: each(book['people'], personFrom3),
    drafts: each(book['drafts'], draftFrom3),
  });
}

function from2(book: Json): Json {
  const people = Array.isArray(book['people']) ? (book['people'] as unknown[]).filter(isObject) : [];
  const byId = new Map(people.map((p) => [p['id'], p]));
  return from3({
    ...book,
    version: 3,
    people: each(book['people'], personFrom2),
    drafts: each(book['drafts'], (draft) => draftFrom2(draft, byId.get(draft['personId']))),
  });
}

const from1 = (book: Json): Json =>
  from2({
    ...book,
    people: each(book['people'], personFrom1),
    drafts: each(book['drafts'], draftFrom1),
    charts: [],
  });

/** By the version of a workbook, what makes it one of this version. */
const FROM: Readonly<Record<number, (book: Json) => Json>> = {
  1: from1,
  2: from2,
  3: from3,
  4: from4,
  5: from5,
  6: from6,
  7: from7,
  8: from8,
  9: from9,
  10: from10,
  11: from11,
  12: from12,
  13: from13,
  14: from14,
  15: from15,
  16: from16,
  17: from17,
  18: from18,
  19: from19,
  20: from20,
  21: from21,
  22: from22,
};

/**
 * A workbook of any older version in the shape of this one; what is not understood is left for the schema to refuse.
 */
export function migrate(book: Json): Json {
  const from = typeof book['version'] === 'number' ? FROM[book['version']] : undefined;
  return from ? from(book) : book;
}
