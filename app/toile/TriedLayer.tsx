import { outlineOf } from '../../core/draft/index.js';
import { PANEL_NAMES } from '../../core/method/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard } from '../board/arrange.js';
import type { Drawn } from '../board/drawn-board.js';
import { PaperMarks } from '../board/PaperMarks.js';
import { useTried } from './tried-store.js';

/** What is looked at before it is taken: how it is done on paper, and the piece as it would be. */
export function TriedLayer({ drawn }: { readonly drawn: Drawn }) {
  const tried = useTried((s) => s.tried);
  if (!tried) return null;
  const { view, arranged } = drawn;
  return PANEL_NAMES.filter((name) => tried.marks[name].length > 0).map((name) => (
    <g key={name} pointerEvents="none" data-tried={name}>
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        <path
          className="paper-line tried-line"
          d={pathData(pathToBoard(outlineOf(tried.draft.block[name]), arranged[name]))}
        />
      </g>
      <PaperMarks panel={name} drawn={drawn} marks={tried.marks[name]} />
    </g>
  ));
}
