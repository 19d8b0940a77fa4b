import { DEFAULT_SHEET, sheetFrom, type Sheet } from '../method/index.js';
import close from '../method/sheets/close.json' with { type: 'json' };
import creaseCentred from '../method/sheets/crease-centred.json' with { type: 'json' };
import finishedPair from '../method/sheets/finished-pair.json' with { type: 'json' };
import frontFirst from '../method/sheets/front-first.json' with { type: 'json' };
import knitLeg from '../method/sheets/knit-leg.json' with { type: 'json' };
import sixteenths from '../method/sheets/sixteenths.json' with { type: 'json' };
import skirtLeg from '../method/sheets/skirt-leg.json' with { type: 'json' };
import thirds from '../method/sheets/thirds.json' with { type: 'json' };
import twentiethAndTenth from '../method/sheets/twentieth-and-tenth.json' with { type: 'json' };

/** Every method sheet that comes with Upstride, the default first. */
export const SHEETS: readonly Sheet[] = [
  DEFAULT_SHEET,
  ...[close, sixteenths, twentiethAndTenth, creaseCentred, thirds, frontFirst, skirtLeg, knitLeg, finishedPair].map(
    sheetFrom,
  ),
];

/** The shipped sheet with an id, or nothing. */
export const sheetById = (id: string): Sheet | undefined => SHEETS.find((s) => s.id === id);
