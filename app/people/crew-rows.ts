import { columnOf } from '../../formats/csv/index.js';
import {
  currentSet,
  doubtsOf,
  valuesOf,
  withFigure,
  withSet,
  type MeasurementSet,
  type Person,
} from '../../core/kept/index.js';
import {
  isMeasurementId,
  measurementLabel,
  refuseMeasurement,
  REQUIRED_IDS,
  type Measured,
  type MeasurementId,
} from '../../core/measure/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import { missingFigures } from '../../core/chain/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readLength, readerIn, type Unit } from '../../core/units/index.js';

/** A person in the table of the crew, with their current set: the newest taken from the body, else the newest. */
export interface CrewLine {
  readonly id: string;
  readonly person: Person;
  readonly set: MeasurementSet;
  readonly values: Measured;
  /** Required figures that are neither there nor to be had from others. */
  readonly missing: readonly MeasurementId[];
  readonly doubts: readonly { readonly field: MeasurementId; readonly sentence: string }[];
  /** What is searched: name and note in small letters. */
  readonly words: string;
}

const lines = new WeakMap<Person, CrewLine>();

/** A person as a line of the table; remembered for as long as the person does not change. */
export function crewLine(person: Person): CrewLine {
  let found = lines.get(person);
  if (!found) {
    const set = currentSet(person);
    const values = valuesOf(set);
    found = {
      id: person.id,
      person,
      set,
      values,
      missing: missingFigures({ sheet: DEFAULT_SHEET, measured: values, figure: person.figure, adopted: set.adopted }),
      doubts: doubtsOf(person, set),
      words: `${person.name} ${person.note}`.toLocaleLowerCase(),
    };
    lines.set(person, found);
  }
  return found;
}

/** Which people the table shows. */
export type CrewFilter = 'all' | 'incomplete' | 'doubtful';

/** The lines that go by the search and the filter. */
export function crewShown(all: readonly CrewLine[], search: string, filter: CrewFilter): CrewLine[] {
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return all.filter(
    (line) =>
      words.every((w) => line.words.includes(w)) &&
      (filter === 'all' || (filter === 'incomplete' ? line.missing.length > 0 : line.doubts.length > 0)),
  );
}

/** A column of the table that can be written into. */
export type CrewField = 'name' | 'date' | MeasurementId;

/** A person with a cell written into, or why it was not taken over, in a sentence. */
export type CellWritten =
  { readonly ok: true; readonly person: Person } | { readonly ok: false; readonly sentence: string };

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Writes a cell as a maker types or pastes it; an empty cell takes a figure out. A bad one changes nothing. */
export function writeCell(person: Person, field: CrewField, text: string, unit: Unit, now: Date): CellWritten {
  const typed = text.trim();
  const refuse = (sentence: string): CellWritten => ({ ok: false, sentence: `${person.name}: ${sentence}` });
  if (field === 'name') {
    if (typed === '') return refuse('The name cannot be empty. Write a name or a role.');
    return { ok: true, person: { ...person, name: typed.slice(0, 200) } };
  }
  const set = currentSet(person);
  if (field === 'date') {
    const day = new Date(`${typed}T00:00:00Z`);
    if (!DAY.test(typed) || Number.isNaN(day.getTime()))
      return refuse(`“${typed}” is not a date. Write it as 2026-11-23.`);
    return { ok: true, person: withSet(person, { ...set, date: typed }) };
  }
  if (!isMeasurementId(field)) return refuse(`“${String(field)}” cannot be written into.`);
  if (set.source === 'pair') return refuse('These figures come from a finished pair. Change them at Measure.');
  if (typed === '') return { ok: true, person: withSet(person, withFigure(set, field, undefined, now)) };
  const read = readLength(typed, unit);
  const label = measurementLabel(field);
  if (!read.ok) return refuse(`${label}: ${read.reason}. Write it as 27.3, 10 3/4 or 273mm.`);
  const refusal = refuseMeasurement(field, read.mm);
  if (refusal) return refuse(refusalSentence(refusal, readerIn(unit)));
  return { ok: true, person: withSet(person, withFigure(set, field, read.mm, now)) };
}

/** What a paste did: the people to be kept, how many cells were written, and a sentence for each that was not. */
export interface Pasted {
  readonly people: readonly Person[];
  readonly written: number;
  readonly problems: readonly string[];
}

/**
 * Writes pasted cells into the table from a cell on: across the columns as shown, down the lines as shown. Where the
 * paste begins in the names and runs past the last line, new people are added.
 */
export function pasteCells(
  cells: readonly (readonly string[])[],
  from: { readonly line: number; readonly column: number },
  shown: readonly Person[],
  columns: readonly CrewField[],
  unit: Unit,
  now: Date,
  newPersonNamed: (name: string) => Person,
): Pasted {
  const people: Person[] = [];
  const problems: string[] = [];
  let written = 0;
  cells.forEach((row, down) => {
    let person = shown[from.line + down];
    const first = columns[from.column];
    if (!person) {
      const name = first === 'name' ? (row[0] ?? '').trim() : '';
      if (name === '') {
        if (row.some((cell) => cell.trim() !== ''))
          problems.push(`Pasted row ${down + 1} lies below the last person. Paste from the name column to add people.`);
        return;
      }
      person = newPersonNamed(name);
    }
    row.forEach((cell, across) => {
      const field = columns[from.column + across];
      if (field === undefined || !person) return;
      // A blank in the midst of a paste leaves what is there: it is a cell nobody filled.
      if (cell.trim() === '') return;
      const done = writeCell(person, field, cell, unit, now);
      if (done.ok) {
        if (done.person !== person) written += 1;
        person = done.person;
      } else problems.push(done.sentence);
    });
    if (person !== shown[from.line + down]) people.push(person);
  });
  return { people, written, problems };
}

/** Pasted text as cells: a line a row, a tab between cells, as every spreadsheet copies. */
export const cellsOf = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t').map((cell) => cell.replace(/^"(.*)"$/, '$1').replaceAll('""', '"')));

/** True where every required figure is there or to be had. */
export const isComplete = (line: CrewLine): boolean => line.missing.length === 0;

/** The columns of figures, the four required first. */
export const FIGURE_COLUMNS: readonly MeasurementId[] = [
  ...REQUIRED_IDS,
  'outseam',
  'hipDepth',
  'kneeDepth',
  'thigh',
  'midThigh',
  'knee',
  'calf',
  'ankle',
  'heel',
  'footLength',
  'highHip',
  'frontRise',
  'backRise',
  'crotchLength',
  'backWaistHeight',
  'frontWaistHeight',
  'apexSpan',
  'frontWaist',
  'frontHip',
  'seatHeight',
  'thighTakenAt',
];

/** The columns that can be written into, in the order of the table. */
export const WRITABLE: readonly CrewField[] = ['name', 'date', ...FIGURE_COLUMNS];

/** True where a pasted row names columns and holds no figures: it was copied along with its table. */
export const isHeader = (row: readonly string[] | undefined): boolean =>
  row !== undefined && row.length > 1 && row.every((cell) => cell.trim() === '' || columnOf(cell).meaning !== 'ignore');
