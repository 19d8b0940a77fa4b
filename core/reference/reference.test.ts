import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import { edgeLengths, outlineOf, type Block } from '../draft/index.js';
import {
  distance,
  isClosed,
  line,
  mapPath,
  offsetPath,
  pathLength,
  point,
  splitAt,
  startOf,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import { DEFAULT_SHEET, PANEL_NAMES } from '../method/index.js';
import { sheetById, SHEETS } from '../shipped/index.js';
import {
  alongOutline,
  broughtTo,
  carried,
  carryPoint,
  compareReference,
  cutStretch,
  inFileUnit,
  joinStretch,
  laidOutline,
  largestFirst,
  linesBeside,
  namedEdges,
  nameStretch,
  nearestOnOutline,
  pairedCorners,
  placed,
  scaledByKnown,
  startReference,
  stretchAt,
  takenAsOutline,
  turnedAbout,
  turnedOver,
  walkReference,
  type FileShape,
  type OutlineFile,
  type Reference,
} from './index.js';
import { readerIn } from '../units/index.js';
import { fileRefusalsSentence } from '../refusal/index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function block(more: Partial<DraftInput> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value.block;
}

interface Lying {
  readonly angle: number;
  readonly over: boolean;
  readonly unit: number;
}

/** A draft's outlines as another program might have saved them: turned, turned over, side by side, in some unit. */
function fileOf(of: Block, { angle, over, unit }: Lying, says: number | 'nothing' = unit): OutlineFile {
  const shapes = PANEL_NAMES.map((name, i): FileShape => {
    const move = (p: Point): Point => {
      const q = turn(point((over ? -p.x : p.x) / unit, p.y / unit), angle);
      return point(q.x + (i * 900) / unit, q.y + 4000 / unit);
    };
    return { layer: name, closed: true, path: mapPath(outlineOf(of[name]), move) };
  });
  return { name: 'old-block.dxf', mmPerUnit: says === 'nothing' ? undefined : says, shapes, leftOut: [] };
}

function started(file: OutlineFile, under: Block): Reference {
  const outcome = startReference(file, under, '2026-05-04');
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const PLAIN: Lying = { angle: 0.4, over: false, unit: 1 };

describe('an outline laid under a draft', () => {
  it('finds front and back, lies on them and is measured, however it lay in its file, by every method', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEETS),
        fc.double({ min: -3.1, max: 3.1, noNaN: true }),
        fc.boolean(),
        fc.constantFrom(1, 10, 25.4),
        (sheet, angle, over, unit) => {
          const own = block({ sheet });
          const reference = started(fileOf(own, { angle, over, unit }), own);
          for (const figure of compareReference(reference, own)) {
            if (figure.id === 'waist') continue;
            expect(Math.abs(figure.reference - figure.draft), `${sheet.id} ${figure.panel} ${figure.id}`).toBeLessThan(
              0.5,
            );
          }
          expect(reference.shapes.map((s) => s.piece).sort()).toEqual(['back', 'front']);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('tells what differs, the largest first: a knee that is 20 mm wider, an inseam that is longer', () => {
    const own = block();
    const other = block({ measured: { ...measured, inseam: 800 }, settings: { hemGirth: 460 } });
    const figures = compareReference(started(fileOf(other, PLAIN), own), own);
    const inseam = figures.find((f) => f.panel === 'front' && f.id === 'inseam');
    expect(inseam?.reference).toBeCloseTo(edgeLengths(other.front).inseam, 1);
    expect(inseam?.draft).toBeCloseTo(edgeLengths(own.front).inseam, 6);
    const hem = figures.find((f) => f.panel === 'both' && f.id === 'hem');
    expect(hem?.reference).toBeCloseTo(edgeLengths(other.front).hem + edgeLengths(other.back).hem, 1);
    const sorted = largestFirst(figures).map((f) => Math.abs(f.reference - f.draft));
    expect(sorted).toEqual([...sorted].sort((a, b) => b - a));
    const whole = figures.find((f) => f.label === 'Crotch length, front and back rise');
    expect(whole?.reference).toBeCloseTo(edgeLengths(other.front).rise + edgeLengths(other.back).rise, 1);
  });

  it('lies upright where the file lies on the grain, though another leg would lie nearer when turned a little', () => {
    const own = block();
    const other = block({ sheet: sheetById('thirds') ?? DEFAULT_SHEET, settings: { hemGirth: 400 } });
    for (const quarter of [0, 1, 2, 3]) {
      const reference = started(fileOf(other, { ...PLAIN, angle: (quarter * Math.PI) / 2 }), own);
      for (const panel of PANEL_NAMES) {
        const turns = reference.places[panel].turn / (Math.PI / 2);
        expect(Math.abs(turns - Math.round(turns)), `${panel} ${quarter}`).toBeLessThan(1e-9);
      }
    }
  });

  it('takes the stitching line where a cut line runs about it, and leaves small pieces aside', () => {
    const own = block();
    const file = fileOf(own, PLAIN);
    const around = file.shapes.flatMap((shape): FileShape[] => {
      const cut = offsetPath(shape.path, -12);
      return cut.length > 0 ? [{ layer: 'cut', closed: true, path: cut }] : [];
    });
    const pocket: Path = [
      line(point(0, 0), point(160, 0)),
      line(point(160, 0), point(160, 180)),
      line(point(160, 180), point(0, 0)),
    ];
    const more = [...around, { layer: 'pocket', closed: true, path: pocket }];
    const reference = started({ ...file, shapes: [...more, ...file.shapes] }, own);
    const outlines = reference.shapes.filter((s) => s.piece !== 'none');
    expect(outlines.map((s) => [s.layer, s.piece]).sort()).toEqual([
      ['back', 'back'],
      ['front', 'front'],
    ]);
  });

  it('takes the unit that gives trousers their size where the file says none, and says that it is a guess', () => {
    const own = block();
    for (const unit of [1, 10, 25.4, 25.4 / 72, 1000]) {
      const reference = started(fileOf(own, { ...PLAIN, unit }, 'nothing'), own);
      expect([reference.mmPerUnit, reference.unitFrom]).toEqual([unit, 'guess']);
    }
    expect(started(fileOf(own, PLAIN), own).unitFrom).toBe('file');
  });

  it('has as many stretches as corners, though its drawing begins just beside one', () => {
    const own = block();
    const file = fileOf(own, PLAIN);
    const begun = file.shapes.map((shape) => {
      const [first, ...rest] = shape.path;
      if (!first) return shape;
      const [head, tail] = splitAt(first, 2 / pathLength([first]));
      return { ...shape, path: [tail, ...rest, head] };
    });
    for (const shapes of [file.shapes, begun]) {
      for (const shape of started({ ...file, shapes }, own).shapes) {
        expect(shape.marks.map((m) => m.name).sort()).toEqual(['hem', 'inseam', 'rise', 'side', 'waist']);
      }
    }
  });

  it('is scaled by a known length, and laid and named anew where that changes it much', () => {
    const own = block();
    const half = started(fileOf(own, PLAIN, 0.5), own);
    const [round] = laidOutline(half, 'front');
    const right = scaledByKnown(half, round?.length ?? 0, pathLength(outlineOf(own.front)), own);
    expect(right.mmPerUnit).toBeCloseTo(1, 3);
    expect(right.unitFrom).toBe('maker');
    for (const figure of compareReference(right, own)) {
      if (figure.id !== 'waist') expect(Math.abs(figure.reference - figure.draft)).toBeLessThan(0.5);
    }
    expect(scaledByKnown(half, 0, 300, own)).toBe(half);
    expect(scaledByKnown(half, 100, Number.NaN, own)).toBe(half);
    expect(inFileUnit(half, 1, own).mmPerUnit).toBe(1);
    const named = nameStretch(right, 0, 0, 'none');
    expect(scaledByKnown(named, 1000, 1004, own).shapes).toBe(named.shapes);
  });

  it('refuses a file without a line, with what was left out', () => {
    const empty = { name: 'words.dxf', mmPerUnit: 1, shapes: [], leftOut: [{ what: 'text', count: 3 }] };
    const outcome = startReference(empty, block(), '2026-05-04');
    expect(outcome.ok).toBe(false);
    if (!outcome.ok)
      expect(fileRefusalsSentence(outcome.refusals, readerIn('cm'))).toContain(
        'words.dxf” that can be laid under the draft (left out: 3 × text)',
      );
  });

  it('keeps what it can of a file with far too many points, and tells how much it left', () => {
    const own = block();
    const file = fileOf(own, PLAIN);
    const dust = Array.from({ length: 9000 }, (_, i): FileShape => {
      const at = point(i % 97, 9000 + i);
      return { layer: '', closed: false, path: [line(at, point(at.x + 1, at.y))] };
    });
    const reference = started({ ...file, shapes: [...dust, ...file.shapes] }, own);
    expect(reference.shapes.filter((s) => s.piece !== 'none')).toHaveLength(2);
    expect(reference.shapes.length).toBeLessThan(400);
    expect(reference.leftOut[0]?.count).toBe(9002 - reference.shapes.length);
    const circle = Array.from({ length: 40_001 }, (_, i) => turn(point(500, 0), (2 * Math.PI * i) / 40_000));
    const round = circle.slice(1).map((p, i) => line(circle[i] ?? p, p));
    const fine = started({ ...file, shapes: [{ layer: '', closed: true, path: round }] }, own);
    expect(fine.shapes[0]?.curves.length).toBeLessThan(20_000);
    const [laid] = [...laidOutline(fine, 'front'), ...laidOutline(fine, 'back')];
    expect(laid?.length).toBeCloseTo(1000 * Math.PI, 0);
  });
});

describe('a maker at the outline', () => {
  const own = block();
  const reference = started(fileOf(own, PLAIN), own);
  const front = reference.shapes.findIndex((s) => s.piece === 'front');
  const lengthOf = (r: Reference, edge: 'side' | 'waist' | 'inseam'): number | undefined =>
    namedEdges(laidOutline(r, 'front'), own.front).get(edge)?.length;

  it('names stretches, cuts them and joins them, and the seams are as long as what bears their name', () => {
    const [shape] = laidOutline(reference, 'front');
    const side = shape?.stretches.findIndex((s) => s.name === 'side') ?? -1;
    const stretch = shape?.stretches[side];
    if (!shape || !stretch) throw new Error('no side');
    const middle = (stretch.from + 100) / shape.length;
    const cut = cutStretch(reference, front, middle);
    expect(cut.shapes[front]?.marks).toHaveLength((reference.shapes[front]?.marks.length ?? 0) + 1);
    expect(lengthOf(cut, 'side')).toBeCloseTo(lengthOf(reference, 'side') ?? 0, 6);
    const named = nameStretch(cut, front, side, 'none');
    expect(lengthOf(named, 'side')).toBeCloseTo((lengthOf(reference, 'side') ?? 0) - 100, 3);
    const joined = joinStretch(named, front, side + 1);
    expect(lengthOf(joined, 'side')).toBeUndefined();
    for (const nowhere of [middle, 0, 1, Number.NaN]) {
      expect(cutStretch(cut, front, nowhere).shapes[front]?.marks).toEqual(cut.shapes[front]?.marks);
    }
  });

  it('takes a shape as another piece’s outline, or none’s', () => {
    const back = reference.shapes.findIndex((s) => s.piece === 'back');
    const none = takenAsOutline(reference, back, 'none', own);
    expect(laidOutline(none, 'back')).toEqual([]);
    expect(compareReference(none, own).some((f) => f.panel !== 'front')).toBe(false);
    const again = takenAsOutline({ ...none, places: { ...none.places, back: none.places.front } }, back, 'back', own);
    for (const figure of compareReference(again, own)) {
      if (figure.id !== 'waist') expect(Math.abs(figure.reference - figure.draft)).toBeLessThan(0.5);
    }
  });

  it('moves it, turns it about a point and turns it over, each undone by its like', () => {
    const place = reference.places.front;
    const p = point(1234, 321);
    const laid = carryPoint(place, 1, p);
    expect(distance(carryPoint(carried(place, point(3, -4)), 1, p), laid)).toBeCloseTo(5, 9);
    const about = point(40, 250);
    const turned = turnedAbout(place, about, 0.3);
    expect(distance(carryPoint(turned, 1, p), about)).toBeCloseTo(distance(laid, about), 6);
    expect(distance(carryPoint(turnedAbout(turned, about, -0.3), 1, p), laid)).toBeLessThan(1e-6);
    const over = carryPoint(turnedOver(place), 1, p);
    expect(over.y).toBeCloseTo(laid.y, 6);
    expect(over.x - place.to.x).toBeCloseTo(place.to.x - laid.x, 6);
    expect(turnedOver(turnedOver(place))).toEqual(place);
    expect(carryPoint(broughtTo(place, laid, about), 1, p).x).toBeCloseTo(about.x, 6);
  });

  it('moves figures at levels only by moving the outline, and never the lengths of its seams', () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 }), (x, y) => {
        const moved = placed(reference, 'front', carried(reference.places.front, point(x, y)));
        const seams = (r: Reference): number[] => compareReference(r, own).flatMap((f) => (f.off ? [f.reference] : []));
        for (const [i, length] of seams(moved).entries()) expect(length).toBeCloseTo(seams(reference)[i] ?? 0, 6);
      }),
      { numRuns: 20 },
    );
  });

  it('gives seams that can be walked: from where the draft’s begin, in one line', () => {
    const edges = namedEdges(laidOutline(reference, 'back'), own.back);
    for (const edge of ['side', 'inseam', 'rise', 'hem'] as const) {
      const path = edges.get(edge)?.path ?? [];
      expect(distance(startOf(path), startOf(own.back.edges[edge])), edge).toBeLessThan(0.5);
      expect(pathLength(path)).toBeCloseTo(pathLength(own.back.edges[edge]), 1);
    }
    expect(isClosed(laidOutline(reference, 'back')[0]?.path ?? [], 1e-6)).toBe(true);
  });

  it('is measured between two places: straight, and along the outline the shorter way', () => {
    const outline = laidOutline(reference, 'front');
    const { sideHip, sideKnee } = own.front.points;
    const [a, b] = [nearestOnOutline(outline, sideHip), nearestOnOutline(outline, sideKnee)];
    if (!a || !b) throw new Error('not on it');
    expect(a.distance).toBeLessThan(0.2);
    const side = own.front.edges.side.slice(own.front.joints.sideHip, own.front.joints.sideKnee);
    expect(alongOutline(outline, a, b)).toBeCloseTo(pathLength(side), 0);
    expect(alongOutline(outline, b, a)).toBe(alongOutline(outline, a, b));
    expect(outline[0]?.stretches[stretchAt(outline[0], a.length)]?.name).toBe('side');
    const [back] = laidOutline(reference, 'back');
    expect(alongOutline(outline, a, { ...b, index: back?.index ?? -1 })).toBeUndefined();
    expect(nearestOnOutline([], sideHip)).toBeUndefined();
  });

  it('can be brought corner to corner', () => {
    const away = placed(reference, 'front', carried(reference.places.front, point(30, -12)));
    const corners = pairedCorners(namedEdges(laidOutline(away, 'front'), own.front), own.front);
    expect(corners.map((c) => c.name)).toEqual(['crotchPoint', 'centreWaist', 'sideWaist', 'sideHem', 'inseamHem']);
    for (const { outline, draft } of corners) {
      expect(outline.x - draft.x).toBeCloseTo(30, 0);
      expect(outline.y - draft.y).toBeCloseTo(-12, 0);
    }
  });

  it('is walked: its back along its front as the draft’s is, and each piece along the draft’s own', () => {
    const sewn = walkReference(reference, own, 'inseam', 'sewn');
    expect(sewn?.marks.map((m) => m.label)).toEqual(['knee', 'end']);
    const { inseam } = edgeLengths(own.front);
    expect(sewn?.marks[1]?.first).toBeCloseTo(inseam, 1);
    expect((sewn?.marks[1]?.first ?? 0) - (sewn?.marks[1]?.second ?? 0)).toBeCloseTo(
      inseam - edgeLengths(own.back).inseam,
      1,
    );
    for (const seam of ['side', 'rise', 'hem'] as const) {
      for (const mark of walkReference(reference, own, seam, 'back')?.marks ?? []) {
        expect(Math.abs(mark.difference), seam).toBeLessThan(0.5);
      }
    }
    const unnamed = reference.shapes[front]?.marks.reduce((r, _, i) => nameStretch(r, front, i, 'none'), reference);
    expect(unnamed && walkReference(unnamed, own, 'side', 'sewn')).toBeUndefined();
  });

  it('shows with a piece the lines that lie in it, and not those beside', () => {
    const file = fileOf(own, { angle: 0, over: false, unit: 1 });
    const grain = { layer: 'grain', closed: false, path: [line(point(-100, 4200), point(-100, 4800))] };
    const far = { layer: 'note', closed: false, path: [line(point(-3000, 0), point(-2900, 0))] };
    const inFront = pathLength(file.shapes[0]?.path ?? []) > 0 ? startOf(file.shapes[0]?.path ?? []) : point(0, 0);
    const dart = { layer: 'dart', closed: false, path: [line(inFront, point(inFront.x, inFront.y + 90))] };
    const laid = started({ ...file, shapes: [grain, far, dart, ...file.shapes] }, own);
    const layers = (panel: 'front' | 'back'): string[] =>
      linesBeside(laid, panel).map((i) => laid.shapes[i]?.layer ?? '');
    expect(layers('front')).toContain('dart');
    expect(layers('front')).not.toContain('note');
    expect(layers('back')).not.toContain('dart');
  });
});
