import {
  draftFromFitted,
  withFitted,
  withVersionCurrent,
  withVersionKept,
  type DraftVersion,
  type KeptDraft,
  type VersionFacts,
} from '../../core/kept/index.js';
import { changeDraft, type Change } from './work-changes.js';
import type { OpenWork } from './open-work.js';

const newId = (): string => crypto.randomUUID();

/** Puts a draft in the place of the open one. */
const put =
  (make: (open: OpenWork) => KeptDraft): Change =>
  (open) => {
    const next = make(open);
    changeDraft(() => next)(open);
  };

/** Keeps the open draft as a version of it. */
export const keepVersion = (facts: VersionFacts): Change =>
  put(({ state }) => withVersionKept(state.getState().work, newId, new Date(), facts));

/** Makes the open draft what one of its versions was; what it was until then is kept. */
export const makeCurrent = (version: string): Change =>
  put(({ state }) => withVersionCurrent(state.getState().work, version, newId, new Date()));

/** Changes what is said of a version. */
export const changeVersion = (version: string, facts: Partial<VersionFacts>): Change =>
  changeVersions((all) => all.map((v) => (v.id === version ? { ...v, ...facts } : v)));

/** Forgets a version; the draft itself stays as it is. */
export const forgetVersion = (version: string): Change => changeVersions((all) => all.filter((v) => v.id !== version));

const changeVersions = (make: (all: readonly DraftVersion[]) => DraftVersion[]): Change =>
  changeDraft((draft) => ({ ...draft, versions: make(draft.versions ?? []) }));

/** Marks a version of the open draft as the block that fits the person, or none. */
export const markFitted =
  (version: string | undefined): Change =>
  ({ state }) => {
    const { work } = state.getState();
    const fitted = version === undefined ? undefined : { draft: work.draft.id, version };
    state.setState({ work: { ...work, person: withFitted(work.person, fitted, new Date()) } });
  };

/** Makes the open draft begin from the block that fits the person. */
export const beginFromFitted = (fitted: KeptDraft): Change => changeDraft((draft) => draftFromFitted(fitted, draft));
