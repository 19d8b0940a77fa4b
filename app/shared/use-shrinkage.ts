import { useMemo } from 'react';
import { CLOTHS, shrinkageOf, type Shrinkage } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { useWork } from '../store/work-context.js';
import { useStable } from './use-stable.js';

/** What the cloths of the open garment shrink by; the very same as long as that does not change. */
export function useShrinkage(): (kind: Cloth) => Shrinkage {
  const cloths = useWork(({ work }) => work.draft.cloths);
  const each = useStable(CLOTHS.map((kind) => shrinkageOf(cloths, kind)));
  return useMemo(() => (kind) => each[CLOTHS.indexOf(kind)] ?? { length: 0, width: 0 }, [each]);
}
