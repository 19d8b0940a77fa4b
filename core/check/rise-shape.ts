import type { Block } from '../draft/index.js';
import { layTrace, sayGaps, SHAPE_BAND, smoothTrace, type BodyTrace, type SmoothTrace } from '../trace/index.js';
import type { Unit } from '../units/index.js';
import { verdictOf, type Check } from './check.js';

const smooth = new WeakMap<BodyTrace, SmoothTrace | null>();

function smoothed(trace: BodyTrace): SmoothTrace | undefined {
  let found = smooth.get(trace);
  if (found === undefined) {
    const outcome = smoothTrace(trace);
    found = outcome.ok ? outcome.value : null;
    smooth.set(trace, found);
  }
  return found ?? undefined;
}

/** The joined rises against the body's own curve, where there is a trace of it (docs/trade/truing.md). */
export function checkRiseShape(block: Block, trace: BodyTrace | undefined, unit: Unit): Check[] {
  const body = trace && smoothed(trace);
  if (!body) return [];
  const laid = layTrace(block, body);
  const worst = [laid.front.worst, laid.back.worst].reduce((w, g) => (Math.abs(g.off) > Math.abs(w.off) ? g : w));
  return [
    {
      id: 'riseShape',
      label: 'Rise shape',
      against: 'body',
      kind: 'length',
      value: worst.off,
      low: -SHAPE_BAND,
      high: SHAPE_BAND,
      verdict: verdictOf(worst.off, -SHAPE_BAND, SHAPE_BAND),
      compares: `The joined rises with the trace of the body. ${sayGaps('front', laid.front, unit)} ${sayGaps('back', laid.back, unit)}`,
      restsOnEstimate: false,
      about: {
        edges: [
          ['front', 'rise'],
          ['back', 'rise'],
        ],
      },
    },
  ];
}
