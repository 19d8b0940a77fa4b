export { readTable, writeTable, type RowProblem, type Table, type TableRow } from './table.js';
export { columnOf, columnsOf, type Column, type ColumnMeaning } from './columns.js';
export { readPeople, writePeople, type CrewRow, type ReadPeople, type ReadPerson, type ReadSet } from './people.js';
export { readChart, writeChart } from './chart.js';
