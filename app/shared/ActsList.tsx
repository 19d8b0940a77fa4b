import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { sayAct, type Act, type ActReader } from '../../core/kept/index.js';
import { withFractions } from './fractions.js';
import './acts-list.css';

interface ActsListProps {
  readonly anchor: HTMLElement;
  readonly acts: readonly Act[];
  readonly reader: ActReader;
  readonly onStepTo: (act: Act | undefined) => void;
  readonly onClose: () => void;
}

const when = (at: string): string =>
  new Date(at).toLocaleString(undefined, { month: 'short', day: 'numeric', hour: '2-digit', minute: '2-digit' });

/** What was done here, the last on top: a press steps back to the state after it, or forward to it. */
export function ActsList({ anchor, acts, reader, onStepTo, onClose }: ActsListProps) {
  const latest = acts.findLast((a) => !a.undone);
  const step = (act: Act | undefined) => (): void => {
    onClose();
    if (act !== latest) onStepTo(act);
  };
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{ paper: { sx: { maxHeight: '70vh', maxWidth: 'min(440px, 92vw)' } }, list: { dense: true } }}
    >
      <ListSubheader sx={{ lineHeight: 1.4, py: 1, background: 'var(--sheet)' }}>
        What was done here. A press steps to the state after it; a new act ends what was undone.
      </ListSubheader>
      {[...acts].reverse().map((act) => (
        <MenuItem
          key={act.id}
          className="act"
          data-undone={act.undone}
          selected={act === latest}
          aria-current={act === latest}
          onClick={step(act)}
        >
          <span className="act-said">{withFractions(sayAct(act, reader))}</span>
          <span className="quiet">{when(act.at)}</span>
        </MenuItem>
      ))}
      <MenuItem className="act" selected={latest === undefined} onClick={step(undefined)}>
        <span className="act-said">Before all this</span>
      </MenuItem>
    </Menu>
  );
}
