import { useMemo } from 'react';
import { gradeOf, type NestPart } from '../../core/nest/index.js';
import { formatFigure, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';

/** What the places of a part move by and its edges grow by, from size to size; a step unlike those beside it is marked. */
export function GradeTable({
  part,
  tape,
  graded,
}: {
  readonly part: NestPart;
  readonly tape: Tape;
  /** Whether they are sizes, each a step from the one before; of people only the lengths say anything. */
  readonly graded: boolean;
}) {
  const grade = useMemo(() => gradeOf(part), [part]);
  const { sizes } = part;
  const between = sizes.slice(1).map((size, i) => `${sizes[i]?.name ?? ''} – ${size.name}`);
  const marked = graded && grade.points.some((p) => p.steps.some((s) => s?.uneven));
  const step = (mm: number): ReturnType<typeof withFractions> => withFractions(signedFigure(mm, tape));
  return (
    <div className="grade-tables" data-grade={part.id}>
      {graded && (
        <table className="figures">
          <caption>
            {part.name}: how far each place moves, across and down, {tape.unit}
          </caption>
          <thead>
            <tr>
              <th scope="col">Place</th>
              {between.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {grade.points.map(({ id, label, steps }) => (
              <tr key={id}>
                <th scope="row">{label}</th>
                {steps.map((s, i) => (
                  <td key={between[i]} className={s?.uneven ? 'uneven' : undefined}>
                    {s ? (
                      <>
                        {s.uneven && <span aria-label="uneven">! </span>}
                        {step(s.across)} | {step(s.down)}
                      </>
                    ) : (
                      ''
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <table className="figures">
        <caption>
          {part.name}: its edges along the stitching line, {tape.unit}
        </caption>
        <thead>
          <tr>
            <th scope="col">Edge</th>
            {sizes.map((s) => (
              <th key={s.key} scope="col">
                {s.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {grade.edges.map(({ edge, label, lengths, steps }) => (
            <tr key={edge}>
              <th scope="row">{label}</th>
              {lengths.map((mm, i) => {
                const by = graded && i > 0 ? steps[i - 1] : undefined;
                return (
                  <td key={sizes[i]?.key ?? i} className={by?.uneven ? 'uneven' : undefined}>
                    {mm === undefined ? '' : withFractions(formatFigure(mm, tape))}
                    {by && <span className="quiet"> {step(by.by)}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {marked && <p className="quiet">Marked with ! is a step that is unlike those beside it.</p>}
    </div>
  );
}
