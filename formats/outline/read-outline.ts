import { endOf, joinChains, startOf, type Path, type Point } from '../../core/geometry/index.js';
import type { FileShape, OutlineFile } from '../../core/reference/index.js';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../../core/refusal/index.js';
import { readDxf } from './dxf-outline.js';
import { readSvg } from './svg-outline.js';

/** As large as a file may be, in bytes. */
const MOST_BYTES = 20 * 1024 * 1024;

/** The refusal of a file that is too large, before it is read; nothing for others. */
export const tooLarge = (name: string, bytes: number): Outcome<never, FileRefusal> | undefined =>
  bytes <= MOST_BYTES
    ? undefined
    : refused(fileRefusal('reference', 'outlineTooLarge', { file: name, bytes, most: MOST_BYTES }));

/** Ends within this share of the drawing's size are one: a tenth of a millimetre on a piece a metre long. */
const JOINED = 1e-4;

/** A line by its ends and the middle of all it runs by, whichever way it runs: drawn twice it is kept once. */
function signOf(path: Path, round: number): string {
  const near = (n: number): number => Math.round(n / round);
  const ends = [startOf(path), endOf(path)].map((p) => `${near(p.x)} ${near(p.y)}`).sort();
  const middle = (of: (p: Point) => number): number =>
    near(path.reduce((sum, c) => sum + of(c.p0) + of(c.p1) + of(c.p2) + of(c.p3), 0));
  return `${ends.join(' ')} ${middle((p) => p.x)} ${middle((p) => p.y)} ${path.length}`;
}

/**
 * The lines joined into outlines: within each layer first, then what is left of all; lines drawn twice are kept once.
 */
function joined(file: OutlineFile): OutlineFile {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { path } of file.shapes) {
    for (const { p0, p3 } of path) {
      minX = Math.min(minX, p0.x, p3.x);
      maxX = Math.max(maxX, p0.x, p3.x);
      minY = Math.min(minY, p0.y, p3.y);
      maxY = Math.max(maxY, p0.y, p3.y);
    }
  }
  const within = JOINED * Math.hypot(maxX - minX, maxY - minY);
  if (!(within > 0)) return { ...file, shapes: [] };
  const seen = new Set<string>();
  const layers = new Map<string, FileShape[]>();
  let twice = 0;
  for (const shape of file.shapes) {
    const sign = signOf(shape.path, within);
    if (seen.has(sign)) {
      twice += 1;
      continue;
    }
    seen.add(sign);
    const here = layers.get(shape.layer);
    if (here) here.push(shape);
    else layers.set(shape.layer, [shape]);
  }
  const closed: FileShape[] = [];
  const loose: FileShape[] = [];
  for (const [layer, shapes] of layers) {
    for (const shape of shapes) if (shape.closed) closed.push(shape);
    const open = shapes.filter((s) => !s.closed).map((s) => s.path);
    for (const chain of joinChains(open, within)) (chain.closed ? closed : loose).push({ ...chain, layer });
  }
  const layerOf = new Map(loose.flatMap(({ path, layer }) => path.map((c) => [c, layer] as const)));
  const across = joinChains(
    loose.map((s) => s.path),
    within,
  ).map((chain): FileShape => {
    const known = chain.path.map((c) => layerOf.get(c)).find((layer) => layer !== undefined);
    return { ...chain, layer: known ?? '' };
  });
  const told = twice > 0 ? [{ what: 'lines drawn twice', count: twice }] : [];
  return { ...file, shapes: [...closed, ...across], leftOut: [...file.leftOut, ...told] };
}

/**
 * Reads an outline from the text of an SVG or DXF file, as far as it is sound, with what was left out. Refuses a text
 * that is neither, in a sentence.
 */
export function readOutline(name: string, text: string): Outcome<OutlineFile, FileRefusal> {
  const large = tooLarge(name, text.length);
  if (large) return large;
  if (text.includes('\u0000')) {
    return refused(fileRefusal('reference', 'outlineBinary', { file: name }));
  }
  const head = text.slice(0, 4000).trimStart();
  if (head.startsWith('<') || /<(\w+:)?svg\b/.test(head)) {
    const svg = readSvg(name, text);
    return svg ? good(joined(svg)) : refused(fileRefusal('reference', 'outlineWithoutDrawing', { file: name }));
  }
  if (!/^\s*0\s*$/m.test(head) && !/\bSECTION\b/.test(head)) {
    return refused(fileRefusal('reference', 'outlineForeign', { file: name }));
  }
  return good(joined(readDxf(name, text)));
}
