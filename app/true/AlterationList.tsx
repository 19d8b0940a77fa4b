import { spoiltLines, type Draft } from '../../core/chain/index.js';
import type { Check } from '../../core/check/index.js';
import { otherLeg, type Leg } from '../../core/draft/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import IconButton from '@mui/material/IconButton';
import NativeSelect from '@mui/material/NativeSelect';
import Up from '@mui/icons-material/ArrowUpward';
import Down from '@mui/icons-material/ArrowDownward';
import Edit from '@mui/icons-material/EditOutlined';
import Delete from '@mui/icons-material/DeleteOutlined';
import { useDeferredValue, useId, useMemo, useState } from 'react';
import {
  alterationsOf,
  alteredInTurn,
  fallsShort,
  kindOf,
  lengthChanges,
  sayAlteration,
  STARTING_KINDS,
  startingWork,
  type Alteration,
  type AlteredStep,
  type LengthChange,
} from '../../core/alter/index.js';
import { formatLength, readerIn, showsNothing, type Tape } from '../../core/units/index.js';
import { useBoard } from '../board/board-store.js';
import { labelOf, said as foundBy } from '../checks/check-words.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import {
  addAlterations,
  changeAlteration,
  doneTo,
  moveAlteration,
  newAlteration,
  removeAlteration,
} from '../store/alteration-work.js';
import { lookAtLeg } from '../store/work-changes.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { AlterationForm } from './AlterationForm.js';
import { CopyAlterations } from './CopyAlterations.js';
import { LendRise } from './LendRise.js';

const OF: Record<LengthChange['of'], string> = {
  rise: 'rise',
  side: 'side',
  inseam: 'inseam',
  waist: 'waist',
  hem: 'hem',
  hipWidth: 'hip width',
  crotchWidth: 'crotch width',
};

/** What an alteration changed, by piece: “back rise +1.2, side −0.1”. */
function changesSaid(changes: readonly LengthChange[], tape: Tape): string {
  const worth = changes.filter(({ by }) => !showsNothing(by, tape));
  if (worth.length === 0) return 'No seam changes its length.';
  return (['front', 'back'] as const)
    .flatMap((panel) => {
      const of = worth.filter((c) => c.panel === panel);
      if (of.length === 0) return [];
      return [`${panel} ${of.map((c) => `${OF[c.of]} ${signedFigure(c.by, tape)} ${tape.unit}`).join(', ')}`];
    })
    .join('; ')
    .replace(/^./, (c) => c.toUpperCase());
}

interface RowProps {
  readonly alteration: Alteration;
  readonly first: boolean;
  readonly last: boolean;
  /** What it was done to, and what came of it; nothing where it was not done. */
  readonly step: AlteredStep | undefined;
  /** The lines that it has left worse than it found them. */
  readonly spoilt: readonly Check[];
}

function Row({ alteration, first, last, step, spoilt }: RowProps) {
  const { id, on, work, note, leg } = alteration;
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const { alteration: chosen, set } = useBoard();
  const [editing, setEditing] = useState(false);
  const refusal = useComputed((c) => c.draft?.altered.told.find((t) => t.id === id)?.refusal);
  const said = sayAlteration(work, unit, leg);
  const short = step && fallsShort(step);
  return (
    <li data-alteration={work.kind} data-chosen={chosen === id} data-on={on}>
      <div className="alter-head">
        <input
          type="checkbox"
          aria-label={`Do: ${said}`}
          checked={on}
          onChange={() => {
            change(changeAlteration(id, (a) => ({ ...a, on: !a.on })));
          }}
        />
        <button
          type="button"
          className="alter-name"
          aria-pressed={chosen === id}
          title="Show on the piece how it is done on paper"
          onClick={() => {
            set({ alteration: chosen === id ? undefined : id });
            if (leg) change(lookAtLeg(leg));
          }}
        >
          {withFractions(said)}
        </button>
      </div>
      {refusal ? (
        <p className="problem">{`${refusalSentence(refusal, readerIn(unit))} Until then it is left out.`}</p>
      ) : (
        on && step && <p className="quiet">{changesSaid(lengthChanges(step.before, step.after), tape)}</p>
      )}
      {short !== undefined && (
        <p className="doubt">
          {withFractions(`Reaches ${formatLength(Math.abs(short), tape)}: further, the rise would turn back.`)}
        </p>
      )}
      {spoilt.map((check) => (
        <p key={check.id} className="doubt">
          {withFractions(`${labelOf(check, tape)}: less fair by it. ${foundBy(check, tape)}.`)}
        </p>
      ))}
      {note !== '' && <p className="quiet">{note}.</p>}
      <div className="alter-acts">
        <IconButton
          size="small"
          aria-label={`Change: ${said}`}
          aria-expanded={editing}
          onClick={() => {
            setEditing(!editing);
            set({ alteration: id });
          }}
        >
          <Edit fontSize="small" />
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Earlier: ${said}`}
          disabled={first}
          onClick={() => {
            change(moveAlteration(id, -1));
          }}
        >
          <Up fontSize="small" />
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Later: ${said}`}
          disabled={last}
          onClick={() => {
            change(moveAlteration(id, 1));
          }}
        >
          <Down fontSize="small" />
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Remove: ${said}`}
          onClick={() => {
            change(removeAlteration(id));
          }}
        >
          <Delete fontSize="small" />
        </IconButton>
      </div>
      {editing && (
        <AlterationForm
          alteration={alteration}
          onChange={(next) => {
            change(changeAlteration(id, (a) => ({ ...a, work: next })));
          }}
          onLeg={(next) => {
            change(changeAlteration(id, (a) => doneTo(a, next)));
            if (next) change(lookAtLeg(next));
          }}
        />
      )}
    </li>
  );
}

/** What each alteration did: on the leg looked at, and those of the other leg alone on theirs. */
function stepsOf({ drafted, legs, altered: { told } }: Draft, list: readonly Alteration[], leg: Leg): AlteredStep[] {
  const on = (one: Leg): AlteredStep[] => alteredInTurn(drafted, alterationsOf(list, one), told);
  if (!legs) return on(leg);
  return [...on(leg), ...on(otherLeg(leg)).filter(({ alteration }) => alteration.leg === otherLeg(leg))];
}

/** The alterations of the draft, done one after the other on top of the block. */
export function AlterationList() {
  const id = useId();
  const list = useWork(({ work }) => work.draft.alterations);
  const draft = useDeferredValue(useComputed((c) => c.draft));
  const rules = useWork(({ work }) => work.draft.rules);
  const leg = useWork((s) => s.leg);
  const inHand = useBoard((s) => s.inHand);
  const change = useChange();
  const set = useBoard((s) => s.set);
  const steps = useMemo(() => (draft ? stepsOf(draft, list, leg) : []), [draft, list, leg]);
  const spoilt = useMemo(
    () => (draft ? spoiltLines(draft, rules, steps) : new Map<string, Check[]>()),
    [draft, rules, steps],
  );
  return (
    <section aria-label="Alterations">
      <h3>
        {list.length === 0 ? 'No alterations' : `${list.length} ${list.length === 1 ? 'alteration' : 'alterations'}`}
      </h3>
      {list.length === 0 && (
        <p className="quiet">
          Take one that is offered for a check, add one here, or cut and move on the piece. The sheet stays as it is.
        </p>
      )}
      <ol className="alterations">
        {list.map((alteration, i) => (
          <Row
            key={alteration.id}
            alteration={alteration}
            first={i === 0}
            last={i === list.length - 1}
            step={steps.find((s) => s.alteration.id === alteration.id)}
            spoilt={spoilt.get(alteration.id) ?? []}
          />
        ))}
      </ol>
      <p>
        <label htmlFor={id} className="quiet">
          Add
        </label>{' '}
        <NativeSelect
          inputProps={{ id }}
          value=""
          onChange={(event) => {
            const kind = STARTING_KINDS.find((k) => k === event.target.value);
            if (!kind) return;
            const alteration = newAlteration(startingWork(kind, inHand));
            change(addAlterations([alteration]));
            set({ alteration: alteration.id });
          }}
        >
          <option value="">an alteration</option>
          {STARTING_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {kindOf(kind).label}
            </option>
          ))}
        </NativeSelect>
      </p>
      <CopyAlterations />
      <LendRise />
    </section>
  );
}
