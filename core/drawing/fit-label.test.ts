import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { contains, flatten, line, point, type Path, type Point } from '../geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import { fitLabel, labelOffsets } from './fit-label.js';
import { pieceSheet } from './index.js';

const box = (width: number, height: number): Path => {
  const corners = [point(0, 0), point(0, height), point(width, height), point(width, 0)];
  return corners.map((p, i) => line(p, corners[(i + 1) % 4] ?? p));
};
const words = [
  { text: 'Front waistband', size: 13 },
  { text: 'Cut 2, mirrored', size: 5.5 },
];

describe('a label', () => {
  it('stands where it is wished, where it fits there', () => {
    expect(fitLabel(box(300, 200), words, point(40, 60))).toEqual({ at: point(40, 60), turn: 0, scale: 1 });
  });

  it('goes elsewhere at full size before it is made smaller, and turns on a strip', () => {
    expect(fitLabel(box(300, 200), words, point(280, 60))?.scale).toBe(1);
    expect(fitLabel(box(40, 400), words, point(5, 30))).toMatchObject({ turn: 90, scale: 1 });
    expect(fitLabel(box(60, 60), words, point(5, 30))?.scale).toBeLessThan(0.7);
    expect(fitLabel(box(10, 10), words, point(1, 5))).toBeUndefined();
  });

  it('has its lines one below the other', () => {
    const [first, second] = labelOffsets(words);
    expect([first, second]).toEqual([0, 5.5 * 1.35]);
  });
});

describe('the names of all pieces of a garment', () => {
  it('lie within their pieces', () => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) throw new Error('The middle body must draft');
    const style = ['yoke', 'fly', 'band', 'slantPocket', 'coinPocket', 'loops', 'weltPocket'].map((id) => ({
      id,
      values: {},
    }));
    const { garment } = draftGarment(outcome.value, style, 'cm');
    const { marks } = pieceSheet(piecesOf(garment, HOUSE_ALLOWANCES), {
      title: 'Work',
      person: 'Rigger',
      method: 'm',
      date: 'd',
    });
    const outlines = garment.parts.map((part) => ({
      part,
      ring: flatten(
        part.edges.flatMap(({ id }) =>
          marks.flatMap((m) => (m.kind === 'line' && m.name === `${part.id}.${id}` ? m.path : [])),
        ),
        0.5,
      ),
    }));
    for (const { part, ring } of outlines) {
      const name = marks.find((m) => m.kind === 'text' && m.bold && m.text === part.name);
      if (name?.kind !== 'text') throw new Error(`${part.name} bears no name`);
      // Half an em a letter: the word from its first letter to its last.
      const end: Point =
        name.turn === 0
          ? point(name.at.x + name.text.length * name.size * 0.5, name.at.y)
          : point(name.at.x, name.at.y + name.text.length * name.size * 0.5);
      expect([part.name, contains(ring, name.at), contains(ring, end)]).toEqual([part.name, true, true]);
    }
  });
});
