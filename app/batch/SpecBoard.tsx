import Button from '@mui/material/Button';
import { useState } from 'react';
import { sewnAgainst, type SpecLine } from '../../core/make/index.js';
import { dayOf, type Run, type RunBody } from '../../core/kept/index.js';
import { formatFigure, type Tape, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { NameField } from '../shared/NameField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { signedFigure } from '../shared/signed.js';
import { noteSewn } from '../store/run-work.js';
import { useChange } from '../store/work-context.js';

/** A body of the run with the points of measure of its garment. */
export interface Specified {
  readonly body: RunBody;
  readonly lines: readonly SpecLine[];
}

interface SpecBoardProps {
  readonly run: Run;
  readonly specified: readonly Specified[];
  readonly unit: Unit;
  readonly tape: Tape;
}

/** The points of measure of every size with what each may be off by, and sewn garments held against them. */
export function SpecBoard({ run, specified, unit, tape }: SpecBoardProps) {
  const first = specified[0]?.lines ?? [];
  const ids = [...new Set(specified.flatMap(({ lines }) => lines.map((l) => l.id)))];
  if (first.length === 0) return <p className="quiet">No garment could be made yet.</p>;
  return (
    <div className="spec-board">
      <table className="figures" data-spec>
        <caption>Of the finished garment, laid flat and closed, {tape.unit}</caption>
        <thead>
          <tr>
            <th scope="col">Where</th>
            {specified.map(({ body }) => (
              <th key={body.key} scope="col">
                {body.name}
              </th>
            ))}
            <th scope="col">±</th>
          </tr>
        </thead>
        <tbody>
          {ids.map((id) => {
            const line = specified.flatMap(({ lines }) => lines).find((l) => l.id === id);
            return (
              <tr key={id} data-point={id}>
                <th scope="row" title={line?.how}>
                  {line?.label}
                </th>
                {specified.map(({ body, lines }) => {
                  const mm = lines.find((l) => l.id === id)?.mm;
                  return <td key={body.key}>{mm === undefined ? '' : withFractions(formatFigure(mm, tape))}</td>;
                })}
                <td>{withFractions(formatFigure(line?.tolerance ?? 0, tape))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Sewn run={run} specified={specified} unit={unit} tape={tape} />
    </div>
  );
}

/** Sewn garments that were measured, each held against the spec of its size. */
function Sewn({ run, specified, unit, tape }: SpecBoardProps) {
  const change = useChange();
  const [wanted, setWanted] = useState<string>();
  const body = specified.find((s) => s.body.key === wanted) ?? specified[0];
  const judged = run.sewn.map((sewn) => {
    const of = specified.find((s) => s.body.key === sewn.body);
    return { sewn, of, points: of ? sewnAgainst(of.lines, sewn.figures) : [] };
  });
  const out = judged.filter((j) => j.points.some((p) => p.out)).length;
  return (
    <section aria-label="Sewn garments">
      <h2>Sewn garments, measured</h2>
      <p className="quiet" data-sewn-out={out}>
        {run.sewn.length === 0
          ? 'Measure what was sewn and enter it here: what is out of tolerance is told.'
          : `${run.sewn.length} measured, ${out === 0 ? 'none' : out} out of tolerance.`}
      </p>
      <div className="acts">
        {specified.length > 1 && body && (
          <PickLine
            label="Size or person"
            value={body.body.key}
            choices={specified.map(({ body: b }) => [b.key, b.name] as const)}
            onChoose={setWanted}
          />
        )}
        <Button
          variant="outlined"
          disabled={!body}
          onClick={() => {
            if (!body) return;
            const name = `${body.body.name}, no. ${run.sewn.filter((s) => s.body === body.body.key).length + 1}`;
            change(noteSewn(run.id, newId(), { body: body.body.key, name, date: dayOf(new Date()), figures: {} }));
          }}
        >
          Enter a sewn garment
        </Button>
      </div>
      {judged.map(({ sewn, of, points }) => {
        const { id, ...facts } = sewn;
        return (
          <div key={id} className="sewn" data-sewn={sewn.name}>
            <div className="sewn-head">
              <NameField
                label={`Name of ${sewn.name}`}
                className="text-field"
                value={sewn.name}
                onCommit={(name) => {
                  change(noteSewn(run.id, id, { ...facts, name }));
                }}
              />
              <span className="quiet">{sewn.date}</span>
              <span className={points.some((p) => p.out) ? 'verdict-out' : 'verdict-in'}>
                {points.length === 0
                  ? ''
                  : points.some((p) => p.out)
                    ? `✕ out: ${points
                        .filter((p) => p.out)
                        .map((p) => p.label.toLowerCase())
                        .join(', ')}`
                    : '✓ within tolerance'}
              </span>
              <Button
                size="small"
                onClick={() => {
                  change(noteSewn(run.id, id, undefined));
                }}
              >
                Take out
              </Button>
            </div>
            {of ? (
              <div className="sewn-points">
                {of.lines.map((line) => {
                  const point = points.find((p) => p.id === line.id);
                  return (
                    <div key={line.id} data-point={line.id} className={point?.out ? 'verdict-out' : undefined}>
                      <label>
                        <span>{line.label}</span>
                        <LengthField
                          label={`${line.label} of ${sewn.name}`}
                          mm={sewn.figures[line.id]}
                          unit={unit}
                          onCommit={(mm) => {
                            const rest = Object.fromEntries(
                              Object.entries(sewn.figures).filter(([k]) => k !== line.id),
                            );
                            change(
                              noteSewn(run.id, id, {
                                ...facts,
                                figures: mm === undefined ? rest : { ...rest, [line.id]: mm },
                              }),
                            );
                          }}
                        />
                      </label>
                      <span className="quiet">{point ? signedFigure(point.off, tape) : ''}</span>
                    </div>
                  );
                })}
              </div>
            ) : (
              <p className="doubt">The size or person that it is of is not in this run any more.</p>
            )}
          </div>
        );
      })}
    </section>
  );
}
