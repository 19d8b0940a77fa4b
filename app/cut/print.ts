import { proxy } from 'comlink';
import type { Draft } from '../../core/chain/index.js';
import { REQUIRED_IDS, measurementLabel } from '../../core/measure/index.js';
import { pieceSheet, type Drawing, type SheetChoice } from '../../core/drawing/index.js';
import { garmentOfBoth } from '../../core/garment/index.js';
import { grownGarment, piecesOf, type Allowances } from '../../core/piece/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import { dayOf, setOf, type Work } from '../../core/kept/index.js';
import type { Paper } from '../../formats/index.js';
import type { PdfHead } from '../../formats/pdf.js';
import { runJob, type Job } from '../shared/job.js';
import type { Printer } from '../workers/print.worker.js';

const percent = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** What the label says where the pieces were grown for a cloth that shrinks. */
const grownWords = ({ shrinkLength, shrinkWidth }: Work['draft']['fit']): string =>
  shrinkLength === 0 && shrinkWidth === 0
    ? ''
    : `; grown for shrinkage of ${percent(shrinkLength)} × ${percent(shrinkWidth)}`;

/** The drawing that is printed: both pieces with their labels; the test squares go on it only where it is one sheet. */
export function printDrawing(
  draft: Draft,
  work: Work,
  allowances: Allowances,
  choice: SheetChoice,
  widest: number | undefined,
): Drawing {
  const labels = {
    title: work.draft.name,
    person: `${work.person.name}, measured ${setOf(work).date}`,
    method: draft.worked.sheet.name + grownWords(work.draft.fit),
    date: dayOf(work.draft.changed),
  };
  const { shrinkLength: length, shrinkWidth: width } = work.draft.fit;
  const garment = grownGarment(garmentOfBoth(draft), { length, width });
  return pieceSheet(piecesOf(garment, allowances), labels, choice, widest, widest !== undefined);
}

/** What stands at the head of the overview page. */
export function printHead(draft: Draft, work: Work, tape: Tape): PdfHead {
  const { body, sheet } = draft.worked;
  const four = REQUIRED_IDS.map(
    (id) => `${measurementLabel(id).toLowerCase()} ${formatLength(body.get(id)?.mm ?? NaN, tape)}`,
  );
  return {
    title: work.draft.name,
    lines: [
      `${work.person.name}, measured ${setOf(work).date}`,
      `${sheet.name}${grownWords(work.draft.fit)}: ${four.join(', ')}`,
    ],
    date: new Date(work.draft.changed),
  };
}

/** Has a PDF made in a worker, so that the room stays at hand meanwhile. */
export const startPrint = (
  drawing: Drawing,
  head: PdfHead,
  paper: Paper | undefined,
  onPage: (done: number, all: number) => void,
): Job<Uint8Array> =>
  runJob<Printer, Uint8Array>(
    () => new Worker(new URL('../workers/print.worker.ts', import.meta.url), { type: 'module' }),
    'The print could not be made',
    (printer) => printer.pdf(drawing, head, paper, proxy(onPage)),
  );
