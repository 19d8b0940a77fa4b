import { point, type Point } from '../geometry/index.js';
import type { ChalkedPart } from './chalked.js';
import { capital, NOTHING, type Saying } from './chalk-move.js';
import type { Station } from './stations.js';
import { chalkFigure } from './tape.js';

/** Below this share of the way from crotch to hem, points are measured from the crease. */
export const fromCrease = ({ laid, crease }: ChalkedPart, y: number): boolean => {
  const crotch = laid.levels.find((l) => l.name === 'crotch');
  return crease !== undefined && crotch !== undefined && y > crotch.y + BELOW_CROTCH;
};

/** Points further than this below the crotch line are measured from the crease, in mm. */
const BELOW_CROTCH = 60;

const upDown = (mm: number, words: (mm: number) => string): string =>
  Math.abs(mm) < NOTHING ? 'level with it' : `${words(Math.abs(mm))} ${mm > 0 ? 'down' : 'up'}`;

/** The line of the hem, where a part's levels are read up from it. */
const hemUnder = ({ levels }: ChalkedPart, { levelsFrom }: Saying): number | undefined =>
  levelsFrom === 'hem' ? levels.get('hem') : undefined;

/** What the tape reads at a height of a part, in mm: down from its start line, or up from its hem. */
export function readAt(part: ChalkedPart, y: number, saying: Saying): number {
  const hem = hemUnder(part, saying);
  return hem === undefined ? y - part.laid.grid.y0 + saying.heldAt : hem - y;
}

/** A height of a part in words, from where its levels are read; `brief` for one of a row of them. */
export function heightWords(part: ChalkedPart, y: number, saying: Saying, brief = false): string {
  const figure = (mm: number): string => chalkFigure(mm, saying.tape);
  const hem = hemUnder(part, saying);
  if (hem !== undefined) {
    if (Math.abs(hem - y) < NOTHING) return 'on the hem line';
    return hem > y ? `${figure(hem - y)} up` : `${figure(y - hem)} below the hem line`;
  }
  const down = y - part.laid.grid.y0;
  if (Math.abs(down) < NOTHING) return 'on the start line';
  if (down < 0) return `${figure(-down)} ${brief ? 'up' : 'above the start line'}`;
  return `${figure(down + saying.heldAt)} down`;
}

/** Where a station is chalked, from the lines that were drawn before; with the place it is measured from. */
export function placeWords(
  part: ChalkedPart,
  { id, level, at: drawn }: Pick<Station, 'id' | 'level' | 'at'>,
  saying: Saying,
): { words: string; from: Point; figure: number; rounded: number } {
  const { tape } = saying;
  const { grid, upright } = part.laid;
  const at = part.at.get(id) ?? drawn;
  const figure = (mm: number): string => chalkFigure(mm, tape);
  const lineY = level === undefined ? undefined : part.levels.get(level);
  const onLine = lineY !== undefined && Math.abs(lineY - at.y) < NOTHING;
  const height = onLine ? `On the ${level} line` : capital(heightWords(part, at.y, saying));
  if (fromCrease(part, at.y) && part.crease !== undefined) {
    const out = at.x - part.crease;
    const from = point(part.crease, at.y);
    const words =
      Math.abs(out) < NOTHING
        ? `${height}, on the ${upright.name}`
        : `${height}, ${figure(Math.abs(out))} from the ${upright.name} toward the ${out < 0 ? upright.left : upright.right}`;
    return { words, from, figure: Math.abs(drawn.x - (part.laid.crease ?? drawn.x)), rounded: Math.abs(out) };
  }
  const out = at.x - grid.x0;
  const from = point(grid.x0, at.y);
  const words =
    Math.abs(out) < NOTHING
      ? `${height}, on the straight edge`
      : out > 0
        ? `${height}, ${figure(out)} from the straight edge`
        : `${height}, ${figure(-out)} beyond the straight edge`;
  return { words, from, figure: drawn.x - grid.x0, rounded: out };
}

/** The same from a point of the front that lies under it. */
export function placeOnFront(
  at: Point,
  drawn: Point,
  front: { readonly at: Point; readonly drawn: Point; readonly label: string },
  { tape }: Saying,
): { words: string; from: Point; figure: number; rounded: number } {
  const across = at.x - front.at.x;
  const figure = (mm: number): string => chalkFigure(mm, tape);
  const outward = front.label.includes('side') ? -across : across;
  const out =
    Math.abs(across) < NOTHING ? 'straight under it' : `${outward > 0 ? 'out' : 'in'} ${figure(Math.abs(across))}`;
  return {
    words: `From the front’s ${front.label} ${out}, ${upDown(at.y - front.at.y, figure)}`,
    from: front.at,
    figure: Math.abs(drawn.x - front.drawn.x),
    rounded: Math.abs(across),
  };
}

/** The points of a curve: how far down and across each lies. */
export function throughWords(part: ChalkedPart, through: readonly Point[], saying: Saying): string {
  const { tape } = saying;
  const { grid, upright } = part.laid;
  const figure = (mm: number): string => chalkFigure(mm, tape);
  const across = ({ x, y }: Point): string =>
    fromCrease(part, y) && part.crease !== undefined
      ? `${figure(Math.abs(x - part.crease))} from the ${upright.name}`
      : x - grid.x0 < -NOTHING
        ? `${figure(grid.x0 - x)} beyond the straight edge`
        : `${figure(x - grid.x0)} across`;
  return through.map((p) => `${heightWords(part, p.y, saying, true)} ${across(p)}`).join('; ');
}
