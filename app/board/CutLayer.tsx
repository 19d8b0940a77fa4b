import { memo, useMemo } from 'react';
import type { Block } from '../../core/draft/index.js';
import { garmentOf } from '../../core/garment/index.js';
import { PANEL_NAMES } from '../../core/method/index.js';
import { cutLine, type Allowances } from '../../core/piece/index.js';
import { pathData } from '../../formats/index.js';
import { pathToBoard, type Arranged } from './arrange.js';

/** The cut lines of both pieces, in board coordinates (mm). */
export const CutLayer = memo(function CutLayer({
  block,
  allowances,
  arranged,
}: {
  block: Block;
  allowances: Allowances;
  arranged: Arranged;
}) {
  const cuts = useMemo(() => {
    const garment = garmentOf(block);
    return new Map(garment.parts.map((part) => [part.id, cutLine(garment, part, allowances)]));
  }, [block, allowances]);
  return PANEL_NAMES.map((name) => (
    <g key={name} className={`piece-${name}`} pointerEvents="none">
      <path className="paper-line cut-line" d={`${pathData(pathToBoard(cuts.get(name) ?? [], arranged[name]))}Z`} />
    </g>
  ));
});
