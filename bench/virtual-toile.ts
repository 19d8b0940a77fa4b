/**
 * The virtual toile on three bodies and by three methods: how far its figures differ between meshes of three finenesses
 * of one draft (its noise), and what four planted faults show, each in its own figure. `npm run bench:toile`
 */
import {
  CLOTH_MATTER,
  drapeOf,
  feltGrid,
  FIT_FIGURE_IDS,
  FIT_FIGURES,
  fitFigures,
  STAGES,
  type ClothMatter,
  type FitFigureId,
  type FitFigures,
  type Stage,
} from '../core/sew/index.js';
import { BODIES, METHODS, wornBy, type Misfit } from './worn.js';

/** Where each fault shows most, among the four. */
const OWN: Readonly<Record<Misfit, readonly FitFigureId[]>> = {
  thighTight: ['thighAcross', 'thighPress'],
  extensionShort: ['crotchForward'],
  waistWide: ['gapBehind', 'gapSide'],
  backRiseShort: ['seatAlong'],
};
/** The finenesses of the last stage beside the program's own, in mm. */
const MESHES = [11, 15];

const [coarse, fine] = STAGES as readonly [Stage, Stage];
const calico = CLOTH_MATTER[0] as ClothMatter;
const noise = new Map<FitFigureId, number[]>(FIT_FIGURE_IDS.map((id) => [id, []]));
const told = { planted: 0, most: 0, beyond: 0 };
const seconds: number[] = [];

for (const [b, measured] of BODIES.entries())
  for (const method of METHODS) {
    const { body, drafts } = wornBy(measured, method);
    const grid = feltGrid(body);
    const figures = (name: Misfit | 'good', stages: readonly Stage[] = STAGES): FitFigures => {
      const started = performance.now();
      const found = fitFigures(drapeOf({ garment: drafts[name] }, body, calico, grid, stages), body, grid);
      seconds.push((performance.now() - started) / 1000);
      return found;
    };
    const good = figures('good');
    for (const spacing of MESHES) {
      const other = figures('good', [coarse, { ...fine, spacing }]);
      for (const id of FIT_FIGURE_IDS) noise.get(id)?.push(Math.abs(other[id] - good[id]));
    }
    const names = Object.keys(OWN) as Misfit[];
    const spoilt = new Map(names.map((name) => [name, figures(name)]));
    const by = (name: Misfit, id: FitFigureId): number =>
      ((spoilt.get(name)?.[id] ?? NaN) - good[id]) / FIT_FIGURES[id].noise;
    for (const name of names) {
      const shows = OWN[name].map((id) => {
        const size = (of: Misfit): number => (id === 'crotchForward' ? -by(of, id) : by(of, id));
        return { id, own: size(name), most: names.every((other) => size(other) <= size(name)) };
      });
      const best = shows.find((s) => s.most && s.own > 1) ?? shows[0];
      told.planted++;
      if (shows.some((s) => s.most)) told.most++;
      if (shows.some((s) => s.most && s.own > 1)) told.beyond++;
      console.log(
        `body ${b + 1}, ${method}, ${name}: ${best?.id ?? ''} ${best?.own.toFixed(1) ?? ''} times its noise${best?.most ? '' : ', more with another'}`,
      );
    }
  }
for (const [id, all] of noise) {
  const sorted = all.sort((a, b) => a - b);
  const nine = sorted[Math.floor(0.9 * (sorted.length - 1))] ?? NaN;
  console.log(
    `${id}: noise ${nine.toFixed(3)} in nine of ten, told from ${FIT_FIGURES[id].noise} on (${FIT_FIGURES[id].unit})`,
  );
}
const sorted = seconds.sort((a, b) => a - b);
console.log(`${told.planted} planted, ${told.most} show most in their own figure, ${told.beyond} beyond the noise`);
console.log(`hung in ${(sorted[sorted.length >> 1] ?? NaN).toFixed(1)} s (median)`);
