import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Back from '@mui/icons-material/NavigateBefore';
import Next from '@mui/icons-material/NavigateNext';
import Play from '@mui/icons-material/PlayArrow';
import Pause from '@mui/icons-material/Pause';
import { useEffect, useMemo, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { stepsOf, type StepSum, type WorkedStep } from '../../core/steps/index.js';
import type { Drawn } from '../board/drawn-board.js';
import { withFractions } from '../shared/fractions.js';
import { useStepKeys } from '../shared/use-step-keys.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { StepDrawing } from './StepDrawing.js';
import { StepPicture } from '../shared/StepPicture.js';
import { useSteps } from './steps-store.js';
import '../shared/step-list.css';
import './steps.css';

/** How long a step stands while the steps are played, in ms. */
const STEP_MS = 2200;

function Sum({ sum }: { sum: StepSum }) {
  return (
    <li data-sum={sum.name}>
      <span className="step-line">
        <span>{sum.label}</span> <strong>{withFractions(sum.result)}</strong>
      </span>
      <span className="sum">{withFractions(sum.sum)}</span>
      <span className="quiet">{sum.reason}</span>
    </li>
  );
}

const whose = (step: WorkedStep): string => (step.panel ? (step.panel === 'front' ? 'Front: ' : 'Back: ') : '');

function StepWords({ step }: { step: WorkedStep }) {
  return (
    <>
      {step.sums.length > 0 && (
        <ul className="step-sums">
          {step.sums.map((sum) => (
            <Sum key={sum.name} sum={sum} />
          ))}
        </ul>
      )}
      {step.told.map((words) => (
        <p key={words}>{withFractions(words)}</p>
      ))}
      <p className="slip">
        <strong>Usual slip:</strong> {step.slip}
      </p>
    </>
  );
}

/** A method played on the board as its makers work, step by step; the draft stays live under it. */
export function StepsView({ board }: { board: (over: (drawn: Drawn) => ReactNode) => ReactNode }) {
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  const { room = 'own' } = useParams();
  const adopted = useWork(({ work }) => work.draft.pattern?.name);
  const practised = useWork(({ work: { draft: d } }) => (d.sheet ? `own:${d.id}` : d.method));
  const practisePath = `/${room}/practise/own?${new URLSearchParams({ method: practised, level: unit === 'in' ? 'eighths' : 'halves' }).toString()}`;
  const { at: wanted, playing, set } = useSteps();
  const steps = useMemo(() => (draft ? stepsOf(draft, unit) : []), [draft, unit]);
  const last = Math.max(0, steps.length - 1);
  const at = Math.min(wanted, last);

  useEffect(() => {
    if (!playing) return;
    if (at >= last) {
      set({ playing: false });
      return;
    }
    const timer = window.setTimeout(() => {
      set({ at: at + 1 });
    }, STEP_MS);
    return () => {
      window.clearTimeout(timer);
    };
  }, [playing, at, last, set]);

  const step = steps[at];
  const move = (to: number): void => {
    set({ at: Math.min(last, Math.max(0, to)), playing: false });
  };
  useStepKeys(at, [0, last], move, {
    Space: () => {
      set({ playing: !playing });
    },
  });
  return (
    <>
      {board((drawn) => (
        <StepDrawing steps={steps} at={at} drawn={drawn} />
      ))}
      <aside className="bench" aria-label="Worked steps">
        <ViewHead title={draft?.worked.sheet.name ?? 'Worked steps'} />
        {adopted !== undefined && (
          <p className="notice" role="note">
            The block is “{adopted}”, an adopted pattern: these are the steps of the method, which does not draw it.
          </p>
        )}
        {step ? (
          <>
            <div className="step-acts" role="toolbar" aria-label="Steps">
              <IconButton aria-label="Step back" disabled={at === 0} onClick={() => move(at - 1)}>
                <Back />
              </IconButton>
              <IconButton
                aria-label={playing ? 'Pause' : 'Play'}
                onClick={() => {
                  set({ playing: !playing, at: at === last ? 0 : at });
                }}
              >
                {playing ? <Pause /> : <Play />}
              </IconButton>
              <IconButton aria-label="Step on" disabled={at === last} onClick={() => move(at + 1)}>
                <Next />
              </IconButton>
              <span className="quiet" role="status">
                Step {at + 1} of {steps.length}
              </span>
            </div>
            <h3 data-title>
              {whose(step)}
              {step.title}
            </h3>
            <StepWords step={step} />
            <ol className="step-list">
              {steps.map((s, i) => (
                <li key={s.id} aria-current={i === at ? 'step' : undefined}>
                  <button type="button" className="link" onClick={() => move(i)}>
                    {whose(s)}
                    {s.title}
                  </button>
                </li>
              ))}
            </ol>
            <Button component={Link} to={practisePath} variant="outlined">
              Practise this method
            </Button>{' '}
            <Button
              variant="contained"
              onClick={() => {
                window.print();
              }}
            >
              Print steps
            </Button>
          </>
        ) : (
          <p className="quiet">The steps appear once the four measurements are in.</p>
        )}
      </aside>
      <section className="steps-print print-only" aria-hidden="true">
        <h2>{draft?.worked.sheet.name}, step by step</h2>
        <ol>
          {steps.map((s, i) => (
            <li key={s.id}>
              {draft && <StepPicture block={draft.block} steps={steps} at={i} />}
              <h2>
                {i + 1}. {whose(s)}
                {s.title}
              </h2>
              <StepWords step={s} />
            </li>
          ))}
        </ol>
      </section>
    </>
  );
}
