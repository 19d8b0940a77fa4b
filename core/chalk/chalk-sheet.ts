import type { Draft } from '../chain/index.js';
import { LEGS, type Leg, type Panel } from '../draft/index.js';
import { point } from '../geometry/index.js';
import { EDGE_WORDS } from '../garment/index.js';
import { isLaidOn, keptDip, laidOutOf } from '../method/index.js';
import { PROFILE_ROLES, widthsAlong, type Allowances, type Piece } from '../piece/index.js';
import type { Styled } from '../style/index.js';
import { formatFigure, formatLength, tapeFor, type Unit } from '../units/index.js';
import { chalked, type ChalkedPart } from './chalked.js';
import { clothPlan, type ClothPlan } from './cloth.js';
import { laid, type ChalkedLine, type LaidPart } from './laid.js';
import type { ChalkMove, Saying, UnnumberedMove } from './chalk-move.js';
import { centreForNow, keepLast, type Kept } from './kept-last.js';
import { lettered } from './lettered.js';
import { movesOf } from './moves.js';
import { hipMore, roundingOf, type Rounding } from './rounding.js';
import { sumsFrom } from './sums.js';
import { chalkFigure, chalkTape, stepOf, type ChalkTape } from './tape.js';

/** How the back is chalked: by its own figures, or as moves from the front that was laid before. */
export type BackBy = 'own' | 'front';

/** How its places are called: by the numbers of their moves, or by letters in the order of drawing. */
export type PointsBy = 'numbers' | 'letters';

/** Where all levels are read from: down from the waist, or up from the hem. */
export type LevelsFrom = 'waist' | 'hem';

/** What a maker chooses of a chalk sheet. */
export interface ChalkChoice {
  readonly line: ChalkedLine;
  /** `method`: as the method's makers lay it out. */
  readonly back: BackBy | 'method';
  readonly points: PointsBy;
  readonly levels: LevelsFrom;
  /** The name of a tape of the maker's unit. */
  readonly tape: string | undefined;
}

/** Cut line, the back as the method has it, the usual tape. */
export const CHALK_HOUSE: ChalkChoice = {
  line: 'cut',
  back: 'method',
  points: 'numbers',
  levels: 'waist',
  tape: undefined,
};

/** A draft as a numbered list of moves with the sums done (docs/trade/chalk.md). */
export interface ChalkSheet {
  readonly unit: Unit;
  readonly tape: ChalkTape;
  readonly line: ChalkedLine;
  readonly back: BackBy;
  readonly cloth: ClothPlan;
  /** What stands before the moves: the cloth, how the tape is held, what is in the figures. */
  readonly before: readonly string[];
  readonly moves: readonly ChalkMove[];
  readonly parts: readonly ChalkedPart[];
  /** What rounding does, leg by leg; one entry where both are alike. */
  readonly rounding: readonly (Rounding & { readonly leg: Leg | 'both' })[];
}

/** What a chalk sheet is made of. */
export interface ChalkSource {
  readonly draft: Pick<Draft, 'worked'>;
  readonly styled: Styled;
  readonly pieces: readonly Piece[];
  readonly allowances: Allowances;
  readonly unit: Unit;
}

const panelName = ({ part }: Pick<Piece, 'part'>): string => part.like ?? part.id;

/** The leg pieces, in the order in which the method's makers draw, leg by leg. */
function legPieces({ draft, pieces }: ChalkSource): readonly { leg: Leg | 'both'; pieces: readonly Piece[] }[] {
  const onFrame = pieces.filter(({ part }) => part.onFrame);
  const backFirst = draft.worked.sheet.first === 'back';
  const rank = (piece: Piece): number => Number((panelName(piece) === 'back') !== backFirst);
  return (['both', ...LEGS] as const).flatMap((leg) => {
    const of = onFrame.filter(({ part }) => part.leg === leg).sort((a, b) => rank(a) - rank(b));
    return of.length > 0 ? [{ leg, pieces: of }] : [];
  });
}

/** What is allowed for at the edges of each leg piece, as it is: one list where all have what the profile has. */
function seamWords({ styled, pieces, allowances, unit }: ChalkSource): string {
  const exact = tapeFor(unit);
  if (allowances.given.length === 0)
    return PROFILE_ROLES.map((role) => `${EDGE_WORDS[role]} ${formatLength(allowances.profile[role], exact)}`).join(
      ', ',
    );
  return pieces
    .filter(({ part }) => part.onFrame)
    .map(({ part }) => {
      const edges = part.edges.map(({ id, role }) => {
        const widths = widthsAlong(styled.garment, part, id, allowances).flatMap(({ mm, end }) => [mm, end ?? mm]);
        const [least, most] = [Math.min(...widths), Math.max(...widths)];
        const width = most - least < 0.05 ? '' : `${formatFigure(least, exact)} to `;
        return `${EDGE_WORDS[role]} ${width}${formatLength(most, exact)}`;
      });
      return `${part.name}: ${[...new Set(edges)].join(', ')}`;
    })
    .join('; ');
}

function beforeWords(
  source: ChalkSource,
  choice: ChalkChoice,
  cloth: ClothPlan,
  tape: ChalkTape['tape'],
  heldAt: number,
): string[] {
  const exact = tapeFor(source.unit);
  const figure = (mm: number): string => formatFigure(mm, { ...tape, step: tape.unit === 'in' ? 1 / 8 : 0.5 });
  const widths = cloth.parts.map(
    ({ name, folded, width, length }) =>
      `${name}: ${folded ? 'fold' : 'lay single'} ${figure(width)} ${tape.unit} wide, ${figure(length)} ${tape.unit} long`,
  );
  const seams = seamWords(source);
  const fromHem = choice.levels === 'hem';
  return [
    `Fold the cloth along the grain, right sides in. ${widths.join('. ')}.`,
    `The straight edge is the fold or the selvedges, whichever lies at the side: every figure across is read from it, and every figure ${fromHem ? 'up from the line of the hem' : 'down from the start line'}.`,
    fromHem
      ? `Hold the end of the tape on the line of the hem: every level is read up from there, in one pull.${heldAt > 0 ? ` The band of ${formatLength(heldAt, exact)} is in the figures.` : ''}`
      : heldAt > 0
        ? `Hold the tape with its ${chalkFigure(heldAt, tape)} on the start line: the band of ${formatLength(heldAt, exact)} is in the figures, and every level is read from there.`
        : 'Hold the end of the tape on the start line: every level is read from there, in one pull.',
    choice.line === 'cut'
      ? `The lines are cut lines. In them are: ${seams}, and what the garment’s own parts and folds add.`
      : `The lines are stitching lines. Outside them are cut: ${seams}.`,
  ];
}

/** How the back is chalked where it is left to the method: on the front, where its makers lay it there. */
function backBy({ draft: { worked } }: ChalkSource, { back }: ChalkChoice): BackBy {
  if (back !== 'method') return back;
  return isLaidOn(laidOutOf(worked.sheet, worked.choices)) ? 'front' : 'own';
}

/** What the method leaves standing on the front until the back is cut. */
function keptOn({ draft: { worked } }: ChalkSource, { centreDown }: Panel): Kept | undefined {
  const dip = keptDip(worked);
  return dip === undefined ? undefined : { dip, centreDown };
}

/** The tape that was chosen, or the usual one of the unit. */
function tapeOf(unit: Unit, id: string | undefined): ChalkTape {
  const found = chalkTape(unit, id) ?? chalkTape(unit);
  if (!found) throw new Error(`No tape for ${unit}`);
  return found;
}

/** The chalk sheet of a draft in its style and allowances, by a tape of the maker's unit. */
export function chalkSheet(source: ChalkSource, choice: ChalkChoice): ChalkSheet {
  const { draft, styled, pieces, allowances, unit } = source;
  const tape = tapeOf(unit, choice.tape);
  const step = stepOf(tape.tape);
  const back = backBy(source, choice);
  const { worked } = draft;
  const band = worked.choices['bandCounts'] === 'yes' ? worked.ledger.get('bandDepth')?.value : 0;
  const heldAt = typeof band === 'number' ? Math.round(band / step) * step : 0;
  const saying: Saying = {
    tape: tape.tape,
    heldAt,
    levelsFrom: choice.levels,
    sumOf: sumsFrom(worked, tapeFor(unit), unit),
  };
  const lay = (piece: Piece, on?: LaidPart): LaidPart => laid(styled.garment, piece, allowances, choice.line, step, on);
  const notchesOf = (id: string): Piece['notches'] => pieces.find(({ part }) => part.id === id)?.notches ?? [];
  const legs = legPieces(source).map(({ leg, pieces: of }) => {
    const front = of.find((p) => panelName(p) === 'front');
    const under = back === 'front' && front ? lay(front) : undefined;
    const parts = of.map((piece) => {
      if (piece === front && under) return under;
      return lay(piece, panelName(piece) === 'back' ? under : undefined);
    });
    // The back is laid on a front that is chalked: the front goes first whatever the method draws first.
    const order = under ? [under, ...parts.filter((p) => p !== under)] : parts;
    const block = leg === 'right' ? styled.legs.right : styled.legs.left;
    return { leg, block, parts: chalked(order, (made) => hipMore(made, block)) };
  });
  const small = pieces.filter(({ part }) => !part.onFrame).flatMap((piece) => chalked([lay(piece)]));
  const cloth = clothPlan(
    legs.flatMap(({ parts }) => parts.map((p) => p.laid)),
    pieces,
    unit,
  );
  const foldMove = (part: ChalkedPart): UnnumberedMove => {
    const { grid, outline, part: of } = part.laid;
    const found = cloth.parts.find((c) => c.part === of.id);
    const bottom = Math.max(...outline.map(({ p0 }) => p0.y));
    return {
      part: of.id,
      id: 'straightEdge',
      kind: 'fold',
      say: `${of.name}. The straight edge, along the grain${choice.levels === 'hem' ? '' : '; square across it the start line'}.`,
      from: point(grid.x0, grid.y0),
      to: point(grid.x0, bottom),
      through: [],
      figure: found?.width ?? 0,
      rounded: found?.width ?? 0,
      sum: 'the widest of the piece, rounded up',
      slip: '',
    };
  };
  const moves = [
    ...legs.flatMap(({ parts, block }) => {
      const front = parts.find(({ laid: { part } }) => (part.like ?? part.id) === 'front');
      const kept = front && keptOn(source, block.front);
      const under = front && kept && centreForNow(front, kept, saying);
      const last: UnnumberedMove[] = [];
      const now = parts.flatMap((part) => {
        const on = back === 'front' && part !== front ? front : undefined;
        const begin = on ? [] : [foldMove(part)];
        const all = [...begin, ...movesOf(part, notchesOf(part.laid.part.id), saying, on, under)];
        if (part !== front || !kept) return all;
        const { now, last: after } = keepLast(all, part, kept, saying);
        last.push(...after);
        return now;
      });
      return [...now, ...last];
    }),
    ...small.flatMap((part) => movesOf(part, notchesOf(part.laid.part.id), saying)),
  ];
  const numbered = moves.map((move, i): ChalkMove => ({ ...move, n: i + 1 }));
  return {
    unit,
    tape,
    line: choice.line,
    back,
    cloth,
    before: beforeWords(source, choice, cloth, tape.tape, heldAt),
    moves: choice.points === 'letters' ? lettered(numbered) : numbered,
    parts: [...legs.flatMap(({ parts }) => parts), ...small],
    rounding: legs.map(({ leg, parts, block }) => ({ leg, ...roundingOf(parts, block) })),
  };
}
