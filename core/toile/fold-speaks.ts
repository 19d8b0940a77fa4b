import { onSeam } from '../alter/index.js';
import type { Block } from '../draft/index.js';
import { quarterTurn, subtract, unit } from '../geometry/index.js';
import type { Pin } from './pinned-fold.js';

/** What takes in less than this says nothing, in mm; nor does less than this share of what the fold takes most. */
const LEAST = 3;
const SHARE = 0.5;

/** A pin of another kind that a fold stands for. */
export type StandsFor = Pick<Pin, 'kind' | 'by' | 'leg'>;

/**
 * What a fold that is pinned from seam to seam stands for, told from where it lies alone: what it takes out of the rise,
 * up and down, is a fold across the seat or the front; out of the back waist a pinch at the centre back; out of the girth
 * at the hip line a pinch at each side, at the thigh line one at the inseam (docs/trade/toile.md). Nothing for a fold that
 * takes none of these by 3 mm and by half of the most that it takes. Amounts in mm, as pins of their kinds have them: of a
 * girth as if both legs were pinned alike; on one leg alone half of it is taken there.
 */
export function standsFor({ by, leg, fold }: Pin, block: Block): readonly StandsFor[] {
  if (!fold) return [];
  const panel = block[fold.panel];
  const [a, b] = [onSeam(panel, fold.from)?.at, onSeam(panel, fold.to)?.at];
  if (!a || !b) return [];
  const square = quarterTurn(unit(subtract(b, a)));
  const ends = [
    { edge: fold.from.edge, by },
    { edge: fold.to.edge, by: fold.byTo },
  ];
  const endOn = (edge: string): number => Math.max(0, ...ends.filter((e) => e.edge === edge).map((e) => e.by));
  const girthAt = (level: number): number => {
    const share = (level - a.y) / (b.y - a.y);
    return share >= 0 && share <= 1 ? Math.abs(square.x) * (by + share * (fold.byTo - by)) : 0;
  };
  const back = fold.panel === 'back';
  const taken = [
    { kind: back ? 'foldedSeat' : 'foldedFront', loses: Math.abs(square.y) * endOn('rise'), times: 1 },
    { kind: 'pinchedCentreBack', loses: back ? Math.abs(square.x) * endOn('waist') : 0, times: 2 },
    { kind: 'pinchedSide', loses: girthAt(panel.levels.hipLevel), times: 1 },
    { kind: 'pinchedInseam', loses: girthAt(panel.levels.thighLevel), times: 1 },
  ];
  const least = Math.max(LEAST, SHARE * Math.max(by, fold.byTo));
  return taken.flatMap(({ kind, loses, times }) => (loses >= least ? [{ kind, by: loses * times, leg }] : []));
}

/** Pins as they speak for causes: each of its own kind; then what the folds stand for, those of one kind on one leg added up. */
export function pinsThatSpeak(pins: readonly Pin[], block: Block): readonly StandsFor[] {
  const folded: StandsFor[] = [];
  for (const one of pins.flatMap((pin) => standsFor(pin, block))) {
    const at = folded.findIndex((f) => f.kind === one.kind && f.leg === one.leg);
    if (at < 0) folded.push(one);
    else folded[at] = { ...one, by: (folded[at]?.by ?? 0) + one.by };
  }
  return [...pins.filter((pin) => !pin.fold), ...folded];
}
