import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Work } from '../../core/kept/index.js';
import { setOf } from '../../core/kept/index.js';
import type { StationId } from './stations.js';

/** Of so many drafts it is known where one has been. */
const MOST = 200;

/** For each station of a draft what came before it, when it was last visited. */
type Visits = Partial<Record<StationId, string>>;

interface VisitState {
  readonly drafts: Readonly<Record<string, Visits>>;
  readonly visit: (draftId: string, station: StationId, before: string) => void;
}

/** A short mark of a text: two texts of one mark are taken for the same (FNV-1a). */
function mark(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** What comes before a station in the order of the work, as a mark that changes with it. */
export function beforeStation(station: StationId, work: Work): string {
  const { draft } = work;
  const order: readonly (readonly [StationId, unknown])[] = [
    ['measure', null],
    ['choose', setOf(work).values],
    ['draft', [draft.method, draft.sheet, draft.fit, draft.settings, draft.choices, draft.rules]],
    ['true', draft.set],
    ['finish', draft.alterations],
    ['cut', draft.style],
    ['toile', [draft.allowances, draft.cloths]],
  ];
  const at = order.findIndex(([id]) => id === station);
  return mark(JSON.stringify(order.slice(0, at + 1).map(([, what]) => what)));
}

/** Where one has been with each draft, kept in this browser. */
export const useVisits = create<VisitState>()(
  persist(
    (set) => ({
      drafts: {},
      visit: (draftId, station, before) => {
        set(({ drafts }) => {
          if (drafts[draftId]?.[station] === before) return {};
          const { [draftId]: known, ...others } = drafts;
          const kept = Object.entries(others).slice(1 - MOST);
          return { drafts: { ...Object.fromEntries(kept), [draftId]: { ...known, [station]: before } } };
        });
      },
    }),
    { name: 'upstride-visits', version: 1 },
  ),
);
