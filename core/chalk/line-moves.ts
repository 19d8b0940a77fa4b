import { nearestPlace, pathLength, placeAtLength, point, type Point } from '../geometry/index.js';
import type { Notch } from '../piece/index.js';
import { slipOf } from '../steps/index.js';
import type { Tape } from '../units/index.js';
import type { ChalkedPart, ChalkedStretch } from './chalked.js';
import { capital, NO_SUM, NOTHING, type Saying, type UnnumberedMove } from './chalk-move.js';
import { heightWords, throughWords } from './place-words.js';
import { edgeWords } from './stations.js';
import { chalkFigure } from './tape.js';

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

/** A length on the nearest mark of a tape, in mm. */
export const marked = (mm: number, { unit, step }: Tape): number => {
  const size = unit === 'in' ? step * 25.4 : step * 10;
  return Math.round(mm / size) * size;
};

/** The lines of a part, edge by edge. */
export function outlineMoves(part: ChalkedPart, notches: readonly Notch[], saying: Saying): UnnumberedMove[] {
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

/** The folds within a part: a band's, a casing's. */
export function foldMoves(part: ChalkedPart, saying: Saying): UnnumberedMove[] {
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
        say: `${capital(mark.label)}. ${flat ? capital(heightWords(part, a.y, saying)) : `${chalkFigure(rounded, saying.tape)} across`}.`,
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
export function rectangleMoves(
  part: ChalkedPart,
  notches: readonly Notch[],
  saying: Saying,
): UnnumberedMove[] | undefined {
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
