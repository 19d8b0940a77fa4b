import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo } from 'react';
import { draftNotes, type Panel } from '../../core/draft/index.js';
import { LEVELS, PARAMETER_NAMES, type PanelName, type ParameterName } from '../../core/method/index.js';
import { formatLength } from '../../core/units/index.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { giveBack, setByHand } from '../store/work-store.js';
import { useBoard } from './board-store.js';
import { ParameterLine, sourceOf } from './ParameterLine.js';
import { anglePlaced } from './seat-angle.js';

/** The lines a maker turns most; the seat angle and the hollow stand among them as figures of their own. */
const BEFORE: readonly ParameterName[] = ['extension'];
const SEAT: readonly ParameterName[] = ['centreIn', 'centreLift'];
const AFTER: readonly ParameterName[] = [
  'crotchDrop',
  'dartIntake',
  'dartLength',
  'waistWidth',
  'kneeWidth',
  'hemWidth',
];
const MAIN = new Set<ParameterName>([...BEFORE, ...SEAT, ...AFTER, 'depth']);

function SeatAngleLine({ panel }: { panel: Panel }) {
  const change = useChange();
  const tape = useTape();
  const worked = useComputed((c) => c.draft?.worked);
  const names = [`${panel.name}.centreIn`, `${panel.name}.centreLift`];
  if (!worked) return null;
  const byHand = names.some((n) => worked.ledger.get(n)?.source === 'hand');
  const { tiltPoint, centreWaist } = panel.points;
  return (
    <div className="line" data-line={`${panel.name}.seatAngle`}>
      <span className="label">{panel.name === 'back' ? 'Seat angle' : 'Front rise angle'}</span>
      <PlainField
        label={panel.name === 'back' ? 'Seat angle' : 'Front rise angle'}
        value={(panel.seatAngle * 180) / Math.PI}
        places={1}
        suffix="°"
        step={0.5}
        source={byHand ? 'hand' : sourceOf(worked, `${panel.name}.centreIn`)}
        onCommit={(degrees) => {
          change(setByHand(anglePlaced(panel, degrees)));
        }}
      />
      <SourceMark
        source={byHand ? 'hand' : 'sheet'}
        label="Seat angle"
        onGiveBack={() => {
          change(giveBack(names));
        }}
      />
      <div className="sum">
        in {formatLength(tiltPoint.x - centreWaist.x, tape)} over up {formatLength(tiltPoint.y - centreWaist.y, tape)}
      </div>
    </div>
  );
}

function HollowLine({ panel }: { panel: Panel }) {
  const change = useChange();
  const tape = useTape();
  const unit = useUnit();
  const worked = useComputed((c) => c.draft?.worked);
  const name = `${panel.name}.depth`;
  if (!worked) return null;
  const source = sourceOf(worked, name);
  const id = `hollow-${panel.name}`;
  return (
    <div className="line" data-line={name} data-source={source}>
      <label htmlFor={id}>Hollow</label>
      <LengthField
        id={id}
        label="Hollow"
        mm={Math.round(panel.hollow * 100) / 100}
        unit={unit}
        source={source}
        onCommit={(mm) => {
          if (mm !== undefined) change(setByHand({ [name]: Math.round((mm / panel.diagonal) * 1e6) / 1e6 }));
        }}
      />
      <SourceMark
        source={source}
        label="Hollow"
        onGiveBack={() => {
          change(giveBack([name]));
        }}
      />
      <div className="sum">
        {Number(panel.parameters.depth.toFixed(3))} of the diagonal, {formatLength(panel.diagonal, tape)}
      </div>
    </div>
  );
}

/** The bench at Draft: the parameters of the piece in hand, the frame, and what the drafting did by itself. */
export function DraftBench() {
  const inHand = useBoard((s) => s.inHand);
  const set = useBoard((s) => s.set);
  const block = useComputed((c) => c.draft?.block);
  const unit = useUnit();
  const byHand = useWork(({ work }) => Object.keys(work.draft.set).length);
  const change = useChange();
  const all = useWork(({ work }) => work.draft.set);
  const notes = useMemo(() => (block ? draftNotes(block, unit) : []), [block, unit]);
  if (!block) return <p className="quiet">Enter the four measurements first.</p>;
  const panel = block[inHand];
  const line = (p: ParameterName) => <ParameterLine key={p} name={`${inHand}.${p}`} />;
  return (
    <>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={inHand}
        aria-label="Piece in hand"
        onChange={(_, next: PanelName | null) => {
          if (next) set({ inHand: next });
        }}
      >
        <ToggleButton
          value="front"
          sx={{
            color: 'var(--front)',
            '&.Mui-selected': { color: 'var(--front)', borderBottom: '3px solid var(--front)' },
          }}
        >
          Front
        </ToggleButton>
        <ToggleButton
          value="back"
          sx={{
            color: 'var(--back)',
            '&.Mui-selected': { color: 'var(--back)', borderBottom: '3px solid var(--back)' },
          }}
        >
          Back
        </ToggleButton>
      </ToggleButtonGroup>
      <div key={inHand}>
        {BEFORE.map(line)}
        <SeatAngleLine panel={panel} />
        {SEAT.map(line)}
        <HollowLine panel={panel} />
        {AFTER.map(line)}
        <details>
          <summary>All other lines of the {inHand}</summary>
          {PARAMETER_NAMES.filter((p) => !MAIN.has(p)).map(line)}
        </details>
        <details>
          <summary>Frame</summary>
          {LEVELS.map(([name]) => (
            <ParameterLine key={name} name={name} />
          ))}
        </details>
      </div>
      {notes.length > 0 && (
        <details open>
          <summary>What the drafting settled</summary>
          <ul className="notes">
            {notes.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        </details>
      )}
      {byHand > 0 && (
        <p>
          <button
            type="button"
            className="link"
            onClick={() => {
              change(giveBack(Object.keys(all)));
            }}
          >
            Give all {byHand} lines set by hand back to the sheet
          </button>
        </p>
      )}
    </>
  );
}
