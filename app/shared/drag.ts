import type { Point } from '../../core/geometry/index.js';

/** How far a hand has pulled: where on the screen it took hold, where it is now, and the keys it holds. */
export interface Pull {
  readonly from: Point;
  readonly to: Point;
  /** Shift: a finer step. */
  readonly fine: boolean;
  /** Ctrl or Alt: what is pulled goes alone. */
  readonly alone: boolean;
}

/** What a drag does with the thing that is held. */
export interface DragActs<Held> {
  /** Shows where it would come to lie; at most once a frame. */
  readonly move: (held: Held, pull: Pull) => void;
  /** Keeps it where it was shown last. Only after a move. */
  readonly drop: (held: Held, pull: Pull) => void;
  /** Lets it lie as it lay: Escape, a broken off touch, or a press that pulled nothing. */
  readonly giveUp: (held: Held) => void;
}

/** Where frames are asked for: the window's, or a test's own. */
export interface Frames {
  readonly ask: (draw: () => void) => number;
  readonly cancel: (frame: number) => void;
}

/** One drag after the other, of whatever pointer took hold first. */
export interface DragHand<Held> {
  readonly down: (pointer: number, held: Held, at: Point) => void;
  /** True where this pointer holds something. */
  readonly moved: (pointer: number, to: Point, keys: Pick<Pull, 'fine' | 'alone'>) => boolean;
  /** True where this pointer held something. */
  readonly up: (pointer: number) => boolean;
  /** Gives up what is held, by whatever pointer or by this one only. True where something was held. */
  readonly giveUp: (pointer?: number) => boolean;
}

interface Grip<Held> {
  readonly held: Held;
  readonly pointer: number;
  readonly from: Point;
  pull: Pull | undefined;
}

/**
 * The hand of a drag, without a page: moves are gathered and told once a frame, the last of them before it is dropped;
 * a second pointer is not heeded while the first holds something.
 */
export function dragHand<Held>(acts: () => DragActs<Held>, frames: Frames): DragHand<Held> {
  let grip: Grip<Held> | undefined;
  let frame: number | undefined;
  const rest = (): void => {
    if (frame !== undefined) frames.cancel(frame);
    frame = undefined;
    grip = undefined;
  };
  return {
    down: (pointer, held, at) => {
      if (!grip) grip = { held, pointer, from: at, pull: undefined };
    },
    moved: (pointer, to, keys) => {
      if (grip?.pointer !== pointer) return false;
      grip.pull = { from: grip.from, to, ...keys };
      frame ??= frames.ask(() => {
        frame = undefined;
        if (grip?.pull) acts().move(grip.held, grip.pull);
      });
      return true;
    },
    up: (pointer) => {
      if (grip?.pointer !== pointer) return false;
      const { held, pull } = grip;
      rest();
      if (pull) acts().drop(held, pull);
      else acts().giveUp(held);
      return true;
    },
    giveUp: (pointer) => {
      if (!grip || (pointer !== undefined && grip.pointer !== pointer)) return false;
      const { held } = grip;
      rest();
      acts().giveUp(held);
      return true;
    },
  };
}
