import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Knowledge } from '../../core/toile/index.js';
import type { Unit } from '../../core/units/index.js';

/** How the pieces lie on the board. */
export type Arrangement = 'sides' | 'creases' | 'apart';

/** What a maker likes, kept in this browser and not in the workbook. */
export interface Preferences {
  readonly theme: 'light' | 'dark' | 'system';
  readonly unit: Unit;
  /** Whether unit and paper were asked for. */
  readonly asked: boolean;
  readonly arrangement: Arrangement;
  readonly showCut: boolean;
  readonly showConstruction: boolean;
  readonly showReference: boolean;
  readonly benchOpen: boolean;
  /** On a small screen: how far the bench is pulled up. */
  readonly sheet: 'low' | 'half' | 'full';
  readonly paper: 'a4' | 'letter' | 'roll';
  readonly rollWidth: number;
  /** Lines of a print told apart by colour as well. */
  readonly ink: 'black' | 'colour';
  /** How long the test square of 100 mm came out on this maker's printer, in mm. */
  readonly squareMeasured: number;
  /** What is chosen of a chalk sheet; a tape for each unit. */
  readonly chalk: {
    readonly line: 'cut' | 'net';
    readonly back: 'method' | 'own' | 'front';
    readonly points?: 'numbers' | 'letters';
    readonly levels?: 'waist' | 'hem';
    readonly in: string;
    readonly cm: string;
  };
  /** How the maker sews. */
  readonly make: {
    readonly inseams: 'last' | 'first';
    readonly hem: 'after' | 'before';
    readonly band: 'whole' | 'sideLast';
  };
  /** What was ticked off on the sheets, by draft and sheet. */
  readonly ticked: Readonly<Record<string, readonly string[]>>;
  /** Measuring: all figures at once, or one large figure at a time. */
  readonly measuringWay: 'list' | 'single';
  /** Measuring: the drawn body with the tape, or the pieces on the board. */
  readonly measuringShows: 'body' | 'pieces';
  /** Measuring: what is needed first, or as one goes round the body. */
  readonly measuringOrder: 'needed' | 'round';
  /** Which section of each bench lies open. */
  readonly sections: Readonly<Record<string, string>>;
  /** In which order the shelf stands. */
  readonly shelfOrder: 'changed' | 'person' | 'name';
  /** A first drag was made on the board: it is invited until then. */
  readonly dragged: boolean;
  /** When a room was last saved to a file, by the room. */
  readonly savedToFile: Readonly<Record<string, string>>;
  /** What this maker knows of toiles, in the place of what the house has. */
  readonly knowledge: Knowledge | undefined;
}

const DEFAULTS: Preferences = {
  theme: 'system',
  unit: 'cm',
  asked: false,
  arrangement: 'sides',
  showCut: false,
  showConstruction: true,
  showReference: true,
  benchOpen: true,
  sheet: globalThis.innerHeight < 560 ? 'low' : 'half',
  paper: 'a4',
  rollWidth: 914,
  ink: 'black',
  squareMeasured: 100,
  chalk: { line: 'cut', back: 'method', points: 'numbers', in: '1/8', cm: '0.25' },
  make: { inseams: 'last', hem: 'after', band: 'whole' },
  ticked: {},
  measuringWay: 'list',
  measuringShows: 'body',
  measuringOrder: 'needed',
  sections: {},
  shelfOrder: 'changed',
  dragged: false,
  savedToFile: {},
  knowledge: undefined,
};

/** The paper that goes with a unit, where a maker has not said otherwise. */
const PAPER_OF: Readonly<Record<Unit, Preferences['paper']>> = { cm: 'a4', mm: 'a4', in: 'letter' };

/** The unit that a region works in, by its language tag; centimetres where the tag names none. */
export const proposedUnit = (language: string): Unit => (/^en-(US|LR)|-(US)$/i.test(language) ? 'in' : 'cm');

/** What changes with the unit: the paper too, where it is still the one that went with the unit before. */
export const withUnit = ({ unit: before, paper }: Preferences, unit: Unit): Partial<Preferences> => ({
  unit,
  ...(paper === PAPER_OF[before] ? { paper: PAPER_OF[unit] } : {}),
});

/** What was kept before; a maker of whom something is kept was asked long ago, or has found the settings. */
export const asKept = (kept: unknown): Partial<Preferences> =>
  typeof kept === 'object' && kept !== null ? { asked: true, ...(kept as Partial<Preferences>) } : {};

/** The preferences, kept from visit to visit. */
export const usePreferences = create<Preferences & { set: (change: Partial<Preferences>) => void }>()(
  persist(
    (set) => ({
      ...DEFAULTS,
      set: (change) => {
        set(change);
      },
    }),
    {
      name: 'upstride-preferences',
      version: 1,
      merge: (kept, now) => ({ ...now, ...asKept(kept) }),
    },
  ),
);
