import { writeFileSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { command } from './command.js';

const folder = mkdtempSync(join(tmpdir(), 'style-'));
const BODY = { unit: 'in', waist: '30 1/2', hip: 40, crotchDepth: '10 3/4', inseam: 31 };

async function run(order: object, format = 'json'): Promise<{ status: number; out: string; error: string }> {
  const file = join(folder, `${Math.random().toString(36).slice(2)}.json`);
  writeFileSync(file, JSON.stringify({ measurements: BODY, ...order }));
  const { status, out, error } = await command(['draft', file, '--format', format]);
  return { status, out: String(out), error };
}

type Pair = [number, number];
interface Part {
  id: string;
  like?: string;
  cloth: string;
  count: number;
  mirrored: boolean;
  net: Pair[];
  cut: Pair[];
  edges: { id: string; role: string; length: number; allowance: number }[];
  notches: { edge: string; at: Pair; toward: Pair; count: number }[];
}
interface Answer {
  parts: Part[];
  sewn: { id: string; first: { part: string; edge: string; length: number }; difference: number }[];
  proof: Record<string, { net: number; sewn: number }>;
  findings: string[];
}
const answer = async (order: object): Promise<Answer> => {
  const { status, out, error } = await run(order);
  expect(error).toBe('');
  expect(status).toBe(0);
  return JSON.parse(out) as Answer;
};
const partOf = ({ parts }: Answer, id: string): Part => {
  const found = parts.find((p) => p.id === id);
  if (!found) throw new Error(`No part ${id}`);
  return found;
};

/** How far a point lies from a run of points, in mm. */
function away([x, y]: Pair, ring: readonly Pair[]): number {
  return Math.min(
    ...ring.map(([ax, ay], i) => {
      const [bx, by] = ring[(i + 1) % ring.length] ?? [ax, ay];
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );
}
const inside = ([x, y]: Pair, ring: readonly Pair[]): boolean =>
  ring.reduce((is, [ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length] ?? [ax, ay];
    return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !is : is;
  }, false);

describe('an order with a style', () => {
  it('answers with every part, what is sewn to what, what is cut and the proof', async () => {
    const made = await answer({
      style: { flare: { by: '2 1/2' }, shapedBand: true, fly: {}, slantPocket: {} },
      allowances: { profile: 'all-on-the-back' },
    });
    expect(made.parts.map((p) => p.id)).toEqual([
      'front',
      'back',
      'pocketFacing',
      'pocketBag',
      'pocketBagTop',
      'flyFacing',
      'flyShield',
      'bandFront.left',
      'bandFront.right',
      'bandBack',
      'bandFrontInterfacing.left',
      'bandFrontInterfacing.right',
      'bandBackInterfacing',
    ]);
    expect(partOf(made, 'front').edges.map((e) => e.id)).toEqual([
      'waist',
      'pocketMouth',
      'side',
      'hem',
      'inseam',
      'rise',
      'flyOpening',
    ]);
    expect(partOf(made, 'front').edges.find((e) => e.id === 'side')?.allowance).toBe(0);
    expect(partOf(made, 'back').edges.find((e) => e.id === 'side')?.allowance).toBeCloseTo(25.4, 9);
    for (const { id, difference } of made.sewn) expect([id, Math.abs(difference) < 1]).toEqual([id, true]);
    for (const [girth, { net, sewn }] of Object.entries(made.proof)) {
      expect([girth, Math.abs(net - sewn) < 1]).toEqual([girth, true]);
    }
  });

  it('has its notches on the cut line, pointing into the piece', async () => {
    const made = await answer({ style: { slantPocket: {}, fly: { kind: 'grownOn' }, band: {} } });
    for (const { id, cut, notches } of made.parts) {
      for (const { edge, at, toward } of notches) {
        expect([id, edge, away(at, cut) < 0.1]).toEqual([id, edge, true]);
        expect(Math.hypot(...toward)).toBeCloseTo(1, 9);
        const step: Pair = [at[0] + toward[0] * 2, at[1] + toward[1] * 2];
        expect([id, edge, inside(step, cut)]).toEqual([id, edge, true]);
      }
    }
    expect(partOf(made, 'front.left').notches.length).toBeGreaterThan(2);
  }, 20_000);

  it('gives single parts right side up: left and right are each other’s mirror image but for what differs', async () => {
    const made = await answer({ style: { fly: { kind: 'grownOn' } } });
    const [left, right] = [partOf(made, 'front.left'), partOf(made, 'front.right')];
    const widest = (p: Part): number => Math.max(...p.net.map(([x]) => x));
    const least = (p: Part): number => Math.min(...p.net.map(([x]) => x));
    expect(widest(right)).toBeCloseTo(-least(left), 1);
    expect([left.count, left.mirrored]).toEqual([1, false]);
  });

  it('lays allowances by seam, part, edge and stretch, each before the one above', async () => {
    const made = await answer({
      allowances: {
        profile: 'even',
        seams: { inseam: '3/4' },
        parts: { front: '1/2' },
        edges: { 'back.side': '2 in' },
        stretches: [{ edge: 'back.rise', from: 0.5, to: 1, start: '1/2', end: 1 }],
      },
    });
    const width = (part: string, edge: string): number =>
      partOf(made, part).edges.find((e) => e.id === edge)?.allowance ?? NaN;
    expect(width('back', 'inseam')).toBeCloseTo(0.75 * 25.4, 6);
    expect(width('front', 'inseam')).toBeCloseTo(12.7, 6);
    expect(width('back', 'side')).toBeCloseTo(50.8, 6);
    expect(width('back', 'rise')).toBeCloseTo(25.4, 6);
  });

  it('cuts outward corners as asked, and one of them otherwise', async () => {
    const style = { slantPocket: {} };
    const cutOf = async (allowances: object): Promise<string> =>
      JSON.stringify(partOf(await answer({ style, allowances }), 'pocketFacing').cut);
    const [mitred, stepped] = [await cutOf({}), await cutOf({ corners: 'stepped' })];
    expect(stepped).not.toBe(mitred);
    expect(await cutOf({ corners: 'mitred' })).toBe(mitred);
    const edges = partOf(await answer({ style }), 'pocketFacing').edges.map(({ id }) => `pocketFacing.${id}`);
    const each = Object.fromEntries(edges.map((edge) => [edge, 'mitred']));
    expect(await cutOf({ corners: 'stepped', cornersAt: each })).toBe(mitred);
  });

  it('prints the whole garment', async () => {
    const { out } = await run({ style: { band: {}, loops: { count: 5 } } }, 'svg');
    for (const name of ['band.cut', 'loops.start', 'front.cut']) expect(out).toContain(`"${name}"`);
  });

  it.each([
    [{ style: { cape: {} } }, 'There is no component “cape”'],
    [{ style: { flare: { width: 3 } } }, 'There is no choice of “flare” “width”'],
    [{ style: { fly: { kind: 'hidden' } } }, 'Choose one of: separate, grownOn, mock.'],
    [{ style: { flare: { by: 'wide' } } }, 'style.flare.by'],
    [{ style: { slantPocket: { depth: 60 } } }, 'Give between'],
    [{ style: { waistDrop: { by: 7.8 } } }, 'at or below the hip line'],
    [{ style: { fly: { length: 15 } } }, 'longer than the front rise'],
    [{ style: { shapedBand: { darts: 'open' } } }, 'Close the darts'],
    [{ allowances: { profile: 'lavish' } }, 'There is no profile “lavish”'],
    [{ allowances: { edges: { 'back.collar': 1 } } }, 'has no edge “collar”'],
    [{ allowances: { edges: { side: 1 } } }, 'Write the part and the edge'],
    [{ allowances: { cornersAt: { 'back.collar': 'squared' } } }, 'has no edge “collar”'],
    [{ allowances: { edges: { 'back.side': 20 } } }, 'out of its range'],
    [{ allowances: { parts: { sleeve: 1 } } }, 'There is no part “sleeve”'],
    [{ allowances: { stretches: [{ edge: 'back.side', from: 0.6, to: 0.4, start: 1 }] } }, 'the smaller first'],
  ])('says in a sentence what of %j it cannot take, and the way out', async (order, sentence) => {
    const { status, error } = await run(order);
    expect(status).toBe(1);
    expect(error).toContain(sentence);
    expect(error).not.toMatch(/undefined|NaN|Error:/);
  });
});

describe('the list of styles', () => {
  it('has every component with its choices, ranges, defaults and the parts it makes, in mm', async () => {
    const { out } = await command(['styles', '--format', 'json', '--unit', 'in']);
    const { components, profiles } = JSON.parse(String(out)) as {
      components: {
        id: string;
        choices: { name: string; default: unknown }[];
        parts: { id: string; edges: string[] }[];
      }[];
      profiles: { id: string }[];
    };
    expect(profiles.map((p) => p.id)).toEqual([
      'house',
      'even',
      'let-out',
      'all-on-the-back',
      'hem-only',
      'knit',
      'quarter',
    ]);
    const fly = components.find((c) => c.id === 'fly');
    expect(fly?.choices.find((c) => c.name === 'shield')?.default).toBeCloseTo(50.8, 9);
    expect(fly?.parts.map((p) => p.id)).toContain('flyShield');
    expect(components.length).toBeGreaterThan(25);
    expect(String((await command(['styles'])).out)).toContain('flare  Flare:');
  });

  it('names every part that a component makes, with its edges', async () => {
    const { out } = await command(['styles', '--format', 'json']);
    const { components } = JSON.parse(String(out)) as {
      components: { id: string; parts: { id: string; edges: string[] }[] }[];
    };
    for (const id of [
      'band',
      'shapedBand',
      'slantPocket',
      'yoke',
      'lining',
      'waistFacing',
      'coinPocket',
      'draping',
      'tabs',
    ]) {
      const made = await answer({ style: { [id]: true } });
      const known = components.find((c) => c.id === id)?.parts ?? [];
      for (const part of made.parts.filter((p) => p.id !== 'front' && p.id !== 'back')) {
        const listed = known.find((k) => k.id === (part.like ?? part.id));
        expect([id, part.id, listed ? [...listed.edges].sort() : []]).toEqual([
          id,
          part.id,
          part.edges.map((e) => e.id).sort(),
        ]);
      }
    }
  }, 30_000);
});
