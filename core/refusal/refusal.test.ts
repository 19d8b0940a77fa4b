import { describe, expect, it } from 'vitest';
import { readLength, readerIn, UNITS } from '../units/index.js';
import { refusal, refusalSentence, refusalWords } from './index.js';

describe('a refusal', () => {
  it('is said in the reader’s unit, from one and the same figures', () => {
    const found = refusal('front.hipWidth', 'tooSmall', { panel: 'front', label: 'hip width', value: 38.1, least: 40 });
    expect(refusalWords(found, readerIn('in'))).toEqual([
      'The front hip width of 1 1/2 in is too small to draw a piece.',
      'Give it at least 1 5/8 in.',
    ]);
    expect(refusalSentence(found, readerIn('cm'))).toBe(
      'The front hip width of 3.8 cm is too small to draw a piece. Give it at least 4.0 cm.',
    );
    expect(refusalSentence(found, readerIn('mm'))).toContain('38 mm');
  });

  it('names what was typed as it was typed, and limits that can be entered', () => {
    const out = refusal('backExtension', 'settingOut', { label: 'Back extension', value: 3.175, least: 4, most: 301 });
    expect(refusalSentence(out, readerIn('in'))).toBe(
      'Back extension 1/8 in cannot be drafted. Enter 3/16 in to 11 13/16 in, or check the unit.',
    );
    for (const unit of UNITS) {
      for (let mm = 0.3; mm < 300; mm += 0.7) {
        const least = readLength(readerIn(unit).least(mm), unit);
        const most = readLength(readerIn(unit).most(mm), unit);
        expect(least.ok && most.ok && least.mm >= mm - 1e-4 && most.mm <= mm + 1e-4).toBe(true);
        expect(least.ok && most.ok && least.mm - most.mm < 1.6).toBe(true);
      }
    }
  });

  it('is data: it goes to a worker and comes back with the same words', () => {
    const sent = refusal('alteration.1', 'meetsDart');
    expect(refusalSentence(structuredClone(sent), readerIn('cm'))).toBe(refusalSentence(sent, readerIn('cm')));
    expect(sent).toEqual({ field: 'alteration.1', code: 'meetsDart', figures: {} });
  });
});
