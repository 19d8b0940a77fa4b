import { LEGS } from '../../core/draft/index.js';
import type { Look } from './look.js';
import { WORN_COLOURS, type Rgb } from './worn-colours.js';
import { extentOf, placeOf, type Seen, type WornSide } from './worn-side.js';

/** How much more than the body is seen. */
const ROOM = 1.12;
/** How light what is turned away from the light still is. */
const SHADE = 0.55;

interface Face {
  readonly far: number;
  readonly corners: readonly number[];
  readonly colour: Rgb;
  readonly light: number;
}

/** Turns a place to where it is seen from a look: across, up, and how near. */
const seenFrom = (
  { turn, tip }: Look,
  middle: number,
): ((x: number, y: number, z: number) => readonly [number, number, number]) => {
  const [c, s, ct, st] = [Math.cos(turn), Math.sin(turn), Math.cos(tip), Math.sin(tip)];
  return (x, y, z) => {
    const near = x * s + z * c;
    const up = y - middle;
    return [x * c - z * s, up * ct - near * st, near * ct + up * st];
  };
};

/** The triangles of both halves of a side as they are seen, farthest first (painter's algorithm). */
function facesOf({ halves, body }: WornSide, look: Look, middle: number): Face[] {
  const seen = seenFrom(look, middle);
  const faces: Face[] = [];
  const lay = (way: 1 | -1, places: Float32Array, triangles: Uint32Array, colourAt: (i: number) => Rgb): void => {
    for (let t = 0; t < triangles.length; t += 3) {
      const of = [0, 1, 2].map((k) => {
        const i = 3 * (triangles[t + k] as number);
        return seen(way * (places[i] as number), places[i + 1] as number, places[i + 2] as number);
      }) as [readonly [number, number, number], readonly [number, number, number], readonly [number, number, number]];
      const [a, b, c] = of;
      const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
      const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
      const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
      const long = Math.hypot(nx, ny, nz) || 1;
      faces.push({
        far: a[2] + b[2] + c[2],
        corners: [a[0], a[1], b[0], b[1], c[0], c[1]],
        colour: colourAt(triangles[t] as number),
        light: SHADE + (1 - SHADE) * Math.abs((0.3 * nx + 0.4 * ny + 0.87 * nz) / long),
      });
    }
  };
  for (const leg of LEGS) {
    const way = leg === 'left' ? 1 : -1;
    const { hung, colours } = halves[leg];
    lay(way, body.places, body.triangles, () => WORN_COLOURS.body);
    for (const [m, part] of hung.parts.entries()) {
      const own = colours[m];
      lay(way, part.places, part.triangles, (i) => [own?.[3 * i] ?? 1, own?.[3 * i + 1] ?? 1, own?.[3 * i + 2] ?? 1]);
    }
  }
  return faces.sort((a, b) => a.far - b.far);
}

/** Paints garments flat, as they are seen from a look: for paper, and for machines that draw nothing in space. */
export function paintWorn(
  canvas: HTMLCanvasElement,
  { sides, look, pointed }: Seen,
  [width, height]: readonly [number, number],
  fine: number,
): void {
  canvas.width = width * fine;
  canvas.height = height * fine;
  const ink = canvas.getContext('2d');
  if (!ink) return;
  const { middle, reach } = extentOf(sides);
  const wide = (width * fine) / Math.max(1, sides.length);
  const scale = (Math.min((height * fine) / 2, wide * 0.8) / (ROOM * reach)) * look.near;
  const lift = look.near > 1 ? reach * 0.5 * Math.min(1, look.near - 1) : 0;
  for (const [i, side] of sides.entries()) {
    ink.save();
    ink.beginPath();
    ink.rect(i * wide, 0, wide, canvas.height);
    ink.clip();
    ink.translate((i + 0.5) * wide, canvas.height / 2 + lift * scale);
    for (const { corners, colour, light } of facesOf(side, look, middle)) {
      const [ax, ay, bx, by, cx, cy] = corners as [number, number, number, number, number, number];
      const shade = colour.map((v) => Math.round(255 * v * light)).join(' ');
      ink.fillStyle = `rgb(${shade})`;
      ink.strokeStyle = ink.fillStyle;
      ink.beginPath();
      ink.moveTo(ax * scale, -ay * scale);
      ink.lineTo(bx * scale, -by * scale);
      ink.lineTo(cx * scale, -cy * scale);
      ink.closePath();
      ink.fill();
      ink.stroke();
    }
    const pin = i === sides.length - 1 ? placeOf(side, pointed) : undefined;
    if (pin) {
      const [x, y] = seenFrom(look, middle)(...pin);
      ink.strokeStyle = `rgb(${WORN_COLOURS.mark.map((v) => Math.round(255 * v)).join(' ')})`;
      ink.lineWidth = 3 * fine;
      ink.beginPath();
      ink.arc(x * scale, -y * scale, 6 * fine, 0, 2 * Math.PI);
      ink.stroke();
    }
    ink.restore();
  }
}
