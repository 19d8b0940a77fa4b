import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { isSound, outlineOf } from '../draft/index.js';
import {
  flatten,
  isStraight,
  mapPath,
  nearestPlace,
  pathLength,
  point,
  splineSlopes,
  type Path,
} from '../geometry/index.js';
import { SHIPPED_CHARTS } from '../measure/index.js';
import { PANEL_NAMES } from '../method/index.js';
import { refusalsSentence } from '../refusal/index.js';
import { readerIn } from '../units/index.js';
import { SHEETS, sheetById } from '../shipped/index.js';
import { gradedPattern, gradeRuleOf, movesBetween, type GradeRule } from './index.js';

type Sheet = (typeof SHEETS)[number];
const chart = SHIPPED_CHARTS.find((c) => c.figure === 'woman');
const SIZES = (chart?.sizes ?? []).slice(2, 9);
const LAST = SIZES.length - 1;
const nameOf = (i: number): string => SIZES[i]?.name ?? '';

function drafted(sheet: Sheet, size: number, more: Partial<DraftInput> = {}): Draft {
  const outcome = computeDraft({
    ...EMPTY_INPUT,
    sheet,
    figure: 'woman',
    measured: SIZES[size]?.values ?? {},
    ...more,
  });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

function ruleBy(sheet: Sheet, more: Partial<DraftInput> = {}): GradeRule {
  const rule = gradeRuleOf(SIZES.map(({ name }, i) => ({ name, block: drafted(sheet, i, more).block })));
  if (!rule) throw new Error('no rule');
  return rule;
}

function graded(base: Draft, rule: GradeRule, from: number, to: number, more: Partial<DraftInput> = {}): Draft {
  const pattern = gradedPattern(base.block, rule, nameOf(from), nameOf(to), { name: 'x', date: '2026-05-05' });
  if (!pattern.ok) throw new Error(JSON.stringify(pattern.refusals));
  return drafted(sheetById('quarter-and-half') as Sheet, to, { ...more, pattern: pattern.value });
}

/** The farthest that an outline stands from another, crease on crease and crotch line on crotch line, in mm. */
function apart(a: Draft, b: Draft, name: 'front' | 'back'): number {
  const [is, was] = [a.block[name], b.block[name]];
  const dx = was.crease - is.crease;
  const dy = was.points.crotchPoint.y - is.points.crotchPoint.y;
  const laid: Path = mapPath(outlineOf(is), (p) => point(p.x + dx, p.y + dy));
  return Math.max(...flatten(laid, 3).map((p) => nearestPlace(outlineOf(was), p).distance));
}

describe('a grade rule', () => {
  it.each(SHEETS.map((sheet) => [sheet.id, sheet] as const))(
    'written from sizes by %s makes every one of them again of any of them',
    (_, sheet) => {
      const rule = ruleBy(sheet);
      for (const [from, to] of [
        [0, LAST],
        [LAST, 0],
        [3, 4],
        [3, 3],
      ] as const) {
        const [base, wanted] = [drafted(sheet, from), drafted(sheet, to)];
        // Of a size with as many darts: another has its waist elsewhere.
        if (PANEL_NAMES.some((n) => base.block[n].darts.length !== wanted.block[n].darts.length)) continue;
        const made = graded(base, rule, from, to);
        for (const name of PANEL_NAMES) {
          expect(apart(made, wanted, name), `${from} to ${to} ${name}`).toBeLessThan(0.05);
          const [darts, asked] = [made.block[name].darts, wanted.block[name].darts];
          for (const [i, dart] of darts.entries()) expect(dart.intake).toBeCloseTo(asked[i]?.intake ?? NaN, 1);
        }
      }
    },
  );

  it('carries another garment by the same steps: it grows as the rule says, its straights stay straight, its rise one bend', () => {
    const rule = ruleBy(sheetById('quarter-and-half') as Sheet);
    let [rises, wavy] = [0, 0];
    for (const other of SHEETS.filter((s) => s.fitClass !== 'knit')) {
      const base = drafted(other, 3);
      for (const to of [0, LAST]) {
        const made = graded(base, rule, 3, to);
        for (const name of PANEL_NAMES) {
          const [is, was] = [made.block[name], base.block[name]];
          expect(isSound(is), `${other.id} ${name}`).toBe(true);
          const moves = movesBetween(rule, name, nameOf(3), nameOf(to));
          const [side, inseam] = [moves.get('sideHem'), moves.get('inseamHem')];
          const grown = (inseam?.x ?? NaN) - (side?.x ?? NaN);
          expect(pathLength(is.edges.hem) - pathLength(was.edges.hem)).toBeCloseTo(grown, 0);
          const shin = ({ edges, joints }: typeof is): boolean =>
            edges.side.slice(joints.sideKnee).every((c) => isStraight(c, 0.01));
          if (shin(was)) expect(shin(is), `${other.id} ${name}`).toBe(true);
          const bendsAgain = (d: Draft): number =>
            d.checks.find((c) => c.id === `${name}RiseLine`)?.measures?.find((m) => m.id === 'again')?.value ?? NaN;
          rises += 1;
          if (!(bendsAgain(made) < bendsAgain(base) + 0.06)) wavy += 1;
        }
      }
    }
    expect(wavy).toBeLessThanOrEqual(0.06 * rises);
  });

  it('carries what was altered on one size to every other', () => {
    const sheet = sheetById('quarter-and-half') as Sheet;
    const rule = ruleBy(sheet);
    const plain = drafted(sheet, 3);
    const scooped = drafted(sheet, 3, {
      alterations: [
        { id: 'a', on: true, note: '', work: { kind: 'scoop', panel: 'back', by: 6, at: 0.5, keepLength: false } },
      ],
    });
    for (const to of [0, 2, LAST]) {
      const [with6, without] = [graded(scooped, rule, 3, to), graded(plain, rule, 3, to)];
      const gone = apart(with6, without, 'back');
      expect(gone).toBeGreaterThan(4);
      expect(gone).toBeLessThan(8);
      expect(apart(with6, without, 'front')).toBeLessThan(0.05);
    }
  });

  it('carries a dart that its sizes do not have as it is', () => {
    const rule = ruleBy(sheetById('twentieth-and-tenth') as Sheet);
    const base = drafted(sheetById('skirt-leg') as Sheet, 3);
    expect(rule.places.back.some((p) => p.id.startsWith('dart'))).toBe(false);
    expect(base.block.back.darts.length).toBeGreaterThan(0);
    const made = graded(base, rule, 3, LAST);
    expect(made.block.back.darts.map((d) => d.intake.toFixed(1))).toEqual(
      base.block.back.darts.map((d) => d.intake.toFixed(1)),
    );
  });

  it('is none of one size, nor of sizes of which only some go below the knee, and says why it cannot grade', () => {
    const sheet = sheetById('quarter-and-half') as Sheet;
    const size = (i: number): { name: string; block: Draft['block'] } => ({
      name: nameOf(i),
      block: drafted(sheet, i).block,
    });
    const short = (i: number): ReturnType<typeof size> => {
      const { name, block } = size(i);
      const cut = (panel: typeof block.front): typeof block.front => ({ ...panel, kneeOnPiece: false });
      return { name, block: { ...block, front: cut(block.front), back: cut(block.back) } };
    };
    expect(gradeRuleOf([size(0)])).toBeUndefined();
    expect(gradeRuleOf([size(0), short(1)])).toBeUndefined();
    const rule = ruleBy(sheet);
    const about = { name: 'x', date: '2026-05-05' };
    const said = (block: Draft['block'], to: string): string => {
      const outcome = gradedPattern(block, rule, nameOf(1), to, about);
      return outcome.ok ? '' : refusalsSentence(outcome.refusals, readerIn('cm'));
    };
    expect(said(size(1).block, '99')).toContain('no size 99');
    expect(said(short(1).block, nameOf(2))).toContain('knee');
  });
});

describe('the slopes of a spline', () => {
  it('are those of any parabola, at the ends too, and of a straight through two', () => {
    const ats = [0, 3, 4, 9, 11];
    const gaps = ats.slice(1).map((s, i) => s - (ats[i] ?? 0));
    const slopes = splineSlopes(
      gaps,
      ats.map((s) => 2 + 3 * s - 0.25 * s * s),
      undefined,
      undefined,
    );
    for (const [i, s] of ats.entries()) expect(slopes[i]).toBeCloseTo(3 - 0.5 * s, 9);
    expect(splineSlopes([4], [1, 9], undefined, undefined)).toEqual([2, 2]);
    expect(splineSlopes([4], [1, 9], 5, undefined)[0]).toBe(5);
  });
});
