import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { MOST_TOGETHER } from '../../core/workbook/index.js';
import { PlainField } from '../shared/PlainField.js';
import { layWith } from '../store/cloth-work.js';
import { useChange, useWork } from '../store/work-context.js';
import type { LaidTogether } from './use-laid-together.js';

/** What is laid on the cloth together: how many of this garment, and which other drafts, for whomever they are. */
export function TogetherLines({ together }: { readonly together: LaidTogether }) {
  const own = useWork(({ work }) => work.draft.id);
  const change = useChange();
  const { others, candidates } = together;
  const set = (list: readonly { readonly draft: string; readonly count: number }[]): void => {
    change(layWith(list.map(({ draft, count }) => ({ draft, count }))));
  };
  const all = [{ draft: own, count: together.own }, ...others];
  const counted = (draft: string, value: number): void => {
    const count = Math.min(MOST_TOGETHER, Math.max(1, Math.round(value)));
    set(all.map((one) => (one.draft === draft ? { draft, count } : one)));
  };
  const field = (draft: string, label: string, count: number) => (
    <div className="line">
      <label htmlFor={`together-${draft}`}>{label}</label>
      <PlainField
        id={`together-${draft}`}
        label={label}
        value={count}
        places={0}
        suffix="×"
        step={1}
        onCommit={(value) => {
          counted(draft, value);
        }}
      />
      <span />
    </div>
  );
  return (
    <>
      {field(own, 'Of this garment', together.own)}
      {others.map(({ draft, label, count, why }) => (
        <div key={draft} data-laid-with={draft}>
          {field(draft, label, count)}
          {why !== undefined && <p className="doubt">{why}</p>}
          <Button
            size="small"
            aria-label={`Take off: ${label}`}
            onClick={() => {
              set(all.filter((one) => one.draft !== draft));
            }}
          >
            Take off
          </Button>
        </div>
      ))}
      {candidates.length > 0 && all.length < MOST_TOGETHER && (
        <div className="line">
          <label htmlFor="lay-with">Lay with it</label>
          <NativeSelect
            inputProps={{ id: 'lay-with' }}
            sx={{ gridColumn: '2 / -1' }}
            value=""
            onChange={(event) => {
              set([...all, { draft: event.target.value, count: 1 }]);
            }}
          >
            <option value="">Another draft</option>
            {candidates.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </NativeSelect>
        </div>
      )}
      <p className="quiet">
        Their pieces of this cloth lie on it with these: grown by what it shrinks by, the way its nap asks, and with
        allowances of their own. What is bought is for all of them.
      </p>
    </>
  );
}
