import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useEffect, useRef, useState } from 'react';
import type { Block } from '../../../core/draft/index.js';
import { pathLength } from '../../../core/geometry/index.js';
import { FILE_UNITS, inFileUnit, laidLine, takenAsOutline, type Reference } from '../../../core/reference/index.js';
import { fileRefusalsSentence } from '../../../core/refusal/index.js';
import { formatFigure, readerIn, type Tape } from '../../../core/units/index.js';
import { FileButton } from '../../shared/FileButton.js';
import { withFractions } from '../../shared/fractions.js';
import { changeReference, layReference, removeReference } from '../../store/reference-work.js';
import { useChange, useUnit } from '../../store/work-context.js';
import { startOutline } from './outline-job.js';

const ACCEPTED = '.svg,.dxf,image/svg+xml,image/vnd.dxf,application/dxf';
/** Two scales are one unit when they differ by less than this share. */
const SAME = 1e-6;

/** Chooses a file and reads it, with a way to stop, and says what stands in the way. */
export function ChooseOutline({ block, words }: { block: Block; words: string }) {
  const unit = useUnit();
  const change = useChange();
  const job = useRef<ReturnType<typeof startOutline>>(undefined);
  const [reading, setReading] = useState<string>();
  const [problem, setProblem] = useState<string>();
  useEffect(
    () => () => {
      job.current?.stop();
    },
    [],
  );
  const read = (file: File): void => {
    setReading(file.name);
    setProblem(undefined);
    const started = startOutline(file, block, new Date());
    job.current = started;
    started.answer
      .then(
        (outcome) => {
          if (job.current !== started) return;
          if (outcome.ok) change(layReference(outcome.value));
          else setProblem(fileRefusalsSentence(outcome.refusals, readerIn(unit)));
        },
        () => {
          if (job.current === started) setProblem(`“${file.name}” cannot be read. Save it anew as SVG or DXF.`);
        },
      )
      .finally(() => {
        if (job.current === started) setReading(undefined);
      });
  };
  return (
    <>
      <div className="acts">
        {reading === undefined ? (
          <FileButton words={words} label="Outline from a file" size="small" accept={ACCEPTED} onFile={read} />
        ) : (
          <>
            <span role="status">Reading {reading} …</span>
            <Button
              size="small"
              variant="outlined"
              onClick={() => {
                job.current?.stop();
                job.current = undefined;
                setReading(undefined);
              }}
            >
              Stop
            </Button>
          </>
        )}
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </>
  );
}

const FROM_WORDS: Record<Reference['unitFrom'], string> = {
  file: 'as the file says.',
  guess:
    'taken because trousers are then the size of the draft: the file does not say. Measure a known length to be sure.',
  maker: 'as set here.',
};

/** The unit of the file, by name where it has one. */
function FileUnit({ reference, block }: { reference: Reference; block: Block }) {
  const change = useChange();
  const { mmPerUnit, unitFrom } = reference;
  const named = FILE_UNITS.find(([, mm]) => Math.abs(mm / mmPerUnit - 1) < SAME)?.[0];
  return (
    <p>
      A unit of the file is{' '}
      <NativeSelect
        inputProps={{ 'aria-label': 'Unit of the file' }}
        value={named ?? 'other'}
        onChange={(event) => {
          const unit = FILE_UNITS.find(([name]) => name === event.target.value)?.[1];
          if (unit !== undefined) change(changeReference((r) => inFileUnit(r, unit, block)));
        }}
      >
        {named === undefined && <option value="other">{mmPerUnit.toPrecision(5)} mm</option>}
        {FILE_UNITS.map(([name]) => (
          <option key={name} value={name}>
            1 {name}
          </option>
        ))}
      </NativeSelect>
      , <span className="quiet">{FROM_WORDS[unitFrom]}</span>
    </p>
  );
}

/** As many lines of a file are listed, the largest first. */
const LISTED = 24;

/** Which line of the file is which piece's outline. */
function FileLines({ reference, block, tape }: { reference: Reference; block: Block; tape: Tape }) {
  const change = useChange();
  const listed = reference.shapes.slice(0, LISTED);
  return (
    <details>
      <summary>
        {reference.shapes.length === 1 ? 'One line in the file' : `${reference.shapes.length} lines in the file`}
      </summary>
      <table className="figures">
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Long ({tape.unit})</th>
            <th scope="col">Is the outline of</th>
          </tr>
        </thead>
        <tbody>
          {listed.map((shape, i) => (
            <tr key={i}>
              <th scope="row">
                {i + 1} {shape.layer !== '' && <span className="quiet">{shape.layer}</span>}
              </th>
              <td className="number">
                {withFractions(formatFigure(pathLength(laidLine(reference, i, 'front')), tape))}
                {shape.closed ? '' : ', open'}
              </td>
              <td>
                <NativeSelect
                  inputProps={{ 'aria-label': `Line ${i + 1} is the outline of` }}
                  value={shape.piece}
                  onChange={(event) => {
                    const { value } = event.target;
                    const piece = value === 'front' || value === 'back' ? value : 'none';
                    change(changeReference((r) => takenAsOutline(r, i, piece, block)));
                  }}
                >
                  <option value="none">neither</option>
                  <option value="front">the front</option>
                  <option value="back">the back</option>
                </NativeSelect>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {listed.length < reference.shapes.length && (
        <p className="quiet">The {LISTED} largest are listed; all that lie in a piece are drawn with it.</p>
      )}
    </details>
  );
}

/** What is known of the file that lies under the draft: its name, unit, lines, and what was left out. */
export function OutlineFile({ reference, block, tape }: { reference: Reference; block: Block; tape: Tape }) {
  const change = useChange();
  const { leftOut, name, date } = reference;
  return (
    <section aria-label="The file">
      <p>
        <strong>{name}</strong> <span className="quiet">laid under on {date}</span>
      </p>
      <FileUnit reference={reference} block={block} />
      {leftOut.length > 0 && (
        <details open={leftOut.some(({ what }) => what.includes('damaged'))}>
          <summary>Left out of what the file holds</summary>
          <ul className="left-out">
            {leftOut.map(({ what, count }) => (
              <li key={what}>
                {count} × {what}
              </li>
            ))}
          </ul>
        </details>
      )}
      <FileLines reference={reference} block={block} tape={tape} />
      <ChooseOutline block={block} words="Another file" />
      <p>
        <button
          type="button"
          className="link"
          onClick={() => {
            change(removeReference);
          }}
        >
          Take the outline away
        </button>
      </p>
    </section>
  );
}
