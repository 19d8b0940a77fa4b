import { performance } from 'node:perf_hooks';
import type { Alteration } from '../core/alter/index.js';
import { computeDraft, drawDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { compareMany } from '../core/compare/index.js';
import { findDoubts } from '../core/measure/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { pieceSheet } from '../core/drawing/index.js';
import { garmentOf } from '../core/garment/index.js';
import { PAPERS } from '../formats/index.js';
import { tiledPdf } from '../formats/pdf.js';
import { letterFiles } from '../cli/fonts.js';
import { SHEETS } from '../core/shipped/index.js';
import { judgeDraft } from './judged.js';
import { reportAlteredLines } from './altered-lines.js';
import { reportPrints } from './prints.js';
import { reportLines } from './lines.js';
import { TEN_ALTERATIONS, TWO_HUNDRED_ALTERATIONS } from './alteration-lists.js';
import { anyBody, inputFor, isMeantFor, plausibleBody, seeded, waysOf, wideBody } from './random-body.js';

const quantile = (sorted: readonly number[], q: number): number => sorted[Math.floor(q * (sorted.length - 1))] ?? NaN;

function report(name: string, times: number[], limit: number): void {
  const sorted = times.sort((a, b) => a - b);
  const [median, worst] = [quantile(sorted, 0.5), quantile(sorted, 0.99)];
  const verdict = median <= limit ? 'within' : 'OVER';
  console.log(
    `${name}: median ${median.toFixed(3)} ms (${verdict} ${limit} ms), 99th percentile ${worst.toFixed(3)} ms`,
  );
}

/** One whole recompute, with the alterations given. */
function recompute(name: string, alterations: readonly Alteration[], limit: number, count = 3000): void {
  const times: number[] = [];
  for (let i = 0; i < count; i++) {
    const measured = { waist: 780 + (i % 50), hip: 1000 + (i % 37), crotchDepth: 272, inseam: 780 };
    const start = performance.now();
    computeDraft({ ...EMPTY_INPUT, measured, alterations });
    times.push(performance.now() - start);
  }
  report(name, times.slice(count / 15), limit);
}

/** What the checks take of a recompute, over all methods: the quickest of many runs with and without them, in turn. */
function checksShare(): void {
  let [whole, drawn] = [0, 0];
  for (const sheet of SHEETS) {
    const best = [Infinity, Infinity];
    for (let i = 0; i < 400; i++) {
      for (const [k, run] of [computeDraft, drawDraft].entries()) {
        // A body of its own for each run: lines that were drawn before are remembered.
        const body = { ...MIDDLE, waist: MIDDLE.waist + i / 50, hip: MIDDLE.hip + k / 10 };
        const input = { ...EMPTY_INPUT, ...inputFor(sheet, body) };
        const start = performance.now();
        run(input);
        best[k] = Math.min(best[k] ?? Infinity, performance.now() - start);
      }
    }
    whole += best[0] ?? NaN;
    drawn += best[1] ?? NaN;
  }
  const share = 1 - drawn / whole;
  console.log(`checks: ${(100 * share).toFixed(1)} % of a recompute (${share <= 0.2 ? 'within' : 'OVER'} 20 %)`);
}

function bodies(): void {
  const random = seeded(1);
  const told = { drafted: 0, refused: 0, checksOut: 0, checksNear: 0, hollowMoved: 0 };
  for (let i = 0; i < 10000; i++) {
    const outcome = computeDraft({ ...EMPTY_INPUT, measured: plausibleBody(random) });
    if (!outcome.ok) {
      told.refused++;
      continue;
    }
    told.drafted++;
    const { block, checks } = outcome.value;
    if (checks.some((c) => c.verdict === 'out')) told.checksOut++;
    else if (checks.some((c) => c.verdict === 'near')) told.checksNear++;
    if ([block.front, block.back].some((p) => Math.abs(p.settled.hollow) > 5)) told.hollowMoved++;
  }
  console.log('10,000 plausible bodies:', told);
  const odd = { drafted: 0, refused: 0, silent: 0 };
  for (let i = 0; i < 2000; i++) {
    const measured = anyBody(random);
    const outcome = computeDraft({ ...EMPTY_INPUT, measured });
    if (!outcome.ok) odd.refused++;
    else {
      odd.drafted++;
      if (outcome.value.worked.warnings.length + findDoubts(measured, 'cm').length === 0) odd.silent++;
    }
  }
  console.log('2,000 implausible bodies:', odd);
}

const MIDDLE = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

/** One recompute by every method, and all ten compared at once. */
function methods(): void {
  for (const sheet of SHEETS) {
    const times: number[] = [];
    for (let i = 0; i < 600; i++) {
      const body = { ...MIDDLE, waist: 780 + (i % 50), hip: 1000 + (i % 37) };
      const input = { ...EMPTY_INPUT, ...inputFor(sheet, body) };
      const start = performance.now();
      computeDraft(input);
      times.push(performance.now() - start);
    }
    report(`recompute by ${sheet.id}`, times.slice(100), 2);
  }
  const times: number[] = [];
  for (let i = 0; i < 60; i++) {
    const body = { ...MIDDLE, hip: 1000 + i };
    const start = performance.now();
    const drafts = SHEETS.flatMap((sheet) => {
      const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, body) });
      return outcome.ok ? [outcome.value] : [];
    });
    compareMany(drafts, 'cm');
    times.push(performance.now() - start);
  }
  report('ten methods drafted and compared', times.slice(10), 60);
}

/** Random bodies within what each sheet declares, by every way of every method: what is out, and what is told. */
function everyMethod(): void {
  for (const sheet of SHEETS) {
    const random = seeded(3);
    const ways = waysOf(sheet);
    const told: Record<string, number> = { refused: 0, warned: 0, hollowMoved: 0, panelsMissed: 0 };
    for (let i = 0; i < 10000;) {
      const body = wideBody(random);
      if (!isMeantFor(sheet, body)) continue;
      i += 1;
      const outcome = computeDraft({
        ...EMPTY_INPUT,
        ...inputFor(sheet, body, random),
        choices: ways[i % ways.length] ?? {},
      });
      if (!outcome.ok) {
        told['refused'] = (told['refused'] ?? 0) + 1;
        continue;
      }
      const { block, checks, worked } = outcome.value;
      if (worked.warnings.length > 0) told['warned'] = (told['warned'] ?? 0) + 1;
      if ([block.front, block.back].some((p) => Math.abs(p.settled.hollow) > 5)) {
        told['hollowMoved'] = (told['hollowMoved'] ?? 0) + 1;
      }
      const { front, back, pair } = judgeDraft(outcome.value);
      const missed = pair.length > 0 ? 2 : Number(front.length > 0) + Number(back.length > 0);
      told['panelsMissed'] = (told['panelsMissed'] ?? 0) + missed;
      for (const c of checks) if (c.verdict === 'out') told[c.id] = (told[c.id] ?? 0) + 1;
    }
    console.log(`10,000 bodies by ${sheet.id}, ${ways.length} ways:`, JSON.stringify(told));
  }
}

async function pdf(): Promise<void> {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
  const paper = PAPERS[0];
  if (!outcome.ok || !paper) throw new Error('The middle body must draft');
  const { block } = outcome.value;
  const labels = { title: 'Bench', person: 'Nobody', method: 'Quarter and half', date: '2026-11-23' };
  const times: number[] = [];
  for (let i = 0; i < 12; i++) {
    const start = performance.now();
    const sheet = pieceSheet(piecesOf(garmentOf(block), HOUSE_ALLOWANCES), labels, undefined, undefined, false);
    await tiledPdf(sheet, { title: 'Bench', lines: [], date: new Date(0) }, paper, letterFiles);
    times.push(performance.now() - start);
  }
  report('PDF of a draft on A4', times, 1000);
}

recompute('one whole recompute', [], 2);
checksShare();
recompute('one whole recompute with ten alterations', TEN_ALTERATIONS, 2);
recompute('one whole recompute with two hundred alterations', TWO_HUNDRED_ALTERATIONS, 60, 60);
methods();
reportLines();
reportAlteredLines();
bodies();
everyMethod();
await pdf();
await reportPrints(report);
