import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { newerSet, setOf, valuesOf } from '../../core/kept/index.js';
import {
  EMPTY_PAIR,
  howTaken,
  measurementLabel,
  PAIR_FIGURES,
  type FinishedPair,
  type MeasurementId,
} from '../../core/measure/index.js';
import { outlinesOf } from '../shared/outlines.js';
import { PiecePicture } from '../shared/PiecePicture.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import { useComputed, useWork } from '../store/work-context.js';
import { BodyFigure } from '../body/BodyFigure.js';
import { MeasureBench } from './MeasureBench.js';
import { useMeasuring } from './measuring-store.js';
import { usePairInHand } from './pair-in-hand.js';
import { PairFigure } from './PairFigure.js';
import { WhatWouldChange } from './NewerSet.js';
import './measure.css';

/** What fills the middle of the room while measuring. */
type Middle = 'body' | 'pieces' | 'changes';

/** What goes wrong with a measurement, and what is owed to the person. */
function MistakeWords({ id }: { id: MeasurementId }) {
  const { care, mistake } = howTaken(id);
  return (
    <>
      {' '}
      <strong>Usual mistake:</strong> {mistake}
      {care && (
        <>
          {' '}
          <strong>Care:</strong> {care}
        </>
      )}
    </>
  );
}

function DrawnFigure() {
  const work = useWork((s) => s.work);
  const block = useComputed((c) => c.draft?.block);
  const outlines = useMemo(() => block && outlinesOf(block), [block]);
  const missing = useComputed((c) => c.missing);
  const inHand = useMeasuring((m) => m.inHand);
  const pairInHand = usePairInHand((p) => p.id);
  const set = setOf(work);
  const pair = set.source === 'pair';
  const label = pair ? PAIR_FIGURES[pairInHand].label : measurementLabel(inHand);
  const how = pair ? PAIR_FIGURES[pairInHand].how : howTaken(inHand).how;
  return (
    <>
      {pair ? (
        <PairFigure pair={(set.pair as FinishedPair | undefined) ?? EMPTY_PAIR} inHand={pairInHand} />
      ) : (
        <BodyFigure values={valuesOf(set)} adopted={set.adopted} figure={work.person.figure} inHand={inHand} />
      )}
      <div className="figure-words" id="measure-how">
        <strong>{label}</strong> {how}
        {!pair && <MistakeWords id={inHand} />}
      </div>
      <div className="pieces-beside" data-drawn={outlines !== undefined}>
        {outlines ? (
          <PiecePicture outlines={outlines} label="The pieces these figures give" weight={1.6} />
        ) : (
          <p className="quiet" role="status">
            {missing.length > 0
              ? `The pieces appear here. Still needed: ${missing.map((id) => measurementLabel(id).toLowerCase()).join(', ')}`
              : 'The pieces appear here as soon as these figures can be drafted.'}
          </p>
        )}
      </div>
    </>
  );
}

/** Measure: the drawn body with the tape where it lies, the pieces that come of it, and the measuring sheet. */
export function MeasureStation({ room, board, benchOpen }: { room: RoomId; board: ReactNode; benchOpen: boolean }) {
  const work = useWork((s) => s.work);
  const { comparing, set } = useMeasuring();
  const { measuringShows, set: prefer } = usePreferences();
  const newer = newerSet(work.person, setOf(work));
  const asked = useSearchParams()[0].has('newer');
  useEffect(() => {
    if (asked) set({ comparing: true });
  }, [asked, set]);
  const shown: Middle = comparing && newer ? 'changes' : measuringShows;
  const first = setOf(work).source === 'pair' ? 'Pair' : 'Body';
  return (
    <>
      {shown === 'pieces' ? (
        board
      ) : (
        <main
          id="board"
          className="board measuring"
          aria-label={shown === 'body' ? 'Where the tape lies' : 'What would change'}
        >
          {shown === 'body' ? <DrawnFigure /> : <WhatWouldChange />}
        </main>
      )}
      <nav className="middle-choices" aria-label="What lies in the middle">
        <ToggleButtonGroup
          className="middle-choice"
          exclusive
          size="small"
          value={shown}
          aria-label="What is shown"
          onChange={(_, next: Middle | null) => {
            if (!next) return;
            set({ comparing: next === 'changes' });
            if (next !== 'changes') prefer({ measuringShows: next });
          }}
        >
          <ToggleButton value="body">{first}</ToggleButton>
          <ToggleButton value="pieces">Pieces</ToggleButton>
          {newer && <ToggleButton value="changes">Newer set</ToggleButton>}
        </ToggleButtonGroup>
      </nav>
      {benchOpen && (
        <aside className="bench" aria-label="Measure">
          <MeasureBench room={room} />
        </aside>
      )}
    </>
  );
}
