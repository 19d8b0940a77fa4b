import IconButton from '@mui/material/IconButton';
import ContentCopy from '@mui/icons-material/ContentCopyOutlined';
import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import EditOutlined from '@mui/icons-material/EditOutlined';
import HandOver from '@mui/icons-material/FileDownloadOutlined';
import NoteIcon from '@mui/icons-material/StickyNote2Outlined';
import { Suspense, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../core/kept/index.js';
import type { RoomId } from '../store/rooms.js';
import { onDemand } from '../shared/on-demand.js';
import { methodName } from '../store/sheets.js';
import type { ShelfLine } from './shelf-rows.js';

/** The small picture of a draft. */
export const DraftPicture = onDemand(() => import('./DraftPicture.js').then((m) => ({ default: m.DraftPicture })));

interface ShelfRowProps {
  readonly room: RoomId;
  readonly line: ShelfLine;
  readonly onRename: (name: string) => void;
  readonly onNote: (note: string) => void;
  readonly onCopy: () => void;
  readonly onHandOver: () => void;
  readonly onDelete: () => void;
}

function Act({ title, label, on, children }: { title: string; label: string; on: () => void; children: ReactNode }) {
  return (
    <IconButton title={title} aria-label={label} onClick={on}>
      {children}
    </IconButton>
  );
}

/** A line that is written in the place of what it changes; Enter or leaving keeps it, Escape gives it back. */
function Written({
  label,
  was,
  onKeep,
  onEnd,
}: {
  label: string;
  was: string;
  onKeep: (text: string) => void;
  onEnd: () => void;
}) {
  return (
    <input
      className="rename"
      aria-label={label}
      defaultValue={was}
      maxLength={label.startsWith('Note') ? 1000 : 200}
      autoFocus
      onBlur={(event) => {
        onEnd();
        onKeep(event.target.value.trim());
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') {
          event.currentTarget.value = was;
          event.currentTarget.blur();
        }
      }}
    />
  );
}

/** One draft on the shelf: its picture, whose it is, and what can be done with it. */
export function ShelfRow({ room, line, onRename, onNote, onCopy, onHandOver, onDelete }: ShelfRowProps) {
  const { draft, person, work, heads } = line;
  const [writing, setWriting] = useState<'name' | 'note'>();
  const end = (): void => {
    setWriting(undefined);
  };
  return (
    <>
      {heads && (
        <li className="shelf-person">
          <Link to={`/${room}/person/${person.id}/history`}>{person.name}</Link>
        </li>
      )}
      <li data-draft={draft.name}>
        <Suspense fallback={<svg className="picture" viewBox="0 0 92 104" aria-hidden="true" />}>
          <DraftPicture work={work} />
        </Suspense>
        <div>
          {writing === 'name' ? (
            <Written
              label="Name of the draft"
              was={draft.name}
              onEnd={end}
              onKeep={(name) => {
                if (name !== '' && name !== draft.name) onRename(name);
              }}
            />
          ) : (
            <Link className="name" to={`/${room}/draft/${draft.id}/draft`}>
              {draft.name}
            </Link>
          )}
          <div>
            {person.name}{' '}
            <span className="quiet">
              · {methodName(draft)} · changed {dayOf(draft.changed)}
            </span>
          </div>
          {writing === 'note' ? (
            <Written
              label="Note on the draft"
              was={draft.note ?? ''}
              onEnd={end}
              onKeep={(note) => {
                if (note !== (draft.note ?? '')) onNote(note);
              }}
            />
          ) : (
            draft.note !== undefined && <div className="quiet draft-note">{draft.note}</div>
          )}
        </div>
        <div className="acts">
          <Act
            title="Rename"
            label={`Rename ${draft.name}`}
            on={() => {
              setWriting('name');
            }}
          >
            <EditOutlined />
          </Act>
          <Act
            title="Write a note"
            label={`Note on ${draft.name}`}
            on={() => {
              setWriting('note');
            }}
          >
            <NoteIcon />
          </Act>
          <Act title="Copy" label={`Copy ${draft.name}`} on={onCopy}>
            <ContentCopy />
          </Act>
          <Act title="Hand over as a file" label={`Hand over ${draft.name}`} on={onHandOver}>
            <HandOver />
          </Act>
          <Act title="Delete" label={`Delete ${draft.name}`} on={onDelete}>
            <DeleteOutlined />
          </Act>
        </div>
      </li>
    </>
  );
}
