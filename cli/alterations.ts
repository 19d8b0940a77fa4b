import { z } from 'zod';
import { withLengths, type Alteration } from '../core/alter/index.js';
import { LEGS } from '../core/draft/index.js';
import { good, orderRefusal, refused, type OrderRefusal, type Outcome } from '../core/refusal/index.js';
import { fromMm, readLength, toMm, type Unit } from '../core/units/index.js';
import { alterationWork } from '../core/workbook/index.js';

/** An alteration in an order: what it does, with `on`, `note` and `leg` where wanted. Lengths in the order's unit. */
export const orderedAlterations = z.array(z.record(z.string(), z.unknown())).max(200).default([]);

/** A length as an order writes it, in mm: a plain number in the order's unit, or text such as "3/4" or "12mm". */
const lengthIn = (unit: Unit): z.ZodType<number> =>
  z.union([z.number(), z.string()]).transform((value, context) => {
    if (typeof value === 'number') return toMm(value, unit);
    const read = readLength(value, unit);
    if (read.ok) return read.mm;
    context.addIssue({ code: 'custom', message: `“${value}” is not a length` });
    return z.NEVER;
  });

const legOf = z.enum(LEGS).optional();

const field = (index: number, path: readonly PropertyKey[]): string => ['alterations', index, ...path].join('.');

/** Reads the alterations of an order; every mistake is a refusal that names the alteration and the field. */
export function readAlterations(
  listed: readonly Readonly<Record<string, unknown>>[],
  unit: Unit,
): Outcome<Alteration[], OrderRefusal> {
  const shape = alterationWork(lengthIn(unit));
  const refusals: OrderRefusal[] = [];
  const found: Alteration[] = [];
  for (const [i, { on = true, note = '', leg, ...rest }] of listed.entries()) {
    const work = shape.safeParse(rest);
    const side = legOf.safeParse(leg);
    if (work.success && typeof on === 'boolean' && typeof note === 'string' && side.success) {
      found.push({ id: `order.${i}`, on, note, work: work.data, leg: side.data });
      continue;
    }
    const issue = work.success ? undefined : work.error.issues[0];
    const place = field(i, issue?.path ?? [typeof on !== 'boolean' ? 'on' : side.success ? 'note' : 'leg']);
    refusals.push(orderRefusal(place, 'orderAlteration', { number: i + 1, place, fault: issue?.message }));
  }
  return refusals.length > 0 ? refused(...refusals) : good(found);
}

const GRAIN = 1e4;

/** An alteration as an order would write it, lengths in the order's unit. */
export function asOrdered({ on, note, work, leg }: Alteration, unit: Unit): Record<string, unknown> {
  const inUnit = withLengths(work, (mm) => Math.round(fromMm(mm, unit) * GRAIN) / GRAIN);
  return { ...inUnit, ...(on ? {} : { on }), ...(note === '' ? {} : { note }), ...(leg && { leg }) };
}
