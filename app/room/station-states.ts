import { panelLine } from '../../core/method/index.js';
import type { Work } from '../../core/kept/index.js';
import type { Computed } from '../store/open-work.js';
import type { StationId } from './stations.js';

/** How a station stands. */
export type StationState = 'untouched' | 'under-way' | 'done' | 'needs-you';

/** The words for how a station stands, with the sign that is shown. */
export const STATE_WORDS: Record<StationState, { readonly sign: string; readonly word: string }> = {
  untouched: { sign: '', word: 'untouched' },
  'under-way': { sign: '✎', word: 'by hand' },
  done: { sign: '✓', word: 'done' },
  'needs-you': { sign: '!', word: 'needs you' },
};

/**
 * How each station stands for the open work; `doubtful` where a measurement looks wrong, nothing while that is not
 * known yet.
 */
export function stationStates(
  work: Work,
  computed: Computed,
  doubtful: boolean | undefined,
): Record<StationId, StationState> {
  const { draft } = work;
  const refused = (fields: (field: string) => boolean): boolean => computed.refusals.some((r) => fields(r.field));
  const out = computed.draft?.checks.some((c) => c.verdict === 'out') ?? false;
  const undone = computed.draft?.altered.told.some((t) => !t.done) ?? false;
  const chosen = Object.keys(draft.settings).length + Object.keys(draft.choices).length > 0;
  return {
    measure: computed.missing.length > 0 || doubtful ? 'needs-you' : doubtful === undefined ? 'untouched' : 'done',
    choose: chosen ? 'under-way' : 'untouched',
    draft: refused((field) => panelLine(field) !== undefined)
      ? 'needs-you'
      : Object.keys(draft.set).length > 0
        ? 'under-way'
        : 'untouched',
    true:
      out || undone ? 'needs-you' : draft.alterations.length > 0 ? 'under-way' : computed.draft ? 'done' : 'untouched',
    cut: 'untouched',
  };
}
