/** Pages that were asked for, or why they cannot be read, as what was typed and how many pages there are. */
export type PageRange =
  { readonly ok: true; readonly pages: readonly number[] | undefined } | { readonly ok: false; readonly told: string };

/**
 * Reads which pages are wanted, as people write it: `3`, `2, 5-7`, `all` or nothing for all. Pages count from 1. What
 * cannot be read is told in a sentence with the way out.
 */
export function readPages(text: string, count: number): PageRange {
  const trimmed = text.trim();
  if (trimmed === '' || /^all$/i.test(trimmed)) return { ok: true, pages: undefined };
  const pages = new Set<number>();
  for (const part of trimmed.split(/[,;\s]+/).filter(Boolean)) {
    const [, first, last] = /^(\d+)(?:[-–](\d+))?$/.exec(part) ?? [];
    if (first === undefined) return { ok: false, told: `Pages: “${part}” is no page. Write 3, or 2, 5-7, or all.` };
    const [from, to] = [Number(first), Number(last ?? first)];
    if (from < 1 || to > count || from > to)
      return { ok: false, told: `Pages: there is no page “${part}”. This print has pages 1 to ${count}.` };
    for (let page = from; page <= to; page++) pages.add(page);
  }
  return { ok: true, pages: [...pages].sort((a, b) => a - b) };
}
