import type { Point } from '../geometry/index.js';
import type { Tape } from '../units/index.js';
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
  /** What is said before it, where it is kept until the back is cut. */
  readonly keptLast?: string;
  /** The letter of a point, or of the ends of a line, where points are lettered. */
  readonly letter?: string;
}

/** A move before it has its number. */
export type UnnumberedMove = Omit<ChalkMove, 'n'>;

/** What the words of moves are made with. */
export interface Saying {
  readonly tape: Tape;
  /** Where the tape is held at the start line, in mm: the depth of a band that the figures count, or nothing. */
  readonly heldAt: number;
  /** Where levels are read from: down from the start line at the waist, or up from the line of the hem. */
  readonly levelsFrom: 'waist' | 'hem';
  readonly sumOf: SumOf;
}

export const NO_SUM = 'as it is drawn';

/** A distance smaller than this, in mm, is none. */
export const NOTHING = 0.01;

/** A sentence begun. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
