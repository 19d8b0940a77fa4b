import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft } from '../../core/chain/index.js';
import { distance, point } from '../../core/geometry/index.js';
import { parametersOf } from '../../core/draft/index.js';
import type { PanelName } from '../../core/method/index.js';
import { sheetById } from '../../core/shipped/index.js';
import { seeded } from '../../bench/random-body.js';
import { arrange, boardBox, toBoard, toPanel } from './arrange.js';
import { handlesOf, type Handle } from './handles.js';
import { readBetween, takePoint } from './measuring.js';
import { anglePlaced } from './seat-angle.js';
import { fitView, fromScreen, toScreen, zoomView } from './view.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draft(set: Record<string, number | 'crease' | 'midway' | 'apexSpan'> = {}): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, set });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const handleOf = (d: Draft, panel: PanelName, id: string): Handle => {
  const found = handlesOf(d.block, panel).find((h) => h.id === id);
  if (!found) throw new Error(`no handle ${id}`);
  return found;
};

describe('handles', () => {
  it('do nothing while they are not moved by half a step', () => {
    const d = draft();
    for (const panel of ['front', 'back'] as const) {
      for (const handle of handlesOf(d.block, panel)) {
        expect(handle.drag(handle.at, { step: 2.5, modified: false })).toEqual({});
      }
    }
  });

  it('go so far for a key that their width changes by one step, on a leg halved by its crease and on one that is not', () => {
    for (const d of [draft(), draft({ 'back.creaseShift': 12, 'front.creaseShift': 12 })]) {
      for (const panel of ['front', 'back'] as const) {
        for (const id of ['knee-inseam', 'hem-inseam', 'dart-0-sideLeg']) {
          const handle = handlesOf(d.block, panel).find((h) => h.id === id);
          const [name] = handle?.sets ?? [];
          if (!handle || !name) continue;
          const step = 5;
          const grown = Object.entries(
            handle.drag(point(handle.at.x + (id === 'dart-0-sideLeg' ? -1 : 1) * step * handle.ofStep, handle.at.y), {
              step,
              modified: false,
            }),
          ).find(([line]) => line === `${panel}.${name}`);
          const was =
            name === 'dartIntake' ? d.block[panel].settled.dartIntake : Number(parametersOf(d.block[panel])?.[name]);
          expect([panel, id, Math.abs(Number(grown?.[1]) - was - step) <= step / 2 + 0.1]).toEqual([panel, id, true]);
        }
      }
    }
  });

  it('come to lie where they were dragged, to half a step of the tape', () => {
    const d = draft();
    const random = seeded(3);
    for (const panel of ['front', 'back'] as const) {
      for (const id of ['crotch', 'seat', 'knee-side', 'knee-inseam', 'hem-side', 'hem-inseam']) {
        for (let i = 0; i < 10; i++) {
          const handle = handleOf(d, panel, id);
          const across = handle.does === 'across';
          const to = point(handle.at.x + (random() - 0.5) * 20, handle.at.y + (across ? 0 : (random() - 0.5) * 12));
          const after = draft(handle.drag(to, { step: 1, modified: false }));
          // The knee and hem are gripped at corners that also follow the crease, so they are held to it.
          const moved = handleOf(after, panel, id).at;
          // The crease settles on the side as drawn at the crotch line, which gives way by a share of what is dragged.
          expect(Math.abs(moved.x - to.x)).toBeLessThan(0.8);
          // Truing may carry an untouched crotch point down or up with the leg; a touched one stays where it was put.
          expect(Math.abs(moved.y - to.y)).toBeLessThan(1.1);
        }
      }
    }
  });

  it('lay knee and hem off from a straight side where the method does', () => {
    const sheet = sheetById('knit-leg');
    if (!sheet) throw new Error('No knit leg');
    const outcome = computeDraft({ ...EMPTY_INPUT, sheet, fit: { stretch: 0.5 }, measured });
    if (!outcome.ok) throw new Error('must draft');
    const { back } = outcome.value.block;
    const ids = handlesOf(outcome.value.block, 'back').map((h) => h.id);
    expect(ids).not.toContain('knee-side');
    const knee = handlesOf(outcome.value.block, 'back').find((h) => h.id === 'knee-inseam');
    expect(knee?.at.x).toBeCloseTo(parametersOf(back)?.kneeWidth ?? NaN, 6);
    expect(knee?.drag(point(200, knee.at.y), { step: 1, modified: true })).toEqual({ 'back.kneeWidth': 200 });
  });

  it('turn the seat line about its tilt point with its length kept', () => {
    const d = draft();
    const handle = handleOf(d, 'back', 'seat');
    const { tiltPoint, centreWaist } = d.block.back.points;
    const after = draft(handle.drag(point(handle.at.x - 20, handle.at.y + 3), { step: 2.5, modified: true })).block
      .back;
    expect(distance(after.points.tiltPoint, after.points.centreWaist)).toBeCloseTo(distance(tiltPoint, centreWaist), 6);
    const degrees = (after.seatAngle * 180) / Math.PI;
    expect((degrees * 2) % 1).toBeCloseTo(0, 6);
  });

  it('set a typed angle exactly, in front and behind', () => {
    for (const panel of ['front', 'back'] as const) {
      for (const degrees of panel === 'front' ? [0, 3.5, 9] : [0, 3.5, 12, 20]) {
        const after = draft(anglePlaced(draft().block[panel], degrees)).block[panel];
        expect((after.seatAngle * 180) / Math.PI).toBeCloseTo(degrees, 6);
      }
    }
  });

  it('move a dart by its apex and widen it by its legs, keeping the number that the plan took', () => {
    const outcome = computeDraft({ ...EMPTY_INPUT, measured: { ...measured, waist: 640 } });
    if (!outcome.ok) throw new Error('must draft');
    const leg = handleOf(outcome.value, 'back', 'dart-0-sideLeg');
    const values = leg.drag(point(leg.at.x - 3, leg.at.y), { step: 1, modified: false });
    expect(values['back.dartCount']).toBe(2);
    const d = draft();
    const apex = handleOf(d, 'back', 'dart-0-apex');
    const after = draft(apex.drag(point(apex.at.x - 20, apex.at.y + 15), { step: 1, modified: false })).block.back;
    expect(distance(after.darts[0]?.apex ?? apex.at, point(apex.at.x - 20, apex.at.y + 15))).toBeLessThan(3);
  });
});

describe('the board', () => {
  const { block } = draft();

  it('lays pieces side to side, crease on crease, and apart', () => {
    const sides = arrange(block, 'sides');
    const frontHip = toBoard(block.front.points.sideHip, sides.front);
    const backHip = toBoard(block.back.points.sideHip, sides.back);
    expect(frontHip.x).toBeLessThan(backHip.x);
    expect(toBoard(block.front.points.crotchPoint, sides.front).x).toBeLessThan(frontHip.x);
    const creases = arrange(block, 'creases');
    expect(toBoard(point(block.front.crease, 0), creases.front).x).toBeCloseTo(
      toBoard(point(block.back.crease, 0), creases.back).x,
      9,
    );
    const apart = boardBox(block, arrange(block, 'apart'));
    const together = boardBox(block, sides);
    expect(apart.maxX - apart.minX).toBeGreaterThan(together.maxX - together.minX + 150);
    for (const place of [sides.front, sides.back, creases.back]) {
      const there = toPanel(toBoard(point(12, 34), place), place);
      expect([there.x, there.y].map((x) => Number(x.toFixed(9)))).toEqual([12, 34]);
    }
  });

  it('shows all of both pieces, and zooms about the place pointed at', () => {
    const size = { width: 860, height: 690 };
    const box = boardBox(block, arrange(block, 'sides'));
    const view = fitView(box, size);
    for (const corner of [point(box.minX, box.minY), point(box.maxX, box.maxY)]) {
      const at = toScreen(corner, view);
      expect(at.x).toBeGreaterThan(0);
      expect(at.x).toBeLessThan(size.width);
      expect(at.y).toBeGreaterThan(0);
      expect(at.y).toBeLessThan(size.height);
    }
    const spot = point(300, 200);
    const before = fromScreen(spot, view);
    const after = fromScreen(spot, zoomView(view, 1.7, spot));
    expect(distance(before, after)).toBeLessThan(1e-9);
  });

  it('measures straight and along a seam', () => {
    const sides = arrange(block, 'sides');
    const at = (p: { x: number; y: number }): ReturnType<typeof takePoint> =>
      takePoint(block, sides, toBoard(p, sides.back), 5);
    const a = at(block.back.points.sideHem);
    const b = at(block.back.points.inseamHem);
    const reading = readBetween(a, b);
    expect(reading.straight).toBeCloseTo(parametersOf(block.back)?.hemWidth ?? NaN, 3);
    expect(takePoint(block, sides, point(0, 500), 5).on).toBeUndefined();
    const knee = at({ x: block.back.points.sideKnee.x, y: block.back.points.sideKnee.y + 40 });
    const low = at({ x: block.back.points.sideHem.x, y: block.back.points.sideHem.y - 40 });
    expect(readBetween(knee, low).alongSeam).toBeCloseTo(readBetween(knee, low).straight, 1);
  });

  it('that set a leg width move both pieces by as much, or one alone with the modifier', () => {
    const d = draft();
    const width = (of: Draft, panel: 'front' | 'back', name: 'kneeWidth' | 'hemWidth'): number =>
      parametersOf(of.block[panel])?.[name] ?? NaN;
    for (const panel of ['front', 'back'] as const) {
      for (const [id, name] of [
        ['knee-inseam', 'kneeWidth'],
        ['hem-side', 'hemWidth'],
      ] as const) {
        const handle = handleOf(d, panel, id);
        const to = point(handle.at.x + 9, handle.at.y);
        const both = draft(handle.drag(to, { step: 1, modified: false }));
        const difference = (of: Draft): number => width(of, 'back', name) - width(of, 'front', name);
        expect(Math.abs(width(both, panel, name) - width(d, panel, name))).toBeGreaterThan(15);
        expect(difference(both)).toBeCloseTo(difference(d), 6);
        const other = panel === 'front' ? 'back' : 'front';
        const alone = draft(handle.drag(to, { step: 1, modified: true }));
        expect(width(alone, panel, name)).toBeCloseTo(width(both, panel, name), 6);
        expect(width(alone, other, name)).toBeCloseTo(width(d, other, name), 6);
        expect(handle.along).toEqual([`${other}.${name}`]);
      }
    }
  });
});
