import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { checkLabel } from '../../../core/check/index.js';
import type { Draft } from '../../../core/chain/index.js';
import {
  nearestSize,
  SIZE_FIGURES,
  wantedFigures,
  type OutlineSize,
  type Reference,
} from '../../../core/reference/index.js';
import { formatFigure, type Tape } from '../../../core/units/index.js';
import { withFractions } from '../../shared/fractions.js';
import type { Job } from '../../shared/job.js';
import { useComputed } from '../../store/work-context.js';
import { startSizes } from './outline-job.js';

type SizesJob = Job<readonly OutlineSize[]>;

/** The table of a file's sizes, with what this draft wants and the nearest size of each figure marked. */
function SizesTable({ sizes, draft, tape }: { sizes: readonly OutlineSize[]; draft: Draft; tape: Tape }) {
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
        </>
      )}
    </section>
  );
}
