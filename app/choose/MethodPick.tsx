import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { Link, useParams } from 'react-router';
import { isMeasured, measurementLabel } from '../../core/measure/index.js';
import { LAID_OUT_WORDS, laidOutOf } from '../../core/method/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { AdoptedNotice } from '../shared/AdoptedNotice.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { putSheets, sheetOf } from '../store/sheets.js';
import { useChange, useComputed, useWork } from '../store/work-context.js';
import { changeMethod } from '../store/work-changes.js';
import { FittedOffer } from './FittedOffer.js';
import { ownSheets } from './own-sheets.js';

putSheets(SHEETS);

/** The method: which, what it suits and rests on, and the ways to choose, read, play and compare methods. */
export function MethodPick() {
  const { room, draftId } = useParams();
  const shelf = useShelf(roomOf(room));
  const draft = useWork(({ work }) => work.draft);
  const change = useChange();
  const body = useComputed((c) => c.draft?.worked.body);
  const worked = useComputed((c) => c.draft?.worked.choices);
  const sheet = sheetOf(draft);
  const own = ownSheets(shelf.data?.drafts.map((d) => d.value) ?? [], draft);
  const wanted = sheet.needs.filter((id) => body && !isMeasured(body.get(id)));
  const words = wanted.map((id) => measurementLabel(id).toLowerCase()).join(' and the ');
  return (
    <>
      <div className="line">
        <label htmlFor="method">
          <strong>Method</strong>
        </label>
        <NativeSelect
          inputProps={{ id: 'method' }}
          sx={{ gridColumn: '2 / -1' }}
          value={sheet.id}
          onChange={(event) => {
            const next = [...own, ...SHEETS].find((s) => s.id === event.target.value);
            if (next) change(changeMethod(next));
          }}
        >
          {SHEETS.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
          {own.length > 0 && (
            <optgroup label="Own methods">
              {own.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </optgroup>
          )}
        </NativeSelect>
      </div>
      <FittedOffer />
      <AdoptedNotice />
      <p className="quiet">{sheet.suits}</p>
      {draftId !== undefined && (
        <p className="acts">
          <Button component={Link} to="advise" relative="path" size="small" variant="outlined">
            Which method
          </Button>
          <Button component={Link} to="compare" relative="path" size="small" variant="outlined">
            Compare
          </Button>
          <Button component={Link} to="steps" relative="path" size="small" variant="outlined">
            Worked steps
          </Button>
          <Button component={Link} to="sheet" relative="path" size="small" variant="outlined">
            Sheet
          </Button>
        </p>
      )}
      {wanted.length > 0 && (
        <p className="doubt" role="note" data-wants>
          It rests on the {words}, which {wanted.length === 1 ? 'is' : 'are'} estimated. Measure{' '}
          {wanted.length === 1 ? 'it' : 'them'} before cutting.
        </p>
      )}
      <details>
        <summary>About this method</summary>
        <p>{sheet.origin}</p>
        <p>
          <strong>Weak points:</strong> {sheet.weak}
        </p>
        <p>
          <strong>Laid out:</strong> {LAID_OUT_WORDS[laidOutOf(sheet, worked ?? draft.choices)]}.
        </p>
      </details>
    </>
  );
}
