import { describe, expect, it } from 'vitest';
import { startingWork, STARTING_KINDS, type Alteration, type AlterationWork } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { edgeLengths, isSound, outlineOf, parametersOf, type AdoptedPattern } from '../draft/index.js';
import {
  add,
  flatten,
  isClosed,
  line,
  mapPath,
  nearestPlace,
  pathLength,
  selfCrossing,
  point,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import { seamDifference } from '../garment/index.js';
import { figuresOf } from '../measured/index.js';
import { PANEL_NAMES } from '../method/index.js';
import { houseAllowances, piecesOf } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import { trueIt } from '../true-it/index.js';
import { SHEETS, sheetById } from '../shipped/index.js';
import { adoptOutline, adoptSizes, outlineSizes, startReference, type FileShape, type Reference } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draft(more: Partial<DraftInput> = {}): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

/** The pieces of a draft as a file holds them: outlines turned and turned by a quarter and set apart, each dart two legs drawn on its piece. */
function fileShapes({ block }: Draft, layer = '', drawn: (path: Path) => Path = (path) => path): FileShape[] {
  return PANEL_NAMES.flatMap((name, i) => {
    const { edges, darts } = block[name];
    const move = (p: Point): Point => add(turn(p, (Math.PI / 2) * i), point(1900 * i, 40));
    const shape = (path: Path, closed: boolean): FileShape => ({ layer, closed, path: drawn(mapPath(path, move)) });
    // A mouth is drawn straight across, as a net outline often has it.
    const across = darts.reduce<Path>(
      (waist, d) => waist.flatMap((c) => (c.p3 === d.peak ? [line(c.p0, d.sideLeg)] : c.p0 === d.peak ? [] : [c])),
      edges.waist,
    );
    const outline = [...across, ...edges.side, ...edges.hem, ...edges.inseam, ...edges.rise];
    const legs = darts.map((d) => shape([line(d.centreLeg, d.apex), line(d.apex, d.sideLeg)], false));
    return [shape(outline, true), ...legs];
  });
}

function laid(shapes: readonly FileShape[], under: Draft): Reference {
  const started = startReference(
    { name: 'old-block.svg', mmPerUnit: 1, shapes, leftOut: [] },
    under.block,
    '2026-11-28',
  );
  if (!started.ok) throw new Error('refused');
  return started.value;
}

function adopted(of: Draft, under: Draft, drawn?: (path: Path) => Path): AdoptedPattern {
  const outcome = adoptOutline(laid(fileShapes(of, '', drawn), under), under.block, '2026-11-28');
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

/** The farthest that an outline stands from another when both are brought to one side hem corner, in mm. */
function apart(a: Draft, b: Draft, name: 'front' | 'back'): number {
  const [from, to] = [a.block[name], b.block[name]];
  const move = (p: Point): Point =>
    point(p.x + to.points.sideHem.x - from.points.sideHem.x, p.y + to.points.sideHem.y - from.points.sideHem.y);
  const target = outlineOf(to);
  return Math.max(
    ...EDGES.flatMap((edge) =>
      flatten(mapPath(from.edges[edge], move), 0.5).map((p) => nearestPlace(target, p).distance),
    ),
  );
}
const EDGES = ['side', 'hem', 'inseam', 'rise'] as const;

/** The sections of a waist as one straight line from its centre to its side. */
function flat(waist: readonly (readonly number[])[]): number[] {
  const [first, last] = [waist[0] ?? [], waist[waist.length - 1] ?? []];
  const [a, b] = [point(first[0] ?? 0, first[1] ?? 0), point(last[last.length - 2] ?? 0, last[last.length - 1] ?? 0)];
  const { p1, p2 } = line(a, b);
  return [a, p1, p2, b].flatMap(({ x, y }) => [x, y]);
}

const other = { ...measured, waist: 800, hip: 1040, crotchDepth: 280, inseam: 800 };
const alteration = (work: AlterationWork | undefined): Alteration[] =>
  work ? [{ id: 'a', on: true, note: '', work }] : [];

describe('an outline adopted as the block', () => {
  it.each(SHEETS.map((sheet) => [sheet.id, sheet] as const))(
    'of a draft by %s lies as it lay, darts and all',
    (_, sheet) => {
      const [own, of] = [draft({ sheet }), draft({ sheet, measured: other })];
      const taken = draft({ pattern: adopted(of, own) });
      for (const name of PANEL_NAMES) {
        const [is, was] = [taken.block[name], of.block[name]];
        expect(parametersOf(is)).toBeUndefined();
        expect(apart(taken, of, name), name).toBeLessThan(0.3);
        const [lengths, before] = [edgeLengths(is), edgeLengths(was)];
        for (const edge of ['side', 'inseam', 'rise', 'hem'] as const) {
          expect(Math.abs(lengths[edge] - before[edge]), `${name} ${edge}`).toBeLessThan(0.3);
        }
        expect(is.darts.map((d) => Math.round(d.intake))).toEqual(was.darts.map((d) => Math.round(d.intake)));
        expect(Math.abs(pathLength(is.closedWaist) - pathLength(was.closedWaist)), name).toBeLessThan(0.8);
        for (const d of is.darts) expect(d.length).toBeCloseTo(pathLength([line(d.apex, d.sideLeg)]), 6);
      }
      // What the body asks of it is asked as of any block: the thigh is read on the outline.
      expect(Math.abs(figuresOf(taken.block).thigh - figuresOf(of.block).thigh)).toBeLessThan(0.6);
      expect(taken.checks.find((c) => c.id === 'outline')?.verdict).toBe('in');
      for (const check of taken.checks) expect(check.value, check.id).not.toBeNaN();
    },
  );

  it('that a file holds as rows of short lines has its curves back', () => {
    const [own, of] = [draft(), draft({ measured: other })];
    const inLines = (path: Path, within = 0.05): Path => {
      const points = flatten(path, within);
      return points.slice(1).map((p, i) => line(points[i] ?? p, p));
    };
    const taken = draft({ pattern: adopted(of, own, inLines) });
    const dense = draft({ pattern: adopted(draft(), own, (path) => inLines(path, 0.01)) });
    for (const id of ['frontRiseLine', 'backRiseLine', 'sideLine', 'kneeLine', 'sideWalk', 'inseamWalk']) {
      expect(dense.checks.find((c) => c.id === id)?.verdict, id).toBe(own.checks.find((c) => c.id === id)?.verdict);
    }
    for (const name of PANEL_NAMES) {
      expect(apart(taken, of, name)).toBeLessThan(0.4);
      const { rise } = taken.block[name].edges;
      const kinks = rise.slice(1).map((c, i) => {
        const before = rise[i];
        const [a, b] = [
          before ? Math.atan2(before.p3.y - before.p2.y, before.p3.x - before.p2.x) : 0,
          Math.atan2(c.p1.y - c.p0.y, c.p1.x - c.p0.x),
        ];
        return Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)));
      });
      expect(Math.max(...kinks)).toBeLessThan(0.01);
    }
  });

  it('is altered as a draft is: a wedge lengthens its back rise, a longer leg its inseam, and back again', () => {
    const own = draft();
    const pattern = adopted(draft({ measured: other }), own);
    const plain = draft({ pattern });
    const wedge = draft({
      pattern,
      alterations: alteration({
        kind: 'wedge',
        panel: 'back',
        from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
        hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
        by: 15,
      }),
    });
    const [was, is] = [edgeLengths(plain.block.back), edgeLengths(wedge.block.back)];
    expect(is.rise - was.rise).toBeCloseTo(15, 0);
    expect(Math.abs(is.side - was.side)).toBeLessThan(1);
    const longer = draft({
      pattern,
      alterations: alteration({ kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 0 }, by: 20 }),
    });
    expect(longer.altered.told.every((t) => t.done)).toBe(true);
    expect(edgeLengths(longer.block.front).inseam).toBeGreaterThan(edgeLengths(plain.block.front).inseam);
  });

  it('is altered in every way that a draft is: each kind is done, the piece stays sound, and no check has no figure', () => {
    const own = draft();
    const pattern = adopted(draft({ measured: other }), own);
    const plain = draft({ pattern });
    const before = new Map(plain.checks.map((c) => [c.id, c.value]));
    for (const kind of STARTING_KINDS) {
      const work = startingWork(kind, 'back');
      const done = draft({ pattern, alterations: alteration(work) });
      expect(
        done.altered.told.map((t) => t.done),
        kind,
      ).toEqual([true]);
      for (const name of PANEL_NAMES) expect(isSound(done.block[name]), `${kind} ${name}`).toBe(true);
      for (const { id, value } of done.checks) {
        if (typeof value === 'number') expect(Number.isFinite(value), `${kind} ${id}`).toBe(true);
      }
      expect(
        done.checks.some(({ id, value }) => value !== before.get(id)),
        kind,
      ).toBe(true);
    }
  });

  it('keeps a shaped hem when it is altered above, and is the same again when a wedge is opened and closed', () => {
    const own = draft();
    const taken = adopted(draft({ measured: other }), own);
    // A hem that dips by 8 mm in its middle.
    const hem = (numbers: readonly number[]): number[] => {
      const [ax = 0, ay = 0] = numbers;
      const [bx = 0, by = 0] = numbers.slice(-2);
      return [ax, ay, ax + (bx - ax) / 3, ay + 10, ax + (2 * (bx - ax)) / 3, by + 10, bx, by];
    };
    const pattern = { ...taken, front: { ...taken.front, hem: hem(taken.front.hem) } };
    const wedge = (id: string, by: number): Alteration => ({
      id,
      on: true,
      note: '',
      work: {
        kind: 'wedge',
        panel: 'front',
        from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
        hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
        by,
      },
    });
    const plain = draft({ pattern }).block.front;
    expect(pathLength(plain.edges.hem)).toBeGreaterThan(plain.points.inseamHem.x - plain.points.sideHem.x);
    const opened = draft({ pattern, alterations: [wedge('a', 12)] }).block.front;
    expect(pathLength(opened.edges.hem)).toBeCloseTo(pathLength(plain.edges.hem), 6);
    const back = draft({ pattern, alterations: [wedge('a', 12), wedge('b', -12)] }).block.front;
    for (const p of flatten(outlineOf(back), 1)) {
      expect(nearestPlace(outlineOf(plain), p).distance).toBeLessThan(0.05);
    }
  });

  it.each([
    ['fly, slant pockets and a band', ['fly', 'slantPocket', 'band']],
    ['a yoke and a band', ['yoke', 'band']],
    ['a casing', ['casing']],
    ['a zip and a shaped band', ['zip', 'shapedBand']],
  ] as const)('is finished as a draft is: with %s all seams are as long as what they are sewn to', (_, ids) => {
    const own = draft();
    const taken = draft({ pattern: adopted(own, own) });
    const style = ids.map((id) => ({ id, values: {} }));
    const [made, plain] = [draftGarment(taken, style, 'cm'), draftGarment(own, style, 'cm')];
    expect(made.garment.parts.map((p) => p.id)).toEqual(plain.garment.parts.map((p) => p.id));
    expect(made.told.filter((t) => t.refusal)).toEqual(plain.told.filter((t) => t.refusal));
    for (const piece of piecesOf(made.garment, { ...houseAllowances('cm'), given: [] })) {
      const cut = flatten(piece.cut, 0.5);
      expect(isClosed(piece.cut, 1e-3), piece.part.id).toBe(true);
      expect(selfCrossing(cut), piece.part.id).toBeUndefined();
    }
    const worst = ({ garment }: typeof made): number =>
      Math.max(...garment.seams.map((seam) => Math.abs(seamDifference(garment, seam))));
    expect(worst(made)).toBeLessThan(worst(plain) + 0.5);
  });

  it('has its changes made on the pieces alone by True it, and comes in', () => {
    const body = { ...measured, frontRise: 290, backRise: 385, thigh: 590 };
    const own = draft({ measured: body });
    const input: DraftInput = { ...EMPTY_INPUT, measured: body, pattern: adopted(draft(), own) };
    const before = draft(input);
    const outcome = trueIt(input);
    if (!outcome.ok) throw new Error('refused');
    const answer = outcome.value;
    expect(answer.changes.length).toBeGreaterThan(0);
    for (const change of answer.changes) {
      expect(change.set, change.id).toBeUndefined();
      expect(change.work, change.id).toBeDefined();
    }
    const works = answer.changes.flatMap((c) => (c.work ? [c.work] : []));
    const after = draft({ ...input, alterations: works.map((work, i) => ({ id: `t${i}`, on: true, note: '', work })) });
    const off = (of: Draft, id: string): number => {
      const check = of.checks.find((c) => c.id === id);
      const value = typeof check?.value === 'number' ? check.value : NaN;
      return Math.max(0, (check?.low ?? NaN) - value, value - (check?.high ?? NaN));
    };
    expect(off(before, 'backRise')).toBeGreaterThan(2);
    for (const id of ['backRise', 'frontRise']) expect(off(after, id), id).toBeLessThan(0.1);
  });

  it('has its levels where they are laid in, its crease where it is moved to', () => {
    const own = draft();
    const pattern = adopted(draft({ measured: other }), own);
    const { block } = draft({ pattern: { ...pattern, hipAbove: 70, kneeBelow: 300, creaseOff: 8 } });
    const { levels } = block;
    expect(block.front.points.sideHip.y).toBeCloseTo(levels.hipLevel, 4);
    // The back's hip is where it is sewn to the front's.
    const sewn = block.front.edges.side.slice(block.front.joints.sideHip);
    expect(levels.crotchLevel - levels.hipLevel).toBeCloseTo(70, 9);
    expect(levels.kneeLevel - levels.crotchLevel).toBeCloseTo(300, 9);
    for (const name of PANEL_NAMES) {
      const { points, crease, joints, edges } = block[name];
      expect(points.sideHip.x).toBeCloseTo(0, 6);
      expect(points.inseamKnee.y).toBeCloseTo(levels.kneeLevel, 4);
      expect(crease - (points.sideHem.x + points.inseamHem.x) / 2).toBeCloseTo(8, 9);
      expect(edges.side[joints.sideHip]?.p0).toEqual(points.sideHip);
      expect(pathLength(edges.side.slice(joints.sideHip))).toBeCloseTo(pathLength(sewn), 3);
    }
  });

  it('takes a dart laid into it where its file draws none: the waist is shorter by as much, its legs are equal', () => {
    const own = draft();
    const pattern = adopted(draft({ measured: other }), own);
    const bare = { ...pattern, front: { ...pattern.front, waist: [[...flat(pattern.front.waist)]], apexes: [] } };
    const plain = draft({ pattern: bare });
    const waist = pathLength(plain.block.front.closedWaist);
    const dart = { panel: 'front' as const, at: 90, intake: 18, length: 100 };
    const { front } = draft({ pattern: { ...bare, darts: [dart] } }).block;
    const [laid] = front.darts;
    if (!laid) throw new Error('no dart');
    expect(laid.intake).toBeCloseTo(18, 0);
    expect(laid.length).toBeCloseTo(Math.hypot(100, 9), 0);
    expect(laid.apex.y).toBeGreaterThan(90);
    expect(pathLength([line(laid.apex, laid.centreLeg)])).toBeCloseTo(pathLength([line(laid.apex, laid.sideLeg)]), 6);
    expect(waist - pathLength(front.closedWaist)).toBeCloseTo(18, 0);
    const tooWide = computeDraft({ ...EMPTY_INPUT, measured, pattern: { ...bare, darts: [{ ...dart, intake: 400 }] } });
    expect(tooWide.ok ? [] : tooWide.refusals).toMatchObject([{ code: 'adoptedDart', figures: { panel: 'front' } }]);
  });

  it('is refused by the piece whose seams are not named', () => {
    const own = draft();
    const reference = laid(fileShapes(own), own);
    const unnamed = {
      ...reference,
      shapes: reference.shapes.map((s) =>
        s.piece === 'back'
          ? { ...s, marks: s.marks.map((m) => (m.name === 'inseam' ? { ...m, name: 'none' as const } : m)) }
          : s,
      ),
    };
    const outcome = adoptOutline(unnamed, own.block, '2026-11-28');
    expect(outcome.ok ? [] : outcome.refusals).toMatchObject([{ code: 'adoptedEdge', figures: { panel: 'back' } }]);
  });

  it('of a file with several sizes may have its front from one and its back from another', () => {
    const own = draft();
    const nest = [-40, 0, 40].map((more) =>
      draft({ measured: { ...measured, waist: 780 + more, hip: 1000 + more, crotchDepth: 272 + more / 10 } }),
    );
    const reference = laid(
      nest.flatMap((of, i) =>
        fileShapes(of, `size ${i}`).map((s) => ({ ...s, path: mapPath(s.path, (p) => point(p.x, p.y + 1400 * i)) })),
      ),
      own,
    );
    const sizes = outlineSizes(reference, own.block);
    const [small, , large] = sizes;
    if (!small || !large) throw new Error('no sizes');
    const outcome = adoptSizes(reference, own.block, { front: small, back: large }, '2026-11-28');
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
    const { block } = draft({ pattern: outcome.value });
    expect(
      Math.abs(edgeLengths(block.front).rise - edgeLengths(nest[0]?.block.front ?? block.front).rise),
    ).toBeLessThan(0.3);
    expect(Math.abs(edgeLengths(block.back).rise - edgeLengths(nest[2]?.block.back ?? block.back).rise)).toBeLessThan(
      0.3,
    );
    expect(outcome.value.name).toBe('old-block.svg, front size 0, back size 2');
  });

  it('of a pattern drawn by another sheet is held against the body of the draft', () => {
    const own = draft({ measured: { ...measured, frontRise: 280, backRise: 400 } });
    const small = draft({ sheet: sheetById('thirds') ?? own.worked.sheet });
    const taken = draft({ measured: { ...measured, frontRise: 280, backRise: 400 }, pattern: adopted(small, own) });
    const backRise = taken.checks.find((c) => c.id === 'backRise');
    expect(backRise?.value).toBeCloseTo(edgeLengths(taken.block.back).rise, 6);
    expect(backRise?.verdict).toBe('out');
  });
});
