import { z } from 'zod';
import { MEASUREMENT_IDS } from '../measure/index.js';
import { sheetFrom, type FormulaText, type Sheet } from '../method/index.js';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../refusal/index.js';

const id = z.string().min(1).max(100);
const words = z.string().max(2000);
const name = z.string().regex(/^[A-Za-z][A-Za-z0-9]*(\.[A-Za-z][A-Za-z0-9]*)?$/);
const measurement = z.enum(MEASUREMENT_IDS);
const span = z.tuple([z.number(), z.number()]);
const when = z.record(id, id);

/** A formula, or one for each value of a choice. */
const formulaText: z.ZodType<FormulaText> = z.lazy(() =>
  z.union([z.string().max(500), z.strictObject({ choice: id, by: z.record(id, formulaText) })]),
);

const setting = z.strictObject({
  name,
  label: words,
  kind: z.enum(['length', 'share']).optional(),
  formula: formulaText.optional(),
  reason: words,
  least: z.number(),
  most: z.number(),
  when: when.optional(),
  group: z.literal('house').optional(),
  shrinks: z.boolean().optional(),
  slider: z.boolean().optional(),
});

const line = z.strictObject({ name, formula: formulaText, reason: words, house: z.boolean().optional() });

const shape = z
  .strictObject({
    id,
    name: words,
    suits: words,
    origin: words,
    weak: words,
    needs: z.array(measurement),
    estimates: z.partialRecord(measurement, id).optional(),
    fitClass: formulaText,
    meantFor: z.strictObject({ hip: span, drop: span, crotchDepth: span }),
    basedOn: id.optional(),
    first: z.enum(['front', 'back']).optional(),
    laidOut: formulaText.optional(),
    keptLast: formulaText.optional(),
    closing: formulaText.optional(),
    straightSide: z.boolean().optional(),
    uprightSide: formulaText.optional(),
    plumbLeg: z.boolean().optional(),
    surplus: formulaText.optional(),
    forChildren: z.boolean().optional(),
    solves: z
      .array(
        z.strictObject({
          line: z.enum(['front.centreLift', 'back.centreLift']),
          measure: z.enum(['frontRise', 'backRise']),
          least: z.number(),
          most: z.number(),
        }),
      )
      .optional(),
    choices: z
      .array(
        z.strictObject({
          id,
          label: words,
          values: z
            .array(z.strictObject({ id, label: words, about: words }))
            .min(1)
            .max(20),
        }),
      )
      .max(20),
    settings: z.array(setting).max(100),
    lines: z.array(line).max(100),
  })
  .meta({ description: 'A method as a sheet of formulas, as the draft that uses it carries it.' });

/** A maker's own method sheet. Formulas may be wrong: what is wrong with one is told, never thrown. */
export const sheetSchema = shape as unknown as z.ZodType<Sheet>;

/** What marks a file as a method sheet. */
const SHEET_FORMAT = 'upstride-method';

/** A method sheet as a file that others can open. */
export const writeSheet = (sheet: Sheet): string =>
  `${JSON.stringify({ format: SHEET_FORMAT, sheet }, undefined, 2)}\n`;

/**
 * Reads a method sheet from a file. A file that is no sheet is refused with a sentence; a sheet with a mistake in a
 * formula is read, so that it can be mended.
 */
export function readSheet(text: string): Outcome<Sheet, FileRefusal> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(fileRefusal('sheet', 'sheetUnread'));
  }
  if (typeof json !== 'object' || json === null || (json as { format?: unknown }).format !== SHEET_FORMAT) {
    return refused(fileRefusal('sheet', 'sheetForeign'));
  }
  const parsed = sheetSchema.safeParse((json as { sheet?: unknown }).sheet);
  if (parsed.success) return good(sheetFrom(parsed.data));
  const [issue] = parsed.error.issues;
  const place = issue?.path.join('.') ?? '';
  return refused(fileRefusal('sheet', 'sheetDamaged', { place, fault: issue?.message }));
}
