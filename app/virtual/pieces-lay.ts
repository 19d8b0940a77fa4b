import type { HungLeg } from '../../core/sew/index.js';

/** A place of a piece, by the number it has there. */
export interface Place {
  readonly part: string;
  readonly place: number;
}

/** How far each piece is moved, in mm. */
type Moved = readonly (readonly [x: number, y: number])[];

/** Between the pieces and round them, in mm. */
const ROOM = 40;

/** Where the pieces lie beside one another: how far each is moved, and what they take all together, in mm. */
export function layOf({ parts }: Pick<HungLeg, 'parts'>): {
  readonly moved: Moved;
  readonly size: readonly [number, number];
} {
  let [x, high] = [ROOM, 0];
  const moved = parts.map(({ flat }): readonly [number, number] => {
    const xs = flat.filter((_, i) => i % 2 === 0);
    const ys = flat.filter((_, i) => i % 2 === 1);
    const [left, top] = [xs.reduce((a, b) => Math.min(a, b)), ys.reduce((a, b) => Math.min(a, b))];
    const move = [x - left, ROOM - top] as const;
    x += xs.reduce((a, b) => Math.max(a, b)) - left + ROOM;
    high = Math.max(high, ys.reduce((a, b) => Math.max(a, b)) - top + 2 * ROOM);
    return move;
  });
  return { moved, size: [x, high] };
}

/** So near a place of a piece must be pointed at, in mm. */
const NEAR = 25;

/** The place of a piece that is nearest to where one points; nothing away from all of them. */
export function nearest({ parts }: Pick<HungLeg, 'parts'>, moved: Moved, x: number, y: number): Place | undefined {
  let [least, found]: [number, Place | undefined] = [NEAR * NEAR, undefined];
  for (const [m, { part, flat }] of parts.entries()) {
    const [dx, dy] = moved[m] ?? [0, 0];
    for (let i = 0; i < flat.length / 2; i++) {
      const far = ((flat[2 * i] as number) + dx - x) ** 2 + ((flat[2 * i + 1] as number) + dy - y) ** 2;
      if (far < least) [least, found] = [far, { part, place: i }];
    }
  }
  return found;
}

/** A press on an arrow goes so far, in mm, and over a gap between pieces so many times as far at most. */
const PRESS = 20;
const MOST_PRESSES = 12;

/** The place one press on an arrow away from another, on the next piece where this one ends; a first one without. */
export function beside(
  hung: Pick<HungLeg, 'parts'>,
  moved: Moved,
  from: Place | undefined,
  [across, down]: readonly [number, number],
): Place | undefined {
  const m = hung.parts.findIndex((p) => p.part === from?.part);
  const flat = hung.parts[m]?.flat;
  if (!from || !flat) {
    const [first] = hung.parts;
    return first && { part: first.part, place: Math.floor(first.flat.length / 4) };
  }
  const [dx, dy] = moved[m] ?? [0, 0];
  const [x, y] = [(flat[2 * from.place] as number) + dx, (flat[2 * from.place + 1] as number) + dy];
  for (let k = 1; k <= MOST_PRESSES; k++) {
    const found = nearest(hung, moved, x + k * PRESS * across, y + k * PRESS * down);
    if (!found) continue;
    const to = hung.parts.findIndex((p) => p.part === found.part);
    const [fx, fy] = moved[to] ?? [0, 0];
    const there = hung.parts[to]?.flat ?? flat;
    // Only what lies further on that way: at an edge the nearest may be where one is.
    const on =
      ((there[2 * found.place] as number) + fx - x) * across + ((there[2 * found.place + 1] as number) + fy - y) * down;
    if (on > PRESS / 4) return found;
  }
  return from;
}
