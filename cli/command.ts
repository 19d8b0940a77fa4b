import { readFile, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { computeDraft } from '../core/chain/index.js';
import { COMMON, settingsOf, type Sheet } from '../core/method/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { CHALK_HOUSE, chalkPages, chalkSheet, chalkTapesFor } from '../core/chalk/index.js';
import { dayOf } from '../core/kept/index.js';
import { PROFILES } from '../core/piece/index.js';
import { COMPONENTS } from '../core/style/index.js';
import { toDxf, toSvg } from '../formats/index.js';
import { sheetsPdf } from '../formats/sheet-pdf.js';
import { rollPdf } from '../formats/pdf.js';
import { trueIt } from '../core/true-it/index.js';
import { chalkAnswer } from './chalk-answer.js';
import { letterFiles } from './fonts.js';
import { layAnswer, layPicture, readLay, searched } from './lay.js';
import { batchRun, BATCH_FORMATS } from './batch.js';
import { readOrder, type Order } from './order.js';
import { Fault, made, paperNamed, rendered, valueOf } from './rendered.js';
import { componentAnswer, profileAnswer } from './style.js';
import { trueAnswer } from './true-answer.js';

const USAGE = `Usage:
  upstride draft ORDER.json [--format json|svg|dxf|pdf|csv] [--paper a4|letter|roll] [--out FILE]
  upstride true ORDER.json [--out FILE]
  upstride chalk ORDER.json [--format json|pdf] [--line cut|net] [--back method|own|front] [--points numbers|letters] [--levels waist|hem] [--tape STEP] [--paper a4|letter] [--out FILE]
  upstride lay LAY.json [--seconds N] [--format json|svg|pdf|dxf] [--out FILE]
  upstride batch ORDER.json PEOPLE.csv --out DIR [--format pdf|dxf|svg|json] [--paper a4|letter|roll] [--unit cm|in]
  upstride methods [--format text|json]
  upstride styles [--format text|json] [--unit cm|in]`;

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
  if (!['json', 'svg', 'dxf', 'pdf', 'csv'].includes(values.format)) {
    throw new Fault(`There is no format “${values.format}”. Choose json, svg, dxf, pdf or csv.`);
  }
  const order = ordered(await readJson(file));
  const draft = valueOf(computeDraft(order.input), order.unit);
  return delivered(await rendered(order, draft, values.format, values.paper), values.out);
}

/** A choice among a few words. */
function oneOf<T extends string>(name: string, value: string, known: readonly T[]): T {
  const found = known.find((k) => k === value);
  if (!found) throw new Fault(`There is no ${name} “${value}”. Choose ${inWords(known)}.`);
  return found;
}

/** Words in a row: `own or front`, `method, own or front`. */
const inWords = (known: readonly string[]): string =>
  [known.slice(0, -1).join(', '), known.at(-1)].filter(Boolean).join(' or ');

async function chalkCommand(args: readonly string[]): Promise<string | Uint8Array> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      format: { type: 'string', default: 'json' },
      line: { type: 'string', default: CHALK_HOUSE.line },
      back: { type: 'string', default: CHALK_HOUSE.back },
      points: { type: 'string', default: CHALK_HOUSE.points },
      levels: { type: 'string', default: CHALK_HOUSE.levels },
      tape: { type: 'string' },
      paper: { type: 'string', default: 'a4' },
      out: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (file === undefined) throw new Fault(`Name the file of an order.\n${USAGE}`);
  const format = oneOf('format', values.format, ['json', 'pdf']);
  const line = oneOf('line', values.line, ['cut', 'net']);
  const back = oneOf('way to chalk the back', values.back, ['method', 'own', 'front']);
  const points = oneOf('way to name points', values.points, ['numbers', 'letters']);
  const levels = oneOf('place to read levels from', values.levels, ['waist', 'hem']);
  const order = ordered(await readJson(file));
  const tapes = chalkTapesFor(order.unit).map((t) => t.id);
  if (values.tape !== undefined) oneOf('tape', values.tape, tapes);
  const draft = valueOf(computeDraft(order.input), order.unit);
  const { styled, pieces } = made(order, draft);
  const source = { draft, styled, pieces, allowances: order.allowances, unit: order.unit };
  const sheet = chalkSheet(source, { line, back, points, levels, tape: values.tape });
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

async function batchCommand(args: readonly string[]): Promise<string> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      format: { type: 'string', default: 'pdf' },
      paper: { type: 'string', default: 'a4' },
      unit: { type: 'string' },
    },
  });
  const [file, people] = positionals;
  if (file === undefined || people === undefined) throw new Fault(`Name an order and a table of people.\n${USAGE}`);
  if (values.out === undefined) throw new Fault('Name the folder for the files with --out.');
  const format = oneOf('format', values.format, BATCH_FORMATS);
  if (values.paper !== 'roll') paperNamed(values.paper);
  const order = ordered(await readJson(file));
  const unit = values.unit === undefined ? order.unit : oneOf('unit', values.unit, ['cm', 'in']);
  const text = await readFile(people, 'utf8').catch(() => {
    throw new Fault(`The table ${people} cannot be read. Give the path of a CSV file.`);
  });
  const { told, failed } = await batchRun(order, text, unit, { folder: values.out, format, paper: values.paper });
  // The others are done: what is wrong is told all the same, and the status says so.
  if (failed) throw new Fault(told);
  return `${told}\n`;
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
  if (command === 'batch') return batchCommand(rest);
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
