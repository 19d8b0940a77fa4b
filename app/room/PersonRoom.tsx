import Button from '@mui/material/Button';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { newDraft, type Person } from '../../core/kept/index.js';
import { Opening } from '../shared/Opening.js';
import { useShelf, useShelfChange } from '../store/queries.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { putAct, useShelfHistory } from '../store/shelf-history.js';
import { WorkProvider } from '../store/work-context.js';
import { closeWork, openFromShelf } from './opened-work.js';
import { Room } from './Room.js';
import { stationOf, type StationId } from './stations.js';

interface OpenPersonProps {
  readonly room: RoomId;
  readonly person: Person;
  readonly revision: number;
  readonly onReload: () => void;
}

/** The draft that stands beside a person who is only being measured; it is kept once one steps on from Measure. */
const trialId = (person: Person): string => `trial-${person.id}`;

function OpenPerson({ room, person, revision, onReload }: OpenPersonProps) {
  const go = useNavigate();
  const [query] = useSearchParams();
  const shelfChange = useShelfChange(room);
  const history = useShelfHistory();
  const stepping = useRef(false);
  const [{ open, autosave }] = useState(() => {
    const draft = newDraft(() => trialId(person), person, 'Trousers', new Date());
    return openFromShelf(room, { person, draft }, { person: revision, draft: 0 }, false);
  });
  const pathOf = useCallback(
    (to: StationId) => (to === 'measure' ? `/${room}/person/${person.id}` : `/${room}/person/${person.id}?to=${to}`),
    [room, person.id],
  );
  const to = query.get('to');
  useEffect(() => {
    if (to === null || stepping.current) return;
    stepping.current = true;
    const { work } = open.state.getState();
    const now = new Date().toISOString();
    const draft = { ...work.draft, id: crypto.randomUUID(), created: now, changed: now };
    const act = putAct('New draft', work.person, draft, false);
    void shelfChange.mutateAsync(act.forward).then(() => {
      history.did(room, act);
      closeWork(room, trialId(person));
      return go(`/${room}/draft/${draft.id}/${stationOf(to)}`, { replace: true });
    });
  }, [to, open, shelfChange, history, room, person, go]);
  if (to !== null) return <Opening className="page quiet" />;
  return (
    <WorkProvider value={open}>
      <Room
        room={room}
        draftId={undefined}
        pathOf={pathOf}
        station="measure"
        autosave={autosave}
        open={open}
        onReload={onReload}
      />
    </WorkProvider>
  );
}

/** The room for a person without a draft in hand: measuring, and the draft that would come of it. */
export function PersonRoom() {
  const { room: roomName, personId = '' } = useParams();
  const room = roomOf(roomName);
  const shelf = useShelf(room);
  const [visit, setVisit] = useState(0);
  if (shelf.isPending) return <Opening className="page quiet" />;
  const found = shelf.data?.people.find((p) => p.id === personId);
  if (!found) {
    return (
      <main className="page">
        <h1>This person is not here</h1>
        <p>They may have been deleted, or belong to another workroom.</p>
        <Button component={Link} to={`/${room}/crew`} variant="contained">
          The crew
        </Button>
      </main>
    );
  }
  return (
    <OpenPerson
      key={`${room} ${personId} ${visit}`}
      room={room}
      person={found.value}
      revision={found.revision}
      onReload={() => {
        closeWork(room, trialId(found.value));
        void shelf.refetch().then(() => {
          setVisit(visit + 1);
        });
      }}
    />
  );
}
