import type { KeptDraft } from '../../core/kept/index.js';
import type { Sheet } from '../../core/method/index.js';

/**
 * The makers' own sheets that drafts of a room carry, each once: as the draft in hand has it, else as the draft that
 * was changed last.
 */
export function ownSheets(drafts: readonly KeptDraft[], inHand: KeptDraft): Sheet[] {
  const found = new Map<string, Sheet>();
  const newestFirst = [...drafts].sort((a, b) => (a.changed < b.changed ? 1 : -1));
  for (const { sheet } of [inHand, ...newestFirst]) {
    if (sheet && !found.has(sheet.id)) found.set(sheet.id, sheet);
  }
  return [...found.values()].sort((a, b) => a.name.localeCompare(b.name));
}
