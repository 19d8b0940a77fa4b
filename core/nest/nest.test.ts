import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { distance, enclosedArea, nearestPlace, mapPath, pathBox, pathLength } from '../geometry/index.js';
import { SHIPPED_CHARTS } from '../measure/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import { toDxf, toSvg } from '../../formats/index.js';
import { gradeOf, nestOf, nestSheet, NEST_ALIGNMENTS, sharedPoints, sizePen, type NestBody } from './index.js';

const style = ['band', 'fly'].map((id) => ({ id, values: {} }));
const bodyOf = (name: string, measured: Record<string, number>): NestBody => {
  const draft = computeDraft({ ...EMPTY_INPUT, measured });
  if (!draft.ok) throw new Error('must draft');
  return { key: name, name, pieces: piecesOf(draftGarment(draft.value, style, 'cm').garment, HOUSE_ALLOWANCES) };
};
const EVEN = [0, 1, 2, 3].map((i) =>
  bodyOf(`S${i}`, { waist: 700 + 40 * i, hip: 940 + 40 * i, crotchDepth: 262 + 5 * i, inseam: 780 }),
);
const LABELS = { title: 'Uniform trouser', method: 'Quarter and half', date: '2026-05-04' };

describe('a nest', () => {
  it('has every part in every size as it is cut, only moved', () => {
    for (const by of NEST_ALIGNMENTS) {
      const parts = nestOf(EVEN, by);
      expect(parts.map((p) => p.id)).toEqual(EVEN[0]?.pieces.map((p) => p.part.id));
      for (const part of parts) {
        expect(part.sizes.map((s) => s.name)).toEqual(['S0', 'S1', 'S2', 'S3']);
        for (const [i, size] of part.sizes.entries()) {
          const piece = EVEN[i]?.pieces.find((p) => p.part.id === part.id);
          expect(pathLength(size.cut)).toBeCloseTo(pathLength(piece?.cut ?? []), 6);
          expect(enclosedArea(size.cut)).toBeCloseTo(enclosedArea(piece?.cut ?? []), 3);
        }
      }
    }
  });

  it('brings all sizes together where it is said', () => {
    const at = (
      by: (typeof NEST_ALIGNMENTS)[number],
      part: string,
      point: string,
    ): readonly { x: number; y: number }[] =>
      (nestOf(EVEN, by).find((p) => p.id === part)?.sizes ?? []).map((s) => {
        const found = s.points.find((p) => p.id === point);
        if (!found) throw new Error(`no ${point}`);
        return found.at;
      });
    const ids =
      nestOf(EVEN, 'crotch')
        .find((p) => p.id === 'back')
        ?.sizes[0]?.points.map((p) => p.id) ?? [];
    expect(ids).toEqual(expect.arrayContaining(['inseam/rise', 'rise/waist', 'waist/side', 'side/hem', 'hem/inseam']));
    for (const p of at('crotch', 'back', 'inseam/rise')) expect(distance(p, { x: 0, y: 0 })).toBeLessThan(1e-9);
    for (const p of at('side', 'front', 'waist/side')) expect(distance(p, { x: 0, y: 0 })).toBeLessThan(1e-9);
    for (const p of at('centre', 'back', 'rise/waist')) expect(distance(p, { x: 0, y: 0 })).toBeLessThan(1e-9);
    for (const p of at('hem', 'front', 'side/hem')) expect(p.y).toBeCloseTo(0, 9);
    // A hip of 4 cm more is a quarter of it wider on each piece, half of that at either side of the crease or all at one.
    const [small, large] = [at('crotch', 'back', 'waist/side')[0], at('crotch', 'back', 'waist/side')[1]];
    expect(Math.abs((large?.x ?? 0) - (small?.x ?? 0))).toBeGreaterThan(8);
  });

  it('brings all sizes together at any corner or notch that they have, and by the crease where a part has it not', () => {
    const legs = nestOf(EVEN, 'crease').filter((p) => p.onFrame);
    const shared = sharedPoints(legs);
    expect(shared.map((p) => p.id)).toEqual(expect.arrayContaining(['hem/inseam', 'inseam/rise', 'side:knee']));
    const [front] = legs;
    for (const { id } of front?.sizes[0]?.points ?? []) {
      const part = nestOf(EVEN, { point: id }).find((p) => p.id === front?.id);
      for (const size of part?.sizes ?? []) {
        const at = size.points.find((p) => p.id === id)?.at;
        expect(at && distance(at, { x: 0, y: 0 })).toBeLessThan(1e-9);
      }
    }
    const none = nestOf(EVEN, { point: 'no such place' });
    expect(none).toEqual(nestOf(EVEN, 'crease'));
  });

  it('a size without a part is not in its nest, and points that only some have are told of those', () => {
    const first = EVEN[0];
    if (!first) throw new Error('no size');
    const bare = { key: 'bare', name: 'bare', pieces: first.pieces.filter((p) => p.part.id !== 'band') };
    const band = nestOf([...EVEN, bare], 'crease').find((p) => p.id === 'band');
    expect(band?.sizes.map((s) => s.name)).toEqual(['S0', 'S1', 'S2', 'S3']);
  });
});

describe('the grade of a part', () => {
  it('is what each place moves by: the steps add up to the way from the first size to the last', () => {
    for (const part of nestOf(EVEN, 'crease')) {
      const { points, edges } = gradeOf(part);
      const [first, last] = [part.sizes[0], part.sizes.at(-1)];
      for (const { id, steps } of points) {
        if (steps.some((s) => s === undefined)) continue;
        const [a, b] = [first, last].map((s) => s?.points.find((p) => p.id === id)?.at);
        const sum = (k: 'across' | 'down'): number => steps.reduce((all, s) => all + (s?.[k] ?? 0), 0);
        expect(sum('across')).toBeCloseTo((b?.x ?? 0) - (a?.x ?? 0), 6);
        expect(sum('down')).toBeCloseTo((b?.y ?? 0) - (a?.y ?? 0), 6);
      }
      for (const { lengths, steps } of edges) {
        expect(steps.reduce((all, s) => all + (s?.by ?? 0), 0)).toBeCloseTo(
          (lengths.at(-1) ?? 0) - (lengths[0] ?? 0),
          6,
        );
      }
    }
  });

  it('of even sizes has even steps, and tells the one that is not', () => {
    const marked = (bodies: readonly NestBody[]): string[] =>
      nestOf(bodies, 'crease')
        .filter((p) => p.onFrame)
        .flatMap((part) =>
          gradeOf(part).points.flatMap((p) => p.steps.flatMap((s) => (s?.uneven ? [`${s.from} to ${s.to}`] : []))),
        );
    expect(marked(EVEN)).toEqual([]);
    const jump = bodyOf('S4', { waist: 700 + 220, hip: 940 + 220, crotchDepth: 282, inseam: 780 });
    expect(new Set(marked([...EVEN, jump]))).toContain('S3 to S4');
  });
});

describe('a nest on one sheet', () => {
  const chart = SHIPPED_CHARTS[0];
  const children = (chart?.sizes ?? []).slice(0, 12).map((s) => bodyOf(s.name, s.values as Record<string, number>));
  const parts = nestOf(children, 'crease');
  const sheet = nestSheet(parts, LABELS, { cut: true, stitching: true }, undefined);

  it('has a line for each size of each part, as long as it is cut, on the sheet and clear of the other parts', () => {
    for (const part of parts) {
      const lines = sheet.marks.filter((m) => m.kind === 'line' && m.part === part.id && m.role === 'cut');
      expect(lines).toHaveLength(part.sizes.length);
      lines.forEach((m, i) => {
        if (m.kind === 'line') expect(pathLength(m.path)).toBeCloseTo(pathLength(part.sizes[i]?.cut ?? []), 6);
      });
    }
    const boxes = parts.map((part) =>
      pathBox(sheet.marks.flatMap((m) => (m.kind === 'line' && m.part === part.id ? [...m.path] : []))),
    );
    boxes.forEach((a, i) => {
      expect(a.minX).toBeGreaterThanOrEqual(0);
      expect(a.maxX).toBeLessThanOrEqual(sheet.width);
      expect(a.maxY).toBeLessThanOrEqual(sheet.height);
      for (const b of boxes.slice(i + 1))
        expect(a.maxX <= b.minX || b.maxX <= a.minX || a.maxY <= b.minY || b.maxY <= a.minY).toBe(true);
    });
  });

  it('has the snips, darts and folds of every size where its piece has them, and says how each part is cut', () => {
    for (const part of parts) {
      const [first] = part.sizes;
      const piece = children[0]?.pieces.find((p) => p.part.id === part.id);
      const snips = sheet.marks.filter((m) => m.kind === 'line' && m.part === part.id && m.role === 'notch');
      const wanted = children.flatMap((b) => b.pieces.find((p) => p.part.id === part.id)?.notches ?? []);
      expect(snips).toHaveLength(wanted.reduce((sum, n) => sum + n.count, 0));
      // A snip begins on the cut line of its size, wherever the nest was moved to.
      const cut = sheet.marks.find((m) => m.kind === 'line' && m.name === `${part.id}.cut.${first?.name ?? ''}`);
      for (const snip of snips.slice(0, piece?.notches.filter((n) => n.count === 1).length)) {
        if (snip.kind !== 'line' || cut?.kind !== 'line' || piece?.notches.some((n) => n.count === 2)) continue;
        const [stroke] = snip.path;
        if (stroke) expect(nearestPlace(cut.path, stroke.p0).distance).toBeLessThan(0.1);
      }
    }
    const words = sheet.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(words).toContain('Cut 2, mirrored, of each size');
    const layers = new Set(new DxfParser().parseSync(toDxf(sheet))?.entities.map((e) => e.layer));
    expect(layers).toContain(`SIZE_${children[0]?.name ?? ''}_MARKS`);
  });

  it('names every size on its own line, no two names on one another, and tells sizes apart by dashes', () => {
    const tags = sheet.marks.filter((m) => m.kind === 'text' && m.size === 4);
    expect(tags).toHaveLength(parts.reduce((sum, p) => sum + p.sizes.length, 0));
    const [front] = parts;
    const ofFront = tags.slice(0, front?.sizes.length);
    expect(ofFront.map((m) => (m.kind === 'text' ? m.text : ''))).toEqual(front?.sizes.map((s) => s.name));
    let at = 0;
    for (const part of parts) {
      const ofPart = tags.slice(at, at + part.sizes.length);
      at += part.sizes.length;
      ofPart.forEach((a, i) => {
        for (const b of ofPart.slice(i + 1)) {
          if (a.kind !== 'text' || b.kind !== 'text') continue;
          const beside = Math.abs(a.at.x - b.at.x) >= 2 * Math.min(a.text.length, b.text.length);
          expect(beside || Math.abs(a.at.y - b.at.y) >= 4).toBe(true);
        }
      });
    }
    expect(new Set(children.map((_, i) => sizePen(i).dash.join())).size).toBe(children.length);
  });

  it('is a layer for each size in a DXF, read back by another package, and a dash in an SVG', () => {
    const read = new DxfParser().parseSync(toDxf(sheet));
    const layers = new Set(read?.entities.map((e) => e.layer));
    for (const { name } of children) expect(layers).toContain(`SIZE_${name.toUpperCase()}_CUT`);
    const first = parts[0]?.sizes[0];
    const outline = read?.entities.find((e) => e.layer === `SIZE_${(first?.name ?? '').toUpperCase()}_CUT`);
    const vertices = (outline as unknown as { vertices: { x: number; y: number }[] }).vertices;
    const box = pathBox(first?.cut ?? []);
    const xs = vertices.map((v) => v.x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(box.maxX - box.minX, 1);
    const mark = sheet.marks.find((m) => m.kind === 'line' && m.name === `front.cut.${first?.name}`);
    const at = mark?.kind === 'line' ? pathBox(mapPath(mark.path, (p) => p)) : undefined;
    expect(Math.min(...xs)).toBeCloseTo(at?.minX ?? NaN, 1);
    expect(toSvg(sheet, 'Nest')).toContain('stroke-dasharray="8 2"');
  });

  it('begins each part at a join of the pages where it is for an office paper', () => {
    const step = { x: 190, y: 277 };
    const paged = nestSheet(parts, LABELS, { cut: true, stitching: false }, step);
    expect(paged.marks.some((m) => m.kind === 'line' && m.role === 'stitching')).toBe(false);
    for (const id of ['front', 'back']) {
      const box = pathBox(paged.marks.flatMap((m) => (m.kind === 'line' && m.part === id ? [...m.path] : [])));
      const over = (at: number, every: number): number => ((at - 15) / every) % 1;
      expect(Math.min(over(box.minX, step.x), 1 - over(box.minX, step.x))).toBeLessThan(1e-6);
      expect(Math.min(over(box.minY, step.y), 1 - over(box.minY, step.y))).toBeLessThan(1e-6);
    }
  });
});
