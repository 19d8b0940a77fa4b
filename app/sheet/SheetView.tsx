import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo, useState, type ReactNode } from 'react';
import {
  checkSheet,
  differences,
  formulaFor,
  lineLabel,
  ownCopy,
  panelLine,
  showSum,
  type Line,
  type PanelName,
  type Setting,
  type Sheet,
  type Worked,
} from '../../core/method/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { formatLength, readerIn, type Tape, type Unit } from '../../core/units/index.js';
import { readSheet, writeSheet } from '../../core/workbook/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { FileButton, JSON_FILES } from '../shared/FileButton.js';
import { NameField } from '../shared/NameField.js';
import { saveFile } from '../shared/save-file.js';
import { ViewHead } from '../shared/ViewHead.js';
import { putSheets, sheetOf } from '../store/sheets.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeMethod, changeSheet, joined } from '../store/work-changes.js';
import { SheetRow } from './SheetRow.js';
import './sheet.css';

putSheets(SHEETS);

function figured(worked: Worked | undefined, name: string, unit: Unit, tape: Tape): { sum: string; result: string } {
  const line = worked?.ledger.get(name);
  if (!worked || !line) return { sum: '', result: '' };
  const result =
    typeof line.value === 'number' && line.kind === 'length'
      ? formatLength(line.value, tape)
      : typeof line.value === 'number'
        ? String(Number(line.value.toFixed(3)))
        : line.value;
  return { sum: line.source === 'hand' ? 'set by hand' : showSum(worked, name, unit).with, result };
}

/** The sheet of the draft in hand, line by line; a maker's own can be changed, and the board follows. */
export function SheetView({ board }: { board: () => ReactNode }) {
  const draft = useWork(({ work }) => work.draft);
  const computed = useComputed((c) => c.draft?.worked);
  const change = useChange();
  const unit = useUnit();
  const tape = useTape();
  const [onlyDiffering, setOnlyDiffering] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const sheet = sheetOf(draft);
  const own = draft.sheet !== undefined;
  const original = SHEETS.find((s) => s.id === sheet.basedOn);
  const faults = useMemo(() => new Map(checkSheet(sheet).map((f) => [f.line, f.sentence])), [sheet]);
  // A refused sheet leaves the figures of the last good draft, which may be another method's.
  const worked = computed?.sheet.lines.length === sheet.lines.length ? computed : undefined;
  const choices = useMemo(() => {
    const first = Object.fromEntries(sheet.choices.map((c) => [c.id, c.values[0]?.id ?? '']));
    return { ...first, ...worked?.choices, ...draft.choices };
  }, [sheet, worked, draft.choices]);
  const differing = useMemo(
    () => new Map(own && original ? differences(sheet, original, choices).map((d) => [d.name, d.was]) : []),
    [own, original, sheet, choices],
  );
  const onChange = useMemo(
    () =>
      (make: (s: Sheet) => Sheet, again = false) => {
        change(again ? joined(changeSheet(make)) : changeSheet(make));
      },
    [change],
  );
  const way = sheet.choices
    .map((c) => c.values.find((v) => v.id === choices[c.id])?.label)
    .filter(Boolean)
    .join(', ');
  const section = (title: string, rows: readonly (Line | Setting)[]): ReactNode => {
    const shown = rows.filter((r) => !onlyDiffering || differing.has(r.name) || faults.has(r.name));
    if (shown.length === 0) return undefined;
    return (
      <tbody>
        <tr className="group">
          <th scope="colgroup" colSpan={5}>
            {title}
          </th>
        </tr>
        {shown.map((line) => (
          <SheetRow
            key={line.name}
            sheet={sheet}
            line={line}
            label={lineLabel(sheet, line.name)}
            formula={line.formula === undefined ? '' : (formulaFor(line.formula, choices) ?? '')}
            choices={choices}
            own={own}
            was={differing.get(line.name)}
            problem={faults.get(line.name)}
            {...figured(worked, line.name, unit, tape)}
            onChange={onChange}
          />
        ))}
      </tbody>
    );
  };
  const of = (panel: PanelName): Line[] => sheet.lines.filter((l) => panelLine(l.name)?.panel === panel);
  const take = (next: Sheet, name: string): void => {
    change(changeMethod(ownCopy(next, `own-${crypto.randomUUID()}`, name)));
  };
  return (
    <>
      {board()}
      <aside className="bench wide-bench" aria-label="Sheet">
        <ViewHead title="Method sheet" />
        <div className="acts">
          {own ? (
            <NameField
              className="head-name"
              label="Name of the method"
              value={sheet.name}
              onCommit={(name) => {
                onChange((s) => ({ ...s, name }));
              }}
            />
          ) : (
            <strong>{sheet.name}</strong>
          )}
          <Button
            size="small"
            variant={own ? 'outlined' : 'contained'}
            onClick={() => {
              take(sheet, own ? `${sheet.name}, copy` : `My ${sheet.name.toLowerCase()}`);
            }}
          >
            {own ? 'Make another copy' : 'Make it my own'}
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              saveFile(`${sheet.name}.method.json`, writeSheet(sheet), 'application/json');
            }}
          >
            Save sheet to file
          </Button>
          <FileButton
            words="Open sheet file"
            label="Sheet file"
            accept={JSON_FILES}
            size="small"
            onFile={(file) => {
              void file.text().then((text) => {
                const read = readSheet(text);
                if (read.ok) take(read.value, read.value.name);
                setTrouble(read.ok ? undefined : fileRefusalsSentence(read.refusals, readerIn(unit)));
              });
            }}
          />
        </div>
        {trouble !== undefined && (
          <p className="doubt" role="alert">
            {trouble}
          </p>
        )}
        {own ? (
          <p>
            <FormControlLabel
              control={
                <Checkbox
                  size="small"
                  checked={onlyDiffering}
                  onChange={(_, on) => {
                    setOnlyDiffering(on);
                  }}
                />
              }
              label={`${differing.size} ${differing.size === 1 ? 'line differs' : 'lines differ'} from “${original?.name ?? sheet.basedOn ?? ''}”: show only these`}
            />
          </p>
        ) : (
          <p className="quiet">A shipped sheet stays as it is. Make it your own to change a formula.</p>
        )}
        {faults.size > 0 && (
          <p className="doubt" role="note">
            {faults.size === 1 ? 'One line has' : `${faults.size} lines have`} a mistake. The board keeps the last good
            draft until it is mended.
          </p>
        )}
        <table className="figures sheet-table">
          <caption>{way === '' ? 'Formulas' : `Formulas for: ${way}`}</caption>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Formula</th>
              <th scope="col">With numbers</th>
              <th scope="col">Result</th>
              <th scope="col">Reason</th>
            </tr>
          </thead>
          {section('Settings', sheet.settings)}
          {section(
            'Levels',
            sheet.lines.filter((l) => !panelLine(l.name)),
          )}
          {section(sheet.first === 'back' ? 'Back' : 'Front', of(sheet.first === 'back' ? 'back' : 'front'))}
          {section(sheet.first === 'back' ? 'Front' : 'Back', of(sheet.first === 'back' ? 'front' : 'back'))}
        </table>
      </aside>
    </>
  );
}
