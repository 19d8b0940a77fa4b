import type { Seam } from './seam.js';

/** The seams of the two legs without what depends on a draft: which edges are sewn to which, and from where. */
export const LEG_SEAMS = [
  {
    id: 'side',
    label: 'Side',
    first: { part: 'front', edge: 'side', backward: false },
    second: { part: 'back', edge: 'side', backward: false },
    cuts: [1, 2],
    start: 'waist',
    end: 'hem',
  },
  {
    id: 'inseam',
    label: 'Inseam',
    first: { part: 'front', edge: 'inseam', backward: true },
    second: { part: 'back', edge: 'inseam', backward: true },
    cuts: [1, 2],
    start: 'crotch point',
    end: 'hem',
  },
  {
    id: 'frontRise',
    label: 'Front rise',
    first: { part: 'front', edge: 'rise', backward: false },
    second: { part: 'front', edge: 'rise', backward: false, mirrored: true },
    cuts: [1, 1],
    start: 'crotch point',
    end: 'waist',
  },
  {
    id: 'backRise',
    label: 'Back rise',
    first: { part: 'back', edge: 'rise', backward: false },
    second: { part: 'back', edge: 'rise', backward: false, mirrored: true },
    cuts: [2, 2],
    start: 'crotch point',
    end: 'waist',
  },
] as const satisfies readonly Omit<Seam, 'ease' | 'matches'>[];
