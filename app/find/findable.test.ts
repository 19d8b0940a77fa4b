import { describe, expect, it } from 'vitest';
import { findIn, type Findable } from './findable.js';

const thing = (label: string, kind = 'Parameter', also = ''): Findable => ({
  id: label,
  kind,
  label,
  also,
  go: () => undefined,
});
const all = [
  thing('Hem width'),
  thing('Back crotch extension'),
  thing('Front rise', 'Line', 'Rise, j curve'),
  thing('Rise', 'Word', 'j curve, crotch curve'),
  thing('Crotch depth', 'Measurement'),
  thing('Inches', 'Command', 'imperial'),
];
const labels = (typed: string): string[] => findIn(all, typed).map((f) => f.label);

describe('find', () => {
  it('puts first what begins with the word, then what holds it, then what goes by it as well', () => {
    expect(labels('crotch')).toEqual(['Crotch depth', 'Back crotch extension', 'Rise']);
  });

  it('answers to everyday words', () => {
    expect(labels('J curve')).toEqual(['Rise', 'Front rise']);
    expect(labels('imperial')).toEqual(['Inches']);
  });

  it('wants every word, in any order', () => {
    expect(labels('ext back')).toEqual(['Back crotch extension']);
    expect(labels('depth zipper')).toEqual([]);
  });

  it('lists everything in its order where nothing is typed', () => {
    expect(labels('  ')).toEqual(all.map((f) => f.label));
  });
});
