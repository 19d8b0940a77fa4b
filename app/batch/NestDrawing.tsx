import { useMemo } from 'react';
import { boxOf, flatten, type Box, type Point } from '../../core/geometry/index.js';
import { sizePen, type NestPart } from '../../core/nest/index.js';
import { pathData } from '../../formats/index.js';

/** Room about what is drawn, as a share of its height, and between two parts, in mm. */
const MARGIN = 0.03;
const GAP = 60;
/** What of the parts lies above the knee, as a share of their height. */
const UPPER = 0.5;

const boxOfPart = ({ sizes }: NestPart): Box =>
  boxOf(sizes.flatMap(({ cut, net }) => [...cut, ...net].flatMap((c) => flatten([c], 1))));

/** The ink of a size: all are alike but for their dashes; the size in hand is drawn out. */
const weightOf = (inHand: boolean): number => (inHand ? 2.4 : 1);

/** Parts beside one another, each with how far it is moved. */
function laidOut(parts: readonly NestPart[]): { readonly part: NestPart; readonly box: Box; readonly move: Point }[] {
  let at = 0;
  return parts
    .filter((p) => p.sizes.length > 0)
    .map((part) => {
      const box = boxOfPart(part);
      const move = { x: at - box.minX, y: 0 };
      at += box.maxX - box.minX + GAP;
      return { part, box, move };
    });
}

interface NestDrawingProps {
  readonly parts: readonly NestPart[];
  readonly lines: { readonly cut: boolean; readonly stitching: boolean };
  readonly arrows: boolean;
  /** The whole of the parts, or what of them lies above the knee. */
  readonly focus: 'whole' | 'upper';
  /** The size that is drawn out. */
  readonly inHand: string | undefined;
}

/** Sizes over one another, part beside part, each told by its dash; arrows show where places of the first size go. */
export function NestDrawing({ parts, lines, arrows, focus, inHand }: NestDrawingProps) {
  const laid = useMemo(() => laidOut(parts), [parts]);
  const [first] = laid;
  if (!first) return <p className="quiet">There is nothing to draw.</p>;
  const minY = Math.min(...laid.map((l) => l.box.minY));
  const lowest = Math.max(...laid.map((l) => l.box.maxY));
  const maxY = focus === 'whole' ? lowest : minY + (lowest - minY) * UPPER;
  const width = laid.reduce((sum, { box }) => sum + box.maxX - box.minX + GAP, -GAP);
  const margin = MARGIN * Math.max(maxY - minY, width);
  const letters = 0.036 * Math.max(maxY - minY, 0.6 * width);
  const view = [-margin, minY - margin, width + 2 * margin, maxY - minY + 2 * margin];
  return (
    <svg
      className="nest-drawing drawing"
      viewBox={view.map((x) => x.toFixed(2)).join(' ')}
      role="img"
      aria-label={`${laid.map(({ part }) => part.name).join(', ')} in ${first.part.sizes.map((s) => s.name).join(', ')}`}
    >
      <defs>
        <marker id="grade-head" viewBox="0 0 6 6" refX="5" refY="3" markerWidth="5" markerHeight="5" orient="auto">
          <path d="M0 0 L6 3 L0 6 z" className="grade-head" />
        </marker>
      </defs>
      {laid.map(({ part, move }) => (
        <g key={part.id} data-nest={part.id} transform={`translate(${move.x} ${move.y})`}>
          {part.sizes.map((size, i) => {
            const pen = {
              strokeDasharray: sizePen(i).dash.join(' '),
            };
            const mine = size.key === inHand;
            return (
              <g key={size.key} data-size={size.name} className={mine ? 'nest-in-hand' : undefined}>
                {lines.cut && (
                  <path className="nest-line" d={`${pathData(size.cut)}Z`} {...pen} strokeWidth={weightOf(mine)} />
                )}
                {mine &&
                  size.marks.map(
                    (mark, k) =>
                      mark.kind === 'line' && (
                        <path key={k} className="nest-line" d={pathData(mark.path)} strokeWidth={1.2} />
                      ),
                  )}
                {lines.stitching && (
                  <path
                    className="nest-line nest-net"
                    d={`${pathData(size.net)}Z`}
                    {...pen}
                    strokeWidth={lines.cut ? weightOf(mine) * 0.6 : weightOf(mine)}
                  />
                )}
              </g>
            );
          })}
          {arrows && <Arrows part={part} />}
          <PartName part={part} letters={letters} />
        </g>
      ))}
    </svg>
  );
}

function PartName({ part, letters }: { readonly part: NestPart; readonly letters: number }) {
  const middle = part.sizes[Math.floor(part.sizes.length / 2)];
  if (!middle) return null;
  const box = boxOf(flatten(middle.net, 1));
  const at: Point = { x: (box.minX + box.maxX) / 2, y: box.minY + (box.maxY - box.minY) * 0.42 };
  return (
    <text className="halo" x={at.x} y={at.y} style={{ fontSize: letters }} textAnchor="middle" fontWeight={600}>
      {part.name}
    </text>
  );
}

/** Ways of the corners and notches from the first size to the last; what hardly moves has none. */
function Arrows({ part }: { readonly part: NestPart }) {
  const [first, last] = [part.sizes[0], part.sizes.at(-1)];
  return (
    <g className="grade-arrows">
      {(first?.points ?? []).map(({ id, at }) => {
        const to = last?.points.find((p) => p.id === id)?.at;
        if (!to || Math.hypot(to.x - at.x, to.y - at.y) < 2) return null;
        return <line key={id} x1={at.x} y1={at.y} x2={to.x} y2={to.y} markerEnd="url(#grade-head)" />;
      })}
    </g>
  );
}

/** A sample of the line that a size is drawn by. */
export function PenSample({ index }: { readonly index: number }) {
  return (
    <svg className="mark-sample" viewBox="0 0 48 10" aria-hidden="true">
      <line
        className="nest-line"
        x1={0}
        y1={5}
        x2={48}
        y2={5}
        strokeDasharray={sizePen(index).dash.join(' ')}
        strokeWidth={2}
      />
    </svg>
  );
}
