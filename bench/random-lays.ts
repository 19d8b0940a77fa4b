/**
 * Random lays: shapes of all kinds on random cloth with flaws, stripes and locked parts, each looked at by a package that
 * took no part in it, on the original outlines. `npm run bench:lays -- [COUNT] [SEED]`
 */
import { LayJob, layOf, type FoundLay, type LayShape, type Placed } from '../core/lay/index.js';
import { seeded } from '../core/geometry/index.js';
import { blob, layFaults } from './lay-faults.js';

const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number);
const random = seeded(seed);
const chance = (share: number): boolean => random() < share;
let faulty = 0;
let moved = 0;

for (let i = 0; i < count; i++) {
  const shapes = Array.from({ length: 1 + Math.floor(random() * 4) }, (_, k): LayShape => ({
    id: `s${k}`,
    outline: blob(random, 3 + Math.floor(random() * 30)),
    count: 1 + Math.floor(random() * 3),
    turns: chance(0.5) ? [0] : [0, 180],
    mirrored: chance(0.5),
    ...(chance(0.3) ? { match: [random() * 40, random() * 40] as const } : {}),
  }));
  const cloth = {
    width: 320 + 500 * random(),
    gap: chance(0.5) ? 0 : 4 * random(),
    flaws: chance(0.3)
      ? [{ along: 500 * random(), across: 200 * random(), length: 60 * random() + 1, width: 60 * random() + 1 }]
      : [],
    barRepeat: chance(0.2) ? 20 + 60 * random() : 0,
    stripeRepeat: chance(0.2) ? 5 + 15 * random() : 0,
  };
  const laid = (locked: readonly Placed[], from: readonly Placed[], steps: number): FoundLay => {
    let left = steps;
    return [...layOf(new LayJob(shapes, cloth, locked), i, () => left-- <= 0, from)].at(-1) as FoundLay;
  };
  const first = laid([], [], 12);
  const locked = first.placed.filter(() => chance(0.3));
  const second = laid(locked, first.placed, 12);
  const faults = [...layFaults(shapes, cloth, first), ...layFaults(shapes, cloth, second)];
  for (const lock of locked) {
    const now = second.placed.find((p) => p.id === lock.id && p.copy === lock.copy);
    if (now?.x !== lock.x || now.y !== lock.y || now.turn !== lock.turn) moved++;
  }
  if (faults.length > 0) {
    faulty++;
    console.log(i, faults);
  }
}
console.log(`${2 * count} lays of ${count} sets: ${faulty} with a fault, ${moved} locked parts moved`);
