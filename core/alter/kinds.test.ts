import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { edgeLengths } from '../draft/index.js';
import { line, point, scale, smoothStep, startOf, endOf, pathLength } from '../geometry/index.js';
import { alterationWork } from '../workbook/index.js';
import { alterBlock, kindOf, KINDS, sayAlteration, STARTING_KINDS, startingWork, withLengths } from './index.js';
import type { AlterationKind, AlterationWork, AnyKind, Field } from './index.js';
import { alterationKind, ANY_PANEL } from './kind.js';
import { edgeOf } from './paper.js';
import { displaced, seamMark } from './seam-work.js';

const schema = alterationWork(z.number());
const rise: AlterationWork = {
  kind: 'rise',
  panel: 'back',
  points: [
    { x: 0, y: 0 },
    { x: -60, y: -20 },
    { x: -90, y: -200 },
  ],
  blend: 0.4,
  keepLength: true,
};
const begun = (kind: AlterationKind): AlterationWork => (kind === 'rise' ? rise : startingWork(kind, 'back'));

const outcome = computeDraft({
  ...EMPTY_INPUT,
  measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
});
if (!outcome.ok) throw new Error('The middle body must draft');
const { block } = outcome.value;

/** Values that a figure may have, and some that it may not. */
const TRIES: Readonly<Record<Exclude<Field['as'], 'pick'>, readonly [readonly unknown[], readonly unknown[]]>> = {
  length: [
    [0, -12.5],
    ['much', Number.NaN],
  ],
  share: [
    [0, 1],
    [2, -0.1],
  ],
  count: [
    [0, 3],
    [-1, 1.5, 1000],
  ],
  tick: [[true, false], ['yes']],
  level: [[{ line: 'kneeLevel', by: -3 }], [{ line: 'ankleLevel', by: 0 }, { line: 'kneeLevel' }]],
  place: [
    [
      { edge: 'side', share: 0.5 },
      { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
    ],
    [
      { edge: 'cuff', share: 0.5 },
      { edge: 'side', share: 1.5 },
    ],
  ],
  points: [[rise.points], [[{ x: 0, y: 0 }], 'none']],
};

describe.each(KINDS.map(({ kind }) => kind))('an alteration of kind %s', (kind) => {
  const work = begun(kind) as unknown as Readonly<Record<string, unknown>>;
  const { fields, label } = kindOf(kind);

  it('is read by the fields of its kind, each for itself, and by no others', () => {
    expect(label).not.toBe('');
    expect(schema.safeParse(work).data).toEqual(work);
    expect(
      Object.keys(work)
        .filter((key) => key !== 'kind' && key !== 'panel')
        .sort(),
    ).toEqual(Object.keys(fields).sort());
    for (const [name, field] of Object.entries(fields)) {
      const [fit, unfit] = field.as === 'pick' ? [field.options.map(([value]) => value), ['another']] : TRIES[field.as];
      const taken = (value: unknown): boolean => schema.safeParse({ ...work, [name]: value }).success;
      expect([name, fit.map(taken)]).toEqual([name, fit.map(() => true)]);
      expect([name, unfit.map(taken)]).toEqual([name, unfit.map(() => false)]);
      const without = Object.fromEntries(Object.entries(work).filter(([key]) => key !== name));
      const mayLack = field.as === 'tick' && field.orOff === true;
      expect([name, schema.safeParse(without).success]).toEqual([name, mayLack]);
      if (mayLack) expect(schema.safeParse(without).data).toMatchObject({ [name]: false });
    }
    expect(schema.safeParse({ ...work, left: 1 }).success).toBe(false);
    expect(schema.safeParse({ ...work, panel: 'sleeve' }).success).toBe(false);
  });

  it('is said in one line, comes back from another unit, and is done on a block or told why not', () => {
    const typed = begun(kind);
    expect(sayAlteration(typed, 'cm')).toMatch(/^(Front|Back|Front and back): \S.*\S$/);
    const there = withLengths(typed, (mm) => mm / 25.4);
    expect(JSON.stringify(there)).not.toBe(JSON.stringify(typed));
    const back = JSON.stringify(withLengths(there, (inches) => Math.round(inches * 25.4 * 1e6) / 1e6));
    expect(back).toBe(JSON.stringify(typed));
    const { told } = alterBlock(block, [{ id: 'a', on: true, note: '', work: typed }]);
    expect(told).toHaveLength(1);
    if (kind !== 'rise') expect(told[0]?.done).toBe(true);
  });
});

it('every kind but a rise can be begun from nothing', () => {
  expect(STARTING_KINDS).toEqual(KINDS.map(({ kind }) => kind).filter((kind) => kind !== 'rise'));
  expect(() => startingWork('rise', 'back')).toThrow('taken from elsewhere');
  expect(() => kindOf('sleeve')).toThrow('no alteration');
});

/** A made-up kind: the leg flares from the knee, so much at either seam. */
const flare = alterationKind({
  kind: 'flare',
  label: 'Flare the leg',
  panels: ANY_PANEL,
  fields: { by: { as: 'length', label: 'Out at each seam' } },
  start: () => ({ panel: 'both', by: 20 }),
  say: ({ by }, { mm, level }) => `flare ${mm(by)} at each seam from ${level({ line: 'kneeLevel', by: 0 })}`,
  apply(paper, { by }, alteration) {
    const knee = pathLength([...paper.runs.waistToHip, ...paper.runs.hipToCrotch, ...paper.runs.sideThigh]);
    const whole = pathLength(edgeOf(paper, 'side'));
    const shin = pathLength(paper.runs.inseamShin);
    const out = (s: number, reach: number): number => by * smoothStep(s / reach);
    const side = displaced(paper, 'side', (s) => scale(point(-1, 0), out(s - knee, whole - knee)));
    const both = displaced(side, 'inseam', (s) => scale(point(1, 0), out(shin - s, shin)));
    const hem = line(endOf(edgeOf(both, 'side')), startOf(edgeOf(both, 'inseam')));
    const marks = [...paper.marks, seamMark(alteration, paper.runs.hem)];
    return { ...both, runs: { ...both.runs, hem: [hem] }, marks };
  },
});

describe('a new kind', () => {
  const kinds: readonly AnyKind[] = [...KINDS, flare];
  const work = { kind: 'flare', panel: 'both', by: 20 } as unknown as AlterationWork;

  it('is one more in the list: it is done, said, read from a file and written in another unit', () => {
    const { block: after, told } = alterBlock(block, [{ id: 'a', on: true, note: '', work }], { kinds });
    expect(told).toEqual([{ id: 'a', done: true, refusal: undefined }]);
    for (const name of ['front', 'back'] as const) {
      const [was, is] = [edgeLengths(block[name]), edgeLengths(after[name])];
      expect(is.hem - was.hem).toBeCloseTo(40, 1);
      expect(is.rise).toBeCloseTo(was.rise, 6);
    }
    expect(sayAlteration(work, 'cm', undefined, kinds)).toBe(
      'Front and back: flare 20 mm at each seam from the knee line',
    );
    expect(alterationWork(z.number(), kinds).safeParse(work).data).toEqual(work);
    expect(alterationWork(z.number(), kinds).safeParse({ ...work, by: 'wide' }).success).toBe(false);
    expect(schema.safeParse(work).success).toBe(false);
    expect(withLengths(work, (mm) => mm / 10, kinds)).toEqual({ kind: 'flare', panel: 'both', by: 2 });
    expect(kindOf('flare', kinds).start?.('front')).toEqual({ panel: 'both', by: 20 });
  });
});
