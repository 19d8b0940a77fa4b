import { useMemo } from 'react';
import type { Draft } from '../../core/chain/index.js';
import { alignedAt, type Alignment } from '../../core/compare/index.js';
import { outlineOf, type Panel } from '../../core/draft/index.js';
import {
  mapPath,
  pathBox,
  pathLength,
  placeAtLength,
  type Box,
  type Path,
  type Point,
} from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { pathData } from '../../formats/index.js';
import type { Compared } from './compared.js';
import type { Focus } from './compare-store.js';
import './compare.css';

/** How each draft is told apart, by dash and weight before colour; the letter stands on the line. */
const MARKS: readonly { readonly dash: string; readonly width: number; readonly ink: string }[] = [
  { dash: '', width: 2.6, ink: 'var(--text)' },
  { dash: '10 4', width: 2, ink: 'var(--front)' },
  { dash: '2 4', width: 2.2, ink: 'var(--back)' },
  { dash: '14 4 2 4', width: 1.8, ink: 'var(--act)' },
  { dash: '6 3', width: 1.4, ink: 'var(--hand)' },
  { dash: '1 3', width: 1.6, ink: 'var(--text)' },
  { dash: '20 5', width: 1.4, ink: 'var(--back)' },
  { dash: '8 3 2 3 2 3', width: 1.5, ink: 'var(--front)' },
  { dash: '4 6', width: 1.8, ink: 'var(--act)' },
  { dash: '16 3 4 3', width: 1.3, ink: 'var(--text)' },
  { dash: '3 2', width: 1.1, ink: 'var(--hand)' },
];

/** The mark of the draft with this number. */
const markOf = (index: number): (typeof MARKS)[number] =>
  MARKS[index % MARKS.length] ?? { dash: '', width: 2, ink: '' };

interface Laid {
  readonly id: string;
  readonly letter: string;
  readonly index: number;
  readonly panel: PanelName;
  readonly outline: Path;
  readonly darts: readonly Path[];
  readonly crease: readonly [Point, Point];
  readonly letterAt: Point;
}

/** Distance between the two pieces, and between drafts that lie side by side, in mm. */
const GAP = 110;

const width = (box: Box): number => box.maxX - box.minX;

/**
 * Every piece at its place on one sheet, mm: fronts over fronts and backs over backs, or each draft beside the last.
 */
function layOut(
  compared: readonly Compared[],
  hidden: ReadonlySet<string>,
  align: Alignment,
  layout: 'over' | 'beside',
): Laid[] {
  const raw = compared.flatMap(({ draft, id, letter }, index) =>
    draft && !hidden.has(id) ? PANEL_NAMES.map((panel) => ({ draft, id, letter, index, panel })) : [],
  );
  const placed = raw.map((one) => {
    const panel = one.draft.block[one.panel];
    const anchor = alignedAt(panel, one.draft.block.levels.crotchLevel, align);
    const mirrored = one.panel === 'front';
    const move = (p: Point): Point => ({ x: (mirrored ? -1 : 1) * (p.x - anchor.x), y: p.y - anchor.y });
    const box = pathBox(mapPath(outlineOf(panel), move));
    return { ...one, source: panel, move, box };
  });
  let at = 0;
  const offsetOf = new Map<string, number>();
  if (layout === 'over') {
    const boxes = (name: PanelName): Box[] => placed.filter((p) => p.panel === name).map((p) => p.box);
    const right = Math.max(0, ...boxes('front').map((b) => b.maxX));
    const left = Math.min(0, ...boxes('back').map((b) => b.minX));
    for (const p of placed) offsetOf.set(`${p.id} ${p.panel}`, p.panel === 'front' ? -right - GAP / 2 : GAP / 2 - left);
  } else {
    for (const p of placed) {
      offsetOf.set(`${p.id} ${p.panel}`, at - p.box.minX);
      at += width(p.box) + (p.panel === 'front' ? GAP / 3 : GAP);
    }
  }
  return placed.map((p): Laid => {
    const dx = offsetOf.get(`${p.id} ${p.panel}`) ?? 0;
    const move = (q: Point): Point => {
      const moved = p.move(q);
      return { x: moved.x + dx, y: moved.y };
    };
    const { source } = p;
    return {
      id: p.id,
      letter: p.letter,
      index: p.index,
      panel: p.panel,
      outline: mapPath(outlineOf(source), move),
      darts: source.darts.map((d) =>
        mapPath(
          [d.centreLeg, d.sideLeg].map((leg) => ({ p0: leg, p1: leg, p2: d.apex, p3: d.apex })),
          move,
        ),
      ),
      crease: [
        move({ x: source.crease, y: source.points.centreWaist.y }),
        move({ x: source.crease, y: p.draft.block.levels.hemLevel }),
      ],
      letterAt: move(letterPlace(source, p.index)),
    };
  });
}

/** Letters stand apart from one another: by turns on the side and on the rise, each further along than the last. */
function letterPlace({ edges }: Panel, index: number): Point {
  const step = Math.floor(index / 2);
  const [path, share] = index % 2 === 0 ? [edges.side, 0.05 + 0.045 * step] : [edges.rise, 0.88 - 0.14 * step];
  return placeAtLength(path, pathLength(path) * share).at;
}

/** The part of the sheet that is looked at. */
function viewed(laid: readonly Laid[], drafts: readonly Draft[], focus: Focus): Box {
  const box = pathBox(laid.flatMap((l) => l.outline));
  if (focus === 'whole') return box;
  const levels = drafts.map((d) => d.block.levels);
  const depth = Math.max(...levels.map((l) => l.crotchLevel));
  const knee = Math.max(...levels.map((l) => l.kneeLevel));
  const top = focus === 'crotch' ? box.minY + depth * 0.55 : box.minY;
  return { ...box, minY: top, maxY: box.minY + (focus === 'crotch' ? depth * 1.25 : knee) };
}

interface CompareDrawingProps {
  readonly compared: readonly Compared[];
  readonly hidden: ReadonlySet<string>;
  readonly align: Alignment;
  readonly layout: 'over' | 'beside';
  readonly focus: Focus;
}

/** Drafts laid over one another or side by side, each told by its letter, dash and weight. */
export function CompareDrawing({ compared, hidden, align, layout, focus }: CompareDrawingProps) {
  const shown = compared.filter((c) => !hidden.has(c.id));
  const laid = useMemo(() => layOut(compared, hidden, align, layout), [compared, hidden, align, layout]);
  const drafts = shown.flatMap((c) => c.draft ?? []);
  if (laid.length === 0) return <p className="quiet">Everything is hidden. Press a letter to show it again.</p>;
  const box = viewed(laid, drafts, focus);
  const margin = 0.03 * (box.maxY - box.minY);
  const view = [box.minX - margin, box.minY - margin, width(box) + 2 * margin, box.maxY - box.minY + 2 * margin];
  const letterSize = 0.036 * Math.max(box.maxY - box.minY, 0.55 * width(box));
  return (
    <svg
      className="compare-drawing drawing"
      viewBox={view.map((x) => x.toFixed(2)).join(' ')}
      role="img"
      aria-label={`${shown.map((c) => `${c.letter}: ${c.label}`).join('; ')}, ${layout === 'over' ? 'laid over one another' : 'side by side'}`}
    >
      {laid.map((l) => {
        const { dash, width: weight, ink } = markOf(l.index);
        const line = { strokeDasharray: dash, strokeWidth: weight, style: { stroke: ink } };
        return (
          <g key={`${l.id} ${l.panel}`} data-compared={l.letter} data-panel={l.panel} fill="none">
            <path className="paper-line" d={`${pathData(l.outline)}Z`} {...line} />
            {l.darts.map((dart, i) => (
              <path key={i} className="paper-line" d={pathData(dart)} {...line} strokeWidth={weight * 0.6} />
            ))}
            <line
              className="paper-line crease-line"
              x1={l.crease[0].x}
              y1={l.crease[0].y}
              x2={l.crease[1].x}
              y2={l.crease[1].y}
            />
            <text
              className="halo"
              x={l.letterAt.x}
              y={l.letterAt.y}
              style={{ fontSize: letterSize }}
              textAnchor="middle"
              fontWeight={700}
            >
              {l.letter}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** A sample of the line by which a draft is told. */
export function MarkSample({ index }: { index: number }) {
  const { dash, width: weight, ink } = markOf(index);
  return (
    <svg className="mark-sample" viewBox="0 0 48 10" aria-hidden="true">
      <line x1={0} y1={5} x2={48} y2={5} strokeDasharray={dash} strokeWidth={weight} style={{ stroke: ink }} />
    </svg>
  );
}
