import { useEffect, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Leg } from '../../core/draft/index.js';
import type { HungLeg } from '../../core/sew/index.js';
import { useHanging } from '../worn/hang-store.js';
import { beside, layOf, nearest, type Place } from './pieces-lay.js';

interface PiecesMapProps {
  readonly leg: Leg;
  readonly hung: HungLeg;
  readonly colours: readonly Float32Array[];
}

/** The pieces with the colours that they have on the body: what is pointed at on the one is lit on the other. */
export function PiecesMap({ leg, hung, colours }: PiecesMapProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pointed = useHanging((s) => s.pointed);
  const set = useHanging((s) => s.set);
  const lay = useMemo(() => layOf(hung), [hung]);
  useEffect(() => {
    const at = canvas.current;
    if (!at) return undefined;
    const draw = (): void => {
      const { width, height } = at.getBoundingClientRect();
      const fine = Math.min(2, window.devicePixelRatio);
      at.width = width * fine;
      at.height = height * fine;
      const ink = at.getContext('2d');
      if (!ink) return;
      const scale = fine * scaleOf([width, height], lay.size);
      for (const [m, part] of hung.parts.entries()) {
        const [dx, dy] = lay.moved[m] ?? [0, 0];
        const own = colours[m];
        const place = (i: number): readonly [number, number] => [
          ((part.flat[2 * i] as number) + dx) * scale,
          ((part.flat[2 * i + 1] as number) + dy) * scale,
        ];
        for (let t = 0; t < part.triangles.length; t += 3) {
          const [a, b, c] = [0, 1, 2].map((k) => part.triangles[t + k] as number) as [number, number, number];
          ink.fillStyle = `rgb(${[0, 1, 2].map((k) => Math.round(255 * (own?.[3 * a + k] ?? 1))).join(' ')})`;
          ink.strokeStyle = ink.fillStyle;
          ink.beginPath();
          ink.moveTo(...place(a));
          ink.lineTo(...place(b));
          ink.lineTo(...place(c));
          ink.closePath();
          ink.fill();
          ink.stroke();
        }
        if (pointed?.part !== part.part || pointed.leg !== leg) continue;
        ink.beginPath();
        ink.arc(...place(pointed.place), 6 * fine, 0, 2 * Math.PI);
        ink.strokeStyle = getComputedStyle(at).getPropertyValue('--hand');
        ink.lineWidth = 2 * fine;
        ink.stroke();
        ink.lineWidth = 1;
      }
    };
    draw();
    const watch = new ResizeObserver(draw);
    watch.observe(at);
    return () => {
      watch.disconnect();
    };
  }, [leg, hung, colours, lay, pointed]);
  const show = (found: Place | undefined): void => {
    set({ pointed: found && { leg, ...found } });
  };
  const point = (event: PointerEvent): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = scaleOf([box.width, box.height], lay.size);
    show(nearest(hung, lay.moved, (event.clientX - box.left) / scale, (event.clientY - box.top) / scale));
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape' && pointed) {
      event.stopPropagation();
      show(undefined);
    }
    const way = WAYS[event.key];
    if (!way) return;
    event.preventDefault();
    show(beside(hung, lay.moved, pointed?.leg === leg ? pointed : undefined, way));
  };
  return (
    <canvas
      ref={canvas}
      className="worn-pieces"
      role="img"
      tabIndex={0}
      aria-label={`The pieces in the same colours: ${hung.parts.map((p) => p.name.toLowerCase()).join(' and ')}. Arrow keys go from place to place.`}
      onPointerMove={point}
      onPointerDown={point}
      onPointerLeave={() => {
        show(undefined);
      }}
      onKeyDown={onKey}
    />
  );
}

/** Where an arrow key leads to. */
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const scaleOf = ([width, height]: readonly [number, number], [wide, high]: readonly [number, number]): number =>
  Math.min(width / wide, height / high);
