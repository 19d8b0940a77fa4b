import type { SizeChart } from '../measure/index.js';
import type { AdoptedPattern } from '../draft/index.js';
import type { KeptDraft, Person, Run } from '../workbook/index.js';
import { dayOf } from './day.js';
import { setOf, type Work } from './kept.js';
import { personOfSize } from './grade-rules.js';
import { currentSet } from './person.js';
import { inputsOf } from './versions.js';

/** A body of a run: what the garment is drafted from on it. */
export interface RunBody {
  /** The id of the person or the name of the size. */
  readonly key: string;
  /** Whether it is a person or a size of a chart. */
  readonly of: Run['of']['from'];
  readonly name: string;
  /** When it was measured, or the chart that the size is of. */
  readonly note: string;
  /** The garment on this body, with what the body has by hand. */
  readonly work: Work;
  /** The draft of its own that stands in the garment's place. */
  readonly own: KeptDraft | undefined;
  /** Whether anything was set by hand for this body. */
  readonly byHand: boolean;
  /** The grade rule that it is made by, with the garment as it is and the size that it is then. */
  readonly graded: (NonNullable<Run['by']> & { readonly garment: Work }) | undefined;
}

/** Where the people, drafts and charts of a run are looked for. */
interface Around {
  readonly people: readonly Person[];
  readonly drafts: readonly KeptDraft[];
  readonly charts: readonly SizeChart[];
}

/** The garment of a draft on another person, from the set that counts now, with what that body has by hand. */
function onBody(garment: KeptDraft, person: Person, own: Run['own'][string] | undefined): KeptDraft {
  const setId = person.id === garment.personId ? garment.setId : currentSet(person).id;
  const { id, name, created, changed } = garment;
  return {
    id,
    name,
    ...inputsOf(garment),
    created,
    changed,
    personId: person.id,
    setId,
    set: { ...garment.set, ...own?.set },
    alterations: [...garment.alterations, ...(own?.alterations ?? [])],
  };
}

/** What the sizes of a run are taken from: its chart, or the rule that they are made by. */
const chartOf = (run: Run, id: string, { charts }: Around): Pick<SizeChart, 'name' | 'figure' | 'sizes'> | undefined =>
  run.by ? run.by.rule : charts.find((c) => c.id === id);

/** By a grade rule the garment's own block is moved: on it stays what is altered on one leg, and what the body has. */
const onGraded = (draft: KeptDraft, garment: KeptDraft, own: Run['own'][string] | undefined): KeptDraft => ({
  ...draft,
  alterations: [...garment.alterations.filter((a) => a.leg !== undefined), ...(own?.alterations ?? [])],
});

/** The bodies of a run of a garment, in its order; those who are no longer here are left out. */
export function bodiesOf(run: Run, { person: owner, draft }: Work, around: Around): readonly RunBody[] {
  const found: (readonly [string, Person, string | undefined])[] = [];
  if (run.of.from === 'people') {
    const people = new Map(around.people.map((p) => [p.id, p]));
    for (const id of run.of.people) {
      const person = id === owner.id ? owner : people.get(id);
      if (person) found.push([id, person, undefined]);
    }
  } else {
    const { chart: id, sizes } = run.of;
    const chart = chartOf(run, id, around);
    for (const name of sizes) {
      const size = chart?.sizes.find((s) => s.name === name);
      if (chart && size) found.push([name, personOfSize(`${id} ${name}`, chart.figure, size, owner.unit), chart.name]);
    }
  }
  return found.map(([key, person, note]): RunBody => {
    const byHand = run.own[key];
    const kept = byHand?.draft === undefined ? undefined : around.drafts.find((d) => d.id === byHand.draft);
    // The draft of a size has a person of its own, with the size's figures.
    const whose = kept && (kept.personId === person.id ? person : around.people.find((p) => p.id === kept.personId));
    const own = whose && kept;
    const graded = run.by !== undefined;
    const placed = onBody(draft, person, byHand);
    const garment = graded ? onGraded(placed, draft, byHand) : placed;
    const work = own ? { person: whose, draft: own } : { person, draft: garment };
    return {
      key,
      of: run.of.from,
      name: key === person.id ? person.name : key,
      note: note ?? setOf(work).date,
      work,
      graded: own === undefined && run.by ? { ...run.by, garment: { person: owner, draft } } : undefined,
      own,
      byHand:
        own !== undefined ||
        (byHand !== undefined && (byHand.alterations.length > 0 || Object.keys(byHand.set).length > 0)),
    };
  });
}

/** How many bodies of a run are no longer here. */
export const gone = (run: Run, bodies: readonly RunBody[]): number =>
  (run.of.from === 'people' ? run.of.people : run.of.sizes).length - bodies.length;

/**
 * A draft of its own made of the garment on a body; for a size with a person who has its figures. A size that is made by a
 * grade rule has its block as `pattern`.
 */
export function draftOfBody(
  { work, name, note, of }: RunBody,
  newId: () => string,
  now: Date,
  pattern?: AdoptedPattern,
): { readonly draft: KeptDraft; readonly person: Person | undefined } {
  const stamp = now.toISOString();
  const draft = {
    ...work.draft,
    id: newId(),
    name: `${work.draft.name}, ${name}`,
    created: stamp,
    changed: stamp,
    ...(pattern && { pattern }),
  };
  if (of === 'people') return { draft, person: undefined };
  const set = { ...setOf(work), id: newId(), date: dayOf(stamp), size: { chart: note, name } };
  const person = { ...work.person, id: newId(), name: `${name}, ${note}`.slice(0, 200), sets: [set] };
  return { draft: { ...draft, personId: person.id, setId: set.id }, person };
}
