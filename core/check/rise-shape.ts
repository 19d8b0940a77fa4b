import type { Block } from '../draft/index.js';
import { layTrace, SHAPE_BAND, smoothTrace, type BodyTrace, type SmoothTrace } from '../trace/index.js';
import { judged, type Check } from './check.js';

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
export function checkRiseShape(block: Block, trace: BodyTrace | undefined): Check[] {
  const body = trace && smoothed(trace);
  if (!body) return [];
  const laid = layTrace(block, body);
  const worst = [laid.front.worst, laid.back.worst].reduce((w, g) => (Math.abs(g.off) > Math.abs(w.off) ? g : w));
  return [
    judged({
      id: 'riseShape',
      against: 'body',
      value: worst.off,
      low: -SHAPE_BAND,
      high: SHAPE_BAND,
      compares: { of: 'riseShape', front: laid.front, back: laid.back },
      about: {
        edges: [
          ['front', 'rise'],
          ['back', 'rise'],
        ],
      },
    }),
  ];
}
