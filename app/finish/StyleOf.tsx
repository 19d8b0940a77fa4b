import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import { componentNamed } from '../../core/style/index.js';
import { useParams } from 'react-router';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useFinish } from './finish-store.js';
import { changeStyle } from '../store/work-changes.js';
import { useChange, useWork } from '../store/work-context.js';

/** Puts the style of another draft of the room on this one: the choices alone, the block stays. */
export function StyleOf() {
  const id = useId();
  const change = useChange();
  const set = useFinish((f) => f.set);
  const shelf = useShelf(roomOf(useParams().room));
  const here = useWork(({ work }) => work.draft.id);
  const others = (shelf.data?.drafts ?? []).flatMap(({ value: { id: draft, name, style: theirs = [] } }) =>
    draft !== here && theirs.length > 0 ? [{ id: draft, name, style: theirs }] : [],
  );
  if (others.length === 0) return null;
  return (
    <div className="line">
      <label htmlFor={id}>Style of</label>
      <NativeSelect
        inputProps={{ id }}
        sx={{ gridColumn: '2 / -1' }}
        value=""
        onChange={(event) => {
          const found = others.find((o) => o.id === event.target.value);
          if (!found) return;
          set({ trial: undefined, refused: undefined });
          change(changeStyle(found.style));
        }}
      >
        <option value="">Another draft</option>
        {others.map((o) => (
          <option key={o.id} value={o.id}>
            {`${o.name}: ${o.style.map((item) => componentNamed(item.id)?.label.toLowerCase() ?? item.id).join(', ')}`}
          </option>
        ))}
      </NativeSelect>
    </div>
  );
}
