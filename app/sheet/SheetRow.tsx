import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { memo, useMemo, useState } from 'react';
import {
  namesBefore,
  withFormula,
  withReason,
  withSlider,
  type Line,
  type Setting,
  type Sheet,
} from '../../core/method/index.js';
import { withFractions } from '../shared/fractions.js';
import { FormulaField } from './FormulaField.js';

interface RowProps {
  readonly sheet: Sheet;
  readonly line: Line | Setting;
  readonly label: string;
  readonly formula: string;
  readonly choices: Readonly<Record<string, string>>;
  readonly own: boolean;
  readonly was: string | undefined;
  readonly problem: string | undefined;
  readonly sum: string;
  readonly result: string;
  readonly onChange: (make: (sheet: Sheet) => Sheet, again?: boolean) => void;
}

/** One line of the sheet: its formula, the numbers put in, the result and the reason. */
export const SheetRow = memo(function SheetRow(props: RowProps) {
  const { sheet, line, label, formula, choices, own, was, problem, sum, result, onChange } = props;
  const names = useMemo(() => namesBefore(sheet, line.name), [sheet, line.name]);
  return (
    <tr data-row={line.name} data-differs={was !== undefined} data-wrong={problem !== undefined}>
      <th scope="row">
        {label}
        <span className="quiet"> {line.name}</span>
        {'house' in line && line.house && <span className="house"> house</span>}
      </th>
      <td>
        <FormulaField
          label={label}
          formula={formula}
          names={names}
          problem={problem}
          readOnly={!own}
          onCommit={(next, again) => {
            onChange((s) => withFormula(s, line.name, choices, next), again);
          }}
        />
        {was !== undefined && <span className="quiet was">was {was === '' ? 'nothing' : was}</span>}
      </td>
      <td className="with">{withFractions(sum)}</td>
      <td className="number">{withFractions(result)}</td>
      <td>
        {own ? (
          <ReasonField
            label={`Reason of ${label}`}
            value={line.reason}
            onCommit={(reason) => {
              onChange((s) => withReason(s, line.name, reason));
            }}
          />
        ) : (
          line.reason
        )}
        {'least' in line && own && (
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={line.slider ?? false}
                onChange={(_, on) => {
                  onChange((s) => withSlider(s, line.name, on));
                }}
              />
            }
            label={<span className="slider-word">Slider on the board</span>}
          />
        )}
      </td>
    </tr>
  );
});

/** The reason of a line, as long as it needs to be; taken over on leaving it. */
function ReasonField({ label, value, onCommit }: { label: string; value: string; onCommit: (text: string) => void }) {
  const [text, setText] = useState<string>();
  return (
    <textarea
      className="reason"
      rows={1}
      maxLength={2000}
      aria-label={label}
      value={text ?? value}
      onChange={(event) => {
        setText(event.target.value);
      }}
      onBlur={() => {
        if (text !== undefined && text !== value) onCommit(text);
        setText(undefined);
      }}
    />
  );
}
