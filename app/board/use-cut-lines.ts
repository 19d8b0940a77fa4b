import { useMemo } from 'react';
import type { Block } from '../../core/draft/index.js';
import { garmentOf } from '../../core/garment/index.js';
import type { Path } from '../../core/geometry/index.js';
import { cutLine, type Allowances } from '../../core/piece/index.js';

/** The cut line of each part of a block, by the part's name; none where they are not shown. */
export function useCutLines(
  block: Block | undefined,
  allowances: Allowances,
  shown: boolean,
): ReadonlyMap<string, Path> {
  return useMemo(() => {
    if (!block || !shown) return new Map();
    const garment = garmentOf(block);
    return new Map(garment.parts.map((part) => [part.id, cutLine(garment, part, allowances)]));
  }, [block, allowances, shown]);
}
