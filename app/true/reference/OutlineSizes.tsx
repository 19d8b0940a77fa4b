import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { checkLabel } from '../../../core/check/index.js';
import type { Draft } from '../../../core/chain/index.js';
import type { AdoptedPattern } from '../../../core/draft/index.js';
import { refusalsSentence, type Outcome } from '../../../core/refusal/index.js';
import {
  nearestSize,
  proposedSize,
  SIZE_FIGURES,
  wantedFigures,
  type OutlineSize,
  type Reference,
} from '../../../core/reference/index.js';
import { formatFigure, formatLength, readerIn, type Tape } from '../../../core/units/index.js';
import { withFractions } from '../../shared/fractions.js';
import type { Job } from '../../shared/job.js';
import { useChange, useComputed } from '../../store/work-context.js';
import { PickLine } from '../../shared/PickLine.js';
import { adoptPattern } from '../../store/reference-work.js';
import { startAdopting, startSizes } from './outline-job.js';

interface SizesOf {
  readonly sizes: readonly OutlineSize[];
  readonly draft: Draft;
  readonly tape: Tape;
}

type SizesJob = Job<readonly OutlineSize[]>;

/** The table of a file's sizes, with what this draft wants and the nearest size of each figure marked. */
function SizesTable({ sizes, draft, tape }: SizesOf) {
  const wanted = wantedFigures(draft, sizes);
  const show = (mm: number | undefined): string => (mm === undefined ? '–' : withFractions(formatFigure(mm, tape)));
  return (
    <div className="sizes-table">
      <table className="figures">
        <thead>
          <tr>
            <th scope="col">{tape.unit}</th>
            {sizes.map(({ name }) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
            <th scope="col">Wanted</th>
          </tr>
        </thead>
        <tbody>
          {SIZE_FIGURES.map((id) => {
            const nearest = nearestSize(sizes, id, wanted[id]);
            return (
              <tr key={id} data-size-figure={id}>
                <th scope="row">{checkLabel({ id, compares: { of: 'character' } }, tape.unit)}</th>
                {sizes.map((size) => (
                  <td key={size.name} className="number" data-nearest={size === nearest || undefined}>
                    {show(size.figures[id])}
                    {size === nearest && <span aria-label="nearest"> ✓</span>}
                  </td>
                ))}
                <td className="number">{show(wanted[id])}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The size that is proposed, and a front and a back to adopt: of one size, or of two. */
function AdoptSizes({ sizes, draft, tape, reference }: SizesOf & { readonly reference: Reference }) {
  const change = useChange();
  const proposed = proposedSize(sizes, wantedFigures(draft, sizes));
  const first = proposed?.size.name ?? sizes[0]?.name ?? '';
  const [front, setFront] = useState(first);
  const [back, setBack] = useState(first);
  const [refusal, setRefusal] = useState<string>();
  const [job, setJob] = useState<Job<Outcome<AdoptedPattern>>>();
  useEffect(() => () => job?.stop(), [job]);
  const choices = sizes.map(({ name }) => [name, name] as const);
  const of = (name: string): OutlineSize | undefined => sizes.find((s) => s.name === name);
  const adopt = (): void => {
    const [ahead, behind] = [of(front), of(back)];
    if (!ahead || !behind) return;
    setRefusal(undefined);
    const started = startAdopting(reference, draft.block, { front: ahead, back: behind }, new Date());
    setJob(started);
    started.answer
      .then(
        (outcome) => {
          if (outcome.ok) change(adoptPattern(outcome.value));
          else setRefusal(refusalsSentence(outcome.refusals, readerIn(tape.unit)));
        },
        () => {
          setRefusal('The pieces could not be taken over. Try again.');
        },
      )
      .finally(() => {
        setJob(undefined);
      });
  };
  return (
    <>
      {proposed && (
        <p data-proposed={proposed.size.name}>
          <strong>{proposed.size.name}</strong> is nearest at the hip
          {proposed.off.length === 0 ? ', and its other figures are near.' : ': '}
          {withFractions(
            proposed.off
              .map(
                ({ id, by }) =>
                  `${checkLabel({ id, compares: { of: 'character' } }, tape.unit).toLowerCase()} ${formatLength(Math.abs(by), tape)} ${by < 0 ? 'short' : 'over'}`,
              )
              .join(', '),
          )}
          {proposed.off.length > 0 && '; correct that after adopting it.'}
        </p>
      )}
      <PickLine label="Front of size" value={front} choices={choices} onChoose={setFront} />
      <PickLine label="Back of size" value={back} choices={choices} onChoose={setBack} />
      <p className="acts">
        <Button size="small" variant="contained" disabled={job !== undefined} onClick={adopt}>
          {job ? 'Taking the pieces over …' : 'Adopt these as the block'}
        </Button>
      </p>
      {refusal !== undefined && <p role="alert">{refusal}</p>}
    </>
  );
}

/** The sizes of a file that holds several, in one table. */
export function OutlineSizes({ reference, tape }: { reference: Reference; tape: Tape }) {
  const draft = useComputed((c) => c.draft);
  const [job, setJob] = useState<SizesJob>();
  const [found, setFound] = useState<{ readonly of: Reference; readonly sizes: readonly OutlineSize[] }>();
  const [failed, setFailed] = useState(false);
  useEffect(() => () => job?.stop(), [job]);
  if (!draft) return null;
  const sizes = found?.of === reference ? found.sizes : undefined;
  const compare = (): void => {
    setFailed(false);
    const started = startSizes(reference, draft.block);
    setJob(started);
    started.answer
      .then(
        (answer) => {
          setFound({ of: reference, sizes: answer });
        },
        () => {
          setFailed(true);
        },
      )
      .finally(() => {
        setJob(undefined);
      });
  };
  return (
    <section aria-label="Sizes in this file">
      <h3>Sizes in this file</h3>
      {!sizes && (
        <p className="acts">
          <Button size="small" variant="outlined" disabled={job !== undefined} onClick={compare}>
            {job ? 'Laying the pieces …' : 'Compare its sizes'}
          </Button>
          {job && (
            <Button
              size="small"
              onClick={() => {
                job.stop();
                setJob(undefined);
              }}
            >
              Stop
            </Button>
          )}
        </p>
      )}
      {failed && <p role="alert">The pieces could not be laid. Try again.</p>}
      {sizes && sizes.length < 2 && <p className="quiet">The file holds one size: one front and one back at most.</p>}
      {sizes && sizes.length >= 2 && (
        <>
          <SizesTable sizes={sizes} draft={draft} tape={tape} />
          <p className="quiet">
            Finished girths{sizes.every((s) => s.dartsDrawn) ? '' : ', the waist over open darts'}; ✓ is nearest to what
            is wanted: the body’s rises where they were measured, else this draft’s figure.
          </p>
          <AdoptSizes sizes={sizes} draft={draft} tape={tape} reference={reference} />
        </>
      )}
    </section>
  );
}
