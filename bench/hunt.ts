import { computeDraft, EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { isSound, outlineOf, type Panel } from '../core/draft/index.js';
import { flatten } from '../core/geometry/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { anyAlterations } from './random-alterations.js';
import { inputFor, isMeantFor, seeded, waysOf, wideBody } from './random-body.js';

/**
 * Random drafts by every sheet with random ways, settings, further measurements and alterations: none may throw, no
 * check may rest on no number, and no outline that turns otherwise than once round may be called sound. `npm run
 * bench:hunt -- [COUNT] [SEED]`
 */

const [count = 200_000, seed = 1] = process.argv.slice(2).map(Number);

/** How often an outline turns round, by the sum of its turns from chord to chord: once backward where it is simple. */
function turnsOf(panel: Panel): number {
  const points = flatten(outlineOf(panel), 0.2).filter((p, i, all) => {
    const before = all[(i + all.length - 1) % all.length] ?? p;
    return Math.hypot(p.x - before.x, p.y - before.y) > 1e-3;
  });
  const headings = points.map((p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    return Math.atan2(q.y - p.y, q.x - p.x);
  });
  const turned = headings.reduce((sum, heading, i) => {
    const by = (headings[(i + 1) % headings.length] ?? heading) - heading;
    return sum + by - 2 * Math.PI * Math.round(by / (2 * Math.PI));
  }, 0);
  return turned / (2 * Math.PI);
}

const random = seeded(seed);
const between = (low: number, high: number): number => low + (high - low) * random();
const told = { drafted: 0, refused: 0, threw: 0, noNumber: 0, broken: 0 };

function anyInput(sheet: (typeof SHEETS)[number]): DraftInput | undefined {
  const body = wideBody(random);
  if (!isMeantFor(sheet, body)) return undefined;
  const ways = waysOf(sheet);
  const given = inputFor(sheet, body, random);
  const settings = sheet.settings.flatMap(({ name, least, most }) =>
    random() < 0.1 && Number.isFinite(least + most) ? [[name, between(least, most)] as const] : [],
  );
  const { hip, crotchDepth } = body;
  const more = {
    highHip: between(0.8, 1.1) * hip,
    thigh: between(0.5, 0.7) * hip,
    midThigh: between(0.4, 0.6) * hip,
    knee: between(0.3, 0.45) * hip,
    calf: between(0.25, 0.45) * hip,
    hipDepth: between(0.4, 0.9) * crotchDepth,
  };
  const extra = Object.entries(more).filter(() => random() < 0.4);
  return {
    ...EMPTY_INPUT,
    ...given,
    measured: { ...given.measured, ...Object.fromEntries(extra) },
    heights: random() < 0.3 ? [{ height: between(-300, 250), girth: between(0.5, 1.1) * hip }] : [],
    choices: ways[Math.floor(random() * ways.length)] ?? {},
    settings: Object.fromEntries(settings),
    alterations: anyAlterations(random, Math.floor(random() * 5)),
  };
}

for (let i = 0; i < count;) {
  const sheet = SHEETS[i % SHEETS.length];
  const input = sheet && anyInput(sheet);
  if (!input) continue;
  i += 1;
  try {
    const outcome = computeDraft(input);
    if (!outcome.ok) {
      told.refused += 1;
      continue;
    }
    told.drafted += 1;
    const { block, checks } = outcome.value;
    const lost = checks.filter((c) => typeof c.value === 'number' && !Number.isFinite(c.value));
    const measures = checks.flatMap((c) => (c.measures ?? []).filter((m) => !Number.isFinite(m.value)).map(() => c));
    if (lost.length + measures.length > 0) {
      told.noNumber += 1;
      if (told.noNumber <= 5) {
        const ids = [...lost, ...measures].map((c) => c.id).join(', ');
        console.log('no number:', ids, sheet.id, JSON.stringify({ ...input, sheet: undefined }));
      }
    }
    for (const panel of [block.front, block.back]) {
      if (!isSound(panel) || Math.abs(turnsOf(panel) + 1) < 1e-6) continue;
      told.broken += 1;
      if (told.broken <= 5)
        console.log('broken:', panel.name, sheet.id, JSON.stringify({ ...input, sheet: undefined }));
    }
  } catch (fault) {
    told.threw += 1;
    if (told.threw <= 5) console.log('threw:', fault, sheet.id, JSON.stringify({ ...input, sheet: undefined }));
  }
}
console.log(`${count} random drafts:`, told);
