import { z } from 'zod';
import { STRETCH_NAMES, type Reference } from '../reference/index.js';

const figure = z.number().min(-1e9).max(1e9);
const point = z.strictObject({ x: figure, y: figure });
const words = z.string().max(300);

const place = z.strictObject({
  from: point.meta({ description: 'A point of the file, in its units.' }),
  to: point.meta({ description: 'Where it lies on the panel, in mm.' }),
  turn: z.number().min(-7).max(7).meta({ description: 'Radians, clockwise as seen with y down.' }),
  mirrored: z.boolean(),
});

/** An outline from outside, laid under the draft. */
export const referenceSchema: z.ZodType<Reference> = z
  .strictObject({
    name: words,
    date: z.iso.date(),
    mmPerUnit: z.number().positive().max(1e9),
    unitFrom: z.enum(['file', 'guess', 'maker']),
    shapes: z
      .array(
        z.strictObject({
          layer: words,
          closed: z.boolean(),
          piece: z.enum(['front', 'back', 'none']),
          curves: z
            .array(figure)
            .min(8)
            .max(50_000)
            .refine((numbers) => numbers.length % 6 === 2, 'a curve is not whole')
            .meta({
              description: 'x and y of the start, then of the other three control points of each cubic; y down.',
            }),
          marks: z
            .array(z.strictObject({ at: z.number().min(0).max(1), name: z.enum(STRETCH_NAMES) }))
            .min(1)
            .max(2000)
            .refine((marks) => marks.every(({ at }, i) => at > (marks[i - 1]?.at ?? -1)), 'stretches are out of order')
            .meta({ description: 'Where each stretch begins, as a share of the length, and what seam it is.' }),
        }),
      )
      .max(400),
    places: z.strictObject({ front: place, back: place }),
    leftOut: z.array(z.strictObject({ what: words, count: z.int().min(0) })).max(100),
  })
  .meta({ description: 'An outline from a drawing file, laid under the draft; coordinates in the units of its file.' });
