import { useEffect, useState } from 'react';
import type { FoundLay, LayCloth, LayShape, LeftOver } from '../../core/lay/index.js';
import { startLeftOvers } from '../shared/lay-search.js';

const NONE: readonly LeftOver[] = [];
/** What is left is looked for once a lay has been as it is for so long, in ms. */
const SETTLED_MS = 200;

/** What is left of cloth of a length, in mm, once a lay stays as it is; none while it changes. */
export function useLeftOvers(
  shapes: readonly LayShape[],
  lay: FoundLay | undefined,
  length: number,
  cloth: LayCloth,
): readonly LeftOver[] {
  const [found, setFound] = useState<{ readonly of: FoundLay; readonly left: readonly LeftOver[] }>();
  useEffect(() => {
    if (!lay) return undefined;
    let stop: (() => void) | undefined;
    const timer = window.setTimeout(() => {
      const job = startLeftOvers(shapes, lay.placed, { length, width: cloth.width }, cloth.flaws);
      stop = job.stop;
      job.answer
        .then((left) => {
          setFound({ of: lay, left });
        })
        .catch(() => undefined);
    }, SETTLED_MS);
    return () => {
      window.clearTimeout(timer);
      stop?.();
    };
  }, [shapes, lay, length, cloth]);
  return found && found.of === lay ? found.left : NONE;
}
