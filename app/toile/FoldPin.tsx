import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { downSeam, onSeam, sayAlteration, seamNear } from '../../core/alter/index.js';
import { EDGE_NAMES, type EdgeName } from '../../core/draft/index.js';
import { EDGE_WORDS } from '../../core/garment/index.js';
import type { Fitting } from '../../core/kept/index.js';
import {
  atCentre,
  foldFault,
  foldWork,
  isTakenOut,
  pinNamed,
  standsFor,
  type PinnedFold,
} from '../../core/toile/index.js';
import { formatLength, tapeFor } from '../../core/units/index.js';
import { LengthField } from '../shared/LengthField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { withFractions } from '../shared/fractions.js';
import { changePin, takeFold } from '../store/fitting-work.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { EffectItems } from './EffectItems.js';
import { TakeActs } from './TakeActs.js';
import { useKnowledge } from './use-knowledge.js';

type FittingPin = Fitting['pins'][number];

const SEAMS = EDGE_NAMES.map((edge) => [edge, EDGE_WORDS[edge]] as const);

/** A fold that is pinned from seam to seam: where, how much at either end, and how it comes onto the paper. */
export function FoldPin({
  fitting,
  pin,
  fold,
  number,
}: {
  readonly fitting: string;
  readonly pin: FittingPin;
  readonly fold: PinnedFold;
  readonly number: number;
}) {
  const unit = useUnit();
  const change = useChange();
  const draft = useComputed((c) => c.draft);
  const alterations = useWork(({ work }) => work.draft.alterations);
  const set = (facts: Partial<PinnedFold>): void => {
    change(changePin(fitting, pin.id, { fold: { ...fold, ...facts } }));
  };
  const leg = pin.leg === 'both' ? undefined : pin.leg;
  const work = useMemo(() => foldWork(fold, pin.by), [fold, pin.by]);
  const works = useMemo(() => [work], [work]);
  const fault = draft && foldFault(fold, pin.by, draft.block);
  const centred = atCentre(pin);
  const taken = isTakenOut(fold, alterations);
  const panel = draft?.block[fold.panel];
  const stands = useMemo(() => (draft ? standsFor(pin, draft.block) : []), [pin, draft]);
  const knowledge = useKnowledge();
  const speaks = stands.flatMap(({ kind, by }) => {
    const words = pinNamed(kind, knowledge)?.words;
    return words === undefined ? [] : [`${words.toLowerCase()}, ${formatLength(by, tapeFor(unit))}`];
  });
  const end = (id: 'from' | 'to', by: number, onCommit: (mm: number) => void) => {
    const at = panel && onSeam(panel, fold[id]);
    const edge = fold[id].edge;
    const which = `Pin ${number}, ${id === 'from' ? 'first' : 'other'} end`;
    return (
      <fieldset className="fold-end" data-end={id}>
        <legend>{id === 'from' ? 'First end' : 'Other end'}</legend>
        <PickLine
          label="On"
          value={edge}
          choices={SEAMS}
          onChoose={(next: EdgeName) => {
            if (panel) set({ [id]: at ? seamNear(panel, at.at, [next]) : downSeam(panel, next, 0) });
          }}
        />
        <div className="line">
          <label htmlFor={`pin-${pin.id}-${id}`}>
            {edge === 'waist' ? 'From the centre' : edge === 'hem' ? 'From the side' : `Down the ${EDGE_WORDS[edge]}`}
          </label>
          <LengthField
            id={`pin-${pin.id}-${id}`}
            label={which}
            mm={at?.down}
            unit={unit}
            problem={
              at
                ? fault === 'onePlace'
                  ? `${which}: both ends lie in one place. Move one of them: a fold runs from one place to another.`
                  : undefined
                : `${which}: the ${EDGE_WORDS[edge]} does not reach there. Give another place.`
            }
            onCommit={(down) => {
              if (panel && down !== undefined) set({ [id]: downSeam(panel, edge, down) });
            }}
          />
        </div>
        <div className="line">
          <label htmlFor={`pin-${pin.id}-${id}-by`}>Pinned there</label>
          <LengthField
            id={`pin-${pin.id}-${id}-by`}
            label={which}
            mm={by}
            unit={unit}
            problem={
              fault === 'nothing'
                ? `${which}: a fold takes something in. Give an amount above 0 at one end, or take it out.`
                : undefined
            }
            onCommit={(mm) => {
              if (mm !== undefined) onCommit(mm);
            }}
          />
        </div>
      </fieldset>
    );
  };
  return (
    <>
      <p>{withFractions(sayAlteration(work, unit, leg))}</p>
      {speaks.length > 0 && !taken && (
        <p className="quiet" data-speaks-as>
          {withFractions(
            `Among the causes it speaks as: ${speaks.join('; ')}. Take it out there or here: once is enough.`,
          )}
        </p>
      )}
      {end('from', pin.by, (by) => {
        change(changePin(fitting, pin.id, { by }));
      })}
      {end('to', fold.byTo, (byTo) => {
        set({ byTo });
      })}
      {centred && (
        <p className="acts">
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              change(changePin(fitting, pin.id, { ...centred, fold: undefined }));
            }}
          >
            Move it to the centre back
          </Button>
        </p>
      )}
      {taken && <p className="cause-taken">Folded out on the paper.</p>}
      <TakeActs
        ready={fault === undefined}
        effect={fault === undefined && <EffectItems works={works} />}
        taken={taken}
        words={['Onto the paper', 'Once more onto the paper']}
        labels={{ does: `What it does: pin ${number}`, take: `Onto the paper: pin ${number}` }}
        onTake={() => {
          const alteration = { id: newId(), on: true, note: 'Pinned at the fitting', work, ...(leg && { leg }) };
          change(takeFold(fitting, pin.id, alteration));
        }}
      />
    </>
  );
}
