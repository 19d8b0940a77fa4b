import polygonClipping from 'polygon-clipping';
import { areaOf, boundsOf, tidied, type Corner, type Polygon } from '../core/lay/polygon.js';
import { placedOutline, type FoundLay, type LayCloth, type LayShape } from '../core/lay/index.js';

type Ring = [number, number][];

/** An outline as the package takes it. */
export const ring = (p: readonly Corner[]): Ring => p.map(([x, y]): [number, number] => [x, y]);

/** The package errs now and then where two outlines touch to the last digit: they are looked at so much aside too, in mm. */
const ASIDE = 1e-6;

/** How deep two outlines lie in one another at most, by a package that took no part in laying them, in mm. */
export function overlapOf(a: readonly Corner[], b: readonly Corner[]): number {
  const deep = overlapAsTold(a, b);
  if (deep < 0.01) return deep;
  const aside = (by: number): number =>
    overlapAsTold(
      a,
      b.map(([x, y]): Corner => [x + by, y + by]),
    );
  return Math.min(deep, aside(ASIDE), aside(-ASIDE));
}

function overlapAsTold(a: readonly Corner[], b: readonly Corner[]): number {
  const [p, q] = [boundsOf(a), boundsOf(b)];
  if (p.right <= q.left || q.right <= p.left || p.high <= q.low || q.high <= p.low) return 0;
  return polygonClipping.intersection([ring(a)], [ring(b)]).reduce((worst, polygon) => {
    const outer = polygon[0] ?? [];
    const round = outer.reduce((sum, [x, y], i) => {
      const [x2, y2] = outer[(i + 1) % outer.length] ?? [x, y];
      return sum + Math.hypot(x2 - x, y2 - y);
    }, 0);
    // A thin sliver is as deep as its area over half its girth.
    return Math.max(worst, round > 0 ? (2 * Math.abs(areaOf(outer))) / round : 0);
  }, 0);
}

/** What is wrong with a lay, by a package that took no part in it, on the original outlines. */
export function layFaults(
  shapes: readonly LayShape[],
  { width, flaws = [] }: LayCloth,
  { placed, length, use }: FoundLay,
): string[] {
  const out: string[] = [];
  const lying = placed.map((p) => {
    const shape = shapes.find((s) => s.id === p.id) as LayShape;
    if (!shape.turns.includes(p.turn)) out.push(`${p.id} turned ${p.turn}`);
    const outline = placedOutline(shape, p);
    const { left, right, low, high } = boundsOf(outline);
    if (left < -0.01 || low < -0.01 || high > width + 0.01 || right > length + 0.01) out.push(`${p.id} off the cloth`);
    return outline;
  });
  for (const [i, { along, across, length: long, width: wide }] of flaws.entries()) {
    const box: Corner[] = [
      [along, across],
      [along + long, across],
      [along + long, across + wide],
      [along, across + wide],
    ];
    lying.forEach((a, k) => {
      const deep = overlapOf(a, box);
      if (deep > 0.01) out.push(`${placed[k]?.id} on flaw ${i} by ${deep.toFixed(3)}`);
    });
  }
  lying.forEach((a, i) => {
    lying.slice(i + 1).forEach((b, k) => {
      const deep = overlapOf(a, b);
      if (deep > 0.01) out.push(`${placed[i]?.id} in ${placed[i + 1 + k]?.id} by ${deep.toFixed(3)}`);
    });
  });
  for (const shape of shapes) {
    const own = placed.filter((p) => p.id === shape.id);
    if (own.length !== shape.count) out.push(`${shape.id} ${own.length} of ${shape.count}`);
    const flipped = own.filter((p) => p.flipped).length;
    if (flipped !== (shape.mirrored ? Math.floor(shape.count / 2) : 0)) out.push(`${shape.id} flipped ${flipped}`);
  }
  const net = shapes.reduce((sum, s) => sum + s.count * Math.abs(areaOf(s.outline)), 0);
  if (Math.abs(use - net / (length * width)) > 1e-9) out.push('use');
  return out;
}

/** A star-shaped polygon with hollows, of so many corners. */
export function blob(random: () => number, corners: number): Polygon {
  return tidied(
    Array.from({ length: corners }, (_, i): Corner => {
      const angle = (2 * Math.PI * i) / corners;
      const far = 40 + 100 * random();
      return [far * Math.cos(angle), far * Math.sin(angle)];
    }),
  );
}
