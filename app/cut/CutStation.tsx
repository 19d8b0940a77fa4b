import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import NativeSelect from '@mui/material/NativeSelect';
import Switch from '@mui/material/Switch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatLength, readerIn, toMm } from '../../core/units/index.js';
import { DRAW_ALL, type SheetChoice } from '../../core/drawing/index.js';
import { EDGE_LABELS } from '../../core/garment/index.js';
import { PROFILE_ROLES } from '../../core/piece/index.js';
import { PAPERS, planTiles, toDxf, toSvg, unprintable, UNKNOWN_LETTER } from '../../formats/index.js';
import { labelOf } from '../checks/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeAllowance } from '../store/work-changes.js';
import type { Job } from '../shared/job.js';
import { printDrawing, printHead, startPrint, tiledDrawing } from './print.js';
import { TilePreview } from './TilePreview.js';

const DRAWN: readonly (readonly [keyof SheetChoice, string])[] = [
  ['stitching', 'Stitching line'],
  ['cut', 'Cut line'],
  ['construction', 'Frame and crease'],
];

const MOST_ALLOWANCE = 120;
/** So many letters that cannot be printed are named. */
const MOST_TOLD = 8;

/** Cut: allowances, paper, the tiles as they will come out, and the print at full size. */
export function CutStation() {
  const draft = useComputed((c) => c.draft);
  const refusal = useComputed((c) => c.refusals[0]);
  const work = useWork((s) => s.work);
  const tape = useTape();
  const unit = useUnit();
  const change = useChange();
  const { paper: paperId, rollWidth, set } = usePreferences();
  const [choice, setChoice] = useState<SheetChoice>(DRAW_ALL);
  const [progress, setProgress] = useState<number>();
  const [said, setSaid] = useState<string>();
  const job = useRef<Job<Uint8Array>>(undefined);
  const make = useRef<HTMLButtonElement>(null);
  const { allowances } = work.draft;
  const paper = PAPERS.find((p) => p.id === paperId);
  const tiled = useMemo(
    () => (draft && paper ? tiledDrawing(draft, work, allowances, choice, paper) : undefined),
    [draft, work, allowances, choice, paper],
  );
  const rolled = useMemo(
    () => (draft && !paper ? printDrawing(draft, work, allowances, choice, rollWidth) : undefined),
    [draft, work, allowances, choice, paper, rollWidth],
  );
  const drawing = tiled?.drawing ?? rolled;
  const plan = useMemo(() => (drawing && paper ? planTiles(drawing, paper) : undefined), [drawing, paper]);
  const out = draft?.checks.filter((c) => c.verdict === 'out') ?? [];
  const name = fileName(`${work.person.name} ${work.draft.name}`);
  const pages = plan ? plan.tiles.length + 1 : 1;
  const strange = useMemo(() => unprintable([work.person.name, work.draft.name]), [work.person.name, work.draft.name]);

  const made = progress === undefined && said !== undefined;
  useEffect(() => {
    // The button that was pressed gave way to the progress: the focus comes back to it, unless it went elsewhere.
    if (made && document.activeElement === document.body) make.current?.focus();
  }, [made]);

  const print = (): void => {
    if (!draft || !drawing) return;
    setSaid(undefined);
    setProgress(0);
    const started = startPrint(drawing, printHead(draft, work, tape), paper, (done, all) => {
      setProgress((100 * done) / all);
    });
    job.current = started;
    started.answer
      .then((bytes) => {
        saveFile(`${name}.pdf`, new Uint8Array(bytes), 'application/pdf');
        setSaid(
          `Made ${name}.pdf, ${pages} ${pages === 1 ? 'page' : 'pages'}. Print it at 100 % and measure the test squares.`,
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
      <main id="board" className="board" aria-label="Print preview">
        {drawing ? (
          <TilePreview drawing={drawing} plan={plan} />
        ) : (
          <div className="board-empty">There are no pieces to print yet.</div>
        )}
        {refusal && (
          <div className="board-message" role="status">
            {refusalSentence(refusal, readerIn(unit))} The print shows the last good draft.
          </div>
        )}
      </main>
      <aside className="bench" aria-label="Cut">
        <h2>Print at full size</h2>
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
        {DRAWN.map(([key, label]) => (
          <div key={key}>
            <FormControlLabel
              control={
                <Switch
                  size="small"
                  checked={choice[key]}
                  onChange={(_, on) => {
                    setChoice({ ...choice, [key]: on });
                  }}
                />
              }
              label={label}
            />
          </div>
        ))}
        <p aria-live="polite" data-testid="page-count">
          {plan
            ? `${pages} pages: ${plan.rows} rows of ${plan.columns}, and an overview with the test squares.${tiled?.saved ? ` Laid so that ${tiled.saved} fewer are needed.` : ''}`
            : drawing &&
              withFractions(`One sheet, ${formatLength(drawing.width, tape)} × ${formatLength(drawing.height, tape)}.`)}
        </p>
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
          <Button ref={make} variant="contained" disabled={!drawing} onClick={print}>
            Make PDF
          </Button>
        ) : (
          <>
            <LinearProgress variant="determinate" value={progress} aria-label="Making the print" />
            <Button
              onClick={() => {
                job.current?.stop();
                setProgress(undefined);
                setSaid('Stopped. Nothing was made.');
              }}
            >
              Stop
            </Button>
          </>
        )}{' '}
        <Button
          variant="outlined"
          disabled={!drawing}
          onClick={() => {
            if (!draft) return;
            const sheet = printDrawing(draft, work, allowances, choice, Infinity);
            saveFile(`${name}.svg`, toSvg(sheet, work.draft.name), 'image/svg+xml');
            setSaid(`Made ${name}.svg in true millimetres.`);
          }}
        >
          Save SVG
        </Button>{' '}
        <Button
          variant="outlined"
          disabled={!drawing}
          onClick={() => {
            if (!draft) return;
            const sheet = printDrawing(draft, work, allowances, choice, Infinity);
            saveFile(`${name}.dxf`, toDxf(sheet), 'application/dxf');
            setSaid(`Made ${name}.dxf, release 12, in millimetres, on layers by meaning.`);
          }}
        >
          Save DXF
        </Button>
        <p role="status">{said}</p>
        <h3>Allowances, outside the stitching line</h3>
        {PROFILE_ROLES.map((edge) => [edge, EDGE_LABELS[edge]] as const).map(([edge, label]) => (
          <div className="line" key={edge}>
            <label htmlFor={`allow-${edge}`}>{label}</label>
            <LengthField
              id={`allow-${edge}`}
              label={`${label} allowance`}
              mm={allowances.profile[edge]}
              unit={unit}
              onCommit={(mm) => {
                if (mm !== undefined && mm >= 0 && mm <= MOST_ALLOWANCE) change(changeAllowance(edge, mm));
                else
                  setSaid(
                    `${label} allowance must be between 0 and ${formatLength(toMm(MOST_ALLOWANCE, 'mm'), tape)}.`,
                  );
              }}
            />
          </div>
        ))}
        <p className="quiet">Blades cut: keep the free hand behind the cutter, and close it when you put it down.</p>
      </aside>
    </>
  );
}
