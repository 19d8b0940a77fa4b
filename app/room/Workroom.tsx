import Button from '@mui/material/Button';
import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Work } from '../../core/kept/index.js';
import { Opening } from '../shared/Opening.js';
import type { Revisions } from '../store/database.js';
import { useShelf } from '../store/queries.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { useSheet } from '../store/sheets.js';
import { WorkProvider } from '../store/work-context.js';
import { closeWork, openFromShelf } from './opened-work.js';
import { Room } from './Room.js';
import { stationOf, viewOf, type StationId, type ViewId } from './stations.js';

/** The room for one draft: walk, head, board, bench and tape. */
export function Workroom() {
  const { room: roomName, draftId = '', station, view } = useParams();
  const room = roomOf(roomName);
  const shelf = useShelf(room);
  const [visit, setVisit] = useState(0);
  const draft = shelf.data?.drafts.find((d) => d.id === draftId);
  const person = shelf.data?.people.find((p) => p.id === draft?.value.personId);

  const sheet = useSheet(draft?.value);

  if (shelf.isPending || (draft && sheet === undefined)) return <Opening className="page quiet" />;
  if (draft && sheet === null) {
    return (
      <main className="page">
        <h1>This draft’s method is not here</h1>
        <p>
          It is made by “{draft.value.method}”, which this version of Upstride does not have. The draft stays as it is.
        </p>
        <Button component={Link} to={`/${room}`} variant="contained">
          All drafts
        </Button>
      </main>
    );
  }
  if (!draft || !person) {
    return (
      <main className="page">
        <h1>This draft is not here</h1>
        <p>It may have been deleted, or it belongs to another workroom.</p>
        <Button component={Link} to={`/${room}`} variant="contained">
          All drafts
        </Button>
      </main>
    );
  }
  return (
    <OpenRoom
      key={`${room} ${draftId} ${visit}`}
      room={room}
      shelved={{ person: person.value, draft: draft.value }}
      revisions={{ person: person.revision, draft: draft.revision }}
      station={stationOf(station)}
      view={viewOf(view)}
      onReload={() => {
        closeWork(room, draftId);
        void shelf.refetch().then(() => {
          setVisit(visit + 1);
        });
      }}
    />
  );
}

interface OpenRoomProps {
  readonly room: RoomId;
  readonly shelved: Work;
  readonly revisions: Revisions;
  readonly station: StationId;
  readonly view: ViewId | undefined;
  readonly onReload: () => void;
}

/** The work is opened once: every save of this window changes the shelf as well. */
function OpenRoom({ room, shelved, revisions, station, view, onReload }: OpenRoomProps) {
  const [{ open, autosave }] = useState(() => openFromShelf(room, shelved, revisions));
  const draftId = shelved.draft.id;
  const pathOf = useCallback((to: StationId) => `/${room}/draft/${draftId}/${to}`, [room, draftId]);
  return (
    <WorkProvider value={open}>
      <Room
        room={room}
        draftId={shelved.draft.id}
        pathOf={pathOf}
        station={station}
        view={view}
        autosave={autosave}
        open={open}
        onReload={onReload}
      />
    </WorkProvider>
  );
}
