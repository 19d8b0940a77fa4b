import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useDrag } from '../shared/use-drag.js';
import { useHanging } from './hang-store.js';
import { FRONT, type Look } from './look.js';
import { handOver, type WornHand } from './worn-hand.js';
import type { WornSide } from './worn-side.js';
import { paintWorn } from './worn-paint.js';
import './worn.css';

/** How far a key turns, tips and comes nearer. */
const STEP = { turn: Math.PI / 12, tip: 0.08, near: 1.15 } as const;
const NEAR = { least: 0.7, most: 5 } as const;
const TIPPED = 1.2;
/** A pull of so many pixels turns it by one radian. */
const PULL = { turn: 160, tip: 240 } as const;

/** A look held to what can be seen. */
const held = ({ turn, tip, near }: Look): Look => ({
  turn,
  tip: Math.min(TIPPED, Math.max(-TIPPED, tip)),
  near: Math.min(NEAR.most, Math.max(NEAR.least, near)),
});

/** What a key does to a look. */
const KEYS: Readonly<Record<string, (look: Look) => Partial<Look>>> = {
  ArrowLeft: ({ turn }) => ({ turn: turn + STEP.turn }),
  ArrowRight: ({ turn }) => ({ turn: turn - STEP.turn }),
  ArrowUp: ({ tip }) => ({ tip: tip - STEP.tip }),
  ArrowDown: ({ tip }) => ({ tip: tip + STEP.tip }),
  '+': ({ near }) => ({ near: near * STEP.near }),
  '-': ({ near }) => ({ near: near / STEP.near }),
  Home: () => FRONT,
};

/** What is drawn on, and the hand that draws on it in space; without one it is painted flat. */
interface Drawn {
  readonly canvas: HTMLCanvasElement;
  readonly hand?: WornHand;
}

interface WornCanvasProps {
  readonly sides: readonly WornSide[];
  readonly label: string;
}

/**
 * Garments as they hang, beside one another and turned together: by hand, by the wheel and by keys. Where the machine
 * draws nothing in space they are painted flat.
 */
export function WornCanvas({ sides, label }: WornCanvasProps) {
  const frame = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState<Drawn>();
  const set = useHanging((s) => s.set);
  useEffect(() => {
    const box = frame.current;
    if (!box) return undefined;
    const canvasIn = (): HTMLCanvasElement => {
      const canvas = document.createElement('canvas');
      box.replaceChildren(canvas);
      return canvas;
    };
    let [gone, hand]: [boolean, WornHand | undefined] = [false, undefined];
    const paint = (): void => {
      // A canvas that was given away cannot be taken back.
      if (!gone) setDrawn({ canvas: canvasIn() });
    };
    const canvas = canvasIn();
    handOver(canvas, paint)
      .then((made) => {
        hand = made;
        if (gone) made?.leave();
        else if (made) setDrawn({ canvas, hand: made });
        else paint();
      })
      .catch(paint);
    return () => {
      gone = true;
      hand?.leave();
      box.replaceChildren();
    };
  }, []);

  useEffect(() => {
    drawn?.hand?.show(sides);
  }, [drawn, sides]);

  useEffect(() => {
    const box = frame.current;
    if (!drawn || !box) return undefined;
    const draw = (): void => {
      const { width, height } = box.getBoundingClientRect();
      const fine = Math.min(2, window.devicePixelRatio);
      const { look, pointed } = useHanging.getState();
      if (drawn.hand) drawn.hand.draw(look, pointed, [width, height], fine);
      else paintWorn(drawn.canvas, { sides, look, pointed }, [width, height], fine);
    };
    // Once a frame at most, however often it is turned within it.
    let frameAsked = 0;
    const ask = (): void => {
      cancelAnimationFrame(frameAsked);
      frameAsked = requestAnimationFrame(draw);
    };
    draw();
    const watch = new ResizeObserver(ask);
    watch.observe(box);
    const forget = useHanging.subscribe((now, before) => {
      if (now.look !== before.look || now.pointed !== before.pointed) ask();
    });
    return () => {
      cancelAnimationFrame(frameAsked);
      watch.disconnect();
      forget();
    };
  }, [drawn, sides]);

  const { on } = useDrag<Look>({
    move: (from, { from: at, to }) => {
      set({
        look: held({ ...from, turn: from.turn - (to.x - at.x) / PULL.turn, tip: from.tip + (to.y - at.y) / PULL.tip }),
      });
    },
    drop: () => undefined,
    giveUp: (from) => {
      set({ look: from });
    },
  });

  const handlers = on(() => useHanging.getState().look);
  const turn = (change: (look: Look) => Partial<Look>): void => {
    const { look } = useHanging.getState();
    set({ look: held({ ...look, ...change(look) }) });
  };
  const onKey = (event: KeyboardEvent): void => {
    const change = KEYS[event.key];
    if (!change) return;
    event.preventDefault();
    turn(change);
  };
  const over = useRef(false);
  return (
    <div className="worn-frame">
      <div
        ref={frame}
        className="worn-canvas"
        role="img"
        tabIndex={0}
        aria-label={`${label}. Arrow keys turn it, plus and minus bring it nearer.`}
        data-drawn={drawn === undefined ? 'not yet' : drawn.hand ? 'in space' : 'flat'}
        onKeyDown={onKey}
        onWheel={(event) => {
          turn(({ near }) => ({ near: near * (event.deltaY < 0 ? STEP.near : 1 / STEP.near) }));
        }}
        {...handlers}
        onPointerMove={(event) => {
          handlers.onPointerMove(event);
          if (event.buttons !== 0 || !drawn?.hand) return;
          over.current = true;
          const box = event.currentTarget.getBoundingClientRect();
          const [across, down] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
          void drawn.hand.at(across, down).then((pointed) => {
            if (over.current) set({ pointed });
          });
        }}
        onPointerLeave={() => {
          over.current = false;
          set({ pointed: undefined });
        }}
      />
    </div>
  );
}
