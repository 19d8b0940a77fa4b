import Checkbox from '@mui/material/Checkbox';
import type { WrittenBlock, WrittenPage, WrittenRow } from '../../../core/drawing/index.js';
import { withFractions } from '../fractions.js';
import { SketchDrawing } from './SketchDrawing.js';
import { useTicks } from './use-ticks.js';

function Row({ row, done, onTick }: { row: WrittenRow; done: boolean; onTick: (on: boolean) => void }) {
  const words = (
    <span className="written-words">
      {withFractions(row.words)}
      {row.note && <span className="quiet written-note">{withFractions(row.note)}</span>}
    </span>
  );
  return (
    <li data-done={done}>
      {row.mark && <span className="written-mark">{row.mark}</span>}
      {row.box ? (
        <label className="written-box">
          <Checkbox
            size="small"
            checked={done}
            onChange={(_, on) => {
              onTick(on);
            }}
          />
          {words}
        </label>
      ) : (
        words
      )}
    </li>
  );
}

function Block({ block, sheet }: { block: WrittenBlock; sheet: string }) {
  const { done, tick } = useTicks(sheet);
  switch (block.as) {
    case 'heading':
      return <h3>{withFractions(block.words)}</h3>;
    case 'paragraph':
      return <p>{withFractions(block.words)}</p>;
    case 'list':
      return (
        <ul className="written-rows">
          {block.rows.map((row) => (
            <Row
              key={`${row.mark ?? ''}${row.words}`}
              row={row}
              done={done.has(row.words)}
              onTick={(on) => {
                tick([row.words], on);
              }}
            />
          ))}
        </ul>
      );
    case 'table':
      return (
        <table className="figures written-table">
          <thead>
            <tr>
              {block.head.map((words, i) => (
                <th key={i} scope="col">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {block.rows.map((row) => (
              <tr key={row[0]}>
                {row.map((words, i) =>
                  i === 0 ? (
                    <th key={i} scope="row">
                      {words}
                    </th>
                  ) : (
                    <td key={i} data-head={block.head[i]}>
                      {withFractions(words)}
                    </td>
                  ),
                )}
              </tr>
            ))}
          </tbody>
        </table>
      );
    case 'picture':
      return (
        <figure className="written-picture">
          <img
            src={`data:image/jpeg;base64,${block.jpeg}`}
            alt={block.label}
            width={block.width}
            height={block.height}
          />
          <figcaption>{withFractions(block.label)}</figcaption>
        </figure>
      );
    case 'sketch':
      return <SketchDrawing drawing={block.drawing} label={block.label} />;
  }
}

/** A written page on the screen; what has a box can be ticked, and stays ticked. */
export function WrittenSheet({ page, sheet }: { readonly page: WrittenPage; readonly sheet: string }) {
  return (
    <div className="written" data-sheet={sheet}>
      {page.blocks.map((block, i) => (
        <Block key={i} block={block} sheet={sheet} />
      ))}
    </div>
  );
}
