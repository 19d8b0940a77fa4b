import { readFile } from 'node:fs/promises';
import { PDFDocument } from '@cantoo/pdf-lib';
import { strFromU8, unzipSync } from 'fflate';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { CHALK_HOUSE } from '../core/chalk/index.js';
import { EMPTY_INPUT } from '../core/chain/index.js';
import { HOUSE_ALLOWANCES } from '../core/piece/index.js';
import { batchFiles, BATCH_KINDS, type BatchFile, type BatchPrint } from './batch-files.js';
import { PAPERS, type Paper } from './index.js';
import type { LetterSource } from './pdf-marks.js';

const letters: LetterSource = async (alphabet) => {
  const read = async (weight: number): Promise<Uint8Array> =>
    readFile(`node_modules/@fontsource/source-sans-3/files/source-sans-3-${alphabet}-${weight}-normal.woff`);
  return { regular: await read(400), bold: await read(600) };
};
const making = {
  style: [{ id: 'band', values: {} }],
  allowances: HOUSE_ALLOWANCES,
  cloths: undefined,
  unit: 'cm' as const,
};
const bodyOf = (name: string, measured: Record<string, number>): BatchFile => ({
  name,
  note: 'measured 2026-05-07',
  input: { ...EMPTY_INPUT, measured },
  making,
});
const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const a4 = PAPERS.find((p) => p.id === 'a4') as Paper;
const print: BatchPrint = {
  title: 'Uniform trouser',
  date: new Date('2026-05-08T09:00:00Z'),
  kinds: BATCH_KINDS,
  paper: a4,
  sheets: a4,
  ink: 'black',
  chalk: CHALK_HOUSE,
  along: [{ name: 'measurements.csv', text: 'Name\r\n' }],
};

describe('the files of many bodies in one zip', () => {
  it('are those that are wanted, each under its name, with a table that tells of all', async () => {
    const told: number[] = [];
    const bodies = [
      bodyOf('Cook', four),
      bodyOf('Cook', { ...four, hip: 1100, waist: 900 }),
      bodyOf('Lamp: operator/left', { ...four, hip: 960 }),
      bodyOf('Apprentice', { waist: 560, hip: 660 }),
    ];
    const zip = unzipSync(await batchFiles(bodies, print, letters, (n) => told.push(n)));
    expect(told).toEqual([1, 2, 3, 4]);
    const names = Object.keys(zip);
    const endings = ['.pdf', '.dxf', '.svg', ' chalk sheet.pdf', ' cut list.csv', ' spec sheet.pdf'];
    for (const stem of ['Cook', 'Cook 2', 'Lamp operator left'])
      for (const ending of endings) expect(names).toContain(`${stem}${ending}`);
    expect(names).toHaveLength(3 * endings.length + 2);
    const table = Papa.parse<Record<string, string>>(
      strFromU8(zip['summary.csv'] ?? new Uint8Array()).replace(/^\ufeff/, ''),
      {
        header: true,
        skipEmptyLines: true,
      },
    ).data;
    expect(table.map((r) => r['name'])).toEqual(['Cook', 'Cook', 'Lamp: operator/left', 'Apprentice']);
    expect(table[1]?.['file']).toContain('Cook 2.pdf');
    expect(table[3]).toMatchObject({ file: '', problem: expect.stringMatching(/missing/) as string });
    const pdf = await PDFDocument.load(zip['Cook.pdf'] ?? new Uint8Array());
    expect(pdf.getTitle()).toBe('Uniform trouser');
    expect(pdf.getPage(0).getWidth()).toBeCloseTo((210 * 72) / 25.4, 1);
    expect(strFromU8(zip['Cook cut list.csv'] ?? new Uint8Array())).toContain('Waistband');
    // Two of one name are two bodies.
    expect(zip['Cook.dxf']).not.toEqual(zip['Cook 2.dxf']);
  });

  it('are one sheet each for a roll, and nothing but the table where nothing is wanted', async () => {
    const rolled = unzipSync(
      await batchFiles(
        [bodyOf('Cook', four)],
        { ...print, paper: undefined, kinds: ['pdf'], along: [] },
        letters,
        () => undefined,
      ),
    );
    expect((await PDFDocument.load(rolled['Cook.pdf'] ?? new Uint8Array())).getPageCount()).toBe(1);
    const none = await batchFiles([], { ...print, along: [] }, letters, () => undefined);
    expect(Object.keys(unzipSync(none))).toEqual(['summary.csv']);
  });
});
