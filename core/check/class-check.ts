import { parametersOf, type Block } from '../draft/index.js';
import type { FitClass, Worked } from '../method/index.js';
import type { Check, Verdict } from './check.js';
import { beside, classByExtensions, classesByThigh, sameClass, type ExtensionClass } from './fit-class.js';

/** In where the draft is of the class meant, near where it is of the one beside it; a pull-on goes by its thigh. */
function classVerdict(
  by: ExtensionClass,
  byThigh: readonly FitClass[],
  chosen: FitClass,
  pullOn: boolean,
  thighShare: number,
): Verdict {
  // A knit's extensions say nothing of how it fits: its thigh does.
  if (chosen.byShare) {
    return thighShare >= (chosen.thighLeast ?? 0) && thighShare <= chosen.thighEase[1] ? 'in' : 'near';
  }
  if (pullOn) {
    if (byThigh.some((c) => c.id === chosen.id)) return 'in';
    return byThigh.some((c) => beside(c.id, chosen.id)) ? 'near' : 'out';
  }
  if (sameClass(by, chosen.id)) return 'in';
  return beside(by, chosen.id) ? 'near' : 'out';
}

/**
 * The fit that extensions and thigh ease give with the one meant; `thigh` is the garment's, in mm (docs/trade/fit.md).
 * Nothing for an outline that was drawn from no sheet: nobody meant a fit by it.
 */
export function classCheck(worked: Worked, { front, back }: Block, thigh: number): Check[] {
  const [ahead, behind] = [parametersOf(front), parametersOf(back)];
  if (!ahead || !behind) return [];
  const { body, fitClass: chosen, pullOn } = worked;
  const share = thigh / (body.get('thigh')?.mm ?? NaN) - 1;
  const by = classByExtensions({
    frontExtension: ahead.extension,
    backExtension: behind.extension,
    frontHipWidth: ahead.hipWidth,
    backHipWidth: behind.hipWidth,
    hip: body.get('hip')?.mm ?? NaN,
  });
  const byThigh = classesByThigh(share);
  const agree = byThigh.some((c) => sameClass(by, c.id));
  return [
    {
      id: 'fitClass',
      against: 'body',
      kind: 'word',
      value: {
        of: 'fitClass',
        byExtensions: by,
        byThigh: agree ? undefined : (byThigh[0]?.id ?? (share < 0 ? 'tighter' : 'between')),
      },
      low: undefined,
      high: undefined,
      verdict: classVerdict(by, byThigh, chosen, pullOn, share),
      compares: { of: 'fitClass', meant: chosen.id },
      restsOnEstimate: body.get('thigh')?.source === 'estimate',
      about: { edges: [], level: 'crotchLevel' },
    },
  ];
}
