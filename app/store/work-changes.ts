import type { Leg } from '../../core/draft/index.js';
import { houseAllowances, type Allowances, type CornerWay, type GivenAllowance } from '../../core/piece/index.js';
import type { Style } from '../../core/style/index.js';
import type { Unit } from '../../core/units/index.js';
import type { ChartSize, MeasurementId, SizeChart } from '../../core/measure/index.js';
import { COMMON, settingsOf, type Sheet } from '../../core/method/index.js';
import {
  setOf,
  withFigure,
  withoutRises,
  withRule,
  withSet,
  type KeptDraft,
  type KeptStyle,
  type MeasurementSet,
  type Person,
  type Work,
} from '../../core/kept/index.js';
import { outlineNow, type HandValues, type OpenWork } from './open-work.js';

/** Something done to the open work. */
export type Change = (open: OpenWork) => void;

const changeWork =
  (make: (work: Work) => Work): Change =>
  ({ state }) => {
    const now = state.getState().work;
    const next = make(now);
    state.setState({ work: next === now ? now : next, preview: undefined, trial: undefined });
  };

/** A change of the draft alone. */
export const changeDraft = (make: (draft: KeptDraft) => KeptDraft): Change =>
  changeWork((work) => {
    const draft = make(work.draft);
    return draft === work.draft ? work : { ...work, draft };
  });

function without<T>(record: Readonly<Record<string, T>>, names: readonly string[]): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([name]) => !names.includes(name)));
}

/** Sets lines by hand; each stands for its formula from now on. */
export const setByHand = (values: HandValues): Change =>
  changeDraft((draft) => ({ ...draft, set: { ...draft.set, ...values } }));

/** Gives lines back to the sheet. */
export const giveBack = (names: readonly string[]): Change =>
  changeDraft((draft) => ({ ...draft, set: without(draft.set, names) }));

/** Sets a setting in mm, or gives it back to the sheet. */
export const changeSetting = (name: string, mm: number | undefined): Change =>
  changeDraft((draft) => ({
    ...draft,
    settings: mm === undefined ? without(draft.settings, [name]) : { ...draft.settings, [name]: mm },
  }));

/** What of a draft's settings and choices holds for a sheet: those it has, within its limits. */
function heldBy(sheet: Sheet, draft: Pick<KeptDraft, 'settings' | 'choices'>): Pick<KeptDraft, 'settings' | 'choices'> {
  const known = settingsOf(sheet);
  const settings = Object.entries(draft.settings).filter(([name, mm]) =>
    known.some((s) => s.name === name && mm >= s.least && mm <= s.most),
  );
  const choices = Object.entries(draft.choices).filter(([name, value]) =>
    [...sheet.choices, ...COMMON.choices].some((c) => c.id === name && c.values.some((v) => v.id === value)),
  );
  return { settings: Object.fromEntries(settings), choices: Object.fromEntries(choices) };
}

/**
 * Drafts by another method: a shipped one, which the draft names, or a maker's own, which it carries. Settings and
 * choices that it does not have are dropped, lines set by hand stay as they are; undo brings everything back.
 */
export const changeMethod = (sheet: Sheet): Change =>
  changeDraft((draft) => {
    const next: KeptDraft = { ...draft, ...heldBy(sheet, draft), method: sheet.id };
    if (sheet.basedOn !== undefined) return { ...next, sheet };
    delete next.sheet;
    return next;
  });

/** A change that is undone together with the one before it: the next letter of a formula, the next move of a slider. */
export const joined =
  (change: Change): Change =>
  (open) => {
    open.within('more', () => {
      change(open);
    });
  };

/** Changes the maker's own sheet that the draft carries. */
export const changeSheet = (make: (sheet: Sheet) => Sheet): Change =>
  changeDraft((draft) => (draft.sheet ? { ...draft, sheet: make(draft.sheet) } : draft));

/** Takes another value of a choice. */
export const choose = (id: string, value: string): Change =>
  changeDraft((draft) => ({ ...draft, choices: { ...draft.choices, [id]: value } }));

/** Changes one of the three rules. */
export const changeRules = (rules: Partial<KeptDraft['rules']>): Change =>
  changeDraft((draft) => ({ ...draft, rules: { ...draft.rules, ...rules } }));

/** Gives a choice back to what the person or the sheet says. */
export const unchoose = (id: string): Change =>
  changeDraft((draft) => ({ ...draft, choices: without(draft.choices, [id]) }));

/** Changes the width allowed at an edge, in mm. */
export const changeAllowance = (role: keyof KeptDraft['allowances']['profile'], mm: number): Change =>
  changeDraft((draft) => ({
    ...draft,
    allowances: { ...draft.allowances, profile: { ...draft.allowances.profile, [role]: mm } },
  }));

/** Takes a style for the draft, whole. */
export const changeStyle = (style: Style): Change =>
  changeDraft((draft) => ({
    ...draft,
    style: style.map(({ id, values }) => ({ id, values: { ...values } })),
  }));

/** Puts a style on the draft, with the allowances that were kept with it. */
export const takeStyle = ({ id, style, allowances }: Pick<KeptStyle, 'id' | 'style' | 'allowances'>): Change =>
  changeDraft((draft) => ({
    ...draft,
    style: structuredClone(style),
    ...(allowances && { allowances: { ...structuredClone(allowances), from: id } }),
  }));

/** Lays the allowances on as a shipped profile has them; what was given otherwise goes. */
export const takeProfile = (allowances: Allowances): Change =>
  changeDraft((draft) => ({ ...draft, allowances: { ...allowances, given: [...allowances.given] } }));

/** Gives an edge of a part its own width, in mm, or gives it back to what stands above it. */
export const allowEdge = (part: string, edge: string, mm: number | undefined): Change =>
  changeDraft((draft) => ({
    ...draft,
    allowances: {
      ...draft.allowances,
      given: [
        ...draft.allowances.given.filter(
          (g) => !((g.on === 'edge' || g.on === 'stretch') && g.part === part && g.edge === edge),
        ),
        ...(mm === undefined ? [] : [{ on: 'edge' as const, part, edge, mm }]),
      ],
    },
  }));

/** Gives the stretches of a part's edges their own widths, in the place of those that were given. */
export const giveStretches = (part: string, stretches: readonly GivenAllowance[]): Change =>
  changeDraft((draft) => ({
    ...draft,
    allowances: {
      ...draft.allowances,
      given: [...draft.allowances.given.filter((g) => g.on !== 'stretch' || g.part !== part), ...stretches],
    },
  }));

/** Cuts all outward corners one way. */
export const cutCorners = (corners: CornerWay): Change =>
  changeDraft((draft) => ({ ...draft, allowances: { ...draft.allowances, corners } }));

/** Cuts the corner at the end of an edge one way, or as all are. */
export const cutCorner = (part: string, edge: string, as: CornerWay | undefined): Change =>
  changeDraft((draft) => ({
    ...draft,
    allowances: {
      ...draft.allowances,
      given: [
        ...draft.allowances.given.filter((g) => !(g.on === 'corner' && g.part === part && g.edge === edge)),
        ...(as === undefined ? [] : [{ on: 'corner' as const, part, edge, as }]),
      ],
    },
  }));

/** States how deep every seam is sewn, in mm, or leaves it to what its two sides have. */
export const stateDepth = (mm: number | undefined): Change =>
  changeDraft((draft) => ({ ...draft, allowances: { ...draft.allowances, depth: mm } }));

/** Renames the draft. */
export const renameDraft = (name: string): Change => changeDraft((draft) => ({ ...draft, name }));

/** Changes what is known of the person beside their measurements. */
export const changePerson = (facts: Partial<Omit<Person, 'id' | 'sets'>>): Change =>
  changeWork((work) => ({ ...work, person: { ...work.person, ...facts } }));

/**
 * Reads and shows the work in another unit. What still stands as the house has it in the one unit (allowances) stands as
 * it has it in the other; what was set by hand stays.
 */
export const changeUnit = (unit: Unit): Change =>
  changeWork((work) => {
    const asHouse = JSON.stringify(work.draft.allowances) === JSON.stringify(houseAllowances(work.person.unit));
    return {
      person: { ...work.person, unit },
      draft: asHouse ? { ...work.draft, allowances: { ...houseAllowances(unit), given: [] } } : work.draft,
    };
  });

const changeCurrentSet = (make: (set: MeasurementSet) => MeasurementSet): Change =>
  changeWork((work) => {
    const set = setOf(work);
    const next = make(set);
    return next === set ? work : { ...work, person: withSet(work.person, next) };
  });

/** Enters a measurement of the draft's set, in mm, or takes it out; what it was before stays in the set's history. */
export const changeMeasurement = (id: MeasurementId, mm: number | undefined): Change =>
  changeCurrentSet((set) => withFigure(set, id, mm, new Date()));

/** Adopts a rule for a figure that is missing, or gives the house's own its place back. */
export const adoptRule = (id: MeasurementId, ruleId: string | undefined): Change =>
  changeCurrentSet((set) => withRule(set, id, ruleId));

/** Changes what is known of the draft's set beside its figures. */
export const changeSet = (facts: Partial<Omit<MeasurementSet, 'id' | 'values' | 'adopted' | 'corrected'>>): Change =>
  changeCurrentSet((set) => ({ ...set, ...facts }));

/** Answers whether the rises hold: they stand as they are, or are taken out to be measured again. */
export const answerRises = (answer: 'hold' | 'again'): Change =>
  changeCurrentSet((set) => ({ ...(answer === 'again' ? withoutRises(set, new Date()) : set), risesAsked: true }));

/** Takes the figures of a size into the draft's set, in the place of those that were there. */
export const takeSize = (chart: SizeChart, size: ChartSize): Change =>
  changeWork((work) => {
    const set = setOf(work);
    const next = { ...set, values: { ...size.values }, size: { chart: chart.name, name: size.name } };
    const figure = work.person.figure === 'unknown' ? chart.figure : work.person.figure;
    return { ...work, person: { ...withSet(work.person, next), figure } };
  });

/** Adds a set to the person and makes the draft from it. */
export const addSet = (set: MeasurementSet): Change =>
  changeWork((work) => ({
    person: { ...work.person, sets: [...work.person.sets, set] },
    draft: { ...work.draft, setId: set.id },
  }));

/** Changes the fit class or the cloth. */
export const changeFit = (facts: Partial<KeptDraft['fit']>): Change =>
  changeDraft((draft) => ({ ...draft, fit: { ...draft.fit, ...facts } }));

/** Sets several settings at once, in mm. */
export const changeSettings = (settings: Readonly<Record<string, number>>): Change =>
  changeDraft((draft) => ({ ...draft, settings: { ...draft.settings, ...settings } }));

/** Makes the draft from another set of the person. */
export const moveToSet = (setId: string): Change => changeDraft((draft) => ({ ...draft, setId }));

/** Looks at one leg, where an alteration makes the two differ. */
export const lookAtLeg =
  (leg: Leg): Change =>
  ({ state }) => {
    state.setState({ leg });
  };

/** Shows what lines set by hand would give, without keeping them. */
export const previewByHand =
  (values: HandValues | undefined): Change =>
  ({ state }) => {
    state.setState({ preview: values && { set: values } });
  };

/** Takes note that the maker was told how the pieces are drawn now; it is no step that can be undone. */
export function redrawnUnderstood(open: OpenWork): void {
  open.redrawn.setState({ since: undefined });
  const outline = outlineNow(open);
  if (outline)
    open.within('quiet', () => {
      changeDraft((draft) => ({ ...draft, outline }))(open);
    });
}
