import { describe, expect, it } from 'vitest';
import { inputFor } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { distance, endOf, line, pathLength, point, startOf, type Path } from '../geometry/index.js';
import { garmentOf, partOf, partOutline, type Part } from '../garment/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { SHEETS } from '../shipped/index.js';
import { levelsOf, stretchesOf } from './stations.js';

const STEP = 2.5;
const BODY = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function garmentBy(id: string): ReturnType<typeof garmentOf> {
  const sheet = SHEETS.find((s) => s.id === id);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, BODY) });
  if (!outcome?.ok) throw new Error(id);
  return garmentOf(outcome.value.block);
}

const garment = garmentBy('quarter-and-half');
const front = partOf(garment, 'front');

describe('the stations of an outline', () => {
  it('are its corners by name, its levels on either side, and nothing twice', () => {
    const stations = stretchesOf(front, partOutline(front), STEP).map((s) => s.from);
    const labels = stations.map((s) => s.label);
    for (const label of ['centre waist', 'side waist', 'side hem', 'inseam hem', 'crotch point', 'side at the hip'])
      expect(labels.filter((l) => l === label)).toEqual([label]);
    expect(labels).toContain('inseam at the knee');
    expect(new Set(stations.map((s) => s.id)).size).toBe(stations.length);
    expect(stations.filter((s) => s.is === 'crotch point')).toHaveLength(1);
    expect(stations.find((s) => s.label === 'side at the hip')?.level).toBe('hip');
  });

  it('have the fold of the hem on the cut line beside its corners, named by its side', () => {
    const piece = piecesOf(garment, HOUSE_ALLOWANCES).find((p) => p.part.id === 'front');
    if (!piece) throw new Error('no front');
    const stations = stretchesOf(piece.part, piece.cut, STEP).map((s) => s.from);
    const fold = stations.filter((s) => s.label.startsWith('fold of the hem'));
    expect(fold.map((s) => s.label).sort()).toEqual(['fold of the hem at the inseam', 'fold of the hem at the side']);
    const corner = stations.find((s) => s.label === 'side hem');
    expect((corner?.at.y ?? 0) - (fold[0]?.at.y ?? 0)).toBeCloseTo(HOUSE_ALLOWANCES.profile.hem, 0);
  });

  it('part every outline of every method into stretches that run on into one another and are all of it', () => {
    for (const { id } of SHEETS) {
      for (const { part, cut } of piecesOf(garmentBy(id), HOUSE_ALLOWANCES)) {
        for (const outline of [partOutline(part), cut]) {
          const stretches = stretchesOf(part, outline, STEP);
          const whole = stretches.reduce((sum, s) => sum + pathLength(s.path), 0);
          expect([id, part.id, whole]).toEqual([id, part.id, expect.closeTo(pathLength(outline), 3)]);
          stretches.forEach((s, i) => {
            const next = stretches[(i + 1) % stretches.length];
            expect(distance(endOf(s.path), next ? startOf(next.path) : endOf(s.path))).toBeLessThan(1e-6);
            expect(distance(startOf(s.path), s.from.at)).toBeLessThan(1e-6);
            if (s.straight) expect(pathLength(s.path) - distance(s.from.at, s.to.at)).toBeLessThan(0.3);
          });
        }
      }
    }
  });

  it('begin a smooth outline at its top and its foot', () => {
    const k = 0.5523 * 50;
    const ring: Path = [
      { p0: point(50, 0), p1: point(50, k), p2: point(k, 50), p3: point(0, 50) },
      { p0: point(0, 50), p1: point(-k, 50), p2: point(-50, k), p3: point(-50, 0) },
      { p0: point(-50, 0), p1: point(-50, -k), p2: point(-k, -50), p3: point(0, -50) },
      { p0: point(0, -50), p1: point(k, -50), p2: point(50, -k), p3: point(50, 0) },
    ];
    const disc: Part = {
      ...front,
      id: 'disc',
      onFrame: false,
      marks: [],
      edges: [{ id: 'round', role: 'join', path: ring }],
    };
    const stretches = stretchesOf(disc, ring, STEP);
    expect(stretches).toHaveLength(2);
    expect(stretches.map((s) => Math.round(Math.abs(s.from.at.y)))).toEqual([50, 50]);
    expect(stretches.every((s) => !s.straight)).toBe(true);
  });

  it('name the corners of a small part no more than they are', () => {
    const corners = [point(0, 0), point(0, 80), point(120, 80), point(120, 0)];
    const edges = corners.map((p, i) => ({
      id: `e${i}`,
      role: 'join' as const,
      path: [line(p, corners[(i + 1) % 4] ?? p)],
    }));
    const tab: Part = { ...front, id: 'tab', onFrame: false, marks: [], edges };
    const stretches = stretchesOf(tab, partOutline(tab), STEP);
    expect(stretches.map((s) => s.from.label)).toEqual(['corner', 'corner', 'corner', 'corner']);
    expect(stretches.every((s) => s.straight)).toBe(true);
  });
});

describe('the levels that are chalked', () => {
  it('are hip, crotch, knee and hem; the thigh is read from the piece', () => {
    expect(levelsOf(front).map((l) => l.name)).toEqual(['hip', 'crotch', 'knee', 'hem']);
  });
});
