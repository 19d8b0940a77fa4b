import {
  EDGE_NAMES,
  edgeLengths,
  girthLevels,
  levelSpan,
  type Block,
  type EdgeName,
  type Panel,
} from '../draft/index.js';
import { EDGE_LABELS } from '../garment/index.js';
import { crossLine, point, type Point } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { namedEdges, type NamedEdge } from './named-edges.js';
import { dartMouths } from './outline-darts.js';
import { laidOutline, type LaidShape, type Reference } from './reference.js';
import { farthestFrom } from './sampling.js';

/** A figure of the outline beside the same of the draft, in mm. */
export interface ReferenceFigure {
  readonly id: string;
  readonly label: string;
  readonly panel: PanelName | 'both';
  readonly reference: number;
  readonly draft: number;
  /** Where the outline's seam stands farthest from the draft's, on the panel, and how far; for seams. */
  readonly off: { readonly at: Point; readonly distance: number } | undefined;
}

/** How far above the hem its width is read, in mm: on the line itself a level would run along it. */
const ABOVE_HEM = 5;

/** The levels at which widths are compared, in mm below the waist line. */
function levelsOf({ levels }: Panel): readonly (readonly [string, string, number])[] {
  const girths = new Map(girthLevels(levels));
  const between = (girth: 'midThigh' | 'calf', label: string): readonly (readonly [string, string, number])[] => {
    const y = girths.get(girth);
    return y === undefined || y > levels.hemLevel ? [] : [[girth, label, y]];
  };
  return [
    ['hip', 'Hip line', levels.hipLevel],
    ['crotch', 'Crotch line', levels.crotchLevel],
    ...between('midThigh', 'Mid-thigh'),
    ...(levels.kneeLevel < levels.hemLevel - ABOVE_HEM ? ([['knee', 'Knee line', levels.kneeLevel]] as const) : []),
    ...between('calf', 'Calf'),
    ['atHem', 'Just above the hem', levels.hemLevel - ABOVE_HEM],
  ];
}

/** How wide a laid outline is at a level, `y` mm below the waist line; nothing where the level misses it. */
export function outlineWidth(outline: readonly LaidShape[], y: number): number | undefined {
  const hits = outline.flatMap(({ path }) => crossLine(path, point(0, y), point(1, 0)).map((hit) => hit.at.x));
  return hits.length < 2 ? undefined : Math.max(...hits) - Math.min(...hits);
}

function figuresOf(
  outline: readonly LaidShape[],
  panel: Panel,
  edges: ReadonlyMap<EdgeName, NamedEdge>,
  mouths: number,
): ReferenceFigure[] {
  const lengths = edgeLengths(panel);
  const seams = EDGE_NAMES.flatMap((edge): ReferenceFigure[] => {
    const named = edges.get(edge);
    if (!named) return [];
    // A waist is as long as what is left when its darts are closed; how far it stands off is seen on the open one.
    const off = named.lines
      .map((line) => farthestFrom(line, panel.edges[edge]))
      .reduce((a, b) => (b.distance > a.distance ? b : a));
    return [
      {
        id: edge,
        label: EDGE_LABELS[edge],
        panel: panel.name,
        reference: edge === 'waist' ? named.length - mouths : named.length,
        draft: lengths[edge],
        off,
      },
    ];
  });
  const widths = levelsOf(panel).flatMap(([id, label, y]): ReferenceFigure[] => {
    const width = outlineWidth(outline, y);
    const span = levelSpan(panel, y);
    if (width === undefined || !span) return [];
    return [{ id, label, panel: panel.name, reference: width, draft: span[1] - span[0], off: undefined }];
  });
  return [...seams, ...widths];
}

const BOTH: Partial<Record<string, string>> = {
  rise: 'Crotch length, front and back rise',
  waist: 'Waist, front and back',
  hip: 'Hip line, front and back',
  hem: 'Hem, front and back',
};

/**
 * The figures of an outline from outside beside the draft's (docs/trade/truing.md): its seams by name, how far each
 * stands off, its widths at the draft's levels, and what front and back make together. Millimetres.
 */
export function compareReference(reference: Reference, block: Block): ReferenceFigure[] {
  const [front, back] = PANEL_NAMES.map((name) => {
    const outline = laidOutline(reference, name);
    if (outline.length === 0) return [];
    const edges = namedEdges(outline, block[name]);
    const waist = edges.get('waist');
    return figuresOf(outline, block[name], edges, waist ? dartMouths(reference, name, outline, waist) : 0);
  });
  const both = (front ?? []).flatMap((f): ReferenceFigure[] => {
    const b = back?.find((other) => other.id === f.id);
    const label = BOTH[f.id];
    if (!b || label === undefined) return [];
    return [
      { ...f, label, panel: 'both', reference: f.reference + b.reference, draft: f.draft + b.draft, off: undefined },
    ];
  });
  return [...(front ?? []), ...(back ?? []), ...both];
}

/** The figures with the largest difference first. */
export const largestFirst = (figures: readonly ReferenceFigure[]): ReferenceFigure[] =>
  [...figures].sort((a, b) => Math.abs(b.reference - b.draft) - Math.abs(a.reference - a.draft));
