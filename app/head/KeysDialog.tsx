import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { STATIONS } from '../room/stations.js';

const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl Z, Ctrl Y', 'Undo, redo'],
  ['Ctrl K', 'Find anything'],
  [STATIONS.map((s) => s.key).join(' '), STATIONS.map((s) => s.label).join(', ')],
  ['F', 'Take the other piece in hand'],
  ['B', 'Fold the bench away, bring it out'],
  ['?', 'This sheet of keys'],
  ['Tab', 'From handle to handle on the piece in hand'],
  [
    'Arrows on a handle',
    'Move it by a step of the tape; with Shift by a fine step; with Ctrl turn at constant length, or change a leg width on this piece alone',
  ],
  ['Delete on a handle', 'Give its figures back to the sheet'],
  ['Escape', 'Give up a drag, give back a field, put down a tool'],
  ['Arrows on a wedge', 'Pull it open or shut by a step of the tape'],
  ['Arrows, + − 0 on the board', 'Move, zoom, show all'],
  ['Lines, at the foot of the board', 'A seam or a level by name, and what can be done to it'],
  ['Arrows, Page Up, Page Down on the level line', 'Move it; to the next level or girth'],
  ['N, P, Home, End, Space', 'Worked steps: on, back, first, last, play; walking a seam: from notch to notch, walk'],
  ['A B C …', 'Comparing: hide or show the draft with that letter'],
  ['Enter, Tab in a formula', 'Take the name that is offered'],
  ['Enter in a measurement', 'On to the next one'],
  ['Enter, Ctrl V in the crew', 'Change a cell; paste rows from a spreadsheet'],
  ['Arrows in a field', 'A step of the tape up or down; with Shift a fine one'],
];

/** The sheet of keys. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <table>
          <tbody>
            {KEYS.map(([key, does]) => (
              <tr key={key}>
                <th
                  scope="row"
                  style={{ textAlign: 'left', paddingRight: 18, verticalAlign: 'top', whiteSpace: 'nowrap' }}
                >
                  {key}
                </th>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
