import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { memo, useCallback, useMemo, useState, type ReactNode } from 'react';
import { useShallow } from 'zustand/shallow';
import { draftNotes } from '../../core/draft/index.js';
import { LEVELS, PARAMETER_NAMES, type PanelName, type ParameterName } from '../../core/method/index.js';
import { withFractions } from '../shared/fractions.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { changeDraft, giveBack } from '../store/work-changes.js';
import { useBoard } from './board-store.js';
import { HollowLine, SeatAngleLine } from './DerivedLines.js';
import { ParameterLine } from './ParameterLine.js';

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

const pieceStyle = (name: PanelName): object => ({
  color: `var(--${name})`,
  '&.Mui-selected': { color: `var(--${name})`, borderBottom: `3px solid var(--${name})` },
});
const FRONT_STYLE = pieceStyle('front');
const BACK_STYLE = pieceStyle('back');

const PieceToggle = memo(function PieceToggle() {
  const inHand = useBoard((s) => s.inHand);
  const set = useBoard((s) => s.set);
  return (
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
      <ToggleButton value="front" sx={FRONT_STYLE}>
        Front
      </ToggleButton>
      <ToggleButton value="back" sx={BACK_STYLE}>
        Back
      </ToggleButton>
    </ToggleButtonGroup>
  );
});

/** A group of lines that is made only once it is opened. */
function Fold({ title, children }: { title: string; children: () => ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary>{title}</summary>
      {open && children()}
    </details>
  );
}

const Notes = memo(function Notes() {
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  const text = useMemo(() => (draft ? draftNotes(draft.worked, draft.block, unit) : []).join('\n'), [draft, unit]);
  return <NoteList text={text} />;
});

const NoteList = memo(function NoteList({ text }: { text: string }) {
  if (text === '') return null;
  return (
    <details open>
      <summary>What the drafting settled</summary>
      <ul className="notes">
        {text.split('\n').map((note) => (
          <li key={note}>{withFractions(note)}</li>
        ))}
      </ul>
    </details>
  );
});

const GiveAllBack = memo(function GiveAllBack() {
  const names = useWork(useShallow(({ work }) => Object.keys(work.draft.set)));
  const change = useChange();
  const all = useCallback(() => {
    change(giveBack(names));
  }, [change, names]);
  if (names.length === 0) return null;
  return (
    <p>
      <button type="button" className="link" onClick={all}>
        Give {names.length === 1 ? 'the line' : `all ${names.length} lines`} set by hand back to the sheet
      </button>
    </p>
  );
});

/** Said once of a draft that was kept before its lines were drawn as they are now. */
const Redrawn = memo(function Redrawn() {
  const told = useWork(({ work }) => work.draft.redrawn !== true);
  const change = useChange();
  const done = useCallback(() => {
    change(changeDraft((draft) => ({ ...draft, redrawn: undefined })));
  }, [change]);
  if (told) return null;
  return (
    <p className="notice" role="status">
      Since this draft was kept, rise, side, inseam and waist are drawn as fair curves and the waist is planned over
      both panels: compare it with your paper before you cut again.{' '}
      <button type="button" className="link" onClick={done}>
        Understood
      </button>
    </p>
  );
});

/** The bench at Draft: the parameters of the piece in hand, the frame, and what the drafting did by itself. */
export function DraftBench() {
  const inHand = useBoard((s) => s.inHand);
  const drawn = useComputed((c) => c.draft !== undefined);
  if (!drawn) return <p className="quiet">Enter the four measurements first.</p>;
  const line = (p: ParameterName): ReactNode => <ParameterLine key={p} name={`${inHand}.${p}`} />;
  return (
    <>
      <Redrawn />
      <PieceToggle />
      <div key={inHand}>
        {BEFORE.map(line)}
        <SeatAngleLine panelName={inHand} />
        {SEAT.map(line)}
        <HollowLine panelName={inHand} />
        {AFTER.map(line)}
        <Fold title={`All other lines of the ${inHand}`}>
          {() => PARAMETER_NAMES.filter((p) => !MAIN.has(p)).map(line)}
        </Fold>
        <Fold title="Frame">{() => LEVELS.map(([name]) => <ParameterLine key={name} name={name} />)}</Fold>
      </div>
      <Notes />
      <GiveAllBack />
    </>
  );
}
