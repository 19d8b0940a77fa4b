import { laidWidth, type ClothData } from '../../core/cloth/index.js';
import type { LeftOver } from '../../core/lay/index.js';
import { formatLength, tapeFor, type Unit } from '../../core/units/index.js';

/** More lines than this are not drawn one by one. */
const MOST_LINES = 400;

/** Places a repeat apart along a length. */
const every = (repeat: number, length: number): readonly number[] =>
  repeat > 0 && length / repeat <= MOST_LINES
    ? Array.from({ length: Math.floor(length / repeat) + 1 }, (_, i) => i * repeat)
    : [];

/** The cloth itself: its edges or its fold, stripes and bars, flaws, how much of it there is, and where the lay ends. */
export function LayMark({
  cloth,
  length,
  shown,
  unit,
  left,
}: {
  readonly cloth: ClothData;
  readonly length: number;
  readonly shown: number;
  readonly unit: Unit;
  readonly left: readonly LeftOver[];
}) {
  const width = laidWidth(cloth);
  const { barRepeat, stripeRepeat, flaws, inHand, fold } = cloth;
  const end = inHand ?? shown;
  return (
    <g className="lay-mark">
      <rect className="lay-cloth" x={0} y={0} width={end} height={width} vectorEffect="non-scaling-stroke" />
      {every(stripeRepeat, width).map((y) => (
        <line key={`s${y}`} className="lay-stripe" x1={0} x2={end} y1={y} y2={y} vectorEffect="non-scaling-stroke" />
      ))}
      {every(barRepeat, end).map((x) => (
        <line key={`b${x}`} className="lay-stripe" x1={x} x2={x} y1={0} y2={width} vectorEffect="non-scaling-stroke" />
      ))}
      {flaws.map((f) => (
        <g key={f.id} data-flaw={f.id}>
          <rect className="lay-flaw" x={f.along} y={f.across} width={f.length} height={f.width} />
          <path
            className="lay-flaw-cross"
            d={`M${f.along} ${f.across}l${f.length} ${f.width}m0 ${-f.width}l${-f.length} ${f.width}`}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
      {left.map((f, i) => (
        <g key={`${f.along} ${f.across}`} data-left-over={i + 1}>
          <rect
            className="lay-left"
            x={f.along}
            y={f.across}
            width={f.length}
            height={f.width}
            vectorEffect="non-scaling-stroke"
          />
          <text className="lay-edge" x={f.along + f.length / 2} y={f.across + f.width / 2 + 8} textAnchor="middle">
            {`left ${i + 1}`}
          </text>
        </g>
      ))}
      <text className="lay-edge" x={0} y={-10}>
        {fold === 'folded' ? 'selvedges' : 'selvedge'}
      </text>
      <text className="lay-edge" x={0} y={width + 30}>
        {fold === 'folded' ? 'fold' : 'selvedge'}
      </text>
      <line className="lay-end" x1={length} x2={length} y1={-12} y2={width + 12} vectorEffect="non-scaling-stroke" />
      <text className="lay-edge" x={length} y={-10} textAnchor="end">
        {formatLength(length, tapeFor(unit))}
      </text>
      {inHand !== undefined && inHand < length && (
        <line
          className="lay-short"
          x1={inHand}
          x2={inHand}
          y1={-12}
          y2={width + 12}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  );
}
