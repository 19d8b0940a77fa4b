import Button from '@mui/material/Button';
import { useState } from 'react';
import { between, line, pathBox, point, type Box, type Point } from '../../core/geometry/index.js';
import {
  drawnCurve,
  judgeCurve,
  judgePoint,
  type CurveTask,
  type Exercise,
  type JudgedLine,
  type LessonOnBody,
  type PointTask,
} from '../../core/practice/index.js';
import { formatLength, handStep, tapeFor, type Unit } from '../../core/units/index.js';
import { stepsOf } from '../../core/steps/index.js';
import { withFractions } from '../shared/fractions.js';
import { TaskDrawing, type Grip } from './TaskDrawing.js';
import type { Answered } from './use-lesson.js';
import { Verdict } from './Verdict.js';

interface LineTaskProps {
  readonly exercise: Extract<Exercise, { kind: 'point' | 'curve' }>;
  readonly on: LessonOnBody;
  readonly unit: Unit;
  readonly onAnswer: (what: Answered) => void;
  readonly onNext: () => void;
}

/** Room about what is shown, in mm. */
const MARGIN = 60;

const grown = ({ minX, minY, maxX, maxY }: Box, by: number): Box => ({
  minX: minX - by,
  minY: minY - by,
  maxX: maxX + by,
  maxY: maxY + by,
});

/** The part of a panel in which a point is placed: above the crotch, or from the knee to the hem. */
function boxOfPoint({ panel: name, at }: PointTask, { draft }: LessonOnBody): Box {
  const panel = draft.block[name];
  const { crotchLevel, kneeLevel, hemLevel } = draft.block.levels;
  const [maxX, minX] = [Math.max(panel.points.crotchPoint.x, panel.points.corner.x), 0];
  const upper = at.y < (crotchLevel + kneeLevel) / 2;
  return grown(
    upper
      ? { minX, maxX, minY: Math.min(0, panel.points.centreWaist.y), maxY: crotchLevel }
      : { minX, maxX, minY: Math.min(kneeLevel, hemLevel - 100), maxY: hemLevel },
    MARGIN,
  );
}

function asked({ kind, task }: LineTaskProps['exercise'], unit: Unit): string {
  if (kind === 'curve') return `Draw the ${task.label}`;
  return task.lowered
    ? `Lower the ${task.label} by ${formatLength(task.lowered.by, tapeFor(unit))}`
    : `Place the ${task.label}`;
}

/** A point to be placed or a curve to be drawn, on the paper as far as it is drawn. */
export function LineTask({ exercise, on, unit, onAnswer, onNext }: LineTaskProps) {
  const { task } = exercise;
  const curve = exercise.kind === 'curve' ? exercise.task : undefined;
  const [box] = useState(() => (curve ? grown(pathBox(curve.master), MARGIN) : boxOfPoint(task as PointTask, on)));
  const [grips, setGrips] = useState<readonly Grip[]>(() => startOf(exercise, box));
  const [judged, setJudged] = useState<JudgedLine>();
  const [first, setFirst] = useState(true);
  const [one, two] = grips;
  const drawn = curve && one && two ? [drawnCurve(curve.from, one.at, two.at, curve.to)] : [];
  const judge = (): void => {
    const [c] = drawn;
    const found = curve && c ? judgeCurve(curve, c, unit) : one && judgePoint(task as PointTask, one.at, unit);
    if (!found) return;
    setJudged(found);
    if (!first) return;
    setFirst(false);
    onAnswer({
      outcome: found.verdict === 'wrong' ? 'missed' : found.verdict,
      verdict: found.verdict,
      slips: [],
      answer: `${formatLength(found.off, tapeFor(unit))} off`,
      asked: asked(exercise, unit),
      said: found.said,
      hints: 0,
    });
  };
  const move = (id: string, at: Point): void => {
    if (judged?.verdict === 'right') return;
    setGrips((was) => was.map((g) => (g.id === id ? { ...g, at } : g)));
  };
  return (
    <div className="practise-line-task" data-task={exercise.id}>
      <TaskDrawing
        on={on}
        unit={unit}
        panel={task.panel}
        step={exercise.step}
        box={box}
        grips={grips}
        drawn={drawn}
        guides={curve && one && two ? [line(curve.from, one.at), line(curve.to, two.at)] : []}
        master={judged && curve ? curve.master : []}
        masterPoint={judged && !curve ? (task as PointTask).at : undefined}
        stepBy={(fine) => handStep(unit, fine)}
        onMove={move}
        onEnter={() => {
          if (judged?.verdict === 'right') onNext();
          else judge();
        }}
      />
      <div className="practise-task">
        <h2>{withFractions(asked(exercise, unit))}</h2>
        <p className="quiet">
          {curve
            ? 'Take the two handles by the hand, or go to one by Tab and move it by arrow keys; Shift moves finely. Enter asks what it is worth.'
            : 'Press where it belongs, or go to the point by Tab and move it by arrow keys; Shift moves finely. Enter asks what it is worth.'}
        </p>
        <Figures exercise={exercise} on={on} unit={unit} />
        {!curve && one && (
          <p className="practise-place" data-place>
            {placeSaid(one.at, task as PointTask, on, unit)}
          </p>
        )}
        <Verdict verdict={judged?.verdict} said={judged?.said} />
        <div className="acts">
          {judged?.verdict !== 'right' && (
            <Button variant={judged ? 'outlined' : 'contained'} onClick={judge}>
              {judged ? 'Ask again' : 'Ask what it is worth'}
            </Button>
          )}
          {judged && (
            <Button variant="contained" onClick={onNext}>
              Go on
            </Button>
          )}
        </div>
      </div>
    </div>
  );
}

/** Where the grips stand at first: a point where it was laid off, else in the middle of what is shown; the handles of a curve on the straight. */
function startOf(exercise: LineTaskProps['exercise'], box: Box): Grip[] {
  if (exercise.kind === 'point') {
    const { label, lowered } = exercise.task;
    const at = lowered?.from ?? point((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2);
    return [{ id: 'point', label: `The ${label}`, at }];
  }
  const { from, to }: CurveTask = exercise.task;
  return [
    { id: 'first', label: 'First handle', at: between(from, to, 1 / 3) },
    { id: 'second', label: 'Second handle', at: between(from, to, 2 / 3) },
  ];
}

/** Where a point stands, from the frame of its panel. */
function placeSaid(p: Point, { panel }: PointTask, { draft }: LessonOnBody, unit: Unit): string {
  const show = (mm: number): string => formatLength(Math.abs(mm), tapeFor(unit));
  const centre = draft.block[panel].points.corner.x;
  const down = `${show(p.y)} ${p.y >= 0 ? 'below' : 'above'} the waist line`;
  const fromSide = `${show(p.x)} ${p.x >= 0 ? 'inside' : 'outside'} the side frame`;
  const fromCentre = `${show(p.x - centre)} ${p.x > centre ? 'beyond' : 'short of'} the centre frame`;
  return withFractions(`${down}; ${fromSide}; ${fromCentre}.`);
}

/** The figures that the step is drawn by, as they were worked out, with those of the width that places are told from. */
function Figures({ exercise, on, unit }: Pick<LineTaskProps, 'exercise' | 'on' | 'unit'>) {
  const steps = stepsOf(on.draft, unit);
  const step = steps.find((s) => s.id === exercise.step);
  const width = steps.find((s) => s.id === `${exercise.task.panel}.width`);
  const figures = [...(width && width !== step ? width.sums : []), ...(step?.sums ?? [])].filter(
    (s) => s.result !== '',
  );
  if (figures.length === 0) return undefined;
  return (
    <table className="figures practise-given">
      <tbody>
        {figures.map((s) => (
          <tr key={s.name}>
            <th scope="row">{s.label}</th>
            <td>{withFractions(s.result)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
