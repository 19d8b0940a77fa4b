import type { AlterationWork, LevelPlace } from '../alter/index.js';
import type { Draft } from '../chain/index.js';
import type { Check } from '../check/index.js';
import { sideStretches } from '../measured/index.js';
import type { PanelName } from '../method/index.js';
import { fairRise } from './fair-rise.js';

/** One way to correct: alterations by an amount in mm, and about how much of it a millimetre of the figure needs. */
export interface Way {
  readonly id: string;
  readonly make: (mm: number) => readonly AlterationWork[];
  /** The first guess for a missing millimetre. */
  readonly guess: number;
  /** The share of the amount found that is offered. */
  readonly share?: number;
  readonly caution?: string;
  /** What is done, where the alteration's own words say too little. */
  readonly said?: string;
}

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };
const WAIST: LevelPlace = { line: 'waistLine', by: 0 };
const CROTCH: LevelPlace = { line: 'crotchLevel', by: 0 };
const BIAS = 'The opened centre seam lies on the bias and gives in wear: three quarters of it often prove enough.';
const FRONT_CURVE = 'Cloth cut away from a front curve cannot be put back: sew a toile first.';

const seatWedge = (panel: PanelName, level: LevelPlace, by: number): AlterationWork => ({
  kind: 'wedge',
  panel,
  from: { edge: 'rise', level },
  hinge: { edge: 'side', level },
  by,
});

const sideOut = (by: number, from: LevelPlace, to: LevelPlace, runOut: number): AlterationWork => ({
  kind: 'seam',
  panel: 'both',
  seam: 'side',
  by,
  from,
  to,
  runOut,
});

function riseWays(panel: PanelName, draft: Draft): Way[] {
  const third = draft.block.levels.crotchLevel / 3;
  const low: LevelPlace = { line: 'crotchLevel', by: -Math.round(third) };
  return [
    { id: 'wedge', make: (mm) => [seatWedge(panel, HIP, mm)], guess: 1, caution: BIAS },
    { id: 'wedge-part', make: (mm) => [seatWedge(panel, HIP, mm)], guess: 1, share: 0.75 },
    { id: 'wedge-low', make: (mm) => [seatWedge(panel, low, mm)], guess: 1 },
    { id: 'waist', make: (mm) => [{ kind: 'waist', panel, centre: mm, side: 0, centreOnly: false }], guess: 1 },
    {
      id: 'extension',
      make: (mm) => [{ kind: 'crotchPoint', panel, out: mm, down: 0, recentre: true }],
      guess: 1.3,
    },
    {
      id: 'scoop',
      make: (mm) => [{ kind: 'scoop', panel, at: 0.5, by: mm, keepLength: false }],
      guess: 1.5,
      ...(panel === 'front' ? { caution: FRONT_CURVE } : {}),
    },
  ];
}

function girthWays(at: LevelPlace): Way[] {
  return [
    { id: 'side', make: (mm) => [sideOut(mm, at, at, 140)], guess: 0.25 },
    {
      id: 'both-seams',
      make: (mm) => [
        sideOut(mm, at, at, 140),
        { kind: 'seam', panel: 'both', seam: 'inseam', by: mm, from: at, to: at, runOut: 140 },
      ],
      guess: 0.125,
    },
  ];
}

/** Ways that a maker would take for a check; none where the check has no correction on the piece. */
export function waysFor(check: Check, draft: Draft): Way[] {
  const { block } = draft;
  switch (check.id) {
    case 'frontRise':
      return riseWays('front', draft);
    case 'backRise':
      return riseWays('back', draft);
    case 'seatHeight':
      return [
        { id: 'wedge', make: (mm) => [seatWedge('back', HIP, mm)], guess: 1, caution: BIAS },
        {
          id: 'waist',
          make: (mm) => [{ kind: 'waist', panel: 'back', centre: mm, side: 0, centreOnly: false }],
          guess: 1,
        },
      ];
    case 'wholeRise':
      return [
        {
          id: 'across',
          make: (mm) => [{ kind: 'across', panel: 'both', level: { line: 'hipLevel', by: 20 }, by: mm }],
          guess: 0.5,
        },
        { id: 'wedge-back', make: (mm) => [seatWedge('back', HIP, mm)], guess: 1, caution: BIAS },
        {
          id: 'waist',
          make: (mm) => [{ kind: 'waist', panel: 'both', centre: mm, side: mm, centreOnly: false }],
          guess: 0.5,
        },
      ];
    case 'waist':
      return [
        { id: 'side', make: (mm) => [sideOut(mm, WAIST, WAIST, block.levels.hipLevel * 0.9)], guess: 0.25 },
        ...(block.back.darts.length > 0
          ? [
              {
                id: 'back-dart',
                make: (mm: number): AlterationWork[] => [
                  { kind: 'dart', panel: 'back', dart: 0, act: 'intake', by: -mm, keepWaist: false },
                ],
                guess: 0.5,
              },
            ]
          : []),
        {
          id: 'centre-back',
          make: (mm) => [{ kind: 'seam', panel: 'back', seam: 'centre', by: mm, from: WAIST, to: WAIST, runOut: 120 }],
          guess: 0.5,
        },
      ];
    case 'hip':
      return [{ id: 'side', make: (mm) => [sideOut(mm, HIP, CROTCH, 160)], guess: 0.25 }];
    case 'thigh':
      return [
        {
          id: 'back-extension',
          make: (mm) => [{ kind: 'crotchPoint', panel: 'back', out: mm, down: 0, recentre: true }],
          guess: 1,
        },
        {
          id: 'extensions',
          make: (mm) => [
            { kind: 'crotchPoint', panel: 'front', out: mm / 2, down: 0, recentre: true },
            { kind: 'crotchPoint', panel: 'back', out: mm, down: 0, recentre: true },
          ],
          guess: 0.67,
        },
        { id: 'side', make: (mm) => [sideOut(mm, CROTCH, CROTCH, 160)], guess: 0.5 },
      ];
    case 'highHip':
    case 'midThigh':
    case 'calf':
      return girthWays({ line: 'waistLine', by: Math.round(check.about.at ?? 0) });
    case 'knee':
      return girthWays({ line: 'kneeLevel', by: 0 });
    case 'hem':
      return girthWays({ line: 'hemLevel', by: 0 });
    case 'inseamWalk':
      return [
        {
          id: 'crotch-point',
          make: (mm) => [{ kind: 'crotchPoint', panel: 'back', out: 0, down: mm, recentre: false }],
          guess: 1,
        },
      ];
    case 'sideWalk': {
      const off = sideStretches(block.front).waistToHip - sideStretches(block.back).waistToHip;
      return [
        {
          id: 'waist-side',
          make: (mm) => [{ kind: 'waist', panel: 'back', centre: 0, side: mm, centreOnly: false }],
          guess: off === 0 ? 0 : -1,
        },
      ];
    }
    case 'darts':
      return [
        {
          id: 'split',
          make: () => [{ kind: 'dart', panel: 'back', dart: 0, act: 'split', by: 30, keepWaist: true }],
          guess: 0,
        },
        {
          id: 'shorten',
          make: () => [{ kind: 'dart', panel: 'back', dart: 0, act: 'length', by: -20, keepWaist: true }],
          guess: 0,
        },
      ];
    case 'crease':
      return [{ id: 'centre', make: (mm) => [{ kind: 'crease', panel: 'both', by: mm }], guess: -1 }];
    case 'frontRiseLine':
    case 'backRiseLine': {
      const panel = check.id === 'frontRiseLine' ? 'front' : 'back';
      const points = fairRise(block[panel], draft.worked.size);
      const works: AlterationWork[] = points ? [{ kind: 'rise', panel, points, blend: 0.2, keepLength: false }] : [];
      const said = `${panel === 'front' ? 'Front' : 'Back'}: rise drawn anew in one bend`;
      return works.length === 0 ? [] : [{ id: 'redraw', make: () => works, guess: 0, said }];
    }
    default:
      return check.compares.of === 'height'
        ? girthWays({ line: 'waistLine', by: Math.round(check.about.at ?? 0) })
        : [];
  }
}
