import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { riseOf } from '../../core/alter/index.js';
import { computeDraft } from '../../core/chain/index.js';
import type { Path } from '../../core/geometry/index.js';
import { fittedDraft, inputOf, type Work } from '../../core/kept/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { laidOutline, namedEdges } from '../../core/reference/index.js';
import { refusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { addAlterations, newAlteration } from '../store/alteration-work.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useSheet } from '../store/sheets.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { useBoard } from '../board/board-store.js';

/** How much of a lent rise, from the waist, is blended into the seam that is here. */
const BLEND = 0.5;

const WHICH = [
  ['both', 'front and back'],
  ['front', 'front'],
  ['back', 'back'],
] as const;

/** What the outline that lies under the draft, and the block that fits its person, are called among the drafts. */
const OUTLINE = 'outline';
const FITTED = 'fitted';

/**
 * Takes the rise of another draft, or of the outline laid under this one: laid at the crotch point, blended to the
 * waist.
 */
export function LendRise() {
  const id = useId();
  const shelf = useShelf(roomOf(useParams().room));
  const { id: here, reference } = useWork(({ work }) => work.draft);
  const own = useWork(({ work }) => work.person);
  const block = useComputed((c) => c.draft?.block);
  const unit = useUnit();
  const change = useChange();
  const set = useBoard((s) => s.set);
  const [from, setFrom] = useState('');
  const [which, setWhich] = useState<(typeof WHICH)[number][0]>('both');
  const [problem, setProblem] = useState<string>();
  const drafts = (shelf.data?.drafts ?? []).map(({ value }) => value);
  const others = drafts.filter((d) => d.id !== here);
  const names = useMemo(() => new Map(shelf.data?.people.map((p) => [p.id, p.value.name])), [shelf.data]);
  // As the version has it that was marked: of this very draft an earlier one may fit.
  const fits = own.fitted && (own.fitted.draft !== here || own.fitted.version) ? fittedDraft(own, drafts) : undefined;
  const lender = from === FITTED ? fits : others.find((d) => d.id === from);
  const person = shelf.data?.people.find((p) => p.id === lender?.personId)?.value;
  const sheet = useSheet(lender);
  if (others.length === 0 && !reference && !fits) return null;
  const name = from === OUTLINE ? reference?.name : lender?.name;

  /** The rise of a piece as it is lent, run from the crotch point up, or why there is none. */
  const riseFrom = (panel: PanelName): Path | string => {
    if (from === OUTLINE && reference && block) {
      const rise = namedEdges(laidOutline(reference, panel), block[panel]).get('rise')?.path;
      return rise ?? `The rise of the outline’s ${panel} is not one line. Name its stretches in Outline from a file.`;
    }
    if (!lender || !person || !sheet) return 'Choose a draft.';
    const work: Work = { person, draft: lender };
    const outcome = computeDraft(inputOf(work, sheet));
    return outcome.ok
      ? outcome.value.block[panel].edges.rise
      : `“${lender.name}” cannot be drafted: ${refusalsSentence(outcome.refusals, readerIn(unit))}`;
  };
  const take = (): void => {
    const panels: readonly PanelName[] = which === 'both' ? PANEL_NAMES : [which];
    const rises = panels.map((panel) => ({ panel, rise: riseFrom(panel) }));
    const wrong = rises.find(({ rise }) => typeof rise === 'string')?.rise;
    if (typeof wrong === 'string') {
      setProblem(wrong);
      return;
    }
    setProblem(undefined);
    const lent = rises.flatMap(({ panel, rise }) =>
      typeof rise === 'string'
        ? []
        : newAlteration(
            { kind: 'rise', panel, points: riseOf(rise), blend: BLEND, keepLength: false },
            `The rise of ${name ?? ''}`,
          ),
    );
    change(addAlterations(lent));
    set({ alteration: lent[lent.length - 1]?.id });
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
        {reference && <option value={OUTLINE}>the outline {reference.name}</option>}
        {fits && <option value={FITTED}>the block that fits, {fits.name}</option>}
        {others.map((d) => (
          <option key={d.id} value={d.id}>
            {names.get(d.personId)}, {d.name}
          </option>
        ))}
      </NativeSelect>
      {name !== undefined && (
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
          <Button size="small" variant="outlined" disabled={from !== OUTLINE && !sheet} onClick={take}>
            Take
          </Button>
        </>
      )}
      {problem && <p className="problem">{problem}</p>}
    </div>
  );
}
