import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What the board's first view may load, in bytes of gzipped script. */
const LIMIT = 250_000;
const folder = 'dist/assets';
const files = readdirSync(folder).filter((f) => f.endsWith('.js'));
const read = (file: string): string => readFileSync(join(folder, file), 'utf8');

/** A script with everything it imports at once; what is imported on demand does not count. */
function closure(start: string, seen = new Set<string>()): Set<string> {
  if (seen.has(start)) return seen;
  seen.add(start);
  for (const [, file = ''] of read(start).matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) closure(file, seen);
  return seen;
}

const named = (name: string): string => {
  const found = files.find((f) => f.startsWith(`${name}-`));
  if (found === undefined) throw new Error(`No ${name} in the build`);
  return found;
};

let over = false;
for (const view of ['Welcome', 'ShelfPage', 'Workroom']) {
  const entry = closure(
    /assets\/(index-[^"]+\.js)/.exec(readFileSync('dist/index.html', 'utf8'))?.[1] ?? named('index'),
  );
  const all = closure(named(view), entry);
  const bytes = [...all].reduce((sum, file) => sum + gzipSync(read(file)).length, 0);
  if (bytes > LIMIT) over = true;
  console.log(`${view}: ${(bytes / 1000).toFixed(1)} kB of script gzipped (limit ${LIMIT / 1000} kB)`);
}
if (over) process.exitCode = 1;
