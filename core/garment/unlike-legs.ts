import { LEGS, outlineOf, type Leg, type Legs } from '../draft/index.js';
import { distance, pointAtPlace, type Path, type Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { LEG_SEAMS } from './leg-seams.js';
import { legs as legParts } from './legs.js';
import { partOf, seamOf, type Garment, type Seam, type Stretch } from './seam.js';
import { edgeOf, type Part } from './part.js';

/** Outlines nearer to one another than this, in mm, are one. */
const ALIKE = 0.001;

const samePath = (a: Path, b: Path): boolean =>
  a.length === b.length &&
  a.every((c, i) => {
    const d = b[i];
    return d && (['p0', 'p1', 'p2', 'p3'] as const).every((p) => distance(c[p], d[p]) < ALIKE);
  });

const isAlike = ({ left, right }: Legs, name: PanelName): boolean =>
  left[name] === right[name] || samePath(outlineOf(left[name]), outlineOf(right[name]));

/** Notches nearer to one another than this, in mm, are one. */
const SAME_NOTCH = 0.5;

/** True where the side of a panel is notched alike on both legs, though what it is sewn to may differ. */
function sameNotches(of: Readonly<Record<Leg, Garment>>, name: PanelName): boolean {
  const at = (leg: Leg): Point[] =>
    LEG_SEAMS.flatMap(({ id }) => {
      const { first, second, matches } = seamOf(of[leg], id);
      const on = first.part === name ? ('first' as const) : ('second' as const);
      const { edge, part } = { first, second }[on];
      return part === name ? matches.map((m) => pointAtPlace(edgeOf(partOf(of[leg], name), edge).path, m[on])) : [];
    });
  const right = at('right');
  return at('left').every((p, i) => distance(p, right[i] ?? p) < SAME_NOTCH);
}

/**
 * The leg for which a panel is drawn with the right side of the cloth up: seen from before, the wearer's right side is
 * on the left, where a panel has its side seam; seen from behind it is the left one.
 */
const DRAWN_UP: Readonly<Record<PanelName, Leg>> = { front: 'right', back: 'left' };

const LEG_NAMES: Readonly<Record<Leg, string>> = { left: 'Left', right: 'Right' };

const single = (part: Part, name: PanelName, leg: Leg): Part => ({
  ...part,
  id: `${name}.${leg}`,
  name: `${LEG_NAMES[leg]} ${part.name.toLowerCase()}`,
  like: name,
  leg,
  cut: { count: 1, how: 'alike' },
  up: DRAWN_UP[name] === leg ? 'right' : 'wrong',
});

/**
 * The legs of a garment that are not alike (docs/trade/pieces.md): a panel that is the same on both stays a mirrored
 * pair, one that is not becomes two single pieces, left and right. Side and inseam are sewn on either leg; a rise whose
 * two halves differ is sewn from the left leg to the right.
 */
export function unlikeLegs(legs: Legs): Garment {
  const of = { left: legParts(legs.left), right: legParts(legs.right) };
  const alike: Readonly<Record<PanelName, boolean>> = {
    front: isAlike(legs, 'front') && sameNotches(of, 'front'),
    back: isAlike(legs, 'back') && sameNotches(of, 'back'),
  };
  const named = (part: PanelName, leg: Leg): string => (alike[part] ? part : `${part}.${leg}`);
  const parts = (['front', 'back'] as const).flatMap((name): Part[] =>
    alike[name] ? [partOf(of.left, name)] : LEGS.map((leg) => single(partOf(of[leg], name), name, leg)),
  );
  const seams = LEG_SEAMS.flatMap(({ id, first, second: sewnTo }): Seam[] => {
    const on = (s: Stretch, part: PanelName, leg: Leg): Stretch => ({ ...s, part: named(part, leg) });
    if (first.part !== sewnTo.part) {
      return LEGS.map((leg) => {
        const seam = seamOf(of[leg], id);
        const label = `${seam.label}, ${leg} leg`;
        const stretches = { first: on(seam.first, first.part, leg), second: on(seam.second, sewnTo.part, leg) };
        return { ...seam, ...stretches, id: `${id}.${leg}`, like: id, label };
      });
    }
    const rise = seamOf(of.left, id);
    if (alike[first.part]) return [rise];
    const second = { ...on(rise.second, first.part, 'right'), mirrored: false };
    return [{ ...rise, first: on(rise.first, first.part, 'left'), second }];
  });
  return { parts, seams };
}
