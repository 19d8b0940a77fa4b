import { cutAtLevel, withLeg } from '../leg-ends.js';
import { component, either, eachPanel, refuse } from '../component.js';
import { COMPONENT_LABELS, edgeOf } from '../../garment/index.js';
import { carriers, edgesInstead, withPart } from '../making.js';
import { cubic, endOf, point, reversePath, type Path, type Point } from '../../geometry/index.js';

/** What is turned at a curved hem, in mm. */
const NARROW = 10;

/** A hem through the crease, flat there and at both its ends. */
function curved(side: Point, crease: Point, inseam: Point): Path {
  const flat = (a: Point, b: Point): Path => {
    const third = (b.x - a.x) / 3;
    return [cubic(a, point(a.x + third, a.y), point(b.x - third, b.y), b)];
  };
  return [...flat(side, crease), ...flat(crease, inseam)];
}

/** A hem that is not straight: sides raised, shorter over the instep, longer behind (docs/trade/style.md). */
export const hemCurve = component({
  id: 'hemCurve',
  label: COMPONENT_LABELS.hemCurve,
  group: 'leg',
  about:
    'Sides up, to nothing at the crease, let a flare hang level; shorter over the instep and longer behind clear the shoe.',
  fields: {
    sidesUp: { as: 'length', label: 'Sides up', least: 0, most: 60, start: (c) => either(c, 2, 0.75) },
    frontUp: { as: 'length', label: 'Front up at the crease', least: 0, most: 60, start: () => 0 },
    backDown: { as: 'length', label: 'Back down at the crease', least: 0, most: 60, start: () => 0 },
  },
  makes: [],
  shape(block, { sidesUp, frontUp, backDown }) {
    return eachPanel(block, (panel) => {
      const hem = panel.levels.hemLevel;
      const level = hem - sidesUp;
      if (level < panel.levels.crotchLevel + 40) return refuse('sidesUp', 'cutAboveCrotch', { least: 40 });
      const shorten = (down: Path): Path => (sidesUp === 0 ? down : (cutAtLevel(down, level)?.[0] ?? down));
      const side = shorten(panel.edges.side);
      const inseam = shorten(reversePath(panel.edges.inseam));
      const [a, b] = [endOf(side), endOf(inseam)];
      const middle = point((a.x + b.x) / 2, hem + (panel.name === 'front' ? -frontUp : backDown));
      return withLeg(panel, side, inseam, curved(a, middle, b), hem);
    });
  },
  // A curved hem cannot be folded far: it is turned narrow, or faced.
  make: (making, { sidesUp, frontUp, backDown }) =>
    sidesUp + frontUp + backDown === 0
      ? making
      : (['front', 'back'] as const)
          .flatMap((name) => carriers(making, name))
          .reduce(
            (next, part) => withPart(next, edgesInstead(part, 'hem', [{ ...edgeOf(part, 'hem'), allowance: NARROW }])),
            making,
          ),
  find: (_, { sidesUp, frontUp, backDown }) =>
    sidesUp + frontUp + backDown > 0 ? [{ component: 'hemCurve', code: 'curvedHem', figures: {}, weight: 'told' }] : [],
});
