import { houseAllowances } from '../piece/index.js';
import type { KeptStyle } from '../workbook/index.js';

/** The maker's own styles of the demo workroom. */
export const STYLES: readonly KeptStyle[] = [
  {
    id: 'front-of-house',
    name: 'Front of house',
    style: [
      { id: 'band', values: {} },
      { id: 'fly', values: {} },
      { id: 'slantPocket', values: {} },
      { id: 'loops', values: {} },
      { id: 'hem', values: { kind: 'double' } },
    ],
  },
  {
    id: 'backstage-pull-on',
    name: 'Backstage pull-on',
    style: [
      { id: 'casing', values: { kind: 'folded' } },
      { id: 'patchPocket', values: {} },
    ],
    allowances: {
      ...houseAllowances('cm'),
      profile: { waist: 10, side: 10, inseam: 10, rise: 10, hem: 30 },
      given: [],
    },
  },
];
