/** A girth taken at a height above the crotch, measured from the inseam up the front. In mm. */
export interface GirthAtHeight {
  readonly height: number;
  readonly girth: number;
}

/** Where a top edge of a given height sits and how tight it is there. Lengths in mm. */
export interface TopEdge {
  /** Below the waist line; negative above it. */
  readonly belowWaist: number;
  /** The body's girth there, straight between the nearest girths taken; nothing above or below all of them. */
  readonly body: number | undefined;
  /** The edge's girth less the body's: negative is tight. */
  readonly ease: number | undefined;
}

/** The girth of a body at a height, straight between the nearest two taken; nothing outside them. In mm. */
export function girthAt(taken: readonly GirthAtHeight[], height: number): number | undefined {
  const sorted = [...taken].sort((a, b) => a.height - b.height);
  const above = sorted.find((g) => g.height >= height);
  const below = [...sorted].reverse().find((g) => g.height <= height);
  if (!above || !below) return undefined;
  if (above.height === below.height) return above.girth;
  return below.girth + ((height - below.height) / (above.height - below.height)) * (above.girth - below.girth);
}

/** What is known of a body's girths by height: those taken, with the waist, the high hip and the hip put among them. */
export function girthsByHeight(
  taken: readonly GirthAtHeight[],
  body: {
    readonly waist?: number | undefined;
    readonly hip?: number | undefined;
    readonly crotchDepth?: number | undefined;
    readonly hipDepth?: number | undefined;
  },
): GirthAtHeight[] {
  const { waist, hip, crotchDepth, hipDepth } = body;
  const all = [...taken];
  const put = (height: number, girth: number): void => {
    if (!all.some((g) => Math.abs(g.height - height) < 5)) all.push({ height, girth });
  };
  if (waist !== undefined && crotchDepth !== undefined) put(crotchDepth, waist);
  if (hip !== undefined && crotchDepth !== undefined && hipDepth !== undefined) put(crotchDepth - hipDepth, hip);
  return all.sort((a, b) => b.height - a.height);
}

/** Where a top edge would sit and how tight, from the girths taken (docs/trade/measuring.md). Lengths in mm. */
export function topEdge(
  taken: readonly GirthAtHeight[],
  crotchDepth: number,
  edge: { readonly height: number; readonly girth: number | undefined },
): TopEdge {
  const body = girthAt(taken, edge.height);
  return {
    belowWaist: crotchDepth - edge.height,
    body,
    ease: body === undefined || edge.girth === undefined ? undefined : edge.girth - body,
  };
}
