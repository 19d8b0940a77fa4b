import type { Reader, Said } from '../reader.js';

interface OfFile {
  readonly file: string;
}

interface Damage {
  readonly place: string;
  /** What the reader of the file says of it; nothing where it says nothing. */
  readonly fault: string | undefined;
}

const WORKBOOK_NAME = 'Choose a file that ends in .upstride.json.';
const LESSON_NAME = 'Choose a file that ends in .lesson.json or .result.json.';
const KNOWLEDGE_NAME = 'Choose a file that was saved under Causes.';
const OLDER_COPY = 'Open an older copy of it.';
const OWN_SHEET = 'Open a method sheet that was saved from here.';
const SAVE_LINES = 'Save the outline as SVG or DXF.';
const COPY_PATH = 'Copy the path again.';
const shape = (fault: string | undefined): string => fault ?? 'it has another shape';
const megabytes = (bytes: number): number => bytes / 1024 / 1024;

/** Refusals of workbooks and method sheets, of outlines from a file, and of traces. */
export const FILES_SAID = {
  lessonUnread: (): Said => ['This file is damaged or is not a lesson: it cannot be read.', LESSON_NAME],
  lessonForeign: (): Said => ['This file is neither an Upstride lesson nor what came of one.', LESSON_NAME],
  lessonDamaged: ({ place, fault }: Damage): Said => [
    `This lesson is damaged at “${place}”: ${shape(fault)}.`,
    LESSON_NAME,
  ],
  knowledgeUnread: (): Said => ['This file is damaged: it cannot be read.', KNOWLEDGE_NAME],
  knowledgeForeign: (): Said => ['This file does not hold what is known of toiles.', KNOWLEDGE_NAME],
  knowledgeDamaged: ({ place, fault }: Damage): Said => [
    `What is known of toiles is damaged at “${place}”: ${shape(fault)}.`,
    'Put that right in the file and open it again.',
  ],
  workbookUnread: (): Said => ['This file is damaged or is not a workbook: it cannot be read.', WORKBOOK_NAME],
  workbookForeign: (): Said => ['This file is not an Upstride workbook.', WORKBOOK_NAME],
  workbookNewer: ({ version, reads }: { readonly version: number; readonly reads: number }): Said => [
    `This workbook was written by a newer Upstride (version ${version} of the file; this one reads ${reads}).`,
    'Open it in the newer one.',
  ],
  workbookDamaged: ({ place, fault }: Damage): Said => [
    `This workbook is damaged at “${place}”: ${shape(fault)}.`,
    OLDER_COPY,
  ],
  workbookIdTwice: ({ what }: { readonly what: string }): Said => [
    `This workbook is damaged: two ${what} share one id.`,
    OLDER_COPY,
  ],
  draftOfNobody: ({ draft }: { readonly draft: string }): Said => [
    `This workbook is damaged: the draft “${draft}” belongs to nobody in the file.`,
    OLDER_COPY,
  ],
  draftWithoutSet: ({ draft }: { readonly draft: string }): Said => [
    `This workbook is damaged: the draft “${draft}” has no measurements in the file.`,
    OLDER_COPY,
  ],
  sheetUnread: (): Said => ['This file is not a method sheet: it cannot be read as JSON.', OWN_SHEET],
  sheetForeign: (): Said => ['This file is not a method sheet.', OWN_SHEET],
  sheetDamaged: ({ place, fault }: Damage): Said => [
    `This method sheet is damaged at “${place}”: ${shape(fault)}.`,
    OWN_SHEET,
  ],
  outlineTooLarge: ({ file, bytes, most }: OfFile & { readonly bytes: number; readonly most: number }): Said => [
    `“${file}” is ${(Math.ceil(megabytes(bytes) * 10) / 10).toFixed(1)} MB large; an outline of up to ${megabytes(most)} MB can be read.`,
    'Save the front and the back piece alone, without pictures and text.',
  ],
  outlineBinary: ({ file }: OfFile): Said => [
    `“${file}” is no text: it may be a binary DXF or another kind of drawing.`,
    'Save it as an ASCII DXF or as SVG.',
  ],
  outlineWithoutDrawing: ({ file }: OfFile): Said => [`“${file}” has no SVG drawing in it.`, SAVE_LINES],
  outlineForeign: ({ file }: OfFile): Said => [`“${file}” is neither SVG nor DXF.`, SAVE_LINES],
  outlineWithoutLine: ({ file, leftOut }: OfFile & { readonly leftOut: string }): Said => [
    `There is no line in “${file}” that can be laid under the draft${leftOut === '' ? '' : ` (left out: ${leftOut})`}.`,
    'Save the outline as lines, arcs, splines or paths.',
  ],
  traceTooFew: (): Said => ['The trace has fewer than five points.', 'Take more points along the curve.'],
  traceLength: ({ mm }: { readonly mm: number }, reader: Reader): Said => [
    `The trace is ${reader.length(mm)} long, which no crotch is.`,
    'Check its scale: give the known length again.',
  ],
  traceInseam: (): Said => ['The inseam does not fall within the trace.', 'Mark where the inseam falls.'],
  traceUpward: (): Said => [
    'The trace hangs upward: its middle lies above its ends.',
    'Give the points with down as down.',
  ],
  tracePathFault: ({ fault }: { readonly fault: string }): Said => [
    `The SVG path cannot be read: ${fault}.`,
    COPY_PATH,
  ],
  tracePathWithoutLength: (): Said => ['The SVG path has no length.', COPY_PATH],
  traceWithoutPath: (): Said => ['The SVG file has no path.', 'Save the curve as a path.'],
  traceRow: ({ row, text }: { readonly row: number; readonly text: string }): Said => [
    `Row ${row} of the trace is not two lengths: “${text.slice(0, 60)}”.`,
    'Write one point a row, across and down.',
  ],
  traceTooMany: ({ points, most }: { readonly points: number; readonly most: number }): Said => [
    `The trace has ${points} points.`,
    `Give at most ${most}.`,
  ],
  traceEmpty: (): Said => ['There are no points.', 'Write one point a row, or paste a path.'],
};
