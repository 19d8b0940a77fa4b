import type { AdoptedPattern } from '../../core/draft/index.js';
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

/** Makes a pattern the block, in the place of what the method draws. Lines set by hand stay, for when it is left again. */
export const adoptPattern = (pattern: AdoptedPattern): Change => changeDraft((draft) => ({ ...draft, pattern }));

/** Changes what was laid into the adopted pattern by hand: its levels, crease and darts. */
export const changePattern = (facts: Partial<AdoptedPattern>): Change =>
  changeDraft((draft) => (draft.pattern ? { ...draft, pattern: { ...draft.pattern, ...facts } } : draft));

/** Shows what would be laid into the adopted pattern, without keeping it. */
export const previewPattern =
  (facts: Partial<AdoptedPattern> | undefined): Change =>
  ({ state }) => {
    state.setState({ preview: facts && { pattern: facts } });
  };

/** Leaves the adopted pattern: the method draws the block again. */
export const leavePattern: Change = changeDraft((draft) => {
  const next = { ...draft };
  delete next.pattern;
  return next;
});
