import { transfer } from 'comlink';
import { takeHand } from '../shared/job.js';
import type { Painter } from '../workers/worn.worker.js';
import type { Look, Pointed } from './look.js';
import type { WornSide } from './worn-side.js';

const worker = (): Worker => new Worker(new URL('../workers/worn.worker.ts', import.meta.url), { type: 'module' });

/** Draws garments on a canvas away from the page: while one picture is drawn only the last that was asked for waits. */
export interface WornHand {
  readonly show: (sides: readonly WornSide[]) => void;
  readonly draw: (look: Look, pointed: Pointed | undefined, size: readonly [number, number], fine: number) => void;
  /** The place of a garment that is seen at a place of the canvas; nothing where another was asked for since. */
  readonly at: (across: number, down: number) => Promise<Pointed | undefined>;
  readonly leave: () => void;
}

/** Asks for one thing at a time; of what is asked meanwhile only the last is done. */
export function lastOnly<A extends readonly unknown[], T>(
  ask: (...of: A) => Promise<T>,
): (...of: A) => Promise<T | undefined> {
  let running: Promise<unknown> | undefined;
  let turn = 0;
  return async (...of) => {
    const mine = (turn += 1);
    while (running) await running;
    if (mine !== turn) return undefined;
    const answer = ask(...of);
    running = answer
      .catch(() => undefined)
      .finally(() => {
        running = undefined;
      });
    return answer;
  };
}

/**
 * Gives a canvas away to be drawn on in space; nothing where the machine cannot. The canvas cannot be drawn on by others
 * after that. `broken` is called where what draws breaks down later.
 */
export async function handOver(canvas: HTMLCanvasElement, broken: () => void): Promise<WornHand | undefined> {
  if (!('transferControlToOffscreen' in canvas)) return undefined;
  const hand = takeHand<Painter>(worker, 'The garments could not be drawn');
  const off = canvas.transferControlToOffscreen();
  const taken = await hand.ask((painter) => painter.take(transfer(off, [off]))).catch(() => false);
  if (!taken) {
    hand.stop();
    return undefined;
  }
  const draw = lastOnly((...of: Parameters<WornHand['draw']>) => hand.ask((painter) => painter.draw(...of)));
  const at = lastOnly((across: number, down: number) => hand.ask((painter) => painter.at(across, down)));
  return {
    show: (sides) => {
      hand.ask((painter) => painter.show(sides)).catch(broken);
    },
    draw: (...of) => {
      draw(...of).catch(broken);
    },
    at: (across, down) => at(across, down).catch(() => undefined),
    leave: hand.stop,
  };
}
