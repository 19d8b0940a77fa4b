import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { CheckId } from '../../core/check/index.js';
import type { Block } from '../../core/draft/index.js';
import { garmentOf, partOf, partOutline, type Garment } from '../../core/garment/index.js';
import type { PanelName } from '../../core/method/index.js';
import { closedWaistAtSide, crotchJoin, waistJoin, walkSeam, type SeamWalk } from '../../core/walk/index.js';
import type { Drawn } from '../board/drawn-board.js';
import { bandOf, labelOf, VERDICTS } from '../checks/check-words.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useComputed, useTape } from '../store/work-context.js';
import { Offers } from '../checks/Offers.js';
import { useWalking } from '../walk/use-walking.js';
import { WalkControls } from '../walk/WalkControls.js';
import { WalkDrawing, type WalkedPiece } from '../walk/WalkDrawing.js';
import './true.css';

/** What is walked, or laid together: the rises lie together at the inseam, the waists at the side. */
const WALKS = ['inseam', 'side', 'rise', 'waist'] as const;
type WalkId = (typeof WALKS)[number];
const LABELS: Record<WalkId, string> = { inseam: 'Inseam', side: 'Side', rise: 'Rises', waist: 'Waist' };
const TOLD: Record<WalkId, string> = {
  inseam: 'The back is walked along the front. Above the knee it is a little shorter and stretched on.',
  side: 'The back is walked along the front. Both must be equal at every notch.',
  rise: 'The inseams lie together at the crotch point: the rises must run into one another without a corner.',
  waist: 'The sides lie together at the waist, darts closed: the waist must run level across.',
};
const CHECKS: Record<WalkId, readonly CheckId[]> = {
  inseam: ['inseamWalk', 'inseamWalkBelow'],
  side: ['sideWalk'],
  rise: ['crotchJoin'],
  waist: ['waistRun'],
};
/** The seam of a garment that is walked; where only a joint is looked at, its pieces lie at the seam's start. */
function walkOf(garment: Garment, id: WalkId): SeamWalk {
  if (id === 'inseam' || id === 'side') return walkSeam(garment, id);
  return { ...walkSeam(garment, id === 'rise' ? 'inseam' : 'side'), id, marks: [] };
}

/** The angle of a joint, in degrees. */
const angleOf = (block: Block, id: WalkId): number | undefined =>
  ({ inseam: undefined, side: undefined, rise: crotchJoin(block), waist: waistJoin(block) })[id];

/** Both panels as they are walked: at the waist with the darts closed. */
function piecesOf(id: WalkId, block: Block, garment: Garment): readonly [WalkedPiece, WalkedPiece] {
  const piece = (name: PanelName): WalkedPiece => {
    const part = partOf(garment, name);
    return {
      className: `piece-${name}`,
      outline: partOutline(part),
      lines: part.edges.map(({ path }) => path),
      closedWaist: id === 'waist' ? closedWaistAtSide(block[name]) : undefined,
    };
  };
  return [piece('front'), piece('back')];
}

/** One piece walked along the other: by play, by keys or by hand, with the difference at every notch and its mend. */
export function WalkView({ board }: { board: (over: (drawn: Drawn) => ReactNode) => ReactNode }) {
  const block = useComputed((c) => c.draft?.block);
  // While a mend is tried on, what it mends stays in sight.
  const checks = useComputed((c) => (c.before ?? c.draft)?.checks);
  const tape = useTape();
  const [query] = useSearchParams();
  const [seam, setSeam] = useState<WalkId>(WALKS.find((id) => id === query.get('seam')) ?? 'inseam');
  const garment = useMemo(() => block && garmentOf(block), [block]);
  const sewn = useMemo(() => garment && walkOf(garment, seam), [garment, seam]);
  const pieces = useMemo(() => block && garment && piecesOf(seam, block, garment), [seam, block, garment]);
  const walking = useWalking(sewn);
  const { walk } = walking;
  if (!block || !walk || !pieces) return <p className="quiet">Enter the four measurements first.</p>;
  const angle = angleOf(block, seam);
  const about = (checks ?? []).filter((c) => CHECKS[seam].includes(c.id));
  return (
    <>
      {board(({ arranged, view, size }) => (
        <WalkDrawing
          walk={walk}
          length={walking.length}
          place={arranged.front}
          view={view}
          size={size}
          standing={pieces[0]}
          walked={pieces[1]}
        />
      ))}
      <aside className="bench" aria-label="Walk the seams">
        <ViewHead title="Walk the seams" station="True" />
        <ToggleButtonGroup
          exclusive
          fullWidth
          size="small"
          value={seam}
          aria-label="Seam"
          onChange={(_, next: WalkId | null) => {
            if (!next) return;
            setSeam(next);
            walking.begin('');
          }}
        >
          {WALKS.map((name) => (
            <ToggleButton key={name} value={name} sx={{ textTransform: 'none', color: 'var(--text)' }}>
              {LABELS[name]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <p className="quiet">{TOLD[seam]}</p>
        {walking.most > 0 && <WalkControls walking={walking} tape={tape} names={['Front', 'Back']} />}
        {angle !== undefined && (
          <p>
            They run on to <strong>{Math.abs(angle).toFixed(1)}°</strong>.
          </p>
        )}
        {about.map((check) => (
          <section key={check.id} aria-label={labelOf(check, tape)}>
            <h3 id={`about-${check.id}`} tabIndex={-1}>
              <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
                {VERDICTS[check.verdict].sign}
              </span>{' '}
              {labelOf(check, tape)} {VERDICTS[check.verdict].word}
            </h3>
            <p className="quiet">
              Band {bandOf(check, tape)}
              {check.kind === 'length' && ` ${tape.unit}`}
            </p>
            {(check.verdict === 'out' || check.verdict === 'near') && (
              <Offers
                check={check}
                onTaken={() => {
                  document.getElementById(`about-${check.id}`)?.focus();
                }}
              />
            )}
          </section>
        ))}
      </aside>
    </>
  );
}
