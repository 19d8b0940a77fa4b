import Button from '@mui/material/Button';
import {
  EMPTY_PAIR,
  legOfPair,
  measurementLabel,
  PAIR_FIGURE_IDS,
  PAIR_FIGURES,
  pairGives,
  type FinishedPair,
  type PairFigureId,
} from '../../core/measure/index.js';
import { settingsOf } from '../../core/method/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { sheetOf } from '../store/sheets.js';
import { useChange, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeSet, changeSettings } from '../store/work-changes.js';
import { usePairInHand } from './pair-in-hand.js';
import { PickLine } from '../shared/PickLine.js';

const MOST = 2500;

/** The finished pair as a source: what is read off it laid flat, how, and the body-like figures that it gives. */
export function PairForm() {
  const set = useCurrentSet();
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const sheet = useWork(({ work }) => sheetOf(work.draft));
  const inHand = usePairInHand();
  const pair: FinishedPair = (set.pair as FinishedPair | undefined) ?? EMPTY_PAIR;
  const put = (facts: Partial<FinishedPair>): void => {
    change(changeSet({ pair: { ...pair, ...facts } }));
  };
  const enter = (id: PairFigureId, mm: number | undefined): void => {
    const figures = { ...pair.figures, [id]: mm };
    if (mm === undefined) delete figures[id];
    put({ figures });
  };
  const gives = pairGives(pair);
  const show = (mm: number): string => formatLength(mm, tape);
  const settings = new Set(settingsOf(sheet).map((s) => s.name));
  const asThePair: Record<string, number> = { hipEase: 0, waistEase: 0, crotchEase: 0, ...legOfPair(pair) };
  const taken = Object.fromEntries(Object.entries(asThePair).filter(([name]) => settings.has(name)));
  return (
    <>
      <h3>How it was measured</h3>
      <PickLine
        label="Widths taken between"
        value={pair.across}
        choices={[
          ['seams', 'the seams'],
          ['edges', 'the pressed edges'],
        ]}
        onChoose={(across) => {
          put({ across });
        }}
      />
      {pair.across === 'edges' && (
        <div className="line">
          <label htmlFor="pair-edge">Edge beyond the seam</label>
          <LengthField
            id="pair-edge"
            label="Edge beyond the seam"
            mm={pair.edge}
            unit={unit}
            onCommit={(mm) => {
              if (mm !== undefined && mm >= 0 && mm <= 30) put({ edge: mm });
            }}
          />
        </div>
      )}
      <PickLine
        label="Lengths taken from"
        value={pair.from}
        choices={[
          ['top', 'the top edge'],
          ['seam', 'the waist seam'],
        ]}
        onChoose={(from) => {
          put({ from });
        }}
      />
      <PickLine
        label="Widths written down"
        value={pair.widths}
        choices={[
          ['single', 'as they lie: double them'],
          ['doubled', 'doubled already'],
        ]}
        onChoose={(widths) => {
          put({ widths });
        }}
      />
      <h3>The pair, laid flat</h3>
      {PAIR_FIGURE_IDS.map((id, i) => (
        <div
          className="line"
          key={id}
          data-line={id}
          onFocus={() => {
            inHand.set(id);
          }}
        >
          <label htmlFor={`pair-${id}`}>{PAIR_FIGURES[id].label}</label>
          <LengthField
            id={`pair-${id}`}
            label={PAIR_FIGURES[id].label}
            mm={pair.figures[id]}
            unit={unit}
            allowEmpty
            problem={
              (pair.figures[id] ?? 0) < 0 || (pair.figures[id] ?? 0) > MOST
                ? `${PAIR_FIGURES[id].label} ${show(pair.figures[id] ?? 0)} cannot be right. Enter up to ${show(MOST)}.`
                : undefined
            }
            onCommit={(mm) => {
              enter(id, mm);
            }}
            onNext={() => {
              const next = PAIR_FIGURE_IDS[i + 1];
              if (next) document.getElementById(`pair-${next}`)?.focus();
            }}
          />
          {inHand.id === id && <div className="sum">{PAIR_FIGURES[id].how}</div>}
        </div>
      ))}
      <h3>What it gives</h3>
      {gives.length === 0 && <p className="quiet">Enter what was read off the pair; the figures appear here.</p>}
      <table className="rules" aria-label="What the pair gives">
        <tbody>
          {gives.map((g) => (
            <tr key={g.id} data-gives={g.id}>
              <th scope="row">
                {measurementLabel(g.id)}
                <div className="quiet">{withFractions(g.sum(show))}</div>
              </th>
              <td className="number">{withFractions(show(g.mm))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {gives.length > 0 && (
        <p>
          These figures hold the pair’s own ease.{' '}
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              change(changeSettings(taken));
            }}
          >
            Take the eases as nought, and its leg
          </Button>
        </p>
      )}
    </>
  );
}
