import { z } from 'zod';
import type { AdoptedPattern } from '../draft/index.js';

const figure = z.number().min(-10_000).max(10_000);
const mm = z.number().min(-5000).max(5000);
const curves = z
  .array(figure)
  .min(8)
  .max(20_000)
  .refine((numbers) => numbers.length % 6 === 2, 'a curve is not whole')
  .meta({ description: 'x and y of the start, then of the other three control points of each cubic; mm, y down.' });

const piece = z.strictObject({
  waist: z
    .array(curves)
    .min(1)
    .max(10)
    .meta({ description: 'From the centre to the side, in sections between darts.' }),
  side: curves,
  hem: curves,
  inseam: curves,
  rise: curves,
  apexes: z.array(z.strictObject({ x: figure, y: figure })).max(9),
});

/** A pattern that was adopted as the block: its edges as they lie. */
export const patternSchema: z.ZodType<AdoptedPattern> = z
  .strictObject({
    name: z.string().max(300),
    date: z.iso.date(),
    front: piece,
    back: piece,
    hipAbove: mm.optional().meta({ description: 'How far the hip line lies above the crotch line.' }),
    kneeBelow: mm.optional().meta({ description: 'How far the knee line lies below the crotch line.' }),
    creaseOff: mm.optional().meta({ description: 'How far the crease lies from the middle of the hem, inward.' }),
    creaseOffBack: mm.optional().meta({ description: 'The same of the back, where it lies otherwise.' }),
    darts: z
      .array(
        z.strictObject({
          panel: z.enum(['front', 'back']),
          at: mm.meta({ description: 'Along the waist from the centre.' }),
          intake: mm,
          length: mm,
        }),
      )
      .max(6)
      .optional()
      .meta({ description: 'Darts that were laid in.' }),
  })
  .meta({ description: 'A pattern from outside, adopted as the block; lengths in millimetres.' });
