import { lazy, Suspense, useCallback, useMemo, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Draft } from '../../core/chain/index.js';
import type { EdgeName, Leg } from '../../core/draft/index.js';
import { edgeLengths } from '../../core/draft/index.js';
import { EDGE_WORDS, LEG_SEAMS, sewnTo } from '../../core/garment/index.js';
import type { Point } from '../../core/geometry/index.js';
import { LEVELS, PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatLength, readerIn, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { usePreferences } from '../store/preferences.js';
import { useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { arrange, toBoard, type Arranged } from './arrange.js';
import { UNLIT, useBoard, type TakenPoint } from './board-store.js';
import { FrameLines } from './FrameLines.js';
import { readBetween, takePoint } from './measuring.js';
import { GhostOutline, PieceDrawing } from './PieceDrawing.js';
import { Tag } from './Tag.js';
import { useFitted } from './use-fitted.js';
import { useNavigation } from './use-navigation.js';
import { useSize } from './use-size.js';
import { fromScreen, toScreen, useView, type ScreenSize, type View } from './view.js';

/** What a piece is called on the board; where the legs differ, of which leg it is. */
function pieceName(panel: PanelName, leg: Leg | undefined): string {
  const of = { left: 'Left ', right: 'Right ' };
  const name = leg ? `${of[leg]}${panel}` : panel;
  return name.charAt(0).toUpperCase() + name.slice(1);
}

const BoardTools = lazy(() => import('./BoardTools.js').then((m) => ({ default: m.BoardTools })));
const BoardSliders = lazy(() => import('./BoardSliders.js').then((m) => ({ default: m.BoardSliders })));
const CutLayer = lazy(() => import('./CutLayer.js').then((m) => ({ default: m.CutLayer })));
const HandleLayer = lazy(() => import('./HandleLayer.js').then((m) => ({ default: m.HandleLayer })));
const Legend = lazy(() => import('./Legend.js').then((m) => ({ default: m.Legend })));
const ReferenceLayer = lazy(() => import('./ReferenceLayer.js').then((m) => ({ default: m.ReferenceLayer })));
const Rulers = lazy(() => import('./Rulers.js').then((m) => ({ default: m.Rulers })));
const ReadingTag = lazy(() => import('./ReadingTag.js').then((m) => ({ default: m.ReadingTag })));
const LegSwitch = lazy(() => import('./LegSwitch.js').then((m) => ({ default: m.LegSwitch })));
const LevelLine = lazy(() => import('./LevelLine.js').then((m) => ({ default: m.LevelLine })));

/** Below this scale, in pixels a millimetre, a piece has no room for its name. */
const LEAST_NAMED = 0.25;
/** How near, in pixels, the measuring tool is drawn to a seam. */
const MEASURE_REACH = 12;

/** What is on the board and how it is seen, for what is drawn in the place of the pieces. */
export interface Drawn {
  readonly draft: Draft;
  readonly arranged: Arranged;
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
}

/** How the board is laid. */
export interface BoardProps {
  readonly handles: boolean;
  readonly cutShown: boolean;
  /** Draws in the place of the pieces, in screen coordinates. */
  readonly over?: ((drawn: Drawn) => ReactNode) | undefined;
  /** Draws above the pieces, in screen coordinates. */
  readonly above?: ((drawn: Drawn) => ReactNode) | undefined;
}

/**
 * The board: both pieces on the frame, at every station the same. `handles`: whether parameters may be gripped here.
 */
export function Board({ handles, cutShown, over, above }: BoardProps) {
  const svg = useRef<SVGSVGElement>(null);
  const size = useSize(svg);
  const draft = useComputed((c) => c.draft);
  const before = useComputed((c) => c.before);
  const refusal = useComputed((c) => c.refusals[0]);
  const missing = useComputed((c) => c.missing);
  const allowances = useWork(({ work }) => work.draft.allowances);
  const tape = useTape();
  const unit = useUnit();
  const { arrangement, showCut, showConstruction, showReference } = usePreferences();
  const { inHand, lit, tool, taken, legend, levelShown, referenceTrial, set } = useBoard();
  const kept = useWork(({ work }) => work.draft.reference);
  const reference = referenceTrial ?? kept;
  const leg = useWork((s) => s.leg);
  const looked = useView((s) => s.view);
  const block = draft?.block;
  const worked = draft?.worked;
  // While a hand moves something the pieces keep their places: what is pulled stays under the hand.
  const lying = before?.block ?? block;
  const arranged = useMemo(() => lying && arrange(lying, arrangement), [lying, arrangement]);
  // While a value changes the board must not jump: it is fitted anew only for another size, piece of work or layout.
  const fitted = useFitted(block && arranged && size ? { block, arranged, size, arrangement } : undefined);
  const view = looked ?? fitted;
  const navigation = useNavigation(svg, view);
  const [pointer, setPointer] = useState<Point>();
  const [panning, setPanning] = useState(false);

  const sliders = worked?.settings.filter((s) => s.slider) ?? [];
  const estimated = useMemo(
    () =>
      LEVELS.map(([name]) => name)
        .filter((name) => worked?.ledger.get(name)?.restsOnEstimate)
        .join(' '),
    [worked],
  );

  const point = useCallback(
    (panel: PanelName) =>
      (edge: EdgeName | undefined): void => {
        if (edge === undefined) {
          set({ lit: UNLIT });
          return;
        }
        const here = { panel, edge };
        const other = sewnTo(LEG_SEAMS, { part: panel, edge });
        const lit = PANEL_NAMES.filter((name) => name === other?.part).map((name) => ({ panel: name, edge }));
        set({ lit: { edges: [here, ...lit], pointed: here } });
      },
    [set],
  );
  const pointFront = useMemo(() => point('front'), [point]);
  const pointBack = useMemo(() => point('back'), [point]);

  const screenPoint = (event: PointerEvent): Point => {
    const box = svg.current?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };

  const take = (at: Point): TakenPoint | undefined =>
    block && arranged && view
      ? takePoint(block, arranged, fromScreen(at, view), MEASURE_REACH / view.scale)
      : undefined;

  const down = (event: PointerEvent<SVGSVGElement>): void => {
    const at = screenPoint(event);
    if (tool === 'measure') {
      const next = take(at);
      if (next) set({ taken: taken.length === 1 ? [...taken, next] : [next] });
      return;
    }
    event.currentTarget.setPointerCapture(event.pointerId);
    navigation.down(event.pointerId, at);
    setPanning(true);
  };

  const move = (event: PointerEvent<SVGSVGElement>): void => {
    const at = screenPoint(event);
    setPointer(at);
    if (panning) navigation.move(event.pointerId, at);
  };

  const up = (event: PointerEvent<SVGSVGElement>): void => {
    navigation.up(event.pointerId);
    setPanning(false);
  };

  const pick = (event: PointerEvent<SVGSVGElement>): void => {
    const piece = (event.target as Element).closest('[data-piece]')?.getAttribute('data-piece');
    if (tool === 'hand' && (piece === 'front' || piece === 'back')) set({ inHand: piece });
  };

  const pointed = lit.pointed;
  const last = taken.length === 1 && pointer ? take(pointer) : taken[1];
  const first = taken[0];
  const reading = first && last ? readBetween(first, last) : undefined;

  return (
    <main className="board" aria-label="Board">
      <svg
        ref={svg}
        className="drawing"
        data-tool={tool}
        data-dragging={panning}
        tabIndex={0}
        role="group"
        aria-label="Front and back piece. Arrow keys move the board, plus and minus zoom, 0 shows all."
        onPointerDown={(event) => {
          pick(event);
          down(event);
        }}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onPointerLeave={() => {
          setPointer(undefined);
        }}
        onKeyDown={(event) => {
          if (event.target !== event.currentTarget || !size) return;
          if (event.key === 'Escape' && taken.length > 0) set({ taken: [] });
          if (event.ctrlKey || event.metaKey) return;
          if (navigation.key(event.key, { x: size.width / 2, y: size.height / 2 })) event.preventDefault();
        }}
      >
        {draft && block && arranged && view && size && (
          <>
            <FrameLines levels={block.levels} view={view} size={size} tape={tape} estimated={estimated} />
            <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
              {before &&
                PANEL_NAMES.map((name) => (
                  <GhostOutline key={name} panel={before.block[name]} place={arranged[name]} />
                ))}
              {reference && showReference && !over && (
                <Suspense fallback={undefined}>
                  <ReferenceLayer reference={reference} arranged={arranged} />
                </Suspense>
              )}
              {(showCut || cutShown) && !over && (
                <Suspense fallback={undefined}>
                  <CutLayer block={block} allowances={allowances} arranged={arranged} />
                </Suspense>
              )}
              {!over &&
                PANEL_NAMES.map((name) => (
                  <PieceDrawing
                    key={name}
                    panel={block[name]}
                    levels={block.levels}
                    place={arranged[name]}
                    lit={lit}
                    inHand={handles && inHand === name}
                    showConstruction={showConstruction}
                    onPoint={name === 'front' ? pointFront : pointBack}
                  />
                ))}
            </g>
            {PANEL_NAMES.filter(() => !over && view.scale > LEAST_NAMED).map((name) => {
              const panel = block[name];
              const place = arranged[name];
              const at = toScreen(toBoard({ x: panel.crease, y: block.levels.crotchLevel + 60 }, place), view);
              return (
                <text
                  key={name}
                  className="halo"
                  x={at.x}
                  y={at.y}
                  textAnchor="middle"
                  fontWeight={600}
                  style={{ fill: `var(--${name})`, fontSize: 17 }}
                  pointerEvents="none"
                >
                  {pieceName(name, draft.legs ? leg : undefined)}
                </text>
              );
            })}
            {reading && first && last && (
              <Suspense fallback={undefined}>
                <ReadingTag
                  reading={reading}
                  from={toScreen(first.at, view)}
                  to={toScreen(last.at, view)}
                  size={size}
                  tape={tape}
                />
              </Suspense>
            )}
            {handles && tool === 'hand' && (
              <Suspense fallback={undefined}>
                <HandleLayer
                  draft={draft}
                  place={arranged[inHand]}
                  view={view}
                  size={size}
                  tape={tape}
                  refused={refusal !== undefined}
                />
              </Suspense>
            )}
            {levelShown && (
              <Suspense fallback={undefined}>
                <LevelLine draft={draft} view={view} size={size} tape={tape} />
              </Suspense>
            )}
            {over?.({ draft, arranged, view, size, tape })}
            {above?.({ draft, arranged, view, size, tape })}
            {pointed && pointer && tool === 'hand' && !panning && (
              <Tag
                at={pointer}
                size={size}
                lines={[
                  `${pointed.panel === 'front' ? 'Front' : 'Back'} ${EDGE_WORDS[pointed.edge]}`,
                  formatLength(edgeLengths(block[pointed.panel])[pointed.edge], tape),
                ]}
              />
            )}
            <Suspense fallback={undefined}>
              <Rulers view={view} size={size} tape={tape} pointer={pointer} />
            </Suspense>
          </>
        )}
      </svg>
      {!draft && (
        <div className="board-empty">
          <p>
            {missing.length > 0
              ? `The pieces appear as soon as waist, hip, crotch depth and inseam are in. Missing: ${missing.length}.`
              : 'Nothing can be drawn from these figures yet.'}
          </p>
        </div>
      )}
      {draft && (
        <Suspense fallback={undefined}>
          <BoardTools view={view} size={size} />
        </Suspense>
      )}
      {draft?.legs && (
        <Suspense fallback={undefined}>
          <LegSwitch />
        </Suspense>
      )}
      {worked && sliders.length > 0 && (
        <Suspense fallback={undefined}>
          <BoardSliders worked={worked} settings={sliders} />
        </Suspense>
      )}
      {legend && (
        <Suspense fallback={undefined}>
          <Legend />
        </Suspense>
      )}
      {refusal && (
        <div className="board-message" role="status">
          {withFractions(refusalSentence(refusal, readerIn(unit)))}
          {draft && ' The last good draft stays on the board.'}
        </div>
      )}
    </main>
  );
}
