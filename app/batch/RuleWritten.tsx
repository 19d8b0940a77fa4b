import Button from '@mui/material/Button';
import { ruleOfRun, type Run } from '../../core/kept/index.js';
import { changeRun } from '../store/run-work.js';
import { useChange, useWork } from '../store/work-context.js';
import type { RunInHand } from './use-run.js';

/** The grade rule that the sizes of a run are: written from them, written anew, taken away. */
export function RuleWritten({ run, charts }: { readonly run: Run; readonly charts: RunInHand['charts'] }) {
  const change = useChange();
  const draft = useWork((s) => s.work.draft);
  const { of, by, rule } = run;
  if (of.from === 'people') return null;
  if (by) {
    return (
      <p className="quiet" data-made-by-rule>
        These sizes are made by the grade rule “{by.rule.name}”; this draft is size {by.size}.
      </p>
    );
  }
  const written = ruleOfRun(
    run,
    draft,
    charts.find((c) => c.id === of.chart),
    run.name,
  );
  const names = rule?.sizes.map((s) => s.name) ?? [];
  return (
    <>
      <p className="quiet" data-rule-written={rule !== undefined}>
        {rule
          ? `Kept as a grade rule “${rule.name}”, sizes ${names[0] ?? ''} to ${names.at(-1) ?? ''}: other garments of the room can be made in these sizes by it, under Who.`
          : 'Kept as a grade rule, it makes the sizes of other garments: each of their places moves as here.'}
      </p>
      <div className="acts">
        <Button
          variant="outlined"
          disabled={!written}
          onClick={() => {
            if (written) change(changeRun(run.id, { rule: written }));
          }}
        >
          {rule ? 'Write the rule anew' : 'Keep as a grade rule'}
        </Button>
        {rule && (
          <Button
            size="small"
            onClick={() => {
              change(changeRun(run.id, { rule: undefined }));
            }}
          >
            Take the rule away
          </Button>
        )}
      </div>
      {!written && <p className="quiet">A rule is written from two sizes or more of a chart.</p>}
    </>
  );
}
