import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { memo, useCallback, useMemo, type ReactNode } from 'react';
import { useShallow } from 'zustand/shallow';
import { draftNotes } from '../../core/draft/index.js';
import { LEVELS, type PanelName, type ParameterName } from '../../core/method/index.js';
import { AdoptedNotice } from '../shared/AdoptedNotice.js';
import { BenchSections, type BenchSection } from '../shared/BenchSections.js';
import { withFractions } from '../shared/fractions.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { changeDraft, giveBack } from '../store/work-changes.js';
import { useBoard } from './board-store.js';
import { HollowLine, SeatAngleLine } from './DerivedLines.js';
import { ParameterLine } from './ParameterLine.js';

/** The lines of a panel by where they lie; the seat angle and the hollow stand among them as figures of their own. */
const SEAT: readonly ParameterName[] = ['crotchDrop', 'tiltFrom', 'curveRise', 'hipWidth', 'thighWidth', 'crotchWidth'];
const WAIST: readonly ParameterName[] = ['waistWidth', 'dartCount', 'dartIntake', 'dartLength', 'dartAt', 'sideLift'];
const LEG: readonly ParameterName[] = [
  'kneeWidth',
  'hemWidth',
  'sideOut',
  'sideInset',
  'creaseShift',
  'inseamHollow',
  'inseamHollowShare',
];
const OF_SEAT = new Set<string>(['extension', 'seatAngle', 'centreIn', 'centreLift', 'depth', ...SEAT]);
const OF_WAIST = new Set<string>(WAIST);
const OF_LEG = new Set<string>(LEG);
const OF_FRAME = new Set<string>(LEVELS.map(([name]) => name));

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

const Notes = memo(function Notes() {
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  const text = useMemo(() => (draft ? draftNotes(draft.worked, draft.block, unit) : []).join('\n'), [draft, unit]);
  return <NoteList text={text} />;
});

const NoteList = memo(function NoteList({ text }: { text: string }) {
  if (text === '') return <p className="quiet">Nothing had to be settled: every line lies as the sheet has it.</p>;
  return (
    <>
      <h3>What the drafting settled</h3>
      <ul className="notes">
        {text.split('\n').map((note) => (
          <li key={note}>{withFractions(note)}</li>
        ))}
      </ul>
    </>
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

/** The name of a line without the piece it belongs to; a line of the other piece is none of this one's. */
const ofPiece = (name: string, piece: PanelName): string =>
  name.startsWith(`${piece}.`) ? name.slice(piece.length + 1) : name;

/** The bench at Draft: the parameters of the piece in hand, the frame, and what the drafting did by itself. */
export function DraftBench() {
  const inHand = useBoard((s) => s.inHand);
  const drawn = useComputed((c) => c.draft !== undefined);
  const byHand = useWork(useShallow(({ work }) => Object.keys(work.draft.set)));
  if (!drawn) return <p className="quiet">Enter the four measurements first.</p>;
  const line = (p: ParameterName): ReactNode => <ParameterLine key={p} name={`${inHand}.${p}`} />;
  const section = (id: string, label: string, names: ReadonlySet<string>, content: () => ReactNode): BenchSection => ({
    id,
    label,
    marked: byHand.some((name) => names.has(ofPiece(name, inHand))),
    holds: (name) => names.has(ofPiece(name, inHand)),
    content: () => <div key={inHand}>{content()}</div>,
  });
  return (
    <BenchSections
      bench="draft"
      above={
        <div>
          <Redrawn />
          <AdoptedNotice />
          <PieceToggle />
        </div>
      }
      sections={[
        section('seat', 'Seat', OF_SEAT, () => (
          <>
            {line('extension')}
            <SeatAngleLine panelName={inHand} />
            {line('centreIn')}
            {line('centreLift')}
            <HollowLine panelName={inHand} />
            {SEAT.map(line)}
          </>
        )),
        section('waist', 'Waist', OF_WAIST, () => WAIST.map(line)),
        section('leg', 'Leg', OF_LEG, () => LEG.map(line)),
        section('frame', 'Frame', OF_FRAME, () => LEVELS.map(([name]) => <ParameterLine key={name} name={name} />)),
        {
          id: 'settled',
          label: 'Settled',
          content: () => (
            <>
              <Notes />
              <GiveAllBack />
            </>
          ),
        },
      ]}
    />
  );
}
