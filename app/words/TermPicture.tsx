import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { outlineOf, type Block } from '../../core/draft/index.js';
import { line, mapPath, pathBox, point, type Path, type Point } from '../../core/geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import type { Shown } from '../../core/vocabulary/index.js';
import { pathData } from '../../formats/index.js';

const SAMPLE = computeDraft({ ...EMPTY_INPUT, measured: { waist: 760, hip: 1000, crotchDepth: 272, inseam: 780 } });

/** Half the room between the pieces, and the room about them, in mm. */
const GAP = 40;
const MARGIN = 24;

const laid = (name: PanelName, p: Point): Point => ({ x: name === 'front' ? -p.x - GAP : p.x + GAP, y: p.y });
const data = (name: PanelName, path: Path): string => pathData(mapPath(path, (p) => laid(name, p)));

/** What is lit on a panel for a term. */
function litOn(name: PanelName, block: Block, shows: Shown): Path {
  const panel = block[name];
  const { points } = panel;
  return [
    ...(shows.edges ?? []).flatMap(([of, edge]) => (of === name ? panel.edges[edge] : [])),
    ...(shows.lines ?? []).flatMap(([of, a, b]) => (of === name ? [line(points[a], points[b])] : [])),
    ...(shows.crease
      ? [line(point(panel.crease, points.sideWaist.y), point(panel.crease, block.levels.hemLevel))]
      : []),
    ...(shows.darts ? panel.darts.flatMap((d) => [line(d.centreLeg, d.apex), line(d.apex, d.sideLeg)]) : []),
  ];
}

/** A pair of pieces with what a term means lit on them. */
export function TermPicture({ shows, label }: { shows: Shown; label: string }) {
  if (!SAMPLE.ok) return null;
  const { block } = SAMPLE.value;
  const all = PANEL_NAMES.flatMap((name) => mapPath(outlineOf(block[name]), (p) => laid(name, p)));
  const box = pathBox(all);
  const view = `${box.minX - MARGIN} ${box.minY - MARGIN} ${box.maxX - box.minX + 2 * MARGIN} ${box.maxY - box.minY + 2 * MARGIN}`;
  const levels = { ...block.levels, waistLevel: 0 };
  const level = shows.level === undefined ? undefined : levels[shows.level];
  return (
    <svg className="term-picture" viewBox={view} role="img" aria-label={`${label} on the pieces`}>
      {PANEL_NAMES.map((name) => (
        <g key={name} fill="none" strokeLinejoin="round" strokeLinecap="round">
          <path
            d={`${data(name, outlineOf(block[name]))}Z`}
            fill={`var(--${name}-fill)`}
            stroke={`var(--${name})`}
            strokeWidth={1.2}
            vectorEffect="non-scaling-stroke"
          />
          {litOn(name, block, shows).map((curve, i) => (
            <path
              key={i}
              d={data(name, [curve])}
              stroke="var(--lit)"
              strokeWidth={4}
              vectorEffect="non-scaling-stroke"
            />
          ))}
          {(shows.points ?? [])
            .filter(([of]) => of === name)
            .map(([, p]) => {
              const at = laid(name, block[name].points[p]);
              return <circle key={p} cx={at.x} cy={at.y} r={16} fill="var(--lit)" />;
            })}
        </g>
      ))}
      {level !== undefined && (
        <line
          x1={box.minX - MARGIN}
          x2={box.maxX + MARGIN}
          y1={level}
          y2={level}
          stroke="var(--lit)"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
