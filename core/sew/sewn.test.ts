import { describe, expect, it } from 'vitest';
import { bodyFrom } from '../body/index.js';
import { bodyOf, drawDraft, EMPTY_INPUT, type Drafted, type DraftInput } from '../chain/index.js';
import { edgeOf, partOf, type Garment } from '../garment/index.js';
import { pathLength } from '../geometry/index.js';
import { SHEETS } from '../shipped/index.js';
import { particlesOf } from './assembly.js';
import { CLOTH_MATTER, drapeOf, feltGrid, fitFigures, sewnOf, STAGES, type ClothMatter } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, thigh: 600, hipDepth: 200 };
const input: DraftInput = { ...EMPTY_INPUT, measured };
function drafted(of: DraftInput): Drafted {
  const outcome = drawDraft(of);
  if (!outcome.ok) throw new Error('not drafted');
  return outcome.value;
}
const draft = drafted(input);
const sideOf = (garment: Garment): number => pathLength(edgeOf(partOf(garment, 'back'), 'side').path);
const hemOf = (garment: Garment): number => pathLength(edgeOf(partOf(garment, 'back'), 'hem').path);

describe('a draft as it is sewn to be hung', () => {
  it('is its block where the style shapes neither leg nor waist, whatever is sewn onto it', () => {
    const plain = sewnOf(draft, [], 'cm');
    expect(plain).toMatchObject({ rightLeg: undefined, elastic: undefined, above: 0 });
    const finished = sewnOf(
      draft,
      [
        { id: 'band', values: {} },
        { id: 'fly', values: {} },
        { id: 'slantPocket', values: {} },
      ],
      'cm',
    );
    expect(finished.garment.parts.map(({ id }) => id)).toEqual(['front', 'back']);
    expect(sideOf(finished.garment)).toBeCloseTo(sideOf(plain.garment), 6);
  });

  it('has its leg as the style has it', () => {
    const [plain, flared] = [sewnOf(draft, [], 'cm'), sewnOf(draft, [{ id: 'flare', values: {} }], 'cm')];
    expect(hemOf(flared.garment)).toBeGreaterThan(hemOf(plain.garment) + 10);
  });

  it('is held so much lower where its waist is cut down, and higher by a casing that is grown on', () => {
    const dropped = sewnOf(draft, [{ id: 'waistDrop', values: { by: 40 } }], 'cm');
    expect(dropped.above).toBeGreaterThan(-45);
    expect(dropped.above).toBeLessThan(-35);
    expect(sideOf(dropped.garment)).toBeLessThan(sideOf(sewnOf(draft, [], 'cm').garment) - 30);
    const cased = sewnOf(draft, [{ id: 'casing', values: { kind: 'grownOn', elastic: 30 } }], 'cm');
    expect(cased.above).toBeGreaterThan(25);
    expect(cased.above).toBeLessThan(40);
    // An elastic is 22.5 mm shorter than the waist of a grown body.
    expect(cased.elastic).toBeCloseTo(780 - 22.5, 1);
  });

  it('is held below the waist by a band that counts in the rise', () => {
    const counted = sewnOf(drafted({ ...input, choices: { bandCounts: 'yes' } }), [], 'cm');
    expect(counted.above).toBeLessThan(-20);
  });

  it('is drawn in to the waist of the body where a pull-on has no casing yet', () => {
    const sheet = SHEETS.find(({ id }) => id === 'thirds');
    if (!sheet) throw new Error('thirds');
    expect(sewnOf(drafted({ ...input, sheet, choices: { waist: 'elastic' } }), [], 'cm').elastic).toBe(780);
  });

  it('hangs where it is held: a waist cut down lies as near to its own line as one that is not', () => {
    const body = bodyFrom(bodyOf(input));
    const grid = feltGrid(body);
    const calico = CLOTH_MATTER[0] as ClothMatter;
    const stages = STAGES.slice(0, 1).map(({ courses }) => ({
      spacing: 34,
      courses: courses.map((course) => ({ ...course, steps: course.steps / 4 })),
    }));
    const low = drapeOf(sewnOf(draft, [{ id: 'waistDrop', values: { by: 40 } }], 'cm'), body, calico, grid, stages);
    const heights = particlesOf(low.assembly, 'waist').map((p) => 1000 * (low.at[3 * p + 1] ?? NaN));
    const mean = heights.reduce((sum, y) => sum + y, 0) / heights.length;
    expect(mean - (body.heights.waist - 40)).toBeGreaterThan(-12);
    expect(mean - (body.heights.waist - 40)).toBeLessThan(12);
    expect(Math.abs(fitFigures(low, body, grid).waistBehind)).toBeLessThan(15);
  });
});
