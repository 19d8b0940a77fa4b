import { line, mapPath, pathBox, point, type Box, type Path, type Point } from '../geometry/index.js';
import type { Drawing, LineRole, Mark, WrittenBlock, WrittenPage, WrittenRow } from '../drawing/index.js';
import { formatFigure, formatLength, tapeFor } from '../units/index.js';
import type { ChalkSheet } from './chalk-sheet.js';
import { chalkedOutline, type ChalkedPart } from './chalked.js';
import type { ChalkMove } from './chalk-move.js';
import { ROUNDED, type Rounding } from './rounding.js';
import { chalkFigure } from './tape.js';

/** A sketch of a leg part on paper is so many times smaller. */
const LEG_SCALE = 12;
const SMALL_SCALE = 6;
/** Numbers on a sketch are so high on paper, in mm, and so far off their points. */
const NUMBER = 3;
const OFF = 1.2;
/** Half of the cross that a point is marked by, on paper, in mm. */
const TICK = 0.8;
/** Room about a sketch, on paper, in mm. */
const AROUND = 5;

/** What a figure of the rounding is called. */
export const ROUNDED_LABELS: Readonly<Record<(typeof ROUNDED)[number], string>> = {
  waist: 'Waist',
  hip: 'Hip',
  thigh: 'Thigh',
  knee: 'Knee',
  hem: 'Hem',
  frontRise: 'Front rise',
  backRise: 'Back rise',
  wholeRise: 'Whole rise',
};

/**
 * A part as it is chalked, small, its moves numbered where they are made; `upTo` draws what is there after that move,
 * which is drawn heavier. The numbers are so high that they can be read at `scale`.
 */
export function chalkSketch(part: ChalkedPart, moves: readonly ChalkMove[], scale: number, upTo = Infinity): Drawing {
  const own = moves.filter((m) => m.part === part.laid.part.id);
  const outline = chalkedOutline(part);
  const box = pathBox([...outline, ...own.map((m) => line(m.from, m.to))]);
  const room = AROUND * scale;
  const to = (p: Point): Point => point(p.x - box.minX + room, p.y - box.minY + room);
  const drawn = (path: Path): Path => mapPath(path, to);
  const name = part.laid.part.id;
  const numbers = new Map<string, { at: Point; words: string[] }>();
  const number = (at: Point, words: string): void => {
    const key = `${at.x.toFixed(1)} ${at.y.toFixed(1)}`;
    const found = numbers.get(key) ?? { at, words: [] };
    if (!found.words.includes(words)) found.words.push(words);
    numbers.set(key, found);
  };
  const mark = (m: ChalkMove, role: LineRole, path: Path): Mark => ({
    kind: 'line',
    role: m.n === upTo ? 'stitching' : role,
    name: `${name}.${m.n}`,
    path: drawn(path),
  });
  const done = own.filter((m) => m.n <= upTo);
  const marks = done.flatMap((m): Mark[] => {
    if (m.kind === 'point' || m.kind === 'square') number(m.to, m.letter ?? String(m.n));
    if (m.kind === 'square') return [mark(m, 'construction', [line(m.from, m.to)])];
    if (m.kind === 'point') {
      const tick = TICK * scale;
      const cross = [
        [line(point(m.to.x - tick, m.to.y), point(m.to.x + tick, m.to.y))],
        [line(point(m.to.x, m.to.y - tick), point(m.to.x, m.to.y + tick))],
      ];
      return [
        ...cross.map((path) => mark(m, 'notch', path)),
        ...(m.n === upTo ? [mark(m, 'stitching', [line(m.from, m.to)])] : []),
      ];
    }
    if (m.kind === 'fold') {
      const [apex] = m.through;
      if (apex) return [mark(m, 'dart', [line(m.from, apex), line(apex, m.to)])];
      number(m.to, String(m.n));
      return [mark(m, 'crease', [line(m.from, m.to)])];
    }
    const stretch = part.stretches.find((s) => s.from === m.from && s.to === m.to);
    return [mark(m, 'cut', stretch?.path ?? [line(m.from, m.to)])];
  });
  // What is still to come lies faintly under it.
  const coming: Mark[] = Number.isFinite(upTo)
    ? [{ kind: 'line', role: 'placement', name: `${name} as it will be`, path: drawn(outline) }]
    : [];
  const taken: Box[] = [];
  const points = [...numbers.values()].map(({ at, words }): Mark => {
    const text = words.join(', ');
    return { kind: 'text', at: clearOf(taken, to(at), text, scale), text, size: NUMBER * scale, turn: 0 };
  });
  return {
    width: box.maxX - box.minX + 2 * room,
    height: box.maxY - box.minY + 2 * room,
    marks: [...coming, ...marks, ...points],
  };
}

/** Letters are about so wide, as a share of their height. */
const LETTER = 0.52;

/** A place for a number beside its point where no other number stands; what it takes is put with the rest. */
function clearOf(taken: Box[], { x, y }: Point, text: string, scale: number): Point {
  const [wide, high, off] = [text.length * LETTER * NUMBER * scale, NUMBER * 0.75 * scale, OFF * scale];
  const ring = (far: number): Point[] => [
    point(x + far, y - far),
    point(x - far - wide, y - far),
    point(x + far, y + far + high),
    point(x - far - wide, y + far + high),
    point(x - wide / 2, y - 2 * far),
    point(x - wide / 2, y + 2 * far + high),
  ];
  const places = [1, 2.5, 4].flatMap((times) => ring(times * off));
  const boxAt = (p: Point): Box => ({ minX: p.x, minY: p.y - high, maxX: p.x + wide, maxY: p.y });
  const free = (p: Point): boolean => {
    const box = boxAt(p);
    return taken.every((t) => box.minX > t.maxX || box.maxX < t.minX || box.minY > t.maxY || box.maxY < t.minY);
  };
  const at = places.find(free) ?? point(x + off, y - off);
  taken.push(boxAt(at));
  return at;
}

/** What rounding does to the figures that matter, as rows: drawn, chalked, how much more or less. */
export function roundingRows({ figures }: Rounding, { unit, tape }: Pick<ChalkSheet, 'unit' | 'tape'>): string[][] {
  const exact = tapeFor(unit === 'mm' ? 'cm' : unit);
  return ROUNDED.map((name) => {
    const { drawn, chalked } = figures[name];
    const more = chalked - drawn;
    const figure = formatFigure(Math.abs(more), { unit: tape.tape.unit, step: tape.tape.unit === 'in' ? 1 / 32 : 0.1 });
    const sign = Number(figure) === 0 ? '' : more > 0 ? '+' : '−';
    return [ROUNDED_LABELS[name], formatLength(drawn, exact), formatLength(chalked, exact), `${sign}${figure}`];
  });
}

/** A slip is read once: on paper the back does not say again what the front said. */
function slipsOnce(moves: readonly ChalkMove[]): readonly ChalkMove[] {
  const told = new Set<string>();
  return moves.map((move) => {
    const again = told.has(move.slip);
    told.add(move.slip);
    return again ? { ...move, slip: '' } : move;
  });
}

/** The sheet written down: cloth and fold first, then part by part its sketch and its moves, then what rounding does. */
export function chalkPages(sheet: ChalkSheet, title = 'Chalk sheet'): WrittenPage {
  const { parts, before, cloth, rounding, tape } = sheet;
  const moves = slipsOnce(sheet.moves);
  const onParts = parts.flatMap((part): WrittenBlock[] => {
    const { part: of } = part.laid;
    const own = moves.filter((m) => m.part === of.id);
    const rows = rowsOf(own, ({ keptLast }) => keptLast === undefined);
    const scale = of.onFrame ? LEG_SCALE : SMALL_SCALE;
    const sketch: WrittenBlock = { as: 'sketch', drawing: chalkSketch(part, moves, scale), label: of.name, scale };
    return [
      { as: 'heading', words: `${of.name}: ${cutWords(part)}` },
      ...(of.onFrame ? [sketch] : []),
      { as: 'list', rows },
    ];
  });
  const kept = parts.flatMap(({ laid: { part } }): WrittenBlock[] => {
    const own = moves.filter((m) => m.part === part.id);
    const rows = rowsOf(own, ({ keptLast }) => keptLast !== undefined);
    const lead = own.find((m) => m.keptLast)?.keptLast;
    return lead === undefined
      ? []
      : [
          { as: 'heading', words: lead },
          { as: 'list', rows },
        ];
  });
  const offcuts = cloth.offcuts.map(({ beside, where, width, length, keepFor }) => {
    const size = `${chalkFigure(down(width, sheet), tape.tape)} by ${chalkFigure(down(length, sheet), tape.tape)} ${tape.tape.unit}`;
    const name = parts.find((p) => p.laid.part.id === beside)?.laid.part.name ?? beside;
    const use = keepFor.length > 0 ? `: cut of it ${keepFor.join(', ')}` : '';
    return { words: `${name}, ${where}, about ${size}${use}.` };
  });
  return {
    title,
    columns: 2,
    blocks: [
      { as: 'list', rows: before.map((words) => ({ words })) },
      ...onParts,
      ...kept,
      ...(offcuts.length > 0
        ? ([
            { as: 'heading', words: 'What falls off is kept' },
            { as: 'list', rows: offcuts },
          ] as const)
        : []),
      ...rounding.flatMap((one): WrittenBlock[] => [
        {
          as: 'heading',
          words: `What rounding to ${tape.label} does${one.leg === 'both' ? '' : `, ${one.leg} leg`}`,
        },
        { as: 'table', head: ['Figure', 'Drawn', 'Chalked', 'More'], rows: roundingRows(one, sheet) },
      ]),
      {
        as: 'paragraph',
        words: 'Blades cut: keep the free hand behind the cutter, and close it when you put it down.',
      },
    ],
  };
}

const isOutline = ({ kind }: ChalkMove): boolean => kind === 'line' || kind === 'curve';

/** The moves of a part as rows: a place a row, all stretches of an edge one row, a rectangle one. */
function rowsOf(all: readonly ChalkMove[], wanted: (move: ChalkMove) => boolean = () => true): WrittenRow[] {
  const moves = all.filter(wanted);
  const rectangle = all.some(isOutline) && !all.some((m) => m.kind === 'point');
  if (rectangle) return [rectangleRow(moves)];
  const placeOf = new Map<string, string>();
  const key = ({ x, y }: Point): string => `${x.toFixed(2)} ${y.toFixed(2)}`;
  for (const m of all)
    if (m.kind === 'point' && !placeOf.has(key(m.to))) placeOf.set(key(m.to), m.letter ?? String(m.n));
  const rows: WrittenRow[] = [];
  for (let i = 0; i < moves.length; i++) {
    const m = moves[i] as ChalkMove;
    if (!isOutline(m)) {
      rows.push({ mark: String(m.n), words: m.letter ? `${m.letter}: ${m.say}` : m.say, ...noted(m) });
      continue;
    }
    let last = i;
    while (moves[last + 1]?.id === m.id && isOutline(moves[last + 1] as ChalkMove)) last++;
    const run = moves.slice(i, last + 1);
    const number = (p: Point): string => placeOf.get(key(p)) ?? '';
    const legs = run.map((one) => {
      const ends = `${number(one.from)} to ${number(one.to)}`;
      const bend = one.bend ? `a curve ${ends} through ${one.bend}` : `straight ${ends}`;
      return one.snips ? `${bend}; from ${number(one.from)} ${one.snips}` : bend;
    });
    const slip = run.find((one) => one.slip)?.slip;
    const said = m.keptLast === undefined ? m.say : m.say.slice(m.keptLast.length + 2);
    const edge = said.split(',')[0] ?? '';
    rows.push({
      mark: run.length === 1 ? String(m.n) : `${m.n}–${m.n + run.length - 1}`,
      words: `${edge}: ${legs.join('. Then ')}.`,
      ...(slip ? { note: `Slip: ${slip}` } : {}),
    });
    i = last;
  }
  return rows;
}

/** A rectangle in one row: its sides, its folds, its snips. */
function rectangleRow(moves: readonly ChalkMove[]): WrittenRow {
  const [first] = moves;
  const sides = first?.say.split('. ')[0] ?? '';
  const folds = moves
    .filter((m) => m.kind === 'fold')
    .map((m) => m.say.replace(/\. /, ' ').replace(/\.$/, '').toLowerCase());
  const snipped = moves.flatMap((m) => (m.snips ? [m.snips] : []));
  return {
    mark: `${first?.n ?? ''}`,
    words: `${[sides, ...folds].join(', ')}.${snipped.length > 0 ? ` From its corner: ${snipped.join(', ')}.` : ''}`,
  };
}

const noted = ({ sum, slip }: ChalkMove): { note?: string } => {
  const told = [
    ...(sum === 'as it is drawn' || sum === 'along the line' ? [] : [sum]),
    ...(slip ? [`Slip: ${slip}`] : []),
  ];
  return told.length > 0 ? { note: told.join('. ') } : {};
};

const down = (mm: number, { tape }: ChalkSheet): number => {
  const step = tape.tape.unit === 'in' ? 25.4 / 2 : 5;
  return Math.floor(mm / step) * step;
};

const cutWords = ({ laid: { part } }: ChalkedPart): string => {
  const { count, how } = part.cut;
  const pair =
    how === 'mirrored' && count === 2 ? 'a mirrored pair' : how === 'on the fold' ? `${count} on the fold` : `${count}`;
  return `cut ${pair}, ${part.cloth}`;
};
