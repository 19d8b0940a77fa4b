import { measurementLabel } from '../../core/measure/index.js';
import type { CrewLine } from './crew-rows.js';

/** How a person's figures stand: complete, doubtful, or how many are still to be taken. */
export function Standing({ line }: { readonly line: CrewLine }) {
  if (line.missing.length > 0) {
    return (
      <span title={`Still to be taken: ${line.missing.map(measurementLabel).join(', ')}`}>
        <span aria-hidden="true">○</span> {line.missing.length} to take
      </span>
    );
  }
  if (line.doubts.length > 0) {
    return (
      <span className="doubtful" title={line.doubts.map((d) => d.sentence).join(' ')}>
        <span aria-hidden="true">!</span> doubtful
      </span>
    );
  }
  return (
    <span>
      <span aria-hidden="true">✓</span> complete
    </span>
  );
}
