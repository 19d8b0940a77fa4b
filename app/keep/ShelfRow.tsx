import IconButton from '@mui/material/IconButton';
import ContentCopy from '@mui/icons-material/ContentCopyOutlined';
import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import EditOutlined from '@mui/icons-material/EditOutlined';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { dayOf, type Work } from '../../core/kept/index.js';
import { methodName } from '../store/sheets.js';

const DraftPicture = lazy(() => import('./DraftPicture.js').then((m) => ({ default: m.DraftPicture })));

interface ShelfRowProps {
  readonly work: Work;
  readonly to: string;
  readonly onRename: (name: string) => void;
  readonly onCopy: () => void;
  readonly onDelete: () => void;
}

/** One draft on the shelf: its picture, whose it is, and what can be done with it. */
export function ShelfRow({ work, to, onRename, onCopy, onDelete }: ShelfRowProps) {
  const { draft, person } = work;
  const [renaming, setRenaming] = useState(false);
  const rename = (name: string): void => {
    setRenaming(false);
    const wanted = name.trim();
    if (wanted !== '' && wanted !== draft.name) onRename(wanted);
  };
  return (
    <li data-draft={draft.name}>
      <Suspense fallback={<svg className="picture" viewBox="0 0 92 104" aria-hidden="true" />}>
        <DraftPicture work={work} />
      </Suspense>
      <div>
        {renaming ? (
          <input
            className="rename"
            aria-label="Name of the draft"
            defaultValue={draft.name}
            autoFocus
            onBlur={(event) => {
              rename(event.target.value);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') rename(event.currentTarget.value);
              if (event.key === 'Escape') setRenaming(false);
            }}
          />
        ) : (
          <Link className="name" to={to}>
            {draft.name}
          </Link>
        )}
        <div>{person.name}</div>
        <div className="quiet">
          {methodName(draft)} · changed {dayOf(draft.changed)}
        </div>
      </div>
      <div className="acts">
        <IconButton
          title="Rename"
          aria-label={`Rename ${draft.name}`}
          onClick={() => {
            setRenaming(true);
          }}
        >
          <EditOutlined />
        </IconButton>
        <IconButton
          title="Copy"
          aria-label={`Copy ${draft.name}`}
          onClick={() => {
            onCopy();
          }}
        >
          <ContentCopy />
        </IconButton>
        <IconButton
          title="Delete"
          aria-label={`Delete ${draft.name}`}
          onClick={() => {
            onDelete();
          }}
        >
          <DeleteOutlined />
        </IconButton>
      </div>
    </li>
  );
}
