import ranges from '@fontsource/source-sans-3/unicode.json' with { type: 'json' };

/** A part of the printing face that comes as a file of its own. */
export type Alphabet = keyof typeof ranges;

/** All parts of the printing face; a letter is taken from the first that has it. */
export const ALPHABETS: readonly Alphabet[] = [
  'latin',
  'latin-ext',
  'vietnamese',
  'greek',
  'greek-ext',
  'cyrillic',
  'cyrillic-ext',
];

/** What stands for a letter that no part of the face has. */
export const UNKNOWN_LETTER = '?';

const spans = new Map(
  ALPHABETS.map((alphabet) => [
    alphabet,
    ranges[alphabet].split(',').map((range): readonly [number, number] => {
      const [from = '', to = from] = range.slice(2).split('-');
      return [parseInt(from, 16), parseInt(to, 16)];
    }),
  ]),
);

const alphabetOf = (code: number): Alphabet | undefined =>
  ALPHABETS.find((alphabet) => spans.get(alphabet)?.some(([from, to]) => code >= from && code <= to));

function codesIn(texts: readonly string[]): number[] {
  const codes = new Set<number>();
  for (const text of new Set(texts)) for (const letter of text.normalize('NFC')) codes.add(letter.codePointAt(0) ?? 0);
  return [...codes];
}

/** The parts of the face that texts want; the first always, for what a print says by itself. */
export function alphabetsFor(texts: readonly string[]): Alphabet[] {
  const wanted = new Set(codesIn(texts).map(alphabetOf));
  return ALPHABETS.filter((alphabet, i) => i === 0 || wanted.has(alphabet));
}

/** The letters of texts that no part of the face has, each once, in the order in which they stand. */
export const unprintable = (texts: readonly string[]): string[] =>
  codesIn(texts)
    .filter((code) => alphabetOf(code) === undefined)
    .map((code) => String.fromCodePoint(code));
