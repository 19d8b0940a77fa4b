import Button from '@mui/material/Button';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import {
  changeOf,
  dayOf,
  draftFromVersion,
  sameFigures,
  versionInHand,
  versionLabel,
  type DraftVersion,
} from '../../core/kept/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { newId } from '../shared/new-id.js';
import { GrowingList } from '../shared/GrowingList.js';
import { NameField } from '../shared/NameField.js';
import { PickLine } from '../shared/PickLine.js';
import { doAt } from '../store/place-acts.js';
import { useActs } from '../store/queries.js';
import { putSheets } from '../store/sheets.js';
import { roomOf } from '../store/rooms.js';
import { changeVersion, forgetVersion, keepVersion, makeCurrent, markFitted } from '../store/version-work.js';
import { useChange, useWork } from '../store/work-context.js';
import { OnCutLines } from './OnCutLines.js';

putSheets(SHEETS);

const STATES: readonly (readonly [DraftVersion['state'], string])[] = [
  ['uncut', 'Uncut'],
  ['cut', 'Cut'],
  ['sewn', 'Sewn'],
];

/** The versions of the draft: kept, named, compared, made current again, copied. */
export function VersionLines() {
  const work = useWork((s) => s.work);
  const change = useChange();
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const inHand = versionInHand(work);
  const versions = [...(work.draft.versions ?? [])].sort((a, b) => b.number - a.number);
  const nothingNew = inHand !== undefined && !inHand.changed;
  return (
    <>
      <p className="quiet" data-version-in-hand={inHand?.version.number ?? ''}>
        {inHand
          ? `In hand: ${versionLabel(inHand.version).toLowerCase()}${inHand.changed ? ', changed since it was kept.' : ', as it was kept.'}`
          : 'Nothing is kept of this draft yet but its last state. A version keeps it whole: figures, lines, alterations, finish and cloth.'}
      </p>
      <form
        className="keep-version"
        onSubmit={(event) => {
          event.preventDefault();
          change(keepVersion({ name: name.trim(), note: note.trim(), state: 'uncut' }));
          setName('');
          setNote('');
        }}
      >
        <label>
          <span>Name</span>
          <input
            value={name}
            maxLength={200}
            placeholder="toile, basted cloth …"
            onChange={(event) => {
              setName(event.target.value);
            }}
          />
        </label>
        <label>
          <span>Note</span>
          <input
            value={note}
            maxLength={2000}
            onChange={(event) => {
              setNote(event.target.value);
            }}
          />
        </label>
        <Button type="submit" variant="contained" disabled={nothingNew}>
          Keep this version
        </Button>
      </form>
      <OnCutLines />
      <GrowingList className="versions" items={versions}>
        {(version) => (
          <VersionRow
            key={version.id}
            version={version}
            current={version.id === inHand?.version.id && !inHand.changed}
          />
        )}
      </GrowingList>
    </>
  );
}

function VersionRow({ version, current }: { readonly version: DraftVersion; readonly current: boolean }) {
  const work = useWork((s) => s.work);
  const change = useChange();
  const go = useNavigate();
  const { room: roomName, draftId = '' } = useParams();
  const room = roomOf(roomName);
  const shelf = useActs(room, 'shelf');
  const [failed, setFailed] = useState(false);
  const label = versionLabel(version);
  const { id, number, note, state, kept } = version;
  const { fitted } = work.person;
  const fits = fitted?.draft === work.draft.id && fitted.version === id;
  const copy = async (): Promise<void> => {
    const draft = draftFromVersion(work, version, newId, new Date());
    const made = changeOf({ kind: 'draft', id: draft.id }, undefined, draft);
    await doAt(room, 'shelf', `“${draft.name}” copied`, made ? [made] : [], shelf.data ?? []);
    await go(`/${room}/draft/${draft.id}/draft`);
  };
  return (
    <li data-version={number} data-current={current}>
      <h3>
        {`Version ${number}`} <span className="quiet">{dayOf(kept)}</span>
        {current && <span className="version-current"> in hand</span>}
      </h3>
      <label className="version-field">
        <span>Name</span>
        <NameField
          label={`Name of version ${number}`}
          className=""
          value={version.name}
          allowEmpty
          onCommit={(next) => {
            change(changeVersion(id, { name: next }));
          }}
        />
      </label>
      <label className="version-field">
        <span>Note</span>
        <NameField
          label={`Note of version ${number}`}
          className=""
          value={note}
          allowEmpty
          onCommit={(next) => {
            change(changeVersion(id, { note: next }));
          }}
        />
      </label>
      <PickLine
        label={`Version ${number} is`}
        value={state}
        choices={STATES}
        onChoose={(next) => {
          change(changeVersion(id, { state: next }));
        }}
      />
      {!sameFigures(work, version) && (
        <p className="quiet">The person’s figures have changed since; it is compared by the figures of then.</p>
      )}
      <div className="acts">
        <Button
          size="small"
          variant="outlined"
          aria-label={`Compare with ${label.toLowerCase()}`}
          onClick={() => {
            void go(`/${roomName ?? ''}/draft/${draftId}/choose/compare?beside=version:${id}`);
          }}
        >
          Compare
        </Button>
        <Button
          size="small"
          variant="outlined"
          disabled={current}
          aria-label={`Hold against ${label.toLowerCase()} on the body`}
          onClick={() => {
            void go(`/${roomName ?? ''}/draft/${draftId}/toile/virtual?against=${id}`);
          }}
        >
          On the body
        </Button>
        <Button
          size="small"
          variant="outlined"
          disabled={current}
          aria-label={`Make ${label.toLowerCase()} current`}
          onClick={() => {
            change(makeCurrent(id));
          }}
        >
          Make current
        </Button>
        <Button
          size="small"
          variant="outlined"
          aria-label={`Copy ${label.toLowerCase()} as a draft`}
          onClick={() => {
            copy().catch(() => {
              setFailed(true);
            });
          }}
        >
          Copy
        </Button>
        <Button
          size="small"
          variant="outlined"
          aria-pressed={fits}
          aria-label={fits ? `${label} no longer fits` : `${label} fits`}
          onClick={() => {
            change(markFitted(fits ? undefined : id));
          }}
        >
          {fits ? 'It fits ✓' : 'It fits'}
        </Button>
        <Button
          size="small"
          aria-label={`Forget ${label.toLowerCase()}`}
          onClick={() => {
            change(forgetVersion(id));
          }}
        >
          Forget
        </Button>
      </div>
      {failed && (
        <p className="doubt" role="status">
          The copy could not be stored. Try again, or save the workroom to a file first.
        </p>
      )}
    </li>
  );
}
