/**
 * Random garments: by every method on random bodies, each with a random style of random values. None may throw, every
 * part and every cut line must be closed, and no net outline may cross itself; what is refused must say why. Then what
 * a garment of some twenty parts takes from its block to all its cut lines. `npm run bench:garments -- [COUNT] [SEED]`
 */
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { enclosedArea, flatten, isClosed, selfCrossing } from '../core/geometry/index.js';
import { partOutline } from '../core/garment/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { refusalSentence } from '../core/refusal/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { styleContext, styled } from '../core/style/index.js';
import { readerIn } from '../core/units/index.js';
import { inputFor, isMeantFor, seeded, waysOf, wideBody } from './random-body.js';
import { randomStyle } from './random-style.js';

const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number);
const random = seeded(seed);
const told: Record<string, number> = {
  made: 0,
  refused: 0,
  threw: 0,
  netBroken: 0,
  cutOpen: 0,
  cutCrossed: 0,
  seamsOut: 0,
};
const add = (name: string): void => {
  told[name] = (told[name] ?? 0) + 1;
};

for (let i = 0; i < count;) {
  const sheet = SHEETS[i % SHEETS.length];
  const body = wideBody(random);
  if (!sheet || !isMeantFor(sheet, body)) continue;
  i += 1;
  const ways = waysOf(sheet);
  const outcome = computeDraft({
    ...EMPTY_INPUT,
    ...inputFor(sheet, body, random),
    choices: ways[Math.floor(random() * ways.length)] ?? {},
  });
  if (!outcome.ok) continue;
  const style = randomStyle(random, { chance: 0.22, set: 0.3 });
  const name = `${sheet.id}: ${JSON.stringify(style)}`;
  try {
    const unit = random() < 0.5 ? 'cm' : 'in';
    const made = styled(outcome.value.block, outcome.value.legs, style, styleContext(outcome.value, unit));
    for (const { refusal } of made.told) {
      if (!refusal) continue;
      add('refused');
      if (/undefined|NaN/.test(refusalSentence(refusal, readerIn(unit))))
        throw new Error(`no sentence for ${refusal.code}`);
    }
    if (made.findings.some((f) => f.code === 'seamOut')) add('seamsOut');
    for (const { part, cut } of piecesOf(made.garment, HOUSE_ALLOWANCES)) {
      const net = partOutline(part);
      const ring = flatten(net, 0.2);
      if (!isClosed(net, 1e-3) || enclosedArea(net) >= 0 || selfCrossing(ring)) {
        add('netBroken');
        console.log(`net of ${part.id} by ${name}`);
      }
      if (!isClosed(cut, 1e-3)) add('cutOpen');
      else if (selfCrossing(flatten(cut, 0.2))) {
        add(`cut of ${part.id} crossed`);
        console.log(`cut of ${part.id} of body ${i} by ${name}`);
      }
    }
    add('made');
  } catch (fault) {
    add('threw');
    console.log(name, fault);
  }
}
console.log(`${count} bodies with a random style:`, JSON.stringify(told));

const TWENTY = [
  'yoke',
  'slantPocket',
  'fly',
  'weltPocket',
  'patchPocket',
  'coinPocket',
  'kneePatch',
  'band',
  'loops',
  'tabs',
  'lining',
];
const middle = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!middle.ok) throw new Error('The middle body must draft');
const times: number[] = [];
let parts = 0;
for (let i = 0; i < 200; i++) {
  const measured = { waist: 780, hip: 1000 + i / 10, crotchDepth: 272, inseam: 780 };
  const start = performance.now();
  const drafted = computeDraft({ ...EMPTY_INPUT, measured });
  if (!drafted.ok) throw new Error('The middle body must draft');
  const style = TWENTY.map((id) => ({ id, values: {} }));
  const { garment } = styled(drafted.value.block, undefined, style, styleContext(drafted.value, 'cm'));
  piecesOf(garment, HOUSE_ALLOWANCES);
  times.push(performance.now() - start);
  parts = garment.parts.length;
}
times.sort((a, b) => a - b);
console.log(
  `a garment of ${parts} parts, from a changed measurement to all cut lines: median ${(times[100] ?? 0).toFixed(2)} ms, 95 % ${(times[190] ?? 0).toFixed(2)} ms (limit 6 ms)`,
);
