import type { Reference } from '../../core/reference/index.js';
import { changeDraft, type Change } from './work-changes.js';

/** Lays an outline under the draft, in the place of one that was there. */
export const layReference = (reference: Reference): Change => changeDraft((draft) => ({ ...draft, reference }));

/** Takes the outline away from under the draft. */
export const removeReference: Change = changeDraft((draft) => {
  const next = { ...draft };
  delete next.reference;
  return next;
});

/** Changes the outline that lies under the draft, if there is one. */
export const changeReference = (make: (reference: Reference) => Reference): Change =>
  changeDraft((draft) => {
    if (!draft.reference) return draft;
    const reference = make(draft.reference);
    return reference === draft.reference ? draft : { ...draft, reference };
  });
