import type { GridRowSelectionModel } from '@mui/x-data-grid';
import { Link } from 'react-router';
import { measurementLabel } from '../../core/measure/index.js';
import { formatLength, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import type { RoomId } from '../store/rooms.js';
import { FIGURE_COLUMNS, type CrewLine } from './crew-rows.js';
import { Standing } from './Standing.js';

interface CrewRowsProps {
  readonly rows: readonly CrewLine[];
  readonly unit: Unit;
  readonly room: RoomId;
  readonly selected: GridRowSelectionModel;
  readonly onSelect: (selected: GridRowSelectionModel) => void;
}

/** The crew where there is no room for a table: one person under the other with what was taken; measured at Measure. */
export function CrewRows({ rows, unit, room, selected, onSelect }: CrewRowsProps) {
  const isChosen = (id: string): boolean => selected.ids.has(id) === (selected.type === 'include');
  const choose = (id: string): void => {
    const ids = new Set(selected.ids);
    if (!ids.delete(id)) ids.add(id);
    onSelect({ ...selected, ids });
  };
  return (
    <ul className="crew-rows">
      {rows.map((row) => (
        <li key={row.id} data-id={row.id}>
          <input
            type="checkbox"
            className="plain-checkbox"
            aria-label={`Choose ${row.person.name}`}
            checked={isChosen(row.id)}
            onChange={() => {
              choose(row.id);
            }}
          />
          <Link className="who" to={`/${room}/person/${row.id}`}>
            {row.person.name}
          </Link>
          <Standing line={row} />
          <dl>
            {FIGURE_COLUMNS.flatMap((id) => {
              const mm = row.values[id];
              if (mm === undefined && !row.missing.includes(id)) return [];
              return [
                <div key={id} data-doubted={row.doubts.some((d) => d.field === id)}>
                  <dt>{measurementLabel(id)}</dt>
                  <dd>
                    {mm === undefined ? (
                      <span className="missing-cell">needed</span>
                    ) : (
                      withFractions(formatLength(mm, tapeFor(unit)))
                    )}
                  </dd>
                </div>,
              ];
            })}
          </dl>
        </li>
      ))}
    </ul>
  );
}
