import { useEffect, useMemo } from 'react';
import type { AlterationWork } from '../../core/alter/index.js';
import { sayEffect, triedWorks } from '../../core/correct/index.js';
import { inputOf } from '../../core/kept/index.js';
import { withFractions } from '../shared/fractions.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { OnCutItems } from './OnCutLines.js';
import { useTried } from './tried-store.js';

/** What works on the paper would do to every check of the open draft, and to cut cloth; drawn on the pieces meanwhile. */
export function EffectItems({ works }: { readonly works: readonly AlterationWork[] }) {
  const unit = useUnit();
  const work = useWork((s) => s.work);
  const draft = useComputed((c) => c.draft);
  const tried = useMemo(
    () => (draft ? triedWorks(inputOf(work, sheetOf(work.draft)), draft, works, unit) : undefined),
    [draft, work, works, unit],
  );
  useEffect(() => {
    useTried.setState({ tried });
    return () => {
      // Another that was opened since is left.
      if (useTried.getState().tried === tried) useTried.setState({ tried: undefined });
    };
  }, [tried]);
  return (
    <ul className="effects">
      {tried === undefined ? (
        <li>It cannot be done on this piece by so much.</li>
      ) : (
        <>
          <li>On the pieces: how it is done on paper, and the line as it would be.</li>
          {tried.effects.length === 0 ? (
            <li>No check changes.</li>
          ) : (
            tried.effects.map((e) => <li key={e.id}>{withFractions(sayEffect(e, unit))}</li>)
          )}
        </>
      )}
      <OnCutItems works={works} />
    </ul>
  );
}
