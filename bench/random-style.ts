import { COMPONENTS, type Field, type Style, type StyleValue } from '../core/style/index.js';

/** A value of a choice: anything in its range, more often than not near the low end of it. */
function anyValue(field: Field, random: () => number): StyleValue {
  if (field.as === 'tick') return random() < 0.5;
  if (field.as === 'pick') return field.options[Math.floor(random() * field.options.length)]?.[0] ?? field.start;
  const { least, most } = field;
  const value = least + (most - least) * random() ** 2;
  return field.as === 'count' ? Math.round(value) : value;
}

/**
 * Components at random, each with this chance or because it is among `always`; of their choices so large a share is set
 * at random, the others stand as the house has them.
 */
export const randomStyle = (
  random: () => number,
  { chance, set, always = [] }: { readonly chance: number; readonly set: number; readonly always?: readonly string[] },
): Style =>
  COMPONENTS.filter(({ id }) => always.includes(id) || random() < chance).map(({ id, fields }) => ({
    id,
    values: Object.fromEntries(
      Object.entries(fields).flatMap(([name, field]) => (random() < set ? [[name, anyValue(field, random)]] : [])),
    ),
  }));
