import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../../../core/chain/index.js';
import { outlineOf } from '../../../core/draft/index.js';
import { distance, pathLength, point } from '../../../core/geometry/index.js';
import { DEMO_WORKBOOK } from '../../../core/demo/index.js';
import { placed, startReference, type Reference } from '../../../core/reference/index.js';
import { arrange, toBoard } from '../../board/arrange.js';
import { changeReference, layReference, removeReference } from '../../store/reference-work.js';
import { openWork } from '../../store/open-work.js';
import { draggedReference, measured, onOutlineAt, outlineHeldAt, outlinesOf, pivotOf } from './reference-hands.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('refused');
const { block } = outcome.value;
const laid = startReference(
  {
    name: 'same.svg',
    mmPerUnit: 1,
    shapes: (['front', 'back'] as const).map((p) => ({ layer: p, closed: true, path: outlineOf(block[p]) })),
    leftOut: [],
  },
  block,
  '2026-05-04',
);
if (!laid.ok) throw new Error('refused');
const reference: Reference = laid.value;
const arranged = arrange(block, 'sides');
const outlines = outlinesOf(reference);
const knee = (panel: 'front' | 'back') => toBoard(block[panel].points.sideKnee, arranged[panel]);

describe('a hand on the outline', () => {
  it('finds the outline under it, on it or in it, and nothing beside', () => {
    expect(onOutlineAt(outlines, arranged, knee('front'), 5)?.panel).toBe('front');
    expect(onOutlineAt(outlines, arranged, knee('back'), 5)?.place.distance).toBeLessThan(0.3);
    const inside = toBoard(point(block.back.crease, block.levels.kneeLevel), arranged.back);
    expect(outlineHeldAt(outlines, arranged, inside, 5)).toBe('back');
    expect(onOutlineAt(outlines, arranged, inside, 5)).toBeUndefined();
    expect(outlineHeldAt(outlines, arranged, point(0, -400), 5)).toBeUndefined();
  });

  it('measures on one piece along it, between both straight only', () => {
    const at = (panel: 'front' | 'back', corner: 'sideKnee' | 'sideHem') => {
      const on = onOutlineAt(outlines, arranged, toBoard(block[panel].points[corner], arranged[panel]), 5);
      if (!on) throw new Error('not on it');
      return on;
    };
    const reading = measured(outlines, arranged, at('front', 'sideKnee'), at('front', 'sideHem'));
    const side = block.front.edges.side.slice(block.front.joints.sideKnee);
    expect(reading.along).toBeCloseTo(pathLength(side), 0);
    expect(reading.straight).toBeLessThanOrEqual((reading.along ?? 0) + 0.2);
    const across = measured(outlines, arranged, at('front', 'sideKnee'), at('back', 'sideKnee'));
    expect(across.along).toBeUndefined();
    expect(across.straight).toBeCloseTo(distance(knee('front'), knee('back')), 0);
  });

  it('moves it with the hand, also where the piece lies turned over, and turns it about its crotch point', () => {
    for (const panel of ['front', 'back'] as const) {
      const from = knee(panel);
      const to = point(from.x + 30, from.y + 8);
      const moved = outlinesOf(draggedReference(reference, 'move', panel, block, arranged, from, to));
      expect(onOutlineAt(moved, arranged, to, 1)?.panel).toBe(panel);
      const turned = draggedReference(reference, 'turn', panel, block, arranged, from, to);
      expect(distance(pivotOf(turned, panel, block), pivotOf(reference, panel, block))).toBeLessThan(0.2);
      expect(onOutlineAt(outlinesOf(turned), arranged, from, 3)).toBeUndefined();
    }
  });
});

describe('an outline under the open draft', () => {
  it('is laid, changed and taken away, each undone in one step, and changes no figure of the draft', () => {
    const [draft] = DEMO_WORKBOOK.drafts;
    const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
    if (!draft || !person) throw new Error('no demo draft');
    const open = openWork({ person, draft });
    const under = (): Reference | undefined => open.state.getState().work.draft.reference;
    const before = open.computed.getState().draft?.checks;
    layReference(reference)(open);
    changeReference((r) => placed(r, 'front', { turn: 0.2 }))(open);
    expect(under()?.places.front.turn).toBe(0.2);
    expect(open.computed.getState().draft?.checks).toEqual(before);
    removeReference(open);
    expect(under()).toBeUndefined();
    open.undo();
    open.undo();
    expect(under()).toEqual(reference);
    open.undo();
    expect(under()).toBeUndefined();
    const { work } = open.state.getState();
    changeReference((r) => r)(open);
    expect(open.state.getState().work).toEqual(work);
  });
});
