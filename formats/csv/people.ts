import type { Figure, Measured, MeasurementId } from '../../core/measure/index.js';
import { fromMm, UNITS, type Unit } from '../../core/units/index.js';
import { MEASUREMENTS } from '../../core/measure/index.js';
import type { Column } from './columns.js';
import { figuresOfRow } from './figures.js';
import { writeTable, type RowProblem, type Table, type TableRow } from './table.js';

/** A set of measurements as a table gives it; figures in mm. */
export interface ReadSet {
  readonly row: number;
  readonly date: string | undefined;
  readonly taker: string;
  readonly note: string;
  readonly unit: Unit;
  readonly values: Measured;
}

/** A person as a table gives them: the name and every set that stands under it. */
export interface ReadPerson {
  readonly name: string;
  readonly figure: Figure | undefined;
  readonly sets: readonly ReadSet[];
}

/** What a table held, and what could not be taken over. */
export interface ReadPeople {
  readonly people: readonly ReadPerson[];
  readonly problems: readonly RowProblem[];
}

const FIGURES: Readonly<Record<string, Figure>> = {
  woman: 'woman',
  women: 'woman',
  f: 'woman',
  w: 'woman',
  man: 'man',
  men: 'man',
  m: 'man',
  child: 'child',
  children: 'child',
  c: 'child',
};

/** A date written as 2026-11-23, 23.11.2026 or 23/11/2026; nothing where it is none. */
function dateIn(cell: string): string | undefined {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(cell);
  const day = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(cell);
  const [y, m, d] = iso ? [iso[1], iso[2], iso[3]] : day ? [day[3], day[2], day[1]] : [];
  if (y === undefined || m === undefined || d === undefined) return undefined;
  const text = `${y}-${m.padStart(2, '0')}-${d.padStart(2, '0')}`;
  const date = new Date(`${text}T00:00:00Z`);
  return Number.isNaN(date.getTime()) || date.toISOString().slice(0, 10) !== text ? undefined : text;
}

const plainName = (name: string): string => name.toLocaleLowerCase();

/** How many rows are read between two tellings of the progress. */
const TOLD_EVERY = 500;

/**
 * Reads people and their sets from a table. A row without a name goes on with the person above it; a name met again is
 * the same person with a further set. Every cell that cannot be taken over gets a sentence, and the rest is read.
 * `unit` is that of figures whose column and row do not say theirs.
 */
export function readPeople(
  table: Table,
  columns: readonly Column[],
  unit: Unit,
  progress?: (share: number) => void,
): ReadPeople {
  const problems: RowProblem[] = [];
  const people = new Map<string, { name: string; figure: Figure | undefined; sets: ReadSet[] }>();
  const at = (meaning: Column['meaning']): number => columns.findIndex((c) => c.meaning === meaning);
  const places = {
    name: at('name'),
    date: at('date'),
    taker: at('taker'),
    note: at('note'),
    unit: at('unit'),
    figure: at('figure'),
  };
  const cell = (row: TableRow, place: number): string => (place === -1 ? '' : (row.cells[place] ?? ''));
  let above: string | undefined;
  table.rows.forEach((row, i) => {
    if (progress && i % TOLD_EVERY === 0) progress(i / table.rows.length);
    const name = cell(row, places.name) || above;
    if (name === undefined) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number} has no name. Put a name or a role in it; it was left out.`,
      });
      return;
    }
    above = name;
    const unitCell = cell(row, places.unit).toLowerCase();
    const ofRow = UNITS.find((u) => u === unitCell) ?? (unitCell.startsWith('in') ? 'in' : undefined);
    if (unitCell !== '' && !ofRow) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}, unit “${unitCell}” is not known. Write cm, in or mm; ${unit} was taken.`,
      });
    }
    const { values, problems: wrong } = figuresOfRow(row, columns, ofRow ?? unit);
    problems.push(...wrong);
    const dateCell = cell(row, places.date);
    const date = dateIn(dateCell);
    if (dateCell !== '' && date === undefined) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}, date “${dateCell.slice(0, 30)}” is not a date. Write it as 2026-11-23; today was taken.`,
      });
    }
    if (Object.keys(values).length === 0) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}, ${name}: no figure could be read. Nothing was taken from it.`,
      });
      return;
    }
    const set: ReadSet = {
      row: row.number,
      date,
      taker: cell(row, places.taker).slice(0, 2000),
      note: cell(row, places.note).slice(0, 2000),
      unit: ofRow ?? unit,
      values,
    };
    const key = plainName(name);
    const known = people.get(key);
    const figure = FIGURES[cell(row, places.figure).toLowerCase()];
    if (!known) {
      people.set(key, { name: name.slice(0, 200), figure, sets: [set] });
      return;
    }
    const same = known.sets.find((s) => s.date === date);
    if (same) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}: ${name} stands in row ${same.row} already${date === undefined ? '' : ` with the date ${date}`}. Both are kept as sets; delete the wrong one.`,
      });
    }
    known.sets.push(set);
    known.figure ??= figure;
  });
  return { people: [...people.values()], problems };
}

/** One row of the crew as it goes out: who, when, and the figures in mm. */
export interface CrewRow {
  readonly name: string;
  readonly figure: Figure;
  readonly date: string;
  readonly taker: string;
  readonly note: string;
  readonly values: Measured;
}

/** A length as a plain number of a unit, to a hundredth of it. */
const plainFigure = (mm: number, unit: Unit): number =>
  Number(fromMm(mm, unit).toFixed(unit === 'mm' ? 1 : unit === 'in' ? 4 : 2));

/** The crew as the text of a CSV file: a row a set, figures as plain numbers in `unit`, which every header names. */
export function writePeople(rows: readonly CrewRow[], ids: readonly MeasurementId[], unit: Unit): string {
  const header = [
    'Name',
    'Figure',
    'Date',
    'Taken by',
    'Note',
    ...ids.map((id) => `${MEASUREMENTS.get(id)?.label ?? id} (${unit})`),
  ];
  return writeTable(
    header,
    rows.map((row) => [
      row.name,
      row.figure,
      row.date,
      row.taker,
      row.note,
      ...ids.map((id) => {
        const mm = row.values[id];
        return mm === undefined ? '' : plainFigure(mm, unit);
      }),
    ]),
  );
}
