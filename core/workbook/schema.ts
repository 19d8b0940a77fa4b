import { z } from 'zod';
import { MEASUREMENT_IDS } from '../measure/index.js';

/** The version of the workbook that this program writes. */
export const WORKBOOK_VERSION = 1;

/** What marks a file as a workbook. */
export const WORKBOOK_FORMAT = 'upstride-workbook';

const id = z.string().min(1).max(100);
const mm = z.number().min(-5000).max(5000);
const words = z.string().max(2000);
const day = z.iso.date();

/** One dated set of body measurements, in mm, with the unit it was entered in. */
export const measurementSetSchema = z
  .strictObject({
    id,
    date: day,
    taker: words,
    unit: z.enum(['cm', 'in', 'mm']),
    note: words,
    values: z.partialRecord(z.enum(MEASUREMENT_IDS), mm),
  })
  .meta({ description: 'A dated set of body measurements; all figures in millimetres.' });

/** A person (or a size) with the sets taken of them. */
export const personSchema = z
  .strictObject({
    id,
    name: words,
    figure: z.enum(['woman', 'man', 'child', 'unknown']),
    unit: z.enum(['cm', 'in', 'mm']),
    note: words,
    sets: z.array(measurementSetSchema).min(1),
  })
  .meta({ description: 'A person or a size, by name or role.' });

/** A draft: inputs only. Pieces, figures and checks are computed from it. */
export const draftSchema = z
  .strictObject({
    id,
    name: words,
    personId: id,
    setId: id,
    method: id,
    settings: z.record(z.string(), mm),
    choices: z.record(z.string(), z.string()),
    rules: z.strictObject({ hipKept: z.boolean(), trueSeams: z.boolean(), waistPlan: z.boolean() }),
    set: z.record(z.string(), z.union([mm, z.enum(['crease', 'midway', 'apexSpan'])])),
    allowances: z.strictObject({ waist: mm, side: mm, hem: mm, inseam: mm, rise: mm }),
    created: z.iso.datetime(),
    changed: z.iso.datetime(),
  })
  .meta({ description: 'A draft as inputs; lengths in millimetres, lines set by hand under “set”.' });

/** The whole workbook: everything a maker keeps. */
export const workbookSchema = z
  .strictObject({
    format: z.literal(WORKBOOK_FORMAT),
    version: z.literal(WORKBOOK_VERSION),
    written: z.iso.datetime(),
    people: z.array(personSchema),
    drafts: z.array(draftSchema),
  })
  .meta({ title: 'Upstride workbook', description: 'All people, measurement sets and drafts of one workroom.' });

/** A dated set of measurements. */
export type MeasurementSet = z.infer<typeof measurementSetSchema>;
/** A person with their sets. */
export type Person = z.infer<typeof personSchema>;
/** A kept draft. */
export type KeptDraft = z.infer<typeof draftSchema>;
/** A workbook. */
export type Workbook = z.infer<typeof workbookSchema>;
