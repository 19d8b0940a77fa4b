import { useQuery } from '@tanstack/react-query';
import { lazy, useCallback, useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { Opening } from '../shared/Opening.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { useSheet } from '../store/sheets.js';
import { WorkProvider } from '../store/work-context.js';
import { holdWork, openFromShelf, readShelved, type Shelved } from '../store/opened-work.js';
import { Room } from './Room.js';
import { stationOf, type StationId } from './stations.js';

const NotHere = lazy(() => import('./NotHere.js'));
const StorageFaultPage = lazy(() => import('../shared/StorageFault.js').then((m) => ({ default: m.StorageFaultPage })));

/** The room for one draft: walk, head, board, bench and tape. */
export function Workroom() {
  const { room: roomName, draftId = '', station, view } = useParams();
  const room = roomOf(roomName);
  // Read anew whenever it is opened, and never while it is open: from then on the open work itself is what is so.
  const shelved = useQuery({
    queryKey: ['open', room, draftId],
    queryFn: () => readShelved(room, draftId),
    gcTime: 0,
  });
  const draft = shelved.data?.work.draft;
  const sheet = useSheet(draft);

  if (shelved.isError) {
    return <StorageFaultPage fault={shelved.error} />;
  }
  if (shelved.isPending || (draft && sheet === undefined)) return <Opening className="page quiet" />;
  if (draft && sheet === null) {
    return (
      <NotHere
        title="This draft’s method is not here"
        about={`It is made by “${draft.method}”, which this version of Upstride does not have. The draft stays as it is.`}
        to={`/${room}`}
        out="All drafts"
      />
    );
  }
  if (!shelved.data) {
    return (
      <NotHere
        title="This draft is not here"
        about="It may have been deleted, or it belongs to another workroom."
        to={`/${room}`}
        out="All drafts"
      />
    );
  }
  return (
    <OpenRoom key={`${room} ${draftId}`} room={room} shelved={shelved.data} station={stationOf(station)} view={view} />
  );
}

interface OpenRoomProps {
  readonly room: RoomId;
  readonly shelved: Shelved;
  readonly station: StationId;
  readonly view: string | undefined;
}

/** The work is opened once: from then on it is kept as it is changed here. */
function OpenRoom({ room, shelved, station, view }: OpenRoomProps) {
  const draftId = shelved.work.draft.id;
  const [opened] = useState(() => openFromShelf(room, shelved, `draft:${draftId}`));
  useEffect(() => holdWork(opened), [opened]);
  const pathOf = useCallback((to: StationId) => `/${room}/draft/${draftId}/${to}`, [room, draftId]);
  return (
    <WorkProvider value={opened.open}>
      <Room
        room={room}
        draftId={draftId}
        pathOf={pathOf}
        station={station}
        view={view}
        autosave={opened.autosave}
        open={opened.open}
      />
    </WorkProvider>
  );
}
