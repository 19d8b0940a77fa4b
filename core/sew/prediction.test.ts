import { describe, expect, it } from 'vitest';
import { predictionSaid, predictionsFrom, scoreOf, type Prediction } from './index.js';

const told = (figure: string, seen?: Prediction['seen']): Prediction => ({
  id: figure,
  figure,
  before: 4,
  after: 12,
  against: 'Version 1',
  seen,
});

describe('what the virtual toile told', () => {
  it('is kept as it was told, each by its own name', () => {
    let count = 0;
    const kept = predictionsFrom(
      [{ id: 'gapBehind', before: 4, after: 12, times: 5 }],
      'Version 1',
      () => `p${++count}`,
    );
    expect(kept).toEqual([{ id: 'p1', figure: 'gapBehind', before: 4, after: 12, against: 'Version 1' }]);
    expect(predictionSaid(told('gapBehind'), (mm) => `${mm / 10} cm`)).toBe(
      'The waist stands off behind by 1.2 cm, 0.4 cm before.',
    );
    // A figure of a newer program is told by its name, and counted nowhere.
    expect(predictionSaid(told('kneeTwist'), String)).toBe('kneeTwist');
    expect(scoreOf([told('kneeTwist', 'so')])).toEqual([]);
  });

  it('is counted by kind, of what was looked at alone', () => {
    const score = scoreOf([
      told('thighAcross', 'so'),
      told('thighPress', 'otherwise'),
      told('gapBehind', 'so'),
      told('gapSide'),
      told('holdBehind', 'otherwise'),
    ]);
    expect(score).toEqual([
      { kind: 'thigh', right: 1, of: 2 },
      { kind: 'waist', right: 1, of: 1 },
      { kind: 'rise', right: 0, of: 1 },
    ]);
  });
});
