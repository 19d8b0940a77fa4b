import Button from '@mui/material/Button';
import { proxy } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { layersOf, spread, type ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import {
  clothWords,
  savingsFor,
  toBuy,
  type FoundLay,
  type LaidBeside,
  type LayOrder,
  type SavingFigures,
} from '../../core/lay/index.js';
import { formatLength, type Tape, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { inHandWords } from '../shared/in-hand-words.js';
import { runJob, type Job } from '../shared/job.js';
import { newId } from '../shared/new-id.js';
import { takeSaving } from '../store/cloth-work.js';
import { useChange } from '../store/work-context.js';
import type { Saver, SavingFound } from '../workers/saving.worker.js';

/** Each way is looked at for so long, in ms. */
const EACH_MS = 2500;
/** A gain below this is none, in mm. */
const NO_GAIN = 5;

const FIGURES: Readonly<Record<keyof SavingFigures, string>> = { hip: 'hip', thigh: 'thigh', hem: 'hem' };

/** What a change does to the figures of the garment: “hip 104 → 102 cm”. */
function figuresSaid({ before, after }: SavingFound, tape: Tape): string {
  return (Object.keys(FIGURES) as (keyof SavingFigures)[])
    .filter((name) => Math.abs(after[name] - before[name]) >= 1)
    .map((name) => `${FIGURES[name]} ${formatLength(before[name], tape)} → ${formatLength(after[name], tape)}`)
    .join(', ');
}

const savingWorker = (): Worker =>
  new Worker(new URL('../workers/saving.worker.ts', import.meta.url), { type: 'module' });

/** What would make the lay shorter, each with what it gains and what it costs, taken at a press. */
export function SavingLines({
  order,
  kind,
  beside,
  lay,
  cloth,
  unit,
  tape,
}: {
  readonly order: LayOrder;
  readonly kind: Cloth;
  readonly beside: LaidBeside;
  readonly lay: FoundLay;
  readonly cloth: ClothData;
  readonly unit: Unit;
  readonly tape: Tape;
}) {
  const change = useChange();
  // A layer has its share of what there is.
  const { inHand } = spread(cloth);
  const enough = inHandWords(lay.length, cloth, unit);
  const layers = layersOf(cloth);
  const [state, setState] = useState<{
    readonly order: LayOrder;
    readonly beside: LaidBeside;
    readonly found: readonly SavingFound[];
    readonly busy: boolean;
    readonly failed: boolean;
  }>();
  const job = useRef<Job<unknown>>(undefined);
  const ways = useMemo(() => savingsFor(order, kind), [order, kind]);
  useEffect(
    () => () => {
      job.current?.stop();
    },
    [order, beside],
  );
  const ofThis = (was: typeof state): was is NonNullable<typeof state> => was?.order === order && was.beside === beside;
  const shown = ofThis(state) ? state : undefined;
  const look = (): void => {
    job.current?.stop();
    setState({ order, beside, found: [], busy: true, failed: false });
    const started = runJob<Saver, unknown>(savingWorker, 'What would save cloth could not be looked for', (saver) =>
      saver.savings(
        order,
        kind,
        beside,
        lay.placed,
        EACH_MS,
        proxy((one) => {
          setState((was) => (ofThis(was) ? { ...was, found: [...was.found, one] } : was));
        }),
      ),
    );
    job.current = started;
    const over = (failed: boolean): void => {
      setState((was) => (ofThis(was) ? { ...was, busy: false, failed } : was));
    };
    started.answer
      .then(() => {
        over(false);
      })
      .catch(() => {
        over(true);
      });
  };
  const gains = [...(shown?.found ?? [])]
    .map((one) => ({ one, gain: lay.length - one.length, way: ways.find((w) => w.id === one.id) }))
    .filter(({ gain }) => gain >= NO_GAIN)
    .sort((a, b) => b.gain - a.gain);
  return (
    <>
      {inHand !== undefined && enough !== undefined && (
        <p className={lay.length > inHand ? 'doubt' : 'quiet'} data-in-hand>
          {withFractions(enough)}
        </p>
      )}
      <div className="acts">
        <Button variant="outlined" disabled={shown?.busy ?? false} onClick={look}>
          Look what would save cloth
        </Button>
      </div>
      <p className="quiet" aria-live="polite">
        {shown?.busy
          ? `Laid with ${shown.found.length} of ${ways.length} changes …`
          : shown?.failed
            ? 'What would save cloth could not be looked for to the end. Look again.'
            : shown
              ? gains.length > 0
                ? beside.count > 1 || beside.others.length > 0
                  ? 'Each by itself, most first. What is changed is changed of this garment; what lies beside it stays as it is.'
                  : 'Each by itself, most first.'
                : 'None of it makes this lay shorter.'
              : ''}
      </p>
      <ul className="savings">
        {gains.map(({ one, gain, way }) =>
          way ? (
            <li key={one.id} data-saving={one.id} data-fits={inHand !== undefined && one.length <= inHand}>
              <strong>{withFractions(way.label)}</strong>
              <span>
                {withFractions(
                  [
                    `Saves ${formatLength(gain, tape)}: ${clothWords(toBuy(one.length * layers, unit), unit)} to buy${inHand !== undefined && one.length <= inHand ? ', which is enough' : ''}.`,
                    figuresSaid(one, tape),
                    way.costs,
                  ]
                    .filter(Boolean)
                    .join(' '),
                )}
              </span>
              <Button
                size="small"
                variant="outlined"
                aria-label={`Take: ${way.label}`}
                onClick={() => {
                  change(takeSaving(way.change, newId));
                }}
              >
                Take
              </Button>
            </li>
          ) : null,
        )}
      </ul>
    </>
  );
}
