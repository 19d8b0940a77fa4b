import { useMemo } from 'react';
import { partOutline, type Part } from '../../core/garment/index.js';
import { pathBox } from '../../core/geometry/index.js';
import type { BandDone } from '../../core/toile/index.js';
import { pathData } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';

/** Room about the drawn strips, in mm. */
const MARGIN = 12;

/** A strip before, dashed, and after; lying along the page. */
function Strips({ before, after }: { readonly before: Part; readonly after: Part }) {
  const drawn = useMemo(() => {
    const [was, is] = [partOutline(before), partOutline(after)];
    const box = pathBox([...was, ...is]);
    // What stands is laid down: its length along the page, its top up.
    const lying = box.maxY - box.minY > box.maxX - box.minX;
    const [left, top, right, bottom] = lying
      ? [box.minY, -box.maxX, box.maxY, -box.minX]
      : [box.minX, box.minY, box.maxX, box.maxY];
    return {
      was: pathData(was),
      is: pathData(is),
      turned: lying ? 'rotate(-90)' : undefined,
      view: `${left - MARGIN} ${top - MARGIN} ${right - left + 2 * MARGIN} ${bottom - top + 2 * MARGIN}`,
    };
  }, [before, after]);
  return (
    <svg className="band-strips" viewBox={drawn.view} role="img" aria-label="The band before, dashed, and after">
      <g transform={drawn.turned}>
        <path className="band-strip" d={`${drawn.is}Z`} />
        <path className="band-was" d={`${drawn.was}Z`} />
      </g>
    </svg>
  );
}

/** What taking a band in at its top makes of it, and how it is done on paper. */
export function BandEffect({ done }: { readonly done: BandDone }) {
  if ('refused' in done) return null;
  return (
    <>
      <ul className="effects">
        {done.said.map((line) => (
          <li key={line}>{withFractions(line)}</li>
        ))}
      </ul>
      <Strips before={done.before} after={done.after} />
    </>
  );
}
