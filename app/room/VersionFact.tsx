import { Link } from 'react-router';
import { versionInHand } from '../../core/kept/index.js';
import { useWork } from '../store/work-context.js';

/** Which version of the draft is in hand, as the way to all of them; nothing where none is. */
export function VersionFact({ to }: { readonly to: string }) {
  const inHand = versionInHand(useWork(({ work }) => work));
  if (!inHand) return null;
  return (
    <Link className="fact" to={to} title="To the versions of this draft">
      {`version ${inHand.version.number}${inHand.changed ? ', changed' : ''}`}
    </Link>
  );
}
