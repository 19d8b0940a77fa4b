/**
 * Random drafts by every method, altered at random, hung on the bodies they are of, by the first stage alone: no blow-up,
 * no figure that is no number, nothing deep in the body. `npm run bench:toiles -- [COUNT] [SEED]`
 */
import { bodyFrom } from '../core/body/index.js';
import { bodyOf, drawDraft, EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { SHEETS } from '../core/shipped/index.js';
import {
  CLOTH_MATTER,
  drapeOf,
  feltGrid,
  FIT_FIGURE_IDS,
  fitFigures,
  gapOf,
  sewnOf,
  STAGES,
  strainOf,
} from '../core/sew/index.js';
import { NO_STYLE } from '../core/style/index.js';
import { anyAlterations } from './random-alterations.js';
import { inputFor, isMeantFor, seeded, wideBody } from './random-body.js';

const [count = 200, seed = 1] = process.argv.slice(2).map(Number);
/** Stretched by more than this share a thread has broken in any cloth: the reckoning has blown up. */
const BROKEN = 1;
/** No place of the cloth may be further within the body, in mm. */
const DEEP = 5;

const random = seeded(seed);
const told = { hung: 0, refused: 0, unsound: 0, noNumber: 0, blown: 0, deep: 0, threw: 0 };
const started = performance.now();
for (let i = 0; told.hung < count; i++) {
  const sheet = SHEETS[i % SHEETS.length];
  const figures = wideBody(random);
  if (!sheet || !isMeantFor(sheet, figures)) continue;
  const input: DraftInput = {
    ...EMPTY_INPUT,
    ...inputFor(sheet, figures, random),
    alterations: random() < 0.5 ? anyAlterations(random, 1) : [],
  };
  const outcome = drawDraft(input);
  if (!outcome.ok) {
    told.refused++;
    continue;
  }
  const matter = CLOTH_MATTER[i % CLOTH_MATTER.length];
  if (!matter) continue;
  try {
    const of = bodyOf(input);
    const body = bodyFrom(of);
    if (body.residuals.some(({ measured, tape }) => Math.abs(measured - tape) > 1)) told.unsound++;
    const grid = feltGrid(body);
    const hung = drapeOf(sewnOf(outcome.value, NO_STYLE, 'cm'), body, matter, grid, STAGES.slice(0, 1));
    const fit = fitFigures(hung, body, grid);
    const { warp, weft } = strainOf(hung);
    const stretched = Math.max(...warp, ...weft);
    const inside = -Math.min(...gapOf(hung, grid));
    const said = `${sheet.id}, hip ${figures.hip.toFixed(0)}, ${matter.id}, number ${i}`;
    told.hung++;
    if (FIT_FIGURE_IDS.some((id) => !Number.isFinite(fit[id]))) {
      told.noNumber++;
      console.log(`no number: ${said}`);
    } else if (stretched > BROKEN) {
      told.blown++;
      console.log(`stretched by ${stretched.toFixed(2)}: ${said}`);
    }
    if (inside > DEEP) {
      told.deep++;
      console.log(`${inside.toFixed(1)} mm within the body: ${said}`);
    }
  } catch (fault) {
    told.threw++;
    console.log(`threw: ${sheet.id}, number ${i}: ${fault instanceof Error ? fault.message : String(fault)}`);
    told.hung++;
  }
}
console.log(JSON.stringify(told), `${((performance.now() - started) / 1000 / count).toFixed(1)} s each`);
