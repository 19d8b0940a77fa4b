import { describe, expect, it } from 'vitest';
import { readerIn } from '../units/index.js';
import { fileRefusalsSentence } from '../refusal/index.js';
import { mergeWorkbooks } from '../kept/index.js';
import { DEFAULT_SHEET, type Sheet } from '../method/index.js';
import { readWorkbook, writeWorkbook, type ItemProgress, type Practice } from '../workbook/index.js';
import {
  comesBack,
  COURSE,
  dueItems,
  lessonOn,
  practised,
  readLessonFile,
  slipsMade,
  sumOf,
  writeLesson,
  writeResult,
} from './index.js';

const DAY = 86_400_000;
const start = new Date('2026-03-02T10:00:00.000Z');
const after = (days: number): Date => new Date(start.getTime() + days * DAY);

/** An item right so many times running, a day apart. */
function rightFor(times: number): ItemProgress {
  let item = practised(undefined, 'Front crotch extension', 'right', [], false, start);
  for (let i = 1; i < times; i += 1) item = practised(item, item.name, 'right', [], false, start);
  return item;
}

describe('what was practised', () => {
  it('comes back later the oftener it was right running, and at once where it was missed', () => {
    const days = [1, 2, 3, 4, 9].map((n) => (comesBack(rightFor(n)).getTime() - start.getTime()) / DAY);
    expect(days).toEqual([2, 7, 21, 60, 60]);
    const missed = practised(rightFor(3), 'Front crotch extension', 'missed', ['twice'], false, start);
    expect(missed).toMatchObject({ right: 3, missed: 1, run: 0, slips: { twice: 1 } });
    expect(comesBack(missed)).toEqual(start);
  });

  it('counts what needed a hint or was near as neither known nor lost', () => {
    const hinted = practised(rightFor(2), 'x', 'right', [], true, start);
    expect([hinted.right, hinted.run]).toEqual([3, 2]);
    const near = practised(rightFor(2), 'x', 'near', [], false, start);
    expect([near.near, near.run]).toEqual([1, 2]);
  });

  it('is due oldest first, and summed by subject and by kind of slip', () => {
    const late = practised(undefined, 'a', 'missed', ['twice', 'twice', 'digits'], false, after(-3));
    const items = { known: rightFor(4), missed: practised(undefined, 'b', 'missed', ['digits'], false, start), late };
    const practice: Practice = { id: 'thirds', name: 'Thirds', items };
    expect(dueItems(practice, start)).toEqual(['late', 'missed']);
    expect(dueItems(practice, after(59)).includes('known')).toBe(false);
    expect(dueItems(practice, after(60))).toContain('known');
    expect(sumOf(practice)).toEqual({ asked: 6, right: 4, known: 1, items: 3 });
    expect(slipsMade([practice])).toEqual([
      ['digits', 2],
      ['twice', 1],
    ]);
  });

  it('goes with the workbook and comes back whole; two workbooks keep of each item what was practised last', () => {
    const mine: Practice = { id: 'thirds', name: 'Thirds', items: { a: rightFor(1), b: rightFor(2) } };
    const newer = practised(rightFor(2), 'a', 'right', [], false, after(5));
    const theirs: Practice = { ...mine, items: { a: newer, c: rightFor(1) } };
    const empty = { people: [], drafts: [], charts: [], styles: [] };
    const read = readWorkbook(writeWorkbook({ ...empty, practice: [mine] }, start));
    expect(read.ok && read.value.practice).toEqual([mine]);
    const merged = mergeWorkbooks(
      { ...empty, practice: [mine] },
      { ...empty, practice: [theirs] },
      new Map(),
      () => 'new',
    ).practice;
    expect(merged).toEqual([{ ...mine, items: { a: newer, b: rightFor(2), c: rightFor(1) } }]);
    const same = mergeWorkbooks({ ...empty, practice: [mine] }, { ...empty, practice: [mine] }, new Map(), () => 'new');
    expect(same.practice).toEqual([]);
  });

  it('is empty in a workbook of the version before', () => {
    const before = {
      format: 'upstride-workbook',
      version: 14,
      written: start.toISOString(),
      people: [],
      drafts: [],
      charts: [],
    };
    const read = readWorkbook(JSON.stringify(before));
    expect(read.ok && read.value.practice).toEqual([]);
  });
});

describe('a lesson that is handed over', () => {
  const [lesson] = COURSE;
  if (!lesson) throw new Error('no lesson');
  const refused = (text: string): string => {
    const read = readLessonFile(text);
    return read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'));
  };

  it('takes a maker’s own sheet along, and draws by it where that is unknown', () => {
    const own = { ...DEFAULT_SHEET, id: 'own', basedOn: DEFAULT_SHEET.id, name: 'My way' };
    const read = readLessonFile(writeLesson({ ...lesson, method: undefined, sheet: own }));
    if (!read.ok || read.value.kind !== 'lesson') throw new Error('not read');
    const handed = read.value.lesson;
    expect(handed.sheet).toEqual(JSON.parse(JSON.stringify(own)));
    expect(lessonOn(handed.sheet as Sheet, handed, 3)?.draft.worked.sheet.name).toBe('My way');
  });

  it('comes back as it was written, and so does what came of it', () => {
    const read = readLessonFile(writeLesson({ ...lesson, seed: 7 }));
    expect(read.ok && read.value).toEqual({ kind: 'lesson', lesson: { ...lesson, seed: 7 } });
    const answers = [
      {
        item: 'front.extension',
        asked: 'Front crotch extension',
        answer: '3 in',
        verdict: 'slip' as const,
        said: 'So.',
        hints: 1,
      },
    ];
    const result = { lesson, learner: 'Apprentice', ended: start.toISOString(), answers };
    const back = readLessonFile(writeResult(result));
    expect(back.ok && back.value.kind === 'result' && back.value.result).toMatchObject(result);
  });

  it('is refused in a sentence where it is none, or damaged', () => {
    expect(refused('{')).toBe(
      'This file is damaged or is not a lesson: it cannot be read. Choose a file that ends in .lesson.json or .result.json.',
    );
    expect(refused('{"format": "upstride-workbook"}')).toMatch(/^This file is neither an Upstride lesson/);
    expect(refused(writeLesson(lesson).replace('"whole"', '"hard"'))).toMatch(
      /^This lesson is damaged at “lesson.level”: /,
    );
    expect(refused(writeLesson({ ...lesson, seed: -1 }))).toMatch(/^This lesson is damaged at “lesson.seed”: /);
  });
});
