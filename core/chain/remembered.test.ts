import { describe, expect, it, vi } from 'vitest';
import type { AlterationWork } from '../alter/index.js';
import { sideSeam } from '../draft/side-seam.js';
import { point } from '../geometry/index.js';
import { computeDraft, EMPTY_INPUT, type DraftInput } from './index.js';

const body = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const altered = (work: AlterationWork): Partial<DraftInput> => ({
  alterations: [{ id: 'one', on: true, note: '', work }],
});

/** Drafts that differ from one another in one thing each, so that most of their lines are asked for alike. */
const NEIGHBOURS: readonly Partial<DraftInput>[] = [
  {},
  { set: { 'back.extension': 130 } },
  { set: { 'back.depth': 0.4 } },
  { set: { 'back.depth': 0.45 } },
  { set: { 'front.dartCount': 1, 'front.dartIntake': 20 } },
  { set: { 'front.sideInset': 9 } },
  { set: { 'front.sideInset': 13 } },
  { choices: { leg: 'slim' } },
  { rules: { ...EMPTY_INPUT.rules, trueSeams: false } },
  altered({ kind: 'crotchPoint', panel: 'back', out: 8, down: 2, recentre: true }),
  altered({ kind: 'crotchPoint', panel: 'back', out: 8, down: 2, recentre: false }),
  altered({ kind: 'waist', panel: 'both', centre: -8, side: 0, centreOnly: true }),
  altered({ kind: 'waist', panel: 'both', centre: -8, side: 0, centreOnly: false }),
  altered({ kind: 'scoop', panel: 'back', at: 0.4, by: 3, keepLength: true }),
  altered({ kind: 'scoop', panel: 'back', at: 0.4, by: 3, keepLength: false }),
];

/** A draft by a chain that has drawn nothing before. */
async function drawnAlone(input: Partial<DraftInput>): Promise<unknown> {
  vi.resetModules();
  const fresh = await import('./index.js');
  return fresh.computeDraft({ ...fresh.EMPTY_INPUT, measured: body, ...input });
}

describe('a draft', () => {
  it('is what it would be alone, whatever was drawn before it', async () => {
    const drawn = (input: Partial<DraftInput>): unknown => {
      const outcome = computeDraft({ ...EMPTY_INPUT, measured: body, ...input });
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
      return outcome.value.block;
    };
    for (let round = 0; round < 2; round++) for (const input of NEIGHBOURS) drawn(input);
    for (const input of NEIGHBOURS) {
      const alone = (await drawnAlone(input)) as { readonly value: { readonly block: unknown } };
      expect(drawn(input)).toEqual(alone.value.block);
    }
  }, 60_000);

  it('has its own side for each inset, all else alike', () => {
    const wish = {
      waist: point(20, 0),
      hip: point(0, 200),
      crotchLevel: 272,
      thigh: undefined,
      end: { knee: point(30, 640), hem: point(30, 1060), kneeOnPiece: true },
      plumb: false,
    };
    const [narrow, wide] = [6, 14].map((insetX) => sideSeam({ ...wish, insetX })?.crotch.x ?? NaN);
    expect(wide).toBeGreaterThan((narrow ?? NaN) + 0.5);
  });
});
