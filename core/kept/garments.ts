import { EMPTY_PAIR, type Figure } from '../measure/index.js';
import type { FitClassId } from '../method/index.js';
import type { Unit } from '../units/index.js';
import { newDraft, type Work } from './kept.js';
import { newPerson, newSet } from './person.js';

/** The names of the garments to start from. */
export type GarmentId = 'work' | 'wide' | 'shorts' | 'leggings' | 'child';

/** A garment that one may start from: method, fit, leg and finish chosen together. */
export interface GarmentStart {
  readonly id: GarmentId;
  readonly label: string;
  readonly about: string;
  readonly method: string;
  readonly fitClass?: FitClassId;
  /** How far the cloth stretches, as a share. */
  readonly stretch?: number;
  readonly figure?: Figure;
  readonly choices?: Readonly<Record<string, string>>;
  /** How it is finished: components by name, as the house has them but for what is given. */
  readonly finish: readonly { readonly id: string; readonly values?: Readonly<Record<string, string>> }[];
  /** Lengths in mm by the maker's unit: round on either tape. */
  readonly settings?: Readonly<Record<'cm' | 'in', Readonly<Record<string, number>>>>;
}

/** The garments to start from; what is chosen can be changed at Choose like anything else. */
export const GARMENT_STARTS: readonly GarmentStart[] = [
  {
    id: 'work',
    label: 'Work trousers',
    about: 'Regular fit, straight leg about the crease.',
    method: 'crease-centred',
    fitClass: 'regular',
    choices: { leg: 'straight' },
    finish: [{ id: 'fly' }, { id: 'slantPocket' }, { id: 'patchPocket' }, { id: 'band' }, { id: 'loops' }],
  },
  {
    id: 'wide',
    label: 'Wide trousers',
    about: 'Loose over seat and thigh, the leg wide to the hem.',
    method: 'quarter-and-half',
    fitClass: 'loose',
    choices: { leg: 'wide' },
    finish: [{ id: 'zip' }, { id: 'inSeamPocket' }, { id: 'band' }],
  },
  {
    id: 'shorts',
    label: 'Shorts',
    about: 'Loose, cut off above the knee by the inside length.',
    method: 'quarter-and-half',
    settings: { cm: { insideLength: 220 }, in: { insideLength: 9 * 25.4 } },
    finish: [{ id: 'casing', values: { kind: 'folded' } }, { id: 'inSeamPocket' }],
  },
  {
    id: 'leggings',
    label: 'Leggings',
    about: 'Close in a knit that stretches by two fifths; give its real stretch at Choose.',
    method: 'knit-leg',
    fitClass: 'knit',
    stretch: 0.4,
    finish: [{ id: 'casing', values: { kind: 'folded' } }, { id: 'onePiece' }],
  },
  {
    id: 'child',
    label: 'Child’s pull-on trousers',
    about: 'Roomy, with a waist that passes the hips and takes a drawstring or elastic.',
    method: 'crease-centred',
    figure: 'child',
    choices: { variant: 'drawstring', age: 'child' },
    finish: [{ id: 'casing' }],
  },
];

/** From what a new piece of work is started: four figures, a garment, or a pair that fits. */
export type StartId = 'figures' | 'pair' | GarmentId;

/** A new person with a draft, as one starts. */
export function startWork(id: StartId, newId: () => string, unit: Unit, now: Date): Work {
  const start = GARMENT_STARTS.find((g) => g.id === id);
  const made = newPerson(newId, 'New person', unit, now);
  const pair = id === 'pair';
  const set = pair ? { ...newSet(newId, unit, now, 'pair'), pair: EMPTY_PAIR } : undefined;
  const person = { ...made, figure: start?.figure ?? made.figure, sets: set ? [set] : made.sets };
  const draft = newDraft(newId, person, start?.label ?? 'Trousers', now);
  if (pair) return { person, draft: { ...draft, method: 'finished-pair' } };
  if (!start) return { person, draft };
  return {
    person,
    draft: {
      ...draft,
      method: start.method,
      fit: { ...draft.fit, fitClass: start.fitClass, stretch: start.stretch ?? 0 },
      choices: { ...start.choices },
      style: start.finish.map(({ id: component, values = {} }) => ({ id: component, values: { ...values } })),
      settings: { ...start.settings?.[unit === 'in' ? 'in' : 'cm'] },
    },
  };
}
