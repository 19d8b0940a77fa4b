import { describe, expect, it } from 'vitest';
import { letterFiles } from '../cli/fonts.js';
import { readPage, type PageLine } from '../bench/read-pdf.js';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import {
  boxOf,
  cubic,
  flatten,
  nearestPlace,
  pathBox,
  point,
  startOf,
  type Path,
  type Point,
} from '../core/geometry/index.js';
import { pieceSheet, type Drawing } from '../core/drawing/index.js';
import { garmentOf } from '../core/garment/index.js';
import { HOUSE_ALLOWANCES, piecesOf, type Piece } from '../core/piece/index.js';
import { HOUSE_TILING, PAPERS, planTiles, toSvg } from './index.js';
import { rollPdf, tiledPdf } from './pdf.js';

const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!outcome.ok) throw new Error('The middle body must draft');
const { block } = outcome.value;
const pieces = piecesOf(garmentOf(block), HOUSE_ALLOWANCES);
const labels = { title: 'Stage trousers', person: 'Cellist', method: 'Quarter and half', date: '2026-11-23' };
const head = { title: 'Stage trousers', lines: ['one'], date: new Date('2026-11-23T00:00:00Z') };
const sheet = (square = true): Drawing => pieceSheet(pieces, labels, undefined, undefined, square);

/** Every named line of an SVG, read from its text. */
function svgLines(svg: string): PageLine[] {
  return [...svg.matchAll(/data-name="([^"]+)" d="([^"]+)"/g)].map(([, name = '', data = '']) => {
    const path: ReturnType<typeof cubic>[] = [];
    let here = point(0, 0);
    for (const [, op, rest = ''] of data.matchAll(/([MLC])([^MLC]+)/g)) {
      const n = rest.trim().split(/\s+/).map(Number);
      const at = (i: number): Point => point(n[i] ?? NaN, n[i + 1] ?? NaN);
      if (op === 'M') here = at(0);
      else {
        const c = op === 'L' ? cubic(here, here, at(0), at(0)) : cubic(here, at(0), at(2), at(4));
        path.push(c);
        here = c.p3;
      }
    }
    return { name: name.replace(/[^A-Za-z0-9.]+/g, '_'), path };
  });
}

/** How far the points of one path lie from another, at most. */
const apart = (a: Path, b: Path): number => Math.max(...flatten(a, 0.5).map((p) => nearestPlace(b, p).distance));

/**
 * Holds all lines of a piece against the core: laid by the beginning of its side seam, turned over in front, every
 * other line must lie where the core has it. Gives where the piece lies.
 */
function expectPiece(lines: readonly PageLine[], piece: Piece): (p: Point) => Point {
  const { part } = piece;
  const { id } = part;
  const all = (name: string): Path[] => lines.filter((l) => l.name === name).map((l) => l.path);
  const one = (name: string): Path => {
    const found = all(name)[0];
    if (!found) throw new Error(`No line ${name}`);
    return found;
  };
  const from = startOf(one(`${id}.side`));
  const hand = id === 'front' ? -1 : 1;
  const { sideWaist } = block[id as 'front'].points;
  const place = (p: Point): Point => point(from.x + hand * (p.x - sideWaist.x), from.y + p.y - sideWaist.y);
  const placed = (path: Path): Path => path.map((c) => cubic(place(c.p0), place(c.p1), place(c.p2), place(c.p3)));
  const expectAlong = (name: string, path: Path): void => {
    expect([name, apart(one(name), placed(path)) < 0.1, apart(placed(path), one(name)) < 0.1]).toEqual([
      name,
      true,
      true,
    ]);
  };
  for (const edge of part.edges) expectAlong(`${id}.${edge.id}`, edge.path);
  expect(part.edges.map((e) => e.id)).toEqual(['waist', 'side', 'hem', 'inseam', 'rise']);
  expectAlong(`${id}.cut`, piece.cut);
  const near = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) < 0.1;
  for (const drill of part.marks.flatMap((m) => (m.kind === 'drill' ? [m.at] : []))) {
    const strokes = all(`${id}_drill_mark`).filter((path) => {
      const { minX, maxX, minY, maxY } = pathBox(path);
      return near(point((minX + maxX) / 2, (minY + maxY) / 2), place(drill));
    });
    expect([id, 'drill strokes', strokes.length]).toEqual([id, 'drill strokes', 2]);
  }
  for (const notch of piece.notches) {
    const out = point(hand * notch.outward.x, notch.outward.y);
    const cuts = all(`notch_${notch.label.replaceAll(' ', '_')}`).filter((path) => {
      // A snip begins on the cut edge beside the place on the stitching line, goes inward and stops short of it.
      const foot = startOf(path);
      const tip = path[path.length - 1]?.p3 ?? foot;
      const off = point(foot.x - place(notch.at).x, foot.y - place(notch.at).y);
      const outward = off.x * out.x + off.y * out.y;
      const sideward = Math.abs(off.x * out.y - off.y * out.x);
      const inward = -((tip.x - foot.x) * out.x + (tip.y - foot.y) * out.y);
      const onCut = nearestPlace(placed(piece.cut), foot).distance < 1.5;
      return sideward < 3 && outward > 9 && onCut && inward > 2 && inward < outward;
    });
    expect([id, notch.edge, notch.label, cuts.length]).toEqual([id, notch.edge, notch.label, notch.count]);
  }
  const [top, bottom] = part.grain.map(place) as [Point, Point];
  const grains = all('grain_line').filter(
    (path) => near(startOf(path), top) && near(path[path.length - 1]?.p3 ?? top, bottom),
  );
  expect([id, 'grain', grains.length]).toEqual([id, 'grain', 1]);
  const heads = all('grain_line').filter((path) => path.some((c) => near(c.p3, top) || near(c.p3, bottom)));
  expect(heads.length).toBe(3);
  for (const [level, label] of [
    ['hipLevel', 'hip_line'],
    ['kneeLevel', 'knee_line'],
  ] as const) {
    const line = one(`${id}_${label}`);
    expect(Math.abs(startOf(line).y - place(point(0, block.levels[level])).y)).toBeLessThan(0.1);
  }
  return place;
}

/** Carries a place of a piece onto the page. */
type Carry = (p: Point) => Point;

function expectSheet(lines: readonly PageLine[]): void {
  expect(pieces).toHaveLength(2);
  const [front, back] = pieces.map((piece) => expectPiece(lines, piece)) as [Carry, Carry];
  // In a row the pieces share their levels, with room between their cut lines.
  expect(front(point(0, 0)).y).toBeCloseTo(back(point(0, 0)).y, 1);
  const boxes = ['front.cut', 'back.cut'].map((name) =>
    boxOf(lines.filter((l) => l.name === name).flatMap((l) => flatten(l.path, 0.5))),
  );
  expect((boxes[1]?.minX ?? 0) - (boxes[0]?.maxX ?? 0)).toBeGreaterThan(10);
  // Side seams lie toward one another.
  const { sideHip, crotchPoint } = block.front.points;
  expect(front(sideHip).x).toBeGreaterThan(front(crotchPoint).x);
  expect(back(block.back.points.sideHip).x).toBeLessThan(back(block.back.points.crotchPoint).x);
}

describe('every line of a print lies where the core has it', () => {
  it('in the SVG', () => {
    expectSheet(svgLines(toSvg(sheet(), 'Stage trousers')));
  });

  it('in the PDF for a roll, with its words on their pieces', async () => {
    const page = await readPage(await rollPdf(sheet(), head, letterFiles), 1);
    expectSheet(page.lines);
    expect([page.width, page.height].map((x) => x.toFixed(1))).toEqual([
      sheet().width.toFixed(1),
      sheet().height.toFixed(1),
    ]);
    for (const mark of sheet().marks) {
      if (mark.kind !== 'text') continue;
      const found = page.words.some(
        ({ text, at }) => text === mark.text && Math.hypot(at.x - mark.at.x, at.y - mark.at.y) < 0.1,
      );
      expect([mark.text, found]).toEqual([mark.text, true]);
    }
    const side = (name: string): string => {
      const { minX, maxX, minY, maxY } = pathBox(page.lines.find((l) => l.name === name)?.path ?? []);
      return `${(maxX - minX).toFixed(1)} ${(maxY - minY).toFixed(1)}`;
    };
    expect([side('test_square_100_mm'), side('test_square_4_in')]).toEqual(['100.0 100.0', '101.6 101.6']);
    expect(page.words.filter((w) => w.text === 'Cut 2, mirrored')).toHaveLength(2);
  });

  it('on every page of the tiles, from the margin on, so that the pages join', async () => {
    const paper = PAPERS[0] ?? { id: 'a4', label: 'A4', width: 210, height: 297 };
    const drawing = sheet(false);
    const plan = planTiles(drawing, paper);
    const bytes = await tiledPdf(drawing, head, paper, letterFiles);
    const whole = new Map<string, Path[]>();
    for (const mark of drawing.marks) {
      if (mark.kind !== 'line') continue;
      const name = mark.name.replace(/[^A-Za-z0-9.]+/g, '_');
      whole.set(name, [...(whole.get(name) ?? []), mark.path]);
    }
    for (const [i, tile] of plan.tiles.entries()) {
      expect(tile.box.minX).toBeCloseTo(tile.column * (paper.width - 2 * 12 - 12), 6);
      expect(tile.box.minY).toBeCloseTo(tile.row * (paper.height - 2 * 12 - 12), 6);
      const { lines } = await readPage(bytes, i + 2);
      const { margin } = HOUSE_TILING;
      const back = (p: Point): Point => point(p.x - margin + tile.box.minX, p.y - margin + tile.box.minY);
      for (const { name, path } of lines) {
        const from = path.map((c) => cubic(back(c.p0), back(c.p1), back(c.p2), back(c.p3)));
        const nearest = Math.min(...(whole.get(name) ?? []).map((meant) => apart(from, meant)));
        expect([tile.mark, name, nearest < 0.1]).toEqual([tile.mark, name, true]);
      }
    }
  });
});
