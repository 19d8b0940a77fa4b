import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import type { Block } from '../draft/index.js';
import { flatten, type Path, type Point } from '../geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { sheetById } from '../shipped/index.js';
import { draftGarment } from '../style/index.js';
import { CHALK_HOUSE, chalkedOutline, chalkSheet, type ChalkChoice, type ChalkSheet } from './index.js';

const BODY = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function inOnePiece(measured: typeof BODY, choice: Partial<ChalkChoice>): { sheet: ChalkSheet; block: Block } {
  const method = sheetById('knit-leg');
  const outcome = method && computeDraft({ ...EMPTY_INPUT, ...inputFor(method, measured) });
  if (!outcome?.ok) throw new Error('a knit leg must draft');
  const draft = outcome.value;
  const styled = draftGarment(draft, [{ id: 'onePiece', values: {} }], 'cm');
  const allowances = HOUSE_ALLOWANCES;
  const pieces = piecesOf(styled.garment, allowances);
  const sheet = chalkSheet({ draft, styled, pieces, allowances, unit: 'cm' }, { ...CHALK_HOUSE, ...choice });
  return { sheet, block: styled.legs.left };
}

/** How far a line from a point toward another runs until it meets a closed line, nearest to that other point. */
function reach(outline: Path, from: Point, toward: Point): number {
  const far = Math.hypot(toward.x - from.x, toward.y - from.y);
  const [dx, dy] = [(toward.x - from.x) / far, (toward.y - from.y) / far];
  const ring = flatten(outline, 0.02);
  let best = Infinity;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    const [away, next] = [a, b].map((p) => (p.x - from.x) * dy - (p.y - from.y) * dx) as [number, number];
    if (away * next > 0 || away === next) return;
    const share = away / (away - next);
    const along = (a.x + share * (b.x - a.x) - from.x) * dx + (a.y + share * (b.y - a.y) - from.y) * dy;
    if (along > 0 && Math.abs(along - far) < Math.abs(best - far)) best = along;
  });
  return best;
}

/** How much more the hip of a chalked leg is than of the drawn one, measured from where the side was to either centre. */
function hipMoreOf({ sheet, block: { front, back } }: ReturnType<typeof inOnePiece>): number {
  const leg = sheet.parts.find(({ laid }) => laid.part.onFrame);
  if (!leg) throw new Error('no leg');
  const [at, to] = [back.points.sideWaist, front.points.sideWaist];
  const turned = ({ x, y }: Point): Point => ({ x: to.x + at.x - x, y: y - at.y + to.y });
  const ends: readonly (readonly [Point, Point])[] = [
    [front.points.sideHip, front.points.centreHip],
    [turned(back.points.sideHip), turned(back.points.centreHip)],
  ];
  return ends.reduce(
    (sum, [from, toward]) =>
      sum + 2 * (reach(chalkedOutline(leg), from, toward) - reach(leg.laid.outline, from, toward)),
    0,
  );
}

describe('a leg in one piece, chalked', () => {
  it('keeps its hip, measured from the side to both centres, within one step of the tape, and tells it', () => {
    const random = seeded(31);
    for (let i = 0; i < 12; i++) {
      const made = inOnePiece(plausibleBody(random), { line: i % 2 ? 'cut' : 'net' });
      const hip = made.sheet.rounding[0]?.figures.hip;
      const told = (hip?.chalked ?? NaN) - (hip?.drawn ?? NaN);
      const more = hipMoreOf(made);
      expect([i, Math.abs(more) <= 3]).toEqual([i, true]);
      expect([i, Math.abs(more - told) < 1.2]).toEqual([i, true]);
    }
  });

  it('tells both rises, each by its own edge', () => {
    const { sheet } = inOnePiece(BODY, { line: 'net', tape: '0.5' });
    const { frontRise, backRise } = sheet.rounding[0]?.figures ?? {};
    const lengths = (panel: string): number =>
      sheet.moves.filter((m) => m.id === panel).reduce((sum, m) => sum + m.rounded - m.figure, 0);
    for (const [name, figure] of [
      ['riseFront', frontRise],
      ['riseBack', backRise],
    ] as const) {
      expect(Math.abs(lengths(name))).toBeGreaterThan(0.05);
      expect((figure?.chalked ?? NaN) - (figure?.drawn ?? NaN)).toBeCloseTo(lengths(name), 6);
    }
  });

  it('names its places by the panel they were drawn on, its levels once, and measures from where the side was', () => {
    const { sheet } = inOnePiece(BODY, { line: 'net' });
    const said = sheet.moves.map((m) => m.say);
    for (const begun of ['Back crotch point.', 'Front crotch point.', 'Back centre waist.', 'Front centre at the hip.'])
      expect(said.filter((words) => words.startsWith(begun))).toHaveLength(1);
    expect(said.filter((words) => words.startsWith('Hip line.'))).toHaveLength(1);
    expect(said.find((words) => words.startsWith('Back inseam hem'))).toContain('from the side line toward the back');
    expect(said.join(' ')).not.toMatch(/crease|corner of/i);
  });
});
