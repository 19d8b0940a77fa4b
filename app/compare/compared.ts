import { refusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { computeDraft, type Draft, type DraftInput } from '../../core/chain/index.js';
import {
  inputByMethod,
  versionLabel,
  workOfVersion,
  type DraftVersion,
  type KeptDraft,
} from '../../core/kept/index.js';
import type { Sheet } from '../../core/method/index.js';
import { NO_STYLE, type Style } from '../../core/style/index.js';
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
  readonly input: DraftInput;
  readonly style: Style;
  readonly draft: Draft | undefined;
  /** Why there is no draft. */
  readonly why: string;
}

/**
 * What may be laid beside the draft in hand: another method on the same figures, another draft of the person, or a
 * version of this draft. */
export type Candidate = { readonly id: string; readonly label: string } & (
  | { readonly kind: 'method'; readonly sheet: Sheet }
  | { readonly kind: 'draft'; readonly draft: KeptDraft }
  | { readonly kind: 'version'; readonly version: DraftVersion }
);

const NO_VERSIONS: readonly DraftVersion[] = [];

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
  const versions = work.draft.versions ?? NO_VERSIONS;
  const candidates = useMemo(
    () => [
      ...versions.map((version): Candidate => ({
        id: `version:${version.id}`,
        kind: 'version',
        label: versionLabel(version),
        version,
      })),
      ...SHEETS.map((sheet): Candidate => ({ id: `method:${sheet.id}`, kind: 'method', label: sheet.name, sheet })),
      ...others.map((draft): Candidate => ({ id: `draft:${draft.id}`, kind: 'draft', label: draft.name, draft })),
    ],
    [others, versions],
  );
  const compared = useMemo(() => {
    const made = beside.flatMap((id): Omit<Compared, 'letter'>[] => {
      const candidate = candidates.find((c) => c.id === id);
      if (!candidate) return [];
      // Another method is finished as the draft in hand is.
      const of =
        candidate.kind === 'version'
          ? workOfVersion(work, candidate.version)
          : candidate.kind === 'draft'
            ? { person: work.person, draft: candidate.draft }
            : work;
      const input = candidate.kind === 'method' ? inputByMethod(work, candidate.sheet) : inputNow(of);
      const outcome = computeDraft(input);
      return [
        {
          id,
          label: candidate.label,
          input,
          style: of.draft.style ?? NO_STYLE,
          draft: outcome.ok ? outcome.value : undefined,
          why: outcome.ok ? '' : refusalsSentence(outcome.refusals.slice(0, 1), readerIn(unit)),
        },
      ];
    });
    const label = `${work.draft.name} (${methodName(work.draft)})`;
    const first = {
      id: 'here',
      label,
      input: inputNow(work),
      style: work.draft.style ?? NO_STYLE,
      draft: inHand,
      why: '',
    };
    return [first, ...made].map((one, i): Compared => ({ ...one, letter: LETTERS[i] ?? '?' }));
  }, [beside, candidates, work, unit, inHand]);
  return { compared, candidates };
}
