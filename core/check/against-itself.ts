import { isSound, type Block } from '../draft/index.js';
import type { Figures } from '../measured/index.js';
import { judged, type About, type Check } from './check.js';

/** The deepest dart that is no fault, in mm, and how far below the hip line its point may lie. */
const MOST_INTAKE = 40;
const BELOW_HIP = 0.5;
/** The crease halves knee and hem where it is less than this off, in mm. */
const HALVED = 0.5;
/** How much of the back inseam is stretched on above the knee, in mm; and where a method states its crotch drop. */
const STRETCH = 6;
const STATED_STRETCH = 13;

const pairOf = (edge: 'waist' | 'side' | 'inseam' | 'rise'): About => ({
  edges: [
    ['front', edge],
    ['back', edge],
  ],
});

const creaseCheck = ({ crease: value, creaseBelow }: Figures): Check => ({
  id: 'crease',
  against: 'itself',
  kind: 'length',
  value,
  low: undefined,
  high: undefined,
  verdict: 'in',
  compares: { of: 'crease', halved: Math.abs(creaseBelow) < HALVED },
  restsOnEstimate: false,
  about: { edges: [], level: 'crotchLevel' },
});

function outlineCheck(block: Block): Check {
  const sound = isSound(block.front) && isSound(block.back);
  return {
    id: 'outline',
    against: 'itself',
    kind: 'word',
    value: { of: 'outline', sound },
    low: undefined,
    high: undefined,
    verdict: sound ? 'in' : 'out',
    compares: { of: 'outline' },
    restsOnEstimate: false,
    about: { edges: [] },
  };
}

function dartCheck(block: Block, { darts: value }: Figures): Check {
  const deep = [block.front, block.back].some(({ darts, points }) =>
    darts.some(({ apex, intake }) => apex.y > points.sideHip.y + BELOW_HIP || intake > MOST_INTAKE),
  );
  const check = judged({
    id: 'darts',
    against: 'itself',
    value,
    low: 0,
    high: 0.5,
    compares: { of: 'darts' },
    about: pairOf('waist'),
  });
  return deep ? { ...check, verdict: 'near' } : check;
}

/** How the pieces are meant to be sewn. */
export interface Sewn {
  /** A knit is stretched on as it is sewn. */
  readonly knit?: boolean;
  /** The method states its crotch drop, and the back inseam is stretched on by what comes of it. */
  readonly statedDrop?: boolean;
  /** Both inseams are cut to one length. */
  readonly equalInseams?: boolean;
}

/** Inseams cut to one length may differ by this, in mm. */
const EQUAL = 1;

/**
 * The checks of a draft against itself (docs/trade/truing.md). A knit is stretched on, so its walk has more room below
 * the knee.
 */
export const checkAgainstItself = (
  block: Block,
  figures: Figures,
  { knit = false, statedDrop = false, equalInseams = false }: Sewn = {},
): Check[] => [
  judged({
    id: 'inseamWalk',
    against: 'itself',
    value: figures.inseamWalk,
    low: equalInseams ? -EQUAL : 0,
    high: equalInseams ? EQUAL : statedDrop ? STATED_STRETCH : STRETCH,
    compares: { of: equalInseams ? 'inseamWalkEqual' : statedDrop ? 'inseamWalkStated' : 'inseamWalk' },
    about: pairOf('inseam'),
  }),
  judged({
    id: 'inseamWalkBelow',
    against: 'itself',
    value: figures.inseamWalkBelow,
    low: knit ? -3 : -1,
    high: knit ? 3 : 1,
    compares: { of: 'inseamWalkBelow' },
    about: pairOf('inseam'),
  }),
  judged({
    id: 'sideWalk',
    against: 'itself',
    value: figures.sideWalk,
    low: -1.5,
    high: 1.5,
    compares: { of: 'sideWalk' },
    about: pairOf('side'),
  }),
  judged({
    id: 'waistRun',
    against: 'itself',
    kind: 'angle',
    value: figures.waistRun,
    low: 0,
    high: 2,
    compares: { of: 'waistRun' },
    about: pairOf('waist'),
  }),
  judged({
    id: 'crotchJoin',
    against: 'itself',
    kind: 'angle',
    value: figures.crotchJoin,
    low: -3,
    high: 3,
    compares: { of: 'crotchJoin' },
    about: pairOf('rise'),
  }),
  dartCheck(block, figures),
  creaseCheck(figures),
  outlineCheck(block),
];
