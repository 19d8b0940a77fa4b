import { compareMany, type ComparedRow, type RowGroup } from '../../core/compare/index.js';
import { formatAngle, formatFigure, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import type { Compared } from './compared.js';

const GROUPS: readonly (readonly [RowGroup, string])[] = [
  ['parameter', 'Parameters'],
  ['width', 'Widths at the levels'],
  ['edge', 'Seam lengths'],
  ['check', 'Checks'],
  ['level', 'Levels'],
];

/** Figures that differ by less than this, in mm, are the same to a tape. */
const SAME = 0.5;

function shown(value: number | string | undefined, kind: ComparedRow['kind'], tape: Tape): string {
  if (value === undefined) return '–';
  if (typeof value === 'string') return value;
  if (!Number.isFinite(value)) return '–';
  if (kind === 'length') return formatFigure(value, tape);
  if (kind === 'angle') return formatAngle(value);
  return kind === 'share' ? value.toFixed(3) : String(value);
}

/** Every figure of the drafts that are compared, with the difference, the largest first within each group. */
export function CompareTable({ compared, tape, all }: { compared: readonly Compared[]; tape: Tape; all: boolean }) {
  const drafted = compared.flatMap((c) => (c.draft ? [{ ...c, draft: c.draft }] : []));
  const rows = compareMany(
    drafted.map((c) => c.draft),
    tape.unit,
  );
  const differs = (row: ComparedRow): boolean => row.spread >= (row.kind === 'length' ? SAME : 1e-6);
  const alike = drafted.length > 1 && !all && !rows.some(differs);
  return (
    <table className="figures compare-table">
      <caption>
        {alike
          ? 'No figure differs: they are drawn alike.'
          : `All lengths in ${tape.unit === 'in' ? 'inches' : tape.unit}; the largest difference first within each part.`}
      </caption>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          {drafted.map((c) => (
            <th key={c.id} scope="col" className="number">
              {c.letter}
            </th>
          ))}
          <th scope="col" className="number">
            Difference
          </th>
        </tr>
      </thead>
      {GROUPS.map(([group, label]) => {
        const mine = rows.filter((r) => r.group === group && (all || differs(r)));
        if (mine.length === 0) return undefined;
        return (
          <tbody key={group}>
            <tr className="group">
              <th scope="colgroup" colSpan={drafted.length + 2}>
                {label}
              </th>
            </tr>
            {mine.map((row) => (
              <tr key={row.id} data-row={row.id}>
                <th scope="row">{row.label}</th>
                {row.values.map((value, i) => (
                  <td key={i} className="number" data-letter={drafted[i]?.letter}>
                    {withFractions(shown(value, row.kind, tape))}
                  </td>
                ))}
                <td className="number" data-letter="Difference">
                  {row.kind === 'word'
                    ? row.spread > 0
                      ? 'differs'
                      : ''
                    : withFractions(shown(row.spread, row.kind, tape))}
                </td>
              </tr>
            ))}
          </tbody>
        );
      })}
    </table>
  );
}
