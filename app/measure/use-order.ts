import { neededFirst, ROUND_THE_BODY, type Closeness, type MeasurementId } from '../../core/measure/index.js';
import { fitClassOf, sheetById } from '../../core/method/index.js';
import { usePreferences } from '../store/preferences.js';
import { useWork } from '../store/work-context.js';

/** How close the draft in hand is meant to be, as far as measuring is concerned. */
function useCloseness(): Closeness {
  return useWork(({ work }) => {
    const sheet = sheetById(work.draft.method);
    const fit = work.draft.fit.fitClass ?? (sheet ? fitClassOf(sheet, work.draft.choices).id : 'loose');
    return fit === 'knit' ? 'knit' : fit.startsWith('close') ? 'close' : 'easy';
  });
}

/** The measurements in the order the maker likes: needed first, or as one goes round the body. */
export function useMeasuringOrder(): readonly MeasurementId[] {
  const closeness = useCloseness();
  const order = usePreferences((p) => p.measuringOrder);
  return order === 'round' ? ROUND_THE_BODY : neededFirst(closeness);
}
