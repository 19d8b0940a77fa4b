import { describe, expect, it } from 'vitest';
import type { Check, CheckId, Verdict } from '../../core/check/index.js';
import { countVerdicts, openOnTape, TAPE_WIDTHS, tapeGroups } from './tape-plan.js';

const check = (id: CheckId, verdict: Verdict): Check => ({
  id,
  against: 'body',
  kind: 'length',
  value: 1,
  low: 0,
  high: 2,
  verdict,
  compares: { of: 'waist' },
  restsOnEstimate: false,
  about: { edges: [] },
});

const checks = [
  check('sideWalk', 'near'),
  check('waist', 'in'),
  check('hip', 'out'),
  check('frontRise', 'near'),
  check('backRise', 'out'),
  check('knee', 'unknown'),
];
/** Waist, seat, rise, leg and seams. */
const GROUPS = 5;
const widthFor = (open: number): number =>
  GROUPS * TAPE_WIDTHS.group + TAPE_WIDTHS.end + open * TAPE_WIDTHS.check + TAPE_WIDTHS.check / 2;

describe('the tape', () => {
  it('opens what asks for something, worst first, as far as there is room', () => {
    expect(openOnTape(checks, widthFor(9), undefined).sort()).toEqual(['backRise', 'frontRise', 'hip', 'sideWalk']);
    expect(openOnTape(checks, widthFor(2), undefined).sort()).toEqual(['backRise', 'hip']);
    expect(openOnTape(checks, 300, undefined)).toEqual([]);
  });

  it('keeps the check in hand open though it is in band', () => {
    expect(openOnTape(checks, widthFor(2), 'waist')[0]).toBe('waist');
    expect(openOnTape(checks, widthFor(9), 'knee')).not.toContain('knee');
  });

  it('stands in the order of the body, whatever is open', () => {
    const groups = tapeGroups(checks, new Set(['backRise']));
    expect(groups.map((g) => g.id)).toEqual(['waist', 'seat', 'rise', 'seams']);
    const rise = groups.find((g) => g.id === 'rise');
    expect(rise?.open.map((c) => c.id)).toEqual(['backRise']);
    expect(rise?.folded.map((c) => c.id)).toEqual(['frontRise']);
  });

  it('counts by verdict, what is not measured apart', () => {
    expect(countVerdicts(checks)).toEqual({ out: 2, near: 2, in: 1 });
  });
});
