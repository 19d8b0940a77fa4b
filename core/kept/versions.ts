import type { DraftVersion, KeptDraft, MeasurementSet } from '../workbook/index.js';
import { setOf, type Work } from './kept.js';
import { same } from './patch.js';

type Inputs = DraftVersion['inputs'];
type Measured = DraftVersion['measured'];

/** What a draft is made from, apart from the person's figures. */
export function inputsOf(draft: KeptDraft): Inputs {
  const { setId, method, sheet, fit, settings, choices, rules, set, pattern, alterations, style, allowances, cloths } =
    draft;
  return {
    setId,
    method,
    ...(sheet && { sheet }),
    fit,
    settings,
    choices,
    rules,
    set,
    ...(pattern && { pattern }),
    alterations,
    ...(style && { style }),
    allowances,
    ...(cloths && { cloths }),
  };
}

const measuredIn = ({ values, adopted, heights }: MeasurementSet): Measured => ({ values, adopted, heights });

/** The number that the next version of a draft gets. */
export const nextNumber = ({ versions = [] }: Pick<KeptDraft, 'versions'>): number =>
  versions.reduce((most, v) => Math.max(most, v.number), 0) + 1;

/** What a version is called: its number, and its name where it has one. */
export const versionLabel = ({ number, name }: Pick<DraftVersion, 'number' | 'name'>): string =>
  name === '' ? `Version ${number}` : `Version ${number}, ${name}`;

/** What is said of a version as it is kept. */
export interface VersionFacts {
  readonly name: string;
  readonly note: string;
  readonly state: DraftVersion['state'];
}

/** A draft as it is now, kept as a version of it: with all it is made from, so that it can be had again. */
export function withVersionKept(work: Work, newId: () => string, now: Date, facts: VersionFacts): KeptDraft {
  const { draft } = work;
  const version: DraftVersion = {
    id: newId(),
    number: nextNumber(draft),
    ...facts,
    kept: now.toISOString(),
    inputs: inputsOf(draft),
    measured: measuredIn(setOf(work)),
  };
  return { ...draft, versions: [...(draft.versions ?? []), version], version: version.id };
}

/** The version that a draft is, or was last: and whether anything it is made from has changed since. */
export function versionInHand(work: Work): { readonly version: DraftVersion; readonly changed: boolean } | undefined {
  const version = work.draft.versions?.find((v) => v.id === work.draft.version);
  if (!version) return undefined;
  return { version, changed: !same(inputsOf(work.draft), version.inputs) || !sameFigures(work, version) };
}

/** Whether the person's figures are those that a version was made from. */
export function sameFigures({ person }: Pick<Work, 'person'>, { inputs, measured }: DraftVersion): boolean {
  const set = person.sets.find((s) => s.id === inputs.setId);
  return set !== undefined && same(measuredIn(set), measured);
}

/** The draft and figures that a version was made from, to be drawn: the person as they were measured then. */
export function workOfVersion({ person, draft }: Work, { inputs, measured }: DraftVersion): Work {
  const known = person.sets.some((s) => s.id === inputs.setId);
  const sets = person.sets.map((s, i) =>
    s.id === inputs.setId || (!known && i === 0) ? { ...s, ...measured, id: inputs.setId } : s,
  );
  return { person: { ...person, sets }, draft: withInputs(draft, inputs) };
}

/** A draft made from other inputs: what those do not name it no longer has. */
function withInputs(draft: KeptDraft, inputs: Inputs): KeptDraft {
  const {
    id,
    name,
    note,
    personId,
    redrawn,
    outline,
    reference,
    lays,
    laidWith,
    remnants,
    versions,
    fittings,
    runs,
    version,
    created,
    changed,
  } = draft;
  return {
    id,
    name,
    personId,
    ...inputs,
    ...(note !== undefined && { note }),
    ...(redrawn !== undefined && { redrawn }),
    ...(outline && { outline }),
    ...(reference && { reference }),
    ...(lays && { lays }),
    ...(laidWith && { laidWith }),
    ...(remnants && { remnants }),
    ...(versions && { versions }),
    ...(fittings && { fittings }),
    ...(runs && { runs }),
    ...(version !== undefined && { version }),
    created,
    changed,
  };
}

/** Whether a draft as it is now is kept as a version. */
export const isKept = (work: Work): boolean =>
  (work.draft.versions ?? []).some((v) => same(v.inputs, inputsOf(work.draft)) && sameFigures(work, v));

/**
 * A draft made what one of its versions was. What it was until then is kept as a version first, unless it is one already:
 * nothing is lost by it.
 */
export function withVersionCurrent(work: Work, versionId: string, newId: () => string, now: Date): KeptDraft {
  const version = work.draft.versions?.find((v) => v.id === versionId);
  if (!version) return work.draft;
  const before = isKept(work)
    ? work.draft
    : withVersionKept(work, newId, now, {
        name: '',
        note: `Before ${versionLabel(version).toLowerCase()}`,
        state: 'uncut',
      });
  const known = work.person.sets.some((s) => s.id === version.inputs.setId);
  const inputs = known ? version.inputs : { ...version.inputs, setId: work.draft.setId };
  return { ...withInputs(before, inputs), version: version.id };
}

/** A draft of its own made from a version of another. */
export function draftFromVersion({ draft }: Work, version: DraftVersion, newId: () => string, now: Date): KeptDraft {
  const stamp = now.toISOString();
  return {
    id: newId(),
    name: `${draft.name}, ${versionLabel(version).toLowerCase()}`,
    personId: draft.personId,
    ...version.inputs,
    created: stamp,
    changed: stamp,
  };
}
