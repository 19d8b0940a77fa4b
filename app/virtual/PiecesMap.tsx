import { useEffect, useMemo, useRef, type PointerEvent } from 'react';
import type { Hung } from '../../core/sew/index.js';
import { useHanging } from '../worn/hang-store.js';

interface PiecesMapProps {
  readonly hung: Hung;
  readonly colours: readonly Float32Array[];
}

/** Between the pieces and round them, in mm. */
const ROOM = 40;

/** Where the pieces lie beside one another: how far each is moved, and what they take all together, in mm. */
function layOf({ parts }: Hung): {
  readonly moved: readonly (readonly [number, number])[];
  readonly size: readonly [number, number];
} {
  let [x, high] = [ROOM, 0];
  const moved = parts.map(({ flat }): readonly [number, number] => {
    const xs = flat.filter((_, i) => i % 2 === 0);
    const ys = flat.filter((_, i) => i % 2 === 1);
    const [left, top] = [xs.reduce((a, b) => Math.min(a, b)), ys.reduce((a, b) => Math.min(a, b))];
    const move = [x - left, ROOM - top] as const;
    x += xs.reduce((a, b) => Math.max(a, b)) - left + ROOM;
    high = Math.max(high, ys.reduce((a, b) => Math.max(a, b)) - top + 2 * ROOM);
    return move;
  });
  return { moved, size: [x, high] };
}

/** The pieces with the colours that they have on the body: what is pointed at on the one is lit on the other. */
export function PiecesMap({ hung, colours }: PiecesMapProps) {
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
        if (pointed?.part !== part.part) continue;
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
  }, [hung, colours, lay, pointed]);
  const point = (event: PointerEvent): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = scaleOf([box.width, box.height], lay.size);
    const [x, y] = [(event.clientX - box.left) / scale, (event.clientY - box.top) / scale];
    set({ pointed: nearest(hung, lay.moved, x, y) });
  };
  return (
    <canvas
      ref={canvas}
      className="worn-pieces"
      role="img"
      aria-label={`The pieces in the same colours: ${hung.parts.map((p) => p.name.toLowerCase()).join(' and ')}`}
      onPointerMove={point}
      onPointerDown={point}
      onPointerLeave={() => {
        set({ pointed: undefined });
      }}
    />
  );
}

const scaleOf = ([width, height]: readonly [number, number], [wide, high]: readonly [number, number]): number =>
  Math.min(width / wide, height / high);

/** So near a place of a piece must be pointed at, in mm. */
const NEAR = 25;

/** The place of a piece that is nearest to where one points; nothing away from all of them. */
function nearest(
  { parts }: Hung,
  moved: readonly (readonly [number, number])[],
  x: number,
  y: number,
): { readonly part: string; readonly place: number } | undefined {
  let [least, found]: [number, { part: string; place: number } | undefined] = [NEAR * NEAR, undefined];
  for (const [m, { part, flat }] of parts.entries()) {
    const [dx, dy] = moved[m] ?? [0, 0];
    for (let i = 0; i < flat.length / 2; i++) {
      const far = ((flat[2 * i] as number) + dx - x) ** 2 + ((flat[2 * i + 1] as number) + dy - y) ** 2;
      if (far < least) [least, found] = [far, { part, place: i }];
    }
  }
  return found;
}
