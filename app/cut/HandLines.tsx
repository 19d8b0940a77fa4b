import Button from '@mui/material/Button';
import { boundsOf, copyName, placedOutline, type LayShape } from '../../core/lay/index.js';
import { LengthField } from '../shared/LengthField.js';
import { useUnit } from '../store/work-context.js';
import type { LayAtHand } from './use-lay.js';
import type { LayHand } from './use-lay-hand.js';

/** The part in hand on the cloth: where it lies, by figures; turned, changed with its pair, locked. */
export function HandLines({
  lay,
  hand,
  shapes,
  nameOf,
}: {
  readonly lay: LayAtHand;
  readonly hand: LayHand;
  readonly shapes: readonly LayShape[];
  readonly nameOf: (id: string) => string;
}) {
  const unit = useUnit();
  const one = lay.found?.placed.find((p) => copyName(p) === hand.chosen);
  const shape = shapes.find((s) => s.id === one?.id);
  if (!one || !shape)
    return (
      <p className="quiet">
        Drag a part to where you want it: it lies against what is near, and never in another. By keys: Tab to the cloth,
        Page Up and Page Down from part to part, arrows to move it.
      </p>
    );
  const locked = lay.locked.has(copyName(one));
  const { left, low } = boundsOf(placedOutline(shape, one));
  const place = (label: string, mm: number, move: (to: number) => void) => (
    <div className="line">
      <label htmlFor={`hand-${label}`}>{label}</label>
      <LengthField
        id={`hand-${label}`}
        label={label}
        mm={Math.round(mm * 10) / 10}
        unit={unit}
        onCommit={(next) => {
          if (next !== undefined) move(next);
        }}
      />
    </div>
  );
  return (
    <div data-in-hand-part={copyName(one)}>
      <h3>
        {nameOf(one.id)}
        {shape.count > 1 && `, ${one.copy + 1} of ${shape.count}`}
      </h3>
      {place('From the cut end', left, (to) => {
        hand.nudge(one, to - left, 0);
      })}
      {place('From the upper edge', low, (to) => {
        hand.nudge(one, 0, to - low);
      })}
      <div className="acts">
        <Button
          size="small"
          variant="outlined"
          disabled={locked || shape.turns.length < 2}
          onClick={() => {
            hand.turn(one);
          }}
        >
          Turn (T)
        </Button>
        <Button
          size="small"
          variant="outlined"
          disabled={locked || !shape.mirrored}
          onClick={() => {
            hand.change(one);
          }}
        >
          Change with its pair (F)
        </Button>
        <Button
          size="small"
          variant="outlined"
          aria-pressed={locked}
          onClick={() => {
            hand.lock(one);
          }}
        >
          {locked ? 'Unlock (L)' : 'Lock (L)'}
        </Button>
      </div>
      <p className={hand.told ? 'doubt' : 'quiet'} role="status">
        {hand.told ?? 'Looking on leaves alone what is locked.'}
      </p>
    </div>
  );
}
