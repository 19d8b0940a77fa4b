import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useDrag } from '../shared/use-drag.js';
import { FRONT, useHanging, type Look } from './hang-store.js';
import type { WornSide } from './worn-side.js';
import { paintWorn } from './worn-paint.js';
import type { WornStage } from './worn-stage.js';
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
  const canvas = useRef<HTMLCanvasElement>(null);
  const [stage, setStage] = useState<WornStage | 'flat'>();
  const set = useHanging((s) => s.set);
  useEffect(() => {
    let [gone, made]: [boolean, WornStage | undefined] = [false, undefined];
    import('./worn-stage.js')
      .then(({ wornStage }) => {
        if (gone || !canvas.current) return;
        made = wornStage(canvas.current);
        setStage(made ?? 'flat');
      })
      .catch(() => {
        setStage('flat');
      });
    return () => {
      gone = true;
      made?.leave();
    };
  }, []);

  useEffect(() => {
    const [at, box] = [canvas.current, frame.current];
    if (!stage || !at || !box) return undefined;
    const draw = (): void => {
      const { width, height } = box.getBoundingClientRect();
      const fine = Math.min(2, window.devicePixelRatio);
      const { look, pointed } = useHanging.getState();
      const seen = { sides, look, pointed };
      if (stage === 'flat') paintWorn(at, seen, [width, height], fine);
      else stage.draw(seen, [width, height], fine);
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
  }, [stage, sides]);

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
  return (
    <div className="worn-frame" ref={frame}>
      <canvas
        ref={canvas}
        className="worn-canvas"
        role="img"
        tabIndex={0}
        aria-label={`${label}. Arrow keys turn it, plus and minus bring it nearer.`}
        data-drawn={stage === undefined ? 'not yet' : stage === 'flat' ? 'flat' : 'in space'}
        onKeyDown={onKey}
        onWheel={(event) => {
          turn((look) => ({ near: look.near * (event.deltaY < 0 ? STEP.near : 1 / STEP.near) }));
        }}
        {...handlers}
        onPointerMove={(event) => {
          handlers.onPointerMove(event);
          if (event.buttons !== 0 || stage === undefined || stage === 'flat') return;
          const box = event.currentTarget.getBoundingClientRect();
          const [across, down] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
          set({ pointed: stage.at(across, down) });
        }}
        onPointerLeave={() => {
          set({ pointed: undefined });
        }}
      />
    </div>
  );
}
