import type { Taking } from '../../core/measure/index.js';

/** What goes wrong with a measurement, what it is good for, and what is owed to the person. */
export function TakingWords({ taking }: { taking: Taking }) {
  return (
    <>
      {taking.care && (
        <p>
          <strong>Care:</strong> {taking.care}
        </p>
      )}
      <p>
        <strong>Usual mistake:</strong> {taking.mistake}
      </p>
      <p>
        <strong>What it sharpens:</strong> {taking.sharpens}
      </p>
    </>
  );
}
