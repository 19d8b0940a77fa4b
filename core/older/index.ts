type Json = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const each = (value: unknown, change: (item: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((item: unknown) => (isObject(item) ? change(item) : item)) : value;

/** A person as the first version kept them, as the second does: build, and what is known of a set beside its figures. */
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

/** A workbook of any older version in the shape of this one; what is not understood is left for the schema to refuse. */
export function migrate(book: Json): Json {
  if (book['version'] !== 1) return book;
  return {
    ...book,
    version: 2,
    people: each(book['people'], personFrom1),
    drafts: each(book['drafts'], draftFrom1),
    charts: [],
  };
}
