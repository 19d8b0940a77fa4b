import { createCanvas } from '@napi-rs/canvas';
import Papa from 'papaparse';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { pieceSheet, type WrittenPage } from '../core/drawing/index.js';
import { pathBox } from '../core/geometry/index.js';
import { cutListOf, HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { draftGarment } from '../core/style/index.js';
import { cutListCsv, PAPERS, planTiles, readPages, SMALL_PRINTS, smallDrawing } from './index.js';
import { letterFiles as letters } from '../cli/fonts.js';
import { tiledPdf } from './pdf.js';
import { sheetsPdf } from './sheet-pdf.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const style = ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} }));
const { garment } = draftGarment(outcome.value, style, 'cm');
const pieces = piecesOf(garment, HOUSE_ALLOWANCES);
const labels = { title: 'Stage trousers', person: 'Cellist', method: 'Quarter and half', date: '2026-11-23' };
const drawing = pieceSheet(pieces, labels, undefined, undefined, false);
const head = { title: 'Stage trousers', lines: ['Cellist'], date: new Date(0) };
const [paper] = PAPERS;
if (!paper) throw new Error('A4');

interface ReadPage {
  readonly words: readonly string[];
  readonly colours: ReadonlySet<string>;
}

async function pagesOf(bytes: Uint8Array): Promise<ReadPage[]> {
  const pdf = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i): Promise<ReadPage> => {
      const page = await pdf.getPage(i + 1);
      const { items } = await page.getTextContent();
      const { fnArray, argsArray } = await page.getOperatorList();
      const colours = fnArray.flatMap((fn, k) => (fn === OPS.setStrokeRGBColor ? [JSON.stringify(argsArray[k])] : []));
      return { words: items.flatMap((t) => ('str' in t ? [t.str] : [])), colours: new Set(colours) };
    }),
  );
}

describe('which pages are printed', () => {
  it('is read as people write it', () => {
    expect(readPages('3', 9)).toEqual({ ok: true, pages: [3] });
    expect(readPages(' 2, 5-7 5', 9)).toEqual({ ok: true, pages: [2, 5, 6, 7] });
    expect(readPages('', 9)).toEqual({ ok: true, pages: undefined });
    expect(readPages('All', 9)).toEqual({ ok: true, pages: undefined });
  });

  it.each([
    ['10', 'there is no page “10”. This print has pages 1 to 9'],
    ['0', 'there is no page “0”'],
    ['7-5', 'there is no page “7-5”'],
    ['A3', '“A3” is no page. Write 3, or 2, 5-7, or all'],
    ['-2', '“-2” is no page'],
  ])('says what is wrong with %s, and what to write', (text, told) => {
    const read = readPages(text, 9);
    expect(read.ok ? '' : read.told).toContain(told);
  });

  it('are the very pages of the whole print', async () => {
    const whole = await pagesOf(await tiledPdf(drawing, head, paper, letters));
    const some = await pagesOf(await tiledPdf(drawing, head, paper, letters, { only: [1, 4] }));
    expect(some).toHaveLength(2);
    expect(some[0]?.words).toEqual(whole[0]?.words);
    expect(some[1]?.words).toEqual(whole[3]?.words);
    expect(whole).toHaveLength(planTiles(drawing, paper).tiles.length + 1);
  });
});

describe('the ink of a print', () => {
  it('is black unless colour is asked for; then the stitching line is another than the cut line', async () => {
    const black = await pagesOf(await tiledPdf(drawing, head, paper, letters, { only: [2] }));
    const colour = await pagesOf(await tiledPdf(drawing, head, paper, letters, { only: [2], ink: 'colour' }));
    expect(black[0]?.colours.size).toBe(0);
    expect(colour[0]?.colours.size).toBeGreaterThan(1);
  });
});

describe('a small print', () => {
  it('is smaller by its share everywhere, and says that it is not to be cut by', async () => {
    for (const { share, label } of SMALL_PRINTS) {
      const small = smallDrawing(drawing, share);
      const cut = (d: typeof drawing): number[] =>
        d.marks.flatMap((m) =>
          m.kind === 'line' && m.role === 'cut' ? [pathBox(m.path).maxY - pathBox(m.path).minY] : [],
        );
      cut(small).forEach((high, i) => {
        expect(high).toBeCloseTo((cut(drawing)[i] ?? 0) * share, 6);
      });
      expect(planTiles(small, paper).tiles.length).toBeLessThan(planTiles(drawing, paper).tiles.length / 6);
      const words = (await pagesOf(await tiledPdf(small, head, paper, letters))).flatMap((p) => p.words).join(' ');
      expect(words).toContain(label);
    }
  });
});

describe('a cut list as CSV', () => {
  it('has a row for every part, read back by a package', () => {
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(cutListOf(pieces), []).replace(/^\ufeff/, ''), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data.map((r) => r['part']).sort()).toEqual(pieces.map((p) => p.part.id).sort());
    expect(data.find((r) => r['part'] === 'front')).toMatchObject({ cloth: 'shell', count: '2', cut: 'mirrored' });
    const area = Number(data.find((r) => r['part'] === 'front')?.['area of one in cm²']);
    expect(area).toBeGreaterThan(2000);
    expect(area).toBeLessThan(5000);
  });
});

describe('a written page', () => {
  const long: WrittenPage = {
    title: 'Chalk sheet',
    columns: 2,
    blocks: [
      { as: 'heading', words: 'Front' },
      {
        as: 'list',
        rows: Array.from({ length: 150 }, (_, i) => ({
          mark: String(i + 1),
          words: `Move ${i + 1}: on the hip line, out ${i} and a long way round, so that the words run on to a second line.`,
          box: true,
        })),
      },
      { as: 'table', head: ['', 'Drawn', 'Chalked'], rows: [['Hip', '40 1/2 in', '40 5/8 in']] },
      { as: 'paragraph', words: 'Žofie’s trousers: Ελένη, Сова.' },
    ],
  };

  it('says everything once, in its order, over as many pages as it takes, each with its number', async () => {
    const heard: string[] = [];
    const bytes = await sheetsPdf([long], head, paper, letters, (done, all) => heard.push(`${done}/${all}`));
    const pages = await pagesOf(bytes);
    expect(heard).toEqual(long.blocks.map((_, i) => `${i + 1}/${long.blocks.length}`));
    expect(pages.length).toBeGreaterThan(1);
    const words = pages.flatMap((p) => p.words).join(' ');
    for (let i = 1; i <= 150; i++) expect(words).toContain(`Move ${i}:`);
    expect(words.indexOf('Move 2:')).toBeLessThan(words.indexOf('Move 149:'));
    pages.forEach((p, i) => {
      expect(p.words.join(' ')).toContain(`page ${i + 1} of ${pages.length}`);
    });
    expect(words).toContain('40 5/8 in');
    expect(words.replace(/\s+/g, '')).toContain('Ελένη');
  });

  it('keeps its words within the margins and above the foot', async () => {
    const bytes = await sheetsPdf([long], head, paper, letters);
    const pdf = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
    for (let i = 1; i <= pdf.numPages; i++) {
      const page = await pdf.getPage(i);
      const { items } = await page.getTextContent();
      for (const t of items) {
        if (!('str' in t) || t.str.trim() === '') continue;
        const [x, y] = [Number(t.transform[4]), Number(t.transform[5])];
        expect(x).toBeGreaterThan(12 * (72 / 25.4) - 0.1);
        expect(x + t.width).toBeLessThan((210 - 12) * (72 / 25.4) + 0.5);
        expect(y).toBeGreaterThan(10);
      }
    }
  });

  it('has a picture upright within its column, its words below it', async () => {
    const canvas = createCanvas(400, 300);
    const jpeg = canvas.toBuffer('image/jpeg').toString('base64');
    const blocks = [{ as: 'picture', jpeg, width: 400, height: 300, label: 'From behind' }] as const;
    const bytes = await sheetsPdf([{ title: 'Fitting', columns: 1, blocks }], head, paper, letters);
    const page = await (await getDocument({ data: bytes.slice(), verbosity: 0 }).promise).getPage(1);
    const { fnArray, argsArray } = await page.getOperatorList();
    const at = fnArray.indexOf(OPS.paintImageXObject);
    expect(at).toBeGreaterThan(0);
    // The picture is a unit square under what is transformed before it.
    let [x, y, wide, high] = [0, 0, 1, 1];
    for (let i = at; i >= 0 && fnArray[i] !== OPS.save; i--) {
      if (fnArray[i] !== OPS.transform) continue;
      const [a, , , d, e, f] = argsArray[i] as number[] as [number, number, number, number, number, number];
      [x, y, wide, high] = [a * x + e, d * y + f, a * wide, d * high];
    }
    expect(wide / high).toBeCloseTo(4 / 3, 3);
    expect(wide).toBeCloseTo(110 * (72 / 25.4), 1);
    expect(x).toBeCloseTo(12 * (72 / 25.4), 1);
    const { items } = await page.getTextContent();
    const label = items.find((t) => 'str' in t && t.str === 'From behind');
    if (!label || !('transform' in label)) throw new Error('no label');
    expect(Number(label.transform[5])).toBeLessThan(y);
    expect(Number(label.transform[5])).toBeGreaterThan(y - 20);
  });

  it('begins each sheet on a page of its own', async () => {
    const short: WrittenPage = { title: 'Ready to cut', columns: 1, blocks: [{ as: 'paragraph', words: 'Tick it.' }] };
    const pages = await pagesOf(await sheetsPdf([short, { ...short, title: 'Make sheet' }], head, paper, letters));
    expect(pages.map((p) => p.words[0])).toEqual(['Ready to cut: Stage trousers', 'Make sheet: Stage trousers']);
  });
});
