import type { Draft } from '../core/chain/index.js';
import { pieceSheet } from '../core/drawing/index.js';
import { dayOf } from '../core/kept/index.js';
import type { Garment } from '../core/garment/index.js';
import { piecesOf, type Allowances, type Piece } from '../core/piece/index.js';
import { orderRefusalsSentence, type OrderRefusal, type Outcome } from '../core/refusal/index.js';
import { draftGarment, findingWords, type Styled } from '../core/style/index.js';
import { formatFigure, formatLength, readerIn, tapeFor, type Unit } from '../core/units/index.js';
import { figuresCsv, pagedDrawing, PAPERS, toDxf, toSvg, type Paper } from '../formats/index.js';
import { rollPdf, tiledPdf } from '../formats/pdf.js';
import { answerTo } from './answer.js';
import { letterFiles } from './fonts.js';
import { garmentAnswer } from './garment-answer.js';
import type { Order } from './order.js';

/** A fault that the user can mend: one sentence on standard error and exit status 1. */
export class Fault extends Error {}

export function valueOf<T>(outcome: Outcome<T, OrderRefusal>, unit: Unit): T {
  if (outcome.ok) return outcome.value;
  throw new Fault(orderRefusalsSentence(outcome.refusals, readerIn(unit)));
}

/** The garment and the pieces of an order; a component or an allowance that cannot be is a fault. */
export function made(order: Order, draft: Draft): { styled: Styled; pieces: readonly Piece[] } {
  const styled = draftGarment(draft, order.style, order.unit);
  const left = styled.told.flatMap(({ refusal }) => (refusal ? [refusal] : []));
  if (left.length > 0) throw new Fault(orderRefusalsSentence(left, readerIn(order.unit)));
  faultOfGiven(styled.garment, order.allowances);
  return { styled, pieces: piecesOf(styled.garment, order.allowances) };
}

/** The paper of an office printer by its name. */
export function paperNamed(id: string): Paper {
  const paper = PAPERS.find((p) => p.id === id);
  if (!paper) throw new Fault(`There is no paper “${id}”. Choose ${PAPERS.map((p) => p.id).join(', ')} or roll.`);
  return paper;
}

/** What a file of a draft is called on itself: its title, and whose it is. */
export interface Titled {
  readonly title: string;
  readonly person: string;
}

const FROM_ORDER: Titled = { title: 'Upstride draft', person: 'From an order' };

/** A draft in a format, as it is written into a file. */
export async function rendered(
  order: Order,
  draft: Draft,
  format: string,
  paperId: string,
  { title, person }: Titled = FROM_ORDER,
): Promise<string | Uint8Array> {
  const { styled, pieces } = made(order, draft);
  if (format === 'json') {
    const answer = answerTo(draft, order.input.measured, order.unit);
    const told = styled.findings.map((f) => findingWords(f, readerIn(order.unit)));
    const garment = garmentAnswer(styled, pieces, order.allowances);
    return `${JSON.stringify({ ...answer, ...garment, findings: told }, undefined, 2)}\n`;
  }
  if (format === 'csv') return figuresCsv(draft, order.unit);
  const date = new Date();
  const labels = {
    title,
    person,
    method: draft.worked.sheet.name,
    date: dayOf(date),
    allowance: (mm: number) => formatFigure(mm, tapeFor(order.unit)),
  };
  if (format === 'svg') return toSvg(pieceSheet(pieces, labels), title);
  if (format === 'dxf') return toDxf(pieceSheet(pieces, labels));
  const tape = tapeFor(order.unit);
  const { waist, hip, crotchDepth, inseam } = order.input.measured;
  const four = [waist, hip, crotchDepth, inseam].map((mm) => formatLength(mm ?? 0, tape)).join(', ');
  const head = {
    title,
    lines: [
      ...(person === FROM_ORDER.person ? [] : [person]),
      `${draft.worked.sheet.name}; waist, hip, crotch depth, inseam: ${four}`,
      labels.date,
    ],
    date,
  };
  if (paperId === 'roll') return rollPdf(pieceSheet(pieces, labels), head, letterFiles);
  const paper = paperNamed(paperId);
  const { drawing } = pagedDrawing(pieces, labels, paper);
  return tiledPdf(drawing, head, paper, letterFiles);
}

/** An allowance given for what the garment does not have is told, not passed over. */
function faultOfGiven({ parts, seams }: Garment, { given }: Allowances): void {
  const named = (id: string): boolean => parts.some((p) => p.id === id || p.like === id);
  for (const g of given) {
    if (g.on === 'seam') {
      if (seams.some((s) => s.id === g.seam || s.like === g.seam)) continue;
      throw new Fault(`There is no seam “${g.seam}”. Choose one of: ${seams.map((s) => s.id).join(', ')}.`);
    }
    if (!named(g.part))
      throw new Fault(`There is no part “${g.part}”. Choose one of: ${parts.map((p) => p.id).join(', ')}.`);
    if (g.on === 'part') continue;
    const edges = parts.filter((p) => p.id === g.part || p.like === g.part).flatMap((p) => p.edges.map((e) => e.id));
    if (edges.includes(g.edge)) continue;
    throw new Fault(`The part “${g.part}” has no edge “${g.edge}”. Choose one of: ${[...new Set(edges)].join(', ')}.`);
  }
}
