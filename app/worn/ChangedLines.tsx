import { differ, FIT_FIGURES, sayDifference, type FitFigures } from '../../core/sew/index.js';

interface ChangedLinesProps {
  readonly before: FitFigures;
  readonly after: FitFigures;
  readonly risesKnown: boolean;
  readonly show: (mm: number) => string;
}

/** What differs between two garments as they hang, in sentences, most telling first. */
export function ChangedLines({ before, after, risesKnown, show }: ChangedLinesProps) {
  const found = differ(before, after, risesKnown);
  return (
    <>
      {found.length === 0 ? (
        <p>Nothing differs by more than the noise of this reckoning.</p>
      ) : (
        <ol className="worn-changed">
          {found.map((difference) => (
            <li key={difference.id} data-changed={difference.id}>
              {sayDifference(difference, FIT_FIGURES[difference.id].unit, show)}
            </li>
          ))}
        </ol>
      )}
      {!risesKnown && (
        <p className="quiet" data-rises="unknown">
          Of rise, seat and balance nothing is said: for that, front rise, back rise and the height of the waist in
          front and behind must have been measured.
        </p>
      )}
    </>
  );
}
