import type { Style, StyleItem, StyleValue } from '../../core/style/index.js';

/** A style with a component's values set, or the component added, or taken away where there are none. */
export function withComponent(style: Style, id: string, values: StyleItem['values'] | undefined): Style {
  if (values === undefined) return style.filter((item) => item.id !== id);
  const next: StyleItem = { id, values };
  return style.some((item) => item.id === id) ? style.map((item) => (item.id === id ? next : item)) : [...style, next];
}

/** Values with one of them set, or given back to the house. */
export function withValue(
  values: StyleItem['values'],
  name: string,
  value: StyleValue | undefined,
): StyleItem['values'] {
  const others = Object.fromEntries(Object.entries(values).filter(([key]) => key !== name));
  return value === undefined ? others : { ...others, [name]: value };
}
