import Button from '@mui/material/Button';
import { useState } from 'react';
import { gone, type Run } from '../../core/kept/index.js';
import { NameField } from '../shared/NameField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { beginRun, changeRun, forgetRun } from '../store/run-work.js';
import { ByRule, RuleLine } from './ByRule.js';
import { useChange } from '../store/work-context.js';
import type { RunInHand } from './use-run.js';

/** Applies the garment to the crew or to the sizes of a chart. */
export function NewRun({ hand }: { readonly hand: RunInHand }) {
  const change = useChange();
  const { people, charts } = hand;
  const [chartId, setChart] = useState(charts[0]?.id ?? '');
  const chart = charts.find((c) => c.id === chartId) ?? charts[0];
  const sizes = chart?.sizes.map((s) => s.name) ?? [];
  const [from, setFrom] = useState<string>();
  const [to, setTo] = useState<string>();
  const begin = (name: string, of: Run['of']): void => {
    const id = newId();
    change(beginRun(id, { name, of }, new Date()));
    hand.take(id);
  };
  const first = Math.max(0, sizes.indexOf(from ?? ''));
  const last = sizes.indexOf(to ?? '') === -1 ? sizes.length - 1 : sizes.indexOf(to ?? '');
  const wanted = sizes.slice(Math.min(first, last), Math.max(first, last) + 1);
  const pick = sizes.map((name) => [name, name] as const);
  return (
    <>
      <h3>For people</h3>
      <p className="quiet">Some of them are chosen at Crew, and sent here.</p>
      <p>
        <Button
          variant="outlined"
          disabled={people.length === 0}
          onClick={() => {
            begin('The crew', { from: 'people', people: people.map((p) => p.id) });
          }}
        >
          Everyone in the crew, {people.length}
        </Button>
      </p>
      <h3>For sizes</h3>
      {chart && (
        <>
          <PickLine
            label="Chart"
            value={chart.id}
            choices={charts.map((c) => [c.id, c.name] as const)}
            onChoose={(id) => {
              setChart(id);
              setFrom(undefined);
              setTo(undefined);
            }}
          />
          <PickLine label="From size" value={sizes[first] ?? ''} choices={pick} onChoose={setFrom} />
          <PickLine label="To size" value={sizes[last] ?? ''} choices={pick} onChoose={setTo} />
          <p>
            <Button
              variant="outlined"
              disabled={wanted.length === 0}
              onClick={() => {
                begin(chart.name, { from: 'chart', chart: chart.id, sizes: wanted });
              }}
            >
              {wanted.length} {wanted.length === 1 ? 'size' : 'sizes'} of {chart.name}
            </Button>
          </p>
        </>
      )}
      {hand.rules.length > 0 && <ByRule hand={hand} />}
    </>
  );
}

/** Who the garment is applied to: the run in hand, its name, another one, a new one. */
export function WhoLines({ hand }: { readonly hand: RunInHand }) {
  const change = useChange();
  const { run, runs, bodies } = hand;
  const missing = run ? gone(run, bodies) : 0;
  return (
    <>
      {run && (
        <>
          {runs.length > 1 && (
            <PickLine
              label="Run in hand"
              value={run.id}
              choices={runs.map((r) => [r.id, r.name === '' ? r.made.slice(0, 10) : r.name] as const)}
              onChoose={hand.take}
            />
          )}
          <div className="line">
            <label htmlFor="run-name">Name</label>
            <NameField
              id="run-name"
              label="Name of the run"
              className="text-field"
              value={run.name}
              onCommit={(name) => {
                change(changeRun(run.id, { name }));
              }}
            />
          </div>
          {run.by && <RuleLine run={run} />}
          {missing > 0 && (
            <p className="doubt">
              {missing} {missing === 1 ? 'is' : 'are'} no longer{' '}
              {run.of.from === 'people' ? 'in the crew' : 'in the chart'}; what was set by hand for them is kept.
            </p>
          )}
          <p>
            <Button
              size="small"
              onClick={() => {
                change(forgetRun(run.id));
              }}
            >
              Forget this run
            </Button>
          </p>
        </>
      )}
      <NewRun hand={hand} />
    </>
  );
}
