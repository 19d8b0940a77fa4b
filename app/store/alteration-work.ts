import type { Alteration, AlterationWork } from '../../core/alter/index.js';
import type { Leg } from '../../core/draft/index.js';
import { changeDraft, type Change } from './work-changes.js';

/** A new alteration as the list keeps it. */
export const newAlteration = (work: AlterationWork, note = ''): Alteration => ({
  id: crypto.randomUUID(),
  on: true,
  note,
  work,
});

/** Adds alterations at the end of the list; they are undone together. */
export const addAlterations = (added: readonly Alteration[]): Change =>
  changeDraft((draft) => ({ ...draft, alterations: [...draft.alterations, ...added] }));

/** Changes one alteration. */
export const changeAlteration = (id: string, make: (alteration: Alteration) => Alteration): Change =>
  changeDraft((draft) => ({ ...draft, alterations: draft.alterations.map((a) => (a.id === id ? make(a) : a)) }));

/** An alteration done to one leg alone, or to both. */
export function doneTo({ id, on, note, work }: Alteration, leg: Leg | undefined): Alteration {
  return { id, on, note, work, ...(leg && { leg }) };
}

/** Takes an alteration out of the list. */
export const removeAlteration = (id: string): Change =>
  changeDraft((draft) => ({ ...draft, alterations: draft.alterations.filter((a) => a.id !== id) }));

/** Moves an alteration up (-1) or down (+1) in the list; at the ends it stays. */
export const moveAlteration = (id: string, by: -1 | 1): Change =>
  changeDraft((draft) => {
    const from = draft.alterations.findIndex((a) => a.id === id);
    const to = from + by;
    if (from < 0 || to < 0 || to >= draft.alterations.length) return draft;
    const alterations = [...draft.alterations];
    const [moved] = alterations.splice(from, 1);
    if (moved) alterations.splice(to, 0, moved);
    return { ...draft, alterations };
  });

/** Shows what a list of alterations would give, without keeping it; nothing ends the trial. */
export const tryAlterations =
  (trial: readonly Alteration[] | undefined): Change =>
  ({ state }) => {
    state.setState({ trial });
  };
