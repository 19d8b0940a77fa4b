import { lazy, memo, Suspense, useState, type ReactNode } from 'react';
import { useBoard } from './board-store.js';
import { scaleWords, useView, zoomView, type ScreenSize, type View } from './view.js';

const LinesMenu = lazy(() => import('./LinesMenu.js').then((m) => ({ default: m.LinesMenu })));
const ShownMenu = lazy(() => import('./ShownMenu.js').then((m) => ({ default: m.ShownMenu })));

function Verb({
  on,
  pressed,
  label,
  children,
}: {
  on: (anchor: HTMLElement) => void;
  pressed?: boolean;
  label?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={pressed}
      onClick={(event) => {
        on(event.currentTarget);
      }}
    >
      {children}
    </button>
  );
}

/** The foot of the board: what is read and shown on it, at which scale it lies, larger, smaller, all of it. */
export const BoardFoot = memo(function BoardFoot({
  view,
  size,
}: {
  view: View | undefined;
  size: ScreenSize | undefined;
}) {
  const setView = useView((s) => s.setView);
  const { tool, legend, levelShown, set } = useBoard();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [lines, setLines] = useState<HTMLElement>();
  const zoom = (factor: number): void => {
    if (view && size) setView(zoomView(view, factor, { x: size.width / 2, y: size.height / 2 }));
  };
  return (
    <div className="board-foot" role="toolbar" aria-label="Board">
      <Verb
        pressed={tool === 'measure'}
        on={() => {
          set({ tool: tool === 'measure' ? 'hand' : 'measure', taken: [] });
        }}
      >
        Measure on the board
      </Verb>
      <Verb
        pressed={levelShown}
        on={() => {
          set({ levelShown: !levelShown });
        }}
      >
        Level line
      </Verb>
      <Verb on={setLines}>Lines</Verb>
      <Verb on={setAnchor}>What is shown</Verb>
      <Verb
        pressed={legend}
        on={() => {
          set({ legend: !legend });
        }}
      >
        Line meanings
      </Verb>
      <span className="spring" />
      {view && <span className="scale">{scaleWords(view)}</span>}
      <Verb
        label="Zoom out"
        on={() => {
          zoom(0.8);
        }}
      >
        −
      </Verb>
      <Verb
        label="Zoom in"
        on={() => {
          zoom(1.25);
        }}
      >
        +
      </Verb>
      <Verb
        on={() => {
          setView(undefined);
        }}
      >
        Show all
      </Verb>
      <Suspense fallback={undefined}>
        {lines && (
          <LinesMenu
            anchor={lines}
            onClose={() => {
              setLines(undefined);
            }}
          />
        )}
        {anchor && (
          <ShownMenu
            anchor={anchor}
            onClose={() => {
              anchor.focus();
              setAnchor(undefined);
            }}
          />
        )}
      </Suspense>
    </div>
  );
});
