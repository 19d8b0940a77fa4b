import { useMemo } from 'react';
import { clothOf, layersOf } from '../../core/cloth/index.js';
import {
  clothsOf,
  clothWords,
  layCloth,
  layDrawing,
  shapesTogether,
  toBuy,
  unchangedLay,
} from '../../core/lay/index.js';
import type { LayPicture } from '../../core/make/index.js';
import { formatLength } from '../../core/units/index.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { useLaidTogether } from './use-laid-together.js';
import type { SheetSource } from './use-sheets.js';

/** In a small picture words are larger, and the smallest parts have none. */
const WORDS = { most: 60, least: 36 } as const;

/** The lays that are kept with the garment, as pictures; one whose cloth or pieces have changed since is left out. */
export function useLayPictures(source: SheetSource | undefined): readonly LayPicture[] {
  const { cloths, lays } = useWork(({ work }) => work.draft);
  const unit = useUnit();
  const tape = useTape();
  const { garments, nameOf } = useLaidTogether(source);
  return useMemo(() => {
    if (!source) return [];
    return clothsOf(source.pieces).flatMap((kind): LayPicture[] => {
      const kept = lays?.[kind];
      const cloth = clothOf(cloths, kind, unit);
      const shapes = shapesTogether(garments, kind, cloth.nap, cloth.fold);
      const on = layCloth(cloths, kind, unit);
      const placed = unchangedLay(kept, shapes, on);
      if (!kept || !placed) return [];
      const { length } = kept;
      const layers = layersOf(cloth);
      const folded = cloth.fold === 'folded' ? ', folded' : '';
      return [
        {
          cloth: kind,
          drawing: layDrawing(shapes, placed, { length, width: on.width }, nameOf, WORDS),
          words: `${clothWords(toBuy(length * layers, unit), unit)} of cloth ${formatLength(cloth.width, tape)} wide${folded}${layers > 1 ? `, in ${layers} layers` : ''}.`,
        },
      ];
    });
  }, [source, garments, nameOf, cloths, lays, unit, tape]);
}
