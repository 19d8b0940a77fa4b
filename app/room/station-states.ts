import { panelLine } from '../../core/method/index.js';
import { valuesOf, setOf, type Work } from '../../core/kept/index.js';
import type { Computed } from '../store/open-work.js';
import type { StationId } from './stations.js';
import { beforeStation } from './visits.js';

/** How a station stands. */
export type StationState = 'untouched' | 'start-here' | 'under-way' | 'done' | 'stale' | 'needs-you';

/** The words for how a station stands, with the sign that is shown. */
export const STATE_WORDS: Record<StationState, { readonly sign: string; readonly word: string }> = {
  untouched: { sign: '', word: 'untouched' },
  'start-here': { sign: '→', word: 'start here' },
  'under-way': { sign: '✎', word: 'by hand' },
  done: { sign: '✓', word: 'done' },
  stale: { sign: '↻', word: 'look again' },
  'needs-you': { sign: '!', word: 'needs you' },
};

/** Where one has been with a draft: what came before each station when it was last visited. */
export type Visited = Readonly<Partial<Record<StationId, string>>>;

interface Standing {
  readonly needsYou: boolean;
  readonly byHand: boolean;
}

function standing(id: StationId, work: Work, computed: Computed, doubtful: boolean | undefined): Standing {
  const { draft } = work;
  const refused = (fields: (field: string) => boolean): boolean => computed.refusals.some((r) => fields(r.field));
  switch (id) {
    case 'measure':
      return { needsYou: computed.missing.length > 0 || doubtful === true, byHand: false };
    case 'choose':
      return {
        needsYou: false,
        byHand: Object.keys(draft.settings).length + Object.keys(draft.choices).length > 0,
      };
    case 'draft':
      return {
        needsYou: refused((field) => panelLine(field) !== undefined),
        byHand: Object.keys(draft.set).length > 0,
      };
    case 'true': {
      const out = computed.draft?.checks.some((c) => c.verdict === 'out') ?? false;
      const undone = computed.draft?.altered.told.some((t) => !t.done) ?? false;
      return { needsYou: out || undone, byHand: draft.alterations.length > 0 };
    }
    case 'finish':
      return { needsYou: false, byHand: (draft.style ?? []).length > 0 };
    case 'cut':
    case 'toile':
      return { needsYou: false, byHand: false };
  }
}

/**
 * How a station stands for the open work. It is marked only after it was visited; before, the first of them says where
 * to start. `doubtful` where a measurement looks wrong, nothing while that is not known yet.
 */
export function stationState(
  id: StationId,
  work: Work,
  computed: Computed,
  doubtful: boolean | undefined,
  visited: Visited,
): StationState {
  if (id === 'measure' && Object.keys(valuesOf(setOf(work))).length === 0) return 'start-here';
  const before = visited[id];
  if (before === undefined) return 'untouched';
  const { needsYou, byHand } = standing(id, work, computed, doubtful);
  if (needsYou) return 'needs-you';
  if (before !== beforeStation(id, work)) return 'stale';
  if (byHand) return 'under-way';
  return computed.draft && !(id === 'measure' && doubtful === undefined) ? 'done' : 'untouched';
}
