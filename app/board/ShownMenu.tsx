import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Check from '@mui/icons-material/Check';
import type { ReactNode } from 'react';
import { usePreferences, type Arrangement } from '../store/preferences.js';
import { useView } from './view.js';

const ARRANGEMENTS: readonly (readonly [Arrangement, string])[] = [
  ['sides', 'Side seams together'],
  ['creases', 'Crease on crease'],
  ['apart', 'Apart'],
];

/** How the pieces lie on the board and what is drawn of them. */
export function ShownMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const setView = useView((s) => s.setView);
  const preferences = usePreferences();
  const item = (label: string, on: boolean, toggle: () => void): ReactNode => (
    <MenuItem key={label} role="menuitemcheckbox" aria-checked={on} onClick={toggle}>
      <Check fontSize="small" sx={{ visibility: on ? 'visible' : 'hidden', mr: 1 }} />
      <ListItemText>{label}</ListItemText>
    </MenuItem>
  );
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
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
      {item('Outline laid under', preferences.showReference, () => {
        preferences.set({ showReference: !preferences.showReference });
      })}
    </Menu>
  );
}
