import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import { formatFigure, formatLength, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import type { Walking } from './use-walking.js';
import './walk.css';

/** How far a key takes a walk, in mm. */
const STEP = 10;

interface WalkControlsProps {
  readonly walking: Walking;
  readonly tape: Tape;
  /** What stands still and what is walked along it. */
  readonly names: readonly [string, string];
}

/** The play, the way walked, and what is compared at every notch. */
export function WalkControls({ walking, tape, names }: WalkControlsProps) {
  const id = useId();
  const { walk, length, most, playing, goTo, play, begin } = walking;
  if (!walk) return null;
  const { from, stops, marks } = walk;
  const gone = Math.abs(length - from.first);
  const passed = (first: number): boolean =>
    first > from.first ? length >= first - 1 : length <= first + 1 && first < from.first;
  return (
    <>
      <div className="line">
        <label htmlFor={`${id}-from`}>Begin at</label>
        <NativeSelect
          inputProps={{ id: `${id}-from` }}
          value={from.label}
          onChange={(event) => {
            begin(event.target.value);
          }}
        >
          {stops.map(({ label }) => (
            <option key={label} value={label}>
              {label}
            </option>
          ))}
        </NativeSelect>
      </div>
      <div className="acts">
        <Button size="small" variant="contained" onClick={play}>
          {playing ? 'Stop' : 'Walk'}
        </Button>
        <label htmlFor={id}>Walked {withFractions(formatLength(gone, tape))}</label>
      </div>
      <input
        id={id}
        className="walk-slider"
        type="range"
        min={0}
        max={Math.round(most)}
        step={STEP / 10}
        value={Math.round(length)}
        aria-valuetext={`${formatLength(gone, tape)} from the ${from.label}`}
        onChange={(event) => {
          goTo(Number(event.target.value));
        }}
        onKeyDown={(event) => {
          const by = { ArrowDown: STEP, ArrowRight: STEP, ArrowUp: -STEP, ArrowLeft: -STEP }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          goTo(Math.min(most, Math.max(0, length + (event.shiftKey ? by / 10 : by))));
        }}
      />
      <table className="figures walk-figures">
        <thead>
          <tr>
            <th scope="col">To the notch</th>
            <th scope="col">{names[0]}</th>
            <th scope="col">{names[1]}</th>
            <th scope="col">
              {names[0]} longer by ({tape.unit})
            </th>
          </tr>
        </thead>
        <tbody>
          {marks.map((mark) => (
            <tr key={mark.label} data-mark={mark.label} data-passed={passed(mark.first)}>
              <th scope="row">{mark.label}</th>
              <td className="number">{withFractions(formatFigure(Math.abs(mark.first - from.first), tape))}</td>
              <td className="number">{withFractions(formatFigure(Math.abs(mark.second - from.second), tape))}</td>
              <td className="number">{signedFigure(mark.difference, tape) || '0'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">Space walks and stops, N and P go to the next and the earlier notch.</p>
    </>
  );
}
