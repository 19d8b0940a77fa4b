import type { Alteration, AlterationWork } from '../core/alter/index.js';

const hip = { line: 'hipLevel', by: 0 } as const;

const WORKS: readonly AlterationWork[] = [
  { kind: 'wedge', panel: 'back', from: { edge: 'rise', level: hip }, hinge: { edge: 'side', level: hip }, by: 12 },
  { kind: 'wedge', panel: 'front', from: { edge: 'rise', level: hip }, hinge: { edge: 'side', level: hip }, by: -6 },
  { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 30 }, by: 15 },
  { kind: 'waist', panel: 'both', centre: -8, side: -8, centreOnly: false },
  { kind: 'scoop', panel: 'back', at: 0.4, by: 4, keepLength: true },
  { kind: 'crotchPoint', panel: 'back', out: 8, down: 2, recentre: true },
  { kind: 'tilt', panel: 'back', above: 20, by: 5, giveBack: true },
  { kind: 'seam', panel: 'both', seam: 'side', by: 4, from: hip, to: { line: 'crotchLevel', by: 0 }, runOut: 150 },
  { kind: 'dart', panel: 'back', dart: 0, act: 'intake', by: 4, keepWaist: true },
  { kind: 'crease', panel: 'both', by: 4 },
];

/** A list as long as a draft may well have, one of almost every kind. */
export const TEN_ALTERATIONS: readonly Alteration[] = WORKS.map((work, i) => ({
  id: `alteration-${i}`,
  on: true,
  note: '',
  work,
}));

/**
 * The longest list that a workbook may hold: the seat opened and closed, the curve deepened and filled, a hundred
 * times.
 */
export const TWO_HUNDRED_ALTERATIONS: readonly Alteration[] = Array.from({ length: 100 }, (_, i): AlterationWork[] => {
  const way = i % 2 === 0 ? 1 : -1;
  return [
    {
      kind: 'wedge',
      panel: 'back',
      from: { edge: 'rise', level: hip },
      hinge: { edge: 'side', level: hip },
      by: 4 * way,
    },
    { kind: 'scoop', panel: 'back', at: 0.4, by: way, keepLength: false },
  ];
})
  .flat()
  .map((work, i) => ({ id: `alteration-${i}`, on: true, note: '', work }));
