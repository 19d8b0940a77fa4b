import { toMm, type Unit } from '../units/index.js';

/** Shops cut cloth in steps of so much: 5 cm, or an eighth of a yard. */
const SHOP_STEP: Readonly<Record<'in' | 'cm', number>> = { in: toMm(4.5, 'in'), cm: 50 };

/** How much cloth to ask for where a lay is so long, in mm: rounded up to what shops cut. */
export const toBuy = (length: number, unit: Unit): number => {
  const step = SHOP_STEP[unit === 'in' ? 'in' : 'cm'];
  return Math.ceil(length / step - 1e-9) * step;
};

/** Yards in eighths. */
const EIGHTHS = 8;

/** An amount of cloth as one asks for it: `1.45 m`, `1 5/8 yd`. */
export function clothWords(mm: number, unit: Unit): string {
  if (unit !== 'in') return `${(mm / 1000).toFixed(2)} m`;
  const eighths = Math.round((mm / toMm(36, 'in')) * EIGHTHS);
  const whole = Math.floor(eighths / EIGHTHS);
  let [over, under] = [eighths % EIGHTHS, EIGHTHS];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  const part = over > 0 ? `${over}/${under}` : '';
  return `${[whole > 0 || !part ? String(whole) : '', part].filter(Boolean).join(' ')} yd`;
}
