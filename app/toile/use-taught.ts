import { useMemo } from 'react';
import { useParams } from 'react-router';
import type { Fitting } from '../../core/kept/index.js';
import { learntOf, type FittingDone, type Learnt } from '../../core/toile/index.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useWork } from '../store/work-context.js';
import { useKnowledge } from './use-knowledge.js';

const doneAt = (fittings: readonly Fitting[]): FittingDone[] => fittings.map(({ date, done = [] }) => ({ date, done }));

/** What all fittings of the person whose draft is open have taught. */
export function useTaught(): readonly Learnt[] {
  const shelf = useShelf(roomOf(useParams().room));
  const draft = useWork(({ work }) => work.draft);
  const drafts = shelf.data?.drafts;
  const knowledge = useKnowledge();
  return useMemo(() => {
    const others = (drafts ?? []).map((d) => d.value).filter((d) => d.personId === draft.personId && d.id !== draft.id);
    return learntOf(
      [...others, draft].map(({ fittings = [] }) => doneAt(fittings)),
      knowledge,
    );
  }, [drafts, draft, knowledge]);
}
