import { Suspense, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences, withUnit } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { ROOM_LABELS, type RoomId } from '../store/rooms.js';
import { onDemand } from '../shared/on-demand.js';
import { useKeys } from '../shared/use-keys.js';
import { DIALOG_KEYS } from './dialogs.js';
import { PageNav } from './PageNav.js';
import './head.css';

/** What stands at the right of a page's head. */
export const HeadTools = onDemand(() => import('./HeadTools.js').then((m) => ({ default: m.HeadTools })));

/** The head of a page of the workroom: which room, which page, and what every head has at its right. */
export function PageHead({ room, title, undoRedo }: { room: RoomId; title: string; undoRedo?: ReactNode }) {
  const go = useNavigate();
  const shelf = useShelf(room);
  const preferences = usePreferences();
  useKeys(DIALOG_KEYS);
  return (
    <header className="head page-top">
      <title>{`${title} – Upstride`}</title>
      <a className="skip" href="#page">
        To the page
      </a>
      <span className="whose">{ROOM_LABELS[room]}</span>
      <PageNav room={room} />
      <span className="spring" />
      <Suspense fallback={undefined}>
        <HeadTools
          undoRedo={undoRedo}
          findables={async () => {
            const { shelfFindables } = await import('../find/shelf-findables.js');
            return shelfFindables(room, shelf.data, (path) => void go(path));
          }}
          unit={preferences.unit}
          onUnit={(next) => {
            preferences.set(withUnit(preferences, next));
          }}
        />
      </Suspense>
    </header>
  );
}
