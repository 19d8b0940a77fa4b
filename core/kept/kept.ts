import type { DraftInput } from '../chain/index.js';
import { HOUSE_RULES, type Leg } from '../draft/index.js';
import { COMMON, DEFAULT_SHEET, type Sheet } from '../method/index.js';
import { houseAllowances } from '../piece/index.js';
import type { KeptDraft, MeasurementSet, Person, Trace } from '../workbook/index.js';
import { newestFirst, valuesOf } from './person.js';

/** A person, one of their sets, and a draft: what one works on at the board. */
export interface Work {
  readonly person: Person;
  readonly draft: KeptDraft;
}

/** The set a draft is made from; a draft always has one. */
export function setOf({ person, draft }: Work): MeasurementSet {
  const found = person.sets.find((s) => s.id === draft.setId) ?? person.sets[0];
  if (!found) throw new Error('A person without a set of measurements');
  return found;
}

/** The latest trace of a person's crotch curve, if there is one. */
export const newestTrace = ({ traces }: Person): Trace | undefined =>
  traces.reduce<Trace | undefined>((last, trace) => (!last || trace.date >= last.date ? trace : last), undefined);

/**
 * The input of the chain that a kept draft stands for; `shipped` is the sheet it names, used where it has none of its
 * own, as the leg looked at has it.
 */
export function inputOf(work: Work, shipped: Sheet, leg: Leg = 'left'): DraftInput {
  const { draft, person } = work;
  const set = setOf(work);
  const { fitClass, stretch } = draft.fit;
  return {
    sheet: draft.sheet ?? shipped,
    figure: person.figure,
    build: person.build,
    measured: valuesOf(set),
    heights: set.heights,
    trace: newestTrace(person),
    adopted: set.adopted,
    fit: { fitClass, stretch },
    settings: draft.settings,
    choices: draft.choices,
    rules: draft.rules,
    set: draft.set,
    pattern: draft.pattern,
    alterations: draft.alterations,
    leg,
  };
}

/**
 * The input of what another method would give on the same body: the person's figures, the fit and the choices that
 * hold for every method, but nothing that was set for this draft's own method.
 */
export function inputByMethod(work: Work, sheet: Sheet): DraftInput {
  const common = Object.entries(work.draft.choices).filter(([id]) => COMMON.choices.some((c) => c.id === id));
  return {
    ...inputOf(work, sheet),
    sheet,
    settings: {},
    set: {},
    pattern: undefined,
    alterations: [],
    choices: Object.fromEntries(common),
  };
}

/** A new draft for a person from their newest set, by the default method. */
export function newDraft(newId: () => string, person: Person, name: string, now: Date): KeptDraft {
  const [newest] = newestFirst(person);
  const stamp = now.toISOString();
  return {
    id: newId(),
    name,
    personId: person.id,
    setId: newest?.id ?? '',
    method: DEFAULT_SHEET.id,
    fit: { stretch: 0 },
    settings: {},
    choices: {},
    rules: { ...HOUSE_RULES },
    set: {},
    alterations: [],
    allowances: { ...houseAllowances(person.unit), given: [] },
    created: stamp,
    changed: stamp,
  };
}
