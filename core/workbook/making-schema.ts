import { z } from 'zod';
import { MOST_LAYERS } from '../cloth/index.js';
import { CORNER_WAYS } from '../piece/index.js';

const id = z.string().min(1).max(100);
const mm = z.number().min(-5000).max(5000);
const share = z.number().min(0).max(1);

const corner = z.enum(CORNER_WAYS);

/** Allowances: by what an edge is for, and what is given otherwise for a seam, a part, an edge or a stretch of it. */
export const allowancesSchema = z
  .strictObject({
    profile: z.strictObject({ waist: mm, side: mm, inseam: mm, rise: mm, hem: mm }),
    given: z
      .array(
        z.discriminatedUnion('on', [
          z.strictObject({ on: z.literal('seam'), seam: id, mm }),
          z.strictObject({ on: z.literal('part'), part: id, mm }),
          z.strictObject({ on: z.literal('corner'), part: id, edge: id, as: corner }),
          z.strictObject({ on: z.literal('edge'), part: id, edge: id, mm }),
          z.strictObject({
            on: z.literal('stretch'),
            part: id,
            edge: id,
            from: share,
            to: share,
            mm,
            end: mm.optional(),
          }),
        ]),
      )
      .max(200),
    depth: mm.optional().meta({ description: 'How deep every seam is sewn, where that is stated.' }),
    corners: corner.optional().meta({ description: 'How outward corners are cut; mitred where left out.' }),
    from: id.optional().meta({ description: 'The shipped profile, or own style, that it was taken from.' }),
  })
  .meta({ description: 'What is added outside the stitching line, in mm; each given one goes before the profile.' });

/** A component of a style with what was set of it; the rest stands as the house has it. Lengths in mm. */
export const styleSchema = z
  .array(
    z.strictObject({
      id,
      values: z.record(z.string().max(100), z.union([mm, z.boolean(), z.string().max(100)])),
    }),
  )
  .max(60)
  .meta({ description: 'The components chosen on top of the block, each once.' });

/** The cloths of a garment. */
export const clothKind = z.enum(['shell', 'lining', 'pocketing', 'interfacing']);

/** A cloth of a garment: what is known of it, lengths in mm. */
export const clothSchema = z
  .strictObject({
    name: z.string().max(200),
    width: mm,
    inHand: z.number().min(0).max(1_000_000).optional(),
    fold: z.enum(['open', 'folded']),
    layers: z.number().int().min(1).max(MOST_LAYERS).optional(),
    nap: z.enum(['one-way', 'two-way']),
    gap: mm,
    barRepeat: mm.meta({ description: 'How far apart bars lie along the cloth; 0 where there are none.' }),
    stripeRepeat: mm.meta({ description: 'How far apart stripes lie across the cloth; 0 where there are none.' }),
    flaws: z
      .array(z.strictObject({ id, along: z.number().max(1_000_000), across: mm, length: mm, width: mm }))
      .max(50)
      .meta({ description: 'Places that nothing is cut from, from the cut end and the edge.' }),
    price: z.number().min(0).optional().meta({ description: 'Of a metre, in any money.' }),
    shrinkLength: z.number().min(0).max(0.3),
    shrinkWidth: z.number().min(0).max(0.3),
  })
  .meta({ description: 'A cloth of a garment; lengths in millimetres, shrinkage as shares.' });

/** A lay that was kept: where every copy lies on the cloth, in mm, and which were locked. */
export const laySchema = z
  .strictObject({
    length: z.number().min(0).max(1_000_000),
    area: z.number().min(0).meta({ description: 'Net area of all copies, in mm².' }),
    under: z.string().max(100_000).meta({ description: 'The terms that it was laid under: cloth and parts, as JSON.' }),
    placed: z
      .record(
        z.string().max(320),
        z.strictObject({
          x: z.number(),
          y: z.number(),
          turn: z.union([z.literal(0), z.literal(180)]),
          flipped: z.boolean(),
          locked: z.boolean().optional(),
        }),
      )
      .meta({
        description:
          'By the part and the number of its copy, counted from 0: “front 1”; of another draft by that too: “draft/front 1”.',
      }),
  })
  .meta({ description: 'A lay of one cloth; x along the cloth, y across it.' });

/** So many drafts may be laid on one cloth, and so many garments of each. */
export const MOST_TOGETHER = 20;

/** So many pieces of cloth may be kept of one garment. */
export const MOST_REMNANTS = 50;

/** A draft whose pieces are laid on the cloth of another; of itself, how many of it. */
export const laidWithSchema = z
  .strictObject({
    draft: z.string().min(1).max(100),
    count: z.number().int().min(1).max(MOST_TOGETHER),
  })
  .meta({ description: 'What is laid on the same cloth: a draft and how many of it, the draft itself among them.' });

/** A maker's own style: choices that can be put on any draft, with the allowances that go with them where they were kept. */
export const keptStyleSchema = z
  .strictObject({
    id,
    name: z.string().min(1).max(200),
    style: styleSchema,
    allowances: allowancesSchema.optional(),
  })
  .meta({ description: "A maker's own style; lengths in millimetres." });

/** A maker's own style as kept. */
export type KeptStyle = z.infer<typeof keptStyleSchema>;
