import { distance, nearestPlace, pathLength, placeAtLength, point, type Point } from '../geometry/index.js';
import type { Notch } from '../piece/index.js';
import { slipOf } from '../steps/index.js';
import type { Tape } from '../units/index.js';
import type { ChalkedPart, ChalkedStretch } from './chalked.js';
import { stationsOf } from './chalked.js';
import { edgeWords, type Station } from './stations.js';
import { chalkFigure } from './tape.js';
import type { SumOf } from './sums.js';

/** What a move of the chalk is: a place, a line of the piece, a curve of it, a level squared across, or a fold. */
export type MoveKind = 'point' | 'line' | 'curve' | 'square' | 'fold';

/** One move of the chalk. Coordinates in mm: the part's own, or the laid front's where the back is chalked on it. */
export interface ChalkMove {
  readonly n: number;
  readonly part: string;
  /** What it sets: a station, a level, or an edge. */
  readonly id: string;
  readonly kind: MoveKind;
  readonly say: string;
  readonly from: Point;
  readonly to: Point;
  readonly through: readonly Point[];
  /** What is measured, as it is drawn and as it is chalked; the same where nothing is measured. In mm. */
  readonly figure: number;
  readonly rounded: number;
  /** How the figure comes about. */
  readonly sum: string;
  /** What is usually done wrong here. */
  readonly slip: string;
  /** The points of a curve in words. */
  readonly bend?: string;
  /** What is snipped on a line, in words. */
  readonly snips?: string;
}

/** A move before it has its number. */
export type UnnumberedMove = Omit<ChalkMove, 'n'>;

/** What the words of moves are made with. */
export interface Saying {
  readonly tape: Tape;
  /** Where the tape is held at the start line, in mm: the depth of a band that the figures count, or nothing. */
  readonly heldAt: number;
  readonly sumOf: SumOf;
}

const NO_SUM = 'as it is drawn';

/** Below this share of the way from crotch to hem, points are measured from the crease. */
const fromCrease = ({ laid, crease }: ChalkedPart, y: number): boolean => {
  const crotch = laid.levels.find((l) => l.name === 'crotch');
  return crease !== undefined && crotch !== undefined && y > crotch.y + BELOW_CROTCH;
};

/** Points further than this below the crotch line are measured from the crease, in mm. */
const BELOW_CROTCH = 60;

/** A distance smaller than this, in mm, is none. */
const NOTHING = 0.01;

const upDown = (mm: number, words: (mm: number) => string): string =>
  Math.abs(mm) < NOTHING ? 'level with it' : `${words(Math.abs(mm))} ${mm > 0 ? 'down' : 'up'}`;

/** Where a station is chalked, from the lines that were drawn before; with the place it is measured from. */
function placeWords(
  part: ChalkedPart,
  { id, level, at: drawn }: Pick<Station, 'id' | 'level' | 'at'>,
  { tape, heldAt }: Saying,
): { words: string; from: Point; figure: number; rounded: number } {
  const { grid } = part.laid;
  const at = part.at.get(id) ?? drawn;
  const figure = (mm: number): string => chalkFigure(mm, tape);
  const lineY = level === undefined ? undefined : part.levels.get(level);
  const onLine = lineY !== undefined && Math.abs(lineY - at.y) < NOTHING;
  const y = at.y - grid.y0;
  const height = onLine
    ? `On the ${level} line`
    : y < -NOTHING
      ? `${figure(-y)} above the start line`
      : Math.abs(y) < NOTHING
        ? 'On the start line'
        : `${figure(y + heldAt)} down`;
  if (fromCrease(part, at.y) && part.crease !== undefined) {
    const out = at.x - part.crease;
    const from = point(part.crease, at.y);
    const words =
      Math.abs(out) < NOTHING
        ? `${height}, on the crease`
        : `${height}, ${figure(Math.abs(out))} from the crease toward the ${out < 0 ? 'side' : 'inseam'}`;
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
function placeOnFront(
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

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

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

function pointMoves(part: ChalkedPart, saying: Saying, front: ChalkedPart | undefined): UnnumberedMove[] {
  const { part: of } = part.laid;
  const stations = [...stationsOf(part.laid)];
  if (of.onFrame) stations.sort((a, b) => rankOf(part, a) - rankOf(part, b));
  return stations.map((station): UnnumberedMove => {
    const at = part.at.get(station.id) ?? station.at;
    const ahead = front && stationsOf(front.laid).find((s) => s.id === station.id);
    const under = ahead && { at: front.at.get(ahead.id) ?? ahead.at, drawn: ahead.at, label: ahead.label };
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

function levelMoves(part: ChalkedPart, { tape, heldAt, sumOf }: Saying): UnnumberedMove[] {
  const { laid } = part;
  const { grid } = laid;
  const right = Math.max(...stationsOf(laid).map((s) => s.at.x));
  return laid.levels.map(({ name, y }): UnnumberedMove => {
    const to = part.levels.get(name) ?? y;
    const [drawn, rounded] = [y - grid.y0 + heldAt, to - grid.y0 + heldAt];
    return {
      part: laid.part.id,
      id: `${name}Level`,
      kind: 'square',
      say: `${capital(name)} line. ${chalkFigure(rounded, tape)} ${heldAt > 0 ? 'on the tape' : 'down from the start line'}, squared across.`,
      from: point(grid.x0, to),
      to: point(right, to),
      through: [],
      figure: drawn,
      rounded,
      sum: sumOf(laid, name) ?? NO_SUM,
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
      say: `Crease. ${chalkFigure(crease - grid.x0, tape)} from the straight edge on the crotch line, squared down to the hem.`,
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

/** The snips on a stretch, each by how far along it lies from where it begins. */
function snips(stretch: ChalkedStretch, notches: readonly Notch[], shift: number, tape: Tape): string {
  const { path } = stretch.stretch;
  const length = pathLength(path);
  const found = notches.flatMap(({ cutAt, at, label, count }): string[] => {
    const { x, y } = cutAt ?? at;
    const near = nearestPlace(path, point(x + shift, y));
    if (near.distance > ON_LINE || near.length < NOTHING || near.length > length - NOTHING) return [];
    return [`${count === 2 ? 'double snip' : 'snip'} ${chalkFigure(marked(near.length, tape), tape)} on (${label})`];
  });
  return found.join(', ');
}

/** A snip lies on a line this near to it, in mm. */
const ON_LINE = 0.5;

const marked = (mm: number, { unit, step }: Tape): number => {
  const size = unit === 'in' ? step * 25.4 : step * 10;
  return Math.round(mm / size) * size;
};

/** The points of a curve: how far down and across each lies. */
function throughWords(part: ChalkedPart, through: readonly Point[], { tape, heldAt }: Saying): string {
  const { grid } = part.laid;
  const figure = (mm: number): string => chalkFigure(mm, tape);
  const across = ({ x, y }: Point): string =>
    fromCrease(part, y) && part.crease !== undefined
      ? `${figure(Math.abs(x - part.crease))} from the crease`
      : x - grid.x0 < -NOTHING
        ? `${figure(grid.x0 - x)} beyond the straight edge`
        : `${figure(x - grid.x0)} across`;
  const down = ({ y }: Point): string =>
    Math.abs(y - grid.y0) < NOTHING
      ? 'on the start line'
      : y - grid.y0 < -NOTHING
        ? `${figure(grid.y0 - y)} up`
        : `${figure(y - grid.y0 + heldAt)} down`;
  return through.map((p) => `${down(p)} ${across(p)}`).join('; ');
}

function outlineMoves(part: ChalkedPart, notches: readonly Notch[], saying: Saying): UnnumberedMove[] {
  const { laid } = part;
  const order = ['rise', 'waist', 'opening', 'join', 'fold', 'hem', 'inseam', 'side'];
  const begun = part.stretches.findIndex(
    ({ stretch }, i) => part.stretches.at(i - 1)?.stretch.edge.id !== stretch.edge.id,
  );
  const run = [...part.stretches.slice(Math.max(0, begun)), ...part.stretches.slice(0, Math.max(0, begun))];
  const sorted = laid.part.onFrame
    ? run.sort((a, b) => order.indexOf(a.stretch.edge.role) - order.indexOf(b.stretch.edge.role))
    : run;
  return sorted.map((chalked): UnnumberedMove => {
    const { stretch, from, to, through } = chalked;
    const words = capital(edgeWords(stretch.edge));
    const ends = `from ${stretch.from.label} to ${stretch.to.label}`;
    const snipped = snips(chalked, notches, laid.shift, saying.tape);
    const straight = through.length === 0;
    const bend = straight ? '' : throughWords(part, through, saying);
    const line = straight ? `${words}, straight ${ends}.` : `${words}, a curve ${ends} through ${bend}.`;
    const say = snipped ? `${line} ${capital(snipped)}.` : line;
    return {
      part: laid.part.id,
      id: stretch.edge.id,
      kind: straight ? 'line' : 'curve',
      say,
      from,
      to,
      through,
      figure: pathLength(stretch.path),
      rounded: pathLength(chalked.path),
      sum: 'along the line',
      slip: straight ? '' : stretch.edge.role === 'rise' ? slipOf('curve') : '',
      ...(bend ? { bend } : {}),
      ...(snipped ? { snips: snipped } : {}),
    };
  });
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

/** The folds within a part: a band's, a casing's. */
function foldMoves(part: ChalkedPart, { tape }: Saying): UnnumberedMove[] {
  const { laid } = part;
  const { grid } = laid;
  return laid.part.marks.flatMap((mark): UnnumberedMove[] => {
    if (mark.kind !== 'line' || mark.meaning !== 'fold') return [];
    const [from, to] = [placeAtLength(mark.path, 0).at, placeAtLength(mark.path, Infinity).at];
    const near = (p: Point): Point =>
      point(
        grid.x0 + Math.round((p.x - grid.x0) / grid.step) * grid.step,
        grid.y0 + Math.round((p.y - grid.y0) / grid.step) * grid.step,
      );
    const [a, b] = [near(from), near(to)];
    const flat = Math.abs(a.y - b.y) < NOTHING;
    const figure = flat ? from.y - grid.y0 : from.x - grid.x0;
    const rounded = flat ? a.y - grid.y0 : a.x - grid.x0;
    return [
      {
        part: laid.part.id,
        id: mark.label,
        kind: 'fold',
        say: `${capital(mark.label)}. ${chalkFigure(rounded, tape)} ${flat ? 'down' : 'across'}.`,
        from: a,
        to: b,
        through: [],
        figure,
        rounded,
        sum: NO_SUM,
        slip: '',
      },
    ];
  });
}

/** A part whose four corners are square is one rectangle, said as that. */
function rectangleMoves(part: ChalkedPart, notches: readonly Notch[], saying: Saying): UnnumberedMove[] | undefined {
  const { laid, stretches } = part;
  const square = stretches.every(
    ({ from, to, stretch }) =>
      stretch.straight && (Math.abs(from.x - to.x) < NOTHING || Math.abs(from.y - to.y) < NOTHING),
  );
  if (laid.part.onFrame || !square || stretches.length !== 4) return undefined;
  const xs = stretches.flatMap(({ from, to }) => [from.x, to.x]);
  const ys = stretches.flatMap(({ from, to }) => [from.y, to.y]);
  const [wide, high] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const figure = (mm: number): string => chalkFigure(mm, saying.tape);
  return stretches.map((chalked, i): UnnumberedMove => {
    const { from, to, stretch } = chalked;
    const sides = i === 0 ? `A rectangle ${figure(wide)} across and ${figure(high)} down. ` : '';
    const snipped = snips(chalked, notches, laid.shift, saying.tape);
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    return {
      part: laid.part.id,
      id: stretch.edge.id,
      kind: 'line',
      say: `${sides}${capital(edgeWords(stretch.edge))}, ${figure(long)}.${snipped ? ` ${capital(snipped)}.` : ''}`,
      from,
      to,
      through: [],
      figure: pathLength(stretch.path),
      rounded: long,
      sum: NO_SUM,
      slip: '',
      ...(snipped ? { snips: snipped } : {}),
    };
  });
}

/**
 * A part as moves of the chalk, in the order in which they are made: levels, points, darts, lines (docs/trade/chalk.md).
 * `front` is the part that it is laid on, if it is.
 */
export function movesOf(
  part: ChalkedPart,
  notches: readonly Notch[],
  saying: Saying,
  front?: ChalkedPart,
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
    ...pointMoves(part, own, front),
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
