import Button from '@mui/material/Button';
import { useState } from 'react';
import { measurementLabel, type MeasurementId } from '../../core/measure/index.js';
import { judgeTape, type WrongTape } from '../../core/practice/index.js';
import { formatFigure, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import type { Answered } from './use-lesson.js';
import { Verdict } from './Verdict.js';

/** Figures of a body, of which one was taken or written wrong: it is to be found. */
export function TapeTask({
  tape,
  unit,
  onAnswer,
  onNext,
}: {
  readonly tape: WrongTape;
  readonly unit: Unit;
  readonly onAnswer: (what: Answered) => void;
  readonly onNext: () => void;
}) {
  const [picked, setPicked] = useState<MeasurementId>();
  const judged = picked && judgeTape(tape, picked);
  const figures = Object.entries(tape.figures) as [MeasurementId, number][];
  return (
    <div className="practise-task" data-tape={tape.wrong}>
      <h2>Which of these is wrong?</h2>
      <p className="quiet">All in {unit === 'in' ? 'inches' : 'centimetres'}, of one body.</p>
      <ul className="practise-tapes">
        {figures.map(([id, mm], i) => (
          <li key={id}>
            <Button
              variant="outlined"
              fullWidth
              autoFocus={i === 0}
              disabled={judged !== undefined}
              data-tape-figure={id}
              data-picked={id === picked}
              data-wrong={judged !== undefined && id === tape.wrong}
              onClick={() => {
                setPicked(id);
                const { verdict, said } = judgeTape(tape, id);
                onAnswer({
                  outcome: verdict === 'right' ? 'right' : 'missed',
                  verdict,
                  slips: [],
                  answer: measurementLabel(id),
                  asked: 'Which figure is wrong',
                  said,
                  hints: 0,
                });
              }}
            >
              <span>{measurementLabel(id)}</span>
              <span className="number">{withFractions(formatFigure(mm, tapeFor(unit)))}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Verdict verdict={judged?.verdict} said={judged?.said} />
      {judged && (
        <Button variant="contained" autoFocus onClick={onNext}>
          Go on
        </Button>
      )}
    </div>
  );
}
