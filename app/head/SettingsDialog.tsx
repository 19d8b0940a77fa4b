import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Unit } from '../../core/units/index.js';
import { PickLine } from '../shared/PickLine.js';
import { usePreferences, type Preferences } from '../store/preferences.js';
import { useDialogs } from './dialogs.js';

const PAPERS: readonly (readonly [Preferences['paper'], string])[] = [
  ['a4', 'A4'],
  ['letter', 'Letter'],
  ['roll', 'One sheet, roll'],
];

/** What holds everywhere: unit, paper, theme, how the pieces lie; and the way to the keys and the words. */
export function SettingsDialog({
  unit,
  onUnit,
  onClose,
}: {
  unit: Unit;
  onUnit: (unit: Unit) => void;
  onClose: () => void;
}) {
  const preferences = usePreferences();
  const { set } = preferences;
  const show = useDialogs((d) => d.show);
  return (
    <Dialog open onClose={onClose} aria-labelledby="settings-title" fullWidth maxWidth="xs">
      <DialogTitle id="settings-title">Settings</DialogTitle>
      <DialogContent className="settings">
        <PickLine
          label="Unit"
          value={unit === 'in' ? 'in' : 'cm'}
          choices={[
            ['cm', 'Centimetres'],
            ['in', 'Inches'],
          ]}
          about="For all that is shown. Either may be typed anywhere: 29 3/4 in, 75.5 cm."
          onChoose={onUnit}
        />
        <PickLine
          label="Paper"
          value={preferences.paper}
          choices={PAPERS}
          onChoose={(paper) => {
            set({ paper });
          }}
        />
        <PickLine
          label="Theme"
          value={preferences.theme}
          choices={[
            ['system', 'As the system'],
            ['light', 'Light'],
            ['dark', 'Dark'],
          ]}
          onChoose={(theme) => {
            set({ theme });
          }}
        />
        <PickLine
          label="Pieces on the board"
          value={preferences.arrangement}
          choices={[
            ['sides', 'Side seams together'],
            ['creases', 'Creases on one another'],
            ['apart', 'Apart'],
          ]}
          onChoose={(arrangement) => {
            set({ arrangement });
          }}
        />
        <p className="quiet">
          Kept in this browser. Limits of the house and allowances belong to a draft: at Choose, House, and at Cut.
        </p>
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            show('words');
          }}
        >
          Words of the trade
        </Button>
        <Button
          onClick={() => {
            show('keys');
          }}
        >
          Keys
        </Button>
        <Button onClick={onClose} variant="contained">
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
