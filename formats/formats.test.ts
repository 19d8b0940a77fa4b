import { SaxesParser } from 'saxes';
import { describe, expect, it } from 'vitest';
import { readPage } from '../bench/read-pdf.js';
import { letterFiles } from '../cli/fonts.js';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { pathLength } from '../core/geometry/index.js';
import { pieceSheet, type Drawing } from '../core/drawing/index.js';
import { layOnPages } from '../core/drawing/paged-layout.js';
import { garmentOf } from '../core/garment/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { HOUSE_TILING, pagedDrawing, PAPERS, planTiles, toSvg, unprintable } from './index.js';
import { rollPdf, tiledPdf } from './pdf.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const { block } = outcome.value;
const pieces = piecesOf(garmentOf(block), HOUSE_ALLOWANCES);
const labels = { title: 'Stage trousers', person: 'Cellist <&> co', method: 'Quarter and half', date: '2026-11-23' };
const head = { title: 'Stage trousers', lines: ['one', 'two'], date: new Date('2026-11-23T00:00:00Z') };
const sheet = (square = true): Drawing => pieceSheet(pieces, labels, undefined, undefined, square);
describe('the PDF', () => {
  it('has every edge, read back, as long as the core says to 0.1 mm, and true test squares', async () => {
    const { lines } = await readPage(await rollPdf(sheet(), head, letterFiles), 1);
    const length = (name: string): number => pathLength(lines.find((l) => l.name === name)?.path ?? []);
    for (const panel of [block.front, block.back]) {
      for (const edge of ['waist', 'side', 'hem', 'inseam', 'rise'] as const) {
        expect(Math.abs(length(`${panel.name}.${edge}`) - pathLength(panel.edges[edge]))).toBeLessThan(0.1);
      }
    }
    expect(length('test_square_100_mm')).toBeCloseTo(400, 1);
    expect(length('test_square_4_in')).toBeCloseTo(406.4, 1);
  });

  it('is as large as its paper, with an overview and the pages it announced', async () => {
    for (const paper of PAPERS) {
      const plan = planTiles(sheet(false), paper);
      let heard = 0;
      const bytes = await tiledPdf(sheet(false), head, paper, letterFiles, { onPage: (done) => (heard = done) });
      const first = await readPage(bytes, 1);
      expect(first.pages).toBe(plan.tiles.length + 1);
      expect(heard).toBe(plan.tiles.length);
      expect([first.width, first.height].map((x) => Math.round(x * 10) / 10)).toEqual([paper.width, paper.height]);
      expect(pathLength(first.lines.find((l) => l.name === 'test_square_100_mm')?.path ?? [])).toBeCloseTo(400, 1);
      const second = await readPage(bytes, 2);
      const named = second.lines.find((l) => l.name === 'front.waist');
      expect(Math.abs(pathLength(named?.path ?? []) - pathLength(block.front.edges.waist))).toBeLessThan(0.1);
    }
  });

  it('is the same file for the same draft and date', async () => {
    const make = (): Promise<Uint8Array> => rollPdf(sheet(), head, letterFiles);
    expect(Buffer.from(await make()).equals(Buffer.from(await make()))).toBe(true);
  });
});

/** All words of a page in one, read back. */
const wordsOf = async (bytes: Uint8Array, page: number): Promise<string> =>
  (await readPage(bytes, page)).words.map(({ text }) => text).join('');

describe('the letters of a print', () => {
  const named = (person: string): Drawing => pieceSheet(pieces, { ...labels, person });

  it('are those of the name, in Latin, Greek and Cyrillic, and in a name of both', async () => {
    for (const name of [
      'Zażółć Gęślą Jaźń',
      'Příliš žluťoučký kůň',
      'Işıl Gümüş',
      'Ευγενία',
      'Гражданка Ёлкина',
      'Łódź Ёж',
    ]) {
      expect(unprintable([name])).toEqual([]);
      expect(await wordsOf(await rollPdf(named(name), head, letterFiles), 1)).toContain(name);
    }
  });

  it('that stand apart from their accents are put together', async () => {
    expect(await wordsOf(await rollPdf(named('Zoe\u0308 Garc\u0327a'), head, letterFiles), 1)).toContain('Zo\u00eb');
  });

  it('that the face does not have are told, and marked where they would stand', async () => {
    expect(unprintable(['Ada 李李王', 'Bo'])).toEqual(['李', '王']);
    const words = await wordsOf(await rollPdf(named('Ada 李'), head, letterFiles), 1);
    expect(words).toContain('Ada ?');
  });

  it('are asked for only as far as they are used', async () => {
    const asked: string[] = [];
    const source: typeof letterFiles = (alphabet) => {
      asked.push(alphabet);
      return letterFiles(alphabet);
    };
    await rollPdf(named('Plain Name'), head, source);
    await rollPdf(named('Ёж'), head, source);
    expect(asked).toEqual(['latin', 'latin', 'cyrillic']);
  });

  it('of an endless name are cut off to the page', async () => {
    const long = { ...head, title: 'Wide '.repeat(400), lines: ['Long '.repeat(400)] };
    const paper = PAPERS[0] ?? { id: 'a4', label: 'A4', width: 210, height: 297 };
    const words = await wordsOf(await tiledPdf(sheet(false), long, paper, letterFiles), 1);
    expect(words).toMatch(/^Wide Wide [Wide ]*…Long [Long ]*…/);
    expect(words.length).toBeLessThan(600);
  });
});

describe('tiles', () => {
  it('cover the whole drawing and lap by the overlap', () => {
    const plan = planTiles(sheet(false), PAPERS[0] ?? { id: 'a4', label: 'A4', width: 210, height: 297 });
    expect(plan.columns * plan.stepX + HOUSE_TILING.overlap).toBeGreaterThanOrEqual(sheet(false).width);
    expect(plan.rows * plan.stepY + HOUSE_TILING.overlap).toBeGreaterThanOrEqual(sheet(false).height);
    const a1 = plan.tiles.find((t) => t.mark === 'A1');
    const b1 = plan.tiles.find((t) => t.mark === 'B1');
    expect((a1?.box.maxY ?? 0) - (b1?.box.minY ?? 0)).toBeCloseTo(HOUSE_TILING.overlap, 9);
  });

  it('leave out pages without a line, and keep each piece within a roll’s width', () => {
    const plan = planTiles(sheet(false), { id: 'a4', label: 'A4', width: 60, height: 60 }, { margin: 5, overlap: 5 });
    expect(plan.tiles.length).toBeLessThan(plan.rows * plan.columns);
    const narrow = pieceSheet(pieces, labels, undefined, 600);
    expect(narrow.width).toBeLessThan(600);
    expect(narrow.height).toBeGreaterThan(2 * 1000);
  });
});

describe('the SVG', () => {
  const svg = toSvg(sheet(), 'Stage trousers');

  it('is in true millimetres and has every edge as long as the core says', () => {
    expect(svg).toMatch(/width="[\d.]+mm" height="[\d.]+mm" viewBox="0 0 [\d.]+ [\d.]+"/);
    for (const panel of [block.front, block.back]) {
      for (const edge of ['waist', 'side', 'hem', 'inseam', 'rise'] as const) {
        const data = new RegExp(`data-name="${panel.name}.${edge}" d="([^"]+)"`).exec(svg)?.[1] ?? '';
        expect(Math.abs(lengthOf(data) - pathLength(panel.edges[edge]))).toBeLessThan(0.1);
      }
    }
  });

  it('takes any name of a person as plain text', () => {
    expect(svg).toContain('Cellist &lt;&amp;&gt; co');
    const odd = toSvg(pieceSheet(pieces, { ...labels, person: 'A\u0000B\u001b\u0085C\ud800D\uffffE Ж' }), 'T\u0007');
    const parser = new SaxesParser();
    const faults: Error[] = [];
    parser.on('error', (fault) => faults.push(fault));
    parser.write(odd).close();
    expect(faults).toEqual([]);
    expect(odd).toContain('ABCDE Ж');
  });
});

/** The length of SVG path data made of M, L and C, read anew from its text. */
function lengthOf(data: string): number {
  let sum = 0;
  let here = { x: 0, y: 0 };
  for (const [, op, rest = ''] of data.matchAll(/([MLC])([^MLC]+)/g)) {
    const n = rest.trim().split(/\s+/).map(Number);
    const at = (i: number): { x: number; y: number } => ({ x: n[i] ?? NaN, y: n[i + 1] ?? NaN });
    if (op === 'L') sum += Math.hypot(at(0).x - here.x, at(0).y - here.y);
    if (op === 'C') sum += pathLength([{ p0: here, p1: at(0), p2: at(2), p3: at(4) }]);
    here = at(op === 'C' ? 4 : 0);
  }
  return sum;
}

describe('pages that are joined', () => {
  const drawing = pieceSheet(pieces, labels, undefined, undefined, false);
  const [paper] = PAPERS;
  if (!paper) throw new Error('A4');

  it('say at their foot what they are of, and which of how many', async () => {
    const plan = planTiles(drawing, paper);
    const bytes = await tiledPdf(
      drawing,
      { title: 'Stage trousers', lines: ['Cellist'], date: new Date(0) },
      paper,
      letterFiles,
    );
    const third = await readPage(bytes, 3);
    const mark = plan.tiles[1]?.mark ?? '';
    expect(third.words.map((w) => w.text).join(' ')).toContain(
      `Stage trousers, Cellist; row ${mark.charAt(0)}, column ${mark.slice(1)}; page 3 of ${plan.tiles.length + 1}`,
    );
    const first = await readPage(bytes, 1);
    expect(first.words.map((w) => w.text)).toEqual(expect.arrayContaining(['cut line: cut here', 'stitching line']));
  });

  it('are as few as the pieces allow, never more than as they lie', () => {
    for (const one of PAPERS) {
      const { drawing: best, saved } = pagedDrawing(pieces, labels, one);
      expect(planTiles(best, one).tiles.length).toBe(planTiles(drawing, one).tiles.length - saved);
      expect(saved).toBeGreaterThanOrEqual(0);
      // Moved or laid anew, every piece is still as large as it is.
      const long = (d: typeof drawing): number =>
        d.marks.reduce((sum, m) => sum + (m.kind === 'line' && m.role === 'cut' ? pathLength(m.path) : 0), 0);
      expect(long(best)).toBeCloseTo(long(drawing), 6);
    }
  });

  it('lay no two pieces on one another, on pages of their own or close together', () => {
    const boxes = [
      { width: 300, height: 1100 },
      { width: 340, height: 1120 },
      { width: 120, height: 90 },
      { width: 60, height: 200 },
      { width: 80, height: 900 },
      { width: 160, height: 240 },
    ];
    for (const close of [false, true]) {
      const at = layOnPages(boxes, { x: 174, y: 261 }, 6, close);
      boxes.forEach((a, i) => {
        boxes.slice(i + 1).forEach((b, k) => {
          const [p, q] = [at[i] ?? { x: 0, y: 0 }, at[i + 1 + k] ?? { x: 0, y: 0 }];
          const apart = p.x + a.width <= q.x || q.x + b.width <= p.x || p.y + a.height <= q.y || q.y + b.height <= p.y;
          expect([close, i, k, apart]).toEqual([close, i, k, true]);
        });
      });
    }
  });
});
