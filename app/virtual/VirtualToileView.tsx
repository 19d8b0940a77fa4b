import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import { useEffect, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useShallow } from 'zustand/shallow';
import {
  CLOTH_MATTER,
  differ,
  hungLeg,
  FIT_MAP_IDS,
  FIT_MAP_LABELS,
  MOST_RESIDUAL,
  type FitMapId,
} from '../../core/sew/index.js';
import { measurementLabel } from '../../core/measure/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { JobProgress } from '../shared/JobProgress.js';
import { PickLine } from '../shared/PickLine.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useComputed, useTape } from '../store/work-context.js';
import { BodyLines } from './BodyLines.js';
import { ChangedLines } from '../worn/ChangedLines.js';
import { FitTable } from './FitTable.js';
import { HereSaid } from './HereSaid.js';
import { hang, stopHanging, useHanging, wearerOf } from '../worn/hang-store.js';
import { MapLegend } from './MapLegend.js';
import { PiecesMap } from './PiecesMap.js';
import { PredictLines } from './PredictLines.js';
import { useWorn } from './use-worn.js';
import { WornCanvas } from '../worn/WornCanvas.js';
import { wornSide, type WornSide } from '../worn/worn-side.js';
import './virtual.css';

const TURNS: readonly (readonly [string, number])[] = [
  ['Front', 0],
  ['Side', Math.PI / 2],
  ['Back', Math.PI],
];

/** The draft in hand sewn in cloth on a body made from the measurements, held against what it was before. */
export function VirtualToileView() {
  const drawn = useComputed((c) => c.draft !== undefined);
  const tape = useTape();
  const { cloth, map, leg, last, set } = useHanging(
    useShallow(({ cloth, map, leg, last, set }) => ({ cloth, map, leg, last, set })),
  );
  const { choices, legsDiffer, against, now, before, hangingNow, hangingBefore } = useWorn();
  // A version sends here to be held against the draft.
  const [query, setQuery] = useSearchParams();
  const sent = query.get('against');
  useEffect(() => {
    if (sent === null) return;
    set({ against: sent });
    setQuery({}, { replace: true });
  }, [sent, set, setQuery]);
  const show = (mm: number): string => withFractions(formatLength(mm, tape));
  const orders = [now, ...(before ? [before] : [])];
  const hangings = [hangingNow, ...(before ? [hangingBefore] : [])];
  const running = hangings.some((h) => h && !h.done && h.failed === undefined);
  const done = hangings.every((h) => h?.done);
  const failed = hangings.find((h) => h?.failed !== undefined)?.failed;
  const body = hangingNow?.body ?? hangingBefore?.body;
  const [worn, other] = [hangingNow?.so, hangingBefore?.so];
  // Only what hangs to its end is held against the other: what is coarse still differs by itself.
  const held = done ? other : undefined;
  const known = body ?? (last?.wearer === wearerOf(now) ? last.body : undefined);
  const sides = useMemo((): WornSide[] => {
    if (!body) return [];
    return [
      ...(other ? [wornSide('before', body.surface, other, undefined, map)] : []),
      ...(worn ? [wornSide('now', body.surface, worn, held, map)] : []),
    ];
  }, [body, worn, other, held, map]);
  const halves = sides.at(-1)?.halves;
  const shown = halves && halves.left !== halves.right ? leg : 'left';
  const told = worn && held && { now: hungLeg(worn, shown), before: hungLeg(held, shown) };
  const share = hangings.reduce((sum, h) => sum + (h?.share ?? 0), 0) / hangings.length;
  const out = body && !body.sound ? body.residuals.filter((r) => Math.abs(r.tape - r.measured) > MOST_RESIDUAL) : [];
  if (!drawn) return <p className="quiet">Enter the four measurements first.</p>;
  return (
    <>
      <main className="board worn" aria-label="Virtual toile" data-worn={done ? 'done' : running ? 'running' : 'none'}>
        {sides.length > 0 ? (
          <>
            <div className="worn-names" data-beside={held !== undefined} aria-hidden>
              {sides.map(({ label }) => (
                <span key={label}>{label === 'now' ? 'Now' : (against?.label ?? 'Before')}</span>
              ))}
            </div>
            <div className="worn-row">
              <WornCanvas
                sides={sides}
                label={
                  worn && other ? `On the body: ${against?.label ?? ''} at the left, now at the right` : 'On the body'
                }
              />
              {told && halves && <PiecesMap leg={shown} hung={told.now} colours={halves[shown].colours} />}
            </div>
            {told && <MapLegend map={map} show={show} />}
            {told && halves && <HereSaid leg={shown} half={halves[shown]} map={map} show={show} />}
          </>
        ) : (
          <div className="board-empty">
            <p>
              {out.length > 0
                ? `No body can be made that reads these measurements: ${out
                    .map(
                      ({ id, measured, tape: reads }) =>
                        `${measurementLabel(id).toLowerCase()} ${show(measured)}, on the body ${show(reads)}`,
                    )
                    .join('; ')}. Measure ${out.length > 1 ? 'them' : 'it'} again.`
                : running
                  ? 'The body is being made and the pieces sewn.'
                  : 'The pieces are sewn in cloth and hung on a body made from the measurements. It stands beside the toile and does not take its place.'}
            </p>
          </div>
        )}
      </main>
      <aside className="bench" aria-label="Virtual toile">
        <ViewHead title="Virtual toile" station="Toile" />
        {choices.length > 0 ? (
          <PickLine
            label="Held against"
            value={against?.id ?? ''}
            choices={choices.map(({ id, label }) => [id, label])}
            onChoose={(id) => {
              set({ against: id });
            }}
          />
        ) : (
          <p className="quiet">
            There is nothing to hold this draft against yet. Keep a version or alter something: only a difference can be
            told.
          </p>
        )}
        {legsDiffer && (
          <PickLine
            label="Leg"
            value={leg}
            choices={[
              ['left', 'left'],
              ['right', 'right'],
            ]}
            about="The legs differ: both are hung, and what is told is of this one."
            onChoose={(next) => {
              set({ leg: next });
            }}
          />
        )}
        <PickLine
          label="Cloth"
          value={cloth}
          choices={CLOTH_MATTER.map(({ id, label }) => [id, label])}
          about="As such cloths are in general, not measured. Leg, waist and casing are hung as the finish has them, without band, fly and pockets."
          onChoose={(id) => {
            set({ cloth: id });
          }}
        />
        {running ? (
          <JobProgress label="Sewing and hanging" value={100 * share} onStop={stopHanging} />
        ) : (
          !done && (
            <Button
              variant="contained"
              onClick={() => {
                for (const order of orders) hang(order);
              }}
            >
              Sew and hang
            </Button>
          )
        )}
        {failed !== undefined && <p className="problem">{failed}</p>}
        {sides.length > 0 && (
          <>
            <ButtonGroup size="small" aria-label="Seen from">
              {TURNS.map(([label, turn]) => (
                <Button
                  key={label}
                  onClick={() => {
                    set({ look: { ...useHanging.getState().look, turn } });
                  }}
                >
                  {label}
                </Button>
              ))}
            </ButtonGroup>
            {held && (
              <PickLine<FitMapId>
                label="Shown"
                value={map}
                choices={FIT_MAP_IDS.map((id) => [id, FIT_MAP_LABELS[id]])}
                onChoose={(id) => {
                  set({ map: id });
                }}
              />
            )}
          </>
        )}
        {told && body && (
          <section aria-label="What changed">
            <h3>What changed</h3>
            <ChangedLines
              before={told.before.figures}
              after={told.now.figures}
              risesKnown={body.risesKnown}
              show={show}
            />
            <FitTable before={told.before.figures} after={told.now.figures} risesKnown={body.risesKnown} show={show} />
            <PredictLines
              differences={differ(told.before.figures, told.now.figures, body.risesKnown)}
              against={against?.label ?? ''}
            />
          </section>
        )}
        {known && (
          <section aria-label="The body">
            <h3>The body</h3>
            <BodyLines body={known} tape={tape} />
          </section>
        )}
      </aside>
    </>
  );
}
