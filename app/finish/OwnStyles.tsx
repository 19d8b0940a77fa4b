import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useState } from 'react';
import { useParams } from 'react-router';
import type { KeptStyle } from '../../core/kept/index.js';
import { componentNamed, type Style } from '../../core/style/index.js';
import { NameField } from '../shared/NameField.js';
import { newId } from '../shared/new-id.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import type { ShelfChange } from '../store/shelf-change.js';
import { takeStyle } from '../store/work-changes.js';
import { useChange, useWork } from '../store/work-context.js';
import { useFinish } from './finish-store.js';
import { useStyle } from './use-garment.js';

/** What a style is made of, in words. */
const madeOf = (style: Style): string =>
  style.map(({ id }) => componentNamed(id)?.label.toLowerCase() ?? id).join(', ');

/** What was last done to the kept styles, and how it is taken back. */
interface Done {
  readonly words: string;
  readonly back?: { readonly words: string; readonly change: ShelfChange };
}

/**
 * Styles: those a maker has kept, and those of the other drafts of the room, put on this one at a choice. The choices
 * alone are taken, with the allowances where they were kept with them; the block stays.
 */
export function OwnStyles() {
  const id = useId();
  const room = roomOf(useParams().room);
  const change = useChange();
  const set = useFinish((f) => f.set);
  const shelf = useShelf(room);
  const here = useWork(({ work }) => work.draft.id);
  const { style: now } = useStyle();
  const [done, setDone] = useState<Done>();
  const kept = (shelf.data?.styles ?? []).map(({ value }) => value);
  const others = (shelf.data?.drafts ?? []).flatMap(({ value: { id: draft, name, style = [] } }) =>
    draft !== here && style.length > 0 ? [{ id: draft, name, style }] : [],
  );
  const nothing = kept.length + others.length + now.length === 0 && done === undefined;
  const take = (found: Pick<KeptStyle, 'id' | 'style' | 'allowances'> | undefined): void => {
    if (!found) return;
    set({ trial: undefined, refused: undefined });
    change(takeStyle(found));
  };
  const write = async (words: string, put: ShelfChange, back?: Done['back']): Promise<void> => {
    try {
      const { doOnShelf } = await import('../store/place-acts.js');
      const { ok } = await doOnShelf(room, words, put);
      setDone(
        ok
          ? { words, ...(back && { back }) }
          : { words: 'The styles were changed in another window meanwhile: look at them and try again' },
      );
    } catch {
      setDone({ words: 'This browser could not store the style. Nothing was changed; save the workbook from Keep' });
    }
  };
  if (nothing) return null;
  return (
    <div className="own-styles">
      {(kept.length > 0 || others.length > 0) && (
        <div className="line">
          <label htmlFor={id}>Style of</label>
          <NativeSelect
            inputProps={{ id }}
            sx={{ gridColumn: '2 / -1' }}
            value=""
            onChange={(event) => {
              take([...kept, ...others].find((one) => one.id === event.target.value));
            }}
          >
            <option value="">Choose</option>
            {[['Kept styles', kept] as const, ['Other drafts', others] as const].map(
              ([label, list]) =>
                list.length > 0 && (
                  <optgroup key={label} label={label}>
                    {list.map((one) => (
                      <option key={one.id} value={one.id}>{`${one.name}: ${madeOf(one.style)}`}</option>
                    ))}
                  </optgroup>
                ),
            )}
          </NativeSelect>
        </div>
      )}
      <KeepStyle
        names={kept.map(({ name }) => name)}
        onKeep={(style) => {
          void write(`Kept the style “${style.name}”`, { put: { styles: [style] } });
        }}
      />
      {kept.length > 0 && (
        <details className="kept-styles">
          <summary>{kept.length === 1 ? '1 kept style' : `${kept.length} kept styles`}</summary>
          <ul>
            {kept.map((one) => (
              <li key={one.id} data-kept-style={one.name}>
                <NameField
                  label={`Name of the style ${one.name}`}
                  className="name-input"
                  value={one.name}
                  onCommit={(name) => {
                    if (kept.some((other) => other.name === name)) {
                      setDone({ words: `A style is called “${name}” already: choose another name` });
                      return;
                    }
                    void write(`Style “${one.name}” named “${name}”`, { put: { styles: [{ ...one, name }] } });
                  }}
                />
                <p className="quiet">
                  {madeOf(one.style)}
                  {one.allowances && '; with allowances'}
                </p>
                <div className="acts">
                  <Button
                    size="small"
                    onClick={() => {
                      take(one);
                    }}
                  >
                    Put on
                  </Button>
                  <Button
                    size="small"
                    onClick={() => {
                      const words = `Put back the style “${one.name}”`;
                      const back = { words, change: { put: { styles: [one] } } };
                      void write(`Forgot the style “${one.name}”`, { remove: { styles: [one.id] } }, back);
                    }}
                  >
                    Forget
                  </Button>
                </div>
              </li>
            ))}
          </ul>
        </details>
      )}
      {done && (
        <p className="quiet" role="status" data-styles-said>
          {`${done.words}.`}
          {done.back && (
            <Button
              size="small"
              autoFocus
              onClick={() => {
                const { back } = done;
                if (back) void write(back.words, back.change);
              }}
            >
              Put back
            </Button>
          )}
        </p>
      )}
    </div>
  );
}

/** Keeps the style of the open draft under a name; a name that is there already is said to be taken. */
function KeepStyle({ names, onKeep }: { names: readonly string[]; onKeep: (style: KeptStyle) => void }) {
  const id = useId();
  const { style } = useStyle();
  const allowances = useWork(({ work }) => work.draft.allowances);
  const [name, setName] = useState<string>();
  const [withAllowances, setWithAllowances] = useState(false);
  if (style.length === 0) return null;
  if (name === undefined) {
    return (
      <Button
        size="small"
        onClick={() => {
          setName('');
        }}
      >
        Keep this style
      </Button>
    );
  }
  const trimmed = name.trim();
  const taken = names.includes(trimmed);
  const close = (): void => {
    setName(undefined);
  };
  return (
    <form
      className="keep-style"
      onSubmit={(event) => {
        event.preventDefault();
        if (trimmed === '' || taken) return;
        onKeep({
          id: newId(),
          name: trimmed,
          style: style.map((item) => ({ id: item.id, values: { ...item.values } })),
          ...(withAllowances && { allowances: { ...allowances, given: [...allowances.given] } }),
        });
        close();
      }}
    >
      <div className="line">
        <label htmlFor={id}>Name of the style</label>
        <input
          id={id}
          className="name-input"
          maxLength={200}
          value={name}
          autoFocus
          data-typed={name !== ''}
          onChange={(event) => {
            setName(event.target.value);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            close();
          }}
        />
      </div>
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={withAllowances}
            onChange={(_, on) => {
              setWithAllowances(on);
            }}
          />
        }
        label="With its allowances"
      />
      {taken && (
        <p className="doubt" role="status">
          {`A style is called “${trimmed}” already: choose another name, or forget that one first.`}
        </p>
      )}
      <div className="acts">
        <Button size="small" type="submit" variant="contained" disabled={trimmed === '' || taken}>
          Keep
        </Button>
        <Button size="small" onClick={close}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
