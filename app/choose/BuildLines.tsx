import { choicesOf, COMMON, lineLabel, type LedgerLine, type Worked } from '../../core/method/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { useComputed, useTape, useWork } from '../store/work-context.js';
import { ChoiceLine } from './ChoiceLines.js';
import { SettingLine } from './SettingLine.js';

/** The choices that follow from the person. */
export const BUILD = ['seat', 'stomach', 'thighs', 'age'] as const;

/** What one term does to a line, in words: `Full seat: back centre lift 0.6 → 2.6 cm`. */
function movedBy(worked: Worked, line: LedgerLine, tape: Tape): string[] {
  const show = (figure: number): string => (line.kind === 'length' ? formatLength(figure, tape) : String(figure));
  return line.terms
    .filter((term) => Math.abs(term.to - term.from) > 1e-6)
    .map(
      (term) =>
        `${term.label}: ${lineLabel(worked.sheet, line.name).toLowerCase()} ${show(term.from)} → ${show(term.to)}`,
    );
}

/** Build and age: choices that follow from the person, what each of them moves, and by how much. */
export function BuildLines() {
  const worked = useComputed((c) => c.draft?.worked);
  const tape = useTape();
  const person = useWork(({ work }) => work.person);
  const follows = choicesOf(person.figure, person.build);
  const ofPerson = (id: string): string =>
    COMMON.choices
      .find((c) => c.id === id)
      ?.values.find((v) => v.id === follows[id])
      ?.label.toLowerCase() ?? '';
  const moved = worked ? [...worked.ledger.values()].flatMap((line) => movedBy(worked, line, tape)) : [];
  const scale = worked && [...worked.ledger.values()].find((line) => line.scale !== 1)?.scale;
  return (
    <>
      {COMMON.choices
        .filter((c) => (BUILD as readonly string[]).includes(c.id))
        .map((choice) => (
          <ChoiceLine key={choice.id} choice={choice} unset={`As the person: ${ofPerson(choice.id)}`} />
        ))}
      {worked?.settings
        .filter((s) => s.when && BUILD.some((id) => s.when && id in s.when))
        .map((s) => (
          <SettingLine key={s.name} setting={s} />
        ))}
      {moved.length > 0 && (
        <ul className="moves" data-moves>
          {moved.map((words) => (
            <li key={words}>{withFractions(words)}</li>
          ))}
        </ul>
      )}
      {scale !== undefined && (
        <p className="quiet">
          Inches and centimetres of the method are taken times {scale.toFixed(2)}: as the hip to 90 cm, down to a half.
        </p>
      )}
    </>
  );
}
