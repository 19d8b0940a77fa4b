import { describe, expect, it } from 'vitest';
import { inputFor, plausibleBody, seeded } from '../../bench/random-body.js';
import { readPage } from '../../bench/read-pdf.js';
import { letterFiles } from '../../cli/fonts.js';
import { rollPdf } from '../../formats/pdf.js';
import { toSvg } from '../../formats/index.js';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { edgeLengths, type Block } from '../draft/index.js';
import { pieceSheet } from '../drawing/index.js';
import { distance, endOf, line, pathBox, pathLength, point, startOf, type Path } from '../geometry/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { SHEETS } from '../shipped/index.js';
import { walkSeam } from '../walk/index.js';
import {
  easeAllows,
  edgeOf,
  garmentOf,
  LEG_SEAMS,
  PART_MAKERS,
  partOf,
  partOutline,
  seamDifference,
  seamOf,
  sewnTo,
  stretchPath,
  type PartMaker,
} from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function blockOf(more: Partial<typeof EMPTY_INPUT> = {}): Block {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value.block;
}
const block = blockOf();

describe('the two legs as parts', () => {
  it('are closed outlines of five edges, each beginning where the one before it ends', () => {
    const { parts } = garmentOf(block);
    expect(parts.map((p) => [p.id, p.name, p.edges.map((e) => e.role)])).toEqual([
      ['front', 'Front', ['waist', 'side', 'hem', 'inseam', 'rise']],
      ['back', 'Back', ['waist', 'side', 'hem', 'inseam', 'rise']],
    ]);
    for (const part of parts) {
      for (const [i, { path }] of part.edges.entries()) {
        const next = part.edges[(i + 1) % part.edges.length];
        expect(distance(endOf(path), startOf(next?.path ?? []))).toBeLessThan(1e-6);
      }
      expect(partOutline(part)).toHaveLength(part.edges.reduce((sum, e) => sum + e.path.length, 0));
    }
  });

  it('have the side sewn to the side, the inseam to the inseam, and each rise to its own mirror image', () => {
    const to = (part: string, edge: string): string | undefined => {
      const found = sewnTo(LEG_SEAMS, { part, edge });
      return found && `${found.part} ${found.edge}`;
    };
    expect([to('front', 'side'), to('back', 'side')]).toEqual(['back side', 'front side']);
    expect([to('front', 'inseam'), to('back', 'inseam')]).toEqual(['back inseam', 'front inseam']);
    expect([to('front', 'rise'), to('back', 'rise')]).toEqual(['front rise', 'back rise']);
    expect([to('front', 'waist'), to('back', 'hem')]).toEqual([undefined, undefined]);
  });

  it('are sewn together in every seam but for its ease, to an eighth of an inch, on 200 bodies by ten methods', () => {
    const random = seeded(77);
    for (let i = 0; i < 200; i++) {
      const sheet = SHEETS[i % SHEETS.length];
      if (!sheet) throw new Error('ten methods');
      const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, plausibleBody(random)) });
      if (!outcome.ok) continue;
      const garment = garmentOf(outcome.value.block);
      for (const seam of garment.seams) {
        expect([sheet.id, seam.id, Math.abs(seamDifference(garment, seam)) < 25.4 / 8]).toEqual([
          sheet.id,
          seam.id,
          true,
        ]);
      }
      // The inseam's ease is on the back and above the knee: no more than a maker can stretch on.
      const ease = seamOf(garment, 'inseam').ease;
      if (ease) expect([ease.on, ease.how]).toEqual(['second', 'stretched']);
    }
  });

  it('take the waist for sewing with its darts closed', () => {
    const garment = garmentOf(block);
    const waist = edgeOf(partOf(garment, 'back'), 'waist');
    const mouths = block.back.darts.reduce((sum, d) => sum + d.intake, 0);
    expect(mouths).toBeGreaterThan(10);
    expect(pathLength(waist.sewn ?? [])).toBeCloseTo(edgeLengths(block.back).waist, 9);
    expect(pathLength(waist.sewn ?? [])).toBeLessThan(pathLength(waist.path) - mouths * 0.9);
  });
});

describe('an ease', () => {
  it('lets the stretch that is eased in be longer, and the one that is stretched on shorter', () => {
    const of = (on: 'first' | 'second', how: 'stretched' | 'eased' | 'gathered'): number =>
      easeAllows({ ease: { on, how, mm: 4 } });
    expect([of('first', 'eased'), of('first', 'gathered'), of('first', 'stretched')]).toEqual([4, 4, -4]);
    expect([of('second', 'eased'), of('second', 'stretched')]).toEqual([-4, 4]);
    expect(easeAllows({ ease: undefined })).toBe(0);
  });
});

/** How deep the made-up tab is, in mm. */
const DEEP = 60;

/** A made-up part: a tab on the fold, sewn along the uppermost third of the front's side, its upper end on a notch. */
const sideTab: PartMaker = (of, before) => {
  const side = edgeOf(partOf(before, 'front'), 'side').path;
  const to = { index: of.front.joints.sideHip - 1, t: 1 };
  const long = pathLength(side.slice(0, of.front.joints.sideHip));
  const [a, b, c, d] = [point(0, 0), point(DEEP, 0), point(DEEP, long), point(0, long)];
  return {
    parts: [
      {
        id: 'tab',
        name: 'Side tab',
        leg: 'left',
        edges: [
          { id: 'top', role: 'opening', path: [line(b, a)] },
          { id: 'side', role: 'join', path: [line(a, d)] },
          { id: 'bottom', role: 'opening', path: [line(d, c)] },
          { id: 'middle', role: 'fold', path: [line(c, b)] },
        ],
        marks: [{ kind: 'line', meaning: 'placement', label: 'lap line', path: [line(point(20, 0), point(20, long))] }],
        grain: [point(30, 20), point(30, long - 20)],
        words: [point(5, 30), point(DEEP - 5, 30)],
        cloth: 'interfacing',
        cut: { count: 1, how: 'on the fold' },
        up: 'right',
        onFrame: false,
      },
    ],
    seams: [
      {
        id: 'tabSide',
        label: 'Tab to side',
        first: { part: 'front', edge: 'side', backward: false, from: { index: 0, t: 0 }, to },
        second: { part: 'tab', edge: 'side', backward: false },
        ease: undefined,
        matches: [{ label: 'middle', first: { index: 0, t: 0.5 }, second: { index: 0, t: 0.4 } }],
        cuts: [1, 1],
        start: 'waist',
        end: 'hip',
      },
    ],
  };
};

describe('a new part', () => {
  const garment = garmentOf(block, [...PART_MAKERS, sideTab]);
  const pieces = piecesOf(garment, HOUSE_ALLOWANCES);
  const labels = { title: 'Stage trousers', person: 'Cellist', method: 'Quarter and half', date: '2026-11-23' };
  const sheet = pieceSheet(pieces, labels);

  it('is one maker in the list: it is sewn, cut and notched like the others', () => {
    expect(pieces.map(({ part }) => part.id)).toEqual(['front', 'back', 'tab']);
    expect(seamDifference(garment, seamOf(garment, 'tabSide'))).toBeCloseTo(0, 6);
    expect(sewnTo(garment.seams, { part: 'tab', edge: 'side' })).toEqual({ part: 'front', edge: 'side' });
    const tab = pieces.find(({ part }) => part.id === 'tab');
    const front = pieces.find(({ part }) => part.id === 'front');
    const plain = piecesOf(garmentOf(block), HOUSE_ALLOWANCES).find(({ part }) => part.id === 'front');
    if (!tab || !front || !plain) throw new Error('three parts');
    // Openings and joins take what the waist has, a fold nothing.
    const box = pathBox(tab.cut);
    const long = pathLength(stretchPath(garment, seamOf(garment, 'tabSide').first));
    const { waist } = HOUSE_ALLOWANCES.profile;
    expect([box.minX, box.minY, box.maxX, box.maxY].map((x) => x.toFixed(3))).toEqual(
      [-waist, -waist, DEEP, long + waist].map((x) => x.toFixed(3)),
    );
    expect(tab.notches.map((n) => [n.label, n.count])).toEqual([['middle', 1]]);
    expect(front.notches).toHaveLength(plain.notches.length + 1);
  });

  it('stands beside another small one in a row below the legs', () => {
    const second: PartMaker = (of, before) => {
      const { parts } = sideTab(of, before);
      return { parts: parts.map((part) => ({ ...part, id: 'tab2' })), seams: [] };
    };
    const both = piecesOf(garmentOf(block, [...PART_MAKERS, sideTab, second]), HOUSE_ALLOWANCES);
    const { marks } = pieceSheet(both, labels);
    const [a, b] = ['tab.cut', 'tab2.cut'].flatMap((name) =>
      marks.flatMap((m) => (m.kind === 'line' && m.name === name ? [pathBox(m.path)] : [])),
    );
    expect(a?.minY).toBeCloseTo(b?.minY ?? NaN, 6);
    expect((b?.minX ?? NaN) - (a?.maxX ?? NaN)).toBeGreaterThan(10);
  });

  it('is walked along what it is sewn to, with the difference at its notch', () => {
    const walk = walkSeam(garment, 'tabSide');
    expect(walk.marks.map((m) => m.label)).toEqual(['middle', 'hip']);
    const [middle, end] = walk.marks;
    expect(middle?.second).toBeCloseTo(0.4 * pathLength(walk.second), 6);
    expect((middle?.difference ?? NaN) + (end?.difference ?? NaN)).toBeCloseTo(0, 6);
  });

  it('is drawn below the legs, written to SVG and PDF, and says how it is cut', async () => {
    const svg = toSvg(sheet, 'Stage trousers');
    for (const name of ['tab.cut', 'tab.side', 'tab.middle', 'tab lap line']) expect(svg).toContain(`"${name}"`);
    const page = await readPage(await rollPdf(sheet, { title: 't', lines: [], date: new Date(0) }, letterFiles), 1);
    const boxOfLines = (name: string): ReturnType<typeof pathBox> =>
      pathBox(page.lines.filter((l) => l.name === name).flatMap((l): Path => l.path));
    expect(boxOfLines('tab.cut').minY).toBeGreaterThan(boxOfLines('back.cut').maxY);
    expect(boxOfLines('tab.side').maxY - boxOfLines('tab.side').minY).toBeCloseTo(
      pathLength(walkSeam(garment, 'tabSide').second),
      1,
    );
    expect(page.words.map((w) => w.text)).toContain('Cut 1 of interfacing on the fold, left leg');
    expect(page.words.map((w) => w.text).filter((t) => t === 'Side tab')).toHaveLength(1);
  });
});
