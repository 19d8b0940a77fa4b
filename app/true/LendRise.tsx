import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useState } from 'react';
import { useParams } from 'react-router';
import { riseOf } from '../../core/alter/index.js';
import { computeDraft } from '../../core/chain/index.js';
import { inputOf, type Work } from '../../core/kept/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { addAlterations, newAlteration } from '../store/alteration-work.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useSheet } from '../store/sheets.js';
import { useChange, useWork } from '../store/work-context.js';
import { useTrue } from './true-store.js';

/** How much of a lent rise, from the waist, is blended into the seam that is here. */
const BLEND = 0.5;

const WHICH = [
  ['both', 'front and back'],
  ['front', 'front'],
  ['back', 'back'],
] as const;

/** Takes the rise of another draft, front, back or both, into this one: laid at the crotch point, blended to the waist. */
export function LendRise() {
  const id = useId();
  const shelf = useShelf(roomOf(useParams().room));
  const here = useWork(({ work }) => work.draft.id);
  const change = useChange();
  const set = useTrue((s) => s.set);
  const [from, setFrom] = useState('');
  const [which, setWhich] = useState<(typeof WHICH)[number][0]>('both');
  const [problem, setProblem] = useState<string>();
  const others = (shelf.data?.drafts ?? []).map(({ value }) => value).filter((d) => d.id !== here);
  const lender = others.find((d) => d.id === from);
  const person = shelf.data?.people.find((p) => p.id === lender?.personId)?.value;
  const sheet = useSheet(lender);
  if (others.length === 0) return null;

  const take = (): void => {
    if (!lender || !person || !sheet) return;
    const work: Work = { person, draft: lender };
    const outcome = computeDraft(inputOf(work, sheet));
    if (!outcome.ok) {
      setProblem(`“${lender.name}” cannot be drafted: ${outcome.refusals[0]?.reason ?? ''}`);
      return;
    }
    setProblem(undefined);
    const panels: readonly PanelName[] = which === 'both' ? PANEL_NAMES : [which];
    const lent = panels.map((panel) =>
      newAlteration(
        { kind: 'rise', panel, points: riseOf(outcome.value.block[panel]), blend: BLEND, keepLength: false },
        `The rise of ${lender.name}`,
      ),
    );
    change(addAlterations(lent));
    set({ chosen: lent[lent.length - 1]?.id });
    setFrom('');
  };
  return (
    <div className="lend-rise">
      <label htmlFor={id} className="quiet">
        Take the rise of
      </label>{' '}
      <NativeSelect
        inputProps={{ id }}
        value={from}
        onChange={(event) => {
          setFrom(event.target.value);
          setProblem(undefined);
        }}
      >
        <option value="">another draft</option>
        {others.map((d) => (
          <option key={d.id} value={d.id}>
            {d.name}
          </option>
        ))}
      </NativeSelect>
      {lender && (
        <>
          {' '}
          <NativeSelect
            inputProps={{ 'aria-label': 'Which rise' }}
            value={which}
            onChange={(event) => {
              setWhich(WHICH.find(([name]) => name === event.target.value)?.[0] ?? 'both');
            }}
          >
            {WHICH.map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </NativeSelect>{' '}
          <Button size="small" variant="outlined" disabled={!sheet} onClick={take}>
            Take
          </Button>
        </>
      )}
      {problem && <p className="problem">{problem}</p>}
    </div>
  );
}
