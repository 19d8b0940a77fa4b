import { describe, expect, it } from 'vitest';
import type { AlterationWork } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { draftNotes, edgeLengths, outlineOf, sheetHip, type Block, type Panel } from '../draft/index.js';
import {
  crossLine,
  cubic,
  endOf,
  line,
  mapPath,
  point,
  startOf,
  turn,
  type Path,
  type Point,
  bendOf,
} from '../geometry/index.js';
import { fitClass, FIT_CLASSES } from '../method/index.js';
import {
  checkAgainstBody,
  checkAgainstItself,
  checkedFigure,
  checkLabel,
  checkLines,
  classByExtensions,
  plainValue,
  sayCompares,
  sayFinding,
  shown,
  verdictOf,
  worstFirst,
  type Check,
  type CheckId,
} from './index.js';
import { inputFor } from '../../bench/random-body.js';
import { SHEETS } from '../shipped/index.js';
import { figuresOf, hipWidthOf, sideStretches } from '../measured/index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draft(more: Partial<DraftInput> = {}): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const { block, worked } = draft();
const find = (checks: readonly Check[], id: CheckId): Check => {
  const found = checks.find((c) => c.id === id);
  if (!found) throw new Error(`no check ${id}`);
  return found;
};

/** The block with one panel spoilt by hand, to see that the check notices. */
const spoil = (panel: 'front' | 'back', change: Partial<Panel>): Block => ({
  ...block,
  [panel]: { ...block[panel], ...change },
});
const spoilEdge = (panel: 'front' | 'back', edge: keyof Panel['edges'], path: Path): Block =>
  spoil(panel, { edges: { ...block[panel].edges, [edge]: path } });
const moved = (path: Path, by: number): Path => mapPath(path, (p) => ({ x: p.x, y: p.y * by }));

describe('what was measured of the seat and of a thigh taken lower', () => {
  const seatOf = (more: Partial<DraftInput> = {}, seatHeight = 290): Check =>
    find(draft({ measured: { ...measured, seatHeight }, ...more }).checks, 'seatHeight');

  it('holds centre back above the crotch line against the seat height', () => {
    // Quarter and half: crotch line at 272 + 6.35, centre back lifted; re-measured from the drawn points.
    const { block: b } = draft();
    const high = b.levels.crotchLevel - b.back.points.centreWaist.y;
    expect(seatOf().value).toBeCloseTo(high, 9);
    expect(seatOf({}, high).verdict).toBe('in');
    expect(seatOf({}, high + 6.5).verdict).not.toBe('in');
    expect(seatOf({}, high + 40).verdict).toBe('out');
    expect(seatOf({}, high - 6.35 - 14).verdict).toBe('in');
    expect(seatOf({}, high - 6.35 - 16).verdict).not.toBe('in');
    expect(draft().checks.some((c) => c.id === 'seatHeight')).toBe(false);
    // A counted band of 3 cm is on the garment too.
    const banded = seatOf({ choices: { bandCounts: 'yes' }, settings: { bandDepth: 30 } });
    expect(banded.value).toBeCloseTo(high, 1);
    expect(sayCompares(banded, 'in')).toMatch(/with the depth of the band, with the seat height of the body/);
  });

  it('judges a thigh where it was taken', () => {
    const low = draft({ measured: { ...measured, thigh: 550, thighTakenAt: 76, knee: 370 } });
    const line = find(low.checks, 'thighLine');
    expect(line.about.at).toBeCloseTo(low.block.levels.crotchLevel + 76, 9);
    expect(line.low).toBeCloseTo(550 * 1.15, 6);
    expect(line.restsOnEstimate).toBe(false);
    expect(sayCompares(line, 'in')).toMatch(
      /^Both panels across 3 in below the crotch line, where the thigh was taken/,
    );
    expect(find(low.checks, 'thigh').restsOnEstimate).toBe(true);
    const high = draft({ measured: { ...measured, thigh: 550, knee: 370 } });
    expect(find(high.checks, 'thighLine').about.level).toBe('thighLevel');
    expect(find(high.checks, 'thigh').restsOnEstimate).toBe(false);
  });
});

describe('girths down the leg and at the high hip', () => {
  const body = { ...measured, midThigh: 520, knee: 370, calf: 360, highHip: 900 };
  const girths = (more: Partial<DraftInput> = {}, measuredToo = {}): readonly Check[] =>
    draft({ ...more, measured: { ...body, ...measuredToo } }).checks;

  it('read the leg where the body was measured, with what is asked over it', () => {
    const d = draft({ measured: body });
    const knee = find(d.checks, 'knee');
    expect(knee.value).toBeCloseTo(d.worked.front.kneeWidth + d.worked.back.kneeWidth, 2);
    expect(knee).toMatchObject({ low: 370 + 60, verdict: 'in', restsOnEstimate: false });
    expect(find(girths({ fit: { fitClass: 'close-relaxed', stretch: 0 } }), 'calf').low).toBe(380);
    expect(find(girths({ fit: { fitClass: 'knit', stretch: 0.5 } }), 'calf').low).toBeCloseTo(240, 9);
    expect(find(girths({}, { knee: 480 }), 'knee').verdict).toBe('out');
    expect(find(girths({}, { midThigh: 700 }), 'midThigh').verdict).toBe('out');
  });

  it('ask less of a child’s leg, by its hip', () => {
    const child = draft({
      measured: { waist: 560, hip: 600, crotchDepth: 190, inseam: 420, knee: 250 },
      figure: 'child',
    });
    expect(find(child.checks, 'knee').low).toBeCloseTo(250 + 60 * (600 / 900), 6);
  });

  it('hold the high hip with closed darts, and slide its ease from waist to hip', () => {
    const d = draft({ measured: body });
    const high = find(d.checks, 'highHip');
    const share = 90 / d.block.levels.hipLevel;
    expect(high.low).toBeCloseTo(900 + share * 25.4, 6);
    const waist = Number(find(d.checks, 'waist').value);
    const hip = Number(find(d.checks, 'hip').value);
    expect(Number(high.value)).toBeGreaterThan(waist);
    expect(Number(high.value)).toBeLessThan(hip + 5);
    expect(find(girths({}, { highHip: 1010 }), 'highHip').verdict).toBe('out');
  });

  it('are not known where they were not measured, and left out below a hem', () => {
    const four = draft().checks;
    expect(find(four, 'midThigh')).toMatchObject({ verdict: 'unknown', wants: 'midThigh' });
    expect(find(four, 'highHip')).toMatchObject({ verdict: 'unknown', wants: 'highHip' });
    expect(find(four, 'knee').restsOnEstimate).toBe(true);
    const shorts = draft({ settings: { insideLength: 150, hemGirth: 640 } }).checks;
    expect(shorts.some((c) => c.id === 'knee' || c.id === 'calf')).toBe(false);
  });
});

describe('verdicts', () => {
  it('judge nothing where the piece has no figure, and say why', () => {
    const check = { ...find(draft().checks, 'hip'), value: NaN, low: 300, high: 400 };
    expect(shown(check)).toMatchObject({ value: undefined, low: undefined, high: undefined, verdict: 'unknown' });
    expect(sayCompares(shown(check), 'cm')).toContain('does not reach');
    expect(shown({ ...check, value: 350 })).toMatchObject({ value: 350, low: 300 });
  });
  it('are in on the edges of the band, near within a quarter of it, and out beyond', () => {
    expect(verdictOf(10, 10, 18)).toBe('in');
    expect(verdictOf(18, 10, 18)).toBe('in');
    expect(verdictOf(19.9, 10, 18)).toBe('near');
    expect(verdictOf(8.1, 10, 18)).toBe('near');
    expect(verdictOf(20.1, 10, 18)).toBe('out');
    expect(verdictOf(NaN, 10, 18)).toBe('unknown');
  });

  it('never call a figure near that is more than a centimetre out', () => {
    expect(verdictOf(1111, 1000, 1100)).toBe('out');
    expect(verdictOf(1109, 1000, 1100)).toBe('near');
    expect(verdictOf(331, 340, Infinity)).toBe('near');
    expect(verdictOf(329, 340, Infinity)).toBe('out');
    expect(verdictOf(9000, 340, Infinity)).toBe('in');
  });

  it('are shown worst first and otherwise in their order', () => {
    const checks = draft({ settings: { hemGirth: 200 } }).checks;
    const sorted = worstFirst(checks);
    expect(sorted[0]?.id).toBe('hem');
    expect(sorted.at(-1)?.verdict).toBe('unknown');
    expect(sorted.filter((c) => c.verdict === 'in').map((c) => c.id)).toEqual(
      checks.filter((c) => c.verdict === 'in').map((c) => c.id),
    );
  });
});

describe('against the body', () => {
  it('the finished waist is both panels twice, against the waist and its ease', () => {
    const waist = find(checkAgainstBody(worked, block, figuresOf(block)), 'waist');
    expect(waist.value).toBeCloseTo(780, 1);
    expect([waist.low, waist.high]).toEqual([780, 786]);
    const wide = draft({ set: { 'front.waistWidth': 215 } }).checks;
    expect(find(wide, 'waist')).toMatchObject({ verdict: 'out' });
  });

  it('the hip is measured square to the tilted centre line, as far as the piece reaches', () => {
    const { back } = block;
    const angle = back.seatAngle;
    const { sideHip, tiltPoint } = back.points;
    // By hand: the distance of the hip point from the line through the tilt point at the seat angle.
    const byHand = (tiltPoint.x - sideHip.x) * Math.cos(angle) - (tiltPoint.y - sideHip.y) * Math.sin(angle);
    expect(byHand).toBeCloseTo(262.7, 6);
    // The rise has left the line a little above the hip: there the piece is wider by what an eye would measure too.
    const across = crossLine(back.edges.rise, sideHip, { x: Math.cos(angle), y: -Math.sin(angle) });
    expect(hipWidthOf(back)).toBeCloseTo(Math.min(...across.map((c) => c.along).filter((d) => d > byHand - 1)), 6);
    const hip = find(checkAgainstBody(worked, block, figuresOf(block)), 'hip');
    expect(hip.value).toBeCloseTo(2 * (hipWidthOf(block.front) + hipWidthOf(back)), 9);
    expect(Number(hip.value)).toBeGreaterThan(1000 + 25.4);
  });

  it('the thigh is both crotch widths against the thigh with 15 to 25 % of ease', () => {
    const thigh = find(checkAgainstBody(worked, block, figuresOf(block)), 'thigh');
    expect(thigh.low).toBeCloseTo(580 * 1.15, 9);
    expect(thigh.high).toBeCloseTo(580 * 1.25, 9);
    expect(thigh.value).toBeCloseTo(block.front.crotchWidth + block.back.crotchWidth, 9);
    expect(thigh.restsOnEstimate).toBe(true);
    const taken = draft({ measured: { ...measured, thigh: 600 } }).checks;
    expect(find(taken, 'thigh')).toMatchObject({ restsOnEstimate: false, low: 690 });
  });

  it('a rise that was not measured is not known, and says what to measure', () => {
    const back = find(checkAgainstBody(worked, block, figuresOf(block)), 'backRise');
    expect(back).toMatchObject({ verdict: 'unknown', wants: 'backRise', low: undefined });
    expect(back.value).toBeCloseTo(edgeLengths(block.back).rise, 9);
    expect(find(checkAgainstBody(worked, block, figuresOf(block)), 'wholeRise').verdict).toBe('unknown');
  });

  it('the hem must pass over the heel with a centimetre', () => {
    const hem = (girth: number): Check => find(draft({ settings: { hemGirth: girth }, figure: 'man' }).checks, 'hem');
    expect(hem(360).verdict).toBe('in');
    expect(hem(359).verdict).toBe('near');
    expect(hem(340).verdict).toBe('out');
  });
});

describe('the fit class that a draft is', () => {
  const at = (front: number, back: number): string =>
    classByExtensions({
      frontExtension: front,
      backExtension: back,
      frontHipWidth: 250,
      backHipWidth: 260,
      hip: 1000,
    });
  it('follows from the extensions by the limits of the trade', () => {
    expect(at(54, 99)).toBe('close');
    expect(at(54, 101)).toBe('regular');
    expect(at(56, 99)).toBe('regular');
    expect(at(60, 100)).toBe('loose');
    expect(at(62.5, 125)).toBe('loose');
    expect(at(100, 104)).toBe('skirt-like');
    expect(at(100, 103)).toBe('loose');
  });

  it('has bands that go from close to wide, and a class for any name', () => {
    const woven = FIT_CLASSES.filter((c) => !c.byShare);
    for (const [i, c] of woven.slice(1).entries()) {
      expect(c.thighEase[0]).toBeGreaterThan(woven[i]?.thighEase[0] ?? 0);
    }
    expect(fitClass('regular').hipEase).toEqual([20, 50]);
    expect(fitClass('no such class').id).toBe('loose');
  });

  it('says both where the thigh says otherwise', () => {
    const tight = draft({ measured: { ...measured, thigh: 620 } }).checks;
    expect(plainValue(find(tight, 'fitClass'), 'cm')).toBe('Loose; by the thigh close, relaxed');
  });
});

describe('against itself', () => {
  const verdict = (spoilt: Block, id: CheckId): string =>
    find(checkAgainstItself(spoilt, figuresOf(spoilt)), id).verdict;

  it('a sound draft passes all', () => {
    for (const check of checkAgainstItself(block, figuresOf(block)))
      expect([check.id, check.verdict]).toEqual([check.id, 'in']);
  });

  it('seams of different length are found, above and below the knee', () => {
    const [lower, upper] = block.back.edges.inseam;
    if (!lower || !upper) throw new Error('an inseam has two stretches');
    expect(verdict(spoilEdge('back', 'inseam', [lower, ...moved([upper], 0.95)]), 'inseamWalk')).toBe('out');
    expect(verdict(spoilEdge('back', 'inseam', [...moved([lower], 0.99), upper]), 'inseamWalkBelow')).toBe('out');
    expect(verdict(spoilEdge('back', 'side', moved(block.back.edges.side, 0.99)), 'sideWalk')).toBe('out');
    const stretches = sideStretches(block.front);
    expect(stretches.waistToHip + stretches.hipToKnee + stretches.kneeToHem).toBeCloseTo(
      edgeLengths(block.front).side,
      6,
    );
  });

  it('a waist out of square, and a corner at a closed dart, are found', () => {
    const tilted = mapPath(block.front.closedWaist, (p) => turn(p, 0.06, block.front.points.centreWaist));
    expect(verdict(spoil('front', { closedWaist: tilted }), 'waistRun')).toBe('out');
    const [first, second] = block.back.waistSections;
    if (!first || !second) throw new Error('the back has a dart');
    const dart = block.back.darts[0]?.sideLeg ?? point(0, 0);
    const bent = second.map((c) => ({ p0: c.p0, p1: turn(c.p1, 0.06, dart), p2: turn(c.p2, 0.06, dart), p3: c.p3 }));
    expect(verdict(spoil('back', { waistSections: [first, bent] }), 'waistRun')).toBe('out');
  });

  it('rises that do not run into one another are found', () => {
    const { crotchPoint } = block.back.points;
    const turned = mapPath(block.back.edges.rise, (p) => turn(p, 0.08, crotchPoint));
    expect(verdict(spoilEdge('back', 'rise', turned), 'crotchJoin')).toBe('out');
  });

  it('a kink, a turn back and a tight bend in a rise are found, each in its own words', () => {
    const line0 = (spoilt: Block): Check =>
      find(checkLines(spoilt, { size: 1, sidesApart: false, straightSide: false }), 'frontRiseLine');
    expect([line0(block).verdict, plainValue(line0(block), 'cm')]).toEqual(['in', 'Fair']);
    const { crotchPoint: c, centreWaist: w, curveStart: s } = block.front.points;
    const spoiltRise = (rise: Path): Block => ({
      ...block,
      front: {
        ...block.front,
        edges: { ...block.front.edges, rise },
        joints: { ...block.front.joints, curveStart: rise.length - 1 },
      },
    });
    const wavy: Path = [cubic(c, point(c.x + 60, c.y - 60), point(s.x - 60, s.y + 40), s), line(s, w)];
    expect(bendOf(wavy).changesSign).toBe(true);
    expect(line0(spoiltRise(wavy)).verdict).toBe('out');
    const arc = cubic(point(s.x + 8, c.y), point(s.x + 3.6, c.y), point(s.x, c.y - 3.6), point(s.x, c.y - 8));
    const tight = line0(spoiltRise([line(c, arc.p0), arc, line(arc.p3, s), line(s, w)]));
    expect(tight.verdict).toBe('out');
    expect(tight.measures?.find((m) => m.id === 'tightest')?.value).toBeLessThan(12);
    expect(plainValue(tight, 'cm')).toMatch(/^Tightest \d+ mm, \d+ mm from the crotch point$/);
    // An early peak: the bend is fullest where it leaves the straight.
    const early: Path = [cubic(c, point(c.x - 45, c.y - 8), point(s.x + 2, s.y + 18), s), line(s, w)];
    expect(plainValue(line0(spoiltRise(early)), 'cm')).not.toBe('Fair');
  });

  it('a seat wedge swings waist and side of the back, and is not told as a waist that hangs or sides that are no pair', () => {
    const hip = { line: 'hipLevel', by: 0 } as const;
    const wedge = {
      kind: 'wedge',
      panel: 'back',
      from: { edge: 'rise', level: hip },
      hinge: { edge: 'side', level: hip },
    };
    const wedged = draft({
      alterations: [{ id: 'w', on: true, note: '', work: { ...wedge, by: 20 } as AlterationWork }],
    });
    const rules = { size: 1, sidesApart: false, straightSide: false };
    const measuresOf = (checks: readonly Check[], id: CheckId, measure: string): number[] =>
      (find(checks, id).measures ?? []).filter((m) => m.id === measure).map((m) => m.value);
    const asItLies = checkLines(wedged.block, rules);
    expect(measuresOf(asItLies, 'waistLine', 'sag')[0]).toBeGreaterThan(5);
    expect(measuresOf(asItLies, 'sideLine', 'lie')[0]).toBeGreaterThan(6);
    expect(measuresOf(wedged.checks, 'waistLine', 'sag')[0]).toBeLessThan(5);
    expect(measuresOf(wedged.checks, 'sideLine', 'lie')).toEqual([]);
    expect(measuresOf(draft().checks, 'sideLine', 'lie')).toHaveLength(1);
  });

  it('a side that bows out over the thigh, an elbow at the knee and a waist with a horn are found', () => {
    const of = (spoilt: Block, id: CheckId): Check =>
      find(checkLines(spoilt, { size: 1, sidesApart: false, straightSide: false }), id);
    for (const id of ['sideLine', 'kneeLine', 'waistLine'] as const) expect(of(block, id).verdict).toBe('in');
    const { sideWaist: a, sideHip: h, sideKnee: k, sideHem: e } = block.back.points;
    const bowed: Path = [
      cubic(a, point(a.x - 10, a.y + 60), point(h.x, h.y - 60), h),
      cubic(h, point(h.x, h.y + 160), point(k.x - 6, k.y - 60), k),
      line(k, e),
    ];
    const spoiltSide = {
      ...block,
      back: {
        ...block.back,
        edges: { ...block.back.edges, side: bowed },
        joints: { ...block.back.joints, sideHip: 1, sideKnee: 2 },
      },
    };
    expect(of(spoiltSide, 'sideLine')).toMatchObject({ verdict: 'out' });
    expect(plainValue(of(spoiltSide, 'sideLine'), 'cm')).toMatch(/Back (bows|is)/);
    expect(of(spoiltSide, 'kneeLine').verdict).toBe('out');
    const { closedWaist } = block.back;
    const end = endOf(closedWaist);
    const start = startOf(closedWaist);
    const horned: Path = [cubic(start, point(start.x - 60, start.y + 25), point(end.x + 50, end.y + 25), end)];
    expect(of({ ...block, back: { ...block.back, closedWaist: horned } }, 'waistLine').verdict).toBe('out');
    const tapered = { ...block.back, points: { ...block.back.points, sideWaist: point(a.x + 14, a.y) } };
    expect(of({ ...block, back: tapered }, 'sideLine').verdict).not.toBe('in');
  });

  it('unequal dart legs, a deep dart and a wide one are found', () => {
    const [dart] = block.back.darts;
    if (!dart) throw new Error('the back has a dart');
    const uneven = { ...dart, sideLeg: point(dart.sideLeg.x, dart.sideLeg.y - 2) };
    expect(verdict(spoil('back', { darts: [uneven] }), 'darts')).toBe('out');
    expect(find(draft({ set: { 'back.dartLength': 215 } }).checks, 'darts').verdict).toBe('near');
    expect(find(draft({ set: { 'back.dartIntake': 45 } }).checks, 'darts').verdict).toBe('near');
  });

  it('an open or crossing outline is found', () => {
    expect(verdict(spoilEdge('front', 'hem', []), 'outline')).toBe('out');
    const { sideHem: a, inseamHem: b } = block.front.points;
    const crossing: Path = [
      line(a, point(a.x, a.y - 700)),
      line(point(a.x, a.y - 700), point(b.x + 300, a.y - 300)),
      line(point(b.x + 300, a.y - 300), b),
    ];
    expect(verdict(spoilEdge('front', 'hem', crossing), 'outline')).toBe('out');
  });

  it('every check says what it is about, so that the board can show it', () => {
    for (const check of [
      ...checkAgainstBody(worked, block, figuresOf(block)),
      ...checkAgainstItself(block, figuresOf(block)),
    ]) {
      expect(sayCompares(check, 'cm').length).toBeGreaterThan(20);
      expect(checkLabel(check, 'cm')).not.toBe(check.id);
      expect(check.about.edges.length > 0 || check.about.level !== undefined || check.id === 'outline').toBe(true);
    }
  });
});

describe('the checks that came with truing', () => {
  const at = (id: CheckId, more: Partial<DraftInput> = {}): Check => find(draft(more).checks, id);

  it('hold each girth taken at a height, with an ease that slides from hip to waist', () => {
    const heights = [
      { height: 75, girth: 990 },
      { height: 230, girth: 840 },
    ];
    const low = at('height.75', { heights });
    const level = draft().block.levels.crotchLevel - 75;
    expect([checkLabel(low, 'cm'), checkLabel(low, 'in')]).toEqual(['At 7.5 cm', 'At 2 15/16 in']);
    expect(low.about).toEqual({ edges: [], at: level });
    expect(low.low).toBeCloseTo(990 + 10 + Math.min(1, level / 204) * 15.4, 1);
    expect(Number(low.value)).toBeGreaterThan(Number(at('height.230', { heights }).value));
    expect(at('height.75', { heights: [{ height: 75, girth: 1050 }] }).verdict).toBe('out');
    // A height above the piece or at the floor is no girth of it.
    const odd = [
      { height: 900, girth: 800 },
      { height: 0, girth: 800 },
    ];
    expect(draft({ heights: odd }).checks.some((c) => c.id.startsWith('height.'))).toBe(false);
  });

  it('let the waist with an opening down to the hip line pass the hip', () => {
    const opening = at('opening');
    // By hand: the front's centre is plumb, 204 mm from waist to hip line, and a hair more round the curve's start.
    const below = 204 + Number(draft().worked.front.centreLift);
    expect(Math.abs(Number(opening.value) - 780 - 2 * below)).toBeLessThan(6);
    expect(opening).toMatchObject({ low: 1000, verdict: 'in' });
    // A waist that nothing can make smaller stays large: it is the zip that is too short for the hip.
    expect(at('opening', { measured: { ...measured, waist: 480 }, set: { hipLevel: 110 } }).verdict).toBe('out');
  });

  it('leave a back rise room to sit, by the class', () => {
    const rise = Number(at('backRise').value);
    const high = (fitClass: 'close-contoured' | 'close-relaxed' | 'regular' | 'loose'): number =>
      Number(at('backRise', { measured: { ...measured, backRise: rise }, fit: { fitClass, stretch: 0 } }).high) - rise;
    expect([high('close-contoured'), high('close-relaxed'), high('regular'), high('loose')]).toEqual([6, 9, 12, 15]);
    const front = at('frontRise', { measured: { ...measured, frontRise: 280 } });
    expect([front.low, front.high]).toEqual([274, 286]);
  });

  it('say the character of the rise in words', () => {
    const said = (check: Check): string => String(plainValue(check, 'cm'));
    expect(said(at('riseCharacter'))).toMatch(/^(Flat|Even|Deep) front, .* behind; back \d+\.\d cm longer$/);
    const hugging = at('riseCharacter', { set: { 'back.depth': 0.42 } });
    const sloping = at('riseCharacter', { set: { 'back.depth': 0.66 } });
    // A curve that may not hook is never quite an L where it is fair; it still hugs the corner more than the other.
    expect(said(hugging)).not.toContain('a J behind');
    expect(said(sloping)).toContain('a J behind');
    expect(hugging.verdict).toBe('in');
  });

  it('show how far the crease lies off the middle, and that it halves the leg', () => {
    expect(at('crease').value).toBeCloseTo(0, 2);
    expect(sayCompares(at('crease'), 'cm')).toContain('halves knee and hem');
    const shifted = at('crease', { set: { 'front.creaseShift': 7 } });
    expect(shifted.value).toBeCloseTo(7, 2);
    const seamOut = draft({
      alterations: [
        {
          id: 'a',
          on: true,
          note: '',
          work: {
            kind: 'seam',
            panel: 'back',
            seam: 'side',
            by: 12,
            from: { line: 'kneeLevel', by: 0 },
            to: { line: 'hemLevel', by: 0 },
            runOut: 100,
          },
        },
      ],
    });
    expect(sayCompares(find(seamOut.checks, 'crease'), 'cm')).toContain('does not halve');
  });

  it('read a lengthened piece at its own levels', () => {
    const longer = draft({
      measured: { ...measured, knee: 370 },
      alterations: [
        {
          id: 'a',
          on: true,
          note: '',
          work: { kind: 'across', panel: 'both', level: { line: 'thighLevel', by: 0 }, by: 40 },
        },
      ],
    });
    const plain = draft({ measured: { ...measured, knee: 370 } });
    expect(Number(find(longer.checks, 'knee').value)).toBeCloseTo(Number(find(plain.checks, 'knee').value), 0);
    expect(longer.block.levels.kneeLevel).toBeCloseTo(plain.block.levels.kneeLevel + 40, 6);
    expect(longer.drafted.levels.kneeLevel).toBe(plain.block.levels.kneeLevel);
  });
});

describe('the figure that a check judges', () => {
  it('is the check’s own for every check of one figure, a counted band among it', () => {
    for (const more of [{}, { settings: { bandDepth: 40 }, choices: { bandCounts: 'yes' } }]) {
      const d = draft(more);
      const figures = d.checks.filter((c) => checkedFigure(c.id, d) !== undefined);
      expect(figures.length).toBeGreaterThan(12);
      for (const c of figures) expect([c.id, checkedFigure(c.id, d)]).toEqual([c.id, c.value]);
    }
  });

  it('leaves out at the high hip what the open darts take there', () => {
    const { block: b, checks } = draft({ measured: { ...measured, highHip: 900 } });
    const y = Number(find(checks, 'highHip').about.at);
    const across = (panel: Panel): number => {
      const xs = crossLine(outlineOf(panel), point(0, y), point(1, 0)).map((hit) => hit.at.x);
      const at = (leg: Point, apex: Point): number => leg.x + ((apex.x - leg.x) * (y - leg.y)) / (apex.y - leg.y);
      const open = panel.darts
        .filter(({ apex }) => apex.y > y)
        .reduce((sum, d) => sum + Math.abs(at(d.centreLeg, d.apex) - at(d.sideLeg, d.apex)), 0);
      expect(open).toBeGreaterThan(1);
      return Math.max(...xs) - Math.min(...xs) - open;
    };
    expect(Math.abs(Number(find(checks, 'highHip').value) - 2 * (across(b.front) + across(b.back)))).toBeLessThan(2);
  });
});

describe('the words of a check', () => {
  it('are there for every measure that a line may miss, in either unit, each for its own piece', () => {
    let told = 0;
    for (const { id, value, measures = [] } of draft({ settings: { hipEase: 60 } }).checks) {
      if (typeof value !== 'object' || value.of !== 'line') continue;
      const said = measures.flatMap((worst) =>
        (['cm', 'in'] as const).map((unit) => {
          const words = sayFinding({ ...value, worst }, unit);
          expect([id, worst.id, words]).not.toEqual([id, worst.id, worst.id]);
          expect(words).toMatch(/^[A-Z][^{}]{7,}$/);
          expect(words).not.toMatch(/undefined|NaN/);
          if (worst.unit === 'mm') expect(words).toMatch(unit === 'in' ? / in\b/ : / mm\b/);
          if (worst.panel && value.line !== 'rise') expect(words.toLowerCase().startsWith(worst.panel)).toBe(true);
          told += 1;
          return `${unit} ${words}`;
        }),
      );
      expect(new Set(said).size).toBe(said.length);
    }
    expect(told).toBeGreaterThan(80);
  });

  it('say the same figure in the reader’s unit, of one and the same draft', () => {
    const { checks } = draft({ heights: [{ height: 100, girth: 980 }] });
    const height = find(checks, 'height.100');
    expect(checkLabel(height, 'cm')).toBe('At 10.0 cm');
    expect(sayCompares(height, 'in')).toContain('3 15/16 in above the crotch line');
    expect(sayCompares(find(checks, 'fitClass'), 'cm')).toContain('with the one meant: loose.');
    expect(sayCompares(find(checks, 'backRise'), 'cm')).toBe('The seam along the rise with the back rise of the body.');
    const banded = draft({ settings: { bandDepth: 40 }, choices: { bandCounts: 'yes' } }).checks;
    expect(sayCompares(find(banded, 'wholeRise'), 'cm')).toContain('and the depth of the band');
    expect(Number(find(banded, 'wholeRise').value) - Number(find(banded, 'frontRise').value)).toBeCloseTo(
      Number(find(banded, 'backRise').value),
      6,
    );
  });
});

describe('an outline taken over as it lies', () => {
  const taken = (panel: Panel): Panel => ({ ...panel, source: { from: 'outline' } });
  const outline: Block = { ...block, front: taken(block.front), back: taken(block.back) };
  const figures = figuresOf(outline);

  it('is measured and checked like a drafted block, but for what only a sheet can mean', () => {
    const without = checkAgainstBody(worked, outline, figures);
    const all = checkAgainstBody(worked, block, figuresOf(block));
    expect(without.map((c) => c.id)).toEqual(all.map((c) => c.id).filter((id) => id !== 'fitClass'));
    for (const check of without) expect(Number.isNaN(check.value)).toBe(false);
    expect(find(without, 'hip').value).toBeCloseTo(Number(find(all, 'hip').value), 9);
  });

  it('has no hip laid off, no figures of a sheet beside its own, and nothing that the drafting changed', () => {
    expect(sheetHip(outline)).toBeUndefined();
    expect(sheetHip(block)).toBeCloseTo(1000 + 2 * 25.4 * 0.5, 0);
    expect(draftNotes(worked, outline, 'cm').filter((note) => /^(Front|Back): (the|no|too)/.test(note))).toEqual([]);
  });
});

describe('the rises', () => {
  const rises = { front: edgeLengths(block.front).rise, back: edgeLengths(block.back).rise };
  const bandOf = (d: Draft, id: CheckId): [number | undefined, number | undefined] => {
    const { low, high } = find(d.checks, id);
    return [low, high];
  };

  it('are three of which any two that were measured give the third; an estimate gives none', () => {
    const given = { ...measured, crotchLength: rises.front + rises.back, backRise: rises.back + 2 };
    const both = draft({ measured: given });
    expect(find(both.checks, 'frontRise')).toMatchObject({
      verdict: 'in',
      low: expect.closeTo(rises.front - 2 - 6, 6) as number,
      high: expect.closeTo(rises.front - 2 + 6, 6) as number,
    });
    const parts = draft({ measured: { ...measured, frontRise: rises.front, backRise: rises.back } });
    expect(find(parts.checks, 'wholeRise').verdict).toBe('in');
    expect(find(draft({ measured: { ...measured, backRise: rises.back } }).checks, 'frontRise').verdict).toBe(
      'unknown',
    );
    expect(find(draft().checks, 'wholeRise').verdict).toBe('unknown');
  });

  it('are wanted as the body’s, or with the crotch ease, shown as a sum', () => {
    const given = { measured: { ...measured, frontRise: rises.front, crotchLength: rises.front + rises.back } };
    const plain = draft(given);
    const eased = draft({ ...given, choices: { riseTo: 'ease' } });
    const ease = Number(eased.worked.ledger.get('crotchEase')?.value);
    expect(ease).toBeGreaterThan(0);
    for (const [id, times] of [
      ['frontRise', 1],
      ['wholeRise', 2],
    ] as const) {
      const [low = NaN, high = NaN] = bandOf(plain, id);
      expect(bandOf(eased, id)).toEqual([
        expect.closeTo(low + times * ease, 6) as number,
        expect.closeTo(high + times * ease, 6) as number,
      ]);
    }
    const said = sayCompares(find(eased.checks, 'frontRise'), 'cm');
    const [a = '', b = '', c = ''] = [rises.front, ease, rises.front + ease].map((mm) => (mm / 10).toFixed(1));
    expect(said).toContain(`and the crotch ease: ${a} cm + ${b} cm = ${c} cm`);
    expect(sayCompares(find(plain.checks, 'frontRise'), 'cm')).not.toContain('crotch ease');
  });

  it('that a sheet settles come to the body’s less the band that counts, and with the crotch ease where it is wanted', () => {
    const [solving] = SHEETS.filter((s) => s.solves?.some((w) => w.measure === 'backRise'));
    if (!solving) throw new Error('No sheet settles a rise');
    const body = inputFor(solving, measured);
    const risen = (choices: Record<string, string>, settings: Record<string, number> = {}): number => {
      const input = { ...body, choices, settings, measured: { ...body.measured, backRise: rises.back } };
      const outcome = computeDraft({ ...EMPTY_INPUT, ...input, sheet: solving });
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
      return edgeLengths(outcome.value.block.back).rise;
    };
    expect(risen({})).toBeCloseTo(rises.back, 0);
    expect(risen({ bandCounts: 'yes' }, { bandDepth: 12 })).toBeCloseTo(rises.back - 12, 0);
  });
});

describe('the inseams', () => {
  it('are cut with the back shorter to be stretched on, or equal where that was chosen', () => {
    const walked = (choices: Record<string, string>, sheet: DraftInput['sheet']): Check =>
      find(draft({ ...inputFor(sheet, measured), sheet, choices }).checks, 'inseamWalk');
    for (const sheet of SHEETS) {
      const equal = walked({ inseams: 'equal' }, sheet);
      expect([sheet.id, equal.low, equal.high]).toEqual([sheet.id, -1, 1]);
      expect(sayCompares(equal, 'cm')).toContain('cut to one length');
      const stretched = walked({}, sheet);
      expect([sheet.id, stretched.low]).toEqual([sheet.id, 0]);
      if (stretched.high === 6) expect([sheet.id, equal.value]).toEqual([sheet.id, expect.closeTo(0, 0) as number]);
    }
  });
});
