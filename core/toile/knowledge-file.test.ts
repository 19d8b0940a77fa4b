import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { fileRefusalsSentence } from '../refusal/index.js';
import { readerIn } from '../units/index.js';
import { atPlace, causesOf, KNOWLEDGE, placesOf, readKnowledge, writeKnowledge, type Knowledge } from './index.js';

/** What reading a text is answered with where it is refused. */
const refusal = (text: string): string => {
  const read = readKnowledge(text);
  return read.ok ? '' : fileRefusalsSentence(read.refusals, readerIn('cm'));
};
const changed = (make: (k: { seen: object[]; causes: Record<string, unknown>[]; pins: object[] }) => void): string => {
  const json = JSON.parse(writeKnowledge(KNOWLEDGE)) as Parameters<typeof make>[0];
  make(json);
  return JSON.stringify(json);
};

describe('places of the body', () => {
  it('hold everything that can be seen or pinned once, and what has no place of its own at every one of its side', () => {
    const places = placesOf(KNOWLEDGE);
    const found = places.flatMap((place) => atPlace(KNOWLEDGE.seen, place).map(({ id }) => id));
    expect([...found].sort()).toEqual(KNOWLEDGE.seen.map(({ id }) => id).sort());
    expect(places.flatMap((place) => atPlace(KNOWLEDGE.pins, place))).toHaveLength(KNOWLEDGE.pins.length);
    const loose = { id: 'x', where: 'back' as const, words: 'Somewhere behind' };
    const at = (where: 'front' | 'back', height: 'waist' | 'seat'): boolean =>
      atPlace([loose], { where, at: height }).length === 1;
    expect([at('back', 'waist'), at('back', 'seat'), at('front', 'waist')]).toEqual([true, true, false]);
  });
});

describe('what is known of toiles, as a file', () => {
  it('comes back as it was saved', () => {
    const read = readKnowledge(writeKnowledge(KNOWLEDGE));
    expect(read.ok ? read.value : undefined).toEqual(KNOWLEDGE);
  });

  it('tells causes as a maker changed them: a strength, a word, a cause of their own', () => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) throw new Error('must draft');
    const first = (knowledge: Knowledge): string | undefined =>
      causesOf({ seen: [{ what: 'foldsUnderSeat' }], pins: [] }, outcome.value, 'cm', [], knowledge)[0]?.cause.id;
    expect(first(KNOWLEDGE)).toBe('backRiseLong');
    const read = readKnowledge(
      changed(({ causes }) => {
        causes.push({ ...causes.find((c) => c['id'] === 'seatWide'), id: 'ours', seen: { foldsUnderSeat: 9 } });
      }),
    );
    expect(read.ok && first(read.value)).toBe('ours');
  });

  it('is refused with the place that is wrong, and the way out', () => {
    expect(refusal('{')).toContain('cannot be read');
    expect(refusal('{"format":"other"}')).toContain('does not hold what is known of toiles');
    expect(refusal(changed(({ causes }) => Object.assign(causes[0] ?? {}, { does: 'fly' })))).toContain(
      'causes.0.does',
    );
    expect(refusal(changed(({ causes }) => Object.assign(causes[0] ?? {}, { seen: { noSuch: 2 } })))).toContain(
      'nothing that is seen is called “noSuch”',
    );
    expect(refusal(changed(({ causes }) => Object.assign(causes[0] ?? {}, { pins: ['nail'] })))).toContain(
      'no pin is called “nail”',
    );
    expect(refusal(changed(({ seen }) => seen.push(seen[0] ?? {})))).toContain('stands there twice');
    expect(refusal(changed(({ causes }) => Object.assign(causes[0] ?? {}, { seen: { pullsSeated: -1 } })))).toContain(
      'causes.0.seen',
    );
  });
});
