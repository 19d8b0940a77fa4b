import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useRef, useState } from 'react';
import { setOf, valuesOf, type Run } from '../../core/kept/index.js';
import { isMeasurementId } from '../../core/measure/index.js';
import { specPage } from '../../core/make/index.js';
import { BATCH_KINDS, type BatchKind } from '../../formats/batch-files.js';
import { writePeople } from '../../formats/csv/index.js';
import { PAPERS } from '../../formats/index.js';
import { startSheets } from '../shared/print-job.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { chalkChoiceOf } from '../shared/chalk-choice.js';
import { usePreferences } from '../store/preferences.js';
import { useUnit, useWork } from '../store/work-context.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { startFiles } from './batch-job.js';
import type { RowLine } from './RowGrid.js';

const KIND_LABELS: Readonly<Record<BatchKind, string>> = {
  pdf: 'Pieces at full size, PDF',
  dxf: 'Pieces, DXF',
  svg: 'Pieces, SVG',
  chalk: 'Chalk sheets',
  cutList: 'Cut lists',
  spec: 'Spec sheets',
};

/** Everything of the run in one zip: what is wanted of each body, a table that tells of all, and their measurements. */
export function FilesLines({
  run,
  lines,
  tasks,
}: {
  readonly run: Run;
  /** Those whose files are wanted. */
  readonly lines: readonly RowLine[];
  readonly tasks: ReadonlyMap<string, BatchTask>;
}) {
  const draft = useWork((s) => s.work.draft);
  const unit = useUnit();
  const paperId = usePreferences((p) => p.paper);
  const ink = usePreferences((p) => p.ink);
  const chalk = usePreferences((p) => p.chalk);
  const [kinds, setKinds] = useState<ReadonlySet<BatchKind>>(new Set(['pdf', 'cutList']));
  const [progress, setProgress] = useState<{ readonly done: number; readonly all: number }>();
  const [said, setSaid] = useState<string>();
  const job = useRef<{ readonly stop: () => void }>(undefined);
  useEffect(
    () => () => {
      job.current?.stop();
    },
    [],
  );
  const paper = PAPERS.find((p) => p.id === paperId);
  const sheets = paper ?? PAPERS[0];
  const made = lines.filter(({ row }) => row?.ok);
  const name = fileName(`${draft.name} ${run.name}`);
  const title = draft.name;

  const write = (): void => {
    if (!sheets) return;
    setSaid(undefined);
    setProgress({ done: 0, all: lines.length });
    const measured = writePeople(
      lines.map(({ body: { work } }) => {
        const set = setOf(work);
        const { name: who, figure } = work.person;
        // A size was measured on no day.
        const date = run.of.from === 'people' ? set.date : '';
        return { name: who, figure, date, taker: set.taker, note: set.note, values: valuesOf(set) };
      }),
      [...new Set(lines.flatMap(({ body }) => Object.keys(valuesOf(setOf(body.work))).filter(isMeasurementId)))],
      unit,
    );
    const started = startFiles(
      lines.flatMap(({ id, body }) => {
        const task = tasks.get(id);
        const note = run.of.from === 'people' ? `measured ${body.note}` : body.note;
        return task ? [{ name: body.name, note, input: task.input, making: task.making }] : [];
      }),
      {
        title,
        date: new Date(draft.changed),
        kinds: BATCH_KINDS.filter((k) => kinds.has(k)),
        paper,
        sheets,
        ink,
        chalk: chalkChoiceOf(chalk, unit),
        along: [{ name: 'measurements.csv', text: measured }],
      },
      (done) => {
        setProgress({ done, all: lines.length });
      },
    );
    job.current = started;
    started.answer
      .then((zip) => {
        saveFile(`${name}.zip`, zip, 'application/zip');
        setSaid(`Made ${name}.zip: ${made.length} of ${lines.length}, and a table that tells of all.`);
      })
      .catch(() => {
        setSaid('The files could not be written. Try again, with fewer kinds of files at once.');
      })
      .finally(() => {
        job.current = undefined;
        setProgress(undefined);
      });
  };
  const spec = (): void => {
    if (!sheets) return;
    const columns = made.flatMap(({ body, row }) => (row?.ok ? [{ name: body.name, lines: row.spec }] : []));
    // A page holds so many sizes beside one another.
    const pages = Array.from({ length: Math.ceil(columns.length / SIZES_A_PAGE) }, (_, i) =>
      specPage(columns.slice(i * SIZES_A_PAGE, (i + 1) * SIZES_A_PAGE), unit),
    );
    setSaid(undefined);
    setProgress({ done: 0, all: 1 });
    const head = { title, lines: [run.name], date: new Date(draft.changed) };
    const started = startSheets(pages, head, sheets, (done, all) => {
      setProgress({ done, all });
    });
    job.current = started;
    started.answer
      .then((bytes) => {
        saveFile(`${name}-spec.pdf`, new Uint8Array(bytes), 'application/pdf');
        setSaid(`Made ${name}-spec.pdf.`);
      })
      .catch(() => {
        setSaid('The spec sheet could not be made. Try again.');
      })
      .finally(() => {
        job.current = undefined;
        setProgress(undefined);
      });
  };
  return (
    <>
      <p className="quiet">
        {lines.length === 0
          ? 'Nobody is in this run.'
          : `Of ${lines.length === 1 ? 'the one' : `the ${lines.length}`} ${lines.length === 1 ? 'that is' : 'that are'} ticked or shown, in one zip, each under its name.`}
      </p>
      {BATCH_KINDS.map((kind) => (
        <FormControlLabel
          key={kind}
          className="tick"
          control={
            <Checkbox
              size="small"
              checked={kinds.has(kind)}
              onChange={(_, on) => {
                setKinds(new Set(BATCH_KINDS.filter((k) => (k === kind ? on : kinds.has(k)))));
              }}
            />
          }
          label={KIND_LABELS[kind]}
        />
      ))}
      <p className="quiet">Along with summary.csv and measurements.csv. Paper: {paper?.label ?? 'roll'}.</p>
      {progress === undefined ? (
        <div className="acts">
          <Button variant="contained" disabled={made.length === 0} onClick={write}>
            Save all in a zip
          </Button>
          <Button variant="outlined" disabled={made.length === 0} onClick={spec}>
            Spec sheet of all
          </Button>
        </div>
      ) : (
        <div className="acts">
          <progress max={progress.all} value={progress.done} aria-label="Files written" />
          <span>
            {progress.done} of {progress.all}
          </span>
          <Button
            size="small"
            onClick={() => {
              job.current?.stop();
              job.current = undefined;
              setProgress(undefined);
              setSaid('Stopped; no file was written.');
            }}
          >
            Stop
          </Button>
        </div>
      )}
      <p role="status" className="quiet">
        {said}
      </p>
    </>
  );
}

const SIZES_A_PAGE = 5;
