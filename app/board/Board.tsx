import { lazy, Suspense, useMemo, useRef, type ReactNode } from 'react';
import { LEVELS } from '../../core/method/index.js';
import { useLens } from '../shared/lens-store.js';
import { onDemand } from '../shared/on-demand.js';
import { usePreferences } from '../store/preferences.js';
import { useComputed, useTape } from '../store/work-context.js';
import { arrange } from './arrange.js';
import { useBoard } from './board-store.js';
import type { BoardLayer, Drawn } from './drawn-board.js';
import { FrameLines } from './FrameLines.js';
import { useFitted } from './use-fitted.js';
import { useHand } from './use-hand.js';
import { useNavigation } from './use-navigation.js';
import { useSize } from './use-size.js';
import { useView } from './view.js';
import './board.css';

const BoardMessage = lazy(() => import('./BoardMessage.js').then((m) => ({ default: m.BoardMessage })));
const BoardFoot = onDemand(() => import('./BoardFoot.js').then((m) => ({ default: m.BoardFoot })));
const BoardSliders = lazy(() => import('./BoardSliders.js').then((m) => ({ default: m.BoardSliders })));
const LineVerbs = lazy(() => import('./LineVerbs.js').then((m) => ({ default: m.LineVerbs })));
const Legend = lazy(() => import('./Legend.js').then((m) => ({ default: m.Legend })));
const LegSwitch = lazy(() => import('./LegSwitch.js').then((m) => ({ default: m.LegSwitch })));
const Lens = lazy(() => import('./Lens.js').then((m) => ({ default: m.Lens })));
const Rulers = onDemand(() => import('./Rulers.js').then((m) => ({ default: m.Rulers })));

/** What the board shows as soon as it is laid. */
export const BOARD_PARTS = [BoardFoot, Rulers] as const;

interface BoardProps {
  /** What is laid on the frame, from the lowest up. */
  readonly layers: readonly BoardLayer[];
  /** Drawn above them by the view that lays the board, in screen coordinates. */
  readonly children?: ((drawn: Drawn) => ReactNode) | undefined;
}

/** What lies on the board and how it is seen; nothing until there is a draft and room for it. */
function useDrawn(svg: React.RefObject<SVGSVGElement | null>): Drawn | undefined {
  const size = useSize(svg);
  const draft = useComputed((c) => c.draft);
  const before = useComputed((c) => c.before);
  const tape = useTape();
  const arrangement = usePreferences((p) => p.arrangement);
  const looked = useView((s) => s.view);
  const block = draft?.block;
  // While a hand moves something the pieces keep their places: what is pulled stays under the hand.
  const lying = before?.block ?? block;
  const arranged = useMemo(() => lying && arrange(lying, arrangement), [lying, arrangement]);
  // While a value changes the board must not jump: it is fitted anew only for another size, piece of work or layout.
  const fitted = useFitted(block && arranged && size ? { block, arranged, size, arrangement } : undefined);
  const view = looked ?? fitted;
  return draft && arranged && view && size ? { draft, arranged, view, size, tape } : undefined;
}

/** The sentence over a board without a draft. */
function Empty() {
  const missing = useComputed((c) => c.missing);
  return (
    <div className="board-empty">
      <p>
        {missing.length > 0
          ? `The pieces appear as soon as waist, hip, crotch depth and inseam are in. Missing: ${missing.length}.`
          : 'Nothing can be drawn from these figures yet.'}
      </p>
    </div>
  );
}

/** The board: the frame with its levels and tapes, and on it the layers of the station; at its foot what is done with it. */
export function Board({ layers, children }: BoardProps) {
  const svg = useRef<SVGSVGElement>(null);
  const drawn = useDrawn(svg);
  const navigation = useNavigation(svg, drawn?.view);
  const hand = useHand(svg, drawn, navigation);
  const refusal = useComputed((c) => c.refusals[0]);
  const { tool, taken, legend, verbs, set } = useBoard();
  const finger = useLens((s) => s.at !== undefined);
  const worked = drawn?.draft.worked;
  const sliders = worked?.settings.filter((s) => s.slider) ?? [];
  const estimated = useMemo(
    () =>
      LEVELS.map(([name]) => name)
        .filter((name) => worked?.ledger.get(name)?.restsOnEstimate)
        .join(' '),
    [worked],
  );
  return (
    <main id="board" className="board" aria-label="Board">
      <svg
        ref={svg}
        className="drawing"
        data-tool={tool}
        data-dragging={hand.moving}
        tabIndex={0}
        role="group"
        aria-label="Front and back piece. Arrow keys move the board, plus and minus zoom, 0 shows all."
        {...hand.handlers}
        onKeyDown={(event) => {
          if (event.target !== event.currentTarget || !drawn) return;
          if (event.key === 'Escape' && taken.length > 0) set({ taken: [] });
          if (event.ctrlKey || event.metaKey) return;
          const middle = { x: drawn.size.width / 2, y: drawn.size.height / 2 };
          if (navigation.key(event.key, middle)) event.preventDefault();
        }}
      >
        {drawn && (
          <>
            <g id="board-lines" className="drawing">
              <FrameLines
                levels={drawn.draft.block.levels}
                view={drawn.view}
                size={drawn.size}
                tape={drawn.tape}
                estimated={estimated}
              />
              {layers.map((Layer, i) => (
                <Suspense key={i} fallback={undefined}>
                  <Layer drawn={drawn} />
                </Suspense>
              ))}
              {children?.(drawn)}
            </g>
            <Suspense fallback={undefined}>
              <Rulers view={drawn.view} size={drawn.size} tape={drawn.tape} />
              {finger && <Lens of="board-lines" size={drawn.size} />}
            </Suspense>
          </>
        )}
      </svg>
      {!drawn && <Empty />}
      <Suspense fallback={<div className="board-foot" />}>
        <BoardFoot view={drawn?.view} size={drawn?.size} />
        {drawn?.draft.legs && <LegSwitch />}
        {worked && sliders.length > 0 && <BoardSliders worked={worked} settings={sliders} />}
        {legend && <Legend />}
        {drawn && verbs && <LineVerbs drawn={drawn} />}
      </Suspense>
      {refusal && (
        <Suspense fallback={undefined}>
          <BoardMessage refusal={refusal} drawn={drawn !== undefined} />
        </Suspense>
      )}
    </main>
  );
}
