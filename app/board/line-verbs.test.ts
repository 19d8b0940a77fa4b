import { describe, expect, it } from 'vitest';
import { TERMS } from '../../core/vocabulary/index.js';
import { BOARD_LINES, lineWords, verbsOf } from './line-verbs.js';

describe('the verbs of a line', () => {
  it('stand at every seam of both pieces and at every level, each line under a name of its own', () => {
    const names = BOARD_LINES.map(lineWords);
    expect(new Set(names).size).toBe(names.length);
    expect(names).toEqual(
      expect.arrayContaining(['Waist line', 'Hem line', 'Front rise', 'Back side seam', 'Back hem']),
    );
    for (const line of BOARD_LINES) expect(verbsOf(line, '/own/draft/x').length).toBeGreaterThan(0);
  });

  it('tell what the line is by a word that stands among the words of the trade', () => {
    for (const line of BOARD_LINES) {
      const told = verbsOf(line, '').find((verb) => 'term' in verb);
      expect(TERMS.map((t) => t.id)).toContain(told && 'term' in told ? told.term : undefined);
    }
  });

  it('lead to the walk of the same seam; a hem is sewn to nothing and is not walked', () => {
    for (const edge of ['waist', 'side', 'inseam', 'rise'] as const) {
      const verbs = verbsOf({ panel: 'back', edge }, '/own/draft/x');
      expect(verbs).toContainEqual({ words: 'Walk it', to: `/own/draft/x/true/walk?seam=${edge}` });
    }
    expect(verbsOf({ panel: 'back', edge: 'hem' }, '').map((v) => v.words)).not.toContain('Walk it');
  });
});
