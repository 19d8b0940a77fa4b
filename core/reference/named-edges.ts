import { EDGE_NAMES, type EdgeName, type Panel } from '../draft/index.js';
import { distance, endOf, joinChains, pathLength, reversePath, startOf, type Path } from '../geometry/index.js';
import type { LaidShape } from './reference.js';

/** Stretches whose ends lie within this of one another, in mm, run on into one another. */
const JOINED = 0.5;

/** A seam of the outline: all stretches of one name. Panel coordinates, mm. */
export interface NamedEdge {
  readonly length: number;
  /** As one line run as the draft's edge is, if the stretches follow one another. */
  readonly path: Path | undefined;
  readonly lines: readonly Path[];
}

/** Runs a seam the way the draft's runs. */
function likeDraft(path: Path, edge: Path): Path {
  const straight = distance(startOf(path), startOf(edge)) + distance(endOf(path), endOf(edge));
  const turned = distance(startOf(path), endOf(edge)) + distance(endOf(path), startOf(edge));
  return turned < straight ? reversePath(path) : path;
}

/** The seams of a laid outline by their names; a seam that no stretch is named for is not there. */
export function namedEdges(outline: readonly LaidShape[], panel: Panel): ReadonlyMap<EdgeName, NamedEdge> {
  const found = new Map<EdgeName, NamedEdge>();
  for (const edge of EDGE_NAMES) {
    const lines = outline.flatMap((shape) =>
      shape.stretches.filter((s) => s.name === edge && s.path.length > 0).map((s) => s.path),
    );
    if (lines.length === 0) continue;
    const chains = joinChains(lines, JOINED);
    const [only] = chains;
    found.set(edge, {
      length: lines.reduce((sum, path) => sum + pathLength(path), 0),
      path: chains.length === 1 && only && !only.closed ? likeDraft(only.path, panel.edges[edge]) : undefined,
      lines,
    });
  }
  return found;
}
