import { Suspense } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { NameField } from '../shared/NameField.js';
import { onDemand } from '../shared/on-demand.js';
import type { Autosave } from '../store/autosave.js';
import type { RoomId } from '../store/rooms.js';
import { methodName } from '../store/sheets.js';
import { renameDraft } from '../store/work-changes.js';
import { useChange, useCurrentSet, useWork } from '../store/work-context.js';
import type { StationId } from './stations.js';
import '../head/head.css';

const RoomTools = onDemand(() => import('./RoomTools.js').then((m) => ({ default: m.RoomTools })));

const MoreFacts = onDemand(() => import('./MoreFacts.js').then((m) => ({ default: m.MoreFacts })));

/** What the head shows as soon as the room is opened. */
export const HEAD_PARTS = [RoomTools, MoreFacts] as const;

const SAVED: Record<string, string> = { saved: 'Saved', saving: 'Saving', conflict: 'Not saved', failed: 'Not saved' };

interface RoomHeadProps {
  readonly room: RoomId;
  readonly draftId: string | undefined;
  readonly pathOf: (station: StationId) => string;
  readonly station: string;
  readonly autosave: Autosave;
}

/** The head of the room: whose trousers, which measurements, which method, each the way to where it is changed. */
export function RoomHead({ room, draftId, pathOf, station, autosave }: RoomHeadProps) {
  const save = useStore(autosave.state, (s) => s.save);
  const person = useWork(({ work }) => work.person);
  const draft = useWork(({ work }) => work.draft);
  const set = useCurrentSet();
  const change = useChange();
  return (
    <header className="head">
      <title>{`${draftId === undefined ? person.name : draft.name}, ${station} – Upstride`}</title>
      <h1 className="visually-hidden">
        {draftId === undefined ? `Measuring ${person.name}` : `${draft.name}, ${person.name}: ${station}`}
      </h1>
      <Link className="fact whose" to={`/${room}/person/${person.id}/history`} title="Sets and history of this person">
        {person.name}
      </Link>
      {draftId !== undefined && (
        <NameField
          className="head-name"
          label="Name of the draft"
          value={draft.name}
          onCommit={(name) => {
            change(renameDraft(name));
          }}
        />
      )}
      <Link className="fact" to={pathOf('measure')} title="To the figures of this set">
        measured {set.date}
      </Link>
      {draftId !== undefined && (
        <Link className="fact" to={pathOf('choose')} title="To the method">
          {draft.pattern ? `adopted: ${draft.pattern.name}` : `by the method ${methodName(draft)}`}
        </Link>
      )}
      <Suspense fallback={undefined}>
        <MoreFacts pathOf={pathOf} />
      </Suspense>
      <span className="spring" />
      <span className="quiet head-fact" role="status" data-testid="saved">
        {SAVED[save]}
      </span>
      <Suspense fallback={undefined}>
        <RoomTools room={room} draftId={draftId} pathOf={pathOf} />
      </Suspense>
    </header>
  );
}
