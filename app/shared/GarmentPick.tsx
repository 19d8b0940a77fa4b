import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import { useNavigate } from 'react-router';
import type { WorkbookContent } from '../../core/kept/index.js';
import type { RoomId } from '../store/rooms.js';
import { methodName } from '../store/sheets.js';
import type { SentRun } from './sent-run.js';

/** Asks which draft is to be applied to many bodies, and opens it with them. */
export function GarmentPick({
  room,
  shelf: { drafts, people },
  run,
  onClose,
}: {
  readonly room: RoomId;
  readonly shelf: Pick<WorkbookContent, 'drafts' | 'people'>;
  readonly run: NonNullable<SentRun['run']>;
  readonly onClose: () => void;
}) {
  const go = useNavigate();
  const nameOf = new Map(people.map((p) => [p.id, p.name]));
  const count = run.of.from === 'people' ? run.of.people.length : run.of.sizes.length;
  const sorted = [...drafts].sort((a, b) => b.changed.localeCompare(a.changed));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="garment-pick">
      <DialogTitle id="garment-pick">Which draft for {count === 1 ? run.name : `${run.name}, ${count}`}?</DialogTitle>
      <DialogContent>
        {sorted.length === 0 ? (
          <p className="quiet">There is no draft yet. Draft for one person first; it is then applied to all.</p>
        ) : (
          <List dense>
            {sorted.map((draft) => (
              <ListItemButton
                key={draft.id}
                data-garment={draft.id}
                onClick={() => {
                  void go(`/${room}/draft/${draft.id}/cut/many`, { state: { run } satisfies SentRun });
                }}
              >
                <ListItemText
                  primary={draft.name}
                  secondary={`${nameOf.get(draft.personId) ?? ''}, ${methodName(draft)}`}
                />
              </ListItemButton>
            ))}
          </List>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
      </DialogActions>
    </Dialog>
  );
}
