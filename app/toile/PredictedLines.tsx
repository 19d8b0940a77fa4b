import type { Fitting } from '../../core/kept/index.js';
import { predictionSaid, scoreOf } from '../../core/sew/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { PickLine } from '../shared/PickLine.js';
import { scoreSaid } from '../shared/score-said.js';
import { markPredicted } from '../store/fitting-work.js';
import { useChange, useTape } from '../store/work-context.js';

const LOOKED: readonly (readonly ['' | 'so' | 'otherwise', string])[] = [
  ['', 'not looked at'],
  ['so', 'it was so'],
  ['otherwise', 'it was otherwise'],
];

/** What the virtual toile told before this fitting: whether the toile shows it. Nothing where nothing was told. */
export function PredictedLines({ fitting }: { readonly fitting: Fitting }) {
  const change = useChange();
  const tape = useTape();
  const { predicted = [] } = fitting;
  if (predicted.length === 0) return null;
  const show = (mm: number): string => withFractions(formatLength(mm, tape));
  const against = [...new Set(predicted.map((p) => p.against))].join(', ');
  const score = scoreOf(predicted);
  return (
    <fieldset className="seen" data-predicted={predicted.length}>
      <legend>Told by the virtual toile</legend>
      <p className="quiet">{`Held against: ${against}.`}</p>
      {predicted.map((p) => (
        <div key={p.id} className="seen-line" data-prediction={p.figure}>
          <p>{predictionSaid(p, show)}</p>
          <PickLine
            label="On the toile"
            value={p.seen ?? ''}
            choices={LOOKED}
            onChoose={(seen) => {
              change(markPredicted(fitting.id, p.id, seen === '' ? undefined : seen));
            }}
          />
        </div>
      ))}
      {score.length > 0 && <p className="quiet">{`Right: ${scoreSaid(score)}.`}</p>}
    </fieldset>
  );
}
