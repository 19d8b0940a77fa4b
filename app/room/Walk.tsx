import Inventory from '@mui/icons-material/Inventory2Outlined';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useShallow } from 'zustand/shallow';
import { beforeStation, useVisits } from './visits.js';
import { useComputed, useWork } from '../store/work-context.js';
import type { RoomId } from '../store/rooms.js';
import type { Work } from '../../core/kept/index.js';
import { STATE_WORDS, stationState } from './station-states.js';
import { STATIONS, type StationId } from './stations.js';

/** Whether a measurement looks wrong; what tells it is loaded after the first view. */
function useDoubtful(work: Work): boolean | undefined {
  const [tell, setTell] = useState<{ readonly isDoubtful: (work: Work) => boolean }>();
  useEffect(() => {
    void import('./doubtful.js').then(setTell);
  }, []);
  return tell?.isDoubtful(work);
}

const NOWHERE = {};

/** The stations in the order of work, each with how it stands; one may step anywhere at any time. */
export function Walk({
  room,
  pathOf,
  here,
}: {
  room: RoomId;
  pathOf: (station: StationId) => string;
  here: StationId;
}) {
  const work = useWork((s) => s.work);
  const doubtful = useDoubtful(work);
  const draftId = work.draft.id;
  const visited = useVisits((v) => v.drafts[draftId]) ?? NOWHERE;
  const visit = useVisits((v) => v.visit);
  const before = useMemo(() => beforeStation(here, work), [here, work]);
  useEffect(() => {
    visit(draftId, here, before);
  }, [visit, draftId, here, before]);
  const states = useComputed(useShallow((c) => STATIONS.map(({ id }) => stationState(id, work, c, doubtful, visited))));
  return (
    <nav className="walk" aria-label="Stations">
      <Link className="home" to={`/${room}`} aria-label="Keep: all drafts">
        <Inventory fontSize="small" />
        <span>Keep</span>
      </Link>
      {STATIONS.map(({ id, label, Icon }, i) => {
        const state = states[i] ?? 'untouched';
        const { sign, word } = STATE_WORDS[state];
        return (
          <Link key={id} to={pathOf(id)} aria-current={here === id ? 'page' : undefined}>
            <Icon fontSize="small" />
            <span>{label}</span>
            {state !== 'untouched' && (
              <span className="mark" data-state={state}>
                {sign} <span className="word">{word}</span>
              </span>
            )}
          </Link>
        );
      })}
    </nav>
  );
}
