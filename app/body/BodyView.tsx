import { smoothLine, type BodyShape, type Place } from './body-shape.js';
import type { TapeLine, View } from './tape-places.js';

const VIEW_LABELS: Record<View, string> = { front: 'Front', side: 'Side', back: 'Back', seated: 'Seated' };

function Tape({ line }: { line: TapeLine }) {
  if (line.kind === 'line') {
    const ends = [line.places[0], line.places.at(-1)];
    return (
      <g className="body-tape">
        <path d={smoothLine(line.places)} />
        {ends.map((p, i) => p && <circle key={i} cx={p[0]} cy={p[1]} r={9} />)}
      </g>
    );
  }
  const [x, y] = line.middle;
  const sag = Math.max(8, line.half * 0.13);
  return (
    <g className="body-tape">
      <path className="behind" d={`M${x - line.half} ${y} A${line.half} ${sag} 0 0 1 ${x + line.half} ${y}`} />
      <path d={`M${x - line.half} ${y} A${line.half} ${sag} 0 0 0 ${x + line.half} ${y}`} />
    </g>
  );
}

/** The body sitting on a hard seat, drawn with the depths and girths in hand. */
function seatedOutline(shape: BodyShape): Place[] {
  const { level } = shape;
  const [front, back] = shape.profile('hip');
  const thigh = 2 * shape.half('crotch');
  const kneeAt = front - (level.knee - level.crotch) * 0.95;
  const top = level.crotch - thigh * 0.92;
  const shin = 2 * shape.half('calf');
  const foot = level.crotch + (level.floor - level.knee) * 0.97;
  const ankle = foot - 46;
  return [
    [shape.profile('ribs')[0], level.ribs],
    [shape.profile('waist')[0], 0],
    [front * 1.04, top * 0.7],
    [front * 0.94, top],
    [(front + kneeAt) / 2, top - 4],
    [kneeAt, top + 3],
    [kneeAt - shin * 0.42, top + thigh * 0.36],
    [kneeAt - shin * 0.44, level.crotch],
    [kneeAt - shin * 0.2, ankle],
    [kneeAt - shin * 1.35, foot - 14],
    [kneeAt - shin * 1.35, foot],
    [kneeAt + shin * 0.5, foot],
    [kneeAt + shin * 0.42, ankle],
    [kneeAt + shin * 0.66, level.crotch + (foot - level.crotch) * 0.35],
    [kneeAt + shin * 0.5, level.crotch + 14],
    [kneeAt + shin * 0.9, level.crotch],
    [front * 0.5, level.crotch],
    [back * 0.78, level.crotch],
    [back * 1.04, level.crotch * 0.8],
    [shape.profile('highHip')[1], level.highHip * 1.2],
    [shape.profile('waist')[1], 0],
    [shape.profile('ribs')[1], level.ribs],
  ];
}

/** The corners of the seated body: lap, toes and heel. */
const SEATED_CORNERS = new Set([3, 8, 9, 10, 11, 12, 15, 17]);

const sharpAt = (outline: readonly Place[], ys: readonly number[]) => (i: number) => {
  const place = outline[i];
  return place !== undefined && ys.some((y) => Math.abs(place[1] - y) < 0.01);
};

interface ViewProps {
  readonly view: View;
  readonly shape: BodyShape;
  readonly tape: TapeLine | undefined;
  readonly x: number;
  readonly lit: boolean;
}

/** One view of the drawn body, with the tape where one lies. */
export function BodyView({ view, shape, tape, x, lit }: ViewProps) {
  const { level } = shape;
  const outline = view === 'seated' ? seatedOutline(shape) : view === 'side' ? shape.sideOutline : shape.frontOutline;
  const floor = view === 'seated' ? level.crotch + (level.floor - level.knee) * 0.97 : level.floor;
  const sharp =
    view === 'seated'
      ? (i: number): boolean => SEATED_CORNERS.has(i)
      : sharpAt(outline, view === 'side' ? [level.floor, level.ribs] : [level.floor, level.crotch, level.ribs]);
  return (
    <g transform={`translate(${x} 0)`} className="body-view" data-view={view} data-lit={lit}>
      <path className="body-outline" d={smoothLine(outline, sharp)} />
      {view === 'back' && (
        <path
          className="body-line"
          d={`M0 ${level.hip * 0.55} V${level.crotch} M${-shape.legMiddle('crotch') * 1.5} ${level.crotch + 6} Q${-shape.legMiddle('crotch') * 0.7} ${level.crotch + 26} 0 ${level.crotch} Q${shape.legMiddle('crotch') * 0.7} ${level.crotch + 26} ${shape.legMiddle('crotch') * 1.5} ${level.crotch + 6}`}
        />
      )}
      {view === 'seated' && (
        <path
          className="body-seat"
          d={`M${shape.profile('hip')[1] + 60} ${level.crotch} H${shape.profile('hip')[0] - 90} M${shape.profile('hip')[1] + 30} ${level.crotch} V${floor} M${shape.profile('hip')[0] - 60} ${level.crotch} V${floor}`}
        />
      )}
      {tape && <Tape line={tape} />}
      <text className="body-label" x={0} y={level.floor + 64} textAnchor="middle">
        {VIEW_LABELS[view]}
      </text>
    </g>
  );
}
