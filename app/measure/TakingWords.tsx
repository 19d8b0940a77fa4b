import type { Taking } from '../../core/measure/index.js';

/** What goes wrong with a measurement, and what it is good for. */
export function TakingWords({ taking }: { taking: Taking }) {
  return (
    <>
      <p>
        <strong>Usual mistake:</strong> {taking.mistake}
      </p>
      <p>
        <strong>What it sharpens:</strong> {taking.sharpens}
      </p>
    </>
  );
}
