import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import type { Unit } from '../../core/units/index.js';
import { usePreferences, type Preferences } from '../store/preferences.js';
import { useDialogs } from './dialogs.js';

function Choice<T extends string>({
  label,
  value,
  choices,
  about,
  onChoose,
}: {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  about?: string;
  onChoose: (value: T) => void;
}) {
  const id = useId();
  return (
    <div className="line settings-line">
      <label htmlFor={id}>{label}</label>
      <NativeSelect
        inputProps={{ id }}
        value={value}
        onChange={(event) => {
          onChoose(event.target.value as T);
        }}
      >
        {choices.map(([choice, words]) => (
          <option key={choice} value={choice}>
            {words}
          </option>
        ))}
      </NativeSelect>
      {about && <div className="sum">{about}</div>}
    </div>
  );
}

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
      <DialogContent>
        <Choice
          label="Unit"
          value={unit === 'in' ? 'in' : 'cm'}
          choices={[
            ['cm', 'Centimetres'],
            ['in', 'Inches'],
          ]}
          about="For all that is shown. Either may be typed anywhere: 29 3/4 in, 75.5 cm."
          onChoose={onUnit}
        />
        <Choice
          label="Paper"
          value={preferences.paper}
          choices={PAPERS}
          onChoose={(paper) => {
            set({ paper });
          }}
        />
        <Choice
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
        <Choice
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
