import Button from '@mui/material/Button';
import { valuesOf } from '../../core/kept/index.js';
import { measurementLabel, whatRulesGive, type MeasurementId } from '../../core/measure/index.js';
import { bodyOf } from '../../core/chain/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useCurrentSet, useTape, useWork } from '../store/work-context.js';
import { adoptRule } from '../store/work-changes.js';

/**
 * Every rule for a measurement and what it gives on this body: beside a figure that was measured, to compare; in the
 * place of one that is missing, to be adopted.
 */
export function RulesList({ id }: { id: MeasurementId }) {
  const work = useWork((s) => s.work);
  const set = useCurrentSet();
  const tape = useTape();
  const change = useChange();
  const body = bodyOf(inputNow(work));
  const rules = whatRulesGive(id, body, work.person.figure);
  const measured = valuesOf(set)[id];
  const known = body.get(id);
  const inUse = known?.source === 'estimate' ? known.rule.ruleId : undefined;
  if (rules.length === 0) return null;
  const show = (mm: number): string => formatLength(mm, tape);
  return (
    <table className="rules" aria-label={`Rules for ${measurementLabel(id).toLowerCase()}`}>
      <tbody>
        {rules.map(({ rule, mm, lacks }) => (
          <tr key={rule.ruleId} data-rule={rule.ruleId} data-used={rule.ruleId === inUse}>
            <th scope="row">{withFractions(rule.rule)}</th>
            <td className="number">
              {mm === undefined
                ? `needs ${lacks.map((l) => measurementLabel(l).toLowerCase()).join(', ')}`
                : withFractions(show(mm))}
            </td>
            <td className="number">
              {measured !== undefined && mm !== undefined && signedFigure(mm - measured, tape)}
              {measured === undefined &&
                mm !== undefined &&
                (rule.ruleId === inUse ? (
                  known?.source === 'estimate' && known.adopted ? (
                    <Button
                      size="small"
                      onClick={() => {
                        change(adoptRule(id, undefined));
                      }}
                    >
                      Adopted: drop
                    </Button>
                  ) : (
                    <span className="quiet">in use</span>
                  )
                ) : (
                  <Button
                    size="small"
                    aria-label={`Adopt ${rule.rule} for ${measurementLabel(id).toLowerCase()}`}
                    onClick={() => {
                      change(adoptRule(id, rule.ruleId));
                    }}
                  >
                    Adopt
                  </Button>
                ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
