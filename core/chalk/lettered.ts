import type { Point } from '../geometry/index.js';
import type { ChalkMove } from './chalk-move.js';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The letter of the point that is drawn as number `i`, from 0: A to Z, then AA, AB and on. */
export const letterOf = (i: number): string =>
  i < LETTERS.length
    ? (LETTERS[i] as string)
    : letterOf(Math.floor(i / LETTERS.length) - 1) + letterOf(i % LETTERS.length);

const keyOf = (part: string, { x, y }: Point): string => `${part} ${x.toFixed(2)} ${y.toFixed(2)}`;

/** Moves with their points lettered in the order of drawing, and each line named by the letters of its ends. */
export function lettered(moves: readonly ChalkMove[]): readonly ChalkMove[] {
  const letters = new Map<string, string>();
  return moves
    .map((move): ChalkMove => {
      if (move.kind !== 'point') return move;
      const key = keyOf(move.part, move.to);
      const letter = letters.get(key) ?? letterOf(letters.size);
      letters.set(key, letter);
      return { ...move, letter };
    })
    .map((move): ChalkMove => {
      if (move.kind !== 'line' && move.kind !== 'curve') return move;
      const ends = [move.from, move.to].map((p) => letters.get(keyOf(move.part, p)));
      return ends.every((letter) => letter !== undefined) ? { ...move, letter: ends.join(' to ') } : move;
    });
}
