import { VersionLines } from './VersionLines.js';
import './toile.css';

/** Toile: the versions of a draft, from the first toile to what was sewn. */
export function ToileBench() {
  return (
    <div className="bench-part">
      <h2>Versions</h2>
      <VersionLines />
    </div>
  );
}
