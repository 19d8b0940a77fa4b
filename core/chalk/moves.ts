import { distance, point, type Point } from '../geometry/index.js';
import type { Notch } from '../piece/index.js';
import { slipOf } from '../steps/index.js';
import type { ChalkedPart } from './chalked.js';
import { stationsOf } from './chalked.js';
import { capital, NO_SUM, NOTHING, type Saying, type UnnumberedMove } from './chalk-move.js';
import { foldMoves, marked, outlineMoves, rectangleMoves } from './line-moves.js';
import { fromCrease, placeOnFront, placeWords, readAt } from './place-words.js';
import type { Station } from './stations.js';
import { chalkFigure } from './tape.js';

/** The order in which the stations of a leg are set: across the hip and the crotch, up to the waist, down the leg. */
function rankOf(part: ChalkedPart, station: Station): number {
  const { is, level, at } = station;
  if (level === 'hip') return 0;
  if (is === 'crotch point' || level === 'crotch') return 1;
  if (is === 'centre waist') return 2;
  if (is === 'side waist') return 3;
  if (fromCrease(part, at.y)) return level === 'knee' ? 6 : 7;
  return 4;
}

const slipFor = ({ is, level }: Station): string => {
  if (level === 'hip') return slipOf('width');
  if (is === 'crotch point') return slipOf('crotchPoint');
  if (is === 'centre waist') return slipOf('centre');
  if (is === 'side waist') return slipOf('waist');
  return level === 'knee' || level === 'hem' ? slipOf('leg') : '';
};

function pointMoves(
  part: ChalkedPart,
  saying: Saying,
  front: ChalkedPart | undefined,
  centre: Point | undefined,
): UnnumberedMove[] {
  const { part: of } = part.laid;
  const stations = [...stationsOf(part.laid)];
  if (of.onFrame) stations.sort((a, b) => rankOf(part, a) - rankOf(part, b));
  return stations.map((station): UnnumberedMove => {
    const at = part.at.get(station.id) ?? station.at;
    const ahead = front && stationsOf(front.laid).find((s) => s.id === station.id);
    const forNow = ahead?.is === 'centre waist' ? centre : undefined;
    const under = ahead && {
      at: forNow ?? front.at.get(ahead.id) ?? ahead.at,
      drawn: forNow ?? ahead.at,
      label: forNow ? `${ahead.label} for now` : ahead.label,
    };
    const { words, from, figure, rounded } = under
      ? placeOnFront(at, station.at, under, saying)
      : placeWords(part, station, saying);
    return {
      part: of.id,
      id: station.id,
      kind: 'point',
      say: `${capital(station.label)}. ${words}.`,
      from,
      to: at,
      through: [],
      figure,
      rounded,
      sum: (under ? undefined : saying.sumOf(part.laid, station)) ?? NO_SUM,
      slip: slipFor(station),
    };
  });
}

/** What is said of the line of the hem where all levels are read up from it: first it has to lie somewhere. */
function hemWords({ laid, levels }: ChalkedPart, { tape }: Saying): string {
  const hem = levels.get('hem') ?? NaN;
  const below = Math.max(...stationsOf(laid).map((s) => s.at.y)) - hem;
  const where =
    below > LEAST_BELOW ? `${chalkFigure(marked(below, tape), tape)} up from` : 'The allowance of the hem above';
  return `${where} the end of the cloth, squared across; every level is read up from it.`;
}

/** A cut edge that lies less than this under the hem, in mm, is the hem. */
const LEAST_BELOW = 2;

function levelMoves(part: ChalkedPart, saying: Saying): UnnumberedMove[] {
  const { laid } = part;
  const { tape, heldAt, sumOf } = saying;
  const fromHem = saying.levelsFrom === 'hem' && part.levels.has('hem');
  const right = Math.max(...stationsOf(laid).map((s) => s.at.x));
  const toward = fromHem ? 'up from the hem line' : heldAt > 0 ? 'on the tape' : 'down from the start line';
  const levels = fromHem ? [...laid.levels].sort((a, b) => b.y - a.y) : laid.levels;
  return levels.map(({ name, y }): UnnumberedMove => {
    const to = part.levels.get(name) ?? y;
    const rounded = readAt(part, to, saying);
    const words =
      fromHem && name === 'hem' ? hemWords(part, saying) : `${chalkFigure(rounded, tape)} ${toward}, squared across.`;
    return {
      part: laid.part.id,
      id: `${name}Level`,
      kind: 'square',
      say: `${capital(name)} line. ${words}`,
      from: point(laid.grid.x0, to),
      to: point(right, to),
      through: [],
      figure: fromHem ? rounded + to - y : rounded + y - to,
      rounded,
      sum: (fromHem ? undefined : sumOf(laid, name)) ?? NO_SUM,
      slip: name === 'crotch' ? slipOf('levels') : '',
    };
  });
}

function creaseMove(part: ChalkedPart, { tape, sumOf }: Saying): UnnumberedMove[] {
  const { laid, crease } = part;
  const { grid } = laid;
  const [from, to] = [part.levels.get('crotch'), part.levels.get('hem')];
  if (crease === undefined || laid.crease === undefined || from === undefined || to === undefined) return [];
  return [
    {
      part: laid.part.id,
      id: 'crease',
      kind: 'square',
      say: `${capital(laid.upright.name)}. ${chalkFigure(crease - grid.x0, tape)} from the straight edge on the crotch line, squared down to the hem.`,
      from: point(crease, from),
      to: point(crease, to),
      through: [],
      figure: laid.crease - grid.x0,
      rounded: crease - grid.x0,
      sum: sumOf(laid, 'crease') ?? NO_SUM,
      slip: slipOf('crease'),
    },
  ];
}

function dartMoves(part: ChalkedPart, saying: Saying): UnnumberedMove[] {
  const { laid } = part;
  return laid.darts.flatMap((dart): UnnumberedMove[] => {
    const names = ['centreLeg', 'apex', 'sideLeg'] as const;
    const labels = {
      centreLeg: 'Dart, leg toward the centre',
      apex: 'Dart point',
      sideLeg: 'Dart, leg toward the side',
    };
    const at = (name: (typeof names)[number]): Point => part.at.get(`${dart.id}.${name}`) ?? dart[name];
    return [
      ...names.map((name): UnnumberedMove => {
        const { words, from, figure, rounded } = placeWords(part, { id: `${dart.id}.${name}`, at: dart[name] }, saying);
        return {
          part: laid.part.id,
          id: `${dart.id}.${name}`,
          kind: 'point',
          say: `${labels[name]}. ${words}.`,
          from,
          to: at(name),
          through: [],
          figure,
          rounded,
          sum: NO_SUM,
          slip: name === 'apex' ? slipOf('darts') : '',
        };
      }),
      {
        part: laid.part.id,
        id: dart.id,
        kind: 'fold',
        say: `Dart. Straight from its legs to its point; it is sewn on the inside, ${chalkFigure(marked(distance(at('centreLeg'), at('sideLeg')), saying.tape), saying.tape)} taken in at the waist.`,
        from: at('centreLeg'),
        to: at('sideLeg'),
        through: [at('apex')],
        figure: distance(dart.centreLeg, dart.sideLeg),
        rounded: distance(at('centreLeg'), at('sideLeg')),
        sum: NO_SUM,
        slip: '',
      },
    ];
  });
}

/**
 * A part as moves of the chalk, in the order in which they are made: levels, points, darts, lines (docs/trade/chalk.md).
 * `front` is the part that it is laid on, if it is; `centre` where its centre waist stands until the back is cut.
 */
export function movesOf(
  part: ChalkedPart,
  notches: readonly Notch[],
  saying: Saying,
  front?: ChalkedPart,
  centre?: Point,
): readonly UnnumberedMove[] {
  const own: Saying = part.laid.part.onFrame ? saying : { ...saying, heldAt: 0 };
  const rectangle = rectangleMoves(part, notches, own);
  if (rectangle) return [...rectangle, ...foldMoves(part, own)];
  const carried = front
    ? levelMoves(part, own).filter(({ id, to }) => {
        const there = front.levels.get(id.replace(/Level$/, ''));
        return there === undefined || Math.abs(there - to.y) > NOTHING;
      })
    : levelMoves(part, own);
  return slipsOnce([
    ...carried,
    ...(front ? [] : creaseMove(part, own)),
    ...pointMoves(part, own, front, centre),
    ...dartMoves(part, own),
    ...outlineMoves(part, notches, own),
    ...foldMoves(part, own),
  ]);
}

/** A slip is told where it is made first. */
function slipsOnce(moves: readonly UnnumberedMove[]): readonly UnnumberedMove[] {
  const told = new Set<string>();
  return moves.map((move) => {
    if (told.has(move.slip)) return { ...move, slip: '' };
    told.add(move.slip);
    return move;
  });
}
