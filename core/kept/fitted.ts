import type { Fitting, KeptDraft, Person } from '../workbook/index.js';
import { dayOf } from './day.js';

/** A person with the draft that fits them marked, as it is or as one of its versions has it; or with none. */
export const withFitted = (
  person: Person,
  fitted: { readonly draft: string; readonly version: string | undefined } | undefined,
  now: Date,
): Person => {
  if (!fitted) {
    const unmarked = { ...person };
    delete unmarked.fitted;
    return unmarked;
  }
  const { draft, version } = fitted;
  return { ...person, fitted: { draft, ...(version !== undefined && { version }), date: dayOf(now) } };
};

/** The draft that fits a person as it was marked: as it is now, or as the version has it; nothing where it has gone. */
export function fittedDraft({ fitted }: Pick<Person, 'fitted'>, drafts: readonly KeptDraft[]): KeptDraft | undefined {
  const draft = fitted && drafts.find((d) => d.id === fitted.draft);
  if (!draft) return undefined;
  const version = draft.versions?.find((v) => v.id === fitted.version);
  return version ? { ...draft, ...version.inputs } : draft;
}

/**
 * A new draft of a person begun from the block that fits: its method, lines and alterations, and an adopted pattern with
 * them; no style, no cloth and no allowances, which are the garment's.
 */
export function draftFromFitted(fitted: KeptDraft, plain: KeptDraft): KeptDraft {
  const { method, sheet, fit, settings, choices, rules, set, pattern, alterations } = fitted;
  const begun: KeptDraft = { ...plain, method, fit, settings, choices, rules, set, alterations };
  delete begun.sheet;
  delete begun.pattern;
  return { ...begun, ...(sheet && { sheet }), ...(pattern && { pattern }) };
}

/** The last fitting of a person that was closed, in any of their drafts, and the name of that draft; nothing before one. */
export function lastFitting(
  drafts: readonly KeptDraft[],
  personId: string,
): { readonly of: string; readonly fitting: Fitting } | undefined {
  return drafts
    .filter((d) => d.personId === personId)
    .flatMap(({ name, fittings = [] }) => fittings.map((fitting) => ({ of: name, fitting })))
    .filter(({ fitting }) => fitting.closed !== undefined)
    .reduce<{ readonly of: string; readonly fitting: Fitting } | undefined>(
      (last, one) => (last && last.fitting.date > one.fitting.date ? last : one),
      undefined,
    );
}
