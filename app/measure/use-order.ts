import { neededFirst, ROUND_THE_BODY, type Closeness, type MeasurementId } from '../../core/measure/index.js';
import { fitClassOf } from '../../core/method/index.js';
import { usePreferences } from '../store/preferences.js';
import { sheetOf } from '../store/sheets.js';
import { useWork } from '../store/work-context.js';

/** How close the draft in hand is meant to be, as far as measuring is concerned. */
function useCloseness(): Closeness {
  return useWork(({ work }) => {
    const fit = work.draft.fit.fitClass ?? fitClassOf(sheetOf(work.draft), work.draft.choices).id;
    return fit === 'knit' ? 'knit' : fit === 'close-contoured' || fit === 'close-relaxed' ? 'close' : 'easy';
  });
}

/** The measurements in the order the maker likes: needed first, or as one goes round the body. */
export function useMeasuringOrder(): readonly MeasurementId[] {
  const closeness = useCloseness();
  const order = usePreferences((p) => p.measuringOrder);
  return order === 'round' ? ROUND_THE_BODY : neededFirst(closeness);
}
