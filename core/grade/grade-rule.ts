import type { Block } from '../draft/index.js';
import { subtract, type Point } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { placesOf, type PlaceId } from './grade-places.js';

/** Where a place lies in each size, in the order of the sizes; nothing in a size that has no such place. */
export interface GradedPlace {
  readonly id: PlaceId;
  readonly at: readonly (Point | null)[];
}

/**
 * What places of front and back move by from size to size, taken from one block in several sizes. Counted from the crease
 * at the crotch line; mm, y downward.
 */
export interface GradeRule {
  readonly sizes: readonly string[];
  /** Whether the pieces go on below the knee line. */
  readonly kneeOnPiece: boolean;
  readonly places: Readonly<Record<PanelName, readonly GradedPlace[]>>;
}

/** A size of a garment with its block. */
export interface GradedSize {
  readonly name: string;
  readonly block: Block;
}

/** Curves are drawn through places: their bend is told apart by far less than an eye sees. */
const kept = ({ x, y }: Point): Point => ({ x: Number(x.toFixed(5)), y: Number(y.toFixed(5)) });

/** The grade rule that sizes of one block follow; nothing of fewer than two, or where only some of them have a knee. */
export function gradeRuleOf(sizes: readonly GradedSize[]): GradeRule | undefined {
  const [first] = sizes;
  const kneeOnPiece = first?.block.front.kneeOnPiece ?? false;
  if (!first || sizes.length < 2) return undefined;
  if (sizes.some(({ block }) => PANEL_NAMES.some((name) => block[name].kneeOnPiece !== kneeOnPiece))) return undefined;
  const placesIn = (name: PanelName): readonly GradedPlace[] => {
    const all = sizes.map(({ block }) => placesOf(block[name]));
    const ids = [...new Set(all.flatMap((places) => [...places.keys()]))];
    return ids.map((id) => ({
      id,
      at: all.map((places) => {
        const at = places.get(id);
        return at ? kept(at) : null;
      }),
    }));
  };
  return {
    sizes: sizes.map((s) => s.name),
    kneeOnPiece,
    places: { front: placesIn('front'), back: placesIn('back') },
  };
}

/** Where the places of a piece lie in a size of a rule; empty where it has no such size. */
export function placesAt(rule: GradeRule, panel: PanelName, size: string): ReadonlyMap<PlaceId, Point> {
  const i = rule.sizes.indexOf(size);
  return new Map(
    rule.places[panel].flatMap(({ id, at }) => {
      const place = at[i];
      return place ? [[id, place] as const] : [];
    }),
  );
}

/** How far each place of a piece moves from one size of a rule to another; what either of them lacks is left out. */
export function movesBetween(rule: GradeRule, panel: PanelName, from: string, to: string): ReadonlyMap<PlaceId, Point> {
  const [was, is] = [placesAt(rule, panel, from), placesAt(rule, panel, to)];
  return new Map(
    [...was].flatMap(([id, at]) => {
      const moved = is.get(id);
      return moved ? [[id, subtract(moved, at)] as const] : [];
    }),
  );
}
