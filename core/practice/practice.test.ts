import { describe, expect, it } from 'vitest';
import { seeded, waysOf } from '../../bench/random-body.js';
import { bodyOf, computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { edgeLengths } from '../draft/index.js';
import { endDirection, startDirection, type Point } from '../geometry/index.js';
import { inputOf } from '../kept/index.js';
import { findDoubts, isMeasurementId } from '../measure/index.js';
import { PANEL_NAMES, parseFormula, SHEETS_OWN_FIT, workOut, type Sheet } from '../method/index.js';
import { SHEETS } from '../shipped/index.js';
import { formatLength, fromMm, snapTo, tapeFor, toMm } from '../units/index.js';
import {
  bodyPutRight,
  COURSE,
  curveTasks,
  drawnCurve,
  judgeCurve,
  judgeLength,
  judgePoint,
  judgeSum,
  judgeTape,
  lessonOn,
  LEVELS_OF_FIGURES,
  methodSums,
  pieceOfLesson,
  pointTasks,
  practiceBody,
  stepsToAsk,
  SUBJECT_IDS,
  subjectSums,
  tapesFor,
  unitOfLevel,
  wrongTape,
  type CurveTask,
  type Lesson,
  type LessonOnBody,
  type SetSum,
} from './index.js';
import { loweredTasks } from './lines.js';
import { paperOf } from './paper-sum.js';
import { paperContext, setSum } from './sums.js';
import type { SumContext } from './sum-words.js';

const inch = (x: number): number => toMm(x, 'in');

/** A sum of one formula, set on figures given in inches, that comes out as `right`; nothing where it is not set. */
function sumOf(formula: string, figures: Readonly<Record<string, number>>, right: number): SetSum | undefined {
  const context: SumContext = {
    unit: 'in',
    figureOf: (name) => (figures[name] === undefined ? undefined : inch(figures[name])),
    nameOf: (name) => name,
    kindOf: () => 'length',
    isMeasured: isMeasurementId,
  };
  const parsed = parseFormula(formula);
  if (!parsed.ok) throw new Error(parsed.error.sentence);
  return setSum('s', { label: 'Quarter', reason: 'So it is.' }, parsed.node, inch(right), context);
}

const QUARTER = sumOf('hip / 4', { hip: 37.5, waist: 29 }, 9.375) as SetSum;

/** What is found of an answer: the verdict, or the kinds of slips. */
const found = (sum: SetSum, text: string): string | readonly string[] => {
  const judged = judgeSum(sum, text);
  return judged.verdict === 'slip' ? judged.slips.map((s) => s.kind) : judged.verdict;
};

const onBody = (method: string, seed: number, level: (typeof LEVELS_OF_FIGURES)[number] = 'eighths'): LessonOnBody => {
  const sheet = SHEETS.find((s) => s.id === method) as Sheet;
  return lessonOn(sheet, { id: 'x', title: '', about: '', level, method }, seed) as LessonOnBody;
};

/** A body's draft as a lesson lays it off, and as it is trued. */
function laidAndTrued(method: string, seed: number): { readonly laid: Draft; readonly trued: Draft } {
  const { draft: laid, measured, fit } = onBody(method, seed);
  const sheet = SHEETS.find((s) => s.id === method) as Sheet;
  const trued = computeDraft({ ...EMPTY_INPUT, sheet, measured, fit });
  if (!trued.ok) throw new Error('no draft');
  return { laid, trued: trued.value };
}

describe('an answer to a sum', () => {
  it('is right however makers write it', () => {
    for (const text of ['9 3/8', '9.375', '9-3/8"', '9⅜', '238.125 mm', '23.8 cm'])
      expect(found(QUARTER, text)).toBe('right');
  });

  it('is near beside it, and says by how much and what it is', () => {
    expect(judgeSum(QUARTER, '9 1/2')).toEqual({
      verdict: 'near',
      said: 'Near: 1/8 in too much. 37 1/2 ÷ 4 = 9 3/8 in.',
    });
    expect(judgeSum(QUARTER, '9 5/8')).toEqual({
      verdict: 'wrong',
      said: '1/4 in too much. The sum is 37 1/2 ÷ 4 = 9 3/8 in.',
    });
  });

  it('that is no length asks for one by name, with an example', () => {
    expect(judgeSum(QUARTER, 'nine').said).toBe('Quarter: “nine” is not a length. Type a figure such as 10 3/4.');
    expect(judgeSum(QUARTER, '').verdict).toBe('unread');
  });

  it('that a slip gives is told by that slip', () => {
    expect(found(QUARTER, '9 3/4')).toContain('fractionWhole');
    expect(found(QUARTER, '18 3/4')).toEqual(['divideLess']);
    expect(found(QUARTER, '4 11/16')).toEqual(['divideAgain']);
    expect(found(QUARTER, '37 1/2')).toEqual(['undivided']);
    expect(found(QUARTER, '7 1/4')).toEqual(['otherMeasure']);
    expect(found(QUARTER, '9 1/4')).toEqual(['fractionLost']);
    expect(found(QUARTER, '18 3/8')).toEqual(['digits']);
    expect(found(QUARTER, '93.75')).toEqual(['tenfold']);
    expect(found(QUARTER, '23 13/16')).toEqual(['answerUnit']);
    expect(found(QUARTER, '30')).toBe('wrong');
    expect(judgeSum(QUARTER, '18 3/4').said).toBe(
      'That is a half of the hip (37 1/2 in), not a quarter. The sum is 37 1/2 ÷ 4 = 9 3/8 in.',
    );
  });

  it('finds terms left out, taken twice and turned, and brackets lost', () => {
    const sum = sumOf('(hip / 4 - split) / 2', { hip: 40, split: 1 }, 4.5) as SetSum;
    expect(found(sum, '5')).toEqual(['leftOut']);
    expect(found(sum, '4')).toEqual(['twice']);
    expect(found(sum, '5 1/2')).toEqual(['turned']);
    expect(found(sum, '9 1/2')).toEqual(['partDivided', 'divideLess']);
    expect(found(sum, '9')).toEqual(['undivided']);
  });

  it('finds a share taken for its rest and half of it, a twentieth for a fortieth, tenths for eighths', () => {
    const sum = sumOf('hip * 0.46', { hip: 40 }, 18.4) as SetSum;
    expect(found(sum, '21 5/8')).toEqual(['rest']);
    expect(found(sum, '9.2')).toEqual(['divideAgain']);
    expect(found(sum, '18 1/2')).toEqual(['eighths']);
    expect(found(sumOf('hip / 20', { hip: 40 }, 2) as SetSum, '1')).toEqual(['divideAgain']);
  });

  it('finds a limit passed over and a constant read in the other unit', () => {
    const sum = sumOf('min(hip / 8, 4 in)', { hip: 40 }, 4) as SetSum;
    expect(found(sum, '5')).toEqual(['limit']);
    const added = sumOf('waist + 3 in', { waist: 29 }, 32) as SetSum;
    expect(found(added, '30 3/16')).toEqual(['otherUnit']);
  });

  it('that fits two slips is told both', () => {
    const sum = sumOf('hip / 4 + ease / 4', { hip: 40, ease: 2 }, 10.5) as SetSum;
    const judged = judgeSum(sum, '11');
    expect(judged.verdict === 'slip' && judged.slips.map((s) => s.kind).sort()).toEqual(['divideLess', 'twice']);
    expect(judged.said).toContain(' Or: ');
  });

  it('is not asked where somebody may slip and still be right', () => {
    expect(sumOf('hip / 4', { hip: 40, waist: 40 }, 10)).toBeUndefined();
    expect(sumOf('hip / 4 - split', { hip: 40, split: 1 / 64 }, 10 - 1 / 64)).toBeUndefined();
    expect(sumOf('hip / 4 - split', { hip: 40, split: 1 }, 9)).toBeDefined();
  });

  it('has hints in three steps: why, by names, by figures', () => {
    const sum = sumOf('(hip / 4 - split) / 4', { hip: 39, split: 1 }, 2.1875) as SetSum;
    expect(sum.hints).toEqual(['So it is.', '(hip ÷ 4 − split) ÷ 4', '(39 ÷ 4 − 1) ÷ 4']);
  });
});

describe('the sums of a method', () => {
  const BODIES = 12;

  it('name every slip, call no right answer wrong and no wrong one right, by every method in every way', () => {
    const random = seeded(22);
    let set = 0;
    for (const sheet of SHEETS)
      for (const choices of waysOf(sheet))
        for (let i = 0; i < BODIES; i += 1) {
          const level = LEVELS_OF_FIGURES[i % LEVELS_OF_FIGURES.length] ?? 'eighths';
          const unit = unitOfLevel(level);
          const body = practiceBody(Math.floor(random() * 1e9), level, sheet.meantFor);
          const pair = { pairFrontThigh: body.hip * 0.29, pairThigh: body.hip * 0.66 };
          const fit = sheet.fitClass === 'knit' ? { stretch: 0.5 } : SHEETS_OWN_FIT;
          const worked = workOut(sheet, {
            ...EMPTY_INPUT,
            body: bodyOf({
              ...EMPTY_INPUT,
              sheet,
              measured: sheet.id === 'finished-pair' ? { ...body, ...pair } : body,
            }),
            fit,
            choices,
          });
          if (!worked.ok) throw new Error(`${sheet.id} cannot be worked out`);
          const paper = paperOf(worked.value, unit);
          const context = paperContext(paper);
          for (const [name, { node, right, without, line }] of paper.sums) {
            const sum = setSum(name, { label: name, reason: line.reason }, node, right, context, without);
            if (!sum) continue;
            set += 1;
            const half = sum.step / 2;
            expect(judgeLength(sum, right).verdict, name).toBe('right');
            expect(judgeLength(sum, snapTo(right, sum.step)).verdict, name).toBe('right');
            for (const slip of sum.slips) {
              const judged = judgeLength(sum, slip.mm);
              const named =
                judged.verdict === 'slip' && judged.slips.some((s) => Math.abs(s.mm - slip.mm) <= half + 1e-6);
              expect(named, `${sheet.id} ${name}: ${slip.said}`).toBe(true);
            }
            const other = right + (random() - 0.5) * 100;
            expect(judgeLength(sum, other).verdict === 'right').toBe(Math.abs(other - right) <= half + 1e-6);
          }
        }
    expect(set).toBeGreaterThan(6000);
  });

  it('stand in the order of the work, each resting on figures that are on the tape', () => {
    const { draft } = onBody('quarter-and-half', 5);
    const steps = methodSums(draft, 'in');
    expect(steps.map((s) => s.title).slice(0, 4)).toEqual([
      'Work out the girths',
      'Draw the levels',
      'Front: lay off the width',
      'Front: put the crotch point',
    ]);
    for (const { sums } of steps)
      for (const { figure } of sums.flatMap((s) => s.given)) expect(figure).toMatch(/^\d+$|^(\d+ )?\d+\/(2|4|8|16)$/);
  });

  it('never give a figure that is asked only later, by any method', () => {
    const out: string[] = [];
    for (const { id } of SHEETS)
      for (const seed of [3, 4, 5]) {
        const sums = methodSums(onBody(id, seed).draft, 'in').flatMap((s) => s.sums);
        const asked = sums.map((s) => s.id);
        sums.forEach((sum, i) => {
          for (const { name } of sum.given) if (asked.indexOf(name) > i) out.push(`${id}: ${sum.id} gives ${name}`);
        });
      }
    expect([...new Set(out)]).toEqual([]);
  });

  it('go on from figures that were rounded to the tape, and leave out what is nought', () => {
    const { draft } = onBody('quarter-and-half', 5, 'odd');
    const { figures, sums } = paperOf(draft.worked, 'in');
    for (const name of sums.keys()) {
      const sixteenths = fromMm(figures.get(name) ?? 0, 'in') * 16;
      expect(sixteenths - Math.round(sixteenths), name).toBeCloseTo(0, 6);
    }
    const sheet = SHEETS.find((s) => s.id === 'quarter-and-half') as Sheet;
    const choices = { variant: 'surplus-shared' };
    const shared = lessonOn(sheet, { id: 'x', title: '', about: '', level: 'eighths', choices }, 5) as LessonOnBody;
    const told = methodSums(shared.draft, 'in').flatMap((s) => s.sums.map((sum) => sum.told));
    expect(told.filter((words) => /[+−] 0( |$)/.test(words))).toEqual([]);
    expect(told.some((words) => /^\d+( \d\/\d)? ÷ 4 = /.test(words))).toBe(true);
  });

  it('give the extension of a known body: a quarter of 38 in less the split, and a quarter of that', () => {
    const sheet = SHEETS.find((s) => s.id === 'quarter-and-half') as Sheet;
    const four = { waist: inch(30), hip: inch(38), crotchDepth: inch(10), inseam: inch(30) };
    const drafted = computeDraft({ ...EMPTY_INPUT, sheet, measured: four, choices: { variant: 'even' } });
    if (!drafted.ok) throw new Error('no draft');
    const sums = methodSums(drafted.value, 'in').flatMap((s) => s.sums);
    const told = (id: string): string | undefined => sums.find((s) => s.id === id)?.told;
    expect(told('front.extension')).toBe('(38 ÷ 4 − 1/4) ÷ 4 = 2 5/16 in');
    expect(told('back.extension')).toBe('(38 ÷ 4 + 1/4) ÷ 2 = 4 7/8 in');
    expect(told('front.hipWidth')).toBe('38 ÷ 4 − 1/4 + 1 ÷ 4 = 9 1/2 in');
  });
});

describe('the sums beside the methods', () => {
  it('are those of truing, allowances, checks and chalk on the draft, and come out as the draft is', () => {
    const { laid, trued } = laidAndTrued('quarter-and-half', 9);
    const draft = trued;
    for (const unit of ['in', 'cm'] as const)
      for (const id of SUBJECT_IDS) {
        const sums = subjectSums(id, trued, unit, laid);
        // In sixteenths some of what truing moves is too little to be a sum.
        expect(sums.length, id).toBeGreaterThan(id === 'truing' ? 2 : 3);
        for (const sum of sums) expect(judgeLength(sum, sum.right).verdict).toBe('right');
      }
    const { crotchLevel, kneeLevel } = draft.block.levels;
    const down = subjectSums('chalk', draft, 'cm').find((s) => s.id === 'crotchToKnee');
    expect(Math.abs((down?.right ?? 0) - (kneeLevel - crotchLevel))).toBeLessThanOrEqual(1);
    const hem = subjectSums('allowances', draft, 'cm').find((s) => s.id === 'frontHemCut');
    const { sideHem, inseamHem } = draft.block.front.points;
    expect(Math.abs((hem?.right ?? 0) - (inseamHem.x - sideHem.x + 20))).toBeLessThan(2);
  });
});

describe('truing', () => {
  it('asks what the draft itself does: the back is lowered by what it has more, and walks', () => {
    for (const seed of [2, 9, 31]) {
      const { laid, trued } = laidAndTrued('quarter-and-half', seed);
      const { settled, points } = trued.block.back;
      const rightOf = (id: string): number =>
        subjectSums('truing', trued, 'cm', laid).find((s) => s.id === id)?.right ?? NaN;
      // To the millimetre of a tape: a figure on either side of each sum is rounded, and the seams slant.
      expect(Math.abs(rightOf('crotchDown') - settled.crotchPoint)).toBeLessThan(1.6);
      expect(Math.abs(rightOf('sideOver') + settled.sideWaist)).toBeLessThan(1.6);
      expect(rightOf('crotchDown') - rightOf('inseamOver')).toBeCloseTo(3, 9);
      const grown = edgeLengths(trued.block.back).rise - edgeLengths(laid.block.back).rise;
      expect(Math.abs(rightOf('riseMore') - grown)).toBeLessThan(1.1);
      const [crotch, side] = loweredTasks(laid, trued);
      expect(crotch).toMatchObject({ id: 'back.crotch point lowered', at: points.crotchPoint });
      // What is moved by less than a point may be off is not asked.
      expect(side?.at).toEqual(-settled.sideWaist < 3.5 ? undefined : points.sideWaist);
      expect(Math.abs((crotch?.lowered?.by ?? 0) - settled.crotchPoint)).toBeLessThan(0.1);
      expect(crotch && judgePoint(crotch, crotch.lowered?.from ?? points.corner, 'in').verdict).toBe('near');
    }
  });

  it('is never asked otherwise than the draft is trued, by any method in any way', () => {
    let asked = 0;
    for (const sheet of SHEETS)
      for (const choices of waysOf(sheet)) {
        const lesson = { id: 'x', title: '', about: '', level: 'halves' as const, method: sheet.id, choices };
        const on = lessonOn(sheet, { ...lesson, subject: 'truing' }, 40);
        const trued = lessonOn(sheet, { ...lesson, subject: 'checks' }, on?.seed ?? 40);
        if (!on || !trued) continue;
        const [was, is] = [on.draft.block.back.points, trued.draft.block.back.points];
        for (const e of on.exercises) {
          if (e.kind !== 'sum' || (e.id !== 'crotchDown' && e.id !== 'sideOver')) continue;
          const point = e.id === 'crotchDown' ? 'crotchPoint' : 'sideWaist';
          asked += 1;
          expect(Math.abs(e.sum.right - (is[point].y - was[point].y)), `${sheet.id} ${e.id}`).toBeLessThan(2);
        }
      }
    expect(asked).toBeGreaterThan(60);
  });

  it('comes last: until then points lie where their figures put them', () => {
    const lesson: Lesson = { ...(COURSE.find((l) => l.id === 'whole-pair') as Lesson), level: 'halves' };
    const on = lessonOn(SHEETS[0] as Sheet, lesson, 8) as LessonOnBody;
    const { block } = on.draft;
    const crotch = on.exercises.find((e) => e.id === 'back.crotch point');
    expect(crotch?.kind === 'point' && crotch.task.at.y).toBeCloseTo(block.levels.crotchLevel, 9);
    expect(block.back.points.sideWaist.y).toBeCloseTo(0, 9);
    expect(on.exercises.slice(-7).map((e) => e.id)).toEqual([
      'inseamOver',
      'crotchDown',
      'sideOver',
      'riseMore',
      'wholeRise',
      'back.crotch point lowered',
      'back.side waist lowered',
    ]);
    // A lesson of a few steps is no whole pair, and one of points alone has no sums to true by.
    const few = lessonOn(SHEETS[0] as Sheet, { ...lesson, steps: ['back.crotchPoint'] }, 8);
    expect(few?.exercises.some((e) => e.id === 'crotchDown')).toBe(false);
  });
});

describe('bodies for practice', () => {
  it('are as hard as their level, and none is in doubt', () => {
    for (let seed = 1; seed <= 30; seed += 1)
      for (const level of LEVELS_OF_FIGURES) {
        const body = practiceBody(seed, level);
        const unit = unitOfLevel(level);
        expect(findDoubts(body, unit)).toEqual([]);
        for (const mm of Object.values(body)) {
          const eighths = fromMm(mm, 'in') * 8;
          if (level === 'whole') expect(eighths / 8 - Math.round(eighths / 8)).toBeCloseTo(0, 6);
          else if (level === 'halves') expect(mm / 5 - Math.round(mm / 5)).toBeCloseTo(0, 6);
          else {
            expect(eighths - Math.round(eighths)).toBeCloseTo(0, 6);
            if (level === 'odd') expect(Math.round(eighths) % 2).toBe(1);
          }
        }
      }
    expect(practiceBody(7, 'odd')).toEqual(practiceBody(7, 'odd'));
    expect(practiceBody(7, 'odd')).not.toEqual(practiceBody(8, 'odd'));
  });

  it('have one wrong tape among them that the others give away', () => {
    const wrongs = new Set<string>();
    for (let seed = 1; seed <= 24; seed += 1)
      for (const level of LEVELS_OF_FIGURES) {
        const tape = wrongTape(seed, level);
        wrongs.add(tape.wrong);
        expect(findDoubts(tape.figures, unitOfLevel(level)).map((d) => d.field)).toContain(tape.wrong);
        const mended = { ...tape.figures, [tape.wrong]: tape.was };
        expect(findDoubts(mended, unitOfLevel(level))).toEqual([]);
        expect(judgeTape(tape, tape.wrong).verdict).toBe('right');
        const other = tape.wrong === 'hip' ? 'waist' : 'hip';
        expect(judgeTape(tape, other).said).toMatch(/is sound; it is the /);
      }
    expect(wrongs.size).toBeGreaterThan(4);
  });
});

describe('points and curves', () => {
  it('are right where they belong, else told which way they have to go', () => {
    const [task] = pointTasks(onBody('quarter-and-half', 3).draft, 'in');
    if (!task) throw new Error('no point');
    const { at } = task;
    expect(judgePoint(task, { x: at.x + 2, y: at.y }, 'in').verdict).toBe('right');
    expect(judgePoint(task, { x: at.x, y: at.y + inch(3 / 8) }, 'in')).toMatchObject({
      verdict: 'near',
      said: `The ${task.label} is 3/8 in too low.`,
    });
    expect(judgePoint(task, { x: at.x - inch(2), y: at.y - inch(1) }, 'in')).toMatchObject({
      verdict: 'wrong',
      said: `The ${task.label} is 1 in too high and 2 in too far to the side.`,
    });
  });

  /** The best that two handles along the ends of the master's line can do. */
  function bestOf(task: CurveTask): ReturnType<typeof judgeCurve> {
    const [start, end] = [startDirection(task.master), endDirection(task.master)];
    const chord = Math.hypot(task.to.x - task.from.x, task.to.y - task.from.y);
    const along = (p: Point, way: Point, by: number): Point => ({ x: p.x + way.x * by, y: p.y + way.y * by });
    let best: ReturnType<typeof judgeCurve> | undefined;
    for (let a = 0.1; a <= 0.8; a += 0.05)
      for (let b = 0.05; b <= 0.8; b += 0.05) {
        const curve = drawnCurve(
          task.from,
          along(task.from, start, a * chord),
          along(task.to, end, -b * chord),
          task.to,
        );
        const judged = judgeCurve(task, curve, 'cm');
        if (!best || (judged.verdict === 'right' && best.verdict !== 'right') || judged.off < best.off) best = judged;
        if (best.verdict === 'right') return best;
      }
    if (!best) throw new Error('nothing was drawn');
    return best;
  }

  it('of every method can be drawn so that they are right, with two handles', () => {
    const out: string[] = [];
    for (const { id } of SHEETS)
      for (const task of curveTasks(onBody(id, 11).draft, 'in')) {
        const best = bestOf(task);
        if (best.verdict !== 'right') out.push(`${id} ${task.id}: ${best.said}`);
      }
    expect(out).toEqual([]);
  });

  it('that run straight, wave or turn a corner are not right, and are told why', () => {
    const tasks = curveTasks(onBody('quarter-and-half', 11).draft, 'in');
    const rise = tasks.find((t) => t.id === 'back.rise') as CurveTask;
    const { from, to } = rise;
    const straight = judgeCurve(rise, drawnCurve(from, from, to, to), 'in');
    expect(straight.verdict).toBe('wrong');
    expect(straight.said).toMatch(
      /^The back crotch curve runs up to .* in off, most in the (first half|middle|second half), too high there\./,
    );
    const inseam = tasks.find((t) => t.id === 'front.inseam') as CurveTask;
    const third = (share: number, out: number): Point => ({
      x: inseam.from.x + (inseam.to.x - inseam.from.x) * share + out,
      y: inseam.from.y + (inseam.to.y - inseam.from.y) * share,
    });
    const waved = judgeCurve(inseam, drawnCurve(inseam.from, third(1 / 3, 50), third(2 / 3, -60), inseam.to), 'in');
    expect(waved.said).toContain('bends to and fro');
  });
});

describe('the course', () => {
  it('is a dozen lessons and one, each with something to ask on any body', () => {
    expect(COURSE).toHaveLength(13);
    for (const lesson of COURSE)
      for (const seed of [1, 2, 3]) {
        const sheet = SHEETS.find((s) => s.id === (lesson.method ?? 'quarter-and-half')) as Sheet;
        const asked =
          lesson.subject === 'measuring' ? tapesFor(lesson, seed) : lessonOn(sheet, lesson, seed)?.exercises;
        expect(asked?.length ?? 0, lesson.id).toBeGreaterThan(0);
      }
  });

  it('asks of the crotch extension its sum and its point, front before back', () => {
    const lesson = COURSE.find((l) => l.id === 'extension');
    const sheet = SHEETS.find((s) => s.id === 'quarter-and-half');
    if (!lesson || !sheet) throw new Error('no lesson');
    expect(lessonOn(sheet, lesson, 4)?.exercises.map((e) => `${e.kind} ${e.id}`)).toEqual([
      'sum front.extension',
      'point front.crotch point',
      'sum back.extension',
      'point back.crotch point',
    ]);
  });
});

describe('the piece of a lesson', () => {
  it('is kept as the trued pair of what was drawn in the lesson, by every method', () => {
    for (const sheet of SHEETS) {
      const lesson = { id: 'x', title: 'Lesson', about: '', level: 'eighths' as const, method: sheet.id };
      const on = lessonOn(sheet, lesson, 21);
      if (!on) throw new Error(`${sheet.id} gives nothing to ask`);
      let ids = 0;
      const work = pieceOfLesson(lesson, sheet, on, () => `id ${(ids += 1)}`, new Date('2026-03-02'));
      const kept = computeDraft(inputOf(work, sheet));
      if (!kept.ok) throw new Error(`${sheet.id} is not drafted as it was kept`);
      const trued = lessonOn(sheet, { ...lesson, subject: 'checks' }, on.seed);
      for (const panel of PANEL_NAMES)
        expect(kept.value.block[panel].edges, `${sheet.id} ${panel}`).toEqual(trued?.draft.block[panel].edges);
      expect(kept.value.worked.body).toEqual(on.draft.worked.body);
      expect(kept.value.worked.front.waistWidth).toBe(on.draft.worked.front.waistWidth);
    }
  });

  it('of a table of figures is that of the body put right', () => {
    const tape = wrongTape(7, 'eighths');
    const { measured } = bodyPutRight(tape);
    expect(measured).toEqual({ ...tape.figures, [tape.wrong]: tape.was });
    expect(findDoubts(measured, 'in')).toEqual([]);
    const lesson = COURSE.find((l) => l.id === 'wrong-tape') as Lesson;
    const work = pieceOfLesson(lesson, SHEETS[0] as Sheet, bodyPutRight(tape), () => 'id', new Date('2026-03-02'));
    expect(computeDraft(inputOf(work, SHEETS[0] as Sheet)).ok).toBe(true);
  });
});

describe('a teacher’s lesson', () => {
  const figures = { waist: inch(31.5), hip: inch(41), crotchDepth: inch(10.75), inseam: inch(30.5) };
  const lesson: Lesson = { id: 't', title: '', about: '', level: 'eighths', seed: 77, figures };

  it('is on the figures that it brings; what is missed comes back on another body', () => {
    for (const sheet of SHEETS.filter((s) => !s.needs.some((id) => id.startsWith('pair')))) {
      const on = lessonOn(sheet, lesson, 77);
      expect([sheet.id, on?.seed]).toEqual([sheet.id, 77]);
      expect(on?.measured).toEqual(figures);
      expect(on?.draft.worked.body.get('hip')?.mm).toBe(figures.hip);
      expect(lessonOn(sheet, lesson, 77 + 1009)?.measured).not.toEqual(figures);
    }
  });

  it('asks the steps that were picked, each as the whole lesson does, the truing at its end among them', () => {
    const [sheet] = SHEETS as [Sheet];
    const whole = lessonOn(sheet, lesson, 77);
    const steps = stepsToAsk(sheet, lesson);
    expect(steps.map(({ title }) => title)).toEqual([...new Set(whole?.exercises.map((e) => e.title))]);
    for (const { id, title } of steps) {
      const some = lessonOn(sheet, { ...lesson, steps: [id] }, 77);
      expect(title).not.toBe('');
      expect(some?.exercises.map((e) => e.id)).toEqual(
        whole?.exercises.filter((e) => e.title === title).map((e) => e.id),
      );
    }
  });

  it('asks in inches what a seam is put right by from one sixteenth on', () => {
    const asked = SHEETS.flatMap((sheet) => lessonOn(sheet, { ...lesson, subject: 'truing' }, 77)?.exercises ?? []);
    const sums = asked.flatMap((e) => (e.kind === 'sum' ? [e.sum] : []));
    expect(sums.some(({ right, step }) => right < 3 * step)).toBe(true);
    for (const sum of sums) expect(judgeSum(sum, formatLength(sum.right, tapeFor('in'))).verdict).toBe('right');
  });
});
