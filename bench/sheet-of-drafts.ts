/**
 * Contact sheets of drafts as PNG, to be looked at after every change of a curve: all methods and ways on the table of
 * bodies. `npm run sheet-of-drafts -- [METHOD] [--combs] [--body ID] [--out DIR]`
 */
import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { computeDraft, EMPTY_INPUT, type Draft } from '../core/chain/index.js';
import type { Panel } from '../core/draft/index.js';
import type { Sheet } from '../core/method/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { BODIES, type TableBody } from './body-table.js';
import { asJudged, judgeDraft } from './judged.js';
import { sampled, type Span } from './line-judge.js';
import { inputFor, waysOf } from './random-body.js';
import { readerIn } from '../core/units/index.js';
import { refusalsSentence } from '../core/refusal/index.js';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    combs: { type: 'boolean', default: false },
    body: { type: 'string' },
    out: { type: 'string', default: '.cache/sheets' },
    scale: { type: 'string', default: '0.55' },
  },
});
const SCALE = Number(values.scale);
/** The length of a comb's tooth for a radius of 100 mm, in mm. */
const TOOTH = 40;
const CELL = { width: 620, height: 1300 };
const COLUMNS = 5;

const path = (spans: readonly Span[]): string =>
  spans
    .map(
      ([x0, y0, x1, y1, x2, y2, x3, y3], i) => `${i === 0 ? `M${x0} ${y0}` : ''}C${x1} ${y1} ${x2} ${y2} ${x3} ${y3}`,
    )
    .join('');

function combs(spans: readonly Span[]): string {
  const teeth = sampled(spans).filter((_, i) => i % 4 === 0);
  return teeth
    .map(({ x, y, angle, k }) => {
      const long = k * 100 * TOOTH;
      return `<path class="tooth" d="M${x} ${y}l${-Math.sin(angle) * -long} ${Math.cos(angle) * -long}"/>`;
    })
    .join('');
}

function piece(panel: Panel, x: number): string {
  const { seams } = asJudged(panel);
  const edges = [...seams.waist, ...seams.side, ...seams.hem, ...seams.inseam, ...seams.rise];
  const { levels } = panel;
  const lines = [0, levels.hipLevel, levels.crotchLevel, levels.kneeLevel]
    .map((y) => `<path class="level" d="M-40 ${y}H420"/>`)
    .join('');
  const legs = panel.darts
    .map(
      (d) =>
        `<path class="dart" d="M${d.centreLeg.x} ${d.centreLeg.y}L${d.apex.x} ${d.apex.y}L${d.sideLeg.x} ${d.sideLeg.y}"/>`,
    )
    .join('');
  const teeth = values.combs ? [seams.side, seams.inseam, seams.rise, seams.closedWaist].map(combs).join('') : '';
  return `<g transform="translate(${x} 100)">${lines}${teeth}<path class="edge" d="${path(edges)}Z"/>${legs}</g>`;
}

function cell(draft: Draft | string, title: string, index: number): string {
  const x = (index % COLUMNS) * CELL.width * 1.5;
  const y = Math.floor(index / COLUMNS) * CELL.height;
  if (typeof draft === 'string')
    return `<g transform="translate(${x} ${y})"><text x="20" y="40">${title}: ${draft}</text></g>`;
  const judged = judgeDraft(draft);
  const missed = [...judged.front, ...judged.back, ...judged.pair].map(({ id, value }) => `${id} ${value.toFixed(2)}`);
  const words = missed.map((m, i) => `<text class="missed" x="20" y="${1200 + i * 26}">${m}</text>`).join('');
  return `<g transform="translate(${x} ${y})"><text x="20" y="40">${title}</text>${piece(draft.block.front, 60)}${piece(draft.block.back, 490)}${words}</g>`;
}

function drafted(sheet: Sheet, way: Record<string, string>, { input }: TableBody): Draft | string {
  const { waist = 0, hip = 0, crotchDepth = 0, inseam = 0 } = input.measured;
  const body = { waist, hip, crotchDepth, inseam };
  const outcome = computeDraft({
    ...EMPTY_INPUT,
    ...inputFor(sheet, body),
    figure: input.figure,
    build: input.build,
    choices: way,
  });
  return outcome.ok ? outcome.value : refusalsSentence(outcome.refusals, readerIn('cm'));
}

const out = resolve(values.out);
mkdirSync(out, { recursive: true });
const bodies = BODIES.filter((b) => values.body === undefined || b.id === values.body);
for (const sheet of SHEETS.filter((s) => positionals.length === 0 || positionals.includes(s.id))) {
  for (const [i, way] of waysOf(sheet).entries()) {
    const cells = bodies.map((body, k) => cell(drafted(sheet, way, body), `${body.id}`, k));
    const rows = Math.ceil(bodies.length / COLUMNS);
    const [width, height] = [Math.min(bodies.length, COLUMNS) * CELL.width * 1.5, rows * CELL.height];
    const style =
      '.edge{fill:none;stroke:#111;stroke-width:1.6}.level{stroke:#bbb;stroke-width:.7}.dart{fill:none;stroke:#444}.tooth{stroke:#d33;stroke-width:.7}text{font:22px sans-serif}.missed{fill:#b00}';
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width * SCALE}" height="${height * SCALE}" viewBox="0 0 ${width} ${height}"><style>${style}</style><rect width="100%" height="100%" fill="#fff"/>${cells.join('')}</svg>`;
    const file = join(out, `${sheet.id}-${i}`);
    writeFileSync(`${file}.svg`, svg);
    execFileSync(
      'chromium',
      [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--hide-scrollbars',
        `--window-size=${Math.ceil(width * SCALE)},${Math.ceil(height * SCALE)}`,
        `--screenshot=${file}.png`,
        `file://${file}.svg`,
      ],
      { stdio: 'ignore' },
    );
    console.log(`${file}.png  ${sheet.name}, ${Object.values(way).join(', ') || 'its one way'}`);
  }
}
