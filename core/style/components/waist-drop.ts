import { COMPONENT_LABELS } from '../../garment/index.js';
import { pathLength } from '../../geometry/index.js';
import type { Panel } from '../../draft/index.js';
import { component, eachPanel, refuse, sized } from '../component.js';
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
    'The block is cut down parallel to its waist with the darts closed; their stumps stay. What the cut waist measures is told.',
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
  find: ({ blocks: { left } }, { by }, { waist }): readonly Finding[] =>
    by === 0
      ? []
      : [
          {
            component: 'waistDrop',
            code: 'cutWaist',
            figures: { cut: 2 * (pathLength(left.front.closedWaist) + pathLength(left.back.closedWaist)), waist },
            weight: 'told',
          },
        ],
});
