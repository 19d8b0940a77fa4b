import { z } from 'zod';
import type { AlterationWork } from '../alter/index.js';
import { EDGE_NAMES } from '../draft/index.js';

const share = z.number().min(0).max(1);

/**
 * The schema of what an alteration does (docs/alterations.md), for a way of writing lengths: millimetres in a workbook,
 * the order's own unit on the command line.
 */
export function alterationWork(length: z.ZodType<number>): z.ZodType<AlterationWork> {
  const panel = z.enum(['front', 'back', 'both']);
  const level = z.strictObject({
    line: z.enum(['waistLine', 'hipLevel', 'crotchLevel', 'thighLevel', 'kneeLevel', 'hemLevel']),
    by: length,
  });
  const edge = z.enum(EDGE_NAMES);
  const place = z.union([z.strictObject({ edge, share }), z.strictObject({ edge, level })]);
  const by = length;
  return z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('wedge'), panel, from: place, hinge: place, by }),
    z.strictObject({ kind: z.literal('across'), panel, level, by }),
    z.strictObject({ kind: z.literal('pinch'), panel, from: place, to: place, byFrom: length, byTo: length }),
    z.strictObject({ kind: z.literal('waist'), panel, centre: length, side: length }),
    z.strictObject({ kind: z.literal('scoop'), panel, at: share, by, keepLength: z.boolean() }),
    z.strictObject({ kind: z.literal('crotchPoint'), panel, out: length, down: length, recentre: z.boolean() }),
    z.strictObject({ kind: z.literal('tilt'), panel, above: length, by, giveBack: z.boolean() }),
    z.strictObject({
      kind: z.literal('seam'),
      panel,
      seam: z.enum(['side', 'inseam', 'centre']),
      by,
      from: level,
      to: level,
      runOut: length,
    }),
    z.strictObject({
      kind: z.literal('dart'),
      panel,
      dart: z.int().min(0).max(9),
      act: z.enum(['intake', 'length', 'move', 'turn', 'split', 'intoSide', 'intoCentre', 'intoHem']),
      by,
      keepWaist: z.boolean(),
    }),
    z.strictObject({ kind: z.literal('crease'), panel, by }),
    z.strictObject({
      kind: z.literal('rise'),
      panel: z.enum(['front', 'back']),
      points: z
        .array(z.strictObject({ x: length, y: length }))
        .min(3)
        .max(400),
      blend: share,
      keepLength: z.boolean(),
    }),
  ]);
}

/** An alteration as it is kept; lengths in mm. */
export const alterationSchema = z
  .strictObject({
    id: z.string().min(1).max(100),
    on: z.boolean(),
    note: z.string().max(2000),
    work: alterationWork(z.number().min(-5000).max(5000)),
  })
  .meta({ description: 'A named change on top of the draft; an ordered list of them is done one after the other.' });

/** A curve taken from the body: the crotch from the waist in front, under, to the waist behind. Points in mm, y down. */
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
