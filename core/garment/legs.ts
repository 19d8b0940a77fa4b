import { EDGE_NAMES, levelSpan, type Block, type Panel } from '../draft/index.js';
import {
  along,
  line,
  pathLength,
  placeAtLength,
  point,
  subtract,
  unit,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { LEVELS } from '../method/index.js';
import { atCurve, type Edge, type Part, type PartMark } from './part.js';
import { LEG_SEAMS } from './leg-seams.js';
import type { Ease, Match, Seam } from './seam.js';

/** A drill mark lies this far short of the dart's apex, in mm. */
const DRILL_SHORT = 10;
/** The words of a panel stand this far below the side's hip point, in mm. */
const WORDS_BELOW_HIP = 22;
/** The grain line keeps this clear of the crotch line and of the hem, and is at most so long, in mm. */
const GRAIN_CLEAR = 20;
const GRAIN_LENGTH = 400;
/** The crease is drawn from this far below the centre's waist, in mm. */
const CREASE_FROM = 20;

function frameLines(panel: Panel): PartMark[] {
  const levels = LEVELS.flatMap(([level, label]): PartMark[] => {
    const y = panel.levels[level];
    const span = levelSpan(panel, y);
    if (!span) return [];
    const path = [line(point(span[0], y), point(span[1], y))];
    return [{ kind: 'line', meaning: 'level', label: label.toLowerCase(), path }];
  });
  const { crease, points } = panel;
  const path = [line(point(crease, points.centreWaist.y + CREASE_FROM), point(crease, panel.levels.hemLevel))];
  return [...levels, { kind: 'line', meaning: 'crease', label: 'crease line', path }];
}

const dartMarks = (panel: Panel): PartMark[] =>
  panel.darts.flatMap(({ apex, centreLeg, sideLeg }): PartMark[] => {
    const mouth = { x: (centreLeg.x + sideLeg.x) / 2, y: (centreLeg.y + sideLeg.y) / 2 };
    const at: Point = along(apex, unit(subtract(mouth, apex)), DRILL_SHORT);
    return [
      { kind: 'line', meaning: 'dart', label: 'dart', path: [line(centreLeg, apex), line(apex, sideLeg)] },
      { kind: 'drill', label: 'drill mark', at },
    ];
  });

/** A panel of the block as a part: its five edges, its frame, darts and grain line; cut as a mirrored pair. */
function legPart(panel: Panel): Part {
  const { crease, levels, points } = panel;
  const top = levels.crotchLevel + GRAIN_CLEAR;
  const words = points.sideHip.y + WORDS_BELOW_HIP;
  return {
    id: panel.name,
    name: panel.name === 'front' ? 'Front' : 'Back',
    leg: 'both',
    edges: EDGE_NAMES.map((name): Edge => ({
      id: name,
      role: name,
      path: panel.edges[name],
      ...(name === 'waist' ? { sewn: panel.closedWaist } : {}),
    })),
    marks: [...frameLines(panel), ...dartMarks(panel)],
    grain: [point(crease, top), point(crease, Math.min(levels.hemLevel - GRAIN_CLEAR, top + GRAIN_LENGTH))],
    words: [point(points.sideHip.x, words), point(crease, words)],
    cloth: 'shell',
    cut: { count: 2, how: 'mirrored' },
    up: 'right',
    onFrame: true,
  };
}

const lengthTo = (path: Path, count: number): number => pathLength(path.slice(0, count));

/** Hip, crotch level and knee of the side; the back's crotch level is laid off from the knee at the front's length. */
function sideMatches({ front, back }: Block, knee: boolean): Match[] {
  const places = ({ edges, joints }: Panel): Record<'hip' | 'crotch' | 'knee', PathPlace> => ({
    hip: atCurve(edges.side, joints.sideHip),
    crotch: atCurve(edges.side, joints.sideCrotch),
    knee: atCurve(edges.side, joints.sideKnee),
  });
  const [first, second] = [places(front), places(back)];
  const crotchToKnee =
    lengthTo(front.edges.side, front.joints.sideKnee) - lengthTo(front.edges.side, front.joints.sideCrotch);
  const { index, t } = placeAtLength(back.edges.side, lengthTo(back.edges.side, back.joints.sideKnee) - crotchToKnee);
  return [
    { label: 'hip', first: first.hip, second: second.hip },
    { label: 'crotch level', first: first.crotch, second: { index, t } },
    ...(knee ? [{ label: 'knee', first: first.knee, second: second.knee }] : []),
  ];
}

const inseamMatches = ({ front, back }: Block): Match[] => [
  {
    label: 'knee',
    first: atCurve(front.edges.inseam, front.joints.inseamKnee),
    second: atCurve(back.edges.inseam, back.joints.inseamKnee),
  },
];

/** Above the knee the back inseam is drawn shorter and is stretched on; a longer one has no ease and is out. */
function inseamEase({ front, back }: Block): Ease | undefined {
  const above = ({ edges, joints }: Panel): number => pathLength(edges.inseam.slice(joints.inseamKnee));
  const mm = above(front) - above(back);
  return mm > 0 ? { on: 'second', how: 'stretched', mm } : undefined;
}

/** The two legs of a block as the first two parts of a garment, and the seams between them and down their centres. */
export function legs(block: Block): { parts: readonly Part[]; seams: readonly Seam[] } {
  const knee = block.front.kneeOnPiece && block.back.kneeOnPiece;
  const more: Record<(typeof LEG_SEAMS)[number]['id'], Pick<Seam, 'ease' | 'matches'>> = {
    side: { ease: undefined, matches: sideMatches(block, knee) },
    inseam: { ease: inseamEase(block), matches: knee ? inseamMatches(block) : [] },
    frontRise: { ease: undefined, matches: [] },
    backRise: { ease: undefined, matches: [] },
  };
  return {
    parts: [legPart(block.front), legPart(block.back)],
    seams: LEG_SEAMS.map((seam) => ({ ...seam, ...more[seam.id] })),
  };
}
