import { useQuery } from '@tanstack/react-query';
import { lazy, useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { changeOf, newDraft, type Person } from '../../core/kept/index.js';
import { Opening } from '../shared/Opening.js';
import { readActs, readRecord } from '../store/database.js';
import { writeNoted } from '../store/journal.js';
import { doAt } from '../store/place-acts.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { WorkProvider } from '../store/work-context.js';
import { holdWork, openFromShelf, type Shelved } from '../store/opened-work.js';
import { Room } from './Room.js';
import { stationOf, type StationId } from './stations.js';

const NotHere = lazy(() => import('./NotHere.js'));
const StorageFaultPage = lazy(() => import('../shared/StorageFault.js').then((m) => ({ default: m.StorageFaultPage })));

/** The draft that stands beside a person who is only being measured; it is kept once one steps on from Measure. */
const trialId = (person: Person): string => `trial-${person.id}`;

/** Reads a person with what was done to them at Measure, and lays a draft beside them; nothing where they are not there. */
async function readPerson(room: RoomId, personId: string): Promise<Shelved | null> {
  await writeNoted(room, `person:${personId}`);
  const found = await readRecord(room, 'person', personId);
  if (!found) return null;
  const person = found.value;
  const draft = newDraft(() => trialId(person), person, 'Trousers', new Date());
  return { work: { person, draft }, acts: await readActs(room, `person:${personId}`) };
}

function OpenPerson({ room, shelved }: { readonly room: RoomId; readonly shelved: Shelved }) {
  const go = useNavigate();
  const [query] = useSearchParams();
  const stepping = useRef(false);
  const [failed, setFailed] = useState<Error>();
  const personId = shelved.work.person.id;
  const [opened] = useState(() => openFromShelf(room, shelved, `person:${personId}`, false));
  const { open, autosave } = opened;
  useEffect(() => holdWork(opened), [opened]);
  const pathOf = useCallback(
    (to: StationId) => (to === 'measure' ? `/${room}/person/${personId}` : `/${room}/person/${personId}?to=${to}`),
    [room, personId],
  );
  const to = query.get('to');
  useEffect(() => {
    if (to === null || stepping.current) return;
    stepping.current = true;
    const { work } = open.state.getState();
    const now = new Date().toISOString();
    const draft = { ...work.draft, id: crypto.randomUUID(), created: now, changed: now };
    const made = changeOf({ kind: 'draft', id: draft.id }, undefined, draft);
    const step = async (): Promise<void> => {
      const acts = await readActs(room, 'shelf');
      await doAt(room, 'shelf', `New draft for ${work.person.name}`, made ? [made] : [], acts);
      await go(`/${room}/draft/${draft.id}/${stationOf(to)}`, { replace: true });
    };
    step().catch((fault: unknown) => {
      setFailed(fault instanceof Error ? fault : new Error(String(fault)));
    });
  }, [to, open, room, go]);
  if (failed) return <StorageFaultPage fault={failed} />;
  if (to !== null) return <Opening className="page quiet" />;
  return (
    <WorkProvider value={open}>
      <Room room={room} draftId={undefined} pathOf={pathOf} station="measure" autosave={autosave} open={open} />
    </WorkProvider>
  );
}

/** The room for a person without a draft in hand: measuring, and the draft that would come of it. */
export function PersonRoom() {
  const { room: roomName, personId = '' } = useParams();
  const room = roomOf(roomName);
  const shelved = useQuery({
    queryKey: ['open person', room, personId],
    queryFn: () => readPerson(room, personId),
    gcTime: 0,
  });
  if (shelved.isError) {
    return <StorageFaultPage fault={shelved.error} />;
  }
  if (shelved.isPending) return <Opening className="page quiet" />;
  if (!shelved.data) {
    return (
      <NotHere
        title="This person is not here"
        about="They may have been deleted, or belong to another workroom."
        to={`/${room}/crew`}
        out="The crew"
      />
    );
  }
  return <OpenPerson key={`${room} ${personId}`} room={room} shelved={shelved.data} />;
}
