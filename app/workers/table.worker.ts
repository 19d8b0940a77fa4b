import { expose } from 'comlink';
import { enlist, type Enlisted, type Person } from '../../core/kept/index.js';
import type { Unit } from '../../core/units/index.js';
import {
  columnsOf,
  readPeople,
  readTable,
  type Column,
  type ReadPeople,
  type RowProblem,
  type Table,
} from '../../formats/csv/index.js';

let table: Table | undefined;
let damage: readonly RowProblem[] = [];
let read: ReadPeople | undefined;

/** A table as it is shown before anything is taken over. */
export interface TablePreview {
  readonly header: readonly string[];
  readonly first: readonly (readonly string[])[];
  readonly rows: number;
  readonly columns: readonly Column[];
}

/** What a table would bring: how many people and sets, and what could not be read. */
export interface TableFindings {
  readonly people: number;
  readonly sets: number;
  readonly problems: readonly RowProblem[];
  /** How many problems there are in all; `problems` holds the first of them. */
  readonly problemCount: number;
}

const MOST_PROBLEMS = 200;
const FIRST_ROWS = 5;

const reader = {
  /** Reads the text of a file into a table. */
  open(text: string): TablePreview {
    const opened = readTable(text);
    table = opened.table;
    damage = opened.problems;
    return {
      header: table.header,
      first: table.rows.slice(0, FIRST_ROWS).map((r) => r.cells),
      rows: table.rows.length,
      columns: columnsOf(table.header),
    };
  },
  /** Reads people from the table with what each column is said to hold. */
  people(columns: readonly Column[], unit: Unit, onProgress: (share: number) => void): TableFindings {
    if (!table) return { people: 0, sets: 0, problems: [], problemCount: 0 };
    read = readPeople(table, columns, unit, (share) => {
      onProgress(share);
    });
    const problems = [...damage, ...read.problems].sort((a, b) => a.row - b.row);
    return {
      people: read.people.length,
      sets: read.people.reduce((sum, p) => sum + p.sets.length, 0),
      problems: problems.slice(0, MOST_PROBLEMS),
      problemCount: problems.length,
    };
  },
  /** The people of the table among those who are here. */
  enlisted(here: readonly Person[], now: Date): Enlisted {
    return enlist(here, read?.people ?? [], () => crypto.randomUUID(), now);
  },
};

/** What the worker that reads tables does. */
export type TableReader = typeof reader;

expose(reader);
