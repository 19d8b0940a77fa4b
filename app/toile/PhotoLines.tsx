import Button from '@mui/material/Button';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { Fitting } from '../../core/kept/index.js';
import { FileButton } from '../shared/FileButton.js';
import { NameField } from '../shared/NameField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { changePhoto, notePhoto } from '../store/fitting-work.js';
import { putPhotos } from '../store/photo-store.js';
import { usePhoto } from '../store/photos.js';
import { roomOf } from '../store/rooms.js';
import { useChange, useWork } from '../store/work-context.js';
import { MOST_BYTES, startPhoto } from './photo-job.js';

type Photo = NonNullable<Fitting['photos']>[number];

const WHERE: readonly (readonly [Photo['where'], string])[] = [
  ['front', 'In front'],
  ['side', 'At the side'],
  ['back', 'Behind'],
];

/** The photos of a fitting: taken or chosen, made small, kept on this machine; faces are not needed. */
export function PhotoLines({ fitting }: { readonly fitting: Fitting }) {
  const room = roomOf(useParams().room);
  const draft = useWork(({ work }) => work.draft.id);
  const change = useChange();
  const [said, setSaid] = useState<string>();
  const { id, photos = [] } = fitting;
  const take = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES) {
      setSaid(`“${file.name}” is larger than 60 MB. Choose a smaller picture.`);
      return;
    }
    setSaid(`Taking “${file.name}” in …`);
    const small = await startPhoto(file).answer.catch(() => undefined);
    if (!small) {
      setSaid(`“${file.name}” is no picture that this browser reads. Save it as JPEG or PNG and choose that.`);
      return;
    }
    const photo: Photo = { id: newId(), where: 'front', note: '', width: small.width, height: small.height };
    try {
      await putPhotos(room, [{ id: photo.id, draft, jpeg: small.jpeg }]);
      change(notePhoto(id, photo));
      setSaid(undefined);
    } catch {
      setSaid('This browser could not store the photo: there may be no room left. Nothing was changed.');
    }
  };
  return (
    <fieldset className="seen">
      <legend>Photos</legend>
      {photos.map((photo, i) => (
        <div key={photo.id} className="pin" data-photo={photo.where}>
          <PhotoPicture photo={photo} label={`Photo ${i + 1}`} />
          <PickLine
            label={`Photo ${i + 1} is taken`}
            value={photo.where}
            choices={WHERE}
            onChoose={(where) => {
              change(changePhoto(id, photo.id, { where }));
            }}
          />
          <label className="version-field">
            <span>Note</span>
            <NameField
              label={`Note of photo ${i + 1}`}
              className=""
              value={photo.note}
              allowEmpty
              onCommit={(note) => {
                change(changePhoto(id, photo.id, { note }));
              }}
            />
          </label>
          <Button
            size="small"
            aria-label={`Take photo ${i + 1} out`}
            onClick={() => {
              change(changePhoto(id, photo.id, undefined));
            }}
          >
            Take out
          </Button>
        </div>
      ))}
      <FileButton
        words="Add a photo"
        label="Photo of the fitting"
        accept="image/*"
        size="small"
        onFile={(file) => {
          void take(file);
        }}
      />
      <p className="quiet" role="status">
        {said ?? 'Kept small and on this machine; left out of what is handed over unless you tick it. No faces needed.'}
      </p>
    </fieldset>
  );
}

/** A photo of a fitting as it is kept. */
export function PhotoPicture({ photo, label }: { readonly photo: Photo; readonly label: string }) {
  const room = roomOf(useParams().room);
  const { data } = usePhoto(room, photo.id);
  if (data === null) return <p className="quiet">{`${label} is not kept in this browser.`}</p>;
  const said = WHERE.find(([where]) => where === photo.where)?.[1].toLowerCase() ?? '';
  return (
    <img
      className="fitting-photo"
      src={data}
      alt={`${label}, ${said}${photo.note === '' ? '' : `: ${photo.note}`}`}
      width={photo.width}
      height={photo.height}
    />
  );
}
