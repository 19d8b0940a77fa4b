import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useMemo, useState } from 'react';
import { newestTrace, type Trace } from '../../core/kept/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { layTrace, sayGaps, smoothTrace, takeShape } from '../../core/trace/index.js';
import { formatLength, readerIn } from '../../core/units/index.js';
import { LengthField } from '../shared/LengthField.js';
import { withFractions } from '../shared/fractions.js';
import { ViewHead } from '../shared/ViewHead.js';
import { addAlterations, newAlteration } from '../store/alteration-work.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { changePerson } from '../store/work-changes.js';
import { CurveDrawing } from './CurveDrawing.js';
import { TraceEntry } from './TraceEntry.js';
import './true.css';

/** How far a seam may be moved toward the body at once, in mm. */
const LIMIT = 15;

const TAKES: readonly (readonly [string, readonly PanelName[]])[] = [
  ['front and back', PANEL_NAMES],
  ['front', ['front']],
  ['back', ['back']],
];

/**
 * The body's crotch curve laid on the joined rises: how far the seams stand off it, in figures and words, and its shape
 * to take.
 */
export function CurveView() {
  const [pickId, inseamId] = [useId(), useId()];
  const block = useComputed((c) => c.draft?.block);
  const person = useWork(({ work }) => work.person);
  const change = useChange();
  const unit = useUnit();
  const tape = useTape();
  const [chosen, setChosen] = useState<string>();
  const [limit, setLimit] = useState(LIMIT);
  const trace = person.traces.find((t) => t.id === chosen) ?? newestTrace(person);
  const smooth = useMemo(() => trace && smoothTrace(trace), [trace]);
  const laid = useMemo(() => (block && smooth?.ok ? layTrace(block, smooth.value) : undefined), [block, smooth]);
  if (!block) return <p className="quiet">Enter the four measurements first.</p>;

  const changeTrace = (changed: Trace): void => {
    change(changePerson({ traces: person.traces.map((t) => (t.id === changed.id ? changed : t)) }));
  };
  const total = smooth?.ok ? smooth.value.total : 0;
  const take = (panels: readonly PanelName[]): void => {
    if (!laid || !trace) return;
    const taken = panels.map((panel) =>
      newAlteration(takeShape(block, laid, panel, limit), `The shape of ${trace.name}`),
    );
    change(addAlterations(taken));
  };
  return (
    <>
      <main className="board curve" aria-label="Board">
        {laid ? (
          <CurveDrawing laid={laid} tape={tape} />
        ) : (
          <div className="board-empty">
            <p>
              {smooth && !smooth.ok
                ? fileRefusalsSentence(smooth.refusals, readerIn(unit))
                : `No trace of ${person.name} yet. Enter one at the right.`}
            </p>
          </div>
        )}
      </main>
      <aside className="bench" aria-label="The body’s curve">
        <ViewHead title="The body’s curve" station="True" />
        {trace && (
          <>
            <div className="alter-field">
              <label htmlFor={pickId}>Trace</label>
              <NativeSelect
                inputProps={{ id: pickId }}
                value={trace.id}
                onChange={(event) => {
                  setChosen(event.target.value);
                }}
              >
                {person.traces.map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name}
                  </option>
                ))}
              </NativeSelect>
            </div>
            {trace.note !== '' && <p className="quiet">{trace.note}</p>}
            {total > 0 && (
              <>
                <label htmlFor={inseamId}>
                  The inseam falls {withFractions(formatLength(trace.inseam * total, tape))} from the front’s waist
                </label>
                <input
                  id={inseamId}
                  className="walk-slider"
                  type="range"
                  min={20}
                  max={80}
                  step={0.5}
                  value={trace.inseam * 100}
                  aria-valuetext={formatLength(trace.inseam * total, tape)}
                  onChange={(event) => {
                    changeTrace({ ...trace, inseam: Number(event.target.value) / 100 });
                  }}
                />
              </>
            )}
          </>
        )}
        {laid && (
          <section aria-label="How the seams follow the body">
            {PANEL_NAMES.map((panel) => (
              <p key={panel} data-shape={panel}>
                <strong>{withFractions(sayGaps(panel, laid[panel], unit))}</strong>{' '}
                <span className="quiet">
                  Area between the two {(laid[panel].area / 100).toFixed(0)} cm²; the seam is compared as far up as the
                  trace reaches.
                </span>
              </p>
            ))}
            <div className="alter-field">
              <span>Moved at most</span>
              <LengthField
                label="Moved at most"
                mm={limit}
                unit={unit}
                onCommit={(mm) => {
                  if (mm !== undefined && mm > 0) setLimit(mm);
                }}
              />
            </div>
            <p className="quiet">
              Takes the body’s shape by scooping and filling, the rise as long as it was. Cloth cut away from a front
              curve cannot be put back: sew a toile first.
            </p>
            <div className="acts">
              <span>Take the shape:</span>
              {TAKES.map(([words, panels]) => (
                <Button
                  key={words}
                  size="small"
                  variant="outlined"
                  onClick={() => {
                    take(panels);
                  }}
                >
                  {words}
                </Button>
              ))}
            </div>
            <p>
              <button
                type="button"
                className="link"
                onClick={() => {
                  change(changePerson({ traces: person.traces.filter((t) => t.id !== trace?.id) }));
                }}
              >
                Remove this trace
              </button>
            </p>
          </section>
        )}
        <TraceEntry
          key={person.traces.length}
          onTrace={(made) => {
            change(changePerson({ traces: [...person.traces, made] }));
            setChosen(made.id);
          }}
        />
      </aside>
    </>
  );
}
