import { z } from 'zod';
import { KINDS, type AlterationWork, type AnyKind, type Field } from '../alter/index.js';
import { EDGE_NAMES, LEGS } from '../draft/index.js';

const share = z.number().min(0).max(1);

const levelSchema = <L extends z.ZodType<number>>(length: L) =>
  z.strictObject({
    line: z.enum(['waistLine', 'hipLevel', 'crotchLevel', 'thighLevel', 'kneeLevel', 'hemLevel']),
    by: length,
  });

/** The schema of a place on a seam, for a way of writing lengths. */
export const seamPlace = <L extends z.ZodType<number>>(length: L) => {
  const edge = z.enum(EDGE_NAMES);
  return z.union([z.strictObject({ edge, share }), z.strictObject({ edge, level: levelSchema(length) })]);
};

/** The schema of one figure of an alteration. */
function fieldSchema(field: Field, length: z.ZodType<number>): z.ZodType {
  switch (field.as) {
    case 'length':
      return length;
    case 'share':
      return share;
    case 'count':
      return z.int().min(0).max(field.most);
    case 'tick':
      return field.orOff ? z.boolean().default(false) : z.boolean();
    case 'level':
      return levelSchema(length);
    case 'place':
      return seamPlace(length);
    case 'pick':
      return z.enum(field.options.map(([value]) => value));
    case 'points':
      return z
        .array(z.strictObject({ x: length, y: length }))
        .min(field.fewest)
        .max(field.most);
  }
}

/** The schema of a kind of alteration: its fields. */
const kindSchema = (
  { kind, panels, fields }: AnyKind,
  length: z.ZodType<number>,
): z.ZodObject<{ kind: z.ZodLiteral<string> }> =>
  z.strictObject({
    kind: z.literal(kind),
    panel: z.enum(panels),
    ...Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, fieldSchema(field, length)])),
  });

/**
 * The schema of what an alteration does (docs/alterations.md), made from the fields of its kind, for a way of writing
 * lengths: millimetres in a workbook, the order's own unit on the command line.
 */
export function alterationWork(
  length: z.ZodType<number>,
  kinds: readonly AnyKind[] = KINDS,
): z.ZodType<AlterationWork> {
  const [first, ...rest] = kinds.map((kind) => kindSchema(kind, length));
  if (!first) throw new Error('There is no kind of alteration');
  return z.discriminatedUnion('kind', [first, ...rest]) as unknown as z.ZodType<AlterationWork>;
}

/** An alteration as it is kept; lengths in mm. */
export const alterationSchema = z
  .strictObject({
    id: z.string().min(1).max(100),
    on: z.boolean(),
    note: z.string().max(2000),
    work: alterationWork(z.number().min(-5000).max(5000)),
    leg: z.enum(LEGS).optional().meta({ description: 'The one leg that it is done to; both without it.' }),
  })
  .meta({ description: 'A named change on top of the draft; an ordered list of them is done one after the other.' });

/**
 * A curve taken from the body: the crotch from the waist in front, under, to the waist behind. Points in mm, y down.
 */
export const traceSchema = z
  .strictObject({
    id: z.string().min(1).max(100),
    name: z.string().max(2000),
    date: z.iso.date(),
    note: z.string().max(2000),
    points: z
      .array(z.strictObject({ x: z.number().min(-5000).max(5000), y: z.number().min(-5000).max(5000) }))
      .min(5)
      .max(2000),
    inseam: share.meta({ description: 'Where the inseam falls, as a share of the length from the waist in front.' }),
  })
  .meta({ description: 'A crotch curve taken from the body with a flexible ruler.' });
