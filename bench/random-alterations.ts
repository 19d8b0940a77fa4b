import type { Alteration, AlterationWork } from '../core/alter/index.js';

/** One alteration of any kind with any figures that a hand could give. */
function anyWork(random: () => number): AlterationWork {
  const amount = (most: number): number => (random() - 0.5) * 2 * most;
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const panel = pick(['front', 'back', 'both'] as const);
  const level = { line: pick(['hipLevel', 'crotchLevel', 'kneeLevel'] as const), by: amount(60) };
  const any: readonly (() => AlterationWork)[] = [
    () => ({
      kind: 'wedge',
      panel,
      from: { edge: 'rise', share: random() },
      hinge: { edge: 'side', share: random() * 0.3 },
      by: amount(40),
    }),
    () => ({
      kind: 'wedge',
      panel,
      from: { edge: 'inseam', share: random() },
      hinge: { edge: 'side', share: random() },
      by: amount(40),
    }),
    () => ({
      kind: 'pinch',
      panel,
      from: { edge: 'rise', share: random() },
      to: { edge: 'side', share: random() },
      byFrom: amount(20),
      byTo: amount(20),
    }),
    () => ({ kind: 'across', panel, level, by: amount(60) }),
    () => ({ kind: 'waist', panel, centre: amount(130), side: amount(130), centreOnly: random() < 0.3 }),
    () => ({ kind: 'scoop', panel, at: random(), by: amount(25), keepLength: random() < 0.5 }),
    () => ({ kind: 'crotchPoint', panel, out: amount(50), down: amount(30), recentre: random() < 0.5 }),
    () => ({ kind: 'tilt', panel, above: random() * 150, by: amount(50), giveBack: random() < 0.5 }),
    () => ({
      kind: 'seam',
      panel,
      seam: pick(['side', 'inseam', 'centre'] as const),
      by: amount(30),
      from: level,
      to: level,
      runOut: 20 + random() * 200,
    }),
    () => ({
      kind: 'dart',
      panel,
      dart: 0,
      act: pick(['intake', 'length', 'move', 'turn', 'split', 'intoSide', 'intoCentre', 'intoHem'] as const),
      by: amount(40),
      keepWaist: random() < 0.5,
    }),
    () => ({ kind: 'crease', panel, by: amount(25) }),
    () => ({ kind: 'moveSeam', panel: 'both', seam: pick(['side', 'inseam'] as const), by: amount(25) }),
    () => ({ kind: 'levelHem', panel, inside: amount(40), outside: amount(40) }),
  ];
  return pick(any)();
}

/** A list of so many alterations of any kind. */
export const anyAlterations = (random: () => number, count: number): Alteration[] =>
  Array.from({ length: count }, (_, i) => ({ id: `a${i}`, on: true, note: '', work: anyWork(random) }));
