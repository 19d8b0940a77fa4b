import { Link } from 'react-router';
import { pathLength } from '../../core/geometry/index.js';
import { easeAllows, seamDifference, stretchPath, type Garment, type Seam } from '../../core/garment/index.js';
import { SEAM_TOLERANCE } from '../../core/style/index.js';
import { formatFigure, formatLength, showsNothing } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { signedFigure } from '../shared/signed.js';
import { useTape } from '../store/work-context.js';
import { useFinish } from './finish-store.js';
import type { Finished } from './use-garment.js';

interface SeamRow {
  readonly seam: Seam;
  readonly first: number;
  readonly second: number;
  readonly ease: number;
  readonly differ: number;
}

const rowOf = (garment: Garment, seam: Seam): SeamRow => ({
  seam,
  first: pathLength(stretchPath(garment, seam.first)),
  second: pathLength(stretchPath(garment, seam.second)),
  ease: easeAllows(seam),
  differ: seamDifference(garment, seam),
});

/** Every seam with the lengths of its two sides, its ease and what is left; a press lights it on the board. */
export function SeamTable({ finished }: { finished: Finished }) {
  const tape = useTape();
  const { lit, set } = useFinish();
  const { garment } = finished.styled;
  const rows = garment.seams.map((seam) => rowOf(garment, seam));
  const out = rows.filter((r) => Math.abs(r.differ) > SEAM_TOLERANCE);
  const partName = (id: string): string => garment.parts.find((p) => p.id === id)?.name ?? id;
  return (
    <>
      <p className={out.length > 0 ? 'doubt' : 'quiet'} data-seams-out={out.length}>
        {out.length === 0
          ? `All ${rows.length} seams agree within ${formatLength(SEAM_TOLERANCE, tape)} of their ease.`
          : `${out.length} of ${rows.length} seams differ by more than ${formatLength(SEAM_TOLERANCE, tape)} beyond their ease: ease or shorten one side, or walk it to see where.`}
      </p>
      <table className="figures seam-table">
        <thead>
          <tr>
            <th scope="col">Seam</th>
            <th scope="col">Its sides, {tape.unit}</th>
            <th scope="col">Ease</th>
            <th scope="col">Out by</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ seam, first, second, ease, differ }) => {
            const on = lit.some((l) => l.part === seam.first.part && l.edge === seam.first.edge);
            return (
              <tr key={seam.id} data-seam={seam.id} data-lit={on}>
                <th scope="row">
                  {!seam.second.mirrored && (
                    <Link className="walk-seam" to={`?walk=${seam.id}`} aria-label={`Walk the seam ${seam.label}`}>
                      Walk
                    </Link>
                  )}
                  <button
                    type="button"
                    className="plain-button"
                    aria-pressed={on}
                    onClick={() => {
                      set({
                        inHand: seam.first.part,
                        lit: on ? [] : [seam.first, seam.second].map(({ part, edge }) => ({ part, edge })),
                      });
                    }}
                  >
                    {seam.label}
                    <span className="quiet">
                      {seam.first.part === seam.second.part
                        ? partName(seam.first.part)
                        : `${partName(seam.first.part)}, ${partName(seam.second.part).toLowerCase()}`}
                    </span>
                  </button>
                </th>
                <td>
                  {withFractions(formatFigure(first, tape))}
                  <br />
                  {withFractions(formatFigure(second, tape))}
                </td>
                <td>{showsNothing(ease, tape) ? '' : withFractions(signedFigure(ease, tape))}</td>
                <td className={Math.abs(differ) > SEAM_TOLERANCE ? 'doubt' : ''}>
                  {showsNothing(differ, tape) ? '0' : withFractions(signedFigure(differ, tape))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
