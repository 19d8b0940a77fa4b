import { readFileSync } from 'node:fs';
import { LayJob, layOf, type LayCloth, type LayShape } from '../core/lay/index.js';
import { jigsaw } from './jigsaw.js';

/** How well lays are found: jigsaws and sets of trousers, in so many seconds, by several seeds. `bench:lay -- SECONDS SEEDS` */

const [seconds = 60, seeds = 3] = process.argv.slice(2).map(Number);

interface Set {
  readonly name: string;
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
}

const setNamed = (name: string): Set => ({
  name,
  ...(JSON.parse(readFileSync(`bench/lay-sets/${name}.json`, 'utf8')) as Pick<Set, 'shapes' | 'cloth'>),
});

const SETS: readonly Set[] = [
  ...[12, 20, 30, 40].map((count): Set => {
    const { shapes, width } = jigsaw(count, count);
    return { name: `jigsaw of ${count}`, shapes, cloth: { width, gap: 0 } };
  }),
  ...['one-pair', 'two-pairs', 'three-pairs'].flatMap((pairs) =>
    ['two-way', 'one-way'].map((nap) => setNamed(`${pairs}-${nap}`)),
  ),
];

const percent = (share: number): string => (100 * share).toFixed(2);

for (const { name, shapes, cloth } of SETS) {
  const uses: number[] = [];
  const early: number[] = [];
  for (let seed = 1; seed <= seeds; seed++) {
    const begun = performance.now();
    let [use, at5] = [0, 0];
    for (const found of layOf(new LayJob(shapes, cloth), seed, () => performance.now() - begun > 1000 * seconds)) {
      use = found.use;
      if (performance.now() - begun < 5000) at5 = use;
    }
    uses.push(use);
    early.push(at5);
  }
  const median = (all: number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
  console.log(
    `${name}: ${percent(median(uses))} % in ${seconds} s (${uses.map(percent).join(', ')}); in 5 s ${percent(median(early))} %`,
  );
}
