import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { Link } from 'react-router';
import type { SheetChoice } from '../../core/drawing/index.js';
import { formatLength } from '../../core/units/index.js';
import { PAPERS, readPages, unprintable, UNKNOWN_LETTER } from '../../formats/index.js';
import { labelOf } from '../checks/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { usePreferences } from '../store/preferences.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { PartPick } from './PartPick.js';
import { PrintActs } from './PrintActs.js';
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
  /** The pages that are wanted, as they were typed. */
  readonly only: string;
  readonly onOnly: (only: string) => void;
  readonly onLook: (bytes: Uint8Array) => void;
}

/** What is printed, on what, how much of it; and the PDF. */
export function PrintLines(props: PrintLinesProps) {
  const { print, choice, onChoice, part, onPart, size, onSize, only, onOnly, onLook } = props;
  const { draft, drawing, plan, pages, saved, paper } = print;
  const work = useWork((s) => s.work);
  const tape = useTape();
  const unit = useUnit();
  const { paper: paperId, rollWidth, ink, set } = usePreferences();
  const out = draft?.checks.filter((c) => c.verdict === 'out') ?? [];
  const strange = useMemo(() => unprintable([work.person.name, work.draft.name]), [work.person.name, work.draft.name]);
  const range = readPages(only, pages);

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
              onOnly(event.target.value);
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
      <PrintActs print={print} only={range.ok ? range : undefined} onLook={onLook} />
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
