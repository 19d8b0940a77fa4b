import IconButton from '@mui/material/IconButton';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import FitScreen from '@mui/icons-material/FitScreenOutlined';
import Straighten from '@mui/icons-material/StraightenOutlined';
import Layers from '@mui/icons-material/LayersOutlined';
import Help from '@mui/icons-material/InfoOutlined';
import LevelIcon from '@mui/icons-material/HeightOutlined';
import { lazy, memo, Suspense, useState, type ReactNode } from 'react';
import { useBoard } from './board-store.js';
import { useView, zoomView, type ScreenSize, type View } from './view.js';

const ShownMenu = lazy(() => import('./ShownMenu.js').then((m) => ({ default: m.ShownMenu })));

function Tool({
  label,
  on,
  pressed,
  children,
}: {
  label: string;
  on: (anchor: HTMLElement) => void;
  pressed?: boolean;
  children: ReactNode;
}) {
  return (
    <IconButton
      title={label}
      aria-label={label}
      aria-pressed={pressed}
      sx={{
        borderRadius: '3px',
        width: 40,
        height: 40,
        color: pressed ? 'var(--act)' : 'var(--text)',
        background: pressed ? 'var(--ground)' : undefined,
      }}
      onClick={(event) => {
        on(event.currentTarget);
      }}
    >
      {children}
    </IconButton>
  );
}

/** What is done with the board as a whole: zoom, show all, measure, what is shown, legend. */
export const BoardTools = memo(function BoardTools({
  view,
  size,
}: {
  view: View | undefined;
  size: ScreenSize | undefined;
}) {
  const setView = useView((s) => s.setView);
  const { tool, legend, levelShown, set } = useBoard();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const zoom = (factor: number): void => {
    if (view && size) setView(zoomView(view, factor, { x: size.width / 2, y: size.height / 2 }));
  };
  return (
    <div className="board-tools" role="toolbar" aria-label="Board" aria-orientation="vertical">
      <Tool
        label="Zoom in"
        on={() => {
          zoom(1.25);
        }}
      >
        <Add />
      </Tool>
      <Tool
        label="Zoom out"
        on={() => {
          zoom(0.8);
        }}
      >
        <Remove />
      </Tool>
      <Tool
        label="Show all"
        on={() => {
          setView(undefined);
        }}
      >
        <FitScreen />
      </Tool>
      <Tool
        label="Measure on the board"
        pressed={tool === 'measure'}
        on={() => {
          set({ tool: tool === 'measure' ? 'hand' : 'measure', taken: [] });
        }}
      >
        <Straighten />
      </Tool>
      <Tool
        label="Level line"
        pressed={levelShown}
        on={() => {
          set({ levelShown: !levelShown });
        }}
      >
        <LevelIcon />
      </Tool>
      <Tool label="What is shown" on={setAnchor}>
        <Layers />
      </Tool>
      <Tool
        label="Line meanings"
        pressed={legend}
        on={() => {
          set({ legend: !legend });
        }}
      >
        <Help />
      </Tool>
      <Suspense fallback={undefined}>
        {anchor && (
          <ShownMenu
            anchor={anchor}
            onClose={() => {
              setAnchor(undefined);
            }}
          />
        )}
      </Suspense>
    </div>
  );
});
