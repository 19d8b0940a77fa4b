import type { MeasurementId } from '../../core/measure/index.js';
import type { BodyLevel, BodyShape, Place } from './body-shape.js';

/** The views in which the body is drawn. */
export type View = 'front' | 'side' | 'back' | 'seated';

/** A tape as it lies on the drawn body: a girth about trunk or leg, or a line along it. */
export type TapeLine =
  | { readonly kind: 'girth'; readonly middle: Place; readonly half: number }
  | { readonly kind: 'line'; readonly places: readonly Place[] };

const TRUNK = new Set<BodyLevel>(['ribs', 'waist', 'highHip', 'hip']);

function girthLines(shape: BodyShape, at: BodyLevel): Partial<Record<View, TapeLine>> {
  const y = shape.level[at];
  const [front, back] = shape.profile(at);
  const x = TRUNK.has(at) ? 0 : shape.legMiddle(at);
  return {
    front: { kind: 'girth', middle: [x, y], half: shape.half(at) },
    side: { kind: 'girth', middle: [(front + back) / 2, y], half: (back - front) / 2 },
    back: { kind: 'girth', middle: [x, y], half: shape.half(at) },
  };
}

/** Straight down beside the body, from one level to another, following the hip where it stands out. */
function downTheSide(shape: BodyShape, to: BodyLevel): Partial<Record<View, TapeLine>> {
  const x = shape.half('hip') + 14;
  const start: Place = [shape.half('waist') + 6, 0];
  const bend: Place = [x, shape.level.hip];
  const end: Place = [x, shape.level[to]];
  const places: Place[] = to === 'hip' ? [start, bend] : [start, bend, end];
  return {
    front: { kind: 'line', places },
    side: {
      kind: 'line',
      places: [
        [0, 0],
        [0, shape.level[to]],
      ],
    },
  };
}

/** A level line at the waist, from one place to another. */
const flatLine = (from: number, to: number): TapeLine => ({
  kind: 'line',
  places: [
    [from, 0],
    [to, 0],
  ],
});

/** The level of the side waist, across the body. */
const levelWaist = (shape: BodyShape): TapeLine => flatLine(-shape.half('waist') - 10, shape.half('waist') + 10);

/** Where the tape lies for a measurement, in each view that shows it. Nothing for what is not taken from a body. */
export function tapePlaces(shape: BodyShape, id: MeasurementId): Partial<Record<View, TapeLine>> {
  const { level, under } = shape;
  switch (id) {
    case 'waist':
    case 'highHip':
    case 'hip':
    case 'midThigh':
    case 'knee':
    case 'calf':
    case 'ankle':
      return girthLines(shape, id);
    case 'thigh':
      return girthLines(shape, 'crotch');
    case 'frontWaist':
    case 'frontHip': {
      const at = id === 'frontWaist' ? 'waist' : 'hip';
      const y = level[at];
      const half = shape.half(at);
      const [front] = shape.profile(at);
      return {
        front: {
          kind: 'line',
          places: [
            [-half, y],
            [half, y],
          ],
        },
        side: {
          kind: 'line',
          places: [
            [front, y],
            [0, y],
          ],
        },
      };
    }
    case 'thighTakenAt': {
      const x = shape.legMiddle('crotch');
      return {
        front: {
          kind: 'line',
          places: [
            [x, level.crotch],
            [x, level.crotch + 75],
          ],
        },
      };
    }
    case 'seatHeight':
      return {
        seated: {
          kind: 'line',
          places: [
            [shape.profile('waist')[1], 0],
            [shape.profile('waist')[1], level.crotch],
          ],
        },
      };
    case 'heel': {
      const y = (level.ankle + level.floor) / 2;
      const [front, back] = shape.profile('ankle');
      return {
        side: {
          kind: 'line',
          places: [
            [front * 1.35, y],
            [back, level.floor - 4],
          ],
        },
      };
    }
    case 'footLength':
      return {
        side: {
          kind: 'line',
          places: [
            [shape.profile('ankle')[1], level.floor + 12],
            [Math.min(...shape.sideOutline.map(([x]) => x)), level.floor + 12],
          ],
        },
      };
    case 'crotchDepth':
      return {
        seated: {
          kind: 'line',
          places: [
            [0, 0],
            [0, level.crotch],
          ],
        },
      };
    case 'hipDepth':
      return downTheSide(shape, 'hip');
    case 'kneeDepth':
      return downTheSide(shape, 'knee');
    case 'outseam':
      return downTheSide(shape, 'floor');
    case 'inseam':
      return {
        front: {
          kind: 'line',
          places: [
            [0, level.crotch],
            [Math.max(2, shape.legMiddle('knee') - shape.half('knee') - 4), level.knee],
            [shape.legMiddle('floor') - shape.half('ankle') - 6, level.floor],
          ],
        },
      };
    case 'crotchLength':
      return { side: { kind: 'line', places: [...under.front, ...under.back.slice(1)] } };
    case 'frontRise':
      return { side: { kind: 'line', places: under.front } };
    case 'backRise':
      return { side: { kind: 'line', places: under.back } };
    case 'backWaistHeight':
      return { back: levelWaist(shape), side: flatLine(0, shape.profile('waist')[1] + 14) };
    case 'frontWaistHeight':
      return { front: levelWaist(shape), side: flatLine(shape.profile('waist')[0] - 14, 0) };
    case 'apexSpan':
      return {
        back: {
          kind: 'line',
          places: [
            [-shape.half('hip') * 0.5, level.hip * 0.72],
            [shape.half('hip') * 0.5, level.hip * 0.72],
          ],
        },
      };
    default:
      return {};
  }
}
