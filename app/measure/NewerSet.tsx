import { refusalsSentence } from '../../core/refusal/index.js';
import Button from '@mui/material/Button';
import { computeDraft } from '../../core/chain/index.js';
import { compareDrafts } from '../../core/compare/index.js';
import { newerSet, setOf, valuesOf } from '../../core/kept/index.js';
import { compareSets, measurementLabel } from '../../core/measure/index.js';
import { formatFigure, readerIn, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { outlinesOf } from '../shared/outlines.js';
import { Overlay } from '../shared/Overlay.js';
import { signedFigure } from '../shared/signed.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { moveToSet } from '../store/work-changes.js';
import { useMeasuring } from './measuring-store.js';

const MOST_LINES = 14;

interface ChangeRow {
  readonly name: string;
  readonly label: string;
  readonly before: number | undefined;
  readonly after: number | undefined;
  readonly by: number | undefined;
}

function ChangeTable({ caption, rows, tape }: { caption: string; rows: readonly ChangeRow[]; tape: Tape }) {
  const show = (mm: number | undefined): string => (mm === undefined ? '–' : withFractions(formatFigure(mm, tape)));
  return (
    <table className="figures">
      <caption>
        {caption}, {tape.unit}
      </caption>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">Now</th>
          <th scope="col">Then</th>
          <th scope="col">Change</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name} data-change={row.name}>
            <th scope="row">{row.label}</th>
            <td>{show(row.before)}</td>
            <td>{show(row.after)}</td>
            <td>{row.by === undefined ? '' : signedFigure(row.by, tape)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What would change if the draft moved to the newer set: figures, drawn overlay, and the move itself. */
export function WhatWouldChange() {
  const person = useWork(({ work }) => work.person);
  const draft = useWork(({ work }) => work.draft);
  const now = useComputed((c) => c.draft);
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const measuring = useMeasuring();
  const set = setOf({ person, draft });
  const newer = newerSet(person, set);
  const then = newer && computeDraft(inputNow({ person, draft: { ...draft, setId: newer.id } }));
  if (!newer || !then) return <div className="board-empty">This draft is made from the newest set.</div>;
  const figures: ChangeRow[] = compareSets(valuesOf(set), valuesOf(newer))
    .filter((f) => f.before !== f.after)
    .map((f) => ({ ...f, name: f.id, label: measurementLabel(f.id) }));
  const lengths = now && then.ok ? compareDrafts(now, then.value) : [];
  return (
    <div className="what-would-change">
      <div className="sheet">
        <h2>
          From the set of {set.date} to that of {newer.date}
        </h2>
        <div className="acts">
          <Button
            variant="contained"
            onClick={() => {
              change(moveToSet(newer.id));
              measuring.set({ comparing: false });
              // The button goes with what would have changed: the focus goes on to what lies in the middle.
              document.querySelector<HTMLElement>('.middle-choice button')?.focus();
            }}
          >
            Move to the newer set
          </Button>
          <Button
            onClick={() => {
              measuring.set({ comparing: false });
            }}
          >
            Stay
          </Button>
        </div>
        {!then.ok && (
          <p className="problem">
            The newer set cannot be drafted yet: {refusalsSentence(then.refusals.slice(0, 1), readerIn(unit))}
          </p>
        )}
        <ChangeTable caption="Measurements" rows={figures} tape={tape} />
        {lengths.length > 0 && (
          <ChangeTable caption="The draft, largest first" rows={lengths.slice(0, MOST_LINES)} tape={tape} />
        )}
      </div>
      {now && then.ok && (
        <Overlay
          first={outlinesOf(now.block)}
          dashed={outlinesOf(then.value.block)}
          label="The draft as it is, and dashed as it would be"
        />
      )}
    </div>
  );
}
