import { z } from 'zod';
import { WAIST_SCHOOLS } from '../draft/index.js';
import { MEASUREMENT_IDS, PAIR_FIGURE_IDS } from '../measure/index.js';
import { alterationSchema, seamPlace, traceSchema } from './alteration-schema.js';
import {
  allowancesSchema,
  clothKind,
  clothSchema,
  keptStyleSchema,
  laidWithSchema,
  laySchema,
  MOST_REMNANTS,
  MOST_TOGETHER,
  styleSchema,
} from './making-schema.js';
import { patternSchema } from './pattern-schema.js';
import { practiceSchema } from './practice-schema.js';
import { referenceSchema } from './reference-schema.js';
import { sheetSchema } from './sheet-schema.js';

/** The version of the workbook that this program writes. */
export const WORKBOOK_VERSION = 23;

/** What marks a file as a workbook. */
export const WORKBOOK_FORMAT = 'upstride-workbook';

const id = z.string().min(1).max(100);
const mm = z.number().min(-5000).max(5000);
const words = z.string().max(2000);
const day = z.iso.date();
const drawn = z
  .string()
  .max(20_000)
  .regex(/^-?\d+(\.\d+)?( -?\d+(\.\d+)?)*$/);

const measurement = z.enum(MEASUREMENT_IDS);
const figure = z.enum(['woman', 'man', 'child', 'unknown']);
const unit = z.enum(['cm', 'in', 'mm']);
const values = z.partialRecord(measurement, mm);
const weight = z.enum(['flat', 'average', 'full']);
const stamp = z.iso.datetime();

/** The figures of a finished pair as they were read, in mm, and how they were taken. */
export const finishedPairSchema = z.strictObject({
  across: z.enum(['seams', 'edges']),
  edge: mm,
  from: z.enum(['top', 'seam']),
  widths: z.enum(['single', 'doubled']),
  figures: z.partialRecord(z.enum(PAIR_FIGURE_IDS), mm),
});

/** One dated set of measurements, in mm, with the unit it was entered in and where its figures come from. */
export const measurementSetSchema = z
  .strictObject({
    id,
    date: day,
    taker: words,
    unit,
    note: words,
    source: z.enum(['body', 'pair', 'chart']),
    waistSits: z.enum(['natural', 'low', 'high']),
    waistBelow: mm.meta({ description: 'How far below the natural waist a low waist sits.' }),
    inseamTo: z.enum(['floor', 'ankle']),
    byOneself: z.boolean().optional().meta({ description: 'The person took the figures themselves.' }),
    risesAsked: z
      .boolean()
      .optional()
      .meta({ description: 'Whether the rises hold though the girths have changed was asked and answered.' }),
    values,
    adopted: z
      .partialRecord(measurement, id)
      .meta({ description: 'The rule adopted for a figure that was not measured, by name.' }),
    heights: z
      .array(z.strictObject({ height: mm, girth: mm }))
      .max(50)
      .meta({ description: 'Girths at heights above the crotch.' }),
    corrected: z
      .array(z.strictObject({ at: stamp, id: measurement, was: mm.nullable() }))
      .meta({ description: 'What a figure was before it was corrected; null where it was missing.' }),
    pair: finishedPairSchema.optional(),
    size: z
      .strictObject({ chart: words, name: words })
      .optional()
      .meta({ description: 'The chart and size that the figures were taken from.' }),
  })
  .meta({ description: 'A dated set of measurements; all figures in millimetres.' });

/** A person (or a size) with the sets taken of them. */
export const personSchema = z
  .strictObject({
    id,
    name: words,
    figure,
    unit,
    note: words,
    build: z.strictObject({ seat: weight, stomach: weight, thigh: weight }),
    sets: z.array(measurementSetSchema).min(1),
    traces: z.array(traceSchema).max(100),
    fitted: z
      .strictObject({ draft: id, version: id.optional(), date: day })
      .optional()
      .meta({ description: 'The draft, or the version of it, that fits: it is offered to the next draft.' }),
  })
  .meta({ description: 'A person or a size, by name or role.' });

/** A table of sizes; figures in mm. */
export const sizeChartSchema = z
  .strictObject({
    id,
    name: words,
    note: words,
    figure,
    sizes: z.array(z.strictObject({ name: words, values })).max(500),
  })
  .meta({ description: 'A table of sizes that a maker brought in or changed.' });

/** What a draft is made from besides the person's figures: everything that its pieces and their cloth follow from. */
const draftInputs = {
  setId: id,
  method: id,
  sheet: sheetSchema.optional().meta({ description: "The maker's own sheet, in the place of a shipped one." }),
  fit: z.strictObject({
    fitClass: z.enum(['knit', 'close-contoured', 'close-relaxed', 'regular', 'loose', 'skirt-like']).optional(),
    stretch: z.number().min(0).max(3),
  }),
  settings: z.record(z.string(), mm),
  choices: z.record(z.string(), z.string()),
  rules: z.strictObject({ hipKept: z.boolean(), trueSeams: z.boolean(), waistPlan: z.enum(WAIST_SCHOOLS) }),
  set: z.record(z.string(), z.union([mm, z.enum(['crease', 'midway', 'apexSpan'])])),
  pattern: patternSchema.optional().meta({
    description: 'A pattern that was adopted as the block, in the place of what the method would draw.',
  }),
  alterations: z.array(alterationSchema).max(200),
  style: styleSchema.optional(),
  allowances: allowancesSchema,
  cloths: z.partialRecord(clothKind, clothSchema).optional(),
};

/** A version of a draft that was kept: all that it was made from, the person's figures among them. */
const versionSchema = z
  .strictObject({
    id,
    number: z.number().int().min(1),
    name: words,
    note: words,
    kept: stamp,
    state: z
      .enum(['uncut', 'cut', 'sewn'])
      .meta({ description: 'What can still be done about it: all, what the cloth allows, what the seams allow.' }),
    inputs: z.strictObject(draftInputs),
    measured: z
      .strictObject({
        values,
        adopted: z.partialRecord(measurement, id),
        heights: z.array(z.strictObject({ height: mm, girth: mm })).max(50),
      })
      .meta({ description: 'The figures of the set as they were then.' }),
  })
  .meta({ description: 'A version of a draft: kept whole, never changed but for its name, note and state.' });

const onLeg = z.enum(['both', 'left', 'right']);

/** A photo as it is kept, small; which fitting it is of and what is said of it stands with the draft. */
export const photoSchema = z
  .strictObject({
    id,
    draft: id,
    jpeg: z
      .string()
      .max(450_000)
      .regex(/^[A-Za-z0-9+/]+={0,2}$/)
      .meta({ description: 'The picture, as base64.' }),
  })
  .meta({ description: 'A photo of a fitting.' });

/** A fitting: what was seen and pinned on a toile, and what came of it. */
const fittingSchema = z
  .strictObject({
    id,
    date: day,
    who: words,
    cloth: z.enum(['toile', 'basted', 'finished']),
    give: z
      .number()
      .min(0)
      .max(3)
      .optional()
      .meta({ description: 'How far the cloth of it stretches, as a share; 0 where it does not.' }),
    posture: words.optional().meta({ description: 'How the person stands.' }),
    note: words,
    version: id.optional().meta({ description: 'The version that was tried on.' }),
    seen: z
      .array(z.strictObject({ id, what: id, leg: onLeg }))
      .max(100)
      .meta({ description: 'What was seen, by its name in the knowledge of toiles.' }),
    pins: z
      .array(
        z.strictObject({
          id,
          kind: id,
          by: mm,
          leg: onLeg,
          fold: z
            .strictObject({
              panel: z.enum(['front', 'back']),
              from: seamPlace(mm),
              to: seamPlace(mm),
              byTo: mm.meta({ description: 'What is pinned at the other end; `by` is pinned at the first.' }),
              taken: id.optional().meta({ description: 'The alteration by which it was taken out on the paper.' }),
            })
            .optional()
            .meta({ description: 'A fold from seam to seam of one piece, of a pin of the kind `fold`.' }),
        }),
      )
      .max(100)
      .meta({ description: 'How it was pinned, and by how much of the piece.' }),
    taken: z.array(id).max(200).meta({ description: 'Causes about which something was done.' }),
    done: z
      .array(z.strictObject({ id, cause: id, by: mm, leg: onLeg }))
      .max(200)
      .optional()
      .meta({ description: 'What was done about causes, each by how much.' }),
    allowance: mm.optional().meta({ description: 'What the seams of the toile have beyond their stitching line.' }),
    sewn: z
      .array(z.strictObject({ id, seam: id, is: mm, wanted: mm.optional(), leg: onLeg }))
      .max(100)
      .optional()
      .meta({ description: 'Seams that were measured as they are sewn, edge to edge.' }),
    photos: z
      .array(
        z.strictObject({
          id,
          where: z.enum(['front', 'side', 'back']),
          note: words,
          width: z.number().int().min(1).max(10_000),
          height: z.number().int().min(1).max(10_000),
        }),
      )
      .max(40)
      .optional()
      .meta({ description: 'Photos, by their ids among the photos of the workbook.' }),
    predicted: z
      .array(
        z.strictObject({
          id,
          figure: id,
          before: z.number().min(-10_000).max(10_000),
          after: z.number().min(-10_000).max(10_000),
          against: words,
          seen: z.enum(['so', 'otherwise']).optional(),
        }),
      )
      .max(60)
      .optional()
      .meta({
        description:
          'What the virtual toile told before the fitting (mm, N, kPa or per cent, by figure), and whether it was seen.',
      }),
    closed: z
      .enum(['fits', 'toileAgain', 'bastedAgain', 'enough'])
      .optional()
      .meta({ description: 'How it was closed; open without one.' }),
  })
  .meta({ description: 'A fitting of a draft; lengths in millimetres.' });

/** What a body of a run has by hand: lines and alterations beside the garment's, or a draft of its own in its place. */
const ownSchema = z.strictObject({
  set: draftInputs.set,
  alterations: z.array(alterationSchema).max(200),
  draft: id.optional(),
});

/** A grade rule: the garment and the sizes that it was written from; what places move by is computed from them. */
const gradeRuleSchema = z
  .strictObject({
    name: words,
    figure,
    inputs: z.strictObject(draftInputs),
    sizes: z
      .array(z.strictObject({ name: words, values }))
      .min(2)
      .max(100),
  })
  .meta({ description: 'A grade rule, by the garment and the sizes that it was written from.' });

/** A garment applied to many bodies: people, or the sizes of a chart. */
const runSchema = z
  .strictObject({
    id,
    name: words,
    made: stamp,
    of: z.discriminatedUnion('from', [
      z.strictObject({ from: z.literal('people'), people: z.array(id).max(10_000) }),
      z.strictObject({ from: z.literal('chart'), chart: id, sizes: z.array(words).max(500) }),
    ]),
    own: z
      .record(z.string().max(2000), ownSchema)
      .meta({ description: 'What a body has by hand, by the id of the person or the name of the size.' }),
    rule: gradeRuleSchema.optional().meta({ description: 'The grade rule that was written from these sizes.' }),
    by: z.strictObject({ rule: gradeRuleSchema, size: words }).optional().meta({
      description: 'The grade rule that these sizes are made by, and which of its sizes the draft itself is.',
    }),
    sewn: z
      .array(
        z.strictObject({
          id,
          body: z.string().max(2000),
          name: words,
          date: day,
          figures: z.record(z.string().max(100), mm),
        }),
      )
      .max(5000)
      .meta({ description: 'Sewn garments that were measured, each of a size or a person.' }),
  })
  .meta({ description: 'A garment applied to many bodies; lengths in millimetres.' });

/** A draft: inputs only. Pieces, figures and checks are computed from it. */
export const draftSchema = z
  .strictObject({
    id,
    name: words,
    note: z.string().max(2000).optional(),
    personId: id,
    ...draftInputs,
    redrawn: z
      .boolean()
      .optional()
      .meta({ description: 'Its lines are drawn otherwise than when it was kept, and that was not told yet.' }),
    outline: z
      .strictObject({ front: drawn, back: drawn, from: z.string().max(5000) })
      .optional()
      .meta({
        description:
          'How its pieces lay when it was kept: the start, then three points a curve, as x and y in mm; and what of the person they were drawn from.',
      }),
    reference: referenceSchema.optional(),
    lays: z.partialRecord(clothKind, laySchema).optional(),
    laidWith: z.array(laidWithSchema).max(MOST_TOGETHER).optional(),
    remnants: z
      .array(clothSchema)
      .max(MOST_REMNANTS)
      .optional()
      .meta({ description: 'What was kept of its cloths when it was cut: offered to other garments.' }),
    versions: z.array(versionSchema).max(500).optional(),
    fittings: z.array(fittingSchema).max(200).optional(),
    runs: z.array(runSchema).max(100).optional(),
    version: id.optional().meta({ description: 'The version that it was kept as or made current from last.' }),
    created: stamp,
    changed: stamp,
  })
  .meta({ description: 'A draft as inputs; lengths in millimetres, lines set by hand under “set”.' });

/** The whole workbook: everything a maker keeps. */
export const workbookSchema = z
  .strictObject({
    format: z.literal(WORKBOOK_FORMAT),
    version: z.literal(WORKBOOK_VERSION),
    written: stamp,
    people: z.array(personSchema),
    drafts: z.array(draftSchema),
    charts: z.array(sizeChartSchema),
    practice: z.array(practiceSchema),
    styles: z.array(keptStyleSchema),
    photos: z
      .array(photoSchema)
      .optional()
      .meta({ description: 'Photos of fittings; left out where they were not asked for.' }),
  })
  .meta({
    title: 'Upstride workbook',
    description: 'All people, measurement sets, drafts, own size charts, practice and own styles of one workroom.',
  });

/** A dated set of measurements. */
export type MeasurementSet = z.infer<typeof measurementSetSchema>;
/** A person with their sets. */
export type Person = z.infer<typeof personSchema>;
/** A crotch curve taken from the body. */
export type Trace = z.infer<typeof traceSchema>;
/** A fitting of a draft. */
export type Fitting = z.infer<typeof fittingSchema>;
/** A photo of a fitting. */
export type Photo = z.infer<typeof photoSchema>;
/** A version of a draft. */
export type DraftVersion = z.infer<typeof versionSchema>;
/** A garment applied to many bodies. */
export type Run = z.infer<typeof runSchema>;
/** A grade rule as it is kept. */
export type KeptGradeRule = z.infer<typeof gradeRuleSchema>;
/** A kept draft. */
export type KeptDraft = z.infer<typeof draftSchema>;
/** A size chart as kept. */
export type KeptChart = z.infer<typeof sizeChartSchema>;
/** A workbook. */
export type Workbook = z.infer<typeof workbookSchema>;
