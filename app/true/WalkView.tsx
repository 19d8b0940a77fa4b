import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useEffect, useId, useMemo, useState, type ReactNode } from 'react';
import type { CheckId } from '../../core/check/index.js';
import { pathLength } from '../../core/geometry/index.js';
import { formatFigure, formatLength } from '../../core/units/index.js';
import { WALKS, walkSeam, type WalkId } from '../../core/walk/index.js';
import type { Drawn } from '../board/Board.js';
import { bandOf, VERDICTS } from '../board/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useComputed, useTape } from '../store/work-context.js';
import { Offers } from './CheckCorrections.js';
import { WalkDrawing } from './WalkDrawing.js';
import './true.css';

const LABELS: Record<WalkId, string> = { inseam: 'Inseam', side: 'Side', rise: 'Rises', waist: 'Waist' };
const TOLD: Record<WalkId, string> = {
  inseam:
    'The back is walked along the front from the crotch point down. Above the knee it is a little shorter and stretched on.',
  side: 'The back is walked along the front from the waist down. Both must be equal at every notch.',
  rise: 'The inseams lie together at the crotch point: the rises must run into one another without a corner.',
  waist: 'The sides lie together at the waist, darts closed: the waist must run level across.',
};
const CHECKS: Record<WalkId, readonly CheckId[]> = {
  inseam: ['inseamWalk', 'inseamWalkBelow'],
  side: ['sideWalk'],
  rise: ['crotchJoin'],
  waist: ['waistRun'],
};
/** How fast the back walks when it is played, in mm a second, and how far a key takes it. */
const PACE = 220;
const STEP = 10;

/** One piece walked along the other: by play, by keys or by hand, with the difference at every notch and its mend. */
export function WalkView({ board }: { board: (over: (drawn: Drawn) => ReactNode) => ReactNode }) {
  const id = useId();
  const block = useComputed((c) => c.draft?.block);
  const checks = useComputed((c) => c.draft?.checks);
  const tape = useTape();
  const [seam, setSeam] = useState<WalkId>('inseam');
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const walk = useMemo(() => block && walkSeam(block, seam), [block, seam]);
  const most = walk && walk.marks.length > 0 ? pathLength(walk.front) : 0;
  const length = Math.min(at, most);

  useEffect(() => {
    if (!playing) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function go(now) {
      const gone = ((now - last) / 1000) * PACE;
      last = now;
      setAt((was) => Math.min(most, was + gone));
      frame = requestAnimationFrame(go);
    });
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [playing, most]);
  const walking = playing && length < most;

  useEffect(() => {
    const stops = [0, ...(walk?.marks.map((m) => m.front) ?? [])];
    const key = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof SVGElement) return;
      const go = {
        n: stops.find((s) => s > length + 0.5) ?? most,
        p: [...stops].reverse().find((s) => s < length - 0.5) ?? 0,
        Home: 0,
        End: most,
      }[event.key];
      if (go !== undefined) {
        setAt(go);
        setPlaying(false);
      } else if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) setPlaying(!walking);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('keydown', key);
    };
  }, [walk, length, most, walking]);

  if (!walk || !block) return <p className="quiet">Enter the four measurements first.</p>;
  const about = (checks ?? []).filter((c) => CHECKS[seam].includes(c.id));
  return (
    <>
      {board((drawn) => (
        <WalkDrawing walk={walk} length={length} drawn={drawn} />
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
            setAt(0);
            setPlaying(false);
          }}
        >
          {WALKS.map((name) => (
            <ToggleButton key={name} value={name} sx={{ textTransform: 'none', color: 'var(--text)' }}>
              {LABELS[name]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <p className="quiet">{TOLD[seam]}</p>
        {most > 0 && (
          <>
            <div className="acts">
              <Button
                size="small"
                variant="contained"
                onClick={() => {
                  if (!walking && length >= most) setAt(0);
                  setPlaying(!walking);
                }}
              >
                {walking ? 'Stop' : 'Walk'}
              </Button>
              <label htmlFor={id}>Walked {withFractions(formatLength(length, tape))}</label>
            </div>
            <input
              id={id}
              className="walk-slider"
              type="range"
              min={0}
              max={Math.round(most)}
              step={STEP / 10}
              value={Math.round(length)}
              aria-valuetext={formatLength(length, tape)}
              onChange={(event) => {
                setAt(Number(event.target.value));
                setPlaying(false);
              }}
              onKeyDown={(event) => {
                const by = { ArrowDown: STEP, ArrowRight: STEP, ArrowUp: -STEP, ArrowLeft: -STEP }[event.key];
                if (by === undefined) return;
                event.preventDefault();
                setAt(Math.min(most, Math.max(0, length + (event.shiftKey ? by / 10 : by))));
                setPlaying(false);
              }}
            />
            <table className="figures walk-figures">
              <thead>
                <tr>
                  <th scope="col">To the notch</th>
                  <th scope="col">Front</th>
                  <th scope="col">Back</th>
                  <th scope="col">Front longer by ({tape.unit})</th>
                </tr>
              </thead>
              <tbody>
                {walk.marks.map((mark) => (
                  <tr key={mark.label} data-mark={mark.label} data-passed={length >= mark.front - 1}>
                    <th scope="row">{mark.label}</th>
                    <td className="number">{withFractions(formatFigure(mark.front, tape))}</td>
                    <td className="number">{withFractions(formatFigure(mark.back, tape))}</td>
                    <td className="number">{signedFigure(mark.difference, tape) || '0'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="quiet">Space walks and stops, N and P go to the next and the earlier notch.</p>
          </>
        )}
        {walk.angle !== undefined && (
          <p>
            They run on to <strong>{Math.abs(walk.angle).toFixed(1)}°</strong>.
          </p>
        )}
        {about.map((check) => (
          <section key={check.id} aria-label={check.label}>
            <h3>
              <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
                {VERDICTS[check.verdict].sign}
              </span>{' '}
              {check.label} {VERDICTS[check.verdict].word}
            </h3>
            <p className="quiet">
              Band {bandOf(check, tape)}
              {check.kind === 'length' && ` ${tape.unit}`}
            </p>
            {(check.verdict === 'out' || check.verdict === 'near') && <Offers check={check} />}
          </section>
        ))}
      </aside>
    </>
  );
}
