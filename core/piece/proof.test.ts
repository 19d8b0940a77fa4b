import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import type { Block } from '../draft/index.js';
import { crossLine, nearestPlace, pathLength, placeAtLength, point } from '../geometry/index.js';
import { garmentOf, partOf } from '../garment/index.js';
import { SHEETS } from '../shipped/index.js';
import {
  cutLine,
  cutListOf,
  HOUSE_ALLOWANCES,
  piecesOf,
  profileNamed,
  PROFILES,
  proofOf,
  type Allowances,
  type Proof,
} from './index.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const { block } = outcome.value;
const proof = (of: Block, allowances: Allowances): Proof => proofOf({ left: of, right: of }, allowances);
const profile = (id: string, unit: 'cm' | 'in' = 'in'): Allowances => {
  const found = profileNamed(id);
  if (!found) throw new Error(`No profile ${id}`);
  return found.allowances(unit);
};
const off = (p: Proof): number => Math.max(...Object.values(p).map(({ net, sewn }) => Math.abs(net - sewn)));

describe('the proof of the allowances', () => {
  it('gives back every girth where all lies on the back and half of it is sewn, on 60 bodies by ten methods', () => {
    const random = seeded(99);
    for (let i = 0; i < 60; i++) {
      const sheet = SHEETS[i % SHEETS.length];
      if (!sheet) continue;
      const drafted = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, plausibleBody(random)) });
      if (!drafted.ok) continue;
      expect([sheet.id, off(proof(drafted.value.block, profile('all-on-the-back'))) < 1]).toEqual([sheet.id, true]);
    }
  });

  it('is equal for every shipped profile at its own depth', () => {
    for (const { id, allowances } of PROFILES) {
      expect([id, off(proof(block, allowances('cm'))) < 1, off(proof(block, allowances('in'))) < 1]).toEqual([
        id,
        true,
        true,
      ]);
    }
  });

  it('says by how much the pieces come out small when half an inch is sewn off a front that has none', () => {
    // Cut on the stitching line all round and sewn at half an inch: side and centre of four panels lose it.
    const { hip, waist, hem } = proof(block, { ...profile('hem-only'), depth: 12.7 });
    expect(hip.net - hip.sewn).toBeCloseTo(8 * 12.7, 3);
    expect(waist.net - waist.sewn).toBeCloseTo(8 * 12.7, 3);
    expect(hem.net - hem.sewn).toBeCloseTo(4 * 12.7, 3);
  });

  it('lets out by what is left when seams are sewn shallower than they are wide', () => {
    const { hip, thigh } = proof(block, { ...profile('even', 'cm'), depth: 10 });
    expect(hip.sewn - hip.net).toBeCloseTo(8 * 5, 3);
    expect(thigh.sewn - thigh.net).toBeCloseTo(4 * 5, 3);
  });

  it('has hip, thigh and hem as the draft has them', () => {
    const { hip, hem } = proof(block, HOUSE_ALLOWANCES);
    expect(hip.net).toBeGreaterThan(1000);
    expect(hem.net).toBeCloseTo(pathLength(block.front.edges.hem) + pathLength(block.back.edges.hem), 6);
  });
});

describe('an allowance that widens along its edge', () => {
  const garment = garmentOf(block);
  const back = partOf(garment, 'back');
  const given: Allowances = {
    ...HOUSE_ALLOWANCES,
    given: [{ on: 'stretch', part: 'back', edge: 'side', from: 0.5, to: 1, mm: 15, end: 40 }],
  };
  const cut = cutLine(garment, back, given);
  const away = (share: number): number => {
    const { side } = block.back.edges;
    return nearestPlace(cut, placeAtLength(side, share * pathLength(side)).at).distance;
  };

  it('is as wide as given at both its ends and even between, and as the profile elsewhere', () => {
    expect(away(0.3)).toBeCloseTo(15, 1);
    expect(away(0.5)).toBeCloseTo(15, 1);
    expect(away(0.75)).toBeCloseTo(27.5, 0);
    expect(away(0.95)).toBeCloseTo(15 + 25 * 0.9, 0);
  });

  it('lets the centre behind out upward, in the profile that is made for it', () => {
    const line = cutLine(garment, back, profile('let-out', 'cm'));
    const waist = block.back.points.centreWaist;
    const crossed = crossLine(line, point(0, waist.y + 5), point(1, 0)).map((hit) => hit.at.x);
    expect(Math.max(...crossed) - waist.x).toBeGreaterThan(22);
  });
});

describe('the cut list', () => {
  it('counts what is cut of each cloth, with the area of all', () => {
    const [shell, ...others] = cutListOf(piecesOf(garmentOf(block), HOUSE_ALLOWANCES));
    expect(others).toEqual([]);
    expect(shell?.lines.map((l) => [l.name, l.count, l.how])).toEqual([
      ['Front', 2, 'mirrored'],
      ['Back', 2, 'mirrored'],
    ]);
    expect(shell?.pieces).toBe(4);
    expect(shell?.area).toBeCloseTo(shell?.lines.reduce((sum, l) => sum + 2 * l.area, 0) ?? NaN, 6);
    // Four panels of about 0.3 m².
    expect((shell?.area ?? 0) / 1e6).toBeGreaterThan(0.9);
    expect((shell?.area ?? 0) / 1e6).toBeLessThan(1.6);
  });
});
