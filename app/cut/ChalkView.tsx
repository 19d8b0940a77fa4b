import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Back from '@mui/icons-material/NavigateBefore';
import Next from '@mui/icons-material/NavigateNext';
import { useMemo, useState } from 'react';
import {
  chalkPages,
  chalkSketch,
  chalkTapesFor,
  roundingRows,
  type ChalkMove,
  type ChalkSheet,
} from '../../core/chalk/index.js';
import { withFractions } from '../shared/fractions.js';
import { PickLine } from '../shared/PickLine.js';
import { useStepKeys } from '../shared/use-step-keys.js';
import { ViewHead } from '../shared/ViewHead.js';
import { usePreferences } from '../store/preferences.js';
import { useUnit } from '../store/work-context.js';
import { SheetPdf } from '../shared/sheets/SheetPdf.js';
import { SketchDrawing } from '../shared/sheets/SketchDrawing.js';
import { useChalkSheet, useSheetSource } from './use-sheets.js';
import { useTicks } from '../shared/sheets/use-ticks.js';
import './cut.css';
import '../shared/step-list.css';

const LINES = [
  ['cut', 'Cut lines'],
  ['net', 'Stitching lines'],
] as const;
const BACKS = [
  ['method', 'As the method'],
  ['own', 'Own figures'],
  ['front', 'From the front'],
] as const;
const LEVELS = [
  ['waist', 'From the waist'],
  ['hem', 'From the hem'],
] as const;
const POINTS = [
  ['numbers', 'Numbers'],
  ['letters', 'Letters'],
] as const;

/** On the screen a sketch stands about so high, in mm of its own paper. */
const SKETCH_HIGH = 95;

/** A tick belongs to what a move says: where the draft changes, it is to be chalked again. */
const tickOf = (m: ChalkMove): string => `${m.part} ${m.say}`;

function Choices() {
  const unit = useUnit();
  const chalk = usePreferences((p) => p.chalk);
  const set = usePreferences((p) => p.set);
  const own = unit === 'in' ? 'in' : 'cm';
  return (
    <>
      <PickLine
        label="Lines"
        value={chalk.line}
        choices={LINES}
        onChoose={(line) => {
          set({ chalk: { ...chalk, line } });
        }}
      />
      <PickLine
        label="Back"
        value={chalk.back}
        choices={BACKS}
        onChoose={(back) => {
          set({ chalk: { ...chalk, back } });
        }}
      />
      <PickLine
        label="Levels"
        value={chalk.levels ?? 'waist'}
        choices={LEVELS}
        onChoose={(levels) => {
          set({ chalk: { ...chalk, levels } });
        }}
      />
      <PickLine
        label="Points"
        value={chalk.points ?? 'numbers'}
        choices={POINTS}
        onChoose={(points) => {
          set({ chalk: { ...chalk, points } });
        }}
      />
      <PickLine
        label="Tape"
        value={chalk[own]}
        choices={chalkTapesFor(unit).map((t) => [t.id, `Steps of ${t.label}`] as const)}
        onChoose={(tape) => {
          set({ chalk: { ...chalk, [own]: tape } });
        }}
      />
    </>
  );
}

function MoveInHand({ sheet, at, onGo }: { sheet: ChalkSheet; at: number; onGo: (at: number) => void }) {
  const { done, tick } = useTicks('chalk');
  const { moves, parts } = sheet;
  const move = moves[at];
  if (!move) return null;
  const name = parts.find((p) => p.laid.part.id === move.part)?.laid.part.name ?? move.part;
  const ticked = done.has(tickOf(move));
  const [what, ...where] = move.say.split('. ');
  return (
    <section className="move" aria-label="Move in hand" data-move={move.n} data-done={ticked}>
      <p className="quiet" role="status">
        {name}, move {move.n} of {moves.length}
      </p>
      <h3>
        {move.letter !== undefined && `${move.letter}: `}
        {withFractions(what ?? '')}
      </h3>
      <p className="move-say">{withFractions(where.join('. '))}</p>
      {move.sum && !/^(as it is|along the)/.test(move.sum) && <p className="sum">{withFractions(move.sum)}</p>}
      {move.slip && (
        <p className="slip">
          <strong>Usual slip:</strong> {move.slip}
        </p>
      )}
      <div className="step-acts" role="toolbar" aria-label="Moves">
        <IconButton
          aria-label="Move before"
          disabled={at === 0}
          onClick={() => {
            onGo(at - 1);
          }}
        >
          <Back />
        </IconButton>
        <Button
          variant="contained"
          size="large"
          onClick={() => {
            tick([tickOf(move)], !ticked);
            if (!ticked && at + 1 < moves.length) onGo(at + 1);
          }}
        >
          {ticked ? 'Not chalked yet' : 'Chalked'}
        </Button>
        <IconButton
          aria-label="Next move"
          disabled={at + 1 >= moves.length}
          onClick={() => {
            onGo(at + 1);
          }}
        >
          <Next />
        </IconButton>
      </div>
    </section>
  );
}

/** What rounding to the tape does to the figures that matter. */
function RoundingTable({ sheet }: { sheet: ChalkSheet }) {
  return sheet.rounding.map((one) => (
    <table className="figures" key={one.leg} data-rounding={one.leg}>
      <caption>
        Rounded to {sheet.tape.label}
        {one.leg === 'both' ? '' : `, ${one.leg} leg`}
      </caption>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">Drawn</th>
          <th scope="col">Chalked</th>
          <th scope="col">More</th>
        </tr>
      </thead>
      <tbody>
        {roundingRows(one, sheet).map(([label, ...cells]) => (
          <tr key={label}>
            <th scope="row">{label}</th>
            {cells.map((words, i) => (
              <td key={i}>{withFractions(words)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  ));
}

/** Chalk sheet: the draft move by move at the cutting table, the move in hand drawn, each ticked as it is chalked. */
export function ChalkView() {
  const source = useSheetSource();
  const sheet = useChalkSheet(source);
  const { done } = useTicks('chalk');
  const [wanted, setAt] = useState<number>();
  const pages = useMemo(() => (sheet ? [chalkPages(sheet)] : []), [sheet]);
  const moves = sheet?.moves ?? [];
  const next = moves.findIndex((m) => !done.has(tickOf(m)));
  const [begun] = useState(next);
  const at = Math.min(Math.max(0, wanted ?? begun), Math.max(0, moves.length - 1));
  const move = moves[at];
  const part = sheet?.parts.find((p) => p.laid.part.id === move?.part);
  const sketch = useMemo(() => {
    if (!sheet || !part || !move) return undefined;
    const high = chalkSketch(part, sheet.moves, 1).height;
    return chalkSketch(part, sheet.moves, high / SKETCH_HIGH, move.n);
  }, [sheet, part, move]);

  const goTo = (to: number): void => {
    setAt(Math.min(moves.length - 1, Math.max(0, to)));
  };
  useStepKeys(at, [0, moves.length - 1], goTo);

  return (
    <>
      <main id="board" className="board chalk-board" aria-label="The move in hand, drawn">
        {sketch && move ? (
          <SketchDrawing
            drawing={sketch}
            label={`${part?.laid.part.name ?? ''} as it is chalked up to move ${move.n}`}
          />
        ) : (
          <div className="board-empty">There is nothing to chalk yet: enter the four measurements first.</div>
        )}
      </main>
      <aside className="bench" aria-label="Chalk sheet">
        <ViewHead title="Chalk sheet" station="Cut" />
        {sheet && (
          <>
            <MoveInHand sheet={sheet} at={at} onGo={setAt} />
            <Choices />
            <div className="acts">
              <SheetPdf pages={pages} name="chalk" />
            </div>
            <ul className="before">
              {sheet.before.map((words) => (
                <li key={words}>{withFractions(words)}</li>
              ))}
            </ul>
            <RoundingTable sheet={sheet} />
            <ol className="step-list chalk-list">
              {moves.map((m, i) => (
                <li key={m.n} aria-current={i === at ? 'step' : undefined} data-done={done.has(tickOf(m))}>
                  <button
                    type="button"
                    className="link"
                    onClick={() => {
                      setAt(i);
                    }}
                  >
                    {m.letter !== undefined && <strong>{m.letter} </strong>}
                    {withFractions(m.say)}
                  </button>
                </li>
              ))}
            </ol>
          </>
        )}
      </aside>
    </>
  );
}
