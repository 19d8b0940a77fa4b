import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import { useParams } from 'react-router';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { addAlterations } from '../store/alteration-work.js';
import { useChange, useWork } from '../store/work-context.js';

/** Copies the alterations of another draft to the end of this one's list. */
export function CopyAlterations() {
  const id = useId();
  const shelf = useShelf(roomOf(useParams().room));
  const here = useWork(({ work }) => work.draft.id);
  const change = useChange();
  const others = (shelf.data?.drafts ?? []).filter(({ value }) => value.id !== here && value.alterations.length > 0);
  if (others.length === 0) return null;
  return (
    <p>
      <label htmlFor={id} className="quiet">
        Copy those of
      </label>{' '}
      <NativeSelect
        inputProps={{ id }}
        value=""
        onChange={(event) => {
          const from = others.find(({ value }) => value.id === event.target.value)?.value;
          if (!from) return;
          change(
            addAlterations(
              from.alterations.map((a) => ({ ...a, id: crypto.randomUUID(), note: a.note || `From ${from.name}` })),
            ),
          );
        }}
      >
        <option value="">another draft</option>
        {others.map(({ value }) => (
          <option key={value.id} value={value.id}>
            {value.name} ({value.alterations.length})
          </option>
        ))}
      </NativeSelect>
    </p>
  );
}
