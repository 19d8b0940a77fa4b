import { checkLabel, plainValue, type Check } from '../core/check/index.js';
import type { Draft } from '../core/chain/index.js';
import { drawnParameters } from '../core/measured/index.js';
import { measurementLabel } from '../core/measure/index.js';
import { lineKind, lineLabel, PANEL_NAMES, PARAMETER_NAMES } from '../core/method/index.js';
import { fromMm, type Unit } from '../core/units/index.js';
import { writeTable } from './csv/index.js';

/** Figures are written to so many decimals of their unit: finer than any tape, so that nothing is lost by reading them. */
const DIGITS: Readonly<Record<Unit, number>> = { mm: 2, cm: 3, in: 4 };

const plain = (mm: number | undefined, unit: Unit): string =>
  mm === undefined || !Number.isFinite(mm) ? '' : String(Number(fromMm(mm, unit).toFixed(DIGITS[unit])));

/** A figure of a check as a cell: a length in the unit, an angle in degrees, a finding in words. */
function checkCells(check: Check, unit: Unit): readonly string[] {
  const value = plainValue(check, unit);
  const cell = (figure: number | string | undefined): string => {
    if (typeof figure === 'string' || figure === undefined) return figure ?? '';
    return check.kind === 'length'
      ? plain(figure, unit)
      : Number.isFinite(figure)
        ? String(Number(figure.toFixed(3)))
        : '';
  };
  const of = typeof value === 'string' ? '' : check.kind === 'length' ? unit : check.kind === 'angle' ? 'degrees' : '';
  return [cell(value), of, check.verdict, cell(check.low), cell(check.high)];
}

/**
 * A draft's measurements, lines and checks as CSV, one row each: what it is, its name, its figure in the unit, where it
 * comes from or its verdict, and a check's band. Lines have the sheet's figure and the one that is drawn.
 */
export function figuresCsv({ worked, block, checks }: Draft, unit: Unit): string {
  const measurements = [...worked.body].map(([id, { mm, source }]) => [
    'measurement',
    id,
    measurementLabel(id),
    plain(mm, unit),
    unit,
    source,
    '',
    '',
  ]);
  const lines = PANEL_NAMES.flatMap((panel) => {
    const drawn = drawnParameters(block[panel]);
    return PARAMETER_NAMES.flatMap((parameter) => {
      const figure = drawn[parameter];
      if (figure === undefined || !Number.isFinite(figure)) return [];
      const name = `${panel}.${parameter}`;
      const isLength = lineKind(name) === 'length';
      const value = isLength ? plain(figure, unit) : String(Number(figure.toFixed(4)));
      const source = worked.ledger.get(name)?.source ?? '';
      return [['line', name, lineLabel(worked.sheet, name), value, isLength ? unit : '', source, '', '']];
    });
  });
  const checked = checks.map((check) => ['check', check.id, checkLabel(check, unit), ...checkCells(check, unit)]);
  return writeTable(
    ['of', 'id', 'name', 'figure', 'unit', 'source or verdict', 'from', 'to'],
    [...measurements, ...lines, ...checked],
  );
}
