import { describe, expect, it } from 'vitest';
import { readPage } from '../../bench/read-pdf.js';
import { letterFiles } from '../../cli/fonts.js';
import { rollPdf } from '../../formats/pdf.js';
import type { Alteration, AlterationWork } from '../alter/index.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { edgeLengths } from '../draft/index.js';
import { pieceSheet, type Drawing } from '../drawing/index.js';
import { pathBox, pathLength, type Path } from '../geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf, widthsAlong, type GivenAllowance } from '../piece/index.js';
import { garmentOf, garmentOfBoth, partOf, seamDifference, seamOf, stretchPath } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const scooped: AlterationWork = { kind: 'scoop', panel: 'back', at: 0.4, by: 6, keepLength: false };
const shorter: AlterationWork = { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 60 }, by: -12 };

function draft(...list: readonly Omit<Alteration, 'id' | 'on' | 'note'>[]): Draft {
  const alterations = list.map((a, i) => ({ ...a, id: `a${i}`, on: true, note: '' }));
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, alterations });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const onLeft = draft({ work: scooped, leg: 'left' });
const labels = { title: '', person: '', method: '', date: '' };
const sheet = (d: Draft): Drawing => pieceSheet(piecesOf(garmentOfBoth(d), HOUSE_ALLOWANCES), labels);

/** The middle of a line of a drawing across, in mm. */
function middle({ marks }: Drawing, name: string): number {
  const found = marks.find((m) => m.kind === 'line' && m.name === name);
  if (found?.kind !== 'line') throw new Error(`There is no ${name}`);
  const { minX, maxX } = pathBox(found.path);
  return (minX + maxX) / 2;
}

describe('legs that differ', () => {
  it('are cut as single pieces where they differ, and as a pair where they do not', () => {
    expect(garmentOfBoth(onLeft).parts.map((p) => [p.id, p.name, p.leg, p.cut])).toEqual([
      ['front', 'Front', 'both', { count: 2, how: 'mirrored' }],
      ['back.left', 'Left back', 'left', { count: 1, how: 'alike' }],
      ['back.right', 'Right back', 'right', { count: 1, how: 'alike' }],
    ]);
    expect(garmentOfBoth(draft({ work: scooped })).parts.map((p) => p.id)).toEqual(['front', 'back']);
    expect(garmentOfBoth(draft({ work: shorter, leg: 'right' })).parts.map((p) => p.id)).toEqual([
      'front.left',
      'front.right',
      'back.left',
      'back.right',
    ]);
    // Alike again where the other leg has the same: the list, not its names, makes the piece.
    const same = draft({ work: scooped, leg: 'left' }, { work: scooped, leg: 'right' });
    expect(garmentOfBoth(same).parts.map((p) => p.id)).toEqual(['front', 'back']);
  });

  it('are each sewn at side and inseam, and their unlike rises to one another', () => {
    const garment = garmentOfBoth(onLeft);
    expect(garment.seams.map((s) => [s.id, s.first.part, s.second.part, s.second.mirrored ?? false])).toEqual([
      ['side.left', 'front', 'back.left', false],
      ['side.right', 'front', 'back.right', false],
      ['inseam.left', 'front', 'back.left', false],
      ['inseam.right', 'front', 'back.right', false],
      ['frontRise', 'front', 'front', true],
      ['backRise', 'back.left', 'back.right', false],
    ]);
    const plain = edgeLengths(draft().block.back).rise;
    const rise = seamOf(garment, 'backRise');
    expect(pathLength(stretchPath(garment, rise.second))).toBeCloseTo(plain, 6);
    expect(seamDifference(garment, rise)).toBeCloseTo(edgeLengths(onLeft.block.back).rise - plain, 6);
    expect(seamOf(garment, 'side.left').label).toBe('Side, left leg');
  });

  it('lie on the print with the right side up: the side of a left back on the left, of a right back on the right', () => {
    const back = sheet(onLeft);
    expect(middle(back, 'back.left.side')).toBeLessThan(middle(back, 'back.left.rise'));
    expect(middle(back, 'back.right.side')).toBeGreaterThan(middle(back, 'back.right.rise'));
    const front = sheet(draft({ work: shorter, leg: 'right' }));
    expect(middle(front, 'front.left.side')).toBeGreaterThan(middle(front, 'front.left.rise'));
    expect(middle(front, 'front.right.side')).toBeLessThan(middle(front, 'front.right.rise'));
    const words = front.marks.flatMap((m) => (m.kind === 'text' && m.text.startsWith('Cut') ? [m.text] : []));
    expect(words).toEqual(['Cut 1, left leg', 'Cut 1, right leg', 'Cut 1, left leg', 'Cut 1, right leg']);
  });

  it('are found so in the PDF by a package that did not write it: lines as long as drawn, names within their pieces', async () => {
    const pdf = await rollPdf(sheet(onLeft), { title: 't', lines: [], date: new Date(0) }, letterFiles);
    const { lines, words } = await readPage(pdf, 1);
    const line = (name: string): Path => lines.filter((l) => l.name === name).flatMap((l): Path => l.path);
    const across = (name: string): number => {
      const { minX, maxX } = pathBox(line(name));
      return (minX + maxX) / 2;
    };
    expect(across('back.left.side')).toBeLessThan(across('back.left.rise'));
    expect(across('back.right.side')).toBeGreaterThan(across('back.right.rise'));
    for (const [leg, block] of [
      ['left', onLeft.block],
      ['right', draft().block],
    ] as const) {
      expect(pathLength(line(`back.${leg}.rise`))).toBeCloseTo(edgeLengths(block.back).rise, 1);
      const { minX, maxX } = pathBox(line(`back.${leg}.cut`));
      const named = words.find((w) => w.text === `${leg === 'left' ? 'Left' : 'Right'} back`);
      expect(named && named.at.x > minX && named.at.x < maxX).toBe(true);
      const told = words.find((w) => w.text === `Cut 1, ${leg} leg`);
      expect(told && told.at.x > minX && told.at.x < maxX).toBe(true);
    }
  });

  it('have the allowances that are given for the pair, unless one leg’s piece has its own', () => {
    const garment = garmentOfBoth(onLeft);
    const at = (part: string, edge: string, ...given: GivenAllowance[]): number | undefined =>
      widthsAlong(garment, partOf(garment, part), edge, { ...HOUSE_ALLOWANCES, given })[0]?.mm;
    const pair: GivenAllowance = { on: 'part', part: 'back', mm: 25 };
    expect([at('back.left', 'rise', pair), at('back.right', 'rise', pair), at('front', 'rise', pair)]).toEqual([
      25, 25, 10,
    ]);
    const own: GivenAllowance = { on: 'edge', part: 'back.left', edge: 'rise', mm: 18 };
    expect([at('back.left', 'rise', own, pair), at('back.right', 'rise', own, pair)]).toEqual([18, 25]);
    const seam: GivenAllowance = { on: 'seam', seam: 'side', mm: 21 };
    expect([at('back.right', 'side', seam), at('front', 'side', seam), at('back.left', 'inseam', seam)]).toEqual([
      21, 21, 15,
    ]);
  });

  it('are drawn as their blocks are', () => {
    const garment = garmentOfBoth(onLeft);
    const outline = (id: string): Path => partOf(garment, id).edges.flatMap(({ path }) => path);
    const of = (d: Draft): Path => partOf(garmentOf(d.block), 'back').edges.flatMap(({ path }) => path);
    expect(outline('back.left')).toEqual(of(draft({ work: scooped })));
    expect(outline('back.right')).toEqual(of(draft()));
  });
});
