import { Link } from 'react-router';
import { newerSet, versionInHand } from '../../core/kept/index.js';
import { useCurrentSet, useWork } from '../store/work-context.js';
import type { StationId } from './stations.js';

/** What else the head tells: a newer set of this person, and the version of the draft in hand; each the way there. */
export function MoreFacts({ pathOf }: { readonly pathOf: (station: StationId) => string }) {
  const work = useWork((s) => s.work);
  const newer = newerSet(work.person, useCurrentSet());
  const inHand = versionInHand(work);
  const measure = pathOf('measure');
  return (
    <>
      {newer && (
        <Link
          className="fact newer"
          to={`${measure}${measure.includes('?') ? '&' : '?'}newer`}
          title={`A newer set was taken on ${newer.date}: what it would change`}
        >
          newer: {newer.date}
        </Link>
      )}
      {inHand && (
        <Link className="fact" to={pathOf('toile')} title="To the versions of this draft">
          {`version ${inHand.version.number}${inHand.changed ? ', changed' : ''}`}
        </Link>
      )}
    </>
  );
}
