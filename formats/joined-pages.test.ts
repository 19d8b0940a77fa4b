import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../bench/random-body.js';
import { letterFiles } from '../cli/fonts.js';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import type { Mark } from '../core/drawing/index.js';
import { contains, flatten, type Point } from '../core/geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf, type Piece } from '../core/piece/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { draftGarment } from '../core/style/index.js';
import { formatFigure, tapeFor } from '../core/units/index.js';
import { HOUSE_TILING, pagedDrawing, PAPERS, planTiles } from './index.js';
import { tiledPdf } from './pdf.js';

const STYLE = ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} }));
const labels = {
  title: 'Stage trousers',
  person: 'Cellist, measured 2026-05-07',
  method: 'Quarter and half',
  date: '2026-11-23',
  allowance: (mm: number) => formatFigure(mm, tapeFor('cm')),
};

function piecesBy(
  measured: { waist: number; hip: number; crotchDepth: number; inseam: number },
  method = SHEETS[0],
): readonly Piece[] {
  const outcome = method && computeDraft({ ...EMPTY_INPUT, ...inputFor(method, measured) });
  if (!outcome?.ok) return [];
  return piecesOf(draftGarment(outcome.value, STYLE, 'cm').garment, HOUSE_ALLOWANCES);
}

const MIDDLE = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

describe('pages that are trimmed and joined', () => {
  /** Dots to a millimetre of the rasterised pages. */
  const DOTS = 4;

  it.each(PAPERS)('hold every cut line within 0.3 mm as a picture, on $label', async (paper) => {
    const outcome = computeDraft({ ...EMPTY_INPUT, measured: MIDDLE });
    if (!outcome.ok) throw new Error('The middle body must draft');
    const pieces = piecesOf(draftGarment(outcome.value, [{ id: 'fly', values: {} }], 'cm').garment, HOUSE_ALLOWANCES);
    const { drawing } = pagedDrawing(pieces, labels, paper);
    const plan = planTiles(drawing, paper);
    const bytes = await tiledPdf(drawing, { title: 'Test', lines: [], date: new Date(0) }, paper, letterFiles);
    const pdf = await getDocument({ data: bytes, verbosity: 0 }).promise;
    const scale = (DOTS * 25.4) / 72;
    // The joined picture, a page at a time: each trimmed at its margin, and laid where its row and column say.
    const seen = new Map<string, Uint8ClampedArray>();
    const size = [Math.round(paper.width * DOTS), Math.round(paper.height * DOTS)] as const;
    for (const [i, tile] of plan.tiles.entries()) {
      const canvas: Canvas = createCanvas(...size);
      const context: SKRSContext2D = canvas.getContext('2d');
      context.fillStyle = 'white';
      context.fillRect(0, 0, ...size);
      const page = await pdf.getPage(i + 2);
      await page.render({ canvasContext: context as never, viewport: page.getViewport({ scale }) }).promise;
      seen.set(`${tile.row} ${tile.column}`, context.getImageData(0, 0, ...size).data);
    }
    const dark = ({ x, y }: Point): boolean => {
      const [row, column] = [Math.floor(y / plan.stepY), Math.floor(x / plan.stepX)];
      const data = seen.get(`${row} ${column}`);
      if (!data) return false;
      const { margin } = HOUSE_TILING;
      const [px, py] = [(x - column * plan.stepX + margin) * DOTS, (y - row * plan.stepY + margin) * DOTS];
      // Within 0.3 mm of the place: the line is drawn 0.3 mm wide, so its middle may be off by little more than a dot.
      const reach = 0.3 * DOTS;
      for (let dx = -reach; dx <= reach; dx += 0.5) {
        for (let dy = -reach; dy <= reach; dy += 0.5) {
          const at = 4 * (Math.floor(py + dy) * size[0] + Math.floor(px + dx));
          if ((data[at] ?? 255) < 150) return true;
        }
      }
      return false;
    };
    let [looked, missed] = [0, 0];
    for (const mark of drawing.marks) {
      if (mark.kind !== 'line' || mark.role !== 'stitching') continue;
      const run = flatten(mark.path, 0.05);
      for (let k = 1; k < run.length; k++) {
        const [a, b] = [run[k - 1] as Point, run[k] as Point];
        const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 2));
        for (let s = 0; s <= steps; s++) {
          looked++;
          if (!dark({ x: a.x + ((b.x - a.x) * s) / steps, y: a.y + ((b.y - a.y) * s) / steps })) missed++;
        }
      }
    }
    expect(looked).toBeGreaterThan(1500);
    expect(missed).toBe(0);
    // The cut line is dashed: between two dashes no more than its gap is bare.
    for (const mark of drawing.marks) {
      if (mark.kind !== 'line' || mark.role !== 'cut') continue;
      let [bare, worst] = [0, 0];
      const run = flatten(mark.path, 0.05);
      for (let k = 1; k < run.length; k++) {
        const [a, b] = [run[k - 1] as Point, run[k] as Point];
        const long = Math.hypot(b.x - a.x, b.y - a.y);
        const steps = Math.max(1, Math.ceil(long / 0.5));
        for (let s = 1; s <= steps; s++) {
          const on = dark({ x: a.x + ((b.x - a.x) * s) / steps, y: a.y + ((b.y - a.y) * s) / steps });
          bare = on ? 0 : bare + long / steps;
          worst = Math.max(worst, bare);
        }
      }
      expect(worst).toBeLessThan(3);
    }
  });
});

describe('the words of a print', () => {
  const lettered = (m: Mark): m is Extract<Mark, { kind: 'text' }> => m.kind === 'text';

  it('stand within their piece and clear of every join, on bodies of all kinds', () => {
    const random = seeded(3);
    let [words, over] = [0, 0];
    for (let i = 0; i < 12; i++) {
      const pieces = piecesBy(plausibleBody(random), SHEETS[i % SHEETS.length]);
      if (pieces.length === 0) continue;
      const paper = PAPERS[i % PAPERS.length];
      if (!paper) continue;
      const { drawing } = pagedDrawing(pieces, labels, paper);
      const { stepX, stepY } = planTiles(drawing, paper);
      const rings = drawing.marks.flatMap((m) => (m.kind === 'line' && m.role === 'cut' ? [flatten(m.path, 0.5)] : []));
      for (const mark of drawing.marks.filter(lettered)) {
        const turned = (mark.turn * Math.PI) / 180;
        const wide = mark.text.length * mark.size * 0.42;
        const ends = [mark.at, { x: mark.at.x + wide * Math.cos(turned), y: mark.at.y + wide * Math.sin(turned) }];
        words++;
        for (const p of ends) expect(rings.some((ring) => contains(ring, p))).toBe(true);
        const sliced = ([low, high]: readonly number[], step: number): boolean =>
          Math.floor(((low ?? 0) - 2) / step) !== Math.floor(((high ?? 0) + 2) / step);
        const [xs, ys] = [ends.map((p) => p.x).sort((a, b) => a - b), ends.map((p) => p.y).sort((a, b) => a - b)];
        if (sliced(xs, stepX) || sliced(ys, stepY)) over++;
      }
    }
    expect(words).toBeGreaterThan(600);
    expect(over).toBe(0);
  });

  it('tell on each edge how wide its allowance is, as it is drawn', () => {
    const pieces = piecesBy(MIDDLE);
    const [paper] = PAPERS;
    if (!paper) throw new Error('A4');
    const { drawing } = pagedDrawing(pieces, labels, paper);
    const figures = drawing.marks
      .filter(lettered)
      .filter((m) => /^\d+\.\d$/.test(m.text))
      .map((m) => m.text);
    expect(figures.filter((f) => f === '1.5').length).toBeGreaterThanOrEqual(4);
    expect(figures).toContain('4.0');
    expect(figures).toContain('1.0');
  });
});
