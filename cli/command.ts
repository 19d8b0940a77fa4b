import { readFile, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { computeDraft, type Draft } from '../core/chain/index.js';
import { COMMON, settingsOf, type Sheet } from '../core/method/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { CHALK_HOUSE, chalkPages, chalkSheet, chalkTapesFor } from '../core/chalk/index.js';
import { pieceSheet } from '../core/drawing/index.js';
import { dayOf } from '../core/kept/index.js';
import type { Garment } from '../core/garment/index.js';
import { piecesOf, PROFILES, type Allowances, type Piece } from '../core/piece/index.js';
import { COMPONENTS, draftGarment, findingWords, type Styled } from '../core/style/index.js';
import { orderRefusalsSentence, type OrderRefusal, type Outcome } from '../core/refusal/index.js';
import { formatFigure, formatLength, readerIn, tapeFor, type Unit } from '../core/units/index.js';
import { pagedDrawing, PAPERS, toDxf, toSvg, type Paper } from '../formats/index.js';
import { sheetsPdf } from '../formats/sheet-pdf.js';
import { rollPdf, tiledPdf } from '../formats/pdf.js';
import { trueIt } from '../core/true-it/index.js';
import { answerTo } from './answer.js';
import { chalkAnswer } from './chalk-answer.js';
import { letterFiles } from './fonts.js';
import { garmentAnswer } from './garment-answer.js';
import { layAnswer, layPicture, readLay, searched } from './lay.js';
import { readOrder, type Order } from './order.js';
import { componentAnswer, profileAnswer } from './style.js';
import { trueAnswer } from './true-answer.js';

const USAGE = `Usage:
  upstride draft ORDER.json [--format json|svg|dxf|pdf] [--paper a4|letter|roll] [--out FILE]
  upstride true ORDER.json [--out FILE]
  upstride chalk ORDER.json [--format json|pdf] [--line cut|net] [--back own|front] [--tape STEP] [--paper a4|letter] [--out FILE]
  upstride lay LAY.json [--seconds N] [--format json|svg|pdf|dxf] [--out FILE]
  upstride methods [--format text|json]
  upstride styles [--format text|json] [--unit cm|in]`;

/** A fault that the user can mend: one sentence on standard error and exit status 1. */
class Fault extends Error {}

function valueOf<T>(outcome: Outcome<T, OrderRefusal>, unit: Unit): T {
  if (outcome.ok) return outcome.value;
  throw new Fault(orderRefusalsSentence(outcome.refusals, readerIn(unit)));
}

async function readJson(file: string): Promise<unknown> {
  const text = await readFile(file, 'utf8').catch(() => {
    throw new Fault(`The file ${file} cannot be read. Give the path of an order.`);
  });
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Fault(`The file ${file} is not valid JSON. Write the order as in the README.`);
  }
}

/** The order in a file; a mistake in it has no length to be said in its unit. */
const ordered = (json: unknown): Order => valueOf(readOrder(json), 'cm');

/** The garment and the pieces of an order; a component or an allowance that cannot be is a fault. */
function made(order: Order, draft: Draft): { styled: Styled; pieces: readonly Piece[] } {
  const styled = draftGarment(draft, order.style, order.unit);
  const left = styled.told.flatMap(({ refusal }) => (refusal ? [refusal] : []));
  if (left.length > 0) throw new Fault(orderRefusalsSentence(left, readerIn(order.unit)));
  faultOfGiven(styled.garment, order.allowances);
  return { styled, pieces: piecesOf(styled.garment, order.allowances) };
}

/** The paper of an office printer by its name. */
function paperNamed(id: string): Paper {
  const paper = PAPERS.find((p) => p.id === id);
  if (!paper) throw new Fault(`There is no paper “${id}”. Choose ${PAPERS.map((p) => p.id).join(', ')} or roll.`);
  return paper;
}

async function rendered(order: Order, draft: Draft, format: string, paperId: string): Promise<string | Uint8Array> {
  const { styled, pieces } = made(order, draft);
  if (format === 'json') {
    const answer = answerTo(draft, order.input.measured, order.unit);
    const told = styled.findings.map((f) => findingWords(f, readerIn(order.unit)));
    const garment = garmentAnswer(styled, pieces, order.allowances);
    return `${JSON.stringify({ ...answer, ...garment, findings: told }, undefined, 2)}\n`;
  }
  const date = new Date();
  const title = 'Upstride draft';
  const labels = {
    title,
    person: 'From an order',
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
    lines: [`${draft.worked.sheet.name}; waist, hip, crotch depth, inseam: ${four}`, labels.date],
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

/** Puts what was asked for into a file where one is named; gives it back to be shown otherwise. */
async function delivered(content: string | Uint8Array, file: string | undefined): Promise<string | Uint8Array> {
  if (file === undefined) return content;
  await writeFile(file, content);
  return '';
}

async function draftCommand(args: readonly string[]): Promise<string | Uint8Array> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      format: { type: 'string', default: 'json' },
      paper: { type: 'string', default: 'a4' },
      out: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (file === undefined) throw new Fault(`Name the file of an order.\n${USAGE}`);
  if (!['json', 'svg', 'dxf', 'pdf'].includes(values.format)) {
    throw new Fault(`There is no format “${values.format}”. Choose json, svg, dxf or pdf.`);
  }
  const order = ordered(await readJson(file));
  const draft = valueOf(computeDraft(order.input), order.unit);
  return delivered(await rendered(order, draft, values.format, values.paper), values.out);
}

/** A choice among a few words. */
function oneOf<T extends string>(name: string, value: string, known: readonly T[]): T {
  const found = known.find((k) => k === value);
  if (!found) throw new Fault(`There is no ${name} “${value}”. Choose ${known.join(' or ')}.`);
  return found;
}

async function chalkCommand(args: readonly string[]): Promise<string | Uint8Array> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      format: { type: 'string', default: 'json' },
      line: { type: 'string', default: CHALK_HOUSE.line },
      back: { type: 'string', default: CHALK_HOUSE.back },
      tape: { type: 'string' },
      paper: { type: 'string', default: 'a4' },
      out: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (file === undefined) throw new Fault(`Name the file of an order.\n${USAGE}`);
  const format = oneOf('format', values.format, ['json', 'pdf']);
  const line = oneOf('line', values.line, ['cut', 'net']);
  const back = oneOf('way to chalk the back', values.back, ['own', 'front']);
  const order = ordered(await readJson(file));
  const tapes = chalkTapesFor(order.unit).map((t) => t.id);
  if (values.tape !== undefined) oneOf('tape', values.tape, tapes);
  const draft = valueOf(computeDraft(order.input), order.unit);
  const { styled, pieces } = made(order, draft);
  const source = { draft, styled, pieces, allowances: order.allowances, unit: order.unit };
  const sheet = chalkSheet(source, { line, back, tape: values.tape });
  if (format === 'json') return delivered(`${JSON.stringify(chalkAnswer(sheet), undefined, 2)}\n`, values.out);
  const date = new Date();
  const head = { title: 'Chalk sheet', lines: [draft.worked.sheet.name, dayOf(date)], date };
  return delivered(await sheetsPdf([chalkPages(sheet)], head, paperNamed(values.paper), letterFiles), values.out);
}

async function trueCommand(args: readonly string[]): Promise<string | Uint8Array> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { out: { type: 'string' } },
  });
  const [file] = positionals;
  if (file === undefined) throw new Fault(`Name the file of an order.\n${USAGE}`);
  const json = await readJson(file);
  const order = ordered(json);
  const found = valueOf(trueIt(order.input, order.unit), order.unit);
  const answer = trueAnswer(json as Record<string, unknown>, found, order);
  const content = `${JSON.stringify(answer, undefined, 2)}\n`;
  return delivered(content, values.out);
}

const MOST_SECONDS = 3600;

async function layCommand(args: readonly string[]): Promise<string | Uint8Array> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      seconds: { type: 'string', default: '20' },
      format: { type: 'string', default: 'json' },
      out: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (file === undefined) throw new Fault(`Name the file of a lay.\n${USAGE}`);
  const format = oneOf('format', values.format, ['json', 'svg', 'pdf', 'dxf']);
  const seconds = Number(values.seconds);
  if (!(seconds >= 0 && seconds <= MOST_SECONDS))
    throw new Fault(`“${values.seconds}” is no number of seconds. Give one from 0 to ${MOST_SECONDS}.`);
  const read = readLay(await readJson(file));
  if (!read.ok) throw new Fault(read.told);
  const found = read.lays.map((asked) => ({ asked, lay: searched(asked, seconds / read.lays.length) }));
  const [first] = found;
  if (!first) throw new Fault('None of the parts is of a cloth that was named. Name one of “cloths”.');
  if (format === 'json') {
    const answers = found.map(({ asked, lay }) => layAnswer(asked, lay));
    const answer = read.several ? { lays: answers, notLaid: read.notLaid } : { ...answers[0], notLaid: read.notLaid };
    return delivered(`${JSON.stringify(answer, undefined, 2)}\n`, values.out);
  }
  if (found.length > 1) throw new Fault('A picture shows one cloth. Name one alone, or ask for JSON.');
  const drawing = layPicture(first.asked, first.lay);
  if (format === 'svg') return delivered(toSvg(drawing, 'Lay'), values.out);
  if (format === 'dxf') return delivered(toDxf(drawing), values.out);
  const date = new Date();
  return delivered(await rollPdf(drawing, { title: 'Lay', lines: [], date }, letterFiles), values.out);
}

/** A method as the command line lists it: its sheet, with every setting and choice that an order may name. */
function methodAnswer(sheet: Sheet): object {
  const settings = settingsOf(sheet).map(({ least, most, kind, ...setting }) => ({
    ...setting,
    kind: kind ?? 'length',
    least,
    most,
    unit: kind === 'share' ? 'share' : 'mm',
  }));
  return { ...sheet, settings, choices: [...sheet.choices, ...COMMON.choices] };
}

function methodsCommand(args: readonly string[]): string {
  const { values } = parseArgs({ args: [...args], options: { format: { type: 'string', default: 'text' } } });
  if (values.format === 'json') return `${JSON.stringify(SHEETS.map(methodAnswer), undefined, 2)}\n`;
  return `${SHEETS.map((s) => `${s.id}  ${s.name}: ${s.suits}`).join('\n')}\n`;
}

function stylesCommand(args: readonly string[]): string {
  const { values } = parseArgs({
    args: [...args],
    options: { format: { type: 'string', default: 'text' }, unit: { type: 'string', default: 'cm' } },
  });
  const unit = values.unit === 'in' ? 'in' : 'cm';
  if (values.format === 'json') {
    const components = COMPONENTS.map((c) => componentAnswer(c, unit));
    return `${JSON.stringify({ components, profiles: PROFILES.map((p) => profileAnswer(p, unit)) }, undefined, 2)}\n`;
  }
  return `${COMPONENTS.map((c) => `${c.id}  ${c.label}: ${c.about}`).join('\n')}\n`;
}

function answered([command, ...rest]: readonly string[]): Promise<string | Uint8Array> | string {
  if (command === 'draft') return draftCommand(rest);
  if (command === 'true') return trueCommand(rest);
  if (command === 'chalk') return chalkCommand(rest);
  if (command === 'lay') return layCommand(rest);
  if (command === 'methods') return methodsCommand(rest);
  if (command === 'styles') return stylesCommand(rest);
  throw new Fault(USAGE);
}

/** What a run of the command gives: what goes to standard output and standard error, and its exit status. */
export interface Ran {
  readonly status: 0 | 1;
  readonly out: string | Uint8Array;
  readonly error: string;
}

/** Runs the `upstride` command. What the user can mend comes back as one sentence and status 1. */
export async function command(args: readonly string[]): Promise<Ran> {
  try {
    return { status: 0, out: await answered(args), error: '' };
  } catch (fault) {
    const plain = fault instanceof Fault || (fault instanceof Error && 'code' in fault);
    const said = fault instanceof Error && plain ? fault.message : String((fault as Error).stack ?? fault);
    return { status: 1, out: '', error: `${said}\n` };
  }
}
