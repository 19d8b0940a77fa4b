import { useMemo, useState } from 'react';
import { Link, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import type { WorkbookContent } from '../../core/kept/index.js';
import type { Sheet } from '../../core/method/index.js';
import { bodyPutRight, COURSE, pieceOfLesson, practised, unitOfLevel, writeResult } from '../../core/practice/index.js';
import { PageHead } from '../head/PageHead.js';
import { newId } from '../shared/new-id.js';
import { Opening } from '../shared/Opening.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { useShelfActs, type ShelfActs } from '../shared/shelf-acts.js';
import { contentOf, type Shelf } from '../store/database.js';
import { queryClient, shelfKey, useShelf } from '../store/queries.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { LessonEnd } from './LessonEnd.js';
import { lessonNamed, useLessonSheet, type NamedLesson } from './lesson-source.js';
import { LineTask } from './LineTask.js';
import { PaperSoFar } from './PaperSoFar.js';
import { SumTask } from './SumTask.js';
import { TapeTask } from './TapeTask.js';
import { useLesson, type Answered, type LessonPlace } from './use-lesson.js';
import './practise.css';

/** A lesson: of the course, handed over by a teacher, or put together. */
export function LessonPage() {
  const room = roomOf(useParams()['room']);
  const id = useParams()['lessonId'] ?? '';
  const [query] = useSearchParams();
  const shelf = useShelf(room);
  const acts = useShelfActs(room, 'practise');
  const content = useMemo(() => contentOf(shelf.data), [shelf.data]);
  // What was due as the lesson began is asked, whatever is answered meanwhile.
  const [named, setNamed] = useState<NamedLesson & { readonly at: string }>();
  const at = `${id} ${query.toString()}`;
  const found = named?.at === at ? named : shelf.isSuccess ? lessonNamed(id, query, content) : undefined;
  if (found && named?.at !== at) setNamed({ ...found, at });
  const lesson = found?.lesson;
  const sheet = useLessonSheet(lesson, content);
  const title = lesson?.title ?? 'Practise';
  const missing = shelf.isSuccess && (!lesson || sheet === null);
  return (
    <>
      <PageHead room={room} title={title} undoRedo={acts.undoRedo} />
      <main id="page" className="page practise">
        <p className="practise-back">
          <Link to={`/${room}/practise`}>Practise</Link>
        </p>
        <h1>{title}</h1>
        {lesson && lesson.about !== '' && <p className="quiet">{lesson.about}</p>}
        {missing ? (
          <p>
            This lesson is not here. It may have been taken away, or its method belongs to a draft that was deleted.
          </p>
        ) : lesson && sheet && shelf.isSuccess ? (
          <LessonRun key={at} room={room} named={found} sheet={sheet} acts={acts} />
        ) : (
          <Opening className="quiet" />
        )}
        {acts.message}
      </main>
    </>
  );
}

const shelfNow = (room: RoomId): WorkbookContent => contentOf(queryClient.getQueryData<Shelf>(shelfKey(room)));

/** A lesson counts as done where so many of its first answers are right. */
const DONE = 0.8;

function LessonRun({
  room,
  named: { lesson, record, only },
  sheet,
  acts,
}: {
  readonly room: RoomId;
  readonly named: NamedLesson;
  readonly sheet: Sheet;
  readonly acts: ShelfActs;
}) {
  const go = useNavigate();
  const location = useLocation();
  const { pathname, search } = location;
  const from = (location.state as { readonly place?: LessonPlace } | null)?.place;
  const { now, answer, next, again } = useLesson(lesson, sheet, {
    from,
    only: from?.only ? new Set(from.only) : only,
    onPlace: (place) => void go({ pathname, search }, { replace: true, state: { place }, preventScrollReset: true }),
  });
  const unit = unitOfLevel(lesson.level);
  const asked = now?.asked[now.at];
  const count = (what: Answered): void => {
    if (!asked) return;
    const practice = shelfNow(room).practice.find((p) => p.id === record.id) ?? record;
    const { level, choices } = lesson;
    const { id } = asked.exercise;
    const item = practised(practice.items[id], what.asked, what.outcome, what.slips, what.hints > 0, new Date());
    const put = [{ ...practice, level, ...(choices && { choices }), items: { ...practice.items, [id]: item } }];
    void acts.act({ said: `Practised “${what.asked}”`, quiet: true, put: { practice: put } });
    answer(what);
  };
  const goOn = (): void => {
    next();
    if (!now || now.at + 1 < now.asked.length || !COURSE.includes(lesson)) return;
    const { practice } = shelfNow(room);
    const course = practice.find((p) => p.id === 'course') ?? { id: 'course', name: 'Course', items: {} };
    const first = now.answers.slice(0, now.asked.filter((a) => !a.again).length);
    const right = first.filter((a) => a.verdict === 'right' || a.verdict === 'near').length;
    const outcome = right >= DONE * first.length ? 'right' : 'missed';
    const item = practised(course.items[lesson.id], lesson.title, outcome, [], false, new Date());
    const put = [{ ...course, items: { ...course.items, [lesson.id]: item } }];
    void acts.act({ said: `Went through “${lesson.title}”`, quiet: true, put: { practice: put } });
  };
  if (!now) return <p>On no body of this kind does the lesson give anything to ask. Take other figures.</p>;
  if (!asked) {
    const last = now.asked.at(-1)?.exercise;
    const body = now.asked[0]?.on ?? (last?.kind === 'tape' ? bodyPutRight(last.tape) : undefined);
    return (
      <LessonEnd
        room={room}
        lesson={lesson}
        answers={now.answers}
        onAgain={again}
        onKeep={
          body &&
          (() => {
            const { person, draft } = pieceOfLesson(lesson, sheet, body, newId, new Date());
            const put = { people: [person], drafts: [draft] };
            void acts
              .act({ said: `Kept “${lesson.title}” as a draft`, quiet: true, put })
              .then(() => go(`/${room}/draft/${draft.id}/cut`));
          })
        }
        onSave={(learner) => {
          const result = {
            lesson: { ...lesson, seed: now.seed },
            learner,
            ended: new Date().toISOString(),
            answers: [...now.answers],
          };
          saveFile(`${fileName(`${lesson.title} ${learner}`)}.result.json`, writeResult(result), 'application/json');
        }}
      />
    );
  }
  const { exercise, on } = asked;
  const key = `${now.seed} ${now.at}`;
  return (
    <>
      <p className="practise-where" role="status" data-asked={now.at + 1}>
        {now.at + 1} of {now.asked.length}
        {asked.again ? ', once more on other figures' : ''}. {exercise.title}
      </p>
      <progress
        className="practise-progress"
        max={now.asked.length}
        value={now.at}
        aria-label="How far the lesson is"
      />
      {exercise.kind === 'sum' && on ? (
        <div className="practise-two">
          <SumTask key={key} sum={exercise.sum} onAnswer={count} onNext={goOn} />
          <PaperSoFar on={on} unit={unit} step={exercise.step} usual={exercise.usual} />
        </div>
      ) : exercise.kind === 'tape' ? (
        <TapeTask key={key} tape={exercise.tape} unit={unit} onAnswer={count} onNext={goOn} />
      ) : (
        on &&
        exercise.kind !== 'sum' && (
          <LineTask key={key} exercise={exercise} on={on} unit={unit} onAnswer={count} onNext={goOn} />
        )
      )}
    </>
  );
}
