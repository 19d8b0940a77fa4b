/** The name that is being written at a place of a formula: where it begins, and what of it is there. */
export function nameAt(text: string, caret: number): { readonly from: number; readonly part: string } {
  const before = text.slice(0, caret);
  // A unit behind its figure is no name.
  const unit = /\d\s*(cm|mm|in)$/.test(before);
  const found = /[A-Za-z][A-Za-z0-9.]*$/.exec(before);
  return found && !unit ? { from: found.index, part: found[0] } : { from: caret, part: '' };
}

const MOST = 8;

/** The names that go with what was written so far: those that begin with it first, then those that have it within. */
export function completions(names: readonly string[], part: string): string[] {
  if (part === '') return [];
  const low = part.toLowerCase();
  const begins = names.filter((n) => n.toLowerCase().startsWith(low));
  const within = names.filter((n) => !begins.includes(n) && n.toLowerCase().includes(low));
  const all = [...begins, ...within];
  return all.length === 1 && all[0] === part ? [] : all.slice(0, MOST);
}
