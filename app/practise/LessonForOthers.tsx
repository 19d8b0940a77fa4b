import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { measurementLabel, REQUIRED_IDS, type MeasurementId } from '../../core/measure/index.js';
import type { Sheet } from '../../core/method/index.js';
import { lessonOn, stepsToAsk, unitOfLevel, type Lesson } from '../../core/practice/index.js';
import { LengthField } from '../shared/LengthField.js';
import { useStable } from '../shared/use-stable.js';

interface LessonForOthersProps {
  /** What is chosen so far, without title and body. */
  readonly lesson: Lesson;
  readonly sheet: Sheet | null | undefined;
  readonly onSave: (lesson: Lesson) => void;
}

/** The figures that a body of one's own is given by; what else a method uses is worked out from them. */
const FIGURES: readonly MeasurementId[] = [...REQUIRED_IDS, 'thigh', 'knee'];

/** A lesson for others: its title, its body (made up, or by figures of one's own), which steps it asks; saved as a file. */
export function LessonForOthers({ lesson, sheet, onSave }: LessonForOthersProps) {
  const [title, setTitle] = useState('');
  const [about, setAbout] = useState('');
  const [figures, setFigures] = useState<Lesson['figures']>();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string>();
  const unit = unitOfLevel(lesson.level);
  const what = useStable<Lesson>({ ...lesson, id: 'steps', title: '', about: '' });
  const steps = useMemo(
    () => (what.subject === undefined && what.ask?.length !== 0 && sheet ? stepsToAsk(sheet, what) : []),
    [sheet, what],
  );
  const asked = steps.filter(({ id }) => !left.has(id));
  const missing = figures ? REQUIRED_IDS.filter((id) => figures[id] === undefined) : [];
  const save = (): void => {
    if (missing.length > 0) {
      setProblem(
        `Give the ${missing.map((id) => measurementLabel(id).toLowerCase()).join(', ')} too, or a made-up body.`,
      );
      return;
    }
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    const made: Lesson = {
      ...lesson,
      title: title.trim() || lesson.title,
      about: about.trim(),
      seed,
      ...(figures && { figures }),
      ...(asked.length < steps.length && { steps: asked.map(({ id }) => id) }),
    };
    const on = figures && sheet && made.subject !== 'measuring' ? lessonOn(sheet, made, seed) : undefined;
    if (figures && on?.seed !== seed) {
      setProblem(
        'By these figures the method gives no draft, or nothing to ask. Check them, or choose another method.',
      );
      return;
    }
    setProblem(undefined);
    onSave(made);
  };
  return (
    <details>
      <summary>Hand it over as a lesson</summary>
      <p className="quiet">
        Everyone who opens the file gets the same body. What came of it returns as a file.
        {lesson.sheet && ' Your own sheet goes along.'}
      </p>
      <label>
        Title{' '}
        <input
          className="text-field"
          value={title}
          placeholder={lesson.title}
          maxLength={200}
          onChange={(event) => {
            setTitle(event.target.value);
          }}
        />
      </label>
      <label>
        What to look at{' '}
        <input
          className="text-field"
          value={about}
          maxLength={500}
          onChange={(event) => {
            setAbout(event.target.value);
          }}
        />
      </label>
      {lesson.subject !== 'measuring' && (
        <fieldset className="lesson-grid">
          <legend>Body</legend>
          <label>
            <input
              type="checkbox"
              checked={figures !== undefined}
              onChange={(event) => {
                setFigures(event.target.checked ? {} : undefined);
              }}
            />{' '}
            Figures of my own
          </label>
          {figures &&
            FIGURES.map((id) => (
              <div key={id} className="line">
                <label htmlFor={`lesson-${id}`}>{measurementLabel(id)}</label>
                <LengthField
                  id={`lesson-${id}`}
                  label={measurementLabel(id)}
                  mm={figures[id]}
                  unit={unit}
                  allowEmpty
                  onCommit={(mm) => {
                    const rest = { ...figures };
                    delete rest[id];
                    setFigures(mm === undefined ? rest : { ...rest, [id]: mm });
                  }}
                />
              </div>
            ))}
        </fieldset>
      )}
      {steps.length > 1 && (
        <fieldset className="lesson-grid">
          <legend>Steps that are asked</legend>
          {steps.map(({ id, title: words }) => (
            <label key={id}>
              <input
                type="checkbox"
                checked={!left.has(id)}
                onChange={(event) => {
                  const next = new Set(left);
                  if (event.target.checked) next.delete(id);
                  else next.add(id);
                  setLeft(next);
                }}
              />{' '}
              {words}
            </label>
          ))}
        </fieldset>
      )}
      {problem !== undefined && <p role="alert">{problem}</p>}
      <Button
        variant="outlined"
        disabled={!sheet || (lesson.subject === undefined && (lesson.ask?.length === 0 || asked.length === 0))}
        onClick={save}
      >
        Save the lesson
      </Button>
    </details>
  );
}
