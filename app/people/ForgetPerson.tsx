import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Person } from '../../core/kept/index.js';
import { forgetPerson } from '../store/forget-person.js';
import { forgotRecords } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';

const counted = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** Forgets a person for good, once it was said what goes and what may still hold them. */
export function ForgetPerson({
  room,
  person,
  drafts,
}: {
  readonly room: RoomId;
  readonly person: Person;
  readonly drafts: number;
}) {
  const go = useNavigate();
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState<string>();
  const forget = async (): Promise<void> => {
    try {
      forgotRecords(room, await forgetPerson(room, person.id));
      await go(`/${room}/crew`);
    } catch (fault) {
      setFailed(fault instanceof Error ? fault.message : String(fault));
    }
  };
  return (
    <>
      <Button
        onClick={() => {
          setAsking(true);
        }}
      >
        Forget for good …
      </Button>
      <Dialog
        open={asking}
        onClose={() => {
          setAsking(false);
        }}
        aria-labelledby="forget-title"
      >
        <DialogTitle id="forget-title">Forget {person.name} for good?</DialogTitle>
        <DialogContent>
          <p>
            {counted(person.sets.length, 'set', 'sets')} of measurements,{' '}
            {counted(person.traces.length, 'trace', 'traces')} and {counted(drafts, 'draft', 'drafts')} go, and
            everything that undo holds of them. This cannot be undone.
          </p>
          <p className="quiet">
            Workbooks, tables, prints and drawings that were saved to files may still hold them: delete those by hand.
          </p>
          {failed !== undefined && (
            <p className="problem" role="alert">
              This browser could not do it: {failed} Nothing was changed.
            </p>
          )}
        </DialogContent>
        <DialogActions>
          <Button
            autoFocus
            onClick={() => {
              setAsking(false);
            }}
          >
            Keep them
          </Button>
          <Button color="error" onClick={() => void forget()}>
            Forget for good
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
