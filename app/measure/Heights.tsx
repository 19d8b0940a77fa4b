import Button from '@mui/material/Button';
import { useState } from 'react';
import { bodyOf } from '../../core/chain/index.js';
import { girthsByHeight, topEdge } from '../../core/measure/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeSet } from '../store/work-changes.js';

/** Girths at heights above the crotch, and where a top edge of a given height would sit and how tight. */
export function Heights() {
  const set = useCurrentSet();
  const work = useWork((s) => s.work);
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const [height, setHeight] = useState<number>();
  const [girth, setGirth] = useState<number>();
  const [edge, setEdge] = useState<{ readonly height?: number | undefined; readonly girth?: number | undefined }>({});
  const body = bodyOf(inputNow(work));
  const mm = (id: 'waist' | 'hip' | 'crotchDepth' | 'hipDepth'): number | undefined => body.get(id)?.mm;
  const depth = mm('crotchDepth');
  const all = girthsByHeight(set.heights, {
    waist: mm('waist'),
    hip: mm('hip'),
    crotchDepth: depth,
    hipDepth: mm('hipDepth'),
  });
  const show = (length: number): string => withFractions(formatLength(length, tape));
  const sits =
    edge.height === undefined || depth === undefined
      ? undefined
      : topEdge(all, depth, { height: edge.height, girth: edge.girth });
  const add = (): void => {
    if (height === undefined || girth === undefined) return;
    const others = set.heights.filter((h) => Math.abs(h.height - height) > 0.5);
    change(changeSet({ heights: [...others, { height, girth }].sort((a, b) => b.height - a.height) }));
    setHeight(undefined);
    setGirth(undefined);
  };
  return (
    <details>
      <summary>Girths at heights</summary>
      <p className="quiet">Heights are measured from the inseam up the front.</p>
      <table className="rules" aria-label="Girths at heights">
        <tbody>
          {set.heights.map((h) => (
            <tr key={h.height}>
              <th scope="row">{show(h.height)} up</th>
              <td className="number">{show(h.girth)}</td>
              <td>
                <Button
                  size="small"
                  aria-label={`Take out the girth at ${formatLength(h.height, tape)}`}
                  onClick={() => {
                    change(changeSet({ heights: set.heights.filter((o) => o !== h) }));
                  }}
                >
                  Take out
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="line">
        <label htmlFor="height-up">Height</label>
        <LengthField id="height-up" label="Height" mm={height} unit={unit} allowEmpty onCommit={setHeight} />
      </div>
      <div className="line">
        <label htmlFor="height-girth">Girth there</label>
        <LengthField id="height-girth" label="Girth there" mm={girth} unit={unit} allowEmpty onCommit={setGirth} />
      </div>
      <Button size="small" variant="outlined" disabled={height === undefined || girth === undefined} onClick={add}>
        Add the girth
      </Button>
      <h3>A top edge</h3>
      <div className="line">
        <label htmlFor="edge-height">Edge at height</label>
        <LengthField
          id="edge-height"
          label="Edge at height"
          mm={edge.height}
          unit={unit}
          allowEmpty
          onCommit={(next) => {
            setEdge({ ...edge, height: next });
          }}
        />
      </div>
      <div className="line">
        <label htmlFor="edge-girth">Finished girth of the edge</label>
        <LengthField
          id="edge-girth"
          label="Finished girth of the edge"
          mm={edge.girth}
          unit={unit}
          allowEmpty
          onCommit={(next) => {
            setEdge({ ...edge, girth: next });
          }}
        />
      </div>
      {sits && (
        <p role="status" data-testid="top-edge">
          It sits {show(Math.abs(sits.belowWaist))} {sits.belowWaist >= 0 ? 'below' : 'above'} the waist line.{' '}
          {sits.body === undefined
            ? 'No girths were taken about that height; take one above and one below it.'
            : `The body measures ${show(sits.body)} there${
                sits.ease === undefined
                  ? '.'
                  : sits.ease < 0
                    ? `: the edge is ${show(-sits.ease)} tight.`
                    : `: the edge has ${show(sits.ease)} of ease.`
              }`}
        </p>
      )}
    </details>
  );
}
