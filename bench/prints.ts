import { performance } from 'node:perf_hooks';
import { computeDraft, type Draft } from '../core/chain/index.js';
import { CHALK_HOUSE, chalkPages, chalkSheet } from '../core/chalk/index.js';
import { DEMO_WORKBOOK } from '../core/demo/index.js';
import { inputOf } from '../core/kept/index.js';
import { piecesOf, type Piece } from '../core/piece/index.js';
import { sheetById } from '../core/shipped/index.js';
import { draftGarment, NO_STYLE, type Styled } from '../core/style/index.js';
import { letterFiles } from '../cli/fonts.js';
import { PAPERS, pagedDrawing, planTiles } from '../formats/index.js';
import { tiledPdf } from '../formats/pdf.js';
import { sheetsPdf } from '../formats/sheet-pdf.js';

const HEAD = { title: 'Bench', lines: ['Nobody', '2026-11-30'], date: new Date(0) };
/** Written sheets of so many people come to 200 pages, and so many garments at full size. */
const PEOPLE = 67;
const GARMENTS = 7;

interface Made {
  readonly draft: Draft;
  readonly styled: Styled;
  readonly pieces: readonly Piece[];
}

/** The dress trousers of the demo, on a waist so many mm larger. */
function dressTrousers(more: number): Made & { readonly allowances: Parameters<typeof piecesOf>[1] } {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'cellist-dress');
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  const sheet = draft && sheetById(draft.method);
  if (!draft || !person || !sheet) throw new Error('The demo has no dress trousers');
  const input = inputOf({ person, draft }, sheet);
  const waist = (input.measured.waist ?? 0) + more;
  const outcome = computeDraft({ ...input, measured: { ...input.measured, waist } });
  if (!outcome.ok) throw new Error('The dress trousers must draft');
  const styled = draftGarment(outcome.value, draft.style ?? NO_STYLE, 'cm');
  const { allowances } = draft;
  return { draft: outcome.value, styled, allowances, pieces: piecesOf(styled.garment, allowances) };
}

/** Prints as they leave the program: a garment, 200 pages at full size, 200 written pages. */
export async function reportPrints(report: (name: string, times: number[], limit: number) => void): Promise<void> {
  const paper = PAPERS[0];
  if (!paper) throw new Error('No paper');
  const timed = async (times: number, run: () => Promise<unknown>): Promise<number[]> => {
    const took: number[] = [];
    for (let i = 0; i < times; i++) {
      const start = performance.now();
      await run();
      took.push(performance.now() - start);
    }
    return took;
  };
  const labels = { title: 'Bench', person: 'Nobody', method: 'Close', date: '2026-11-30' };
  const garments = Array.from({ length: GARMENTS }, (_, i) => dressTrousers(i));
  const full = async (pieces: readonly Piece[]): Promise<unknown> =>
    tiledPdf(pagedDrawing(pieces, labels, paper).drawing, HEAD, paper, letterFiles);
  const one = garments[0]?.pieces ?? [];
  const many = garments.flatMap((g) => g.pieces);
  const pages = planTiles(pagedDrawing(many, labels, paper).drawing, paper).tiles.length + 1;
  report(`PDF of a garment of ${one.length} parts, laid on its pages`, await timed(6, () => full(one)), 1000);
  report(`PDF of ${pages} pages at full size, laid on them`, await timed(3, () => full(many)), 3000);
  const written = Array.from({ length: PEOPLE }, (_, i) => {
    const { draft, styled, pieces, allowances } = dressTrousers(i);
    return chalkPages(chalkSheet({ draft, styled, pieces, allowances, unit: 'cm' }, CHALK_HOUSE));
  });
  const sheets = await timed(3, () => sheetsPdf(written, HEAD, paper, letterFiles));
  report(`PDF of the chalk sheets of ${PEOPLE} people`, sheets, 3000);
}
