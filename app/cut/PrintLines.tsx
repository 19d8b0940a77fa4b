import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { SheetChoice } from '../../core/drawing/index.js';
import { formatLength } from '../../core/units/index.js';
import { PAPERS, readPages, unprintable, UNKNOWN_LETTER } from '../../formats/index.js';
import { labelOf } from '../checks/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { JobProgress } from '../shared/JobProgress.js';
import { LengthField } from '../shared/LengthField.js';
import type { Job } from '../shared/job.js';
import { PickLine } from '../shared/PickLine.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { PartPick } from './PartPick.js';
import { startPrint } from '../shared/print-job.js';
import { printHead } from './print.js';
import { PRINT_SIZES, type PrintSize } from './print-size.js';
import { SquareMeasured } from './SquareMeasured.js';
import type { Print } from './use-print.js';

const DRAWN: readonly (readonly [keyof SheetChoice, string])[] = [
  ['stitching', 'Stitching line'],
  ['cut', 'Cut line'],
  ['construction', 'Frame and crease'],
];

const INKS = [
  ['black', 'Black'],
  ['colour', 'Colour'],
] as const;

/** So many letters that cannot be printed are named. */
const MOST_TOLD = 8;

interface PrintLinesProps {
  readonly print: Print;
  readonly choice: SheetChoice;
  readonly onChoice: (choice: SheetChoice) => void;
  readonly part: string | undefined;
  readonly onPart: (part: string | undefined) => void;
  readonly size: PrintSize;
  readonly onSize: (size: PrintSize) => void;
}

/** What is printed, on what, how much of it; and the PDF. */
export function PrintLines({ print, choice, onChoice, part, onPart, size, onSize }: PrintLinesProps) {
  const { draft, drawing, plan, pages, saved, paper } = print;
  const work = useWork((s) => s.work);
  const tape = useTape();
  const unit = useUnit();
  const { paper: paperId, rollWidth, ink, set } = usePreferences();
  const [only, setOnly] = useState('');
  const [progress, setProgress] = useState<number>();
  const [said, setSaid] = useState<string>();
  const job = useRef<Job<Uint8Array>>(undefined);
  const make = useRef<HTMLButtonElement>(null);
  const out = draft?.checks.filter((c) => c.verdict === 'out') ?? [];
  const name = fileName(`${work.person.name} ${work.draft.name}`);
  const strange = useMemo(() => unprintable([work.person.name, work.draft.name]), [work.person.name, work.draft.name]);
  const range = readPages(only, pages);

  const made = progress === undefined && said !== undefined;
  useEffect(() => {
    // The button that was pressed gave way to the progress: the focus comes back to it, unless it went elsewhere.
    if (made && document.activeElement === document.body) make.current?.focus();
  }, [made]);

  const start = (): void => {
    if (!draft || !drawing || !range.ok) return;
    const wanted = paper ? range.pages : undefined;
    const count = wanted?.length ?? pages;
    setSaid(undefined);
    setProgress(0);
    const started = startPrint(drawing, printHead(draft, work, tape), paper, { ink, only: wanted }, (done, all) => {
      setProgress((100 * done) / all);
    });
    job.current = started;
    started.answer
      .then((bytes) => {
        saveFile(`${name}.pdf`, new Uint8Array(bytes), 'application/pdf');
        setSaid(
          `Made ${name}.pdf, ${count} ${count === 1 ? 'page' : 'pages'}. Print it at 100 % and measure the test squares.`,
        );
      })
      .catch(() => {
        setSaid('The print could not be made. Try again; if it fails again, save the SVG instead.');
      })
      .finally(() => {
        setProgress(undefined);
      });
  };

  return (
    <>
      <div className="line">
        <label htmlFor="paper">Paper</label>
        <NativeSelect
          inputProps={{ id: 'paper' }}
          sx={{ gridColumn: '2 / -1' }}
          value={paperId}
          onChange={(event) => {
            set({ paper: event.target.value as typeof paperId });
          }}
        >
          {PAPERS.map((p) => (
            <option key={p.id} value={p.id}>
              {p.label}
            </option>
          ))}
          <option value="roll">One sheet, roll</option>
        </NativeSelect>
      </div>
      {!paper && (
        <div className="line">
          <label htmlFor="roll-width">Roll width</label>
          <LengthField
            id="roll-width"
            label="Roll width"
            mm={rollWidth}
            unit={unit}
            problem={
              drawing && drawing.width > rollWidth
                ? `The pieces need ${formatLength(drawing.width, tape)}. Take a wider roll or tile them.`
                : undefined
            }
            onCommit={(mm) => {
              if (mm !== undefined && mm >= 200 && mm <= 5000) set({ rollWidth: mm });
            }}
          />
        </div>
      )}
      <PartPick label="Pieces" part={part} onPart={onPart} />
      <PickLine label="Size" value={size} choices={PRINT_SIZES} onChoose={onSize} />
      <PickLine
        label="Ink"
        value={ink}
        choices={INKS}
        onChoose={(next) => {
          set({ ink: next });
        }}
      />
      {DRAWN.map(([key, label]) => (
        <div key={key}>
          <FormControlLabel
            control={
              <Switch
                size="small"
                checked={choice[key]}
                onChange={(_, on) => {
                  onChoice({ ...choice, [key]: on });
                }}
              />
            }
            label={label}
          />
        </div>
      ))}
      <p aria-live="polite" data-testid="page-count">
        {plan
          ? `${pages} pages: ${plan.rows} rows of ${plan.columns}, and an overview with the test squares.${saved ? ` Laid so that ${saved} fewer are needed.` : ''}`
          : drawing &&
            withFractions(`One sheet, ${formatLength(drawing.width, tape)} × ${formatLength(drawing.height, tape)}.`)}
      </p>
      {paper && (
        <div className="line">
          <label htmlFor="pages">Pages</label>
          <TextField
            id="pages"
            variant="standard"
            size="small"
            sx={{ gridColumn: '2 / -1' }}
            placeholder="all"
            value={only}
            error={!range.ok}
            helperText={range.ok ? undefined : range.told}
            onChange={(event) => {
              setOnly(event.target.value);
            }}
          />
        </div>
      )}
      {out.length > 0 && (
        <p className="doubt" role="note" data-out>
          Out of band: {out.map((c) => labelOf(c, tape).toLowerCase()).join(', ')}.{' '}
          <Link to="../true" relative="path">
            See to it at True
          </Link>
        </p>
      )}
      {strange.length > 0 && (
        <p role="note">
          {`The print has no letter for ${strange.slice(0, MOST_TOLD).join(' ')}${strange.length > MOST_TOLD ? ' …' : ''}. “${UNKNOWN_LETTER}” will stand there; write the name in Latin, Greek or Cyrillic letters, or save the SVG, which keeps it.`}
        </p>
      )}
      {progress === undefined ? (
        <Button ref={make} variant="contained" disabled={!drawing || !range.ok} onClick={start}>
          Make PDF
        </Button>
      ) : (
        <JobProgress
          label="Making the print"
          value={progress}
          onStop={() => {
            job.current?.stop();
            setProgress(undefined);
            setSaid('Stopped. Nothing was made.');
          }}
        />
      )}
      <p role="status">{said}</p>
      <SquareMeasured />
      <p className="quiet">
        Allowances and notches are set at{' '}
        <Link to="../finish" relative="path">
          Finish
        </Link>
        . Blades cut: keep the free hand behind the cutter, and close it when you put it down.
      </p>
    </>
  );
}
