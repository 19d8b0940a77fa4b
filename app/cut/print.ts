import type { Draft } from '../../core/chain/index.js';
import { grownWords, shrinkageOf } from '../../core/cloth/index.js';
import { REQUIRED_IDS, measurementLabel } from '../../core/measure/index.js';
import { pieceSheet, type Drawing, type SheetChoice, type SheetLabels } from '../../core/drawing/index.js';
import { grownGarment, piecesOf, PROFILE_ROLES, type Allowances, type Piece } from '../../core/piece/index.js';
import { EDGE_WORDS } from '../../core/garment/index.js';
import { draftGarment, NO_STYLE } from '../../core/style/index.js';
import { formatFigure, formatLength, tapeFor, type Tape } from '../../core/units/index.js';
import { dayOf, setOf, type Work } from '../../core/kept/index.js';
import { pagedDrawing, type Paper } from '../../formats/index.js';
import type { PdfHead } from '../../formats/pdf.js';

/** The pieces of a draft as they are printed, all or one part of them, with what their labels say. */
function printed(
  draft: Draft,
  work: Work,
  allowances: Allowances,
  part: string | undefined,
): { pieces: readonly Piece[]; labels: SheetLabels } {
  const labels = {
    title: work.draft.name,
    person: `${work.person.name}, measured ${setOf(work).date}`,
    method: draft.worked.sheet.name + grownWords(work.draft.cloths),
    date: dayOf(work.draft.changed),
    allowance: (mm: number) => formatFigure(mm, tapeFor(work.person.unit)),
  };
  const { garment: net } = draftGarment(draft, work.draft.style ?? NO_STYLE, work.person.unit);
  const all = piecesOf(
    grownGarment(net, (cloth) => shrinkageOf(work.draft.cloths, cloth)),
    allowances,
  );
  const wanted = all.filter((piece) => piece.part.id === part);
  return { pieces: wanted.length > 0 ? wanted : all, labels };
}

/**
 * All pieces, or one part, on one sheet with their labels; the test squares go on it where it is `widest` mm wide at most.
 */
export function printDrawing(
  draft: Draft,
  work: Work,
  allowances: Allowances,
  choice: SheetChoice,
  widest: number | undefined,
  part?: string,
): Drawing {
  const { pieces, labels } = printed(draft, work, allowances, part);
  return pieceSheet(pieces, labels, choice, widest, widest !== undefined);
}

/** The pieces for an office paper: as they lie, or each from a page's join on, whichever takes fewer pages. */
export function tiledDrawing(
  draft: Draft,
  work: Work,
  allowances: Allowances,
  choice: SheetChoice,
  paper: Paper,
  part?: string,
): { readonly drawing: Drawing; readonly saved: number } {
  const { pieces, labels } = printed(draft, work, allowances, part);
  return pagedDrawing(pieces, labels, paper, choice);
}

/** What stands at the head of the overview page. */
export function printHead(draft: Draft, work: Work, tape: Tape): PdfHead {
  const { body, sheet } = draft.worked;
  const four = REQUIRED_IDS.map(
    (id) => `${measurementLabel(id).toLowerCase()} ${formatLength(body.get(id)?.mm ?? NaN, tape)}`,
  );
  const { profile } = work.draft.allowances;
  const widths = PROFILE_ROLES.map((role) => `${EDGE_WORDS[role]} ${formatLength(profile[role], tape)}`);
  return {
    title: work.draft.name,
    lines: [
      `${work.person.name}, measured ${setOf(work).date}`,
      `${sheet.name}${grownWords(work.draft.cloths)}: ${four.join(', ')}`,
      `Allowances: ${widths.join(', ')}`,
    ],
    date: new Date(work.draft.changed),
  };
}
