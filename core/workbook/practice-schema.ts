import { z } from 'zod';
import { MEASUREMENT_IDS } from '../measure/index.js';
import { sheetSchema } from './sheet-schema.js';

const id = z.string().min(1).max(100);
const words = z.string().max(2000);
const times = z.number().int().min(0).max(1_000_000);

/** How hard the figures of a lesson are. */
const level = z
  .enum(['whole', 'eighths', 'odd', 'halves'])
  .meta({ description: 'How hard the figures are: whole inches, eighths, odd eighths, centimetres with halves.' });
const choices = z.record(z.string().max(100), z.string().max(100));

/** A lesson: what is asked, by which method, on which body. */
export const lessonSchema = z
  .strictObject({
    id: z.string().min(1).max(80),
    title: words,
    about: words,
    method: id.optional().meta({ description: 'A shipped method; none where no draft is needed.' }),
    sheet: sheetSchema.optional().meta({ description: "A maker's own sheet, in the place of a shipped method." }),
    choices: choices.optional(),
    subject: z
      .enum(['measuring', 'truing', 'allowances', 'checks', 'chalk'])
      .optional()
      .meta({ description: 'What is practised in the place of a method.' }),
    level,
    seed: z
      .number()
      .int()
      .min(0)
      .max(4_294_967_295)
      .optional()
      .meta({ description: 'The body: the same number gives every learner the same figures.' }),
    figures: z
      .partialRecord(z.enum(MEASUREMENT_IDS), z.number().min(10).max(3000))
      .optional()
      .meta({ description: "The body's own figures, in mm, in the place of a made-up one." }),
    steps: z.array(id).max(100).optional().meta({ description: 'The steps that are asked; all without.' }),
    ask: z
      .array(z.enum(['sums', 'points', 'curves']))
      .min(1)
      .max(3)
      .optional(),
    times: z.number().int().min(1).max(50).optional().meta({ description: 'How many tables of figures.' }),
  })
  .meta({ description: 'A lesson: what is asked, by which method, on which body.' });

/** How an item that was practised stands. */
const itemSchema = z.strictObject({
  name: words,
  right: times,
  near: times,
  missed: times,
  slips: z.record(z.string().max(40), times).meta({ description: 'The slips that were made, by kind.' }),
  run: times.meta({ description: 'How often it was right running; the longer, the later it comes back.' }),
  last: z.iso.datetime(),
});

/** What was practised of one method or subject, and a lesson that was handed over. */
export const practiceSchema = z
  .strictObject({
    id,
    name: words,
    items: z.record(z.string().max(200), itemSchema),
    level: level.optional().meta({ description: 'The figures it was practised with last.' }),
    choices: choices.optional().meta({ description: 'The way it was practised last.' }),
    lesson: lessonSchema.optional(),
  })
  .meta({ description: 'What a learner has practised of one method, subject or lesson.' });

/** A lesson. */
export type Lesson = z.infer<typeof lessonSchema>;
/** How an item stands. */
export type ItemProgress = z.infer<typeof itemSchema>;
/** What was practised of one method, subject or lesson. */
export type Practice = z.infer<typeof practiceSchema>;
