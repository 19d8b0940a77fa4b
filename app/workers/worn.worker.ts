import { expose } from 'comlink';
import type { Look, Pointed } from '../worn/look.js';
import { wornStage, type WornStage } from '../worn/worn-stage.js';
import type { WornSide } from '../worn/worn-side.js';

let stage: WornStage | undefined;
let shown: readonly WornSide[] = [];

const painter = {
  /** Takes a canvas to draw on; false where the machine draws nothing in space. */
  take: (canvas: OffscreenCanvas): boolean => {
    stage = wornStage(canvas);
    return stage !== undefined;
  },
  /** The garments to be drawn from now on. */
  show: (sides: readonly WornSide[]): void => {
    shown = sides;
  },
  /** Draws what is shown, seen from a look. */
  draw: (look: Look, pointed: Pointed | undefined, size: readonly [number, number], fine: number): void => {
    stage?.draw({ sides: shown, look, pointed }, size, fine);
  },
  /** The place of a garment that is seen at a place of the canvas, from nought to one across and down. */
  at: (across: number, down: number): Pointed | undefined => stage?.at(across, down),
};

/** What the worker does that draws garments in space. */
export type Painter = typeof painter;

expose(painter);
