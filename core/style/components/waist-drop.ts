import { COMPONENT_LABELS } from '../../garment/index.js';
import { pathLength } from '../../geometry/index.js';
import type { Panel } from '../../draft/index.js';
import { component, eachPanel, refuse, sized, type StyleContext } from '../component.js';
import type { Finding } from '../finding.js';
import { waistCutDown } from '../closed-panel.js';

/** The most that a panel's waist can be cut down by: down to a little above its hip, in mm. */
export const mostDrop = ({ edges, joints }: Panel): number => pathLength(edges.side.slice(0, joints.sideHip)) - 15;

/** Where the waist sits: the block cut down parallel, its darts closed first (docs/trade/style.md). */
export const waistDrop = component({
  id: 'waistDrop',
  label: COMPONENT_LABELS.waistDrop,
  group: 'top',
  about:
    'The block is cut down parallel to its waist with the darts closed; their stumps stay. The cut waist is held against the body there.',
  fields: {
    by: { as: 'length', label: 'Below the body’s waist', least: 0, most: 200, start: (c) => sized(c, 3, 1) },
  },
  makes: [],
  takesTop: ({ by }) => by > 0,
  shape: (block, { by }) =>
    by === 0
      ? block
      : eachPanel(
          block,
          (panel) =>
            (by <= mostDrop(panel) ? waistCutDown(panel, by) : undefined) ??
            refuse('by', 'dropBelowHip', {
              hip: Math.max(0, by - mostDrop(panel)),
              most: Math.max(0, Math.min(mostDrop(block.front), mostDrop(block.back))),
            }),
        ),
  find({ blocks: { left } }, { by }, context): readonly Finding[] {
    if (by === 0) return [];
    const cut = 2 * (pathLength(left.front.closedWaist) + pathLength(left.back.closedWaist));
    const below = by + context.bandCounted;
    const body = girthBelow(context, below);
    const tight = body / (1 + context.stretch) - cut;
    const figures = { cut, body, below, ease: cut - body, tight };
    if (tight < CLOSES) return [{ component: 'waistDrop', code: 'cutWaist', figures, weight: 'told' }];
    const weight = tight < NEARLY ? 'caution' : 'out';
    return [{ component: 'waistDrop', code: 'cutWaistTight', figures, weight }];
  },
});

/** A cut waist may be less than the body there by so much, and by so much before it does not close, in mm. */
const CLOSES = 2;
const NEARLY = 10;

/** The body's girth so far below its waist, straight between the girths known above and below, in mm. */
export function girthBelow({ girths }: Pick<StyleContext, 'girths'>, below: number): number {
  const next = girths.findIndex((g) => g.below >= below);
  const [to, from] = [girths[next === -1 ? girths.length - 1 : next], girths[Math.max(0, next - 1)]];
  if (!to || !from || next <= 0) return to?.girth ?? 0;
  return from.girth + ((to.girth - from.girth) * (below - from.below)) / (to.below - from.below);
}
