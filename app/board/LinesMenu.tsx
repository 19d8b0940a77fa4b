import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useBoard } from './board-store.js';
import { BOARD_LINES, lineWords } from './line-verbs.js';

/** All lines of the board by name, for those who do not point: the one that is picked shows what can be done to it. */
export function LinesMenu({ anchor, onClose }: { readonly anchor: HTMLElement; readonly onClose: () => void }) {
  const set = useBoard((s) => s.set);
  return (
    <Menu open anchorEl={anchor} onClose={onClose} slotProps={{ list: { dense: true, 'aria-label': 'Lines' } }}>
      {BOARD_LINES.map((line) => (
        <MenuItem
          key={lineWords(line)}
          onClick={() => {
            const box = anchor.getBoundingClientRect();
            onClose();
            set({ verbs: { line, at: undefined, screen: { x: box.left, y: box.top } } });
          }}
        >
          {lineWords(line)}
        </MenuItem>
      ))}
    </Menu>
  );
}
