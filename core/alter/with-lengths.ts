import type { Point } from '../geometry/index.js';
import { kindOf, type AlterationWork } from './alteration.js';
import type { AnyKind, Field } from './kind.js';
import type { LevelPlace, SeamPlace } from './place.js';

type Change = (mm: number) => number;

const atLevel = (level: LevelPlace, change: Change): LevelPlace => ({ ...level, by: change(level.by) });

function changed({ as }: Field, value: unknown, change: Change): unknown {
  switch (as) {
    case 'length':
      return change(value as number);
    case 'level':
      return atLevel(value as LevelPlace, change);
    case 'place': {
      const place = value as SeamPlace;
      return 'level' in place ? { ...place, level: atLevel(place.level, change) } : place;
    }
    case 'points':
      return (value as readonly Point[]).map(({ x, y }) => ({ x: change(x), y: change(y) }));
    default:
      return value;
  }
}

/** An alteration with every length in it changed, to write it in another unit; shares, counts and ticks stay. */
export function withLengths<T extends AlterationWork>(work: T, change: Change, kinds?: readonly AnyKind[]): T {
  const { fields } = kindOf(work.kind, kinds);
  return Object.fromEntries(
    Object.entries(work).map(([name, value]) => {
      const field = fields[name];
      return [name, field ? changed(field, value, change) : value];
    }),
  ) as T;
}
