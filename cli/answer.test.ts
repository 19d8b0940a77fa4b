import { describe, expect, it } from 'vitest';
import { judgePanel, judgePair, type JudgedPanel, type Span } from '../bench/line-judge.js';
import { computeDraft } from '../core/chain/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { answerTo } from './answer.js';
import { readOrder } from './order.js';

type Sides<T> = Readonly<Record<'front' | 'back', T>>;

interface Answer {
  readonly frame: Readonly<Record<string, number>>;
  readonly front: Readonly<Record<string, number>>;
  readonly back: Readonly<Record<string, number>>;
  readonly seams: Sides<JudgedPanel['seams']>;
  readonly points: Sides<JudgedPanel['points']>;
  readonly darts: Sides<JudgedPanel['darts']>;
  readonly drawn: Sides<Readonly<Record<string, number>>>;
  readonly drawnWhy: Sides<Readonly<Record<string, string>>>;
  readonly edges: Sides<Readonly<Record<string, number>>>;
  readonly checks: readonly {
    readonly id: string;
    readonly verdict: string;
    readonly value: unknown;
    readonly measures?: readonly {
      readonly id: string;
      readonly panel: string | null;
      readonly value: number | null;
      readonly low: number | null;
      readonly high: number | null;
      readonly unit: string;
    }[];
  }[];
  readonly warnings: readonly string[];
}

const MIDDLE = { unit: 'cm', waist: 78, hip: 100, crotchDepth: 27.2, inseam: 78 };

/** The answer to an order, as it reads once it has been written and read again. */
function answered(order: object): Answer {
  const read = readOrder({ measurements: MIDDLE, ...order });
  if (!read.ok) throw new Error(JSON.stringify(read.refusals));
  const outcome = computeDraft(read.value.input);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return JSON.parse(JSON.stringify(answerTo(outcome.value, read.value.input.measured, 'cm'))) as Answer;
}

const PANELS = ['front', 'back'] as const;
const OUTLINE = ['waist', 'side', 'hem', 'inseam', 'rise'] as const;

const at = (span: Span, t: number): readonly [number, number] => {
  const s = 1 - t;
  const [a, b, c, d] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
  const of = (k: number): number =>
    a * (span[k] ?? NaN) + b * (span[k + 2] ?? NaN) + c * (span[k + 4] ?? NaN) + d * (span[k + 6] ?? NaN);
  return [of(0), of(1)];
};
const places = (seam: readonly Span[]): (readonly [number, number])[] =>
  seam.flatMap((span) => Array.from({ length: 65 }, (_, i) => at(span, i / 64)));
const apart = ([x, y]: readonly [number, number], [u, v]: readonly [number, number]): number =>
  Math.hypot(x - u, y - v);
const lengthOf = (seam: readonly Span[]): number =>
  places(seam).reduce((sum, p, i, all) => sum + (i === 0 ? 0 : apart(p, all[i - 1] ?? p)), 0);
const first = (seam: readonly Span[]): readonly [number, number] => at(seam[0] ?? [], 0);
const last = (seam: readonly Span[]): readonly [number, number] => at(seam.at(-1) ?? [], 1);
const point = (answer: Answer, panel: 'front' | 'back', name: string): readonly [number, number] => {
  const p = answer.points[panel][name];
  if (!p) throw new Error(`No ${name}`);
  return p;
};

describe('the seams of an answer', () => {
  it('run round each piece without a gap, from one named corner to the next, as long as the edges say', () => {
    for (const { id } of SHEETS) {
      const answer = answered({ method: id });
      for (const panel of PANELS) {
        const seams = answer.seams[panel];
        for (const [i, name] of OUTLINE.entries()) {
          const next = OUTLINE[(i + 1) % OUTLINE.length] ?? 'waist';
          expect(apart(last(seams[name]), first(seams[next]))).toBeLessThan(1e-6);
          for (const [k, span] of seams[name].entries()) {
            expect(span).toHaveLength(8);
            const before = seams[name][k - 1];
            if (before) expect(apart(at(before, 1), at(span, 0))).toBeLessThan(1e-6);
          }
          // A waist is as long as it is with its darts closed.
          const length = lengthOf(name === 'waist' ? seams.closedWaist : seams[name]);
          expect(Math.abs(length - (answer.edges[panel][name] ?? NaN))).toBeLessThan(0.05);
        }
        expect(apart(first(seams.waist), point(answer, panel, 'centreWaist'))).toBeLessThan(1e-6);
        expect(apart(first(seams.side), point(answer, panel, 'sideWaist'))).toBeLessThan(1e-6);
        expect(apart(last(seams.side), point(answer, panel, 'sideHem'))).toBeLessThan(1e-6);
        expect(apart(first(seams.inseam), point(answer, panel, 'inseamHem'))).toBeLessThan(1e-6);
        expect(apart(first(seams.rise), point(answer, panel, 'crotchPoint'))).toBeLessThan(1e-6);
        // Closed, the waist begins where the open one does: at the centre.
        expect(apart(first(seams.closedWaist), first(seams.waist))).toBeLessThan(1e-6);
      }
    }
  });

  it('meet every measure of their lines on the middle body, read by one who knows nothing but them', () => {
    for (const sheet of SHEETS) {
      const answer = answered({ method: sheet.id });
      const judged = (panel: 'front' | 'back'): JudgedPanel => ({
        seams: answer.seams[panel],
        points: answer.points[panel],
        darts: answer.darts[panel],
      });
      for (const panel of PANELS) {
        const as = {
          name: panel,
          size: 1,
          straightSide: sheet.straightSide ?? false,
          plumbLeg: sheet.plumbLeg ?? false,
          crotchLevel: answer.frame['crotchLevel'] ?? NaN,
          kneeLevel: answer.frame['kneeLevel'],
          dartLength: answer[panel]['dartLength'] ?? NaN,
        };
        expect([sheet.id, panel, judgePanel(judged(panel), as)]).toEqual([sheet.id, panel, []]);
      }
      const own = sheet.surplus !== undefined || sheet.straightSide === true;
      expect([sheet.id, judgePair(judged('front'), judged('back'), own)]).toEqual([sheet.id, []]);
    }
  });
});

describe('what is drawn', () => {
  it('stands beside the sheet’s figures, with a reason for each that is another', () => {
    for (const { id } of SHEETS) {
      const answer = answered({ method: id, measurements: { ...MIDDLE, waist: 70 } });
      for (const panel of PANELS) {
        const [drawn, sheet, why] = [answer.drawn[panel], answer[panel], answer.drawnWhy[panel]];
        for (const name of ['extension', 'crotchDrop', 'centreIn', 'centreLift', 'dartIntake', 'hemWidth'] as const) {
          const [is, says] = [drawn[name], sheet[name]];
          if (is !== undefined && says !== undefined && Math.abs(is - says) > 1) expect(why[name]).toBeDefined();
        }
        expect(drawn['dartCount']).toBe(answer.darts[panel].length);
        const [crotchX, crotchY] = point(answer, panel, 'crotchPoint');
        const [centreX] = point(answer, panel, 'corner');
        expect(Math.abs((drawn['extension'] ?? NaN) - (crotchX - centreX))).toBeLessThan(0.5);
        expect(Math.abs((drawn['crotchDrop'] ?? NaN) - (crotchY - (answer.frame['crotchLevel'] ?? NaN)))).toBeLessThan(
          0.5,
        );
      }
    }
  });

  it('is that of the altered piece once it has been altered', () => {
    const hip = { line: 'hipLevel', by: 0 };
    const wedge = {
      kind: 'wedge',
      panel: 'back',
      from: { edge: 'rise', level: hip },
      hinge: { edge: 'side', level: hip },
      by: '12mm',
    };
    const [plain, wedged] = [answered({}), answered({ alterations: [wedge] })];
    expect((wedged.drawn.back['centreLift'] ?? NaN) - (plain.drawn.back['centreLift'] ?? NaN)).toBeGreaterThan(8);
    expect(wedged.back['centreLift']).toBe(plain.back['centreLift']);
    expect(lengthOf(wedged.seams.back.rise) - lengthOf(plain.seams.back.rise)).toBeCloseTo(12, 0);
    expect(wedged.drawnWhy.back['centreLift']).toContain('lter');
  });
});

describe('the checks of an answer', () => {
  it('carry each measure of a line with its band', () => {
    const { checks } = answered({});
    for (const id of ['frontRiseLine', 'backRiseLine', 'sideLine', 'kneeLine', 'waistLine']) {
      const check = checks.find((c) => c.id === id);
      expect(check?.verdict).toBe('in');
      expect(check?.measures?.length).toBeGreaterThan(2);
      for (const { value, low, high } of check?.measures ?? []) {
        expect(low === null && high === null).toBe(false);
        if (value === null) continue;
        if (low !== null) expect(value).toBeGreaterThan(low * 0.98);
        if (high !== null) expect(value).toBeLessThan(high * 1.02 + 1e-9);
      }
    }
    expect(checks.some((c) => c.id === 'curve')).toBe(false);
  });
});

describe('settings of an order', () => {
  it('take where the waist sits, a band that counts, a leg to the hem from the waist or from the side', () => {
    const plain = answered({});
    const banded = answered({ settings: { bandCounts: 'yes', bandDepth: 4, waistSits: 'low' } });
    for (const level of ['hipLevel', 'crotchLevel', 'kneeLevel'])
      expect((plain.frame[level] ?? NaN) - (banded.frame[level] ?? NaN)).toBeCloseTo(40, 6);
    const short = answered({ settings: { waistToHem: 45, legFrom: 'side' } });
    expect(short.frame['hemLevel']).toBeCloseTo(450, 6);
    const sides = PANELS.map((panel) => {
      const [crotch] = places(short.seams[panel].side).filter(([, y]) => y > (short.frame['crotchLevel'] ?? NaN));
      return Math.abs((crotch?.[0] ?? NaN) - point(short, panel, 'sideHem')[0]);
    });
    for (const off of sides) expect(off).toBeLessThan(2);
    for (const panel of PANELS)
      expect(Math.abs(lengthOf(short.seams[panel].rise) - lengthOf(plain.seams[panel].rise))).toBeLessThan(0.1);
  });
});
