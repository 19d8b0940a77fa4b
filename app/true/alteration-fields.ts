import type { AlterationKind } from '../../core/alter/index.js';

/** One figure of an alteration: where it is kept, what it is called, and how it is entered. */
export interface AlterationField {
  readonly key: string;
  readonly label: string;
  readonly as: 'length' | 'percent' | 'number' | 'tick' | 'level' | 'place' | 'pick';
  /** The values of a pick, with their words. */
  readonly options?: readonly (readonly [string, string])[];
  /** Left out where the alteration of a dart has no amount. */
  readonly unlessInto?: boolean;
}

const length = (key: string, label: string): AlterationField => ({ key, label, as: 'length' });
const tick = (key: string, label: string): AlterationField => ({ key, label, as: 'tick' });
const level = (key: string, label: string): AlterationField => ({ key, label, as: 'level' });
const place = (key: string, label: string): AlterationField => ({ key, label, as: 'place' });

const KEEP_RISE = tick('keepLength', 'Keep the rise’s length at the waist');

/** The figures of each kind of alteration, in the order in which a maker thinks of them. */
export const FIELDS: Readonly<Record<AlterationKind, readonly AlterationField[]>> = {
  wedge: [length('by', 'Opened (+) or closed (−)'), place('from', 'Cut from'), place('hinge', 'Hinge')],
  across: [length('by', 'Longer (+) or shorter (−)'), level('level', 'At')],
  pinch: [
    length('byFrom', 'Taken out at the first end'),
    length('byTo', 'Taken out at the other end'),
    place('from', 'Fold from'),
    place('to', 'Fold to'),
  ],
  waist: [
    length('centre', 'Raised (+) or lowered (−) at the centre'),
    length('side', 'Raised (+) or lowered (−) at the side'),
  ],
  scoop: [
    length('by', 'Deeper (+) or filled (−)'),
    { key: 'at', label: 'Place on the curve, from the crotch point', as: 'percent' },
    KEEP_RISE,
  ],
  crotchPoint: [
    length('out', 'Out (+) or in (−)'),
    length('down', 'Down (+) or up (−)'),
    tick('recentre', 'Recentre the crease'),
  ],
  tilt: [
    length('by', 'In (+) or out (−) at the waist'),
    length('above', 'Turned above the start of the curve by'),
    tick('giveBack', 'Give hip and waist back at the side'),
  ],
  seam: [
    {
      key: 'seam',
      label: 'Seam',
      as: 'pick',
      options: [
        ['side', 'side'],
        ['inseam', 'inseam'],
        ['centre', 'centre'],
      ],
    },
    length('by', 'Out (+) or in (−)'),
    level('from', 'From'),
    level('to', 'To'),
    length('runOut', 'Running out over'),
  ],
  dart: [
    {
      key: 'act',
      label: 'What',
      as: 'pick',
      options: [
        ['intake', 'Deeper (+) or narrower (−)'],
        ['length', 'Longer (+) or shorter (−)'],
        ['move', 'Moved toward the side (+) or centre (−)'],
        ['turn', 'Point turned toward the side (+) or centre (−)'],
        ['split', 'Split in two, so far apart'],
        ['intoSide', 'Taken over by the side seam'],
        ['intoCentre', 'Taken over by the centre seam'],
        ['intoHem', 'Turned into the hem: the leg flares'],
      ],
    },
    { key: 'by', label: 'By', as: 'length', unlessInto: true },
    { key: 'dart', label: 'Dart, from the centre', as: 'number' },
    { key: 'keepWaist', label: 'Keep the waist’s width', as: 'tick', unlessInto: true },
  ],
  crease: [length('by', 'Toward the inseam (+) or the side (−)')],
  rise: [{ key: 'blend', label: 'Blended into the waist over', as: 'percent' }, KEEP_RISE],
};
