import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { WorkbookContent } from '../../core/kept/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import { LEVEL_LABELS, LEVELS_OF_FIGURES, type FigureLevel, type Lesson } from '../../core/practice/index.js';
import { LessonForOthers } from './LessonForOthers.js';
import { useLessonSheet, whatToPractise } from './lesson-source.js';

const ASKS = [
  ['sums', 'Sums'],
  ['points', 'Points'],
  ['curves', 'Curves'],
] as const;

type Ask = (typeof ASKS)[number][0];

interface MakeLessonProps {
  readonly shelf: WorkbookContent;
  readonly onBegin: (lesson: Lesson) => void;
  readonly onSave: (lesson: Lesson) => void;
}

/** What is to be practised, on what figures: begun at once, or saved as a lesson for others. */
export function MakeLesson({ shelf, onBegin, onSave }: MakeLessonProps) {
  const { methods, subjects } = whatToPractise(shelf);
  const [what, setWhat] = useState<string>(DEFAULT_SHEET.id);
  const [level, setLevel] = useState<FigureLevel>('eighths');
  const [asks, setAsks] = useState<readonly Ask[]>(['sums', 'points', 'curves']);
  const [choices, setChoices] = useState<Readonly<Record<string, string>>>({});
  const [handed, setHanded] = useState<string>(() => crypto.randomUUID());
  const subject = subjects.find(([id]) => id === what)?.[0] as Lesson['subject'];
  const name = [...methods, ...subjects].find(([id]) => id === what)?.[1] ?? what;
  const method = subject === undefined ? what : DEFAULT_SHEET.id;
  const sheet = useLessonSheet({ id: what, title: name, about: '', level, method }, shelf);
  const chosen = Object.fromEntries((sheet?.choices ?? []).map((c) => [c.id, choices[c.id] ?? c.values[0]?.id ?? '']));
  const lesson = (id: string): Lesson => ({
    id,
    title: name,
    about: '',
    level,
    ...(subject === undefined
      ? { method, choices: chosen, ask: [...asks] }
      : subject === 'measuring'
        ? { subject }
        : { subject, method }),
  });
  const ownSheet = what.startsWith('own:');
  return (
    <div className="practise-make">
      <label>
        What{' '}
        <NativeSelect
          value={what}
          onChange={(event) => {
            setWhat(event.target.value);
            setChoices({});
          }}
        >
          <optgroup label="Methods">
            {methods.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </optgroup>
          <optgroup label="Beside the methods">
            {subjects.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </optgroup>
        </NativeSelect>
      </label>
      {subject === undefined &&
        sheet?.choices.map((choice) => (
          <label key={choice.id}>
            {choice.label}{' '}
            <NativeSelect
              value={chosen[choice.id]}
              onChange={(event) => {
                setChoices({ ...choices, [choice.id]: event.target.value });
              }}
            >
              {choice.values.map((v) => (
                <option key={v.id} value={v.id}>
                  {v.label}
                </option>
              ))}
            </NativeSelect>
          </label>
        ))}
      <label>
        Figures{' '}
        <NativeSelect
          value={level}
          onChange={(event) => {
            setLevel(event.target.value as FigureLevel);
          }}
        >
          {LEVELS_OF_FIGURES.map((l) => (
            <option key={l} value={l}>
              {LEVEL_LABELS[l]}
            </option>
          ))}
        </NativeSelect>
      </label>
      {subject === undefined && (
        <fieldset>
          <legend>Asked</legend>
          {ASKS.map(([id, words]) => (
            <label key={id}>
              <input
                type="checkbox"
                checked={asks.includes(id)}
                onChange={(event) => {
                  setAsks(ASKS.map(([a]) => a).filter((a) => (a === id ? event.target.checked : asks.includes(a))));
                }}
              />{' '}
              {words}
            </label>
          ))}
        </fieldset>
      )}
      <div className="page-head">
        <Button
          variant="contained"
          disabled={subject === undefined && asks.length === 0}
          onClick={() => {
            onBegin(lesson('own'));
          }}
        >
          Begin
        </Button>
      </div>
      <LessonForOthers
        key={`${what} ${level}`}
        lesson={{ ...lesson(handed), ...(ownSheet && sheet && { method: undefined, sheet }) }}
        sheet={sheet}
        onSave={(made) => {
          onSave(made);
          setHanded(crypto.randomUUID());
        }}
      />
    </div>
  );
}
