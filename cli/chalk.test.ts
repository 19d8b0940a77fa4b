import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { SHEETS } from '../core/shipped/index.js';
import { command } from './command.js';

const folder = await mkdtemp(join(tmpdir(), 'upstride-chalk-'));
let files = 0;
async function file(json: unknown): Promise<string> {
  const path = join(folder, `${files++}.json`);
  await writeFile(path, JSON.stringify(json));
  return path;
}

const INCHES = {
  measurements: { unit: 'in', waist: 31, hip: '40 1/2', crotchDepth: '10 3/4', inseam: 30 },
  method: 'sixteenths',
  style: { fly: true, band: true },
};
const METRIC = { measurements: { unit: 'cm', waist: 78, hip: 100, crotchDepth: 27.2, inseam: 78 } };

type Pair = readonly [number, number];

interface Move {
  readonly n: number;
  readonly part: string;
  readonly kind: string;
  readonly say: string;
  readonly from: Pair;
  readonly to: Pair;
  readonly through: readonly Pair[];
  readonly figure: number;
  readonly rounded: number;
  readonly sum: string;
  readonly letter?: string;
}

interface Sheet {
  readonly unit: string;
  readonly step: number;
  readonly line: string;
  readonly back: string;
  readonly laid: Readonly<Record<string, number>>;
  readonly cloth: { readonly parts: readonly { readonly part: string; readonly width: number }[] };
  readonly moves: readonly Move[];
  readonly rounding: { readonly figures: Readonly<Record<string, { drawn: number; chalked: number }>> };
}

async function sheetOf(order: unknown, ...more: string[]): Promise<Sheet> {
  const { status, out, error } = await command(['chalk', await file(order), ...more]);
  expect(error).toBe('');
  expect(status).toBe(0);
  return JSON.parse(String(out)) as Sheet;
}

async function outlineOf(order: unknown, part: string, line: 'net' | 'cut'): Promise<readonly Pair[]> {
  const { out } = await command(['draft', await file(order)]);
  const { parts } = JSON.parse(String(out)) as { parts: { id: string; net: Pair[]; cut: Pair[] }[] };
  return parts.find((p) => p.id === part)?.[line] ?? [];
}

/** How far a place lies off a closed line of straights, in mm. */
function off([x, y]: Pair, line: readonly Pair[]): number {
  return Math.min(
    ...line.map(([ax, ay], i) => {
      const [bx, by] = line[(i + 1) % line.length] as Pair;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );
}

describe('upstride chalk', () => {
  it('gives the moves in mm, numbered, in the steps of the maker’s tape, with cloth and rounding', async () => {
    const sheet = await sheetOf(INCHES);
    expect(sheet).toMatchObject({ unit: 'mm', step: 3.175, line: 'cut', back: 'front' });
    expect(sheet.moves.map((m) => m.n)).toEqual(sheet.moves.map((_, i) => i + 1));
    expect(new Set(sheet.moves.map((m) => m.kind))).toEqual(new Set(['fold', 'square', 'point', 'line', 'curve']));
    // As wide as makers fold: 14 and 17 in.
    expect(sheet.cloth.parts.map((p) => [p.part, Math.round(p.width / 25.4)])).toEqual([
      ['front', 14],
      ['back', 17],
    ]);
    const { hip, waist } = sheet.rounding.figures;
    expect(Math.abs((hip?.chalked ?? 0) - (hip?.drawn ?? 99))).toBeLessThanOrEqual(3.2);
    expect(Math.abs((waist?.chalked ?? 0) - (waist?.drawn ?? 99))).toBeLessThanOrEqual(3.2);
  });

  it.each(['net', 'cut'] as const)('lies on the %s line of the same order, within one step', async (line) => {
    const sheet = await sheetOf(METRIC, '--line', line);
    expect(sheet.step).toBe(2.5);
    for (const part of ['front', 'back']) {
      const outline = await outlineOf(METRIC, part, line);
      expect(outline.length).toBeGreaterThan(50);
      const own = sheet.moves.filter((m) => m.part === part && (m.kind === 'line' || m.kind === 'curve'));
      for (const m of own) {
        for (const p of [m.from, ...m.through, m.to]) expect(off(p, outline)).toBeLessThanOrEqual(sheet.step + 0.05);
      }
    }
  });

  it('takes another tape and the back from the front, where they are asked for', async () => {
    const coarse = await sheetOf(METRIC, '--tape', '0.5');
    expect(coarse.step).toBe(5);
    const laid = await sheetOf(METRIC, '--back', 'front', '--line', 'net');
    const front = laid.moves.find((m) => m.part === 'front' && m.say.startsWith('Crotch point'));
    const back = laid.moves.find((m) => m.part === 'back' && m.say.startsWith('Crotch point'));
    expect(back?.from).toEqual(front?.to);
    expect(back?.to[0]).toBeGreaterThan(front?.to[0] ?? Infinity);
    // The figure of a move from the front is how far it goes, not where it lies.
    expect(back?.rounded).toBeCloseTo((back?.to[0] ?? 0) - (front?.to[0] ?? 0), 6);
  });

  it('lays the back where its method has it, and says how far it was moved across', async () => {
    const laid = await sheetOf(INCHES);
    expect(laid.back).toBe('front');
    const outline = await outlineOf(INCHES, 'back', 'cut');
    const own = laid.moves.filter((m) => m.part === 'back' && (m.kind === 'line' || m.kind === 'curve'));
    expect(own.length).toBeGreaterThan(4);
    const across = laid.laid['back'] ?? 0;
    expect(Math.abs(across)).toBeGreaterThan(5);
    for (const m of own) expect(off([m.from[0] - across, m.from[1]], outline)).toBeLessThanOrEqual(laid.step + 0.05);
    expect(await sheetOf(METRIC)).toMatchObject({ back: 'own', laid: {} });
  });

  it('letters the points in the order of drawing, where that is asked for', async () => {
    const { moves } = await sheetOf(METRIC, '--points', 'letters', '--levels', 'hem');
    expect(moves.some((m) => m.say.includes('up from the hem line'))).toBe(true);
    const points = moves.filter((m) => m.kind === 'point');
    const first = [...new Set(points.map((m) => m.letter))];
    expect(first.slice(0, 5)).toEqual(['A', 'B', 'C', 'D', 'E']);
    const line = moves.find((m) => m.kind === 'line' && m.part === 'front');
    const ends = [line?.from, line?.to].map(
      (at) => points.find((p) => p.part === 'front' && p.to[0] === at?.[0] && p.to[1] === at?.[1])?.letter,
    );
    expect(line?.letter).toBe(ends.join(' to '));
    expect((await sheetOf(METRIC)).moves.some((m) => 'letter' in m)).toBe(false);
  });

  it('is printed, on the paper that is asked for', async () => {
    const out = join(folder, 'sheet.pdf');
    const { status } = await command([
      'chalk',
      await file(INCHES),
      '--format',
      'pdf',
      '--paper',
      'letter',
      '--out',
      out,
    ]);
    expect(status).toBe(0);
    const pdf = await getDocument({ data: new Uint8Array(await readFile(out)), verbosity: 0 }).promise;
    expect(pdf.numPages).toBeLessThanOrEqual(3);
    const page = await pdf.getPage(1);
    expect(page.view.map(Math.round)).toEqual([0, 0, 612, 792]);
    const words = (await page.getTextContent()).items.map((t) => ('str' in t ? t.str : '')).join(' ');
    expect(words).toContain('Crotch line. 11 1/8 down from the start line');
  });

  it('takes two printed pages for a front and a back, by every method, on either paper', async () => {
    const long: unknown[] = [];
    for (const { id } of SHEETS) {
      for (const [order, paper] of [
        [{ measurements: METRIC.measurements, method: id }, 'a4'],
        [{ measurements: INCHES.measurements, method: id }, 'letter'],
      ] as const) {
        const { out } = await command(['chalk', await file(order), '--format', 'pdf', '--paper', paper]);
        if (!(out instanceof Uint8Array)) throw new Error(`${id} was not printed`);
        const { numPages } = await getDocument({ data: new Uint8Array(out), verbosity: 0 }).promise;
        if (numPages > 2) long.push([id, paper, numPages]);
      }
    }
    expect(long).toEqual([]);
  });

  it.each([
    [['--tape', '1/16'], 'There is no tape “1/16”. Choose 1/8 or 1/4'],
    [['--line', 'both'], 'There is no line “both”. Choose cut or net'],
    [['--back', 'side'], 'Choose method, own or front'],
    [['--format', 'svg'], 'There is no format “svg”. Choose json or pdf'],
    [['--format', 'pdf', '--paper', 'a9'], 'There is no paper “a9”'],
  ])('says what it cannot take: %j', async (more, told) => {
    const { status, error } = await command(['chalk', await file(INCHES), ...more]);
    expect(status).toBe(1);
    expect(error).toContain(told);
  });

  it('refuses what a draft is refused for, and a style that cannot be', async () => {
    const bad = await command(['chalk', await file({ measurements: { waist: 78 } })]);
    expect(bad.status).toBe(1);
    const style = await command(['chalk', await file({ ...METRIC, style: { band: { length: 40 } } })]);
    expect(style.status).toBe(1);
    expect(style.error.length).toBeGreaterThan(20);
  });
});
