import { useMemo } from 'react';
import { PAIR_FIGURES, type FinishedPair, type PairFigureId } from '../../core/measure/index.js';
import { smoothLine, type Place } from '../body/body-shape.js';
import '../body/body.css';

interface PairShape {
  readonly y: Readonly<Record<'top' | 'seam' | 'hip' | 'crotch' | 'knee' | 'hem', number>>;
  readonly half: Readonly<Record<'waist' | 'hip', number>>;
  readonly leg: Readonly<Record<'crotch' | 'knee' | 'hem', readonly [inner: number, outer: number]>>;
  readonly front: number;
}

/** The pair as it lies on the table, in the proportions of what was read; a middling pair for the rest. In mm. */
function pairShape({ figures, widths, from }: FinishedPair): PairShape {
  const single = (id: PairFigureId, otherwise: number): number =>
    figures[id] === undefined ? otherwise : (figures[id] ?? 0) / (widths === 'doubled' ? 2 : 1);
  const waist = single('halfWaist', 420);
  const hip = single('halfHip', 520);
  const band = figures.band ?? 40;
  const inseam = figures.inseam ?? 760;
  const outseam = figures.outseam ?? 1040;
  const crotch = Math.max(150, outseam - inseam);
  const thigh = single('wholeThigh', 0.64 * hip);
  const hem = crotch + inseam;
  const inner = 6;
  return {
    y: {
      top: from === 'top' ? 0 : -band,
      seam: from === 'top' ? band : 0,
      hip: 0.68 * crotch,
      crotch,
      knee: crotch + inseam / 2,
      hem,
    },
    half: { waist: waist / 2, hip: hip / 2 },
    leg: {
      crotch: [0, hip / 2 + Math.min(16, Math.max(0, thigh - hip / 2))],
      knee: [inner + 34, inner + 34 + single('kneeAcross', 0.72 * thigh)],
      hem: [inner + 52, inner + 52 + single('hemAcross', 0.62 * thigh)],
    },
    front: figures.frontThigh ?? 0.84 * thigh,
  };
}

/** Where a figure is read on the drawn pair. */
function readPlaces(s: PairShape, id: PairFigureId): readonly Place[] {
  const { y, half, leg } = s;
  const across = (at: 'crotch' | 'knee' | 'hem'): Place[] => [
    [leg[at][0], y[at]],
    [leg[at][1], y[at]],
  ];
  switch (id) {
    case 'halfWaist':
      return [
        [-half.waist, (y.top + y.seam) / 2],
        [half.waist, (y.top + y.seam) / 2],
      ];
    case 'halfHip':
      return [
        [-half.hip, y.hip],
        [half.hip, y.hip],
      ];
    case 'frontThigh':
      return [
        [leg.crotch[1] - s.front, y.crotch + 10],
        [leg.crotch[1], y.crotch + 10],
      ];
    case 'wholeThigh':
      return across('crotch');
    case 'frontRise':
    case 'backRise':
      return [
        [0, y.top],
        [0, y.crotch],
      ];
    case 'band':
      return [
        [half.waist * 0.6, y.top],
        [half.waist * 0.6, y.seam],
      ];
    case 'outseam':
      return [
        [half.waist, y.top],
        [half.hip, y.hip],
        [leg.crotch[1], y.crotch],
        [leg.knee[1], y.knee],
        [leg.hem[1], y.hem],
      ];
    case 'inseam':
      return [
        [leg.crotch[0], y.crotch],
        [leg.knee[0], y.knee],
        [leg.hem[0], y.hem],
      ];
    case 'kneeAcross':
      return across('knee');
    case 'hemAcross':
      return across('hem');
  }
}

/** A pair of trousers laid flat, with the place of the figure in hand. */
export function PairFigure({ pair, inHand }: { pair: FinishedPair; inHand: PairFigureId }) {
  const s = useMemo(() => pairShape(pair), [pair]);
  const { y, half, leg } = s;
  const right: Place[] = [
    [half.waist, y.top],
    [half.waist + 2, y.seam],
    [half.hip, y.hip],
    [leg.crotch[1], y.crotch],
    [leg.knee[1], y.knee],
    [leg.hem[1], y.hem],
  ];
  const inner: Place[] = [
    [leg.hem[0], y.hem],
    [leg.knee[0], y.knee],
    [leg.crotch[0], y.crotch],
  ];
  const mirror = (places: readonly Place[]): Place[] => places.map(([x, py]) => [-x, py]);
  const side = (places: readonly Place[]): string =>
    `${smoothLine(places)}L${inner.map(([x, py]) => `${places === right ? x : -x} ${py}`).join(' L')}L0 ${y.top}Z`;
  const wide = Math.max(half.hip, leg.crotch[1], leg.hem[1]) + 60;
  const read = readPlaces(s, inHand);
  return (
    <svg
      className="body-figure"
      viewBox={`${-wide} ${y.top - 50} ${2 * wide} ${y.hem - y.top + 110}`}
      role="img"
      aria-label={`A pair laid flat; ${PAIR_FIGURES[inHand].label.toLowerCase()} is shown`}
      data-in-hand={inHand}
    >
      <path className="body-outline" d={side(right)} />
      <path className="body-outline" d={side(mirror(right))} />
      <path
        className="body-line"
        d={`M${-half.waist} ${y.top} H${half.waist} M${-half.waist - 2} ${y.seam} H${half.waist + 2} M0 ${y.top} V${y.crotch}`}
      />
      <path className="body-line" d={`M0 ${y.seam} q46 ${(y.hip - y.seam) * 0.9} 0 ${y.hip - y.seam}`} />
      <g className="body-tape">
        <path d={read.length > 2 ? smoothLine(read) : `M${read.map((p) => p.join(' ')).join('L')}`} />
        {[read[0], read.at(-1)].map((p, i) => p && <circle key={i} cx={p[0]} cy={p[1]} r={8} />)}
      </g>
    </svg>
  );
}
