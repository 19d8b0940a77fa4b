import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { flatten, type Path } from '../geometry/index.js';
import { inputOf } from '../kept/index.js';
import { HOUSE_ALLOWANCES, piecesOf, type Allowances, type Piece } from '../piece/index.js';
import { partOutline } from '../garment/index.js';
import { SHEETS, sheetById } from '../shipped/index.js';
import { draftGarment, NO_STYLE, type Style } from '../style/index.js';
import { toMm, type Unit } from '../units/index.js';
import { CHALK_HOUSE, chalkSheet, stepOf, type ChalkChoice, type ChalkMove, type ChalkSheet } from './index.js';
import { letterOf } from './lettered.js';

type Pair = readonly [number, number];

interface Made {
  readonly sheet: ChalkSheet;
  readonly pieces: readonly Piece[];
}

const BODY = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draftBy(method: string, measured = BODY, more: Partial<typeof EMPTY_INPUT> = {}): Draft {
  const sheet = sheetById(method);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, measured), ...more });
  if (!outcome?.ok) throw new Error(`${method} must draft`);
  return outcome.value;
}

function sheetOf(
  draft: Draft,
  choice: Partial<ChalkChoice> = {},
  style: Style = NO_STYLE,
  unit: Unit = 'cm',
  allowances: Allowances = HOUSE_ALLOWANCES,
): Made {
  const styled = draftGarment(draft, style, unit);
  const pieces = piecesOf(styled.garment, allowances);
  return { sheet: chalkSheet({ draft, styled, pieces, allowances, unit }, { ...CHALK_HOUSE, ...choice }), pieces };
}

/** A reader of moves that knows nothing of how they were made: straights, and a centripetal Catmull-Rom line for curves. */
function drawnBy(move: ChalkMove): Pair[] {
  const points = [move.from, ...move.through, move.to].map(({ x, y }): Pair => [x, y]);
  if (points.length < 3) return points;
  const reflect = (a: Pair, b: Pair): Pair => [2 * a[0] - b[0], 2 * a[1] - b[1]];
  const at = (i: number): Pair => points[i] as Pair;
  const last = points.length - 1;
  const all = [reflect(at(0), at(1)), ...points, reflect(at(last), at(last - 1))];
  const found: Pair[] = [];
  for (let i = 1; i < all.length - 2; i++) {
    const four = [all[i - 1], all[i], all[i + 1], all[i + 2]] as [Pair, Pair, Pair, Pair];
    const knots = [0];
    for (let k = 1; k < 4; k++) {
      const [a, b] = [four[k - 1] as Pair, four[k] as Pair];
      knots.push((knots[k - 1] as number) + Math.sqrt(Math.hypot(b[0] - a[0], b[1] - a[1])));
    }
    const [t0, t1, t2, t3] = knots as [number, number, number, number];
    const mix = (a: Pair, b: Pair, ta: number, tb: number, t: number): Pair => [
      ((tb - t) * a[0] + (t - ta) * b[0]) / (tb - ta),
      ((tb - t) * a[1] + (t - ta) * b[1]) / (tb - ta),
    ];
    for (let k = 0; k <= 16; k++) {
      const t = t1 + ((t2 - t1) * k) / 16;
      const [a, b, c] = [
        mix(four[0], four[1], t0, t1, t),
        mix(four[1], four[2], t1, t2, t),
        mix(four[2], four[3], t2, t3, t),
      ];
      found.push(mix(mix(a, b, t0, t2, t), mix(b, c, t1, t3, t), t1, t2, t));
    }
  }
  return found;
}

/** How far each of a row of points lies off a closed run of straights at most, in mm. */
function furthest(points: readonly Pair[], run: readonly Pair[]): number {
  return Math.max(
    ...points.map(([x, y]) => {
      let best = Infinity;
      for (let i = 1; i < run.length; i++) {
        const [[ax, ay], [bx, by]] = [run[i - 1] as Pair, run[i] as Pair];
        const [dx, dy] = [bx - ax, by - ay];
        const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
        best = Math.min(best, Math.hypot(x - ax - t * dx, y - ay - t * dy));
      }
      return best;
    }),
  );
}

const pairs = (path: Path, shift: number): Pair[] => flatten(path, 0.05).map(({ x, y }): Pair => [x + shift, y]);

/** Every line of a part, in the order in which the outline runs: moves of lines and curves laid end to end. */
function laidOut(moves: readonly ChalkMove[]): Pair[] {
  const lines = moves.filter(({ kind }) => kind === 'line' || kind === 'curve').map(drawnBy);
  const ordered: Pair[] = [...(lines[0] ?? [])];
  const left = lines.slice(1);
  while (left.length > 0) {
    const end = ordered.at(-1) as Pair;
    const next = left.findIndex(([p]) => p && Math.hypot(p[0] - end[0], p[1] - end[1]) < 1e-6);
    if (next < 0) throw new Error('the lines do not join');
    ordered.push(...(left.splice(next, 1)[0] ?? []));
  }
  return ordered;
}

/** What the reader finds wrong with a sheet. */
function faultsOf({ sheet, pieces }: Made): string[] {
  const step = stepOf(sheet.tape.tape);
  return pieces.flatMap(({ part, cut }): string[] => {
    const moves = sheet.moves.filter((m) => m.part === part.id);
    const shift = sheet.parts.find((p) => p.laid.part.id === part.id)?.laid.shift ?? 0;
    const outline = pairs(sheet.line === 'net' ? partOutline(part) : cut, shift);
    const redrawn = laidOut(moves);
    const out: string[] = [];
    const [a, b] = [furthest(outline, redrawn), furthest(redrawn, outline)];
    if (Math.max(a, b) > step + 2) out.push(`${part.id} off by ${Math.max(a, b).toFixed(2)}`);
    const [first, last] = [redrawn[0] as Pair, redrawn.at(-1) as Pair];
    if (Math.hypot(first[0] - last[0], first[1] - last[1]) > 1e-6) out.push(`${part.id} not closed`);
    for (const m of moves) {
      const straight = m.kind === 'line' ? furthest(drawnBy(m), outline) : 0;
      if (straight > step + 0.45) out.push(`${part.id} straight ${m.id} off by ${straight.toFixed(2)}`);
      const stated = m.kind === 'point' && !m.id.startsWith('dart') ? furthest([[m.to.x, m.to.y]], outline) : 0;
      if (stated > step) out.push(`${part.id} point ${m.id} off by ${stated.toFixed(2)}`);
      if (!m.say || !m.sum || !Number.isFinite(m.figure + m.rounded)) out.push(`${part.id} ${m.id} says nothing`);
    }
    return out;
  });
}

const CHOICES: readonly (readonly [Unit, Partial<ChalkChoice>])[] = [
  ['cm', { line: 'net' }],
  ['cm', { line: 'cut', tape: '0.5' }],
  ['in', { line: 'cut', back: 'front' }],
  ['in', { line: 'net', back: 'front', tape: '1/4' }],
  ['cm', { line: 'cut', levels: 'hem' }],
];

describe('a chalk sheet', () => {
  it('gives back the draft to one who only follows its moves, by every method', () => {
    for (const { id } of SHEETS) {
      const draft = draftBy(id);
      for (const [unit, choice] of CHOICES) {
        expect([id, choice, faultsOf(sheetOf(draft, choice, NO_STYLE, unit))]).toEqual([id, choice, []]);
      }
    }
  });

  it('does so on bodies of all kinds', () => {
    const random = seeded(18);
    for (let i = 0; i < 24; i++) {
      const sheet = SHEETS[i % SHEETS.length];
      const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, plausibleBody(random)) });
      if (!sheet || !outcome?.ok) continue;
      const [unit, choice] = CHOICES[i % CHOICES.length] as (typeof CHOICES)[number];
      expect([i, sheet.id, faultsOf(sheetOf(outcome.value, choice, NO_STYLE, unit))]).toEqual([i, sheet.id, []]);
    }
  });

  it('keeps every girth within one step of the tape, and says how many', () => {
    const random = seeded(5);
    for (let i = 0; i < 60; i++) {
      const sheet = SHEETS[i % SHEETS.length];
      const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, plausibleBody(random)) });
      if (!sheet || !outcome?.ok) continue;
      const [unit, choice] = CHOICES[i % CHOICES.length] as (typeof CHOICES)[number];
      const { sheet: made } = sheetOf(outcome.value, choice, NO_STYLE, unit);
      const step = stepOf(made.tape.tape);
      for (const { figures, furthest: far } of made.rounding) {
        for (const name of ['waist', 'hip', 'thigh', 'knee', 'hem'] as const) {
          const off = Math.abs(figures[name].chalked - figures[name].drawn);
          expect([i, sheet.id, name, off <= step + 0.1 ? 'within' : off]).toEqual([i, sheet.id, name, 'within']);
        }
        expect(far).toBeLessThanOrEqual(step);
      }
    }
  });

  it('counts the darts out of the waist: what is chalked, less its darts, is what the rounding says', () => {
    const { sheet } = sheetOf(draftBy('quarter-and-half'), { line: 'net', tape: '0.5' });
    let more = 0;
    for (const { laid, at } of sheet.parts) {
      const stations = laid.stretches.map((s) => s.from);
      const between = (a: Pair, b: Pair): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
      const pairOf = ({ x, y }: { x: number; y: number }): Pair => [x, y];
      const ends = ['centre waist', 'side waist'].map((is) => stations.find((s) => s.is === is));
      const [centre, side] = ends;
      if (!centre || !side) throw new Error('no waist');
      const chalkedAt = (id: string, drawn: { x: number; y: number }): Pair => pairOf(at.get(id) ?? drawn);
      more +=
        between(chalkedAt(centre.id, centre.at), chalkedAt(side.id, side.at)) -
        between(pairOf(centre.at), pairOf(side.at));
      for (const d of laid.darts) {
        const chalkedWide = between(
          chalkedAt(`${d.id}.centreLeg`, d.centreLeg),
          chalkedAt(`${d.id}.sideLeg`, d.sideLeg),
        );
        more -= chalkedWide - between(pairOf(d.centreLeg), pairOf(d.sideLeg));
      }
    }
    expect(sheet.parts.some((p) => p.laid.darts.length > 0)).toBe(true);
    const waist = sheet.rounding[0]?.figures.waist;
    expect(Math.abs(2 * more)).toBeLessThan(5.5);
    expect(Math.abs(2 * more - (waist?.chalked ?? 0) + (waist?.drawn ?? 0))).toBeLessThan(1.2);
  });

  it('puts every point on a mark of the tape, or half a step over where it says so', () => {
    const { sheet } = sheetOf(draftBy('sixteenths'), { line: 'cut' }, NO_STYLE, 'in');
    const step = toMm(1 / 8, 'in');
    const front = sheet.parts.find((p) => p.laid.part.id === 'front')?.laid.grid;
    for (const m of sheet.moves.filter((one) => one.part === 'front' && one.kind === 'point')) {
      const [across, down] = [(m.to.x - (front?.x0 ?? 0)) / step, (m.to.y - (front?.y0 ?? 0)) / step];
      expect(Math.abs(down - Math.round(down))).toBeLessThan(1e-6);
      const half = Math.abs(2 * across - Math.round(2 * across)) < 1e-6 && Math.abs(across - Math.round(across)) > 0.4;
      if (half) expect(m.say).toContain('half a step');
      else expect(Math.abs(across - Math.round(across))).toBeLessThan(1e-6);
    }
  });

  it('holds the tape at the band where the figures count one, so that no level has to be taken down', () => {
    const draft = draftBy('close', BODY, { choices: { bandCounts: 'yes' } });
    const { sheet } = sheetOf(draft, { line: 'net' });
    const band = draft.worked.ledger.get('bandDepth')?.value as number;
    expect(band).toBeGreaterThan(20);
    expect(sheet.before.join(' ')).toContain('on the start line: the band');
    const crotch = sheet.moves.find((m) => m.id === 'crotchLevel');
    expect(crotch?.figure).toBeCloseTo(draft.worked.levels.crotchLevel + Math.round(band / 2.5) * 2.5, 6);
    expect(crotch?.say).toContain('on the tape');
  });

  it('reads every level up from the hem where the maker begins there, and says the same places', () => {
    const draft = draftBy('quarter-and-half');
    const down = sheetOf(draft, { line: 'cut' }).sheet;
    const { sheet } = sheetOf(draft, { line: 'cut', levels: 'hem' });
    const squared = sheet.moves.filter((m) => m.part === 'front' && m.kind === 'square' && m.id.endsWith('Level'));
    expect(squared.map((m) => m.id)).toEqual(['hemLevel', 'kneeLevel', 'crotchLevel', 'hipLevel']);
    expect(squared[0]?.say).toBe(
      'Hem line. 4.00 up from the end of the cloth, squared across; every level is read up from it.',
    );
    const [hem, , crotch] = squared;
    expect(crotch?.rounded).toBeCloseTo((hem?.to.y ?? NaN) - (crotch?.to.y ?? NaN), 6);
    expect(crotch?.say).toMatch(/^Crotch line\. [\d.]+ up from the hem line, squared across\.$/);
    const point = (of: ChalkSheet): ChalkMove | undefined =>
      of.moves.find((m) => m.part === 'front' && m.say.startsWith('Side waist'));
    expect(point(sheet)?.to).toEqual(point(down)?.to);
    expect(point(sheet)?.say).toMatch(/^Side waist\. [\d.]+ up, /);
    expect(
      sheet.moves
        .filter((m) => m.part === 'front')
        .map((m) => m.say)
        .join(' '),
    ).not.toMatch(/[\d.]+ down|start line/);
    expect(sheet.before.join(' ')).toContain('Hold the end of the tape on the line of the hem');
  });

  it('chalks the back from the laid front: out and up from its points, levels carried across', () => {
    const { sheet } = sheetOf(draftBy('quarter-and-half'), { back: 'front', line: 'net' });
    const back = sheet.moves.filter((m) => m.part === 'back');
    expect(back.filter((m) => m.kind === 'square')).toEqual([]);
    const crotch = back.find((m) => m.kind === 'point' && m.say.startsWith('Crotch point'));
    expect(crotch?.say).toMatch(/^Crotch point\. From the front’s crotch point out [\d.]+, [\d.]+ down\.$/);
    const waist = back.find((m) => m.kind === 'point' && m.say.startsWith('Centre waist'));
    expect(waist?.say).toMatch(/^Centre waist\. From the front’s centre waist in [\d.]+, [\d.]+ up\.$/);
    const front = sheet.moves.find((m) => m.part === 'front' && m.say.startsWith('Crotch point'));
    expect(crotch?.from).toEqual(front?.to);
    const [ahead, behind] = ['front', 'back'].map((id) => sheet.parts.find((p) => p.laid.part.id === id)?.laid.crease);
    expect(behind).toBeCloseTo(ahead ?? NaN, 6);
    const own = sheetOf(draftBy('quarter-and-half'), { line: 'net' }).sheet;
    expect(own.moves.filter((m) => m.part === 'back' && m.kind === 'square').length).toBeGreaterThan(4);
  });

  it('chalks the back on the front where the method lays it there, and by its own figures elsewhere', () => {
    const by = (method: string): string => sheetOf(draftBy(method)).sheet.back;
    expect(SHEETS.filter(({ id }) => by(id) === 'front').map(({ id }) => id)).toEqual(['sixteenths', 'front-first']);
  });

  it('leaves the front’s centre standing until the back is cut, where its makers keep that for last', () => {
    const wide = { choices: { variant: 'wide' } };
    for (const [unit, choice] of CHOICES) {
      const made = sheetOf(draftBy('front-first', BODY, wide), choice, NO_STYLE, unit);
      expect([unit, choice, faultsOf(made)]).toEqual([unit, choice, []]);
      const { moves, tape } = made.sheet;
      const backLast = moves.findLastIndex((m) => m.part === 'back');
      const waist = moves.filter((m) => m.part === 'front' && m.id === 'waist');
      expect(waist.length).toBeGreaterThan(0);
      for (const m of waist) {
        expect(m.n - 1).toBeGreaterThan(backLast);
        expect(m.say).toMatch(/^Now that the back is cut, take (2\.50?|1) off the front’s centre\. Waist, /);
      }
      // For now it stands an inch higher on the line of the rise, which runs on straight.
      const high = moves.find((m) => m.id.endsWith('.forNow'));
      const rise = moves.find((m) => m.part === 'front' && m.id === 'rise' && m.kind === 'line');
      if (!high || !rise) throw new Error('no centre for now');
      expect(high.from.y - high.to.y).toBeCloseTo(Math.round(25.4 / stepOf(tape.tape)) * stepOf(tape.tape), 6);
      const slope = ({ from, to }: ChalkMove): number => (to.x - from.x) / (to.y - from.y);
      expect(Math.abs(slope(high) - slope(rise))).toBeLessThan(0.03);
      if (choice.back !== 'front') continue;
      const centre = moves.find((m) => m.part === 'back' && m.say.startsWith('Centre waist'));
      expect(centre?.from).toEqual(high.to);
      expect(centre?.say).toContain('From the front’s centre waist for now');
    }
    const taught = sheetOf(draftBy('front-first')).sheet.moves;
    expect(taught.some((m) => m.keptLast !== undefined || m.id.endsWith('forNow'))).toBe(false);
  });

  it('names each point by one letter, in the order of drawing, all over the legs', () => {
    const { moves } = sheetOf(draftBy('sixteenths'), { points: 'letters' }).sheet;
    const points = moves.filter((m) => m.kind === 'point');
    const letters = new Map<string, string>();
    for (const { letter = '', part, to } of points) {
      const place = `${part} ${to.x.toFixed(3)} ${to.y.toFixed(3)}`;
      expect(letters.get(letter) ?? place).toBe(place);
      letters.set(letter, place);
    }
    expect([...letters.keys()][0]).toBe('A');
    expect(letters.size).toBeGreaterThan(15);
    expect(letterOf(25)).toBe('Z');
    expect(letterOf(26)).toBe('AA');
  });

  it('shows the sum of a figure that is drawn as the method has it, with what the seams add', () => {
    const net = sheetOf(draftBy('quarter-and-half'), { line: 'net' }).sheet;
    const cut = sheetOf(draftBy('quarter-and-half'), { line: 'cut' }).sheet;
    const sum = (sheet: ChalkSheet, part: string, id: string): string | undefined =>
      sheet.moves.find((m) => m.part === part && m.id === id)?.sum;
    expect(sum(net, 'front', 'crotchLevel')).toMatch(/^crotch depth 27\.2.* = 27\.8$/);
    expect(sum(cut, 'front', 'crotchLevel')).toMatch(/= 27\.8 \+ 1\.0 above the waist line$/);
    expect(sum(net, 'front', 'side.hem')).toMatch(/^half of /);
    expect(sum(cut, 'front', 'inseam.rise')).toContain('extension');
  });

  it('states the seams as they are on each piece, where not all have what the profile has', () => {
    const given = [{ on: 'edge', part: 'front', edge: 'side', mm: 0 }] as const;
    const { sheet } = sheetOf(draftBy('quarter-and-half'), {}, NO_STYLE, 'cm', { ...HOUSE_ALLOWANCES, given });
    const told = sheet.before.join(' ');
    expect(told).toMatch(/Front: waist 1\.0 cm, side seam 0\.0 cm/);
    expect(told).toMatch(/Back: waist 1\.0 cm, side seam 1\.5 cm/);
  });

  it('reads no figure backward: what lies beyond the straight edge is said so', () => {
    for (const { id } of SHEETS) {
      const { sheet } = sheetOf(draftBy(id), { back: 'front', line: 'cut' });
      for (const m of sheet.moves) expect([id, m.say]).toEqual([id, expect.not.stringMatching(/(^|\s)-\d/)]);
    }
  });

  it('folds the cloth for each leg part, and names what falls off', () => {
    const style: Style = [
      { id: 'fly', values: {} },
      { id: 'band', values: {} },
    ];
    const { sheet, pieces } = sheetOf(draftBy('quarter-and-half'), { line: 'cut' }, style);
    const front = sheet.cloth.parts.find((p) => p.part === 'front');
    const across = pieces.find((p) => p.part.id === 'front')?.cut.map(({ p0 }) => p0.x) ?? [];
    const wide = Math.max(...across) - Math.min(...across);
    expect(front?.folded).toBe(true);
    expect(front?.width).toBeGreaterThanOrEqual(wide);
    expect((front?.width ?? 0) - wide).toBeLessThan(12);
    expect((front?.width ?? 1) % 10).toBe(0);
    const kept = sheet.cloth.offcuts.flatMap((o) => o.keepFor);
    expect(kept.some((name) => /fly/i.test(name))).toBe(true);
    expect(new Set(kept).size).toBe(kept.length);
  });

  it('chalks every part of a garment: the demo drafts as they are kept', () => {
    for (const kept of DEMO_WORKBOOK.drafts) {
      const person = DEMO_WORKBOOK.people.find((p) => p.id === kept.personId);
      const set = person?.sets.find((s) => s.id === kept.setId);
      const sheet = sheetById(kept.method);
      if (!person || !set || !sheet) throw new Error(kept.id);
      const outcome = computeDraft(inputOf({ person, draft: kept }, sheet));
      if (!outcome.ok) continue;
      for (const line of ['cut', 'net'] as const) {
        const made = sheetOf(outcome.value, { line }, kept.style ?? NO_STYLE, person.unit, kept.allowances);
        expect([kept.id, line, faultsOf(made)]).toEqual([kept.id, line, []]);
        expect(made.sheet.moves.map((m) => m.n)).toEqual(made.sheet.moves.map((_, i) => i + 1));
      }
    }
  });
});
