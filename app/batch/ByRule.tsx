import Button from '@mui/material/Button';
import { useState } from 'react';
import { nearestSize, setOf, type Run } from '../../core/kept/index.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { beginRun, changeRun } from '../store/run-work.js';
import { useChange, useWork } from '../store/work-context.js';
import type { RunInHand } from './use-run.js';

const BASE = 'This draft is size';

/** Makes sizes of the garment by a grade rule that another garment has written. */
export function ByRule({ hand: { rules, take } }: { readonly hand: Pick<RunInHand, 'rules' | 'take'> }) {
  const change = useChange();
  const hip = useWork(({ work }) => setOf(work).values.hip);
  const [picked, pick] = useState(0);
  const [base, setBase] = useState<string>();
  const offered = rules[picked] ?? rules[0];
  if (!offered) return null;
  const { rule, chart } = offered;
  const names = rule.sizes.map((s) => s.name);
  const size = base !== undefined && names.includes(base) ? base : nearestSize(rule, hip);
  return (
    <>
      <h3>By a grade rule</h3>
      <p className="quiet">
        Every place of this draft moves as the rule says, from the size that it is to each other: nothing is drafted on
        the sizes’ own figures, and they are only held against them.
      </p>
      <PickLine
        label="Grade rule"
        value={String(picked)}
        choices={rules.map(({ rule: r }, i) => [String(i), r.name] as const)}
        onChoose={(next) => {
          pick(Number(next));
          setBase(undefined);
        }}
      />
      <p className="quiet">
        Written from “{offered.draft.name}”, sizes {names[0]} to {names.at(-1)}.
      </p>
      <PickLine label={BASE} value={size} choices={names.map((n) => [n, n] as const)} onChoose={setBase} />
      <p>
        <Button
          variant="outlined"
          onClick={() => {
            const id = newId();
            change(
              beginRun(
                id,
                { name: rule.name, of: { from: 'chart', chart, sizes: names }, by: { rule, size } },
                new Date(),
              ),
            );
            take(id);
          }}
        >
          {names.length} sizes by this rule
        </Button>
      </p>
    </>
  );
}

/** The rule that the run in hand is made by, and the size that the draft is taken for. */
export function RuleLine({ run: { id, by } }: { readonly run: Run }) {
  const change = useChange();
  if (!by) return null;
  return (
    <>
      <p className="quiet">Made by the grade rule “{by.rule.name}”.</p>
      <PickLine
        label={BASE}
        value={by.size}
        choices={by.rule.sizes.map(({ name }) => [name, name] as const)}
        onChoose={(size) => {
          change(changeRun(id, { by: { ...by, size } }));
        }}
      />
    </>
  );
}
