import { houseCloth } from '../../core/cloth/index.js';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { describe, expect, it } from 'vitest';
import { computeDraft } from '../../core/chain/index.js';
import { inputOf, type Work } from '../../core/kept/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import { sheetById } from '../../core/shipped/index.js';
import { TAPES } from '../../core/units/index.js';
import { DRAW_ALL } from '../../core/drawing/index.js';
import { printDrawing, printHead } from './print.js';

const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'rigger-work');
const person = DEMO_WORKBOOK.people.find((p) => p.id === 'stage-rigger');
if (!draft || !person) throw new Error('The demo has no rigger');
const work: Work = { draft, person };
const outcome = computeDraft(inputOf(work, sheetById(work.draft.method) ?? DEFAULT_SHEET));
if (!outcome.ok) throw new Error('must draft');

const names = (choice: typeof DRAW_ALL, widest?: number): string[] =>
  printDrawing(outcome.value, work, draft.allowances, choice, widest).marks.flatMap((m) =>
    m.kind === 'line' ? [m.name] : [m.text],
  );

describe('what is printed', () => {
  it('says whose piece it is, by which method, and how many to cut', () => {
    const all = names(DRAW_ALL);
    for (const words of [
      'Front',
      'Back',
      'Work trousers',
      'Stage rigger, measured 2026-02-11',
      'Close',
      'Cut 2, mirrored',
    ]) {
      expect(all).toContain(words);
    }
    expect(all.filter((n) => n === 'notch hip')).toHaveLength(3);
    expect(all.filter((n) => n === 'grain line').length).toBeGreaterThan(1);
  });

  it('draws net, cut or both, and the frame where it is wanted', () => {
    const net = names({ stitching: true, cut: false, construction: false });
    expect(net).toContain('front.rise');
    expect(net).not.toContain('front.cut');
    const cut = names({ stitching: false, cut: true, construction: false });
    expect(cut).toContain('back.cut');
    expect(cut.some((n) => n.includes('.rise') || n.includes('hip line'))).toBe(false);
    expect(names(DRAW_ALL)).toContain('back knee line');
  });

  it('carries the test squares itself only where it is one sheet', () => {
    expect(names(DRAW_ALL)).not.toContain('test square 100 mm');
    expect(names(DRAW_ALL, 914)).toContain('test square 100 mm');
  });

  it('heads the overview with the four measurements in the maker’s unit', () => {
    const head = printHead(outcome.value, work, TAPES.sixteenth);
    expect(head.title).toBe('Work trousers');
    expect(head.lines.join(' ')).toContain('waist 33 in, hip 40 1/2 in, crotch depth 10 1/4 in, inseam 31 in');
  });
});

describe('pieces for a cloth that shrinks', () => {
  const shrinking: Work = {
    person,
    draft: {
      ...draft,
      cloths: { shell: { ...houseCloth('shell', 'cm'), flaws: [], shrinkLength: 0.04, shrinkWidth: 0.02 } },
    },
  };

  it('are printed larger, and say so on the piece and on the overview', () => {
    const plain = printDrawing(outcome.value, work, draft.allowances, DRAW_ALL, undefined);
    const grown = printDrawing(outcome.value, shrinking, draft.allowances, DRAW_ALL, undefined);
    const words = grown.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
    expect(words).toContain('Close; grown for shrinkage of 4 % × 2 %');
    expect(grown.height).toBeGreaterThan(plain.height * 1.03);
    expect(grown.width).toBeGreaterThan(plain.width);
    expect(printHead(outcome.value, shrinking, TAPES.cm).lines[1]).toContain('grown for shrinkage of 4 % × 2 %');
  });

  it('say nothing of it where the cloth does not', () => {
    const words = names(DRAW_ALL).join(' ');
    expect(words).not.toContain('shrinkage');
  });
});
