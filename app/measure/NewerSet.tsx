import { refusalsSentence } from '../../core/refusal/index.js';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { computeDraft, type Draft } from '../../core/chain/index.js';
import { compareDrafts } from '../../core/compare/index.js';
import { outlineOf, type Panel } from '../../core/draft/index.js';
import { mapPath, pathBox, type Path } from '../../core/geometry/index.js';
import { newerSet, setOf, valuesOf } from '../../core/kept/index.js';
import { compareSets, measurementLabel } from '../../core/measure/index.js';
import { formatFigure, readerIn, type Tape } from '../../core/units/index.js';
import { pathData } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { moveToSet } from '../store/work-store.js';
import { useMeasuring } from './measuring-store.js';

/** Half the room between the pieces, and the room about them, in mm. */
const GAP = 40;
const MARGIN = 20;
const MOST_LINES = 14;

/** Both drafts over one another, at the waist line and the side frame line: as it is, and as it would be. */
function Overlay({ now, then }: { now: Draft; then: Draft }) {
  const drawn = useMemo(() => {
    const place = (panel: Panel): Path =>
      mapPath(outlineOf(panel), (p) => ({ x: panel.name === 'front' ? -p.x - GAP : p.x + GAP, y: p.y }));
    const paths = [now, then].map(({ block }) => ({ front: place(block.front), back: place(block.back) }));
    const box = pathBox(paths.flatMap((p) => [...p.front, ...p.back]));
    const view = `${box.minX - MARGIN} ${box.minY - MARGIN} ${box.maxX - box.minX + 2 * MARGIN} ${box.maxY - box.minY + 2 * MARGIN}`;
    return { paths, view };
  }, [now, then]);
  return (
    <svg className="overlay" viewBox={drawn.view} role="img" aria-label="The draft as it is, and dashed as it would be">
      {drawn.paths.map((paths, i) =>
        (['front', 'back'] as const).map((name) => (
          <path
            key={`${name} ${i}`}
            d={`${pathData(paths[name])}Z`}
            fill={i === 0 ? `var(--${name}-fill)` : 'none'}
            stroke={i === 0 ? `var(--${name})` : 'var(--text)'}
            strokeWidth={i === 0 ? 2 : 1.6}
            strokeDasharray={i === 0 ? undefined : '7 4'}
            vectorEffect="non-scaling-stroke"
          />
        )),
      )}
    </svg>
  );
}

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
      {now && then.ok && <Overlay now={now} then={then.value} />}
    </div>
  );
}
