import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../../core/piece/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { pieceSheet } from '../../core/drawing/index.js';
import { garmentOf } from '../../core/garment/index.js';
import { toSvg } from '../index.js';
import { boxOf, flatten, pathLength, type Box } from '../../core/geometry/index.js';
import { compareReference, startReference, type OutlineFile } from '../../core/reference/index.js';
import { readOutline, tooLarge } from './index.js';
import { readerIn } from '../../core/units/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';

function read(text: string, name = 'block'): OutlineFile {
  const outcome = readOutline(name, text);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const refusal = (text: string): string => {
  const outcome = readOutline('file', text);
  return outcome.ok ? '' : fileRefusalsSentence(outcome.refusals, readerIn('cm'));
};

const boxes = (file: OutlineFile): Box[] => file.shapes.map(({ path }) => boxOf(flatten(path, 0.01)));
const round = ({ minX, minY, maxX, maxY }: Box): number[] =>
  [minX, minY, maxX, maxY].map((n) => Math.round(n * 100) / 100 || 0);
const lengths = (file: OutlineFile): number[] => file.shapes.map(({ path }) => pathLength(path));
const leftOut = (file: OutlineFile): Record<string, number> =>
  Object.fromEntries(file.leftOut.map(({ what, count }) => [what, count]));

const svg = (body: string, head = 'width="600mm" height="1200mm" viewBox="0 0 600 1200"'): string =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;

const group = (code: number, value: number | string): string => `${code}\n${value}\n`;
const groups = (...pairs: readonly (readonly [number, number | string])[]): string =>
  pairs.map(([code, value]) => group(code, value)).join('');
const entity = (kind: string, ...pairs: readonly (readonly [number, number | string])[]): string =>
  groups([0, kind], [8, 'outline'], ...pairs);
const dxf = (
  entities: string,
  { units = 4, blocks = '' }: { units?: number | undefined; blocks?: string } = {},
): string =>
  `${groups([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, units], [0, 'ENDSEC'])}` +
  `${groups([0, 'SECTION'], [2, 'BLOCKS'])}${blocks}${group(0, 'ENDSEC')}` +
  `${groups([0, 'SECTION'], [2, 'ENTITIES'])}${entities}${groups([0, 'ENDSEC'], [0, 'EOF'])}`;
const lineFrom = (x1: number, y1: number, x2: number, y2: number): string =>
  entity('LINE', [10, x1], [20, y1], [11, x2], [21, y2]);

describe('an outline from SVG', () => {
  it('is read through nested transforms, drawings within and copies, each where it is seen', () => {
    const file = read(
      svg(`
        <g transform="translate(100 50) rotate(90)"><g transform="scale(2)"><path d="M0 0h100v30z"/></g></g>
        <svg x="10" y="20" width="50" height="100" viewBox="0 0 100 200"><rect x="0" y="0" width="100" height="200"/></svg>
        <defs><path id="leg" d="M0 0L0 300"/><symbol id="s" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5"/></symbol></defs>
        <use href="#leg" x="5"/><use href="#s" x="400" y="400" width="80" height="80"/>`),
    );
    expect(file.mmPerUnit).toBe(1);
    expect(boxes(file).map(round)).toEqual([
      [40, 50, 100, 250],
      [10, 20, 60, 120],
      [400, 400, 480, 480],
      [5, 0, 5, 300],
    ]);
    expect(file.leftOut).toEqual([]);
  });

  it('has the size its page gives it, and none where the page says none', () => {
    const path = '<path d="M0 0h10"/>';
    const unit = (head: string): number | undefined => read(svg(path, head)).mmPerUnit;
    expect(unit('width="60cm" height="120cm" viewBox="0 0 6000 12000"')).toBeCloseTo(0.1, 12);
    expect(unit('width="10in" height="20in"')).toBeCloseTo(25.4, 12);
    expect(unit('width="600" height="1200" viewBox="0 0 600 1200"')).toBeUndefined();
    expect(unit('width="100%" viewBox="0 0 600 1200"')).toBeUndefined();
    expect(unit('height="72pt" viewBox="0 0 10 100"')).toBeCloseTo(0.254, 12);
  });

  it('draws every kind of line, arcs and smooth curves among them, and counts what is none', () => {
    const file = read(
      svg(`
        <line x1="0" y1="0" x2="30" y2="40"/><polyline points="0,100 30,140 60,100"/><polygon points="0 200 30 240 60 200"/>
        <ellipse cx="300" cy="300" rx="50" ry="20"/><circle cx="500" cy="300" r="30"/>
        <path d="M100 400 A50 50 0 0 1 200 400"/><path d="M300 600 q20 40 40 0 t40 0"/>
        <text x="1" y="1">Front</text><text>Back</text><image href="x.png"/><g display="none"><path d="M0 0h9"/></g>
        <path style="visibility:hidden" d="M0 0h9"/><sparkle/><circle r="x"/>`),
    );
    expect(file.shapes).toHaveLength(7);
    expect(lengths(file).some((l) => Math.abs(l - 50 * Math.PI) < 0.05)).toBe(true);
    expect(lengths(file).some((l) => Math.abs(l - 60 * Math.PI) < 0.01)).toBe(true);
    expect(lengths(file)).toContain(50);
    expect(leftOut(file)).toEqual({
      text: 2,
      'hidden parts': 2,
      pictures: 1,
      '“sparkle”': 1,
      'circle with a figure missing or wrong': 1,
    });
  });

  it('is read as far as it is sound where it breaks off, a path has a fault or a transform is none', () => {
    const broken = svg(
      '<path d="M0 0h100v50"/><path d="M0 200h100 L 7 x 3"/><g transform="bend(3)"><path d="M0 0h9"/></g>',
    );
    const file = read(`${broken.slice(0, -6)}<path d="M5 5h`);
    expect(lengths(file)).toEqual([150, 100]);
    expect(leftOut(file)).toEqual({
      'the rest of a path with a fault': 1,
      'parts with a transform that cannot be read': 1,
      'the damaged end or part of the file': 1,
    });
  });

  it('does not follow copies of copies without end', () => {
    const file = read(svg('<g id="a"><use href="#a"/><use href="#a"/><path d="M0 0h100"/></g><use href="#gone"/>'));
    expect(file.shapes).toHaveLength(1);
    expect(leftOut(file)).toEqual({ 'copies within themselves': 2, 'copies of what is not in the file': 1 });
    const laughing = Array.from(
      { length: 30 },
      (_, i) => `<g id="l${i}"><use href="#l${i + 1}"/><use href="#l${i + 1}"/></g>`,
    );
    const bomb = read(svg(`<path d="M0 0h7"/>${laughing.join('')}<path id="l30" d="M0 0h50"/>`));
    expect(bomb.shapes.length).toBeGreaterThan(0);
    expect(Object.keys(leftOut(bomb)).join()).toContain('beyond what can be read');
  });
});

describe('an outline from DXF', () => {
  it('joins lines, arcs and splines of a layer into one closed outline, y turned down, in the unit it says', () => {
    const file = read(
      dxf(
        lineFrom(0, 0, 10, 0) +
          lineFrom(0, 20, 0, 0) +
          entity('ARC', [10, 10], [20, 5], [40, 5], [50, 270], [51, 90]) +
          entity(
            'SPLINE',
            [71, 3],
            ...[0, 0, 0, 0, 1, 1, 1, 1].map((k) => [40, k] as const),
            ...[
              [10, 10],
              [10, 20],
              [5, 20],
              [0, 20],
            ].flatMap(([x = 0, y = 0]) => [[10, x] as const, [20, y] as const]),
          ),
        { units: 5 },
      ),
    );
    expect(file.mmPerUnit).toBe(10);
    expect(file.shapes).toHaveLength(1);
    expect(file.shapes[0]?.closed).toBe(true);
    expect(round(boxes(file)[0] ?? boxOf([]))).toEqual([0, -20, 15, 0]);
  });

  it('knows polylines of both kinds with their bulges, circles, ellipses and splines through points', () => {
    const square = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ];
    const light = entity(
      'LWPOLYLINE',
      [90, 4],
      [70, 1],
      ...square.flatMap(
        ([x = 0, y = 0], i) =>
          [
            [10, x],
            [20, y],
            [42, i === 1 ? 1 : 0],
          ] as const,
      ),
    );
    const heavy =
      entity('POLYLINE', [66, 1], [70, 0]) +
      square.map(([x = 0, y = 0]) => entity('VERTEX', [10, x + 300], [20, y], [42, 0])).join('') +
      entity('SEQEND');
    const file = read(
      dxf(
        light +
          heavy +
          entity('CIRCLE', [10, 500], [20, 500], [40, 10]) +
          entity('ELLIPSE', [10, 700], [20, 0], [11, 20], [21, 0], [40, 0.5], [41, 0], [42, Math.PI]) +
          entity(
            'SPLINE',
            [71, 3],
            ...[800, 850, 900].flatMap(
              (x, i) =>
                [
                  [11, x],
                  [21, i === 1 ? 40 : 0],
                ] as const,
            ),
          ),
      ),
    );
    expect(file.shapes.filter((s) => s.closed)).toHaveLength(2);
    const found = lengths(file);
    expect(found.some((l) => Math.abs(l - (300 + 50 * Math.PI)) < 0.01)).toBe(true);
    expect(found.some((l) => Math.abs(l - 300) < 1e-6)).toBe(true);
    expect(found.some((l) => Math.abs(l - 20 * Math.PI) < 0.001)).toBe(true);
    const spline = file.shapes.find(({ path }) => path[0]?.p0.x === 800);
    expect(spline?.path[0]?.p3).toEqual({ x: 850, y: -40 });
    expect(file.leftOut).toEqual([]);
  });

  it('puts blocks where they are inserted: scaled, turned, in rows, within one another, seen from behind', () => {
    const block = (name: string, body: string, x = 0): string =>
      groups([0, 'BLOCK'], [2, name], [10, x], [20, 0]) + body + group(0, 'ENDBLK');
    const blocks =
      block('leg', lineFrom(5, 0, 15, 0), 5) +
      block(
        'pair',
        entity('INSERT', [2, 'leg'], [10, 0], [20, 0]) + entity('INSERT', [2, 'leg'], [10, 0], [20, 7], [41, -1]),
      );
    const at = (entities: string): number[][] =>
      boxes(read(dxf(entities, { blocks })))
        .map(round)
        .sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0));
    expect(at(entity('INSERT', [2, 'leg'], [10, 100], [20, 50], [41, 2], [50, 90]))).toEqual([[100, -70, 100, -50]]);
    expect(at(entity('INSERT', [2, 'leg'], [10, 0], [20, 0], [70, 2], [71, 2], [44, 30], [45, 40]))).toEqual([
      [0, -40, 10, -40],
      [0, 0, 10, 0],
      [30, -40, 40, -40],
      [30, 0, 40, 0],
    ]);
    expect(at(entity('INSERT', [2, 'pair'], [10, 50], [20, 0]))).toEqual([
      [40, -7, 50, -7],
      [50, 0, 60, 0],
    ]);
    const behind = entity('ARC', [10, -50], [20, 0], [40, 10], [50, 0], [51, 90], [230, -1]);
    expect(at(behind)).toEqual([[40, -10, 50, 0]]);
    const self = block(
      'self',
      entity('INSERT', [2, 'self'], [10, 1], [20, 1], [70, 100], [71, 100]) + lineFrom(0, 0, 1, 0),
    );
    const endless = read(dxf(entity('INSERT', [2, 'self']) + entity('INSERT', [2, 'gone']), { blocks: self }));
    expect(leftOut(endless)).toEqual({
      'blocks within themselves': 1,
      'inserts of a block that is not in the file': 1,
    });
    expect(endless.shapes).toHaveLength(1);
  });

  it('leaves out what is no line or has a figure that is none, and says how often', () => {
    const file = read(
      dxf(
        lineFrom(0, 0, 100, 0) +
          entity('LINE', [10, 'NaN'], [20, 0], [11, 5], [21, 5]) +
          entity('LINE', [10, 3], [20, 4]) +
          entity('TEXT', [1, 'Front']) +
          entity('MTEXT', [1, 'Back']) +
          entity('WIBBLE', [10, 3]) +
          entity('POLYLINE', [66, 1]) +
          entity('LINE', [10, 0], [20, 50], [11, 80], [21, 50]) +
          entity('CIRCLE', [10, 0], [20, 0], [40, '1e999']) +
          entity('LINE', [10, 0], [20, 0], [11, 100], [21, 0], [60, 1]) +
          lineFrom(100, 0, 0, 0),
        { units: 0 },
      ),
    );
    expect(lengths(file).sort()).toEqual([100, 80]);
    expect(file.mmPerUnit).toBeUndefined();
    expect(leftOut(file)).toEqual({
      text: 2,
      'line with a figure missing or wrong': 2,
      WIBBLE: 1,
      'polyline with a figure missing or wrong': 1,
      'circle with a figure missing or wrong': 1,
      'hidden parts': 1,
      'lines drawn twice': 1,
    });
  });

  it('is read on after lines that are no groups, and up to where the file breaks off', () => {
    const whole = dxf(lineFrom(0, 0, 100, 0) + lineFrom(0, 10, 200, 10) + lineFrom(0, 30, 300, 30));
    const gone = whole.slice(0, whole.lastIndexOf('LINE'));
    expect(lengths(read(gone))).toEqual([100, 200]);
    expect(leftOut(read(gone))).toEqual({ 'the damaged end or part of the file': 1 });
    const stray = whole.replace(
      '0\nLINE\n8\noutline\n10\n0\n20\n10\n',
      'scratched\n0\nLINE\n8\noutline\n10\n0\n20\n10\n',
    );
    expect(lengths(read(stray)).sort()).toEqual([100, 200, 300]);
    expect(lengths(read(whole.replaceAll('\n', '\r\n')))).toEqual([100, 200, 300]);
  });
});

describe('a file beyond all measure', () => {
  it('is read all the same: a line of 300,000 points, 100,000 circles, chains of blocks and copies without end', () => {
    const points = Array.from({ length: 300_000 }, (_, i) => `10\n${i % 1000}\n20\n${(i * 7) % 1301}\n`).join('');
    expect(read(dxf(`${entity('LWPOLYLINE')}${points}`)).shapes[0]?.path.length).toBeGreaterThan(299_000);
    const circles = Array.from({ length: 100_000 }, (_, i) => `<circle cx="${i}" cy="0" r="2"/>`).join('');
    expect(read(svg(circles)).shapes).toHaveLength(100_000);
    const blocks = Array.from({ length: 20_000 }, (_, i) =>
      groups([0, 'BLOCK'], [2, `b${i}`], [0, 'INSERT'], [2, `b${i + 1}`], [0, 'ENDBLK']),
    ).join('');
    const deep = read(dxf(lineFrom(0, 0, 9, 0) + entity('INSERT', [2, 'b0']), { blocks }));
    expect(leftOut(deep)).toEqual({ 'blocks too deep within others': 1 });
    const copies = Array.from({ length: 20_000 }, (_, i) => `<defs><g id="c${i}"><use href="#c${i + 1}"/></g></defs>`);
    const copied = read(svg(`<path d="M0 0h9"/>${copies.join('')}<use href="#c0"/>`));
    expect(leftOut(copied)).toEqual({ 'parts too deep within others': 1 });
  });
});

describe('a draft of our own, saved as SVG and laid under again', () => {
  it('is found among its cut lines, levels and marks, and measures what it did, darts taken off the waist', () => {
    for (const sheet of SHEETS.filter((_, i) => i % 3 === 0)) {
      const outcome = computeDraft({
        ...EMPTY_INPUT,
        sheet,
        measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
      });
      if (!outcome.ok) continue;
      const { block } = outcome.value;
      const labels = { title: 'Stage trousers', person: 'Cellist', method: sheet.name, date: '2026-11-23' };
      const saved = toSvg(pieceSheet(piecesOf(garmentOf(block), HOUSE_ALLOWANCES), labels), 'Stage trousers');
      const laid = startReference(read(saved, 'own.svg'), block, '2026-11-23');
      if (!laid.ok) throw new Error(JSON.stringify(laid.refusals));
      expect(laid.value.unitFrom).toBe('file');
      const figures = compareReference(laid.value, block);
      expect(figures.length).toBeGreaterThan(18);
      for (const { panel, id, reference, draft } of figures) {
        expect(Math.abs(reference - draft), `${sheet.id} ${panel} ${id}`).toBeLessThan(1);
      }
    }
  });
});

describe('any file', () => {
  it('that is neither, or too large, is refused in a sentence', () => {
    expect(refusal('waist;hip\n78;100\n')).toBe('“file” is neither SVG nor DXF. Save the outline as SVG or DXF.');
    expect(refusal('<html><body>pattern</body></html>')).toBe(
      '“file” has no SVG drawing in it. Save the outline as SVG or DXF.',
    );
    expect(refusal('binary\u0000\u0001')).toContain('is no text');
    expect(refusal('')).toContain('neither');
    const large = tooLarge('big.dxf', 21 * 1024 * 1024);
    expect(large?.ok === false && fileRefusalsSentence(large.refusals, readerIn('cm'))).toBe(
      '“big.dxf” is 21.0 MB large; an outline of up to 20 MB can be read. ' +
        'Save the front and the back piece alone, without pictures and text.',
    );
    expect(tooLarge('fair.dxf', 20 * 1024 * 1024)).toBeUndefined();
  });

  const samples = [
    svg(
      '<g transform="rotate(20)"><path d="M0 0h100v50a20 20 0 0 1 9 9z"/><use href="#a"/></g><rect id="a" width="9" height="9"/>',
    ),
    dxf(
      lineFrom(0, 0, 10, 0) +
        entity('ARC', [10, 10], [20, 5], [40, 5], [50, 270], [51, 90]) +
        entity('POLYLINE', [66, 1]) +
        entity('VERTEX', [10, 1], [20, 2], [42, 0.4]) +
        entity('VERTEX', [10, 9], [20, 2]) +
        entity('SEQEND') +
        entity('INSERT', [2, 'b'], [10, 0], [20, 0]) +
        entity(
          'SPLINE',
          [71, 2],
          [40, 0],
          [40, 0],
          [40, 0],
          [40, 1],
          [40, 1],
          [40, 1],
          [10, 0],
          [20, 0],
          [10, 5],
          [20, 5],
          [10, 9],
          [20, 0],
        ),
      { blocks: groups([0, 'BLOCK'], [2, 'b']) + lineFrom(0, 0, 4, 4) + group(0, 'ENDBLK') },
    ),
  ];

  it('with damage anywhere is read without a fault, and every figure that comes of it is a number', () => {
    const scratch = fc.record({
      at: fc.nat({ max: 2000 }),
      cut: fc.nat({ max: 40 }),
      put: fc.constantFrom('', '0\n', '\n', '"', '<', '>', 'e99', '-', 'NaN', '\n0\nPOLYLINE\n', '1e308', '}', 'é'),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...samples),
        fc.array(scratch, { minLength: 1, maxLength: 6 }),
        (sample, scratches) => {
          const damaged = scratches.reduce((text, { at, cut, put }) => {
            const from = at % text.length || 0;
            return text.slice(0, from) + put + text.slice(from + cut);
          }, sample);
          const outcome = readOutline('damaged', damaged);
          if (!outcome.ok) return;
          for (const { path } of outcome.value.shapes) {
            expect(path.length).toBeGreaterThan(0);
            for (const c of path) {
              for (const p of [c.p0, c.p1, c.p2, c.p3]) expect(Number.isFinite(p.x) && Number.isFinite(p.y)).toBe(true);
            }
          }
        },
      ),
      { numRuns: 3000 },
    );
  });
});
