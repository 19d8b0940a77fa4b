import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import type { ChartSize } from '../../core/measure/index.js';
import { UNITS, type Unit } from '../../core/units/index.js';
import { columnsOf, readChart, readTable, type Column } from '../../formats/csv/index.js';
import { ColumnMapping } from '../shared/ColumnMapping.js';
import { FileButton, TABLE_FILES } from '../shared/FileButton.js';

const FIRST_ROWS = 5;
/** More text than this is no size chart. */
const MOST_TEXT = 2_000_000;

interface ImportChartProps {
  readonly unit: Unit;
  readonly onClose: () => void;
  readonly onTaken: (sizes: readonly ChartSize[], name: string) => Promise<void>;
}

/** Brings a size chart in from a table: choose it, say what its columns hold, see what is wrong, take the rest. */
export function ImportChart({ unit: ownUnit, onClose, onTaken }: ImportChartProps) {
  const [text, setText] = useState<string>();
  const [name, setName] = useState('My chart');
  const [unit, setUnit] = useState(ownUnit);
  const [mapped, setMapped] = useState<readonly Column[]>();
  const [tooLarge, setTooLarge] = useState(false);
  const opened = useMemo(() => (text === undefined ? undefined : readTable(text)), [text]);
  const columns = useMemo(() => mapped ?? (opened ? columnsOf(opened.table.header) : []), [mapped, opened]);
  const found = useMemo(() => opened && readChart(opened.table, columns, unit), [opened, columns, unit]);
  const problems = [...(opened?.problems ?? []), ...(found?.problems ?? [])].sort((a, b) => a.row - b.row);
  const open = async (chosen: File): Promise<void> => {
    setMapped(undefined);
    setTooLarge(chosen.size > MOST_TEXT);
    if (chosen.size > MOST_TEXT) return;
    setName(chosen.name.replace(/\.[^.]+$/, '').slice(0, 100) || 'My chart');
    setText(await chosen.text());
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="import-chart-title">
      <DialogTitle id="import-chart-title">Bring in a size chart</DialogTitle>
      <DialogContent>
        <div className="page-head">
          <FileButton
            words="Choose a file"
            label="Chart file"
            accept={TABLE_FILES}
            onFile={(file) => {
              void open(file);
            }}
          />
          <label>
            Figures are in{' '}
            <NativeSelect
              value={unit}
              onChange={(event) => {
                setUnit(event.target.value as Unit);
              }}
            >
              {UNITS.map((u) => (
                <option key={u} value={u}>
                  {u}
                </option>
              ))}
            </NativeSelect>
          </label>
          <label>
            Name of the chart{' '}
            <input
              className="text-field"
              value={name}
              maxLength={200}
              onChange={(event) => {
                setName(event.target.value);
              }}
            />
          </label>
        </div>
        {tooLarge && (
          <p className="problem" role="alert">
            This file is too large for a size chart. Choose a table with a row for each size.
          </p>
        )}
        {opened && (
          <ColumnMapping
            header={opened.table.header}
            first={opened.table.rows.slice(0, FIRST_ROWS).map((r) => r.cells)}
            columns={columns}
            onChange={setMapped}
          />
        )}
        {found && (
          <div role="status" data-testid="findings">
            <p>
              {found.sizes.length} {found.sizes.length === 1 ? 'size' : 'sizes'} can be taken over
              {problems.length === 0 ? '; nothing is wrong.' : `; ${problems.length} wrong:`}
            </p>
            <ul className="notes row-problems">
              {problems.slice(0, 200).map((p, i) => (
                <li key={i}>{p.sentence}</li>
              ))}
            </ul>
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Change nothing</Button>
        <Button
          variant="contained"
          disabled={!found || found.sizes.length === 0}
          onClick={() => {
            if (found) void onTaken(found.sizes, name.trim() || 'My chart').then(onClose);
          }}
        >
          Take over what is sound
        </Button>
      </DialogActions>
    </Dialog>
  );
}
