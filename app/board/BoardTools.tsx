import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import ListItemText from '@mui/material/ListItemText';
import Tooltip from '@mui/material/Tooltip';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import FitScreen from '@mui/icons-material/FitScreenOutlined';
import Straighten from '@mui/icons-material/StraightenOutlined';
import Layers from '@mui/icons-material/LayersOutlined';
import Help from '@mui/icons-material/InfoOutlined';
import Check from '@mui/icons-material/Check';
import { memo, useState, type ReactNode } from 'react';
import { usePreferences, type Arrangement } from '../store/preferences.js';
import { useBoard } from './board-store.js';
import { useView, zoomView, type ScreenSize, type View } from './view.js';

const ARRANGEMENTS: readonly (readonly [Arrangement, string])[] = [
  ['sides', 'Side seams together'],
  ['creases', 'Crease on crease'],
  ['apart', 'Apart'],
];

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
    <Tooltip title={label} placement="left">
      <IconButton
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
    </Tooltip>
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
  const { tool, legend, set } = useBoard();
  const preferences = usePreferences();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const zoom = (factor: number): void => {
    if (view && size) setView(zoomView(view, factor, { x: size.width / 2, y: size.height / 2 }));
  };
  const item = (label: string, on: boolean, toggle: () => void): ReactNode => (
    <MenuItem key={label} role="menuitemcheckbox" aria-checked={on} onClick={toggle}>
      <Check fontSize="small" sx={{ visibility: on ? 'visible' : 'hidden', mr: 1 }} />
      <ListItemText>{label}</ListItemText>
    </MenuItem>
  );
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
      <Menu
        anchorEl={anchor ?? null}
        open={anchor !== undefined}
        onClose={() => {
          setAnchor(undefined);
        }}
      >
        {ARRANGEMENTS.map(([id, label]) =>
          item(label, preferences.arrangement === id, () => {
            preferences.set({ arrangement: id });
            setView(undefined);
          }),
        )}
        {item('Cut line', preferences.showCut, () => {
          preferences.set({ showCut: !preferences.showCut });
        })}
        {item('Construction lines', preferences.showConstruction, () => {
          preferences.set({ showConstruction: !preferences.showConstruction });
        })}
      </Menu>
    </div>
  );
});
