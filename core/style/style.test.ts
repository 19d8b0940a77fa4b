import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import type { Measured } from '../measure/index.js';
import {
  contains,
  crossLine,
  distance,
  enclosedArea,
  endDirection,
  endOf,
  flatten,
  isClosed,
  nearestPlace,
  pathLength,
  point,
  selfCrossing,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import { edgeOf, partOf, partOutline, seamDifference, seamOf, stretchPath, type Garment } from '../garment/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { inputOf } from '../kept/index.js';
import { HOUSE_ALLOWANCES, piecesOf, type Piece } from '../piece/index.js';
import { refusalSentence } from '../refusal/index.js';
import { sheetById, SHEETS } from '../shipped/index.js';
import { readerIn } from '../units/index.js';
import {
  COMPONENTS,
  draftGarment,
  findingWords,
  garmentVerdict,
  styleContext,
  styled,
  topEdgeWords,
  trimmingWords,
  type Finding,
  type Style,
  type Styled,
  type StyleItem,
} from './index.js';

const BODY: Measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function drafted(method = 'quarter-and-half', more: Partial<typeof EMPTY_INPUT> = {}): Draft {
  const sheet = sheetById(method);
  if (!sheet) throw new Error(`No method ${method}`);
  const outcome = computeDraft({ ...EMPTY_INPUT, sheet, measured: BODY, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const draft = drafted();
const item = (id: string, values: StyleItem['values'] = {}): StyleItem => ({ id, values });
const make = (style: Style, of: Draft = draft): Styled => {
  const made = draftGarment(of, style, 'cm');
  expect(made.told.filter((t) => t.refusal)).toEqual([]);
  return made;
};
const edge = (garment: Garment, part: string, id: string): Path => edgeOf(partOf(garment, part), id).path;
const long = (garment: Garment, part: string, id: string): number => pathLength(edge(garment, part, id));
const refusedBy = (style: Style, of: Draft = draft): string[] =>
  draftGarment(of, style, 'cm').told.flatMap(({ refusal }) =>
    refusal ? [`${refusal.field} ${refusal.code}: ${refusalSentence(refusal, readerIn('cm'))}`] : [],
  );
const block = make([]).garment;
/** How wide a part is at a level, straight across, in mm. */
function across(path: Path, y: number): number {
  const xs = crossLine(path, point(0, y), point(1, 0)).map((hit) => hit.at.x);
  return Math.max(...xs) - Math.min(...xs);
}
const outline = (garment: Garment, part: string): Path => partOutline(partOf(garment, part));
const pieceOf = ({ garment }: Styled, part: string): Piece => {
  const found = piecesOf(garment, HOUSE_ALLOWANCES).find((p) => p.part.id === part);
  if (!found) throw new Error(`No piece ${part}`);
  return found;
};

describe('a style leaves the block alone', () => {
  it('and is taken back whole: without it the garment is the block, curve by curve', () => {
    make([item('flare'), item('waistDrop'), item('band'), item('fly')]);
    expect(make([]).garment.parts).toEqual(block.parts);
  });

  it('and its order in the list is not its order of work', () => {
    const one = make([item('band'), item('fly'), item('waistDrop')]).garment;
    const two = make([item('waistDrop'), item('fly'), item('band')]).garment;
    expect(one).toEqual(two);
  });

  it('and takes the house’s own for a value of another kind, as a file may hold', () => {
    const odd = [item('flare', { from: 'hat', by: 'wide' }), item('shapedBand', { interfacing: 3 })];
    expect(make(odd).garment).toEqual(make([item('flare'), item('shapedBand')]).garment);
  });

  it('and tells what is drawn from one leg where the two differ', () => {
    const scoop = { kind: 'scoop', panel: 'back', at: 0.4, by: 6, keepLength: false } as const;
    const apart = drafted('quarter-and-half', {
      alterations: [{ id: 'a', on: true, note: '', leg: 'left', work: scoop }],
    });
    const codes = (style: Style): string[] => make(style, apart).findings.map((f) => f.code);
    expect(codes([item('fly'), item('shapedBand')])).toContain('oneLeg');
    expect(codes([item('fly'), item('band')])).not.toContain('oneLeg');
  });

  it('and is judged in one line: what is left out or out, what asks for a look, how many seams agree', () => {
    const sound = make([item('fly'), item('band')]);
    expect(garmentVerdict(sound)).toEqual({ out: 0, near: 0, in: sound.garment.seams.length });
    const tight = draftGarment(
      draft,
      [item('waistDrop', { by: 195 }), item('casing'), item('zip', { at: 'back', length: 60 })],
      'cm',
    );
    const told = tight.told.filter((t) => t.refusal).length;
    const out = tight.findings.filter((f) => f.weight === 'out').length;
    expect(told).toBeGreaterThan(0);
    expect(garmentVerdict(tight).out).toBe(told + out);
    expect(garmentVerdict(tight).near).toBe(tight.findings.filter((f) => f.weight === 'caution').length);
  });

  it('and what cannot be made is left out and told; the rest is made', () => {
    const made = draftGarment(draft, [item('waistDrop', { by: 195 }), item('band')], 'cm');
    expect(made.told.map((t) => [t.component, t.refusal?.code])).toEqual([
      ['waistDrop', 'dropBelowHip'],
      ['band', undefined],
    ]);
    expect(long(made.garment, 'front', 'waist')).toBeCloseTo(long(block, 'front', 'waist'), 9);
  });
});

describe('the leg', () => {
  const { levels } = draft.block.front;

  it('of a flare is wider by as much on every seam, straight to the hem, and untouched above its start', () => {
    const { garment } = make([item('flare', { by: 60 })]);
    for (const part of ['front', 'back']) {
      // The back's ends are walked along the front's: by a hair.
      expect(long(garment, part, 'hem')).toBeCloseTo(long(block, part, 'hem') + 120, part === 'front' ? 6 : 0);
      for (const y of [250, 400, levels.kneeLevel - 1]) {
        expect(across(outline(garment, part), y)).toBeCloseTo(across(outline(block, part), y), 9);
      }
      // Half way down it is half way out, but for the bend at its start.
      const y = (levels.kneeLevel + levels.hemLevel) / 2;
      const gained = across(outline(garment, part), y) - across(outline(block, part), y);
      expect([part, gained > 50 && gained < 65]).toEqual([part, true]);
      const side = edge(garment, part, 'side');
      const [last] = side.slice(-1);
      expect(distance(last?.p0 ?? point(0, 0), last?.p3 ?? point(0, 0))).toBeGreaterThan(250);
    }
  });

  it('of a taper is narrower at the hem, at the knee only where that is given', () => {
    const plain = make([item('taper', { by: 15 })]).garment;
    const both = make([item('taper', { by: 15, knee: 10 })]).garment;
    expect(long(plain, 'front', 'hem')).toBeCloseTo(long(block, 'front', 'hem') - 30, 6);
    expect(long(plain, 'back', 'hem')).toBeCloseTo(long(block, 'back', 'hem') - 30, 0);
    const y = levels.kneeLevel;
    expect(across(outline(plain, 'back'), y)).toBeCloseTo(across(outline(block, 'back'), y), 3);
    expect(across(outline(both, 'back'), y)).toBeCloseTo(across(outline(block, 'back'), y) - 20, 3);
    expect(across(outline(both, 'back'), levels.crotchLevel)).toBeCloseTo(
      across(outline(block, 'back'), levels.crotchLevel),
      6,
    );
  });

  it('full from the thigh falls plumb from there, and its seams still walk', () => {
    for (const method of ['quarter-and-half', 'front-first', 'sixteenths', 'close']) {
      const { garment: full } = make([item('fullLeg')], drafted(method));
      for (const id of ['side', 'inseam']) {
        expect([method, id, Math.abs(seamDifference(full, seamOf(full, id))) < 1]).toEqual([method, id, true]);
      }
    }
    const { garment } = make([item('fullLeg')]);
    const wide = (y: number): number => across(outline(garment, 'front'), y);
    expect(wide(levels.hemLevel - 1)).toBeCloseTo(wide(levels.kneeLevel), 1);
    expect(wide(levels.hemLevel - 1)).toBeGreaterThan(across(outline(block, 'front'), levels.kneeLevel) + 20);
  });

  it('cut off at an inside length is so long, and front and back still are sewn together', () => {
    const { garment } = make([item('length', { inside: 220 })]);
    expect(long(garment, 'front', 'inseam')).toBeGreaterThan(220);
    expect(endOf(edge(garment, 'front', 'side')).y - draft.block.front.points.crotchPoint.y).toBeCloseTo(220, 6);
    for (const id of ['side', 'inseam']) {
      expect([id, Math.abs(seamDifference(garment, seamOf(garment, id))) < 0.5]).toEqual([id, true]);
    }
    const dropped = make([item('length', { inside: 220, inseamDown: 12 })]).garment;
    expect(long(dropped, 'back', 'inseam') - long(garment, 'back', 'inseam')).toBeCloseTo(
      long(dropped, 'front', 'inseam') - long(garment, 'front', 'inseam'),
      6,
    );
  });

  it('with a curved hem is shorter at the sides and keeps its length at the crease', () => {
    const { garment } = make([item('hemCurve', { sidesUp: 20 })]);
    expect(long(block, 'front', 'side') - long(garment, 'front', 'side')).toBeCloseTo(20, 0);
    const lowest = Math.max(...flatten(edge(garment, 'front', 'hem')).map((p) => p.y));
    expect(lowest).toBeCloseTo(levels.hemLevel, 6);
    expect(partOf(garment, 'front').edges.find((e) => e.id === 'hem')?.allowance).toBe(10);
    expect(refusedBy([item('hemCurve'), item('hem', { kind: 'double' })])[0]).toContain('Face it');
    const faced = make([item('hemCurve'), item('hem', { kind: 'facing' })]).garment;
    expect(seamDifference(faced, seamOf(faced, 'hemFront'))).toBeCloseTo(0, 6);
  });

  it('with a slit is sewn to its top', () => {
    const { garment } = make([item('slit', { height: 60 })]);
    expect(long(garment, 'front', 'slit')).toBeCloseTo(60, 6);
    expect(long(garment, 'front', 'side') + 60).toBeCloseTo(long(block, 'front', 'side'), 6);
    expect(seamOf(garment, 'side').second.edge).toBe('side');
    expect(seamDifference(garment, seamOf(garment, 'side'))).toBeCloseTo(
      seamDifference(block, seamOf(block, 'side')),
      6,
    );
  });
});

/** Folds an allowance over along its lines and says how far it then lies outside the piece, in mm. */
function outsideFolded({ part, cut }: Piece, edgeId: string, folds: readonly number[]): number {
  const net = edgeOf(part, edgeId).path;
  const [a, b] = [startOf(net), endOf(net)];
  const d = { x: (b.x - a.x) / distance(a, b), y: (b.y - a.y) / distance(a, b) };
  const out = { x: -d.y, y: d.x };
  // The piece up to its cut edge, but for what is folded.
  const height = (p: Point): number => (p.x - a.x) * out.x + (p.y - a.y) * out.y;
  const ring = flatten(cut, 0.05);
  let worst = 0;
  for (const p of ring) {
    let h = height(p);
    if (h <= 1e-6 || h > folds.reduce((s, f) => s + f, 0) + 1e-6) continue;
    // From the outermost fold inward, each turns what lies beyond it back.
    let base = folds.reduce((s, f) => s + f, 0);
    for (const fold of [...folds].reverse()) {
      base -= fold;
      if (h > base) h = 2 * base - h;
    }
    const folded = point(p.x + (h - height(p)) * out.x, p.y + (h - height(p)) * out.y);
    // What lies on the fold itself is on the piece.
    if (h > -0.2) continue;
    if (!contains(ring, folded)) worst = Math.max(worst, nearestPlace(cut, folded).distance);
  }
  return worst;
}

describe('what is folded lies on the piece', () => {
  it('a curved hem: the corner beyond it, turned up about the hem’s end, lies on the cut edge of the seam above', () => {
    for (const style of [[item('hemCurve')], [item('hemCurve'), item('flare')], [item('hemCurve'), item('taper')]]) {
      const made = make(style);
      for (const name of ['front', 'back']) {
        const { cut, part } = pieceOf(made, name);
        const hem = edgeOf(part, 'hem').path;
        for (const [at, along, outside] of [
          [startOf(hem), startDirection(hem), -1],
          [endOf(hem), endDirection(hem), 1],
        ] as const) {
          // How far beyond the hem’s own direction there, downward.
          const beyond = (p: Point): number => (p.x - at.x) * along.y - (p.y - at.y) * along.x;
          const out = beyond(point(at.x, at.y + 10)) > 0 ? 1 : -1;
          const corner = cut
            .map((c) => c.p0)
            .filter((p) => out * beyond(p) > 5 && distance(p, at) < 70)
            .find((p) => outside * ((p.x - at.x) * along.x + (p.y - at.y) * along.y) > 5);
          if (!corner) throw new Error(`${name} has no corner beyond its hem`);
          const turned = point(corner.x - 2 * beyond(corner) * along.y, corner.y + 2 * beyond(corner) * along.x);
          expect([style.map((i) => i.id), name, nearestPlace(cut, turned).distance < 0.5]).toEqual([
            style.map((i) => i.id),
            name,
            true,
          ]);
        }
      }
    }
  });

  it.each([
    ['single', [40]],
    ['double', [40, 15]],
    ['turnUp', [40, 40, 15]],
  ] as const)('a hem folded %s, on a straight, a tapered, a flared and a short leg', (kind, folds) => {
    for (const leg of [
      [],
      [item('taper', { by: 40 })],
      [item('flare', { by: 120 })],
      [item('length', { inside: 150 })],
    ]) {
      const made = make([...leg, item('hem', { kind, depth: 40, under: 15 })]);
      for (const part of ['front', 'back']) {
        expect([part, leg[0]?.id, outsideFolded(pieceOf(made, part), 'hem', folds) < 0.5]).toEqual([
          part,
          leg[0]?.id,
          true,
        ]);
      }
    }
  });

  it('a casing on a sloping back, at its side and its centre', () => {
    for (const method of ['quarter-and-half', 'front-first', 'crease-centred', 'close']) {
      const made = make([item('casing', { kind: 'grownOn', elastic: 30 })], drafted(method));
      for (const part of ['front', 'back']) {
        expect([method, part, outsideFolded(pieceOf(made, part), 'waist', [32]) < 0.5]).toEqual([method, part, true]);
      }
    }
  });

  it('is as deep as it was asked for', () => {
    const made = make([item('hem', { kind: 'turnUp', depth: 40, under: 15 })]);
    const box = flatten(pieceOf(made, 'front').cut, 0.5);
    expect(Math.max(...box.map((p) => p.y)) - draft.block.front.levels.hemLevel).toBeCloseTo(95, 6);
  });
});

describe('the top', () => {
  it('dropped is parallel: so far below the waist everywhere, its darts shorter by as much', () => {
    const { garment, legs } = make([item('waistDrop', { by: 40 })]);
    for (const name of ['front', 'back'] as const) {
      const before = draft.block[name];
      for (const at of flatten(legs.left[name].closedWaist, 0.5).slice(3, -3)) {
        expect(Math.abs(nearestPlace(before.closedWaist, at).distance - 40)).toBeLessThan(0.6);
      }
      legs.left[name].darts.forEach((d, i) => {
        expect(before.darts[i]?.length ?? 0).toBeGreaterThan(d.length + 35);
        expect(distance(d.apex, before.darts[i]?.apex ?? point(0, 0))).toBeLessThan(1e-9);
        expect(Math.abs(distance(d.apex, d.centreLeg) - distance(d.apex, d.sideLeg))).toBeLessThan(1e-6);
      });
    }
    const before = seamDifference(block, seamOf(block, 'side'));
    expect(Math.abs(seamDifference(garment, seamOf(garment, 'side')) - before)).toBeLessThan(0.5);
  });

  it('dropped below a dart’s point has none of it left, and is as wide there as the piece was', () => {
    const shallow = Math.max(...draft.block.front.darts.map((d) => d.length));
    const { legs, garment } = make([item('waistDrop', { by: shallow + 10 })]);
    expect(draft.block.front.darts.length).toBeGreaterThan(0);
    expect(legs.left.front.darts).toEqual([]);
    const y = shallow + 40;
    expect(across(outline(garment, 'front'), y)).toBeCloseTo(across(outline(block, 'front'), y), 6);
  });

  it('dropped is held against the body there, not at its waist', () => {
    const found = (by: number, of: Draft = draft): Finding[] =>
      make([item('waistDrop', { by })], of).findings.filter((f) => f.component === 'waistDrop');
    const hipLevel = draft.block.levels.hipLevel;
    const [told] = found(60);
    expect(told?.code).toBe('cutWaist');
    // Between a waist of 780 and a hip of 1000, straight.
    expect(told?.figures['body']).toBeCloseTo(780 + (220 * 60) / hipLevel, 6);
    const cut = 2 * (long(make([item('waistDrop', { by: 60 })]).garment, 'front', 'waist') + 0);
    expect(told?.figures['cut']).toBeGreaterThan(cut);
    expect(told?.figures['ease']).toBeCloseTo((told?.figures['cut'] ?? 0) - (told?.figures['body'] ?? 0), 6);
    // A block that begins at the lower edge of a band lies so much further down the body.
    const counted = drafted('quarter-and-half', { choices: { bandCounts: 'yes' } });
    const band = styleContext(counted, 'cm').bandCounted;
    expect(band).toBeGreaterThan(20);
    const lower = found(20, counted).find((f) => f.code !== 'bandTwice');
    expect(lower?.figures['body']).toBeCloseTo(780 + (220 * (20 + band)) / (counted.block.levels.hipLevel + band), 6);
    // A high hip that was measured, and is fuller than the draft: it would not close there.
    const full = drafted('quarter-and-half', { measured: { ...BODY, highHip: 990 } });
    const [tight] = found(60, full);
    expect([tight?.code, tight?.weight]).toEqual(['cutWaistTight', 'out']);
    if (!tight) throw new Error('a finding');
    expect(findingWords(tight, readerIn('cm'))).toMatch(
      /6\.0 cm below its waist, is about \d+\.\d cm: \d+\.\d cm too tight/,
    );
  });

  it('with a casing is turned by the elastic and a little, grown on by as much', () => {
    const made = make([item('casing', { elastic: 30 })]);
    const top = (path: Path): number => Math.min(...flatten(path).map((p) => p.y));
    const { cut, part } = pieceOf(made, 'back');
    const slope = edgeOf(part, 'waist').path[0];
    if (!slope) throw new Error('a waist');
    const upright = Math.abs(slope.p3.x - slope.p0.x) / distance(slope.p0, slope.p3);
    expect(top(partOutline(part)) - top(cut)).toBeGreaterThan(31 * upright);
    expect(edgeOf(part, 'waist').turned).toEqual([32]);
    expect(top(outline(block, 'back')) - top(partOutline(part))).toBeGreaterThan(25);
  });

  it('tells where its finished edge lies, and a band that is counted twice', () => {
    expect(make([item('waistDrop', { by: 30 }), item('band', { depth: 40 })]).topEdge).toBeCloseTo(10, 0);
    expect(make([item('shapedBand', { depth: 40 })]).topEdge).toBeCloseTo(0, 0);
    expect(topEdgeWords(10, readerIn('cm'))).toBe('The finished top edge lies 1.0 cm above the body’s waist.');
    expect(topEdgeWords(-25.4, readerIn('in'))).toBe('The finished top edge lies 1 in below the body’s waist.');
    const counted = drafted('quarter-and-half', { choices: { bandCounts: 'yes' } });
    const codes = (style: Style): string[] => make(style, counted).findings.map((f) => f.code);
    expect(codes([item('band')])).not.toContain('bandTwice');
    expect(codes([item('shapedBand')])).toContain('bandTwice');
    expect(codes([item('waistDrop'), item('band')])).toContain('bandTwice');
  });

  it('with a straight band has one as long as the closed waist and its lap, notched at sides and centre', () => {
    const { garment } = make([item('band', { depth: 40, overlap: 30 })]);
    const waist = 2 * (pathLength(draft.block.front.closedWaist) + pathLength(draft.block.back.closedWaist));
    expect(long(garment, 'band', 'lower')).toBeCloseTo(waist + 30, 6);
    expect(long(garment, 'band', 'start')).toBeCloseTo(80, 6);
    expect(garment.seams.filter((s) => s.id.startsWith('waist'))).toHaveLength(4);
    const { notches } = pieceOf(make([item('band', { depth: 40, overlap: 30 })]), 'band');
    expect(notches.map((n) => n.label).sort()).toEqual([
      'end of a piece',
      'end of a piece',
      'end of a piece',
      'end of the lap',
    ]);
    const front = pathLength(draft.block.front.closedWaist);
    expect(notches.map((n) => Math.round(n.at.y)).sort((a, b) => a - b)[0]).toBe(Math.round(front));
    expect(partOf(garment, 'bandInterfacing').edges.every((e) => e.allowance === 0)).toBe(true);
  });

  it('with a band of a given length eases the rest in, and refuses what cannot be eased', () => {
    const made = make([item('band', { length: 770 })]);
    const waist = 2 * (pathLength(draft.block.front.closedWaist) + pathLength(draft.block.back.closedWaist));
    const eased = made.garment.seams.reduce((sum, s) => sum + (s.id.startsWith('waist') ? (s.ease?.mm ?? 0) : 0), 0);
    expect(eased).toBeCloseTo(waist - 770, 6);
    expect(made.findings.map((f) => f.code)).toEqual(['openingTight', 'bandShort']);
    expect(refusedBy([item('band', { length: 600 })])[0]).toContain('too much to ease in');
  });

  describe('a band and where it opens', () => {
    const strips = (style: Style): string[] =>
      make(style).garment.parts.flatMap((p) => (p.id.startsWith('band') && p.cloth === 'shell' ? [p.id] : []));
    const joins = (style: Style): string[] =>
      make(style).garment.seams.flatMap((s) =>
        (s.like ?? s.id) === 'bandJoin' ? [`${s.first.part}>${s.second.part}`] : [],
      );
    const fly = item('fly', { shield: 50 });
    const behind = item('zip', { at: 'back', lap: 30 });
    const aside = item('zip', { at: 'side', lap: 30 });
    const laps = (style: Style): number[] => {
      const { garment } = make(style);
      return garment.parts
        .filter((p) => p.id.startsWith('band') && p.cloth === 'shell')
        .map((p) => {
          const sewn = garment.seams.filter((s) => (s.like ?? s.id) === 'waist' && s.first.part === p.id);
          const along = sewn.reduce((sum, s) => sum + pathLength(stretchPath(garment, s.first)), 0);
          return Math.round(long(garment, p.id, 'lower') - along);
        });
    };

    it('laps once, on the end that comes under, however it is cut', () => {
      for (const cutAs of ['whole', 'halves', 'frontBack']) {
        const style = [fly, item('band', { parts: cutAs })];
        expect([cutAs, laps(style).reduce((a, b) => a + b, 0)]).toEqual([cutAs, 50]);
      }
      expect(laps([fly, item('band', { parts: 'halves' })])).toEqual([0, 50]);
      expect(laps([item('fly', { shield: 50, over: 'right' }), item('band', { parts: 'halves' })])).toEqual([50, 0]);
    });

    it('is joined strip to strip, but for where it opens', () => {
      const cut = (parts: string, ...more: Style): Style => [...more, item('band', { parts })];
      expect(joins(cut('whole', fly))).toEqual([]);
      expect(joins(cut('halves', fly))).toEqual(['band.left>band.right']);
      expect(joins(cut('halves', behind))).toEqual(['band.right>band.left']);
      expect(strips(cut('frontBack', fly))).toEqual(['bandFront.left', 'bandBack', 'bandFront.right']);
      expect(strips(cut('frontBack', behind))).toEqual(['bandBack.right', 'bandFront', 'bandBack.left']);
      expect(joins(cut('frontBack', aside))).toEqual(['bandBack>bandFront']);
      expect(refusedBy(cut('halves', aside))[0]).toContain('Cut it whole, or in front and back.');
      // One that does not open is a ring, and is told that it does not pass the hips.
      expect(joins(cut('whole'))).toEqual(['band>band']);
      expect(make(cut('whole')).findings.map((f) => f.code)).toEqual(['openingTight']);
    });

    it('of its own shape is taken in at the top of its sides by a fitting, to nothing where it is sewn on', () => {
      const [as, taken] = [make([item('shapedBand')]), make([item('shapedBand', { topIn: 6 })])];
      for (const part of ['bandFront', 'bandBack']) {
        const by = (edge: string): number => long(as.garment, part, edge) - long(taken.garment, part, edge);
        // Of each side the front has half and the back the other: an eighth in a side is a quarter in all.
        expect([part, by('upper')]).toEqual([part, expect.closeTo(3, 2) as number]);
        expect([part, by('lower'), by('centre')]).toEqual([part, 0, 0]);
      }
      const foot = ({ garment }: Styled): Point => endOf(edgeOf(partOf(garment, 'bandFront'), 'side').path);
      expect(foot(taken)).toEqual(foot(as));
      for (const s of taken.garment.seams)
        expect([s.id, Math.abs(seamDifference(taken.garment, s)) < 1]).toEqual([s.id, true]);
      expect(taken.findings).toEqual(as.findings);
    });

    it('of its own shape is taken in at its centre behind, to nothing where it is sewn on', () => {
      const [as, taken] = [make([item('shapedBand')]), make([item('shapedBand', { topBack: 10 })])];
      const by = (part: string, edge: string): number => long(as.garment, part, edge) - long(taken.garment, part, edge);
      expect([by('bandBack', 'upper'), by('bandFront', 'upper')]).toEqual([expect.closeTo(5, 2) as number, 0]);
      for (const edge of ['lower', 'side']) expect([edge, by('bandBack', edge)]).toEqual([edge, 0]);
      const foot = ({ garment }: Styled): Point => startOf(edge(garment, 'bandBack', 'centre'));
      expect(foot(taken)).toEqual(foot(as));
      expect(Math.abs(by('bandBack', 'centre'))).toBeLessThan(1);
      expect(taken.findings).toEqual(as.findings);
    });

    it('is bent behind where its top is taken in: hinged at its seam, even, as deep everywhere, with a facing', () => {
      for (const [cutAs, opens] of [
        ['whole', fly],
        ['halves', fly],
        ['frontBack', aside],
        ['whole', behind],
      ] as const) {
        const style = (topIn: number): Style => [opens, item('band', { parts: cutAs, depth: 40, topIn })];
        const [as, bent] = [make(style(0)), make(style(18))];
        const strips = bent.garment.parts.filter((p) => p.id.startsWith('band') && p.cloth === 'shell');
        const sum = ({ garment }: Styled, name: string): number =>
          strips.reduce((mm, { id }) => mm + long(garment, id, name), 0);
        expect([cutAs, sum(as, 'lower') - sum(bent, 'lower')]).toEqual([cutAs, expect.closeTo(0, 4) as number]);
        expect([cutAs, sum(as, 'upper') - sum(bent, 'upper')]).toEqual([cutAs, expect.closeTo(18, 2) as number]);
        for (const part of strips) {
          const [upper, lower] = [edgeOf(part, 'upper').path, edgeOf(part, 'lower').path];
          const deep = flatten(upper, 0.05).map((at) => nearestPlace(lower, at).distance);
          expect([cutAs, Math.max(...deep.map((mm) => Math.abs(mm - 40))) < 0.02]).toEqual([cutAs, true]);
          const cloth = flatten(partOutline(part), 0.1);
          expect([cutAs, part.grain.every((p) => contains(cloth, p))]).toEqual([cutAs, true]);
          // It stands with its grain upright, as it is laid on the cloth, and runs along it where it is longest.
          const [top, bottom] = part.grain;
          expect([cutAs, bottom.x - top.x, bottom.y > top.y + 40]).toEqual([cutAs, 0, true]);
          const beside = (p: Point): number => nearestPlace(lower, p).distance;
          expect([cutAs, Math.abs(beside(top) - beside(bottom)) < 0.2]).toEqual([cutAs, true]);
          expect([cutAs, part.cut.count, part.marks]).toEqual([cutAs, 2, []]);
          // It turns the same way all along, and never by a corner.
          const turns = lower.slice(1).map((c, i) => {
            const [a, b] = [endDirection([lower[i] ?? c]), startDirection([c])];
            return a.x * b.y - a.y * b.x;
          });
          expect([cutAs, turns.every((t) => Math.abs(t) < 1e-6)]).toEqual([cutAs, true]);
        }
        for (const s of bent.garment.seams)
          expect([s.id, Math.abs(seamDifference(bent.garment, s)) < 1]).toEqual([s.id, true]);
        expect(bent.findings).toEqual(as.findings);
        expect([cutAs, laps(style(18))]).toEqual([cutAs, laps(style(0))]);
      }
      // It is cut its allowance off the line all along, as closed as it is drawn.
      const piece = pieceOf(make([fly, item('band', { depth: 40, topIn: 18 })]), 'band');
      const net = partOutline(piece.part);
      const off = flatten(piece.cut, 0.1).map((at) => nearestPlace(net, at).distance);
      expect([isClosed(piece.cut, 1e-6), selfCrossing(flatten(piece.cut, 0.1))]).toEqual([true, undefined]);
      expect(Math.min(...off)).toBeGreaterThan(9.9);
      expect(enclosedArea(piece.cut) / enclosedArea(net)).toBeGreaterThan(1.4);
      // The front stays on the straight.
      const whole = make([fly, item('band', { parts: 'frontBack', depth: 40, topIn: 18 })]).garment;
      expect(long(whole, 'bandFront.left', 'upper')).toBeCloseTo(long(whole, 'bandFront.left', 'lower'), 6);
      expect(refusedBy([fly, item('band', { depth: 30, topIn: 31 })])[0]).toContain('Give 3.0 cm or less');
      expect(refusedBy([fly, item('band', { depth: 30, topIn: 30 })])).toEqual([]);
    });

    it('of its own shape laps on one front alone, and is open where the zip is', () => {
      const { garment } = make([fly, item('shapedBand')]);
      expect(long(garment, 'bandFront.right', 'upper') - long(garment, 'bandFront.left', 'upper')).toBeCloseTo(50, 1);
      const lines = (style: Style): string[] =>
        make(style).garment.seams.flatMap((s) => (s.id.startsWith('band') ? [s.id] : []));
      expect(lines([fly, item('shapedBand')])).toEqual(['bandSide.left', 'bandSide.right', 'bandCentreBack']);
      expect(lines([behind, item('shapedBand')])).toEqual(['bandSide', 'bandCentreFront']);
      expect(lines([aside, item('shapedBand')])).toEqual(['bandSide.right', 'bandCentreBack', 'bandCentreFront']);
    });
  });

  it('with a shaped band takes it off the leg, drawn with the darts closed, and fits it to the cut waist', () => {
    const made = make([item('shapedBand', { depth: 40 })]);
    const { garment } = made;
    for (const seam of garment.seams.filter((s) => s.id.startsWith('waist') || s.id.startsWith('band'))) {
      expect([seam.id, Math.abs(seamDifference(garment, seam)) < 0.1]).toEqual([seam.id, true]);
    }
    const front = partOf(garment, 'bandFront');
    expect(pathLength(edgeOf(front, 'upper').path)).toBeCloseTo(pathLength(draft.block.front.closedWaist), 6);
    // As deep everywhere.
    for (const at of flatten(edgeOf(front, 'lower').path, 0.5).slice(2, -2)) {
      expect(Math.abs(nearestPlace(edgeOf(front, 'upper').path, at).distance - 40)).toBeLessThan(0.6);
    }
    expect(long(garment, 'front', 'side') + long(garment, 'bandFront', 'side')).toBeCloseTo(
      long(block, 'front', 'side'),
      3,
    );
    expect(refusedBy([item('shapedBand', { darts: 'open' })])[0]).toContain('Close the darts for it.');
  });

  it('with a casing passes over the hips, without darts, and says how long the elastic is', () => {
    const made = make([item('casing')]);
    const round = 2 * (long(made.garment, 'front', 'waist') + long(made.garment, 'back', 'waist'));
    expect(round).toBeGreaterThanOrEqual(1000);
    expect(made.garment.parts.flatMap((p) => p.marks).some((m) => m.kind === 'line' && m.meaning === 'dart')).toBe(
      false,
    );
    const told = made.findings.map((f) => findingWords(f, readerIn('cm')));
    expect(told).toEqual(['Cut the elastic 75.8 cm long and what it laps, and mark it every 18.9 cm.']);
    expect(refusedBy([item('drawstring')])[0]).toContain('Add a casing');
  });

  it('with a yoke closes the darts in it: its seam is as long as the back below, the back has none left', () => {
    const { garment } = make([item('yoke', { side: 40, centre: 75 })]);
    expect(seamDifference(garment, seamOf(garment, 'yoke'))).toBeCloseTo(0, 1);
    expect(pathLength(edge(garment, 'yoke', 'waist'))).toBeCloseTo(pathLength(draft.block.back.closedWaist), 1);
    expect(partOf(garment, 'back').marks.some((m) => m.kind === 'drill')).toBe(false);
    expect(long(garment, 'yoke', 'side')).toBeCloseTo(40, 6);
    expect(long(garment, 'yoke', 'centre')).toBeCloseTo(75, 6);
    const sides = garment.seams.filter((s) => (s.like ?? s.id) === 'side');
    expect(sides.map((s) => s.second.part).sort()).toEqual(['back', 'yoke']);
    const rises = garment.seams.filter((s) => (s.like ?? s.id) === 'backRise');
    expect(rises.map((s) => s.first.part).sort()).toEqual(['back', 'yoke']);
  });
});

describe('the closure', () => {
  it('a fly leaves the rise open from its stop: facing on the left, shield on the right, as long as the opening', () => {
    const made = make([item('fly', { length: 170 })]);
    const { garment } = made;
    expect(long(garment, 'front', 'flyOpening')).toBeCloseTo(170, 6);
    expect(long(garment, 'front', 'rise') + 170).toBeCloseTo(long(block, 'front', 'rise'), 6);
    for (const id of ['flyFacing', 'flyShield']) {
      expect([id, Math.abs(seamDifference(garment, seamOf(garment, id))) < 1e-6]).toEqual([id, true]);
      expect(pathLength(stretchPath(garment, seamOf(garment, id).first))).toBeCloseTo(170, 3);
    }
    expect([partOf(garment, 'flyFacing').leg, partOf(garment, 'flyShield').leg]).toEqual(['left', 'right']);
    const over = make([item('fly', { length: 170, over: 'right' })]).garment;
    expect([partOf(over, 'flyFacing').leg, partOf(over, 'flyShield').leg]).toEqual(['right', 'left']);
    const stop = pieceOf(made, 'front').notches.find((n) => n.label === 'stop of the fly');
    expect(distance(stop?.at ?? point(0, 0), startOf(edge(garment, 'front', 'flyOpening')))).toBeLessThan(1e-6);
  });

  it('a fly grown on is on one front only, its top the mirror image of the waist beside it', () => {
    const { garment } = make([item('fly', { kind: 'grownOn', length: 150, width: 40 })]);
    expect(garment.parts.map((p) => p.id)).toEqual(['front.left', 'front.right', 'back', 'flyShield']);
    expect(partOf(garment, 'front.left').edges.map((e) => e.id)).toContain('flyTop');
    expect(partOf(garment, 'front.right').edges.map((e) => e.id)).not.toContain('flyTop');
    expect(long(garment, 'front.left', 'flyTop')).toBeGreaterThan(39);
    expect(Math.abs(enclosedArea(outline(garment, 'front.left')))).toBeGreaterThan(
      Math.abs(enclosedArea(outline(garment, 'front.right'))) + 4000,
    );
    for (const seam of garment.seams)
      expect([seam.id, Math.abs(seamDifference(garment, seam)) < 1]).toEqual([seam.id, true]);
  });

  it('a mock fly is stitched shut round its edge', () => {
    const { garment, opening } = make([item('fly', { kind: 'mock' })]);
    expect(opening).toBeUndefined();
    expect(
      garment.seams
        .filter((s) => (s.like ?? s.id) === 'frontRise')
        .map((s) => s.first.edge)
        .sort(),
    ).toEqual(['flyEdge', 'rise']);
  });

  it('a zip is told from the finished top edge, and told when it ends above the hip line', () => {
    const short = make([item('zip', { at: 'side', length: 120 }), item('band', { depth: 40 })]);
    expect(short.findings.map((f) => f.code)).toEqual(['zipLength', 'zipShort']);
    expect(short.findings[0]?.figures['zip']).toBeCloseTo(160, 6);
    expect(make([item('zip', { at: 'side' })]).findings.map((f) => f.code)).toEqual(['zipLength']);
    const { garment } = make([item('zip', { at: 'back', length: 210, allowance: 25 })]);
    expect(edgeOf(partOf(garment, 'back'), 'zipOpening').allowance).toBe(25);
    expect(long(garment, 'back', 'zipOpening')).toBeCloseTo(210, 6);
  });

  it('a side zip opens the left side alone', () => {
    const { garment } = make([item('zip', { at: 'side', length: 200 })]);
    const along = (leg: string): number =>
      garment.seams
        .filter((s) => s.id.startsWith(`side.${leg}`))
        .reduce((sum, s) => sum + pathLength(stretchPath(garment, s.first)), 0);
    expect(along('right') - along('left')).toBeCloseTo(200, 6);
  });

  it('cannot be two at once, nor longer than its seam', () => {
    expect(refusedBy([item('fly'), item('zip')])[0]).toContain('style.zip.fly cannotBeWith');
    expect(refusedBy([item('fly', { length: 390 })])[0]).toContain('longer than the front rise');
  });
});

describe('pockets', () => {
  it('a slant pocket cuts the front away and keeps its corner on the facing: the side and the waist stay whole', () => {
    const { garment } = make([item('slantPocket', { waist: 35, side: 150 })]);
    expect(long(block, 'front', 'side') - long(garment, 'front', 'side')).toBeCloseTo(150, 6);
    expect(long(block, 'front', 'waist') - long(garment, 'front', 'waist')).toBeCloseTo(35, 6);
    const sides = garment.seams.filter((s) => (s.like ?? s.id) === 'side');
    expect(sides.map((s) => [s.first.part, Math.round(pathLength(stretchPath(garment, s.first)))])).toEqual([
      ['pocketFacing', 150],
      ['front', Math.round(long(garment, 'front', 'side'))],
    ]);
    const banded = make([item('slantPocket', { waist: 35, side: 150 }), item('band')]).garment;
    const sewn = banded.seams.filter((s) => (s.like ?? s.id) === 'waist');
    expect(sewn.reduce((sum, s) => sum + pathLength(stretchPath(banded, s.first)), 0)).toBeCloseTo(
      2 * (pathLength(draft.block.front.closedWaist) + pathLength(draft.block.back.closedWaist)),
      6,
    );
    const back = pieceOf(make([item('slantPocket', { waist: 35, side: 150 })]), 'back');
    expect(back.notches.some((n) => n.edge === 'side' && Math.abs(n.at.y - 150) < 6)).toBe(true);
  });

  it('gape where the mouth is long or wide, and are refused where they cut a dart or leave the leg', () => {
    expect(make([item('slantPocket', { side: 200 })]).findings.map((f) => f.code)).toEqual(['mouthGapes']);
    expect(make([item('slantPocket')]).findings).toEqual([]);
    const shorts = drafted('quarter-and-half', { settings: { insideLength: 100 } });
    expect(refusedBy([item('slantPocket', { depth: 480 })], shorts)[0]).toContain('reaches beyond the leg');
  });

  it('in the seam are four bags sewn to both sides of an opening that is notched', () => {
    const made = make([item('inSeamPocket', { below: 40, opening: 160 })]);
    expect(partOf(made.garment, 'inSeamBag').cut).toEqual({ count: 4, how: 'mirrored' });
    for (const id of ['inSeamBag.front', 'inSeamBag.back']) {
      expect(Math.abs(seamDifference(made.garment, seamOf(made.garment, id)))).toBeLessThan(0.5);
    }
    expect(pieceOf(made, 'front').notches.filter((n) => n.label === 'pocket')).toHaveLength(2);
  });

  it('on the back lie within it, by their marks', () => {
    const { garment } = make([item('weltPocket'), item('patchPocket')]);
    const back = partOf(garment, 'back');
    const ring = flatten(partOutline(back), 0.5);
    const placed = back.marks.flatMap((m) => (m.kind === 'line' && m.meaning === 'placement' ? flatten(m.path) : []));
    expect(placed.length).toBeGreaterThan(8);
    expect(placed.every((p) => contains(ring, p))).toBe(true);
    expect(partOf(garment, 'weltBag').cloth).toBe('pocketing');
  });
});

describe('one piece without a side', () => {
  const knit = drafted('knit-leg');

  it('is as wide as both, its rises and inseams sewn, notched where the side was', () => {
    const made = make([item('onePiece')], knit);
    expect(made.garment.parts.map((p) => p.id)).toEqual(['leg']);
    const two = make([], knit).garment;
    expect(Math.abs(enclosedArea(outline(made.garment, 'leg')))).toBeCloseTo(
      Math.abs(enclosedArea(outline(two, 'front'))) + Math.abs(enclosedArea(outline(two, 'back'))),
      0,
    );
    expect(made.garment.seams.map((s) => [s.id, s.first.edge, s.second.edge])).toEqual([
      ['inseam', 'inseamFront', 'inseamBack'],
      ['frontRise', 'riseFront', 'riseFront'],
      ['backRise', 'riseBack', 'riseBack'],
    ]);
    for (const seam of made.garment.seams) {
      expect(seamDifference(made.garment, seam)).toBeCloseTo(seamDifference(two, seamOf(two, seam.id)), 6);
    }
    expect(pieceOf(made, 'leg').notches.filter((n) => n.label === 'side')).toHaveLength(2);
  });

  it('keeps the facings of its hem, each sewn to its own stretch of the one hem', () => {
    const { garment, told } = make([item('hem', { kind: 'facing' }), item('onePiece')], knit);
    expect(told.every((t) => t.refusal === undefined)).toBe(true);
    const two = make([], knit).garment;
    for (const [id, panel] of [
      ['hemFront', 'front'],
      ['hemBack', 'back'],
    ] as const) {
      const seam = seamOf(garment, id);
      expect([seam.first.part, seam.first.edge]).toEqual(['leg', 'hem']);
      const path = stretchPath(garment, seam.first);
      expect(pathLength(path)).toBeCloseTo(long(two, panel, 'hem'), 6);
      expect(seamDifference(garment, seam)).toBeCloseTo(0, 6);
    }
    const ends = (id: string): number[] => {
      const path = stretchPath(garment, seamOf(garment, id).first);
      return [startOf(path).x, endOf(path).x].map((x) => Math.round(x * 100));
    };
    // Both are sewn from where the side was: front and back part there.
    expect(ends('hemFront')[0]).toBe(ends('hemBack')[0]);
  });

  it('is refused where the sides are shaped', () => {
    expect(refusedBy([item('onePiece')])[0]).toContain('one straight line');
  });
});

describe('a lining', () => {
  it('is the legs once more, shorter, in its own cloth and sewn by itself', () => {
    const { garment } = make([item('lining', { shorter: 25 }), item('slantPocket')]);
    const lined = partOf(garment, 'liningFront');
    expect(lined.cloth).toBe('lining');
    expect(pathLength(edgeOf(lined, 'side').path)).toBeCloseTo(long(block, 'front', 'side') - 25, 0);
    expect(Math.abs(seamDifference(garment, seamOf(garment, 'liningSide')))).toBeLessThan(0.5);
  });
});

describe('the garments of the demo workroom', () => {
  it('are made whole, their seams agree, and what they find is told, not out', () => {
    const styles = DEMO_WORKBOOK.drafts.filter((d) => d.style);
    expect(styles.length).toBeGreaterThan(5);
    for (const kept of styles) {
      const person = DEMO_WORKBOOK.people.find((p) => p.id === kept.personId);
      const sheet = sheetById(kept.method);
      if (!person || !sheet) throw new Error(kept.id);
      const outcome = computeDraft(inputOf({ person, draft: kept }, sheet));
      if (!outcome.ok) throw new Error(kept.id);
      const made = draftGarment(outcome.value, kept.style ?? [], person.unit);
      expect([kept.id, made.told.filter((t) => t.refusal)]).toEqual([kept.id, []]);
      expect([kept.id, made.findings.filter((f) => f.weight === 'out')]).toEqual([kept.id, []]);
    }
  });
});

const COMBINED: readonly Style[] = [
  [
    item('flare'),
    item('waistDrop'),
    item('shapedBand'),
    item('fly'),
    item('slantPocket'),
    item('hem', { kind: 'double' }),
  ],
  [
    item('yoke'),
    item('fly'),
    item('weltPocket'),
    item('patchPocket'),
    item('band'),
    item('loops'),
    item('slantPocket'),
  ],
  [item('casing'), item('drawstring'), item('inSeamPocket')],
  [item('length'), item('zip', { at: 'back' }), item('waistFacing'), item('lining')],
  [item('fly', { kind: 'grownOn' }), item('band', { parts: 'frontBack' }), item('hem', { kind: 'turnUp' })],
  [item('zip'), item('slantPocket'), item('yoke'), item('band'), item('slit')],
];

describe('every component by every method', () => {
  it('makes closed, uncrossed parts whose seams agree within a millimetre, on random bodies', () => {
    const random = seeded(4711);
    for (let i = 0; i < 4 * SHEETS.length; i++) {
      const sheet = SHEETS[i % SHEETS.length];
      if (!sheet) continue;
      const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, plausibleBody(random)) });
      if (!outcome.ok) continue;
      const { block: of, legs } = outcome.value;
      const context = styleContext(outcome.value, i % 2 === 0 ? 'cm' : 'in');
      const single = COMPONENTS[i % COMPONENTS.length];
      const styles = [...COMBINED, ...(single ? [[item(single.id)]] : [])];
      for (const style of styles) {
        const made = styled(of, legs, style, context);
        const name = `${sheet.id}: ${style.map((s) => s.id).join(', ')}`;
        expect([name, made.findings.filter((f) => f.code === 'seamOut')]).toEqual([name, []]);
        for (const { part, cut } of piecesOf(made.garment, HOUSE_ALLOWANCES)) {
          const net = partOutline(part);
          const sound = isClosed(net, 1e-3) && enclosedArea(net) < 0 && selfCrossing(flatten(net, 0.2)) === undefined;
          expect([name, part.id, sound, isClosed(cut, 1e-3)]).toEqual([name, part.id, true, true]);
        }
      }
    }
  });
});

describe('the trimmings', () => {
  const taken = (style: Style, of: Draft = draft): string[] =>
    make(style, of).trimmings.map((t) => trimmingWords(t, readerIn('cm')));

  it('are a zip as long as its opening with the band, and what closes the band', () => {
    const { opening, topEdge, trimmings } = make([item('band', { depth: 40 }), item('zip', { length: 200 })]);
    expect(opening?.length).toBe(200);
    expect(topEdge).toBeCloseTo(40, 6);
    expect(trimmings).toEqual([
      { component: 'zip', kind: 'zip', count: 1, length: 240 },
      { component: 'band', kind: 'fastening', count: 1 },
    ]);
    expect(taken([item('zip', { kind: 'invisible', length: 200 })])).toEqual(['1 invisible zip, 20.0 cm long']);
    expect(taken([item('fly', { length: 180 }), item('band', { depth: 60 })])).toEqual([
      '1 zip, 23.5 cm long',
      '2 hooks and bars, or buttons',
    ]);
    expect(taken([item('fly', { kind: 'mock' })])).toEqual([]);
  });

  it('are an elastic a little shorter than the waist with its lap, a cord to tie and its eyelets', () => {
    const knit = drafted('knit-leg');
    expect(taken([item('casing', { elastic: 30 }), item('drawstring')], knit)).toEqual([
      // 78 less 2.25, and 1.27 to lap.
      '1 elastic, 3.0 cm wide, 77.0 cm long',
      expect.stringMatching(/^1 cord, 1\d\d\.\d cm long$/),
      '2 eyelets',
    ]);
    const small = { waist: 560, hip: 640, crotchDepth: 200, inseam: 500 };
    const child = drafted('knit-leg', { measured: small, choices: { age: 'child' } });
    expect(taken([item('casing'), item('drawstring')], child)).toContain('1 cord');
  });
});
