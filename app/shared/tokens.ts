/** The colours by role, by day and by night: the controls' theme and the stylesheets' variables are both made of these. */
export const TOKENS = {
  light: {
    ground: '#e8e6de',
    sheet: '#f7f6f1',
    text: '#20282b',
    quiet: '#566166',
    rule: '#cfccc0',
    act: '#1d4f91',
    front: '#00616b',
    back: '#94381b',
    'front-fill': 'rgb(0 97 107 / 7%)',
    'back-fill': 'rgb(148 56 27 / 7%)',
    hand: '#6a2c91',
    in: '#1f6b3a',
    near: '#8a5a00',
    out: '#a8201a',
    frame: '#8d9294',
    lit: '#1d4f91',
  },
  dark: {
    ground: '#20272b',
    sheet: '#171c1f',
    text: '#e9e8e2',
    quiet: '#a7b0b3',
    rule: '#3a4449',
    act: '#8fb8ee',
    front: '#6fd0d8',
    back: '#f0a07f',
    'front-fill': 'rgb(111 208 216 / 8%)',
    'back-fill': 'rgb(240 160 127 / 8%)',
    hand: '#d3a6f2',
    in: '#7fce98',
    near: '#e8b85a',
    out: '#ff9188',
    frame: '#6d787d',
    lit: '#8fb8ee',
  },
} as const;

/** What differs on paper: white ground, black words; the inks of the pieces as by day. */
const PRINTED = { ...TOKENS.light, ground: '#fff', sheet: '#fff', text: '#000', quiet: '#444', rule: '#bbb' };

const variables = (tokens: Readonly<Record<string, string>>): string =>
  Object.entries(tokens)
    .map(([role, colour]) => `--${role}:${colour}`)
    .join(';');

/** The stylesheet that gives every token as a variable: by day, by night where the page says so, and on paper. */
export function tokenSheet(): string {
  const day = variables(TOKENS.light);
  const night = variables(TOKENS.dark);
  const paper = variables(PRINTED);
  return [
    `:root{${day}}`,
    `:root[data-theme='dark']{color-scheme:dark;${night}}`,
    `@media print{:root,:root[data-theme='dark']{color-scheme:light;${paper}}}`,
  ].join('');
}
