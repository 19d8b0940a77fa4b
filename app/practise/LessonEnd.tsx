import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { COURSE, type Lesson, type LessonAnswer } from '../../core/practice/index.js';
import type { RoomId } from '../store/rooms.js';
import { AnswerTable } from './AnswerTable.js';

interface LessonEndProps {
  readonly room: RoomId;
  readonly lesson: Lesson;
  readonly answers: readonly LessonAnswer[];
  readonly onAgain: () => void;
  /** None where no piece was drawn. */
  readonly onKeep: (() => void) | undefined;
  readonly onSave: (learner: string) => void;
}

/** The end of a lesson: what came of it, the piece to keep and print, and what comes next. */
export function LessonEnd({ room, lesson, answers, onAgain, onKeep, onSave }: LessonEndProps) {
  const [learner, setLearner] = useState('');
  const right = answers.filter((a) => a.verdict === 'right').length;
  const at = COURSE.indexOf(lesson);
  const next = at === -1 ? undefined : COURSE[at + 1];
  return (
    <section data-lesson-end>
      <p role="status" className="practise-sum">
        {right} of {answers.length} right{right === answers.length ? '' : '; what was missed comes back'}.
      </p>
      <div className="page-head">
        {next && (
          <Button component={Link} to={`/${room}/practise/${next.id}`} variant="contained" autoFocus>
            Next: {next.title}
          </Button>
        )}
        <Button variant="outlined" onClick={onAgain}>
          Once more on another body
        </Button>
        {onKeep && (
          <Button variant="outlined" onClick={onKeep}>
            Keep the piece and print it
          </Button>
        )}
      </div>
      <AnswerTable answers={answers} />
      <div className="page-head">
        <TextField
          size="small"
          label="Your name or role"
          value={learner}
          onChange={(event) => {
            setLearner(event.target.value);
          }}
        />
        <Button
          variant="outlined"
          disabled={learner.trim() === ''}
          onClick={() => {
            onSave(learner.trim());
          }}
        >
          Save the result for a teacher
        </Button>
      </div>
    </section>
  );
}
