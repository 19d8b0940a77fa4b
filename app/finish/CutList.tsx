import Checkbox from '@mui/material/Checkbox';
import { useState } from 'react';
import { CLOTH_LABELS } from '../../core/cloth/index.js';
import { ClothNeeded } from '../shared/ClothNeeded.js';
import { useCutList, type Finished } from './use-garment.js';

const HOW = { mirrored: 'mirrored', alike: '', 'on the fold': 'on the fold' } as const;

/** Square metres of square millimetres, to the hundredth. */
const squareMetres = (mm2: number): string => `${(mm2 / 1e6).toFixed(2)} m²`;

/** What is to be cut, cloth by cloth, ticked off as it is cut. */
export function CutList({ finished }: { finished: Finished }) {
  const list = useCutList(finished);
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
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
                    setDone((was) => new Set(on ? [...was, line.id] : [...was].filter((id) => id !== line.id)));
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
  return (
    <>
      <ClothNeeded pieces={finished.pieces} />
      {tables}
    </>
  );
}
