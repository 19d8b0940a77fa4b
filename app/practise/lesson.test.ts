import { describe, expect, it } from 'vitest';
import type { Practice } from '../../core/kept/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import { COURSE, practised, type Lesson } from '../../core/practice/index.js';
import { lessonFrom, lessonNamed, lessonPath, recordOfHanded } from './lesson-source.js';
import { answered, begun, placeOf, resumed, type Answered, type Lessoning, type LessonPlace } from './use-lesson.js';

const none = new URLSearchParams();
const empty = { drafts: [], practice: [] };
const long = new Date('2026-01-01T08:00:00.000Z');
const missedItem = (name: string): Practice['items'][string] => practised(undefined, name, 'missed', [], false, long);
const answer = (outcome: Answered['outcome']): Answered => ({
  outcome,
  verdict: outcome === 'missed' ? 'wrong' : outcome,
  slips: [],
  answer: '3 in',
  asked: 'x',
  said: 'So.',
  hints: 0,
});
const course = (id: string): Lesson => COURSE.find((l) => l.id === id) as Lesson;

describe('the address of a lesson', () => {
  it('gives the lesson back that it was made of', () => {
    const lesson = {
      level: 'halves' as const,
      method: 'thirds',
      ask: ['curves' as const],
      choices: { variant: 'even' },
    };
    const query = new URLSearchParams(lessonPath('demo', lesson).split('?')[1]);
    expect(lessonFrom(query, empty)).toMatchObject(lesson);
    const checks = new URLSearchParams(lessonPath('demo', { level: 'odd', subject: 'checks' }).split('?')[1]);
    expect(lessonFrom(checks, empty)).toMatchObject({ level: 'odd', subject: 'checks', title: 'Checks' });
    expect(lessonFrom(new URLSearchParams({ level: 'none', ask: 'songs' }), empty)).toMatchObject({
      level: 'eighths',
      method: DEFAULT_SHEET.id,
    });
  });

  it('names a lesson of the course, or nothing', () => {
    expect(lessonNamed('extension', none, empty)?.lesson).toBe(course('extension'));
    expect(lessonNamed('extension', none, empty)?.record).toEqual({
      id: 'quarter-and-half',
      name: 'Quarter and half',
      items: {},
    });
    expect(lessonNamed('no such', none, empty)).toBeUndefined();
  });

  it('never takes a lesson that was handed over for one of the course or for a method, whatever it calls itself', () => {
    const handed = recordOfHanded({ ...course('extension'), title: 'Mine' });
    const shelf = { drafts: [], practice: [handed] };
    expect(lessonNamed('extension', none, shelf)?.lesson).toBe(course('extension'));
    expect(lessonNamed('extension', none, shelf)?.record.id).toBe('quarter-and-half');
    expect(lessonNamed(handed.id, none, shelf)?.record).toBe(handed);
  });

  it('brings back what is due on figures as hard, and in the way, as they were last', () => {
    const record: Practice = {
      id: 'quarter-and-half',
      name: 'Quarter and half',
      items: { 'front.extension': missedItem('Front crotch extension') },
      level: 'halves',
      choices: { variant: 'surplus-shared' },
    };
    const due = lessonNamed('due', new URLSearchParams({ of: record.id }), { drafts: [], practice: [record] });
    expect([...(due?.only ?? [])]).toEqual(['front.extension']);
    expect(due?.lesson).toMatchObject({ level: 'halves', choices: { variant: 'surplus-shared' } });
    expect(lessonNamed('due', new URLSearchParams({ of: 'thirds' }), empty)).toBeUndefined();
  });
});

describe('a lesson under way', () => {
  const ids = ({ asked }: Lessoning): string[] => asked.map((a) => a.exercise.id);

  it('asks what was missed once more at its end, on another body, and no oftener', () => {
    const lesson = course('extension');
    const start = begun(lesson, DEFAULT_SHEET, 5) as Lessoning;
    expect(ids(start)).toHaveLength(4);
    const missed = answered(start, lesson, DEFAULT_SHEET, answer('missed'));
    expect(ids(missed).slice(4)).toEqual(['front.extension']);
    const [first] = missed.asked;
    const back = missed.asked[4];
    expect(back?.again).toBe(true);
    expect(back?.on?.measured).not.toEqual(first?.on?.measured);
    const twice = answered({ ...missed, at: 4 }, lesson, DEFAULT_SHEET, answer('missed'));
    expect(ids(twice)).toHaveLength(5);
    expect(ids(answered(start, lesson, DEFAULT_SHEET, answer('near')))).toHaveLength(4);
    expect(twice.answers.map((a) => a.verdict)).toEqual(['wrong', 'wrong']);
  });

  it('is on the body of its seed for everybody, or asks only what is due', () => {
    const lesson = { ...course('extension'), seed: 77 };
    expect(begun(lesson, DEFAULT_SHEET, 1)?.asked[0]?.on?.measured).toEqual(
      begun(lesson, DEFAULT_SHEET, 2)?.asked[0]?.on?.measured,
    );
    const only = new Set(['back.extension']);
    expect(ids(begun(course('extension'), DEFAULT_SHEET, 3, only) as Lessoning)).toEqual(['back.extension']);
    expect(begun(course('extension'), DEFAULT_SHEET, 3, new Set(['no such']))).toBeUndefined();
  });

  it('goes on after a reload where it was left, with what was missed still to come', () => {
    const lesson = course('extension');
    let now = begun(lesson, DEFAULT_SHEET, 12) as Lessoning;
    for (const outcome of ['missed', 'right'] as const) {
      now = answered(now, lesson, DEFAULT_SHEET, answer(outcome));
      now = { ...now, at: now.at + 1 };
    }
    const place = JSON.parse(JSON.stringify(placeOf(now))) as LessonPlace;
    const back = resumed(lesson, DEFAULT_SHEET, place) as Lessoning;
    expect(back.at).toBe(2);
    expect(ids(back)).toEqual(ids(now));
    expect(back.answers).toEqual(now.answers);
    expect(back.asked.map((a) => a.on?.measured)).toEqual(now.asked.map((a) => a.on?.measured));
    const due = placeOf(
      begun(lesson, DEFAULT_SHEET, 3, new Set(['back.extension'])) as Lessoning,
      new Set(['back.extension']),
    );
    expect(ids(resumed(lesson, DEFAULT_SHEET, due) as Lessoning)).toEqual(['back.extension']);
    const strange = { ...place, answers: [{ ...(place.answers[0] as LessonPlace['answers'][number]), item: 'gone' }] };
    expect(resumed(lesson, DEFAULT_SHEET, strange)?.at).toBe(0);
  });

  it('goes through as many tables of figures as it says', () => {
    const lesson = course('wrong-tape');
    const start = begun(lesson, DEFAULT_SHEET, 9) as Lessoning;
    expect(start.asked).toHaveLength(5);
    expect(answered(start, lesson, DEFAULT_SHEET, answer('missed')).asked).toHaveLength(6);
  });
});
