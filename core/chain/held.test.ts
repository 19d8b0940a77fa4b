import { describe, expect, it } from 'vitest';
import { inputFor, isMeantFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { edgeLengths, parametersOf, type Panel } from '../draft/index.js';
import { cubic, cubicLength, pathLength, point, pointAt } from '../geometry/index.js';
import { SHEETS } from '../shipped/index.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from './index.js';

const middle = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draft(more: Partial<DraftInput>): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured: middle, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}
const sheetOf = (id: string): (typeof SHEETS)[number] => {
  const sheet = SHEETS.find((s) => s.id === id);
  if (!sheet) throw new Error(`No sheet ${id}`);
  return sheet;
};

describe('a figure set by hand', () => {
  it('rests on no estimate any more, nor does what follows from it alone', () => {
    const sheet = sheetOf('close');
    const line = (d: Draft, name: string) => d.worked.ledger.get(name);
    const own = draft({ sheet });
    expect(line(own, 'front.extension')).toMatchObject({ source: 'sheet', restsOnEstimate: true });
    expect(line(own, 'back.extension')?.restsOnEstimate).toBe(true);
    const hand = draft({ sheet, set: { 'front.extension': 52, 'back.extension': 110 } });
    for (const name of ['front.extension', 'back.extension'])
      expect(line(hand, name)).toMatchObject({ source: 'hand', restsOnEstimate: false });
    // A slim knee rests on the estimated knee, and each panel's width on it, until a girth is given.
    const slim = { choices: { leg: 'slim' } };
    for (const name of ['kneeGirth', 'front.kneeWidth', 'back.kneeWidth']) {
      expect(line(draft(slim), name)?.restsOnEstimate).toBe(true);
      expect(line(draft({ ...slim, settings: { kneeGirth: 460 } }), name)?.restsOnEstimate).toBe(false);
    }
  });

  it('is drawn as it was set, though a measured rise would be aimed at by it', () => {
    const sheet = sheetOf('finished-pair');
    const measured = { ...middle, thigh: 600, frontRise: 262, backRise: 372 };
    const solved = draft({ sheet, measured });
    const rise = (d: Draft): number => edgeLengths(d.block.front).rise;
    expect(Math.abs(rise(solved) - 262)).toBeLessThan(0.5);
    const lift = solved.worked.front.centreLift + 15;
    const held = draft({ sheet, measured, set: { 'front.centreLift': lift } });
    expect(held.worked.front.centreLift).toBe(lift);
    expect(rise(held) - rise(solved)).toBeGreaterThan(10);
    // The back's rise is still aimed at.
    expect(Math.abs(edgeLengths(held.block.back).rise - 372)).toBeLessThan(0.5);
  });
});

describe('seams that were trued', () => {
  it('walk to within a tenth of a millimetre, whatever the method', () => {
    const random = seeded(29);
    for (const sheet of SHEETS) {
      for (let i = 0; i < 12;) {
        const body = plausibleBody(random);
        if (!isMeantFor(sheet, body)) continue;
        i += 1;
        const { front, back } = draft(inputFor(sheet, body, random)).block;
        const aboveKnee = (p: Panel): number => pathLength(p.edges.side.slice(0, p.joints.sideKnee));
        const most = Math.max(
          ...(['sideHip', 'sideWaist', 'crotchPoint'] as const).map((k) => Math.abs(back.settled[k])),
        );
        // What reached the limit of how far a point may move is told by the walk's own check.
        if (most > 11.9) continue;
        expect(Math.abs(aboveKnee(front) - aboveKnee(back))).toBeLessThan(0.1);
        // A drop that the sheet states is drawn, and the inseam stretched by what it leaves.
        if (sheet.straightSide === true || parametersOf(back)?.crotchDrop !== 0) continue;
        const inseams = edgeLengths(front).inseamAboveKnee - edgeLengths(back).inseamAboveKnee;
        expect(Math.abs(inseams - 3)).toBeLessThan(0.1);
      }
    }
  });
});

describe('a curve that comes to a stop', () => {
  it('is as long as the way there and back, wherever it turns', () => {
    // Runs along one line: its length is what lies between its ends and the places where it turns round.
    for (const [b, c, d] of [
      [1, -52, -100],
      [-1, 53, 96],
      [1, 59, 58],
      [6, 75, 74],
      [-92, 91, 46],
      [99, -83, 34],
      [-46, 95, 51],
      [96, 53, -41],
    ] as const) {
      const curve = cubic(point(0, 0), point(b, 0), point(c, 0), point(d, 0));
      const [u, v, w] = [b, c - b, d - c];
      const [a2, a1, a0] = [u - 2 * v + w, 2 * (v - u), u];
      const root = Math.sqrt(Math.max(0, a1 * a1 - 4 * a2 * a0));
      const turns = [(-a1 - root) / (2 * a2), (-a1 + root) / (2 * a2)].filter((t) => t > 0 && t < 1).sort();
      const places = [0, ...turns, 1].map((t) => pointAt(curve, t).x);
      const way = places.slice(1).reduce((sum, x, i) => sum + Math.abs(x - (places[i] ?? NaN)), 0);
      expect(Math.abs(cubicLength(curve) - way)).toBeLessThan(0.001);
    }
  });
});
