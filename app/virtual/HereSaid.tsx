import type { Leg } from '../../core/draft/index.js';
import { FIT_MAP_LABELS, FIT_MAPS, fitFigureSaid, type FitMapId } from '../../core/sew/index.js';
import { useHanging } from '../worn/hang-store.js';
import type { WornHalf } from '../worn/worn-side.js';

interface HereSaidProps {
  readonly leg: Leg;
  readonly half: WornHalf;
  readonly map: FitMapId;
  readonly show: (mm: number) => string;
}

/** What the map tells of the place that is pointed at, in words. */
export function HereSaid({ leg, half, map, show }: HereSaidProps) {
  const pointed = useHanging((s) => s.pointed);
  const { hung, differences } = half;
  const m = pointed?.leg === leg ? hung.parts.findIndex((p) => p.part === pointed.part) : -1;
  const part = hung.parts[m];
  const by = pointed && part ? (differences?.[m]?.[pointed.place] ?? 0) : undefined;
  const { unit } = FIT_MAPS[map];
  return (
    <output className="quiet" data-here={by === undefined ? '' : by.toFixed(2)}>
      {by === undefined || !part
        ? 'Point at a place of the pieces or of the body.'
        : by === 0
          ? `${part.name}, here: no difference that can be told.`
          : `${part.name}, here: ${FIT_MAP_LABELS[map].toLowerCase()} ${by > 0 ? 'more' : 'less'} by ${fitFigureSaid(Math.abs(by), unit, show)}.`}
    </output>
  );
}
