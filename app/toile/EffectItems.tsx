import { useMemo } from 'react';
import type { AlterationWork } from '../../core/alter/index.js';
import { sayEffect, triedWorks } from '../../core/correct/index.js';
import { inputOf } from '../../core/kept/index.js';
import { withFractions } from '../shared/fractions.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { OnCutItems } from './OnCutLines.js';

/** What works on the paper would do to every check of the open draft, and to cut cloth. */
export function EffectItems({ works }: { readonly works: readonly AlterationWork[] }) {
  const unit = useUnit();
  const work = useWork((s) => s.work);
  const draft = useComputed((c) => c.draft);
  const effects = useMemo(
    () => (draft ? triedWorks(inputOf(work, sheetOf(work.draft)), draft, works, unit) : undefined),
    [draft, work, works, unit],
  );
  return (
    <ul className="effects">
      {effects === undefined ? (
        <li>It cannot be done on this piece by so much.</li>
      ) : effects.length === 0 ? (
        <li>No check changes.</li>
      ) : (
        effects.map((e) => <li key={e.id}>{withFractions(sayEffect(e, unit))}</li>)
      )}
      <OnCutItems works={works} />
    </ul>
  );
}
