import svgpath from 'svgpath';
import { cubic, distance, line, type Cubic, type Path, type Point } from '../core/geometry/index.js';

/** A run of a path from one move to the next. */
export interface Subpath {
  /** As it is drawn; where it is closed, the way back to its start among it. */
  readonly path: Path;
  readonly closed: boolean;
}

/** What the data of an SVG path holds, and what was wrong with it: what comes before a fault is sound. */
export interface PathData {
  readonly subpaths: readonly Subpath[];
  readonly fault: string | undefined;
}

/** Reads the data of an SVG path, arcs and all, as cubics in its own units. */
export function readPathData(data: string): PathData {
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { readonly err?: string };
  const fault = parsed.err ? parsed.err.replace(/^SvgPath: /, '') : undefined;
  const subpaths: Subpath[] = [];
  let path: Cubic[] = [];
  let start: Point = { x: 0, y: 0 };
  const close = (closed: boolean): void => {
    if (path.length > 0) subpaths.push({ path, closed });
    path = [];
  };
  parsed
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _, x, y) => {
      const [kind, ...n] = segment as [string, ...number[]];
      const from: Point = { x, y };
      const at = (i: number): Point => ({ x: n[i] ?? NaN, y: n[i + 1] ?? NaN });
      if (kind === 'M') {
        close(false);
        start = at(0);
      } else if (kind === 'L') path.push(line(from, at(0)));
      else if (kind === 'H') path.push(line(from, { x: n[0] ?? NaN, y }));
      else if (kind === 'V') path.push(line(from, { x, y: n[0] ?? NaN }));
      else if (kind === 'C') path.push(cubic(from, at(0), at(2), at(4)));
      else if (kind === 'Q') {
        const [q, to] = [at(0), at(2)];
        const toward = (p: Point): Point => ({ x: p.x + (2 / 3) * (q.x - p.x), y: p.y + (2 / 3) * (q.y - p.y) });
        path.push(cubic(from, toward(from), toward(to), to));
      } else if (kind === 'Z' || kind === 'z') {
        if (distance(from, start) > 0) path.push(line(from, start));
        close(true);
      }
    });
  close(false);
  const whole = (c: Cubic): boolean =>
    [c.p0, c.p1, c.p2, c.p3].every((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
  const sound = subpaths.filter((s) => s.path.every(whole));
  return { subpaths: sound, fault: fault ?? (sound.length < subpaths.length ? 'a figure is no number' : undefined) };
}
