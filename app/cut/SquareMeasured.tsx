import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { usePreferences } from '../store/preferences.js';
import { scaleTold, SQUARE } from './printer-scale.js';

/** How long the test square came out on the maker's printer: asked once, remembered. */
export function SquareMeasured() {
  const kept = usePreferences((p) => p.squareMeasured);
  const set = usePreferences((p) => p.set);
  const [text, setText] = useState(String(kept));
  const measured = Number(text.replace(',', '.'));
  const good = Number.isFinite(measured) && measured > 0;
  return (
    <div className="line">
      <label htmlFor="square-measured">Square of 100 mm came out</label>
      <TextField
        id="square-measured"
        variant="standard"
        size="small"
        sx={{ gridColumn: '2 / -1' }}
        value={text}
        error={!good}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        helperText={good ? undefined : `Test square: “${text}” is no length. Write it in millimetres: 99.6.`}
        onChange={(event) => {
          setText(event.target.value);
          const mm = Number(event.target.value.replace(',', '.'));
          if (Number.isFinite(mm) && mm > 0) set({ squareMeasured: mm });
        }}
      />
      {good && measured !== SQUARE && (
        <div className="sum" role="status">
          {scaleTold(measured)}
        </div>
      )}
    </div>
  );
}
