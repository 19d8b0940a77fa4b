/** Something that can be found: a station, a draft, a command, a line, a check, a word. */
export interface Findable {
  readonly id: string;
  readonly kind: string;
  readonly label: string;
  /** Everyday words under which it is looked for as well. */
  readonly also?: string;
  readonly go: () => void;
}

/** The best first: where the name begins with what is sought, where a word of it does, where it only holds it, by other words. */
function rank({ kind, label, also = '' }: Findable, words: readonly string[]): number | undefined {
  const name = label.toLowerCase();
  const all = `${name} ${kind.toLowerCase()} ${also.toLowerCase()}`;
  if (!words.every((w) => all.includes(w))) return undefined;
  const [first = ''] = words;
  if (name.startsWith(first)) return 0;
  if (name.split(/[\s,:]+/).some((w) => w.startsWith(first))) return 1;
  if (name.includes(first)) return 2;
  // What a word means answers before all that it explains.
  return kind === 'Word' ? 3 : 4;
}

/** What goes by the words that were typed, the likeliest first; everything in its order where none were. */
export function findIn(all: readonly Findable[], typed: string): Findable[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return all
    .flatMap((f) => {
      const at = rank(f, words);
      return at === undefined ? [] : [{ f, at }];
    })
    .sort((a, b) => a.at - b.at)
    .map(({ f }) => f);
}
