import { useMemo } from 'react';
import { useParams } from 'react-router';
import { computeDraft } from '../../core/chain/index.js';
import type { Shrinkage } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import type { KeptDraft, Person } from '../../core/kept/index.js';
import { togetherName, type LaidGarment } from '../../core/lay/index.js';
import { grownGarment, piecesOf, type Piece } from '../../core/piece/index.js';
import { refusalsSentence } from '../../core/refusal/index.js';
import { draftGarment, NO_STYLE } from '../../core/style/index.js';
import { readerIn } from '../../core/units/index.js';
import { useShrinkage } from '../shared/use-shrinkage.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { inputNow } from '../store/sheets.js';
import { useWork } from '../store/work-context.js';
import type { SheetSource } from './use-sheets.js';

/** Another draft that is laid on this cloth. */
export interface LaidOther {
  readonly draft: string;
  readonly label: string;
  readonly count: number;
  readonly pieces: readonly Piece[];
  /** Why none of its pieces lie here, where none do. */
  readonly why: string | undefined;
}

/** What lies on a cloth together. */
export interface LaidTogether {
  /** Nothing until the shelf has been read, where others lie here. */
  readonly garments: readonly LaidGarment[];
  /** Whether nothing lies here but one of the garment in hand. */
  readonly alone: boolean;
  /** How many of the garment in hand. */
  readonly own: number;
  readonly others: readonly LaidOther[];
  /** What else could be laid with it. */
  readonly candidates: readonly { readonly id: string; readonly label: string }[];
  readonly nameOf: (id: string) => string;
  readonly inkOf: (id: string) => string;
}

/** The pieces of another draft, or why there are none. */
interface Made {
  readonly pieces: readonly Piece[];
  readonly why: string | undefined;
}

/** What was made of other drafts last, as they are: a lay that is kept changes none of them. */
const made = new WeakMap<KeptDraft, { readonly of: readonly unknown[]; readonly made: Made }>();

/** The pieces of another draft, made anew only where it, its person or the shrinkage has changed. */
function piecesOfOther(person: Person, draft: KeptDraft, shrinkage: (kind: Cloth) => Shrinkage): Made {
  const last = made.get(draft);
  if (last?.of[0] === person && last.of[1] === shrinkage) return last.made;
  const now = piecesFor(person, draft, shrinkage);
  made.set(draft, { of: [person, shrinkage], made: now });
  return now;
}

/** The pieces of another draft, grown by what this cloth shrinks by; or why there are none. */
function piecesFor(person: Person, draft: KeptDraft, shrinkage: (kind: Cloth) => Shrinkage): Made {
  const outcome = computeDraft(inputNow({ person, draft }));
  if (!outcome.ok) {
    return { pieces: [], why: refusalsSentence(outcome.refusals.slice(0, 1), readerIn(person.unit)) };
  }
  const { garment } = draftGarment(outcome.value, draft.style ?? NO_STYLE, person.unit);
  return { pieces: piecesOf(grownGarment(garment, shrinkage), draft.allowances), why: undefined };
}

const NOTHING: NonNullable<KeptDraft['laidWith']> = [];

/** The garment in hand and the drafts that are laid on its cloths with it, each with its name among them. */
export function useLaidTogether(source: SheetSource | undefined): LaidTogether {
  const { room } = useParams();
  const shelf = useShelf(roomOf(room));
  const own = useWork(({ work }) => work.draft.id);
  const laidWith = useWork(({ work }) => work.draft.laidWith) ?? NOTHING;
  const shrinkage = useShrinkage();
  const drafts = shelf.data?.drafts;
  const people = shelf.data?.people;
  const others = useMemo(
    () =>
      laidWith
        .filter(({ draft }) => draft !== own)
        .map(({ draft: id, count }): LaidOther => {
          const draft = drafts?.find((d) => d.value.id === id)?.value;
          const person = people?.find((p) => p.value.id === draft?.personId)?.value;
          if (!draft || !person) {
            const why = drafts ? 'It is not on the shelf any more: take it off.' : undefined;
            return { draft: id, label: 'A draft', count, pieces: [], why };
          }
          return {
            draft: id,
            label: `${person.name}, ${draft.name}`,
            count,
            ...piecesOfOther(person, draft, shrinkage),
          };
        }),
    [laidWith, own, drafts, people, shrinkage],
  );
  const candidates = useMemo(
    () =>
      (drafts ?? []).flatMap(({ value: { id, name, personId } }) => {
        const person = people?.find((p) => p.value.id === personId)?.value;
        if (id === own || !person || laidWith.some((one) => one.draft === id)) return [];
        return [{ id, label: `${person.name}, ${name}` }];
      }),
    [drafts, people, own, laidWith],
  );
  const waits = others.length > 0 && !drafts;
  const count = laidWith.find(({ draft }) => draft === own)?.count ?? 1;
  return useMemo(() => {
    const names = new Map<string, string>();
    const inks = new Map<string, string>();
    const note = (draft: string | undefined, whose: string, pieces: readonly Piece[]): void => {
      for (const { part } of pieces) {
        const id = togetherName(draft, part.id);
        names.set(id, `${whose}${part.name}`);
        inks.set(id, part.onFrame ? (part.like ?? part.id) : '');
      }
    };
    note(undefined, '', source?.pieces ?? []);
    for (const { draft, label, pieces } of others) note(draft, `${label}: `, pieces);
    return {
      garments:
        source && !waits ? [{ pieces: source.pieces, count }, ...others.filter(({ pieces }) => pieces.length > 0)] : [],
      alone: others.length === 0 && count === 1,
      own: count,
      others,
      candidates,
      nameOf: (id) => names.get(id) ?? id,
      inkOf: (id) => inks.get(id) ?? '',
    };
  }, [source, count, others, candidates, waits]);
}
