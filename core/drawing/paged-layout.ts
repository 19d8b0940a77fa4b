/** The part of a page that is kept, in mm: from one join to the next. */
export interface PageStep {
  readonly x: number;
  readonly y: number;
}

/** A box that is to lie on pages, in mm. */
export interface Laying {
  readonly width: number;
  readonly height: number;
}

/** Where a box came to lie, its upper left corner in mm. */
export interface LaidAt {
  readonly x: number;
  readonly y: number;
}

interface Room {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Rounding on a page's edge, in mm. */
const EDGE = 1e-6;

const pagesOf = (size: number, step: number): number => Math.max(1, Math.ceil((size - EDGE) / step));

/** A room with a box in its upper left corner, as what is left beside and below it, the larger piece undivided. */
function leftOf(room: Room, { width, height }: Laying, gap: number): Room[] {
  const beside = { x: room.x + width + gap, width: room.width - width - gap };
  const below = { y: room.y + height + gap, height: room.height - height - gap };
  const wideBelow = room.width * below.height > room.height * beside.width;
  return [
    { ...beside, y: room.y, height: wideBelow ? height : room.height },
    { ...below, x: room.x, width: wideBelow ? room.width : width },
  ].filter((r) => r.width > gap && r.height > gap);
}

/** The room in which a box fits with the least left on its tighter side. */
function bestRoom(rooms: readonly Room[], { width, height }: Laying): number {
  let [found, least] = [-1, Infinity];
  for (const [i, room] of rooms.entries()) {
    const spare = Math.min(room.width - width, room.height - height);
    if (room.width >= width && room.height >= height && spare < least) [found, least] = [i, spare];
  }
  return found;
}

/**
 * Boxes laid on a grid of pages so that few pages are needed: each larger than a page begins at a join and takes whole
 * pages, what is left on them takes the smaller ones, largest first (guillotine packing, best short side fit: Jylänki
 * 2010). `close`: tall ones stand as near to one another as they can, wherever the joins fall. In the order of the
 * boxes; mm.
 */
export function layOnPages(boxes: readonly Laying[], step: PageStep, gap: number, close = false): LaidAt[] {
  const at: (LaidAt | undefined)[] = boxes.map(() => undefined);
  const rooms: Room[] = [];
  let width = 0;
  let height = 0;
  const large = boxes.map((box, i) => ({ box, i })).filter(({ box }) => box.width > step.x || box.height > step.y);
  const small = boxes
    .map((box, i) => ({ box, i }))
    .filter(({ box }) => box.width <= step.x && box.height <= step.y)
    .sort((a, b) => b.box.width * b.box.height - a.box.width * a.box.height);
  const open = (box: Laying): Room => {
    // Tall ones stand beside one another, the others in rows below.
    const beside = box.height > 2 * step.y;
    const exact = close && beside;
    const room = {
      width: exact ? box.width + gap : pagesOf(box.width, step.x) * step.x,
      height: pagesOf(box.height, step.y) * step.y,
    };
    const placed = beside ? { x: width, y: 0, ...room } : { x: 0, y: height, ...room };
    width = Math.max(width, placed.x + room.width);
    height = Math.max(height, placed.y + room.height);
    return placed;
  };
  const lay = (i: number, box: Laying, room: Room): void => {
    at[i] = { x: room.x, y: room.y };
    rooms.push(...leftOf(room, box, gap));
  };
  const tall = [...large].sort((a, b) => b.box.height - a.box.height);
  for (const { box, i } of tall) {
    const found = bestRoom(rooms, box);
    const [room] = found < 0 ? [open(box)] : rooms.splice(found, 1);
    if (room) lay(i, box, room);
  }
  for (const { box, i } of small) {
    const found = bestRoom(rooms, box);
    const [room] = found < 0 ? [open(box)] : rooms.splice(found, 1);
    if (room) lay(i, box, room);
  }
  return at.map((p) => p ?? { x: 0, y: 0 });
}
