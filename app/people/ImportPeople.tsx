import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Person } from '../../core/kept/index.js';
import { UNITS, type Unit } from '../../core/units/index.js';
import type { Column } from '../../formats/csv/index.js';
import { ColumnMapping } from '../shared/ColumnMapping.js';
import { takeHand, type Hand } from '../shared/job.js';
import type { TableFindings, TablePreview, TableReader } from '../workers/table.worker.js';
import { FileButton, TABLE_FILES } from '../shared/FileButton.js';
import './people.css';

interface ImportPeopleProps {
  readonly people: readonly Person[];
  readonly unit: Unit;
  readonly onClose: () => void;
  readonly onTaken: (people: readonly Person[], said: string) => Promise<void>;
}

/**
 * Brings people and sets in from a table: choose or paste it, say what its columns hold, see what is wrong, take the
 * rest.
 */
export function ImportPeople({ people, unit: ownUnit, onClose, onTaken }: ImportPeopleProps) {
  const job = useRef<Hand<TableReader>>(undefined);
  const [preview, setPreview] = useState<TablePreview>();
  const [columns, setColumns] = useState<readonly Column[]>([]);
  const [unit, setUnit] = useState(ownUnit);
  const [findings, setFindings] = useState<TableFindings>();
  const [progress, setProgress] = useState<number>();
  const [pasted, setPasted] = useState('');
  const [failed, setFailed] = useState(false);

  const stop = (): void => {
    job.current?.stop();
    job.current = undefined;
    setProgress(undefined);
  };
  useEffect(() => stop, []);
  const broke = (): undefined => {
    stop();
    setFailed(true);
  };

  const look = async (next: readonly Column[], inUnit: Unit): Promise<void> => {
    setColumns(next);
    setUnit(inUnit);
    setFindings(undefined);
    setProgress(0);
    const reading = job.current;
    const found = await reading
      ?.ask((reader) =>
        reader.people(
          next,
          inUnit,
          proxy((share: number) => {
            setProgress(100 * share);
          }),
        ),
      )
      .catch(broke);
    if (!found || job.current !== reading) return;
    setFindings(found);
    setProgress(undefined);
  };
  const open = async (text: string): Promise<void> => {
    stop();
    setFailed(false);
    setPreview(undefined);
    setFindings(undefined);
    setProgress(0);
    const reading = takeHand<TableReader>(
      () => new Worker(new URL('../workers/table.worker.ts', import.meta.url), { type: 'module' }),
      'The table could not be read',
    );
    job.current = reading;
    const opened = await reading.ask((reader) => reader.open(text)).catch(broke);
    if (!opened || job.current !== reading) return;
    setPreview(opened);
    await look(opened.columns, unit);
  };
  const take = async (): Promise<void> => {
    const done = await job.current?.ask((reader) => reader.enlisted(people, new Date())).catch(broke);
    if (!done) return;
    const parts = [
      `${done.added} new`,
      `${done.grown} with further sets`,
      ...(done.known > 0 ? [`${done.known} as they were`] : []),
    ];
    await onTaken(done.people, `Brought in a table: ${parts.join(', ')}`);
    onClose();
  };
  const named = columns.some((c) => c.meaning === 'name');

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="import-title">
      <DialogTitle id="import-title">Bring in a table of people</DialogTitle>
      <DialogContent>
        <div className="page-head">
          <FileButton
            words="Choose a file"
            label="Table file"
            accept={TABLE_FILES}
            onFile={(file) => {
              void file.text().then(open);
            }}
          />
          <label>
            Figures are in{' '}
            <NativeSelect
              value={unit}
              onChange={(event) => {
                const next = event.target.value as Unit;
                if (preview) void look(columns, next);
                else setUnit(next);
              }}
            >
              {UNITS.map((u) => (
                <option key={u} value={u}>
                  {u}
                </option>
              ))}
            </NativeSelect>{' '}
            <span className="quiet">where a column or a cell does not say otherwise</span>
          </label>
        </div>
        {!preview && (
          <>
            <label htmlFor="pasted-table">or paste rows here, with a header</label>
            <textarea
              id="pasted-table"
              className="text-field paste-area"
              rows={6}
              value={pasted}
              onChange={(event) => {
                setPasted(event.target.value);
              }}
            />
            <Button
              variant="outlined"
              disabled={pasted.trim() === ''}
              onClick={() => {
                void open(pasted);
              }}
            >
              Read what was pasted
            </Button>
          </>
        )}
        {failed && (
          <p className="problem" role="alert">
            The table could not be read. Save it as CSV and choose it again. Nothing was changed.
          </p>
        )}
        {preview && (
          <>
            <p>
              {preview.rows} {preview.rows === 1 ? 'row' : 'rows'}. What each column holds:
            </p>
            <ColumnMapping
              header={preview.header}
              first={preview.first}
              columns={columns}
              onChange={(next) => {
                void look(next, unit);
              }}
            />
            {!named && (
              <p className="problem" role="alert">
                No column holds the name. Choose “Name or size” over the column of names.
              </p>
            )}
          </>
        )}
        {progress !== undefined && (
          <div className="page-head">
            <LinearProgress
              variant="determinate"
              value={progress}
              aria-label="Reading the table"
              sx={{ flex: 1, minWidth: 120 }}
            />
            <Button
              onClick={() => {
                stop();
                setPreview(undefined);
              }}
            >
              Stop
            </Button>
          </div>
        )}
        {findings && (
          <div role="status" data-testid="findings">
            <p>
              {findings.people} {findings.people === 1 ? 'person' : 'people'} with {findings.sets}{' '}
              {findings.sets === 1 ? 'set' : 'sets'} can be taken over
              {findings.problemCount === 0
                ? '; nothing is wrong.'
                : `; ${findings.problemCount} ${findings.problemCount === 1 ? 'thing is' : 'things are'} wrong:`}
            </p>
            <ul className="notes row-problems">
              {findings.problems.map((p, i) => (
                <li key={i}>{p.sentence}</li>
              ))}
            </ul>
            {findings.problemCount > findings.problems.length && (
              <p className="quiet">and {findings.problemCount - findings.problems.length} more.</p>
            )}
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Change nothing</Button>
        <Button
          variant="contained"
          disabled={!findings || findings.people === 0}
          onClick={() => {
            void take();
          }}
        >
          Take over what is sound
        </Button>
      </DialogActions>
    </Dialog>
  );
}
