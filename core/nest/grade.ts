import type { NestPart } from './nest.js';

/** From one size to the next: how far a place moves across and down, or how much longer an edge is; mm. */
export interface GradeStep {
  readonly from: string;
  readonly to: string;
  readonly across: number;
  readonly down: number;
  /** Whether it is unlike the steps beside it. */
  readonly uneven: boolean;
}

/** A place of a part with its steps; nothing where one of two sizes does not have it. */
export interface GradedPoint {
  readonly id: string;
  readonly label: string;
  readonly steps: readonly (GradeStep | undefined)[];
}

/** An edge of a part, how long it is in each size, and its steps. */
export interface GradedEdge {
  readonly edge: string;
  readonly label: string;
  readonly lengths: readonly (number | undefined)[];
  readonly steps: readonly ({ readonly by: number; readonly uneven: boolean } | undefined)[];
}

/** What a part grows by from size to size. */
export interface PartGrade {
  readonly points: readonly GradedPoint[];
  readonly edges: readonly GradedEdge[];
}

/** A step that differs from the mean of the steps beside it by more than this, in mm, is uneven (docs/trade/sizes.md). */
export const UNEVEN = 2;

type Pair = readonly [number, number];

/** Which of a row of steps are unlike those beside them. */
function unevenIn(steps: readonly (Pair | undefined)[]): boolean[] {
  return steps.map((step, i) => {
    const beside = [steps[i - 1], steps[i + 1]].filter((s) => s !== undefined);
    if (!step || beside.length === 0) return false;
    const mean = (k: 0 | 1): number => beside.reduce((sum, s) => sum + s[k], 0) / beside.length;
    return Math.hypot(step[0] - mean(0), step[1] - mean(1)) > UNEVEN;
  });
}

/** The grade of a part: what each place moves by and each edge grows by, size by size (docs/trade/sizes.md). */
export function gradeOf({ sizes }: NestPart): PartGrade {
  const ids = <T>(list: (size: NestPart['sizes'][number]) => readonly T[], id: (one: T) => string): T[] => {
    const all = new Map<string, T>();
    for (const size of sizes) for (const one of list(size)) if (!all.has(id(one))) all.set(id(one), one);
    return [...all.values()];
  };
  const between = sizes.slice(1).map((size, i) => [sizes[i] ?? size, size] as const);
  const points = ids(
    (s) => s.points,
    (p) => p.id,
  ).map(({ id, label }): GradedPoint => {
    const moves = between.map(([a, b]): Pair | undefined => {
      const [from, to] = [a, b].map((s) => s.points.find((p) => p.id === id)?.at);
      return from && to && [to.x - from.x, to.y - from.y];
    });
    const uneven = unevenIn(moves);
    return {
      id,
      label,
      steps: moves.map((move, i): GradeStep | undefined => {
        const [a, b] = between[i] ?? [];
        return (
          move && a && b && { from: a.name, to: b.name, across: move[0], down: move[1], uneven: uneven[i] ?? false }
        );
      }),
    };
  });
  const edges = ids(
    (s) => s.lengths,
    (l) => l.edge,
  ).map(({ edge, label }): GradedEdge => {
    const lengths = sizes.map((s) => s.lengths.find((l) => l.edge === edge)?.mm);
    const grown = lengths.slice(1).map((to, i): Pair | undefined => {
      const from = lengths[i];
      return from === undefined || to === undefined ? undefined : [to - from, 0];
    });
    const uneven = unevenIn(grown);
    return {
      edge,
      label,
      lengths,
      steps: grown.map((g, i) => g && { by: g[0], uneven: uneven[i] ?? false }),
    };
  });
  return { points, edges };
}
