import Button from '@mui/material/Button';
import { sayAlteration } from '../../core/alter/index.js';
import type { Fitting } from '../../core/kept/index.js';
import { SEWN_SEAMS_OF_TOILE, sewnSeam } from '../../core/toile/index.js';
import { formatLength, tapeFor } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { changeFitting, forgetSewn, measureSewn, mendSewn } from '../store/fitting-work.js';
import { useChange, useComputed, useUnit } from '../store/work-context.js';

type Sewn = NonNullable<Fitting['sewn']>[number];

/** Seams measured on the garment as they are sewn, each against the piece and what is wanted, with what mends it. */
export function SewnLines({ fitting }: { readonly fitting: Fitting }) {
  const change = useChange();
  const unit = useUnit();
  const draft = useComputed((c) => c.draft);
  const { id, sewn = [], allowance = 0 } = fitting;
  return (
    <fieldset className="seen">
      <legend>Measured as sewn</legend>
      <div className="line">
        <label htmlFor="toile-allowance">Seam allowance left on it</label>
        <LengthField
          id="toile-allowance"
          label="Seam allowance left on it"
          mm={allowance}
          unit={unit}
          problem={allowance < 0 ? 'Seam allowance: give 0 or more.' : undefined}
          onCommit={(mm) => {
            if (mm !== undefined) change(changeFitting(id, { allowance: mm }));
          }}
        />
      </div>
      {sewn.map((one) => (
        <SewnLine key={one.id} fitting={id} sewn={one} allowance={Math.max(0, allowance)} />
      ))}
      <PickLine
        label="Measure a seam"
        value=""
        choices={[['', 'Which …'], ...SEWN_SEAMS_OF_TOILE.map((s) => [s.id, s.label] as const)]}
        onChoose={(seam) => {
          const found = draft && sewnSeam({ seam, is: 0 }, 0, draft);
          if (!found) return;
          const is = Math.round(found.paper + found.kind.rawEnds * Math.max(0, allowance));
          change(measureSewn(id, { id: newId(), seam, is, leg: 'both' }));
        }}
      />
    </fieldset>
  );
}

function SewnLine({
  fitting,
  sewn,
  allowance,
}: {
  readonly fitting: string;
  readonly sewn: Sewn;
  readonly allowance: number;
}) {
  const change = useChange();
  const unit = useUnit();
  const draft = useComputed((c) => c.draft);
  const found = draft && sewnSeam(sewn, allowance, draft);
  if (!found) return null;
  const { kind, net, paper, wanted, mend } = found;
  const length = (mm: number): string => formatLength(Math.abs(mm), tapeFor(unit));
  const over = wanted === undefined ? undefined : net - wanted;
  const stretched = net - paper;
  return (
    <div className="pin" data-sewn={sewn.seam}>
      <p>{kind.label}</p>
      <div className="line">
        <label htmlFor={`sewn-${sewn.id}`}>It measures</label>
        <LengthField
          id={`sewn-${sewn.id}`}
          label={`${kind.label}: it measures`}
          mm={sewn.is}
          unit={unit}
          problem={sewn.is > 0 ? undefined : `${kind.label}: a seam has a length. Give it, or take it out.`}
          onCommit={(is) => {
            if (is !== undefined) change(measureSewn(fitting, { ...sewn, is }));
          }}
        />
      </div>
      <div className="line">
        <label htmlFor={`wanted-${sewn.id}`}>Wanted</label>
        <LengthField
          id={`wanted-${sewn.id}`}
          label={`${kind.label}: wanted`}
          mm={sewn.wanted ?? wanted}
          unit={unit}
          source={sewn.wanted === undefined ? 'estimate' : 'hand'}
          allowEmpty
          onCommit={(mm) => {
            const { id, seam, is, leg } = sewn;
            change(measureSewn(fitting, { id, seam, is, leg, ...(mm !== undefined && { wanted: mm }) }));
          }}
        />
      </div>
      <p className="quiet">
        {withFractions(
          `Between its stitching lines ${length(net)}; on the piece ${length(paper)}` +
            (Math.abs(stretched) < 1
              ? '.'
              : `: it has ${stretched > 0 ? 'stretched' : 'drawn in'} by ${length(stretched)} in sewing.`) +
            (over === undefined || Math.abs(over) < 1
              ? ''
              : ` ${length(over)} ${over > 0 ? 'over' : 'short of'} what is wanted.`),
        )}
      </p>
      {mend && <p className="quiet">{withFractions(mend.map((work) => sayAlteration(work, unit)).join('; '))}</p>}
      <div className="acts">
        {mend && (
          <Button
            size="small"
            variant="outlined"
            aria-label={`Take: ${kind.label}`}
            onClick={() => {
              change(mendSewn(mend.map((work) => ({ id: newId(), on: true, note: `${kind.label}, as sewn`, work }))));
            }}
          >
            Take
          </Button>
        )}
        <Button
          size="small"
          aria-label={`Take ${kind.label} out`}
          onClick={() => {
            change(forgetSewn(fitting, sewn.id));
          }}
        >
          Take out
        </Button>
      </div>
    </div>
  );
}
