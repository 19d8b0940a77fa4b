import type { DraftInput } from '../chain/index.js';
import type { SizeChart } from '../measure/index.js';
import type { Sheet } from '../method/index.js';
import type { KeptDraft, KeptGradeRule, Person, Run } from '../workbook/index.js';
import { inputOf, type Work } from './kept.js';
import { newPerson } from './person.js';
import { inputsOf } from './versions.js';

/** A size as a person: its figures are those of the set. */
export function personOfSize(
  key: string,
  figure: Person['figure'],
  { name, values }: SizeChart['sizes'][number],
  unit: Person['unit'],
): Person {
  const person = newPerson(() => key.slice(0, 100), name, unit, new Date(0));
  return {
    ...person,
    figure,
    sets: person.sets.map((s) => ({ ...s, source: 'chart' as const, values: { ...values } })),
  };
}

/**
 * The grade rule that the sizes of a run are: the garment as it is, on each of them. Nothing of a run of people, of one
 * that is made by a rule itself, or of fewer than two sizes of its chart.
 */
export function ruleOfRun(run: Run, draft: KeptDraft, chart: SizeChart | undefined, name: string) {
  if (run.of.from !== 'chart' || run.by || !chart) return undefined;
  const { sizes: wanted } = run.of;
  const sizes = chart.sizes.filter((s) => wanted.includes(s.name));
  if (sizes.length < 2) return undefined;
  const rule: KeptGradeRule = {
    name,
    figure: chart.figure,
    inputs: inputsOf(draft),
    sizes: sizes.map((s) => ({ name: s.name, values: { ...s.values } })),
  };
  return rule;
}

/** What a size of a rule is drafted from, by the sheet of the rule; nothing where the rule has no such size. */
export function inputOfRule(rule: KeptGradeRule, size: string, sheet: Sheet): DraftInput | undefined {
  const found = rule.sizes.find((s) => s.name === size);
  if (!found) return undefined;
  const person = personOfSize(size, rule.figure, found, 'cm');
  const set = person.sets[0];
  const draft = { ...BARE, ...rule.inputs, personId: person.id, setId: set?.id ?? '' };
  return inputOf({ person, draft }, sheet);
}

/** What a draft has beside its inputs. */
const BARE = { id: 'rule', name: '', created: new Date(0).toISOString(), changed: new Date(0).toISOString() };

/** A rule that was written from another garment. */
export interface OfferedRule {
  readonly draft: KeptDraft;
  /** The chart that its sizes are of. */
  readonly chart: string;
  readonly rule: KeptGradeRule;
}

/** The grade rules that were written from the drafts of a room, those of the garment itself left out. */
export const rulesOffered = (drafts: readonly KeptDraft[], { draft: own }: Work): readonly OfferedRule[] =>
  drafts
    .filter((d) => d.id !== own.id)
    .flatMap((draft) =>
      (draft.runs ?? []).flatMap(({ rule, of }) =>
        rule && of.from === 'chart' ? [{ draft, chart: of.chart, rule }] : [],
      ),
    );

/** The size of a rule whose hip is nearest to a body's: what a draft is taken for until the maker says otherwise. */
export function nearestSize({ sizes }: KeptGradeRule, hip: number | undefined): string {
  const off = ({ values }: KeptGradeRule['sizes'][number]): number =>
    hip === undefined || values.hip === undefined ? Infinity : Math.abs(values.hip - hip);
  return [...sizes].sort((a, b) => off(a) - off(b))[0]?.name ?? '';
}
