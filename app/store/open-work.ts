import { replaceEqualDeep } from '@tanstack/react-query';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Alteration } from '../../core/alter/index.js';
import { computeDraft, missingFigures, type Draft, type DraftInput } from '../../core/chain/index.js';
import type { AdoptedPattern, Block, Leg } from '../../core/draft/index.js';
import type { MeasurementId } from '../../core/measure/index.js';
import { mendedBy, type DartPlace } from '../../core/method/index.js';
import type { Refusal } from '../../core/refusal/index.js';
import {
  changeBack,
  changeOf,
  clashesOf,
  keptOutline,
  recordWith,
  type Act,
  type KeptOutline,
  type RecordChange,
  type RecordKind,
  type Work,
} from '../../core/kept/index.js';
import { newAct } from './change-log.js';
import { pastAndFuture } from './place-acts.js';
import { inputNow, originalOf } from './sheets.js';
import { LONGEST_MS, within } from '../shared/within.js';

/** Lines set by hand while a handle is held: shown at once, kept only when it is let go. */
export type HandValues = Readonly<Record<string, number | DartPlace>>;

/** What a held handle makes of a draft: lines set by hand, or what is laid into an adopted pattern. */
export interface Preview {
  readonly set?: HandValues;
  readonly pattern?: Partial<AdoptedPattern>;
}

/** What is being worked on, and what a held handle would make of it. */
export interface WorkState {
  readonly work: Work;
  readonly preview: Preview | undefined;
  /** Alterations shown in the place of the draft's, not yet kept. */
  readonly trial: readonly Alteration[] | undefined;
  /** The leg that is looked at, where an alteration makes the two differ. */
  readonly leg: Leg;
}

/** What the work computes to. The last good draft stays when the newest input is refused. */
export interface Computed {
  readonly draft: Draft | undefined;
  /** What the draft was drawn from; nothing where the newest input was refused. */
  readonly from: DraftInput | undefined;
  /** The draft before a handle was taken hold of; shown as a ghost. */
  readonly before: Draft | undefined;
  readonly refusals: readonly Refusal[];
  readonly missing: readonly MeasurementId[];
  /** What went wrong in the program itself, where it could not be computed; the work is kept all the same. */
  readonly fault: string | undefined;
}

/** How the work was changed: an act of its own, more of the last one, a step through the log, or none of these. */
export type How = 'act' | 'more' | 'step' | 'quiet';

/** What was done to an open piece of work, as it is kept in the change log. */
export interface Done {
  /** Oldest first; those undone last. */
  readonly acts: readonly Act[];
  /** Those that are not written yet, as new, grown, undone or done again; and those to be taken out of the log. */
  readonly unwritten: ReadonlySet<string>;
  readonly dropped: readonly string[];
  /** Why the last step could not be taken. */
  readonly refused: 'undo' | 'redo' | undefined;
}

/** One open piece of work: its state, its acts with undo, and what it computes to. */
export interface OpenWork {
  /** Where its acts are done, and so where they can be undone. */
  readonly place: string;
  readonly state: StoreApi<WorkState>;
  readonly computed: StoreApi<Computed>;
  readonly done: StoreApi<Done>;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Changes made within belong to the last act, or to none: what the program notes is no act. */
  readonly within: (how: How, change: () => void) => void;
  /** Told of every change of the work, after it was computed, with how it was changed. */
  readonly onChange: (then: (how: How) => void) => () => void;
  /**
   * How the pieces were drawn when the draft was kept and when it was opened, where the two differ; until it was told.
   */
  readonly redrawn: StoreApi<{ readonly since: Redrawn | undefined }>;
}

/** The outlines as they were kept, and the block as it was drawn from the same figures when the work was opened. */
export interface Redrawn {
  readonly kept: KeptOutline;
  readonly block: Block;
}

/** The outlines of what is kept, as far as they can be drawn; else those that were kept before. */
export function outlineNow({ state, computed }: Pick<OpenWork, 'state' | 'computed'>): KeptOutline | undefined {
  const { draft, before, refusals, missing } = computed.getState();
  const drawn = before ?? draft;
  return drawn && refusals.length === 0 && missing.length === 0
    ? keptOutline(drawn.legs?.left ?? drawn.block, state.getState().work)
    : state.getState().work.draft.outline;
}

function redrawnSince(open: Pick<OpenWork, 'state' | 'computed'>): Redrawn | undefined {
  const { outline } = open.state.getState().work.draft;
  const drawn = open.computed.getState().draft;
  const block = drawn?.legs?.left ?? drawn?.block;
  const now = outlineNow(open);
  // A set that was changed from elsewhere is drawn otherwise for that: nothing of the program's is to be told.
  if (now?.from !== outline?.from) return undefined;
  return outline && block && now && (now.front !== outline.front || now.back !== outline.back)
    ? { kept: outline, block }
    : undefined;
}

function compute({ work, preview, trial, leg }: WorkState, last: Computed): Computed {
  const input = inputNow(work, leg);
  const missing = missingFigures(input);
  const tried = {
    ...input,
    ...(preview?.set && { set: { ...input.set, ...preview.set } }),
    ...(preview?.pattern && input.pattern && { pattern: { ...input.pattern, ...preview.pattern } }),
    ...(trial && { alterations: trial }),
  };
  const before = preview || trial ? (last.before ?? last.draft) : undefined;
  // A change of style, cloth or lay draws nothing anew.
  const from = replaceEqualDeep(last.from, tried);
  if (last.from !== undefined && from === last.from) return { ...last, before, missing, fault: undefined };
  const outcome = computeDraft(tried, within(LONGEST_MS));
  if (outcome.ok) return { draft: outcome.value, from, before, refusals: [], missing, fault: undefined };
  const { draft: kept } = work;
  const original = originalOf(kept);
  if (!last.draft && kept.sheet && original) {
    // Opened with a mistake in its own sheet: what was copied stands in for the lines that are wrong.
    const stand = computeDraft({ ...input, sheet: mendedBy(kept.sheet, original) });
    if (stand.ok)
      return { draft: stand.value, from: undefined, before, refusals: outcome.refusals, missing, fault: undefined };
  }
  // Before the four are in there is nothing to refuse: the room asks for them.
  const asking = last.draft === undefined && missing.length > 0;
  const refusals = asking
    ? outcome.refusals.filter(({ code }) => code !== 'missing' && code !== 'inseamMissing')
    : outcome.refusals;
  return { draft: last.draft, from: undefined, before, refusals, missing, fault: undefined };
}

/** What of a person and a draft was changed, as the change log keeps it. */
export const workChanges = (was: Work, is: Work): RecordChange[] =>
  (['person', 'draft'] as const).flatMap((kind) =>
    was[kind] === is[kind] ? [] : (changeOf({ kind, id: is[kind].id }, was[kind], is[kind]) ?? []),
  );

/** True for what an open work consists of. */
export const isOfWork = (kind: RecordKind): kind is keyof Work => kind === 'person' || kind === 'draft';

/** The work with changes made to it; nothing where they do not fit it any more. */
export function workWith(work: Work, changes: readonly RecordChange[]): Work | undefined {
  let now: Work | undefined = work;
  for (const change of changes) {
    const { kind } = change;
    if (!isOfWork(kind) || !now || clashesOf(now[kind], change).length > 0) return undefined;
    const made = recordWith(now[kind], change);
    now = made && { ...now, [kind]: made };
  }
  return now;
}

const faultOf = (fault: unknown): string => (fault instanceof Error ? fault.message : String(fault));

/** Computes what there is to compute; a fault of the program is told and takes nothing with it. */
function computedFrom(now: WorkState, last: Computed): Computed {
  try {
    return compute(now, last);
  } catch (fault) {
    console.error(fault);
    return { ...last, from: undefined, before: undefined, fault: faultOf(fault) };
  }
}

/**
 * Opens a piece of work with what was done to it: every change is computed at once, is an act of the change log, and
 * can be undone, those of an earlier day too.
 */
export function openWork(work: Work, acts: readonly Act[] = [], place = `draft:${work.draft.id}`): OpenWork {
  const state = createStore<WorkState>()(() => ({ work, preview: undefined, trial: undefined, leg: 'left' }));
  const nothing: Computed = {
    draft: undefined,
    from: undefined,
    before: undefined,
    refusals: [],
    missing: [],
    fault: undefined,
  };
  const computed = createStore<Computed>()(() => computedFrom(state.getState(), nothing));
  const done = createStore<Done>()(() => ({ acts, unwritten: new Set(), dropped: [], refused: undefined }));
  const told = new Set<(how: How) => void>();
  let how: How = 'act';
  /** The work before the last act, while more may still belong to it. */
  let base: Work | undefined;

  const note = (was: Work, is: Work): void => {
    if (how === 'quiet' || how === 'step') {
      base = undefined;
      return;
    }
    const now = done.getState();
    const last = now.acts.at(-1);
    const grows = how === 'more' && base && last && !last.undone;
    if (!grows) base = was;
    const changes = workChanges(base ?? was, is);
    // What comes back to where it began, or changes nothing that is kept, is no act.
    if (changes.length === 0 && !grows) return;
    const act = grows ? { ...last, changes } : newAct(place, '', changes);
    const { past, future } = pastAndFuture(grows ? now.acts.slice(0, -1) : now.acts);
    const none = changes.length === 0;
    const gone = [...future.map(({ id }) => id), ...(none ? [act.id] : [])];
    done.setState({
      acts: none ? past : [...past, act],
      unwritten: new Set([...now.unwritten, act.id].filter((id) => !gone.includes(id))),
      dropped: [...now.dropped, ...gone],
      refused: undefined,
    });
    if (none) base = undefined;
  };
  state.subscribe((now, before) => {
    if (now.work !== before.work) note(before.work, now.work);
    computed.setState(computedFrom(now, computed.getState()));
    if (now.work !== before.work) for (const then of told) then(how);
  });
  const within: OpenWork['within'] = (as, change) => {
    const outer = how;
    how = as;
    try {
      change();
    } finally {
      how = outer;
    }
  };
  const step = (which: 'undo' | 'redo') => (): void => {
    state.setState({ preview: undefined, trial: undefined });
    const { past, future } = pastAndFuture(done.getState().acts);
    const act = which === 'undo' ? past.at(-1) : future[0];
    if (!act) return;
    const next = workWith(state.getState().work, which === 'undo' ? act.changes.map(changeBack) : act.changes);
    if (!next) {
      done.setState({ refused: which });
      return;
    }
    base = undefined;
    done.setState((now) => ({
      acts: now.acts.map((a) => (a === act ? { ...act, undone: which === 'undo' } : a)),
      unwritten: new Set([...now.unwritten, act.id]),
      refused: undefined,
    }));
    within('step', () => {
      state.setState({ work: next });
    });
  };
  const redrawn = createStore<{ since: Redrawn | undefined }>()(() => ({ since: redrawnSince({ state, computed }) }));
  return {
    place,
    state,
    computed,
    done,
    redrawn,
    undo: step('undo'),
    redo: step('redo'),
    within,
    onChange: (then) => {
      told.add(then);
      return () => {
        told.delete(then);
      };
    },
  };
}
