import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { COURSE, readLessonFile, writeLesson, type Lesson, type LessonResult } from '../../core/practice/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { PageHead } from '../head/PageHead.js';
import { FileButton, JSON_FILES } from '../shared/FileButton.js';
import { Opening } from '../shared/Opening.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { useShelfActs } from '../shared/shelf-acts.js';
import { contentOf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { AnswerTable } from './AnswerTable.js';
import { lessonPath, recordOfHanded } from './lesson-source.js';
import { MakeLesson } from './MakeLesson.js';
import { ProgressTable } from './ProgressTable.js';
import './practise.css';

/** Practising: the course, any method or subject, what comes back, what was done, lessons handed over. */
export function PractisePage() {
  const room = roomOf(useParams()['room']);
  const shelf = useShelf(room);
  const { act, undoRedo, message } = useShelfActs(room, 'practise');
  const unit = usePreferences((p) => p.unit);
  const go = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [result, setResult] = useState<LessonResult>();
  if (shelf.isPending) return <Opening className="page quiet" />;
  const content = contentOf(shelf.data);
  const { practice } = content;
  const done = practice.find((p) => p.id === 'course')?.items ?? {};
  const next = COURSE.find((l) => (done[l.id]?.right ?? 0) === 0);
  const handed = practice.flatMap((p) => (p.lesson ? [{ lesson: p.lesson, id: p.id }] : []));
  const pathOf = (id: string): string => `/${room}/practise/${encodeURIComponent(id)}`;
  const begin = (lesson: Lesson): void => void go(lessonPath(room, lesson));
  const open = async (file: File): Promise<void> => {
    setResult(undefined);
    const read = readLessonFile(await file.text());
    if (!read.ok) {
      setProblem(fileRefusalsSentence(read.refusals, readerIn(unit)));
      return;
    }
    setProblem(undefined);
    if (read.value.kind === 'result') {
      setResult(read.value.result);
      return;
    }
    const { lesson } = read.value;
    const record = recordOfHanded(lesson);
    if (!handed.some((h) => h.id === record.id))
      await act({ said: `Opened the lesson “${lesson.title}”`, quiet: true, put: { practice: [record] } });
    await go(pathOf(record.id));
  };
  return (
    <>
      <PageHead room={room} title="Practise" undoRedo={undoRedo} />
      <main id="page" className="page practise">
        <h1>Practise</h1>
        <section aria-labelledby="practise-course">
          <h2 id="practise-course">The course, from the first line to a trued pair</h2>
          <ol className="practise-course">
            {COURSE.map((lesson) => {
              const item = done[lesson.id];
              const passed = (item?.right ?? 0) > 0;
              return (
                <li key={lesson.id} data-lesson={lesson.id} data-passed={passed}>
                  <Link to={`/${room}/practise/${lesson.id}`} aria-current={lesson === next ? 'step' : undefined}>
                    {lesson.title}
                  </Link>
                  {passed ? (
                    <span className="practise-passed"> ✓ done</span>
                  ) : item ? (
                    <span className="quiet"> begun</span>
                  ) : (
                    ''
                  )}
                  <p className="quiet">{lesson.about}</p>
                </li>
              );
            })}
          </ol>
        </section>
        <section aria-labelledby="practise-own">
          <h2 id="practise-own">Practise what you like</h2>
          <MakeLesson
            shelf={content}
            onBegin={begin}
            onSave={(lesson) => {
              saveFile(`${fileName(lesson.title)}.lesson.json`, writeLesson(lesson), 'application/json');
            }}
          />
        </section>
        <section aria-labelledby="practise-handed">
          <h2 id="practise-handed">Lessons handed over</h2>
          <div className="page-head">
            <FileButton
              words="Open a lesson or a result"
              label="Lesson file"
              accept={JSON_FILES}
              onFile={(file) => {
                void open(file);
              }}
            />
          </div>
          {problem !== undefined && (
            <p className="problem" role="alert">
              {problem}
            </p>
          )}
          {handed.length > 0 && (
            <ul className="practise-handed">
              {handed.map(({ lesson, id }) => (
                <li key={id}>
                  <Link to={pathOf(id)}>{lesson.title}</Link>{' '}
                  <Button
                    size="small"
                    onClick={() => {
                      void act({ said: `Took away the lesson “${lesson.title}”`, remove: { practice: [id] } });
                    }}
                  >
                    Take away
                  </Button>
                </li>
              ))}
            </ul>
          )}
          {result && (
            <div data-result>
              <h3>
                {result.lesson.title}, by {result.learner}, {result.ended.slice(0, 10)}:{' '}
                {result.answers.filter((a) => a.verdict === 'right').length} of {result.answers.length} right
              </h3>
              <AnswerTable answers={result.answers} />
            </div>
          )}
        </section>
        <section aria-labelledby="practise-done">
          <h2 id="practise-done">What was practised</h2>
          <ProgressTable room={room} practice={practice} />
        </section>
        {message}
      </main>
    </>
  );
}
