import { readLength } from '../units/index.js';
import type { Slip } from './slip.js';
import type { SetSum } from './sums.js';
import { lengthSaid } from './sum-words.js';

/** What an answer to a sum is: right, near, a slip (or one of several), wrong; or no length at all. */
export type Judged =
  | { readonly verdict: 'right' | 'near' | 'wrong'; readonly said: string }
  | { readonly verdict: 'slip'; readonly said: string; readonly slips: readonly Slip[] }
  | { readonly verdict: 'unread'; readonly said: string };

/** So many steps of the tape beside the right answer are near. */
const NEAR_STEPS = 2;
/** So many slips are told of one answer. */
const MOST_TOLD = 3;

/** An answer in mm held against a sum: right to half a step of the tape; else the slips that give it; else near, or wrong. */
export function judgeLength(sum: SetSum, mm: number): Exclude<Judged, { verdict: 'unread' }> {
  const { right, step, unit, told } = sum;
  const off = Math.abs(mm - right);
  const within = step / 2 + 1e-6;
  if (off <= within) return { verdict: 'right', said: `Right: ${told}.` };
  const slips = sum.slips
    .filter((s) => Math.abs(mm - s.mm) <= within)
    .sort((a, b) => Math.abs(mm - a.mm) - Math.abs(mm - b.mm))
    .slice(0, MOST_TOLD);
  if (slips.length > 0) {
    const said = slips.map((s) => s.said).join(' Or: ');
    return { verdict: 'slip', slips, said: `${said} The sum is ${told}.` };
  }
  if (off <= NEAR_STEPS * step + 1e-6) {
    return { verdict: 'near', said: `Near: ${lengthSaid(off, unit)} too ${mm > right ? 'much' : 'little'}. ${told}.` };
  }
  return {
    verdict: 'wrong',
    said: `${lengthSaid(off, unit)} too ${mm > right ? 'much' : 'little'}. The sum is ${told}.`,
  };
}

/** An answer as it was typed, in the sum's unit or with another one written. */
export function judgeSum(sum: SetSum, text: string): Judged {
  const read = readLength(text, sum.unit);
  if (!read.ok) {
    const example = sum.unit === 'in' ? '10 3/4' : '27.3';
    return { verdict: 'unread', said: `${sum.label}: ${read.reason}. Type a figure such as ${example}.` };
  }
  return judgeLength(sum, read.mm);
}
