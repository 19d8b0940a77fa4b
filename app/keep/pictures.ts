import type { DraftInput } from '../../core/chain/index.js';
import { takeHand, type Hand } from '../shared/job.js';
import type { Outlines } from '../shared/outlines.js';
import type { Painter } from '../workers/picture.worker.js';

/** What takes longer than this, in ms, has no picture: the others need not wait for it. */
const LONGEST_MS = 4000;

let hand: Hand<Painter> | undefined;
let before: Promise<unknown> = Promise.resolve();

const painterNow = (): Hand<Painter> =>
  (hand ??= takeHand<Painter>(
    () => new Worker(new URL('../workers/picture.worker.ts', import.meta.url), { type: 'module' }),
    'The picture could not be drawn',
  ));

/** Draws one: nothing where it cannot be drawn or takes too long, and then with a new hand for the next. */
async function drawOne(input: DraftInput): Promise<Outlines | null> {
  let timer: number | undefined;
  const over = new Promise<never>((_, fail) => {
    timer = window.setTimeout(() => {
      fail(new Error('It takes too long to draw'));
    }, LONGEST_MS);
  });
  try {
    return (await Promise.race([painterNow().ask((painter) => painter.outlines(input)), over])) ?? null;
  } catch {
    hand?.stop();
    hand = undefined;
    return null;
  } finally {
    window.clearTimeout(timer);
  }
}

/** The outlines of a draft, drawn off the page, one draft after the other; nothing where there are none. */
export function outlinesLater(input: DraftInput): Promise<Outlines | null> {
  const drawn = before.then(() => drawOne(input));
  before = drawn;
  return drawn;
}
