import { z } from 'zod';
import {
  COMPONENTS,
  componentNamed,
  type AnyComponent,
  type Field,
  type Style,
  type StyleItem,
  type StyleValue,
} from '../core/style/index.js';
import {
  CORNER_WAYS,
  houseAllowances,
  PROFILES,
  profileNamed,
  type Allowances,
  type GivenAllowance,
} from '../core/piece/index.js';
import { good, orderRefusal, refused, type OrderRefusal, type Outcome } from '../core/refusal/index.js';
import { readLength, toMm, type Unit } from '../core/units/index.js';

const figure = z.union([z.number(), z.string()]);
const values = z.record(z.string(), z.union([figure, z.boolean()]));

/** A style in an order: what each component is set to, by its name; `true` for one as the house has it. */
export const orderedStyle = z
  .union([
    z.record(z.string(), z.union([values, z.boolean()])),
    z.array(z.object({ id: z.string(), values: values.default({}) })),
  ])
  .default({});

/** Allowances in an order: a profile by name, then edges by name, seams, and stretches of an edge by shares. */
export const orderedAllowances = z
  .strictObject({
    profile: z.string().optional(),
    depth: figure.optional(),
    seams: z.record(z.string(), figure).default({}),
    parts: z.record(z.string(), figure).default({}),
    edges: z.record(z.string(), figure).default({}),
    corners: z.enum(CORNER_WAYS).optional(),
    cornersAt: z.record(z.string(), z.enum(CORNER_WAYS)).default({}),
    stretches: z
      .array(
        z.strictObject({
          edge: z.string(),
          from: z.number().min(0).max(1),
          to: z.number().min(0).max(1),
          start: figure,
          end: figure.optional(),
        }),
      )
      .default([]),
  })
  .default({ seams: {}, parts: {}, edges: {}, cornersAt: {}, stretches: [] });

/** No allowance is wider than this, in mm. */
const MOST = 200;

function lengthOf(field: string, value: number | string, unit: Unit): Outcome<number, OrderRefusal> {
  const read = typeof value === 'number' ? { ok: true as const, mm: toMm(value, unit) } : readLength(value, unit);
  return read.ok ? good(read.mm) : refused(orderRefusal(field, 'orderLength', { label: field, fault: read.reason }));
}

function valueOf(
  name: string,
  field: Field,
  value: number | string | boolean,
  unit: Unit,
): Outcome<StyleValue, OrderRefusal> {
  if (field.as === 'tick') {
    return typeof value === 'boolean' ? good(value) : refused(orderRefusal(name, 'orderOnOff', { name }));
  }
  if (field.as === 'pick') {
    const known = field.options.map(([id]) => id);
    const found = known.find((id) => id === String(value));
    return found === undefined
      ? refused(orderRefusal(name, 'orderUnknown', { what: 'choice', name: String(value), known }))
      : good(found);
  }
  if (typeof value === 'boolean') return refused(orderRefusal(name, 'orderNeedsLength', { name }));
  if (field.as === 'length') return lengthOf(name, value, unit);
  const plain = Number(value);
  return Number.isInteger(plain) ? good(plain) : refused(orderRefusal(name, 'orderPlainNumber', { name }));
}

type Ordered = z.infer<typeof orderedStyle>;

/** The style of an order; every mistake is a refusal with its field and the way out. */
export function readStyle(ordered: Ordered, unit: Unit): Outcome<Style, OrderRefusal> {
  const entries: (readonly [string, Record<string, number | string | boolean> | boolean])[] = Array.isArray(ordered)
    ? ordered.map((item) => [item.id, item.values] as const)
    : Object.entries(ordered);
  const refusals: OrderRefusal[] = [];
  const style: StyleItem[] = [];
  for (const [id, set] of entries) {
    const component = componentNamed(id);
    if (!component) {
      const known = COMPONENTS.map((c) => c.id);
      refusals.push(orderRefusal(`style.${id}`, 'orderUnknown', { what: 'component', name: id, known }));
      continue;
    }
    if (set === false) continue;
    const read: Record<string, StyleValue> = {};
    for (const [name, value] of Object.entries(set === true ? {} : set)) {
      const field = component.fields[name];
      if (!field) {
        const known = Object.keys(component.fields);
        refusals.push(orderRefusal(`style.${id}.${name}`, 'orderUnknown', { what: `choice of “${id}”`, name, known }));
        continue;
      }
      const done = valueOf(`style.${id}.${name}`, field, value, unit);
      if (done.ok) read[name] = done.value;
      else refusals.push(...done.refusals);
    }
    style.push({ id, values: read });
  }
  return refusals.length > 0 ? refused(...refusals) : good(style);
}

/** The allowances of an order: the house's own, or a profile's, and what is given otherwise. */
export function readAllowances(
  ordered: z.infer<typeof orderedAllowances>,
  unit: Unit,
): Outcome<Allowances, OrderRefusal> {
  const refusals: OrderRefusal[] = [];
  const profile = ordered.profile === undefined ? undefined : profileNamed(ordered.profile);
  if (ordered.profile !== undefined && !profile) {
    const asked = { what: 'profile', name: ordered.profile, known: PROFILES.map((p) => p.id) };
    refusals.push(orderRefusal('allowances.profile', 'orderUnknown', asked));
  }
  const base = profile ? profile.allowances(unit) : houseAllowances(unit);
  const given: GivenAllowance[] = [...base.given];
  const length = (field: string, value: number | string): number => {
    const read = lengthOf(`allowances.${field}`, value, unit);
    if (!read.ok) refusals.push(...read.refusals);
    else if (read.value < 0 || read.value > MOST) {
      refusals.push(orderRefusal(`allowances.${field}`, 'orderAllowance', { name: field, most: MOST }));
    }
    return read.ok ? read.value : 0;
  };
  const edgeOf = (field: string, name: string): { part: string; edge: string } | undefined => {
    const dot = name.lastIndexOf('.');
    if (dot > 0 && dot < name.length - 1) return { part: name.slice(0, dot), edge: name.slice(dot + 1) };
    refusals.push(orderRefusal(`allowances.${field}`, 'orderEdge', { name }));
    return undefined;
  };
  for (const [seam, value] of Object.entries(ordered.seams)) given.push({ on: 'seam', seam, mm: length(seam, value) });
  for (const [part, value] of Object.entries(ordered.parts)) given.push({ on: 'part', part, mm: length(part, value) });
  for (const [name, value] of Object.entries(ordered.edges)) {
    const edge = edgeOf('edges', name);
    if (edge) given.push({ on: 'edge', ...edge, mm: length(name, value) });
  }
  for (const { edge: name, from, to, start, end } of ordered.stretches) {
    const edge = edgeOf('stretches', name);
    if (from >= to) refusals.push(orderRefusal('allowances.stretches', 'orderStretchOrder', { name, from, to }));
    if (!edge) continue;
    const last = end === undefined ? {} : { end: length(name, end) };
    given.push({ on: 'stretch', ...edge, from, to, mm: length(name, start), ...last });
  }
  for (const [name, as] of Object.entries(ordered.cornersAt)) {
    const edge = edgeOf('cornersAt', name);
    if (edge) given.push({ on: 'corner', ...edge, as });
  }
  const { corners = base.corners } = ordered;
  const depth = ordered.depth === undefined ? base.depth : length('depth', ordered.depth);
  if (refusals.length > 0) return refused(...refusals);
  return good({ ...base, given, ...(corners && { corners }), ...(depth === undefined ? {} : { depth }) });
}

const fieldAnswer = (name: string, field: Field, unit: Unit): object => {
  const { as, label } = field;
  const body = { waist: 0, hip: 0, girths: [], heel: undefined };
  const none = { ...body, unit, child: false, size: 1, stretch: 0, bandCounted: 0 };
  if (as === 'length') {
    return {
      name,
      label,
      kind: 'length',
      unit: 'mm',
      least: field.least,
      most: field.most,
      default: field.start(none) ?? null,
    };
  }
  if (as === 'count') return { name, label, kind: 'count', least: field.least, most: field.most, default: field.start };
  if (as === 'tick') return { name, label, kind: 'tick', default: field.start };
  return {
    name,
    label,
    kind: 'choice',
    options: field.options.map(([id, words]) => ({ id, label: words })),
    default: field.start,
  };
};

/** A component as the command lists it: its choices with ranges and defaults, and the parts it makes with their edges. */
export const componentAnswer = ({ id, label, group, about, fields, makes, not }: AnyComponent, unit: Unit): object => ({
  id,
  label,
  group,
  about,
  choices: Object.entries(fields).map(([name, field]) => fieldAnswer(name, field, unit)),
  parts: makes.map((part) => ({ id: part.id, edges: part.edges })),
  notWith: not ?? [],
});

/** A profile of allowances as the command lists it, in mm. */
export const profileAnswer = ({ id, label, about, allowances }: (typeof PROFILES)[number], unit: Unit): object => ({
  id,
  label,
  about,
  ...allowances(unit),
});
