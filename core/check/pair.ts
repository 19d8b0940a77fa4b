import { sheetHip, type Block } from '../draft/index.js';
import type { MeasurementId } from '../measure/index.js';
import type { Figures } from '../measured/index.js';
import type { Worked } from '../method/index.js';
import { judged, type Check } from './check.js';
import type { Measure } from './measure.js';

/** The sheet by which a finished pair is copied. */
const FINISHED_PAIR = 'finished-pair';
/** How far a copy may be from its pair, in mm. */
const PAIR_BAND = 5;

/** True where a draft copies a finished pair. */
export const copiesPair = ({ sheet }: Worked): boolean => sheet.id === FINISHED_PAIR;

/** A copy held against the pair that it was taken from, as far as the pair was measured. */
export function pairCheck(worked: Worked, block: Block, figures: Figures): Check[] {
  if (!copiesPair(worked)) return [];
  const measured = (id: MeasurementId): number | undefined => {
    const known = worked.body.get(id);
    return known?.source === 'measured' ? known.mm : undefined;
  };
  const setting = (name: string): number => Number(worked.ledger.get(name)?.value ?? 0);
  const hip = sheetHip(block);
  const rows: readonly (readonly [string, number | undefined, number])[] = [
    ['frontThigh', measured('pairFrontThigh'), block.front.crotchWidth],
    ['thigh', measured('pairThigh'), figures.thigh],
    ['hip', hip === undefined ? undefined : measured('hip'), (hip ?? NaN) - setting('hipEase')],
    ['waist', measured('waist'), figures.waist - setting('waistEase')],
  ];
  const measures = rows.flatMap(([id, wanted, value]): Measure[] =>
    wanted === undefined
      ? []
      : [{ id, panel: undefined, value, low: wanted - PAIR_BAND, high: wanted + PAIR_BAND, unit: 'mm' }],
  );
  const off = ({ value, low = value, high = value }: Measure): number => value - (low + high) / 2;
  const worst = [...measures].sort((a, b) => Math.abs(off(b)) - Math.abs(off(a)))[0];
  if (!worst) return [];
  const check = judged({
    id: 'pair',
    against: 'body',
    value: off(worst),
    low: -PAIR_BAND,
    high: PAIR_BAND,
    compares: { of: 'pair' },
    about: { edges: [], level: 'crotchLevel' },
  });
  return [{ ...check, measures }];
}
