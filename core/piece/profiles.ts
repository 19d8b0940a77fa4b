import type { Unit } from '../units/index.js';
import { houseAllowances, type Allowances, type GivenAllowance, type Profile } from './allowance.js';

/** A way of laying on allowances that makers have, by what it is for. */
export interface ProfileEntry {
  readonly id: string;
  readonly label: string;
  readonly about: string;
  readonly allowances: (unit: Unit) => Allowances;
}

const inch = 25.4;
const by = (unit: Unit, cm: number, inches: number): number => (unit === 'in' ? inches * inch : cm * 10);

const all = (mm: number, hem: number): Profile => ({ waist: mm, side: mm, inseam: mm, rise: mm, hem });

const behind = (edge: string, mm: number): GivenAllowance => ({ on: 'edge', part: 'back', edge, mm });
const before = (edge: string, mm: number): GivenAllowance => ({ on: 'edge', part: 'front', edge, mm });

/** From here up the rise, as a share of it, the centre behind widens to what is kept for letting out. */
const WIDENS_FROM = 0.55;

/** The shipped profiles (docs/trade/pieces.md). */
export const PROFILES: readonly ProfileEntry[] = [
  {
    id: 'house',
    label: 'House',
    about: 'Wider at the long seams, narrow at waist and rise.',
    allowances: houseAllowances,
  },
  {
    id: 'even',
    label: 'Even',
    about: 'The same at every seam, with a hem.',
    allowances: (unit) => ({ profile: all(by(unit, 1.5, 0.625), by(unit, 4, 1.5)), given: [], from: 'even' }),
  },
  {
    id: 'let-out',
    label: 'To let out',
    about: 'As a tailor has it: wide at the side, the centre behind widening upward.',
    allowances: (unit) => ({
      profile: {
        waist: by(unit, 1, 0.375),
        side: by(unit, 2.5, 1),
        inseam: by(unit, 1.5, 0.625),
        rise: by(unit, 1, 0.375),
        hem: by(unit, 5, 2),
      },
      given: [
        {
          on: 'stretch',
          part: 'back',
          edge: 'rise',
          from: WIDENS_FROM,
          to: 1,
          mm: by(unit, 1, 0.375),
          end: by(unit, 2.5, 1),
        },
      ],
      from: 'let-out',
    }),
  },
  {
    id: 'all-on-the-back',
    label: 'All on the back',
    about:
      'The front is cut on its stitching line, the back has all of it: sewn at half of that, the girths are the net ones.',
    allowances: (unit) => {
      const whole = by(unit, 2.5, 1);
      return {
        profile: { ...all(whole, by(unit, 4, 1.5)), waist: by(unit, 1, 0.375) },
        given: [
          ...['side', 'inseam', 'rise'].map((edge) => before(edge, 0)),
          ...['side', 'inseam', 'rise'].map((edge) => behind(edge, whole)),
        ],
        depth: whole / 2,
        from: 'all-on-the-back',
      };
    },
  },
  {
    id: 'hem-only',
    label: 'Hem only',
    about: 'The stitching line is cut, but for the hem: for whoever adds their own.',
    allowances: (unit) => ({ profile: all(0, by(unit, 4, 1.5)), given: [], from: 'hem-only' }),
  },
  {
    id: 'knit',
    label: 'Knit',
    about: 'What an overlock takes, and a narrow hem.',
    allowances: (unit) => ({ profile: all(by(unit, 0.6, 0.25), by(unit, 2, 0.75)), given: [], from: 'knit' }),
  },
  {
    id: 'quarter',
    label: 'Narrow all round',
    about: 'As narrow everywhere, the hem too.',
    allowances: () => ({ profile: all(0.25 * inch, 0.25 * inch), given: [], from: 'quarter' }),
  },
];

/** A shipped profile by its name. */
export const profileNamed = (id: string): ProfileEntry | undefined => PROFILES.find((p) => p.id === id);
