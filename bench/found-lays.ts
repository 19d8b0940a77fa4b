/**
 * How near the quick answer to "how much cloth?" comes to what a search finds: garments of random bodies, methods, styles
 * and cloths, each searched for some seconds. The lengths that were found are kept, so that the tests hold the quick
 * answer against them. `npm run bench:found -- [COUNT] [SECONDS] [SEED]`
 */
import { writeFileSync } from 'node:fs';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { clothsOf, estimatedLength, layFault, LayJob, LOOKS, layOf, type LayCloth } from '../core/lay/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { draftGarment } from '../core/style/index.js';
import { shapesOfFound, type FoundCase } from './found-case.js';
import { inputFor, isMeantFor, seeded, waysOf, wideBody } from './random-body.js';
import { randomStyle } from './random-style.js';

const [count = 120, seconds = 8, seed = 7] = process.argv.slice(2).map(Number);
const random = seeded(seed);
const chance = (share: number): boolean => random() < share;
function pick<T>(of: readonly T[]): T {
  return of[Math.floor(random() * of.length)] as T;
}

/** What garments commonly have. */
const COMMON: readonly (readonly string[])[] = [
  ['casing'],
  ['waistFacing'],
  ['shapedBand', 'zip'],
  ['fly', 'slantPocket', 'band'],
  ['fly', 'slantPocket', 'weltPocket', 'band', 'loops'],
  ['pleats', 'fly', 'slantPocket', 'band', 'hem'],
  ['fly', 'slantPocket', 'band', 'lining'],
  ['yoke', 'fly', 'patchPocket', 'coinPocket', 'band', 'loops'],
  ['length', 'casing'],
  ['flare', 'zip', 'shapedBand'],
];

function anyCloth(width: number): LayCloth {
  const checked = chance(0.2);
  return {
    width,
    gap: pick([0, 0, 2, 3]),
    barRepeat: checked ? pick([40, 80, 160]) : 0,
    stripeRepeat: checked ? pick([10, 40, 80]) : 0,
    flaws: chance(0.15) ? [{ along: 1500 * random(), across: 0.8 * width * random(), length: 60, width: 60 }] : [],
  };
}

const found: FoundCase[] = [];

/** How many of the quick answers come near to what was found. */
function told(): void {
  const near = found.filter(
    (f) => Math.abs(estimatedLength(shapesOfFound(f), f.cloth, LOOKS.closely) / f.length - 1) <= 0.06,
  );
  console.log(`${found.length}: ${near.length} within 6 % of what was found in ${seconds} s`);
}
for (let i = 0; found.length < count; i++) {
  const sheet = SHEETS[i % SHEETS.length];
  const body = wideBody(random);
  if (!sheet || !isMeantFor(sheet, body)) continue;
  const input = { ...inputFor(sheet, body, random), sheet: undefined, choices: pick(waysOf(sheet)) };
  const outcome = computeDraft({ ...EMPTY_INPUT, ...input, sheet });
  if (!outcome.ok) continue;
  const always = pick(COMMON);
  const style = chance(0.6)
    ? always.map((id) => ({ id, values: {} }))
    : randomStyle(random, { chance: 0.08, set: 0.15, always });
  const made = draftGarment(outcome.value, style, 'cm');
  if (made.told.some((t) => t.refusal)) continue;
  const cloths = clothsOf(piecesOf(made.garment, HOUSE_ALLOWANCES));
  const kind = chance(0.8) ? (cloths[0] ?? 'shell') : pick(cloths);
  const fold = chance(0.25) ? 'folded' : 'open';
  const width = kind === 'interfacing' ? 900 : kind === 'shell' ? pick([1100, 1200, 1400, 1500, 1500, 1600]) : 1400;
  const about = {
    sheet: sheet.id,
    input,
    style,
    kind,
    nap: chance(0.5) ? 'one-way' : 'two-way',
    fold,
    garments: chance(0.15) ? 2 : 1,
    cloth: anyCloth(fold === 'folded' ? width / 2 : width),
  } as const;
  const shapes = shapesOfFound(about);
  if (layFault(shapes, about.cloth, String) !== undefined) continue;
  const begun = performance.now();
  let length: number | undefined;
  for (const lay of layOf(new LayJob(shapes, about.cloth), 1, () => performance.now() - begun > 1000 * seconds))
    length = lay.length;
  if (length === undefined) continue;
  found.push({ ...about, length: Math.round(length) });
  if (found.length % 20 === 0) told();
}
writeFileSync('bench/lay-sets/found.json', `${JSON.stringify(found)}\n`);
