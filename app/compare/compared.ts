import { refusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { computeDraft, type Draft } from '../../core/chain/index.js';
import { inputByMethod } from '../../core/kept/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { inputNow, methodName, putSheets } from '../store/sheets.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { useCompare } from './compare-store.js';

putSheets(SHEETS);

/** One of the drafts that are compared, by its letter. */
export interface Compared {
  readonly id: string;
  readonly letter: string;
  readonly label: string;
  readonly draft: Draft | undefined;
  /** Why there is no draft. */
  readonly why: string;
}

/** What may be laid beside the draft in hand. */
export interface Candidate {
  readonly id: string;
  readonly kind: 'method' | 'draft';
  readonly label: string;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The draft in hand and what is laid beside it, computed anew with every change; and what else could be. */
export function useCompared(): { readonly compared: readonly Compared[]; readonly candidates: readonly Candidate[] } {
  const { room } = useParams();
  const shelf = useShelf(roomOf(room));
  const work = useWork((s) => s.work);
  const unit = useUnit();
  const inHand = useComputed((c) => c.draft);
  const beside = useCompare((s) => s.beside);
  const others = useMemo(
    () =>
      (shelf.data?.drafts ?? [])
        .map((d) => d.value)
        .filter((d) => d.personId === work.person.id && d.id !== work.draft.id),
    [shelf.data, work.person.id, work.draft.id],
  );
  const compared = useMemo(() => {
    const made = beside.flatMap((id): Omit<Compared, 'letter'>[] => {
      const [kind, name] = id.split(/:(.*)/);
      const sheet = kind === 'method' ? SHEETS.find((s) => s.id === name) : undefined;
      const draft = kind === 'draft' ? others.find((d) => d.id === name) : undefined;
      if (!sheet && !draft) return [];
      const outcome = computeDraft(
        sheet ? inputByMethod(work, sheet) : inputNow({ person: work.person, draft: draft ?? work.draft }),
      );
      return [
        {
          id,
          label: sheet?.name ?? draft?.name ?? '',
          draft: outcome.ok ? outcome.value : undefined,
          why: outcome.ok ? '' : refusalsSentence(outcome.refusals.slice(0, 1), readerIn(unit)),
        },
      ];
    });
    const first = { id: 'here', label: `${work.draft.name} (${methodName(work.draft)})`, draft: inHand, why: '' };
    return [first, ...made].map((one, i): Compared => ({ ...one, letter: LETTERS[i] ?? '?' }));
  }, [beside, others, work, unit, inHand]);
  const candidates = [
    ...SHEETS.map((s) => ({ id: `method:${s.id}`, kind: 'method' as const, label: s.name })),
    ...others.map((d) => ({ id: `draft:${d.id}`, kind: 'draft' as const, label: d.name })),
  ];
  return { compared, candidates };
}
