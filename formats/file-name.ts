/** A name as it can stand in a file name anywhere, as near to itself as it can be; 80 letters at most. */
export const plainName = (name: string, instead: string): string =>
  name
    .normalize('NFC')
    .replace(/[\\/:*?"<>|\p{Cc}]/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '')
    .slice(0, 80)
    .trim() || instead;

/** Names of files in one place: each asked for is given once, with a number where it was given before in any letters. */
export function fileNames(taken: readonly string[] = []): (name: string, ending: string) => string {
  const given = new Set(taken.map((name) => name.toLocaleLowerCase()));
  return (name, ending) => {
    for (let n = 1; ; n++) {
      const file = `${n === 1 ? name : `${name} ${n}`}${ending}`;
      if (given.has(file.toLocaleLowerCase())) continue;
      given.add(file.toLocaleLowerCase());
      return file;
    }
  };
}
