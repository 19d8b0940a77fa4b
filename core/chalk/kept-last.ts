import { point, type Point } from '../geometry/index.js';
import { stationsOf, type ChalkedPart } from './chalked.js';
import { capital, NO_SUM, type Saying, type UnnumberedMove } from './chalk-move.js';
import { marked } from './line-moves.js';
import { chalkFigure } from './tape.js';

/** What is left standing on a part until the back has been cut from it. */
export interface Kept {
  /** How much lower its centre will be, in mm. */
  readonly dip: number;
  /** Down along its centre line, of length 1. */
  readonly centreDown: Point;
}

/** Where the centre stands for now: as far up its line as the dip, from where it will be cut. */
export function centreForNow(part: ChalkedPart, { dip, centreDown }: Kept, { tape }: Saying): Point | undefined {
  const centre = stationsOf(part.laid).find((s) => s.is === 'centre waist');
  if (!centre) return undefined;
  const at = part.at.get(centre.id) ?? centre.at;
  const up = marked(dip, tape);
  return point(at.x - (centreDown.x / centreDown.y) * up, at.y - up);
}

/**
 * A front's moves with its waist kept for last (docs/trade/chalk.md): its centre stands higher for now, a straight waist
 * runs there, and the lines of the waist come after everything else, once the back is cut.
 */
export function keepLast(
  moves: readonly UnnumberedMove[],
  part: ChalkedPart,
  kept: Kept,
  saying: Saying,
): { readonly now: readonly UnnumberedMove[]; readonly last: readonly UnnumberedMove[] } {
  const { laid } = part;
  const high = centreForNow(part, kept, saying);
  const stations = stationsOf(laid);
  const centre = stations.find((s) => s.is === 'centre waist');
  const side = stations.find((s) => s.is === 'side waist');
  const waist = new Set(laid.part.edges.filter((e) => e.role === 'waist').map((e) => e.id));
  const isKept = ({ id, kind }: UnnumberedMove): boolean => waist.has(id) && (kind === 'line' || kind === 'curve');
  if (!high || !centre || !side || !moves.some(isKept)) return { now: moves, last: [] };
  const up = marked(kept.dip, saying.tape);
  const figure = chalkFigure(up, saying.tape);
  const sideAt = part.at.get(side.id) ?? side.at;
  const common = { part: laid.part.id, through: [], figure: kept.dip, rounded: up, sum: NO_SUM, slip: '' };
  const forNow: UnnumberedMove[] = [
    {
      ...common,
      id: `${centre.id}.forNow`,
      kind: 'square',
      say: `Centre waist for now. ${figure} up the centre line from the centre waist.`,
      from: part.at.get(centre.id) ?? centre.at,
      to: high,
    },
    {
      ...common,
      id: 'waistForNow',
      kind: 'square',
      say: `Waist for now. Straight from side waist to there; the back is chalked and cut from it.`,
      from: sideAt,
      to: high,
    },
  ];
  const now = moves.filter((m) => !isKept(m));
  const after = now.findIndex((m) => m.id === side.id && m.kind === 'point');
  const lead = `Now that the back is cut, take ${figure} off the ${laid.part.name.toLowerCase()}’s centre`;
  const last = moves.filter(isKept).map((m) => ({ ...m, say: `${lead}. ${capital(m.say)}`, keptLast: lead }));
  return { now: [...now.slice(0, after + 1), ...forNow, ...now.slice(after + 1)], last };
}
