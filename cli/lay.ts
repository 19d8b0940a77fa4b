import { z } from 'zod';
import { computeDraft } from '../core/chain/index.js';
import type { Shrinkage } from '../core/cloth/index.js';
import type { Drawing } from '../core/drawing/index.js';
import type { Cloth } from '../core/garment/index.js';
import {
  clothsOf,
  garmentShapes,
  layDrawing,
  layFault,
  LayJob,
  layOf,
  type FoundLay,
  type LayCloth,
  type LayShape,
} from '../core/lay/index.js';
import { grownGarment, piecesOf, type Piece } from '../core/piece/index.js';
import { orderRefusalsSentence } from '../core/refusal/index.js';
import { draftGarment } from '../core/style/index.js';
import { readerIn, toMm } from '../core/units/index.js';
import { readOrder } from './order.js';

const clothSchema = z.strictObject({
  width: z.number(),
  fold: z.enum(['open', 'folded']).default('open'),
  nap: z.enum(['one-way', 'two-way', 'none']).default('one-way'),
  gap: z.number().default(2),
  barRepeat: z.number().default(0),
  stripeRepeat: z.number().default(0),
  flaws: z
    .array(z.strictObject({ along: z.number(), across: z.number(), length: z.number(), width: z.number() }))
    .default([]),
  shrinkLength: z.number().min(0).max(0.3).default(0),
  shrinkWidth: z.number().min(0).max(0.3).default(0),
});

const CLOTHS = ['shell', 'lining', 'pocketing', 'interfacing'] as const;

/** What is laid, as the command takes it: orders, or shapes, on one cloth or on several. */
const laySchema = z.strictObject({
  unit: z.enum(['mm', 'cm', 'in']).default('mm'),
  cloth: clothSchema.optional(),
  cloths: z.partialRecord(z.enum(CLOTHS), clothSchema).optional(),
  orders: z.array(z.unknown()).optional(),
  shapes: z
    .array(
      z.strictObject({
        id: z.string(),
        outline: z.array(z.tuple([z.number(), z.number()])),
        count: z.number().int().min(1).default(1),
        turns: z
          .array(z.union([z.literal(0), z.literal(180)]))
          .min(1)
          .optional(),
        mirrored: z.boolean().default(false),
      }),
    )
    .optional(),
});

type ClothAsked = z.infer<typeof clothSchema>;

/** One cloth with what is laid on it, in mm. */
export interface LayAsked {
  readonly cloth: Cloth;
  readonly on: LayCloth;
  readonly shapes: readonly LayShape[];
  /** What a shape is called, and where it comes from. */
  readonly names: ReadonlyMap<string, { readonly name: string; readonly order?: number; readonly part?: string }>;
}

/** A lay as it is asked for, or what is wrong with the file, in a sentence. */
export type ReadLay =
  | {
      readonly ok: true;
      readonly lays: readonly LayAsked[];
      readonly several: boolean;
      readonly notLaid: readonly string[];
    }
  | { readonly ok: false; readonly told: string };

const told = (sentence: string): ReadLay => ({ ok: false, told: sentence });

/** The pieces of every order, or the first sentence that one gives. */
function piecesOfOrders(
  orders: readonly unknown[],
  shrinkage: (cloth: Cloth) => Shrinkage,
): readonly (readonly Piece[])[] | string {
  const all: (readonly Piece[])[] = [];
  for (const [i, json] of orders.entries()) {
    const order = readOrder(json);
    if (!order.ok) return `Order ${i + 1}: ${orderRefusalsSentence(order.refusals, readerIn('cm'))}`;
    const { input, style, unit, allowances } = order.value;
    const draft = computeDraft(input);
    if (!draft.ok) return `Order ${i + 1}: ${orderRefusalsSentence(draft.refusals, readerIn(unit))}`;
    const made = draftGarment(draft.value, style, unit);
    const left = made.told.flatMap(({ refusal }) => (refusal ? [refusal] : []));
    if (left.length > 0) return `Order ${i + 1}: ${orderRefusalsSentence(left, readerIn(unit))}`;
    all.push(piecesOf(grownGarment(made.garment, shrinkage), allowances));
  }
  return all;
}

/** Reads what is to be laid from parsed JSON; every mistake is a sentence with its place and the way out. */
export function readLay(json: unknown): ReadLay {
  const parsed = laySchema.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    const place = issue?.path.join('.') ?? '';
    return told(`The lay is not right at ${place || 'its top'}: ${issue?.message ?? ''}. Write it as in the README.`);
  }
  const { unit, cloth, cloths, orders, shapes } = parsed.data;
  const mm = (value: number): number => toMm(value, unit);
  if (!orders === !shapes) return told('Name either “orders” or “shapes” to be laid.');
  if (!cloth && !cloths) return told('Name the “cloth”: its width, fold, nap and gap.');
  const asked = ({ width, fold, gap, barRepeat, stripeRepeat, flaws }: ClothAsked): LayCloth => ({
    width: fold === 'folded' ? mm(width) / 2 : mm(width),
    gap: mm(gap),
    barRepeat: mm(barRepeat),
    stripeRepeat: mm(stripeRepeat),
    flaws: flaws.map((f) => ({
      along: mm(f.along),
      across: mm(f.across),
      length: mm(f.length),
      width: mm(f.width),
    })),
  });
  const clothOf = (kind: Cloth): ClothAsked | undefined => cloths?.[kind] ?? (kind === 'shell' ? cloth : undefined);
  const lays: LayAsked[] = [];
  const notLaid: string[] = [];
  if (shapes) {
    if (!cloth) return told('Shapes are laid on one “cloth”: name it.');
    if (cloth.fold === 'folded')
      return told('Shapes are laid on open cloth: set “fold” to “open”, and the width to that of one layer.');
    const turned = cloth.nap === 'one-way' ? ([0] as const) : ([0, 180] as const);
    lays.push({
      cloth: 'shell',
      on: asked(cloth),
      shapes: shapes.map((s) => ({
        ...s,
        outline: s.outline.map(([x, y]) => [mm(x), mm(y)] as const),
        // What the nap forbids is not laid, whatever a shape allows.
        turns: (s.turns ?? turned).filter((t) => turned.some((allowed) => allowed === t)),
      })),
      names: new Map(shapes.map((s) => [s.id, { name: s.id }])),
    });
    const stuck = lays[0]?.shapes.find((s) => s.turns.length === 0);
    if (stuck)
      return told(`The part “${stuck.id}” may only lie turned, and the nap forbids that. Allow it the turn 0.`);
  } else {
    const pieces = piecesOfOrders(orders ?? [], (kind) => {
      const { shrinkLength = 0, shrinkWidth = 0 } = clothOf(kind) ?? clothOf('shell') ?? {};
      return { length: shrinkLength, width: shrinkWidth };
    });
    if (typeof pieces === 'string') return told(pieces);
    for (const kind of [...new Set(pieces.flatMap(clothsOf))]) {
      const of = clothOf(kind);
      if (!of) {
        notLaid.push(kind);
        continue;
      }
      const names = new Map<string, { name: string; order: number; part: string }>();
      const all = pieces.flatMap((own, order) =>
        garmentShapes(own, kind, of.nap, of.fold).map((shape): LayShape => {
          const id = `${order}:${shape.id}`;
          names.set(id, {
            name: own.find((p) => p.part.id === shape.id)?.part.name ?? shape.id,
            order,
            part: shape.id,
          });
          return { ...shape, id };
        }),
      );
      lays.push({ cloth: kind, on: asked(of), shapes: all, names });
    }
  }
  for (const lay of lays) {
    const fault = layFault(lay.shapes, lay.on, (value) => `${Number(value.toFixed(1))} mm`);
    if (fault) return told(fault);
  }
  return { ok: true, lays, several: cloths !== undefined, notLaid };
}

/** The best lay that is found in so many seconds. */
export function searched({ shapes, on }: LayAsked, seconds: number, seed = 1): FoundLay & { readonly seconds: number } {
  const begun = performance.now();
  const over = (): boolean => performance.now() - begun > seconds * 1000;
  let best: FoundLay | undefined;
  for (const found of layOf(new LayJob(shapes, on), seed, over)) best = found;
  if (!best) throw new Error('A search gives a first lay at once');
  return { ...best, seconds: (performance.now() - begun) / 1000 };
}

/** A lay in the answer: lengths in mm, what of the cloth is used in per cent, the least length that could be. */
export function layAnswer(asked: LayAsked, found: FoundLay & { readonly seconds: number }): object {
  const { length, use, placed, seconds } = found;
  return {
    cloth: asked.cloth,
    length,
    use: 100 * use,
    bound: use * length,
    placed: placed.map(({ id, ...rest }) => {
      const from = asked.names.get(id);
      return from?.part === undefined ? { id, ...rest } : { order: from.order, part: from.part, ...rest };
    }),
    seconds,
  };
}

/** A lay as a drawing at full size. */
export const layPicture = (asked: LayAsked, { placed, length }: FoundLay): Drawing =>
  layDrawing(asked.shapes, placed, { length, width: asked.on.width }, (id) => asked.names.get(id)?.name ?? id);
