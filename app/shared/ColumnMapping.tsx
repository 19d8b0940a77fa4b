import NativeSelect from '@mui/material/NativeSelect';
import { MEASUREMENTS } from '../../core/measure/index.js';
import type { Column, ColumnMeaning } from '../../formats/csv/index.js';
import './column-mapping.css';

/** The words for what a column can hold beside measurements. */
const OTHERS: readonly (readonly [ColumnMeaning, string])[] = [
  ['ignore', 'passed over'],
  ['name', 'Name or size'],
  ['date', 'Date'],
  ['taker', 'Taken by'],
  ['note', 'Note'],
  ['unit', 'Unit'],
  ['figure', 'Figure'],
];

interface ColumnMappingProps {
  readonly header: readonly string[];
  readonly first: readonly (readonly string[])[];
  readonly columns: readonly Column[];
  readonly onChange: (columns: Column[]) => void;
}

/**
 * What each column of a table holds, with its first rows under it: guessed from the header, to be put right by hand.
 */
export function ColumnMapping({ header, first, columns, onChange }: ColumnMappingProps) {
  return (
    <div className="mapping">
      <table className="figures">
        <thead>
          <tr>
            {header.map((words, i) => (
              <th key={i} scope="col">
                {words || `Column ${i + 1}`}
                <NativeSelect
                  inputProps={{ 'aria-label': `What “${words || `column ${i + 1}`}” holds` }}
                  value={columns[i]?.meaning ?? 'ignore'}
                  onChange={(event) => {
                    const meaning = event.target.value as ColumnMeaning;
                    onChange(
                      columns.map((c, k) =>
                        k === i
                          ? { ...c, meaning }
                          : c.meaning === meaning && meaning !== 'ignore'
                            ? { ...c, meaning: 'ignore' }
                            : c,
                      ),
                    );
                  }}
                >
                  {OTHERS.map(([meaning, label]) => (
                    <option key={meaning} value={meaning}>
                      {label}
                    </option>
                  ))}
                  {[...MEASUREMENTS.values()].map(({ id, label }) => (
                    <option key={id} value={id}>
                      {label}
                    </option>
                  ))}
                </NativeSelect>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {first.map((cells, row) => (
            <tr key={row}>
              {header.map((_, i) => (
                <td key={i}>{cells[i] ?? ''}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
