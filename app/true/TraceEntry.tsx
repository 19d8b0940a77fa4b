import Button from '@mui/material/Button';
import { useId, useState } from 'react';
import { dayOf, setOf, type Trace } from '../../core/kept/index.js';
import { runningLengths, type Point } from '../../core/geometry/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { CARE } from '../../core/measure/index.js';
import { readerIn } from '../../core/units/index.js';
import { smoothTrace } from '../../core/trace/index.js';
import { readTracePoints } from '../../formats/trace-points.js';
import { FileButton } from '../shared/FileButton.js';
import { LengthField } from '../shared/LengthField.js';
import { useUnit, useWork } from '../store/work-context.js';
import { PhotoTrace } from './PhotoTrace.js';

const today = (): string => dayOf(new Date());

/** Enters a trace: points typed or pasted, a file with points or an SVG path, or clicks over a photo. */
export function TraceEntry({ onTrace }: { onTrace: (trace: Trace) => void }) {
  const id = useId();
  const unit = useUnit();
  const measured = useWork(({ work }) => setOf(work).values);
  const [text, setText] = useState('');
  const [whole, setWhole] = useState<number | undefined>(measured.crotchLength);
  const [toInseam, setToInseam] = useState<number | undefined>(measured.frontRise);
  const [photo, setPhoto] = useState<string>();
  const [problem, setProblem] = useState<string>();

  const take = (points: readonly Point[], scaled: boolean): boolean => {
    const length = runningLengths(points)[points.length - 1] ?? 0;
    const factor = !scaled && whole !== undefined && length > 0 ? whole / length : 1;
    const real = length * factor;
    const inseam = toInseam === undefined ? 0.45 : toInseam / real;
    const laid = points.map((p) => ({ x: p.x * factor, y: p.y * factor }));
    const smooth = smoothTrace({ points: laid, inseam });
    if (!smooth.ok) {
      setProblem(fileRefusalsSentence(smooth.refusals, readerIn(unit)));
      return false;
    }
    setProblem(undefined);
    const now = today();
    onTrace({ id: crypto.randomUUID(), name: `Trace of ${now}`, date: now, note: '', points: laid, inseam });
    return true;
  };
  const read = (from: string): void => {
    const points = readTracePoints(from, unit);
    if (!points.ok) setProblem(fileRefusalsSentence(points.refusals, readerIn(unit)));
    else if (take(points.value, false)) setText('');
  };

  return (
    <details open>
      <summary>Enter a trace</summary>
      <p className="quiet">
        Bend a flexible ruler to the body from the waist in front, under, to the waist behind, and draw round it. Front
        first, down is down. {CARE}
      </p>
      <div className="alter-field">
        <span>Whole length by tape, for its scale</span>
        <LengthField label="Whole length by tape" mm={whole} unit={unit} allowEmpty onCommit={setWhole} />
      </div>
      <div className="alter-field">
        <span>From the front’s waist to the inseam</span>
        <LengthField
          label="From the front’s waist to the inseam"
          mm={toInseam}
          unit={unit}
          allowEmpty
          onCommit={setToInseam}
        />
      </div>
      <label htmlFor={id}>Points, one a row, across and down; or the data of an SVG path</label>
      <textarea
        id={id}
        className="trace-text"
        rows={4}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
        }}
      />
      <div className="acts">
        <Button
          size="small"
          variant="contained"
          disabled={text.trim() === ''}
          onClick={() => {
            read(text);
          }}
        >
          Lay it on
        </Button>
        <FileButton
          words="From a file"
          label="Trace from a file"
          size="small"
          accept=".csv,.txt,.tsv,.svg,image/svg+xml,text/csv,text/plain"
          onFile={(file) => {
            file.text().then(read, () => {
              setProblem(`The file ${file.name} cannot be read. Choose another.`);
            });
          }}
        />
        <FileButton
          words="Over a photo"
          label="Photo to trace over"
          size="small"
          accept="image/*"
          onFile={(file) => {
            setPhoto(URL.createObjectURL(file));
          }}
        />
      </div>
      {problem && <p className="problem">{problem}</p>}
      {photo !== undefined && (
        <PhotoTrace
          photo={photo}
          onCancel={() => {
            URL.revokeObjectURL(photo);
            setPhoto(undefined);
          }}
          onPoints={(points) => {
            if (!take(points, true)) return;
            URL.revokeObjectURL(photo);
            setPhoto(undefined);
          }}
        />
      )}
    </details>
  );
}
