import { boxOf, flatten, type Path, type Point } from '../../core/geometry/index.js';
import { SHAPE_BAND, type LaidTrace, type RiseGaps } from '../../core/trace/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import { pathData } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';

/** Room about the drawing, in mm. */
const MARGIN = 34;
const LETTER = 8;

function Gaps({ gaps }: { gaps: RiseGaps }) {
  return (
    <>
      {gaps.gaps.map((g, i) => (
        <line
          key={i}
          className={g.off > SHAPE_BAND ? 'gap-inside' : g.off < -SHAPE_BAND ? 'gap-away' : 'gap-close'}
          x1={g.seam.x}
          y1={g.seam.y}
          x2={g.body.x}
          y2={g.body.y}
        />
      ))}
    </>
  );
}

function Worst({ gaps, tape }: { gaps: RiseGaps; tape: Tape }) {
  const { worst } = gaps;
  if (Math.abs(worst.off) <= SHAPE_BAND) return null;
  const left = worst.seam.x < 0;
  return (
    <text
      className="halo"
      x={worst.seam.x + (left ? 16 : -16)}
      y={worst.seam.y - 6}
      textAnchor={left ? 'start' : 'end'}
      style={{ fontSize: LETTER, fill: 'var(--text)' }}
    >
      {withFractions(formatLength(Math.abs(worst.off), tape))} {worst.off > 0 ? 'inside' : 'away'}
    </text>
  );
}

/** The joined rises with the body's curve laid on them, the distance drawn all along. */
export function CurveDrawing({ laid, tape }: { laid: LaidTrace; tape: Tape }) {
  const { joined, trace, front, back } = laid;
  const box = boxOf([...flatten(joined.path, 2), ...flatten(trace, 2)]);
  const [x, y] = [box.minX - MARGIN, box.minY - MARGIN];
  const [width, height] = [box.maxX - box.minX + 2 * MARGIN, box.maxY - box.minY + 2 * MARGIN];
  const data = (path: Path): string => pathData(path);
  const ends: readonly (readonly [string, Point | undefined, string])[] = [
    ['Front', joined.front[0]?.p0, 'var(--front)'],
    ['Back', joined.back[joined.back.length - 1]?.p3, 'var(--back)'],
  ];
  return (
    <svg
      className="curve-drawing"
      viewBox={`${x} ${y} ${width} ${height}`}
      role="img"
      aria-label="Front and back rise joined at the inseam, with the curve of the body"
    >
      <Gaps gaps={front} />
      <Gaps gaps={back} />
      <path className="paper-line stitching" style={{ stroke: 'var(--front)' }} d={data(joined.front)} />
      <path className="paper-line stitching" style={{ stroke: 'var(--back)' }} d={data(joined.back)} />
      <path className="paper-line trace-line" d={data(trace)} />
      <circle cx={0} cy={0} r={2.5} className="curve-crotch" />
      {ends.map(
        ([words, at, fill]) =>
          at && (
            <text
              key={words}
              className="halo"
              x={at.x}
              y={at.y - 9}
              textAnchor="middle"
              style={{ fontSize: LETTER, fill }}
            >
              {words}
            </text>
          ),
      )}
      <text className="halo" x={0} y={15} textAnchor="middle" style={{ fontSize: LETTER, fill: 'var(--quiet)' }}>
        inseam
      </text>
      <Worst gaps={front} tape={tape} />
      <Worst gaps={back} tape={tape} />
    </svg>
  );
}
