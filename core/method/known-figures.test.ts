import { describe, expect, it } from 'vitest';
import { AVERAGE_BUILD, completeBody, type Build, type Figure, type Measured } from '../measure/index.js';
import { sheetById } from '../shipped/index.js';
import { SHEETS_OWN_FIT, workOut, type MethodInput, type PanelParameters, type Worked } from './index.js';

/** Figures worked out here in plain arithmetic from what the makers of each method state. */
const IN = 25.4;
const CM = 10;

interface Body {
  readonly waist: number;
  readonly hip: number;
  readonly crotchDepth: number;
  readonly inseam: number;
  readonly hipDepth: number;
  readonly thigh: number;
  readonly knee: number;
  readonly ankle: number;
}

/** Three bodies: small, middle and large. */
const BODIES: readonly Body[] = [
  { waist: 640, hip: 900, crotchDepth: 250, inseam: 760, hipDepth: 185, thigh: 520, knee: 340, ankle: 220 },
  { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, hipDepth: 200, thigh: 580, knee: 370, ankle: 230 },
  { waist: 1040, hip: 1240, crotchDepth: 300, inseam: 770, hipDepth: 220, thigh: 730, knee: 430, ankle: 255 },
];

describe('a measured front', () => {
  const body = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, frontHip: 520, frontWaist: 410 };

  it('parts hip and waist in every sheet that quarters them, and is told as a term', () => {
    for (const id of ['quarter-and-half', 'close', 'sixteenths', 'skirt-leg', 'front-first', 'twentieth-and-tenth']) {
      const { front, back, ledger } = work(id, body);
      const [hipEase, waistEase] = ['hipEase', 'waistEase'].map((n) => Number(ledger.get(n)?.value));
      expect([id, front.hipWidth]).toEqual([id, 260 + (hipEase ?? NaN) / 4]);
      expect([id, back.hipWidth]).toEqual([id, 240 + (hipEase ?? NaN) / 4]);
      expect([id, front.waistWidth]).toEqual([id, 205 + (waistEase ?? NaN) / 4]);
      expect([id, back.waistWidth]).toEqual([id, 185 + (waistEase ?? NaN) / 4]);
      expect(ledger.get('front.hipWidth')?.terms.at(-1)?.label).toBe('Measured front');
    }
  });

  it('goes before the build, and leaves what a maker gives as a width alone', () => {
    const full = work('quarter-and-half', body, { stomach: 'full' });
    expect(full.front.waistWidth).toBe(205 + Number(full.ledger.get('waistEase')?.value) / 4);
    const plain = (b: Measured) => {
      const { front, back } = work('crease-centred', b, { variant: 'given-widths' }, { settings: { thighWidth: 320 } });
      return [front.hipWidth, back.hipWidth, front.waistWidth, back.waistWidth];
    };
    expect(plain(body)).toEqual(plain({ waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 }));
  });
});

function work(
  method: string,
  measured: Measured,
  choices: Record<string, string> = {},
  more: Partial<MethodInput> = {},
): Worked {
  const sheet = sheetById(method);
  if (!sheet) throw new Error(`No sheet ${method}`);
  const figure = more.figure ?? 'unknown';
  const outcome = workOut(sheet, {
    body: completeBody(measured, figure, sheet.estimates),
    figure,
    build: AVERAGE_BUILD,
    fit: SHEETS_OWN_FIT,
    settings: {},
    choices,
    set: {},
    ...more,
  });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

type Wanted = Partial<Record<keyof PanelParameters, number>>;

function expectPanel(panel: PanelParameters, wanted: Wanted): void {
  for (const [name, value] of Object.entries(wanted)) {
    expect([name, panel[name as keyof PanelParameters]]).toEqual([name, expect.closeTo(value, 6)]);
  }
}

const crotch = (p: PanelParameters): number => p.hipWidth + p.extension;

describe.each(BODIES)('on a hip of $hip mm', (b) => {
  const q = b.hip / 4;

  it('close, by the thigh, takes what the front leaves', () => {
    const { front, back, levels } = work('close', b);
    const frontHip = q - IN / 4;
    // A short front: 1 3/4 to 2 in.
    const frontExtension = Math.min(Math.max(b.thigh / 2 + IN / 2 - frontHip, 1.75 * IN), 2 * IN);
    // Contoured: an inch and an eighth over the thigh, as the pieces lie at the crotch line.
    const left = b.thigh + 1.125 * IN - (frontHip + frontExtension - IN / 2) - (q + IN / 4) + IN / 2;
    expect(levels.crotchLevel).toBeCloseTo(b.crotchDepth + IN / 2, 9);
    expectPanel(front, { hipWidth: frontHip, sideInset: IN / 2, extension: frontExtension, centreIn: IN / 2 });
    expectPanel(back, {
      hipWidth: q + IN / 4,
      extension: Math.min(Math.max(left, 0.07 * b.hip), 0.13 * b.hip),
      centreLift: IN,
      waistWidth: b.waist / 4 - IN / 4,
    });
  });

  it('close, by the hip, takes a quarter of the back', () => {
    const { front, back, levels } = work('close', b, { variant: 'by-hip' });
    expect(levels.crotchLevel).toBe(b.crotchDepth);
    expect(levels.hipLevel).toBeCloseTo((b.crotchDepth * 2) / 3, 9);
    expectPanel(front, {
      hipWidth: q - IN / 2,
      extension: 2 * IN,
      sideInset: IN / 2,
      centreIn: 0.75 * IN,
      curveRise: b.crotchDepth / 2 + IN / 2,
      waistWidth: b.waist / 4 + IN / 2,
      dartCount: 0,
    });
    expectPanel(back, { hipWidth: q + IN / 2, extension: (q + IN / 2) / 4, sideInset: IN / 2, centreIn: 2 * IN });
    // Then the back crotch point is moved until the thigh has an inch and a half, or two and a half relaxed.
    const frontCrotch = q - IN / 2 + 2 * IN - IN / 2;
    expect(back.crotchWidth).toBeCloseTo(Math.max(b.thigh + 1.5 * IN - frontCrotch, 1.02 * (q + IN / 2)), 6);
    const relaxed = work('close', b, { variant: 'by-hip', fit: 'relaxed' });
    expect(relaxed.back.crotchWidth).toBeCloseTo(Math.max(b.thigh + 2.5 * IN - frontCrotch, 1.02 * (q + IN / 2)), 6);
    const darted = work('close', b, { variant: 'by-hip', frontDart: 'one' });
    expectPanel(darted.front, { dartCount: 1, centreIn: IN / 2 });
  });

  it('sixteenths, in its three ways', () => {
    const sixteenth = b.hip / 16;
    const half = work('sixteenths', b);
    expectPanel(half.front, {
      hipWidth: q,
      extension: sixteenth,
      centreIn: 0,
      curveRise: 2 * IN,
      waistWidth: b.waist / 4 + IN / 2,
      thighWidth: b.thigh / 2,
    });
    expect(half.levels.thighLevel).toBeCloseTo(b.crotchDepth + 3 * IN, 9);
    const crease = (q + sixteenth) / 2;
    expectPanel(half.back, {
      extension: sixteenth + 2 * IN,
      centreIn: (q - crease) / 2,
      centreLift: sixteenth,
      crotchDrop: IN / 2,
      thighWidth: b.thigh / 2 + 2 * IN,
    });
    const pivot = work('sixteenths', b, { variant: 'pivot' });
    expectPanel(pivot.back, { centreIn: 2 * IN, sideOut: 0, centreLift: IN, extension: sixteenth + 2 * IN });
    expectPanel(pivot.front, { dartLength: Math.min(5 * IN, 0.75 * b.hipDepth), kneeWidth: 0.23 * b.hip });
    expect(pivot.front.thighWidth).toBeUndefined();
    expectPanel(work('sixteenths', b, { variant: 'pivot', pivotHip: 'taught' }).back, { sideOut: 2 * IN });
    const wide = work('sixteenths', b, { variant: 'wide-leg' });
    expectPanel(wide.front, {
      hipWidth: q - IN / 2,
      waistWidth: b.waist / 4 - IN / 2,
      extension: sixteenth - IN / 2,
      thighWidth: b.thigh / 2 - IN,
      kneeWidth: q - IN,
    });
    expectPanel(wide.back, {
      extension: sixteenth + 0.75 * IN,
      hipWidth: q + IN / 2,
      waistWidth: b.waist / 4 + IN / 2,
      thighWidth: b.thigh / 2 + IN,
      centreLift: sixteenth - IN / 2 - 0.75 * IN,
      kneeWidth: q + IN,
    });
  });

  it('twentieth and tenth', () => {
    const { front, back } = work('twentieth-and-tenth', b);
    expectPanel(front, {
      hipWidth: q,
      extension: b.hip / 20,
      centreIn: 0,
      centreLift: -IN,
      kneeWidth: b.knee / 2 + IN,
    });
    expectPanel(back, {
      hipWidth: q,
      extension: b.hip / 10,
      centreIn: IN,
      sideOut: 0,
      centreLift: 1.5 * IN,
      sideLift: IN / 2,
      tiltFrom: 0,
      kneeWidth: b.knee / 2 + 2 * IN,
    });
    expect(work('twentieth-and-tenth', b, { darts: 'large' }).back.dartIntake).toBeCloseTo(1.5 * IN, 9);
    expect(work('twentieth-and-tenth', b).front.dartCount).toBe(0);
    const given = work('twentieth-and-tenth', b, {}, { settings: { kneeGirth: 400, hemGirth: 420 } });
    expectPanel(given.front, { kneeWidth: 200 + IN, hemWidth: 210 + IN });
    expectPanel(given.back, { kneeWidth: 200 + 2 * IN, hemWidth: 210 + 2 * IN });
    const shaped = work('twentieth-and-tenth', b, { leg: 'straight' });
    expect(shaped.front.hemWidth + shaped.back.hemWidth).toBeCloseTo(0.46 * b.hip, 6);
  });

  it('crease-centred, in its three ways', () => {
    const extension = Math.min(Math.max(b.hip / 20, 25), 50);
    const { front, back, pullOn } = work('crease-centred', b);
    expect(pullOn).toBe(true);
    expectPanel(front, {
      hipWidth: q + CM,
      extension,
      curveRise: extension,
      waistWidth: q + CM,
      sideLift: 5,
      // The crease was drawn first, hip/8 from the centre and 1 cm of ease beyond it at the side.
      creaseShift: (q + CM + extension) / 2 - (q + CM - b.hip / 8),
    });
    expectPanel(back, {
      hipWidth: q + 15,
      extension: (5 / 3) * extension,
      centreIn: 40,
      centreLift: 30,
      waistWidth: q,
      tiltFrom: 30,
      curveRise: extension,
    });
    const legs = work('crease-centred', b, {}, { settings: { hemGirth: 420 } });
    expectPanel(legs.front, { hemWidth: 210, kneeWidth: 220 });
    expectPanel(legs.back, { hemWidth: 220, kneeWidth: 230 });
    const given = work(
      'crease-centred',
      b,
      { variant: 'given-widths' },
      { settings: { thighWidth: 330, givenExtension: 48 } },
    );
    expectPanel(given.front, { hipWidth: 282, extension: 48 });
    expectPanel(given.back, { hipWidth: 282, extension: 48 + 1.5 * IN, centreLift: 0.75 * IN });
    expect(given.back.kneeWidth - given.front.kneeWidth).toBeCloseTo(1.5 * IN, 9);
    const adult = work('crease-centred', b, { variant: 'drawstring' });
    const child = work('crease-centred', b, { variant: 'drawstring', age: 'child' });
    expectPanel(adult.back, { centreLift: IN, extension: extension + IN, centreIn: 0 });
    expectPanel(child.back, { centreLift: IN / 2, extension: extension + IN / 2 });
  });

  it('thirds, drafted from the back, and elastic', () => {
    const third = b.hip / 24;
    const { front, back, sheet } = work('thirds', b);
    expect(sheet.first).toBe('back');
    const waist = b.waist / 4;
    const centreIn = q + IN / 2 - waist - Math.min(IN, q + IN / 2 - waist);
    expectPanel(back, {
      hipWidth: q + IN / 2,
      extension: 2 * third + (centreIn * (b.crotchDepth - b.hipDepth)) / b.hipDepth,
      sideInset: -IN / 4,
      crotchDrop: IN / 4,
      waistWidth: waist,
      centreIn,
      centreLift: 0.75 * IN,
    });
    expectPanel(front, { hipWidth: q - IN / 2, extension: third + IN / 2, centreIn: IN / 4, dartCount: 0 });
    const elastic = work('thirds', b, { waist: 'elastic' });
    expectPanel(elastic.front, { waistWidth: q - IN / 2, centreIn: 0 });
    expectPanel(elastic.back, {
      waistWidth: q + IN / 2,
      centreIn: Math.max((q + IN / 2 - waist - IN) / 2, 0),
      dartCount: 0,
    });
  });

  it('front first, in its four ways', () => {
    const shifted = work('front-first', b);
    expect(crotch(shifted.front) + crotch(shifted.back)).toBeCloseTo(b.thigh + IN, 6);
    expectPanel(shifted.front, { hipWidth: q - IN, creaseShift: IN / 2, centreIn: IN / 2, centreLift: -IN / 2 });
    expectPanel(shifted.back, { hipWidth: q + IN, creaseShift: IN, centreLift: 2 * IN, centreIn: 1.5 * IN });
    const half = work('front-first', b, { variant: 'thigh-and-half' });
    expect(crotch(half.front)).toBeCloseTo(b.thigh / 2 - IN / 2, 6);
    const centre = half.front.hipWidth - b.waist / 4 - IN / 2;
    expect(half.front.centreIn).toBeCloseTo(Math.min(Math.max(centre, 0), 0.14 * half.front.hipWidth), 6);
    expect(crotch(half.back) - crotch(half.front)).toBeCloseTo(2.5 * IN, 6);
    const quarter = work('front-first', b, { variant: 'quarter-and-two' });
    expect(crotch(quarter.front)).toBeCloseTo(q + IN, 6);
    expect(crotch(quarter.back) - crotch(quarter.front)).toBeCloseTo(2 * IN, 6);
    const wide = work('front-first', b, { variant: 'wide' });
    expect(crotch(wide.front)).toBeCloseTo(b.thigh / 2 - IN, 6);
    expect(crotch(wide.back)).toBeCloseTo((3 / 8) * b.hip + IN, 6);
    expectPanel(wide.front, { centreLift: -IN, dartCount: 0, kneeWidth: b.knee / 2 + 1.5 * IN - IN });
    expectPanel(wide.front, { waistWidth: b.waist / 4 - IN });
    expectPanel(wide.back, {
      centreLift: 1.5 * IN,
      waistWidth: b.waist / 4 + IN,
      crotchDrop: 0,
      dartLength: Math.min(5.5 * IN, 0.75 * b.hipDepth),
      // A quarter of the thigh from the side.
      dartAt: b.waist / 4 + IN + IN - b.thigh / 4,
    });
    expectPanel(half.front, { centreLift: -IN, dartCount: 0 });
    expectPanel(quarter.front, { centreLift: -IN / 2, dartCount: 0 });
    expectPanel(shifted.front, { dartCount: 1, dartIntake: IN });
    expect(work('front-first', b, { frontDart: 'none' }).front.dartCount).toBe(0);
  });

  it('skirt leg, darted and elastic', () => {
    // 2 cm of ease, a quarter on each panel; a quarter inch of split.
    const [f, k] = [q - IN / 4 + 5, q + IN / 4 + 5];
    const { front, back, levels } = work('skirt-leg', b);
    expect(levels.crotchLevel).toBeCloseTo(b.crotchDepth + 0.75 * IN, 9);
    expectPanel(front, { hipWidth: f, extension: f / 2 - 0.75 * IN, curveRise: b.crotchDepth / 2 - IN / 2 });
    expectPanel(back, { hipWidth: k, extension: k / 2 + 0.75 * IN, centreIn: 0 });
    expectPanel(work('skirt-leg', b, { waist: 'elastic' }).front, { waistWidth: f, dartCount: 0 });
  });

  it.each([
    [0.4, 0],
    [0.5, 0.05],
    [0.8, 0.1],
  ])('knit leg of cloth that stretches %d', (stretch, reduction) => {
    const { front, back } = work('knit-leg', b, {}, { fit: { stretch } });
    const width = q * (1 - reduction);
    const waist = (b.waist / 4) * (1 - reduction);
    expectPanel(front, {
      hipWidth: width,
      extension: width / 4,
      waistWidth: waist,
      centreIn: width - waist,
      kneeWidth: (2 / 3) * width,
      hemWidth: (b.ankle * (1 - reduction)) / 2,
      tiltFrom: 0,
    });
    // 3/8 in on a leg of the middle length.
    expect(front.inseamHollowShare * 340).toBeCloseTo((3 / 8) * IN, 0);
    expectPanel(back, {
      extension: width / 4 + width / 5,
      tiltFrom: 0,
      centreIn: width - waist,
      centreLift: 1.25 * IN,
      kneeWidth: (2 / 3) * width + (1 + 3 / 16) * IN,
      hemWidth: (b.ankle * (1 - reduction)) / 2 + 0.75 * IN,
    });
  });

  it('a finished pair', () => {
    const pair = { ...b, pairFrontThigh: 0.29 * b.hip, pairThigh: 0.66 * b.hip, pairBand: 35 };
    const { front, back, levels } = work('finished-pair', pair);
    // Sewing takes some: depths a centimetre less, hems half a centimetre more than read.
    expect(levels.crotchLevel).toBeCloseTo(b.crotchDepth - 35 - 10, 9);
    expect(levels.kneeLevel).toBeCloseTo((b.crotchDepth - 35 + b.inseam) / 2 + 80, 9);
    expectPanel(front, {
      hipWidth: 0.29 * b.hip - 30,
      extension: 30,
      centreIn: 20,
      centreLift: -7.5,
      sideLift: 15,
      waistWidth: b.waist / 4,
      kneeWidth: 0.29 * b.hip - 80,
    });
    expectPanel(back, {
      hipWidth: b.hip / 2 - (0.29 * b.hip - 30),
      waistWidth: b.waist / 2 - b.waist / 4,
      centreIn: 30,
      centreLift: 25,
      sideLift: 15,
    });
    expect(crotch(back)).toBeCloseTo(0.66 * b.hip - 0.29 * b.hip, 6);
    expect(back.hemWidth - front.hemWidth).toBeCloseTo(30, 6);
    expect(front.crotchWidth).toBeCloseTo(0.29 * b.hip, 6);
  });
});

const [, middle] = BODIES;
if (!middle) throw new Error('No middle body');

describe('build', () => {
  const built = (build: Partial<Build>, choices = {}): Worked =>
    work('quarter-and-half', middle, choices, { build: { ...AVERAGE_BUILD, ...build } });
  const plain = built({});

  it('adds to every sheet’s values as a term that can be seen', () => {
    const full = built({ seat: 'full' });
    expect(full.back.centreLift - plain.back.centreLift).toBeCloseTo(20, 9);
    expect(full.back.centreIn - plain.back.centreIn).toBeCloseTo(8, 9);
    expect(full.back.extension - plain.back.extension).toBeCloseTo(20, 9);
    expect(full.front).toEqual(plain.front);
    expect(full.ledger.get('back.centreLift')?.terms).toMatchObject([
      { label: 'Full seat', from: IN / 4, to: IN / 4 + 20 },
    ]);
    const flat = built({ seat: 'flat' });
    expect(flat.back.centreLift - plain.back.centreLift).toBeCloseTo(-12, 9);
    expect(flat.back.centreIn - plain.back.centreIn).toBeCloseTo(-8, 9);
    expect(flat.back.extension - plain.back.extension).toBeCloseTo(-12, 9);
  });

  it('moves length and waist to the front for a full stomach, and both extensions for a full thigh', () => {
    const stomach = built({ stomach: 'full' });
    expect(stomach.front.centreLift - plain.front.centreLift).toBeCloseTo(15, 9);
    expect(stomach.front.waistWidth - plain.front.waistWidth).toBeCloseTo(10, 9);
    expect(stomach.back.waistWidth - plain.back.waistWidth).toBeCloseTo(-10, 9);
    expect(stomach.front.dartIntake).toBeCloseTo(IN / 2, 9);
    const thigh = built({ thigh: 'full' });
    // The front's own extension follows its panel, the back's is half of its own: each has 0.9 cm more.
    expect(thigh.front.extension - plain.front.extension).toBeCloseTo(9, 9);
    expect(thigh.back.extension - plain.back.extension).toBeCloseTo(9, 9);
  });

  it('is a choice of the draft before it is the person’s, and its amounts are settings within the range', () => {
    expect(built({ seat: 'full' }, { seat: 'average' }).back).toEqual(plain.back);
    expect(built({}, { seat: 'full' }).back).toEqual(built({ seat: 'full' }).back);
    const more = work('quarter-and-half', middle, { seat: 'full' }, { settings: { fullSeatLift: 30 } });
    expect(more.back.centreLift - plain.back.centreLift).toBeCloseTo(30, 9);
    expect(() => work('quarter-and-half', middle, { seat: 'full' }, { settings: { fullSeatLift: 45 } })).toThrow(
      'settingOut',
    );
  });
});

describe('a child', () => {
  const small = {
    waist: 560,
    hip: 600,
    crotchDepth: 190,
    inseam: 420,
    hipDepth: 140,
    thigh: 340,
    knee: 250,
    ankle: 170,
  };
  const child: Partial<MethodInput> & { figure: Figure } = { figure: 'child' };

  it('has half the lift, extensions nearer alike, no darts, and inches in proportion to the hip', () => {
    const { front, back, child: isChild } = work('front-first', small, { variant: 'quarter-and-two' }, child);
    const s = 600 / 900;
    expect(isChild).toBe(true);
    expect(front.hipWidth).toBeCloseTo(150 - 0.5 * IN * s, 6);
    expect(crotch(front)).toBeCloseTo(150 + IN * s, 6);
    expect(back.centreLift).toBeCloseTo((1.75 * IN * s) / 2, 6);
    const full = crotch(front) + 2 * IN * s - back.hipWidth;
    expect(back.extension).toBeCloseTo(front.extension + (full - front.extension) / 2, 6);
    expect([front.dartCount, back.dartCount]).toEqual([0, 0]);
  });

  it('is never taken for less than half, and an adult’s inches stay whole', () => {
    const tiny = work('sixteenths', { ...small, hip: 430, waist: 420 }, {}, child);
    expect(tiny.back.crotchDrop).toBeCloseTo(IN / 4, 9);
    expect(work('sixteenths', small).back.crotchDrop).toBeCloseTo(IN / 2, 9);
  });

  it('is drafted by a children’s sheet as it stands', () => {
    const { back, child: isChild } = work('crease-centred', small, {}, child);
    expect(isChild).toBe(false);
    expect([back.centreIn, back.centreLift]).toEqual([40, 30]);
  });
});

describe('the leg shape', () => {
  const girths = (leg: string, more: Partial<MethodInput> = {}): [number, number] => {
    const { front, back } = work('quarter-and-half', { ...middle, heel: 330 }, { leg }, more);
    return [front.kneeWidth + back.kneeWidth, front.hemWidth + back.hemWidth];
  };
  it.each([
    ['straight', 460, 460],
    ['tapered', 450, 360],
    ['slim', 370 + 40, 340],
    ['wide', 580, 620],
  ])('%s has its finished girths', (leg, knee, hem) => {
    expect(girths(leg)).toEqual([expect.closeTo(knee, 6), expect.closeTo(hem, 6)]);
  });
  it('by ratio follows the shares that are set, and full is as wide as at the crotch line', () => {
    const shares = { settings: { kneeShare: 0.5, hemShare: 0.42 } };
    expect(girths('ratio', shares)).toEqual([expect.closeTo(500, 6), expect.closeTo(420, 6)]);
    const { front, back } = work('quarter-and-half', middle, { leg: 'full' });
    for (const p of [front, back]) expect([p.kneeWidth, p.hemWidth]).toEqual([crotch(p), crotch(p)]);
  });
  it('gives way to a girth typed by hand', () => {
    expect(girths('wide', { settings: { hemGirth: 500 } })[1]).toBeCloseTo(500, 6);
  });
});
