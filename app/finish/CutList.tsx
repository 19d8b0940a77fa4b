import Checkbox from '@mui/material/Checkbox';
import { useState } from 'react';
import { CLOTH_LABELS } from '../../core/cloth/index.js';
import { ClothNeeded } from '../shared/ClothNeeded.js';
import { trimmingName, type Trimming } from '../../core/style/index.js';
import { readerIn } from '../../core/units/index.js';
import { useUnit } from '../store/work-context.js';
import { useCutList, type Finished } from './use-garment.js';

const HOW = { mirrored: 'mirrored', alike: '', 'on the fold': 'on the fold' } as const;

/** Square metres of square millimetres, to the hundredth. */
const squareMetres = (mm2: number): string => `${(mm2 / 1e6).toFixed(2)} m²`;

/** What is to be cut, cloth by cloth, and what it takes beside cloth, ticked off as it is cut or laid ready. */
export function CutList({ finished }: { finished: Finished }) {
  const list = useCutList(finished);
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const reader = readerIn(useUnit());
  const tick = (id: string, on: boolean): void => {
    setDone((was) => new Set(on ? [...was, id] : [...was].filter((x) => x !== id)));
  };
  const sizeOf = ({ length, width }: Trimming): string =>
    [
      ...(width === undefined ? [] : [`${reader.length(width)} wide`]),
      ...(length === undefined ? [] : [`${reader.length(length)} long`]),
    ].join(', ');
  const tables = list.map(({ cloth, lines, pieces, area }) => (
    <table className="figures cut-list" key={cloth} data-cloth={cloth}>
      <caption>
        {CLOTH_LABELS[cloth]}: {pieces} {pieces === 1 ? 'piece' : 'pieces'}, {squareMetres(area)}
      </caption>
      <tbody>
        {lines.map((line) => (
          <tr key={line.id} data-done={done.has(line.id)}>
            <th scope="row">
              <label>
                <Checkbox
                  size="small"
                  checked={done.has(line.id)}
                  onChange={(_, on) => {
                    tick(line.id, on);
                  }}
                />
                {line.name}
              </label>
            </th>
            <td>{line.count}</td>
            <td>{[HOW[line.how], line.leg === 'both' ? '' : `${line.leg} leg`].filter(Boolean).join(', ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  ));
  const { trimmings } = finished.styled;
  return (
    <>
      <ClothNeeded pieces={finished.pieces} />
      {tables}
      {trimmings.length > 0 && (
        <table className="figures cut-list" data-cloth="trimmings">
          <caption>Trimmings</caption>
          <tbody>
            {trimmings.map((trimming) => {
              const id = `trimming.${trimming.component}.${trimming.kind}`;
              return (
                <tr key={id} data-done={done.has(id)}>
                  <th scope="row">
                    <label>
                      <Checkbox
                        size="small"
                        checked={done.has(id)}
                        onChange={(_, on) => {
                          tick(id, on);
                        }}
                      />
                      {trimmingName(trimming)}
                    </label>
                  </th>
                  <td>{trimming.count}</td>
                  <td>{sizeOf(trimming)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}
