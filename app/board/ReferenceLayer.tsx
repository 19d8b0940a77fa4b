import { memo } from 'react';
import { laidLine, laidOutline, linesBeside, type Reference } from '../../core/reference/index.js';
import { PANEL_NAMES } from '../../core/method/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, type Arranged } from './arrange.js';

/** The outline from outside that lies under the pieces, with what lies in it, in board coordinates (mm). */
export const ReferenceLayer = memo(function ReferenceLayer({
  reference,
  arranged,
}: {
  reference: Reference;
  arranged: Arranged;
}) {
  return (
    <g pointerEvents="none" data-reference={reference.name}>
      {PANEL_NAMES.flatMap((panel) => [
        ...linesBeside(reference, panel).map((index) => (
          <path
            key={`${panel} ${index}`}
            className="paper-line reference-line beside"
            d={pathData(pathToBoard(laidLine(reference, index, panel), arranged[panel]))}
          />
        )),
        ...laidOutline(reference, panel).map(({ index, path }) => (
          <path
            key={`${panel} ${index}`}
            className="paper-line reference-line"
            data-reference-outline={panel}
            d={pathData(pathToBoard(path, arranged[panel]))}
          />
        )),
      ])}
    </g>
  );
});
