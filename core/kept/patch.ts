/** A step into a record: the name of a field, or the item of a list that bears an id. */
export type Step = string | { readonly id: string };

/**
 * What was changed at one place of a record: a value, or the order of a list whose items bear ids. Nothing (`undefined`)
 * stands for what is not there; the place `[]` is the whole record.
 */
export type Patch =
  | { readonly at: readonly Step[]; readonly was: unknown; readonly is: unknown }
  | {
      readonly at: readonly Step[];
      readonly order: { readonly was: readonly string[]; readonly is: readonly string[] };
    };

type Fields = Readonly<Record<string, unknown>>;
interface Item {
  readonly id: string;
}

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isItems = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) &&
  value.every((item) => isFields(item) && typeof item['id'] === 'string') &&
  new Set(value.map((item: Item) => item.id)).size === value.length;

/** True where two values hold the same; a field that is `undefined` is one that is not there. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => same(item, b[i]));
  if (!isFields(a) || !isFields(b)) return Number.isNaN(a) && Number.isNaN(b);
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

const idsOf = (items: readonly Item[]): string[] => items.map(({ id }) => id);

/** The patches of a list by the ids of its items: what is new, gone or changed, and the order where that is another. */
function patchesOfItems(was: readonly Item[], is: readonly Item[], at: readonly Step[]): Patch[] {
  const [before, after] = [new Map(was.map((i) => [i.id, i])), new Map(is.map((i) => [i.id, i]))];
  const changed = [...new Set([...before.keys(), ...after.keys()])].flatMap((id) =>
    patchesBetween(before.get(id), after.get(id), [...at, { id }]),
  );
  // What stays, and what is new at the end, lies so by itself; going back too, what had gone would be put at the end.
  const order = { was: idsOf(was), is: idsOf(is) };
  const there = [...order.was.filter((id) => after.has(id)), ...order.is.filter((id) => !before.has(id))];
  const back = [...order.is.filter((id) => before.has(id)), ...order.was.filter((id) => !after.has(id))];
  return same(there, order.is) && same(back, order.was) ? changed : [...changed, { at, order }];
}

/**
 * The patches that make one value of another, as small as they can be: field by field, and in lists whose items bear
 * ids item by item.
 */
export function patchesBetween(was: unknown, is: unknown, at: readonly Step[] = []): Patch[] {
  if (same(was, is)) return [];
  if (isFields(was) && isFields(is)) {
    return [...new Set([...Object.keys(was), ...Object.keys(is)])].flatMap((key) =>
      patchesBetween(was[key], is[key], [...at, key]),
    );
  }
  if (isItems(was) && isItems(is) && was.length + is.length > 0) return patchesOfItems(was, is, at);
  return [{ at, was, is }];
}

/** The patches that take others back. */
export const reversed = (patches: readonly Patch[]): Patch[] =>
  patches.map((p) =>
    'order' in p ? { at: p.at, order: { was: p.order.is, is: p.order.was } } : { at: p.at, was: p.is, is: p.was },
  );

const isStep = (step: Step, item: Item): boolean => typeof step !== 'string' && step.id === item.id;

/** What lies at a place of a value; nothing where the way to it is gone. */
export function valueAt(value: unknown, at: readonly Step[]): unknown {
  return at.reduce<unknown>((found, step) => {
    if (typeof step === 'string') return isFields(found) ? found[step] : undefined;
    return isItems(found) ? found.find((item) => isStep(step, item)) : undefined;
  }, value);
}

/** A list in the order told; an item that is not told of follows the one it stood behind. */
function inOrder(items: readonly Item[], order: readonly string[]): Item[] {
  const rank = new Map(order.map((id, i) => [id, i]));
  let last = -1;
  const ranked = items.map((item, i) => {
    last = rank.get(item.id) ?? last;
    return { item, rank: last, known: rank.has(item.id) ? 0 : 1, i };
  });
  return ranked.sort((a, b) => a.rank - b.rank || a.known - b.known || a.i - b.i).map(({ item }) => item);
}

function put(value: unknown, [step, ...rest]: readonly Step[], change: (found: unknown) => unknown): unknown {
  if (step === undefined) return change(value);
  if (typeof step === 'string') {
    const fields = isFields(value) ? value : {};
    const next = put(fields[step], rest, change);
    if (next !== undefined) return { ...fields, [step]: next };
    return Object.fromEntries(Object.entries(fields).filter(([key]) => key !== step));
  }
  const items = isItems(value) ? value : [];
  const here = items.some((item) => isStep(step, item));
  if (!here) {
    const next = put(undefined, rest, change);
    return next === undefined ? items : [...items, next];
  }
  return items.flatMap((item) => {
    if (!isStep(step, item)) return [item];
    const next = put(item, rest, change);
    return next === undefined ? [] : [next];
  });
}

/** A value with patches made to it, orders last; the value given stays as it is. */
export function patched(value: unknown, patches: readonly Patch[]): unknown {
  const valued = patches.reduce<unknown>((now, p) => ('order' in p ? now : put(now, p.at, () => p.is)), value);
  return patches.reduce<unknown>(
    (now, p) => ('order' in p ? put(now, p.at, (found) => (isItems(found) ? inOrder(found, p.order.is) : found)) : now),
    valued,
  );
}

/** True where the way to a place is there: all but its last step lead to something. */
const reaches = (value: unknown, at: readonly Step[]): boolean =>
  at.length < 2 ? value !== undefined || at.length === 0 : valueAt(value, at.slice(0, -1)) !== undefined;

/**
 * The patches that do not fit a value, since what they change is no longer as they found it. One whose outcome is there
 * already fits; an order always does.
 */
export const clashesWith = (value: unknown, patches: readonly Patch[]): Patch[] =>
  patches.filter((p) => {
    if ('order' in p) return false;
    const now = valueAt(value, p.at);
    if (same(now, p.is)) return false;
    return !same(now, p.was) || !reaches(value, p.at);
  });
