import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { PARAMETER_NAMES } from '../method/index.js';
import { TERMS, termOf } from './index.js';

const draft = computeDraft({
  ...EMPTY_INPUT,
  measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
});

describe('the vocabulary', () => {
  it('names each term once, and each line by one term', () => {
    const ids = TERMS.map((t) => t.id);
    expect(new Set(ids).size).toBe(ids.length);
    const explained = TERMS.flatMap((t) => t.of ?? []);
    expect(explained.filter((name, i) => explained.indexOf(name) !== i)).toEqual([]);
    expect(TERMS.length).toBeGreaterThanOrEqual(40);
  });

  it('explains the lines of a piece that a maker turns', () => {
    const plain = new Set(['hipWidth', 'thighWidth', 'kneeWidth', 'hemWidth', 'inseamHollow', 'inseamHollowShare']);
    expect(PARAMETER_NAMES.filter((name) => !plain.has(name) && !termOf(`back.${name}`))).toEqual([]);
    expect(termOf('back.extension')?.term).toBe('Crotch extension');
  });

  it('shows only what a piece has', () => {
    if (!draft.ok) throw new Error('the sample cannot be drafted');
    for (const { term, shows } of TERMS) {
      const points = [
        ...(shows?.points ?? []).map(([panel, p]) => [panel, p] as const),
        ...(shows?.lines ?? []).flatMap(([panel, a, b]) => [[panel, a] as const, [panel, b] as const]),
      ];
      for (const [panel, p] of points) {
        expect(Number.isFinite(draft.value.block[panel].points[p].x), `${term}: ${p}`).toBe(true);
      }
      for (const [panel, a, b] of shows?.lines ?? []) {
        const { points: at } = draft.value.block[panel];
        expect(Math.hypot(at[a].x - at[b].x, at[a].y - at[b].y), `${term}: ${a} to ${b}`).toBeGreaterThan(5);
      }
    }
  });

  it('ends every meaning as a sentence and says none twice', () => {
    for (const { meaning, term } of TERMS) expect(meaning, term).toMatch(/^[A-Z].*[.]$/s);
    expect(new Set(TERMS.map((t) => t.meaning)).size).toBe(TERMS.length);
  });
});
