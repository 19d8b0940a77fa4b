import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import { FAULTS, type Fault } from './faults.js';

/**
 * Plants small faults in core and formats, one after the other and in memory only, and reports those that no unit test
 * notices. `npm run mutants -- [PART OF AN ID OR OF A FILE]`
 */

const root = resolve(import.meta.dirname, '..', '..');
const [part = ''] = process.argv.slice(2);
const chosen = FAULTS.filter(({ id, file }) => id.includes(part) || file.includes(part));

/** The tests of one fault: true where one of them fails. */
function noticed({ id }: Fault): Promise<boolean> {
  const args = ['vitest', 'run', '--config', 'bench/mutants/vitest.config.ts', '--reporter=dot'];
  const run = spawn('npx', args, {
    cwd: root,
    env: { ...process.env, FAULT: id },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  let said = '';
  run.stdout.on('data', (bytes: Buffer) => (said += bytes.toString()));
  return new Promise((done, failed) => {
    run.on('close', () => {
      // A run without any test proves nothing.
      if (/Tests .*\d+ (passed|failed)/.test(said)) done(/Tests .*\d+ failed/.test(said));
      else failed(new Error(`No test ran for “${id}”:\n${said}`));
    });
  });
}

for (const { id, file, was } of chosen) {
  const times = (await readFile(resolve(root, file), 'utf8')).split(was).length - 1;
  if (times !== 1) throw new Error(`“${id}”: what is to be replaced stands ${times} times in ${file}`);
}

const missed: string[] = [];
const queue = [...chosen];
async function worker(): Promise<void> {
  for (let next = queue.shift(); next; next = queue.shift()) {
    const seen = await noticed(next);
    if (!seen) missed.push(next.id);
    console.log(`${seen ? 'noticed' : 'MISSED '}  ${next.id}`);
  }
}
await Promise.all([worker(), worker()]);
console.log(
  `${chosen.length} faults planted, ${missed.length} not noticed${missed.length > 0 ? `: ${missed.join('; ')}` : ''}`,
);
process.exitCode = missed.length > 0 ? 1 : 0;
