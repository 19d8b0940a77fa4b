import { describe, expect, it } from 'vitest';
import { TOKENS, tokenSheet } from './tokens.js';

/** Relative luminance of a colour, by the accessibility guidelines for the web, 2.2. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * (r ?? NaN) + 0.7152 * (g ?? NaN) + 0.0722 * (b ?? NaN);
}
const contrast = (a: string, b: string): number => {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return ((high ?? NaN) + 0.05) / ((low ?? NaN) + 0.05);
};

const SAID = ['text', 'quiet', 'act', 'front', 'back', 'hand', 'in', 'near', 'out'] as const;
const UNDER = ['ground', 'sheet'] as const;

describe('the colours', () => {
  it.each(['light', 'dark'] as const)('can be read as words on the board and on the bench, %s', (theme) => {
    const tokens = TOKENS[theme];
    for (const said of SAID)
      for (const under of UNDER) {
        expect(contrast(tokens[said], tokens[under]), `${said} on ${under}`).toBeGreaterThanOrEqual(4.5);
      }
    for (const under of UNDER) expect(contrast(tokens.lit, tokens[under])).toBeGreaterThanOrEqual(3);
  });

  it('stand as variables by day, by night and on paper, which is white and takes the inks of the day', () => {
    const sheet = tokenSheet();
    const [screen, paper] = sheet.split('@media print');
    for (const [role, colour] of Object.entries(TOKENS.light)) expect(screen).toContain(`--${role}:${colour}`);
    for (const [role, colour] of Object.entries(TOKENS.dark)) expect(screen).toContain(`--${role}:${colour}`);
    expect(paper).toContain('--ground:#fff');
    expect(paper).toContain(`--front:${TOKENS.light.front}`);
    expect(paper).toContain(`--out:${TOKENS.light.out}`);
    expect(paper).toContain("[data-theme='dark']");
  });
});
