import type { Block, Legs } from '../draft/index.js';
import { isSound } from '../draft/index.js';
import { enclosedArea, flatten, isClosed, pathLength, selfCrossing } from '../geometry/index.js';
import { partOutline, seamDifference, type Garment } from '../garment/index.js';
import { refusal, type Refusal } from '../refusal/index.js';
import { isRefused, type AnyComponent, type Field, type Refused, type StyleContext } from './component.js';
import { COMPONENTS, componentNamed } from './components/index.js';
import type { Finding } from './finding.js';
import { begun, made, type Making } from './making.js';
import type { Opening } from './opening.js';
import type { Trimming } from './trimming.js';

/** A value of a component's choice: a length in mm, a count, a tick, or what is picked. */
export type StyleValue = number | string | boolean;

/** A component chosen, with what was set of it; the rest stands as the house has it. */
export interface StyleItem {
  /** The component's name. */
  readonly id: string;
  readonly values: Readonly<Record<string, StyleValue>>;
}

/** A style: components on top of the block, each once; the order of work is the components' own. */
export type Style = readonly StyleItem[];

/** No style: the block as it is. */
export const NO_STYLE: Style = [];

/** What became of a component: done, or left out with the reason. */
export interface StyleTold {
  readonly component: string;
  readonly refusal: Refusal | undefined;
}

/** A garment that a style makes of a block. */
export interface Styled {
  readonly garment: Garment;
  /** The legs as they were cut: what the leg and the waist became. */
  readonly legs: Legs;
  readonly told: readonly StyleTold[];
  readonly findings: readonly Finding[];
  /** What it takes beside cloth, in the order of the components. */
  readonly trimmings: readonly Trimming[];
  /** How far above (−: below) the body's waist the finished top edge lies, in mm. */
  readonly topEdge: number;
  readonly opening: Opening | undefined;
}

/** True for a value of the kind that a field takes; a file may hold any other. */
function fits(field: Field, value: StyleValue | undefined): boolean {
  if (field.as === 'tick') return typeof value === 'boolean';
  if (field.as === 'pick') return field.options.some(([id]) => id === value);
  return typeof value === 'number' && Number.isFinite(value);
}

/** The value that stands for a choice: what was set, where it is of its kind, or the house's own. */
export function standing(field: Field, set: StyleValue | undefined, context: StyleContext): StyleValue | undefined {
  if (fits(field, set)) return set;
  return field.as === 'length' ? field.start(context) : field.start;
}

/** All values of a component as they stand. */
export const valuesOf = (
  { fields }: AnyComponent,
  set: StyleItem['values'],
  context: StyleContext,
): Record<string, StyleValue | undefined> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, standing(field, set[name], context)]));

/** What is wrong with a value, if it is out of its range or of another kind. */
export function faultOfValue(name: string, field: Field, value: StyleValue | undefined): Refused | undefined {
  if (value === undefined || (field.as !== 'length' && field.as !== 'count')) return undefined;
  if (typeof value === 'number' && value >= field.least && value <= field.most) return undefined;
  return { field: name, fault: 'outOfRange', figures: { value: Number(value), least: field.least, most: field.most } };
}

const asRefusal = (component: string, { field, fault, figures }: Refused): Refusal =>
  refusal(`style.${component}.${field}`, fault, (figures ?? {}) as never);

/** A component at work. */
interface Chosen {
  readonly component: AnyComponent;
  readonly values: Record<string, StyleValue | undefined>;
}

/** Seams may differ by so much beyond their ease, in mm. */
export const SEAM_TOLERANCE = 1;

/** A part that a component made can be cut: closed, not crossing itself, the right way round. */
function sound(parts: Making['parts'], before: Making['parts']): boolean {
  return parts.every((part) => {
    if (before.includes(part)) return true;
    const path = partOutline(part);
    return (
      isClosed(path, 1e-3) &&
      path.every(({ p0, p3 }) => Number.isFinite(p0.x + p0.y + p3.x + p3.y)) &&
      enclosedArea(path) < 0 &&
      selfCrossing(flatten(path, 0.2)) === undefined
    );
  });
}

const alike = (legs: Legs): boolean => legs.left === legs.right;

/** Cuts the blocks of both legs; legs that are one stay one. */
function shaped(legs: Legs, cut: (block: Block) => Block | Refused): Legs | Refused {
  const left = cut(legs.left);
  if (isRefused(left)) return left;
  if (alike(legs)) return { left, right: left };
  const right = cut(legs.right);
  return isRefused(right) ? right : { left, right };
}

/** The components of a style in the order of work, and what is told of those that cannot be. */
function chosenOf(style: Style, context: StyleContext): { chosen: Chosen[]; told: StyleTold[] } {
  const told: StyleTold[] = [];
  const chosen: Chosen[] = [];
  const order = (id: string): number => COMPONENTS.findIndex((c) => c.id === id);
  const listed = style
    .filter(({ id }, i) => componentNamed(id) && style.findIndex((s) => s.id === id) === i)
    .sort((a, b) => order(a.id) - order(b.id));
  for (const { id, values: set } of listed) {
    const component = componentNamed(id);
    if (!component) continue;
    const values = valuesOf(component, set, context);
    const fault = Object.entries(component.fields)
      .map(([name, field]) => faultOfValue(name, field, values[name]))
      .find((f) => f !== undefined);
    const bars = (c: AnyComponent, other: string): boolean => c.not?.includes(other) ?? false;
    const against = chosen.filter((c) => bars(component, c.component.id) || bars(c.component, id));
    if (fault) told.push({ component: id, refusal: asRefusal(id, fault) });
    else if (against.length > 0) {
      const refused: Refused = {
        field: against[0]?.component.id ?? '',
        fault: 'cannotBeWith',
        figures: { count: against.length },
      };
      told.push({ component: id, refusal: asRefusal(id, refused) });
    } else chosen.push({ component, values });
  }
  return { chosen, told };
}

/**
 * The garment that a style makes of a block (docs/trade/style.md): leg and top cut, parts made, seams read. A component
 * that cannot be made is left out and told with the way out; the rest is made without it. The block stays as it is.
 */
export function styled(block: Block, legs: Legs | undefined, style: Style, context: StyleContext): Styled {
  const { chosen, told } = chosenOf(style, context);
  const refusedOf = new Map<AnyComponent, Refused>();
  const drafted: Legs = legs ?? { left: block, right: block };
  let cut = drafted;
  let uncut = cut;
  for (const { component, values } of chosen) {
    if (!component.shape) continue;
    const shape = component.shape.bind(component);
    const done = shaped(cut, (b) => shape(b, values as never, context));
    if (isRefused(done)) refusedOf.set(component, done);
    else if (!soundLegs(done)) refusedOf.set(component, { field: component.id, fault: 'outlineBroken' });
    else {
      // What also makes parts of the top is given the panels as they were before it cut them.
      uncut = component.make && component.takesTop ? cut : done;
      cut = done;
    }
  }
  let making = begun(cut, uncut);
  for (const { component, values } of chosen) {
    if (!component.make || refusedOf.has(component)) continue;
    const { needs } = component;
    if (needs && !chosen.some((c) => c.component.id === needs.component && !refusedOf.has(c.component))) {
      refusedOf.set(component, { field: component.id, fault: needs.fault });
      continue;
    }
    const done = component.make(making, values as never, context);
    if (isRefused(done)) refusedOf.set(component, done);
    else if (!sound(done.parts, making.parts))
      refusedOf.set(component, { field: component.id, fault: 'outlineBroken' });
    else making = done;
  }
  const findings = chosen.flatMap(({ component, values }) =>
    refusedOf.has(component) ? [] : (component.find?.(making, values as never, context) ?? []),
  );
  const trimmings = chosen.flatMap(({ component, values }) =>
    refusedOf.has(component)
      ? []
      : (component.trimmings?.(making, values as never, context) ?? []).map((t): Trimming => ({
          ...t,
          component: component.id,
        })),
  );
  const garment = made(making);
  const apart = alike(drafted) ? [] : legsFinding(cut, chosen, refusedOf);
  return {
    garment,
    legs: cut,
    told: [
      ...told,
      ...chosen.map(({ component }): StyleTold => {
        const refused = refusedOf.get(component);
        return { component: component.id, refusal: refused && asRefusal(component.id, refused) };
      }),
    ],
    findings: [
      ...topFindings(chosen, refusedOf, context),
      ...apart,
      ...making.findings,
      ...findings,
      ...outOfSeam(garment, drafted),
    ],
    trimmings,
    topEdge: topEdgeOf(making, drafted, context),
    opening: making.opening,
  };
}

const soundLegs = ({ left, right }: Legs): boolean =>
  isSound(left.front) && isSound(left.back) && (left === right || (isSound(right.front) && isSound(right.back)));

/** How far above the body's waist the finished top edge lies at the centre in front, in mm; below it: negative. */
function topEdgeOf({ blocks, topAbove }: Making, drafted: Legs, { bandCounted }: StyleContext): number {
  const [was, is] = [drafted.left.front, blocks.left.front];
  const down = (is.points.centreWaist.y - was.points.centreWaist.y) / Math.max(0.5, Math.abs(was.centreDown.y));
  return topAbove - Math.max(0, down) - bandCounted;
}

/** A band that the method has taken off its levels already, though the waist is cut down for it too. */
function topFindings(
  chosen: readonly Chosen[],
  refusedOf: ReadonlyMap<AnyComponent, Refused>,
  { bandCounted }: StyleContext,
): Finding[] {
  if (bandCounted === 0) return [];
  const taking = chosen.find(
    ({ component, values }) => !refusedOf.has(component) && component.takesTop?.(values as never),
  );
  if (!taking) return [];
  return [{ component: taking.component.id, code: 'bandTwice', figures: { counted: bandCounted }, weight: 'out' }];
}

/** What is drawn from the panels of one leg and cut for both, where the legs differ: told, with by how much. */
function legsFinding(
  { left, right }: Legs,
  chosen: readonly Chosen[],
  refusedOf: ReadonlyMap<AnyComponent, Refused>,
): Finding[] {
  const waist = ({ front, back }: Block): number => pathLength(front.closedWaist) + pathLength(back.closedWaist);
  return chosen
    .filter(({ component }) => component.fromOneLeg && !refusedOf.has(component))
    .map(({ component }) => ({
      component: component.id,
      code: 'oneLeg',
      figures: { differ: Math.abs(waist(left) - waist(right)) },
      weight: 'caution',
    }));
}

/** By how much a seam's two sides differ beyond their ease, by what line it belongs to; the most of its stretches. */
function differences(garment: Garment): Map<string, number> {
  const found = new Map<string, number>();
  for (const seam of garment.seams) {
    const of = seam.like ?? seam.id;
    found.set(of, Math.max(found.get(of) ?? 0, Math.abs(seamDifference(garment, seam))));
  }
  return found;
}

/** Seams whose two sides differ beyond their ease, by more than the block's own did: those are told by its checks. */
function outOfSeam(garment: Garment, drafted: Legs): Finding[] {
  const apart = garment.seams
    .map((seam) => ({ seam, differ: Math.abs(seamDifference(garment, seam)) }))
    .filter(({ differ }) => differ > SEAM_TOLERANCE);
  if (apart.length === 0) return [];
  const before = differences(made(begun(drafted, drafted)));
  return apart
    .filter(({ seam, differ }) => differ > SEAM_TOLERANCE + (before.get(seam.like ?? seam.id) ?? 0))
    .map(({ seam, differ }): Finding => ({ component: seam.id, code: 'seamOut', figures: { differ }, weight: 'out' }));
}
