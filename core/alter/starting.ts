import type { PanelName } from '../method/index.js';
import type { AlterationKind, AlterationWork, LevelPlace } from './alteration.js';

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };

/** The kinds that can be begun from nothing, in the order in which they are offered; a rise is taken from elsewhere. */
export const STARTING_KINDS: readonly Exclude<AlterationKind, 'rise'>[] = [
  'wedge',
  'across',
  'waist',
  'scoop',
  'crotchPoint',
  'tilt',
  'seam',
  'dart',
  'crease',
  'pinch',
];

/** An alteration of a kind with the amounts that a maker would begin with. */
export function startingWork(kind: Exclude<AlterationKind, 'rise'>, panel: PanelName): AlterationWork {
  switch (kind) {
    case 'wedge':
      return { kind, panel, from: { edge: 'rise', level: HIP }, hinge: { edge: 'side', level: HIP }, by: 10 };
    case 'across':
      return { kind, panel: 'both', level: { line: 'kneeLevel', by: 0 }, by: 10 };
    case 'pinch':
      return {
        kind,
        panel,
        from: { edge: 'rise', level: HIP },
        to: { edge: 'side', level: HIP },
        byFrom: 6,
        byTo: 3,
      };
    case 'waist':
      return { kind, panel: 'both', centre: -10, side: -10 };
    case 'scoop':
      return { kind, panel, at: 0.45, by: 4, keepLength: false };
    case 'crotchPoint':
      return { kind, panel, out: 6, down: 0, recentre: true };
    case 'tilt':
      return { kind, panel, above: 0, by: 6, giveBack: true };
    case 'seam':
      return { kind, panel: 'both', seam: 'side', by: 5, from: HIP, to: { line: 'crotchLevel', by: 0 }, runOut: 150 };
    case 'dart':
      return { kind, panel, dart: 0, act: 'intake', by: 4, keepWaist: true };
    case 'crease':
      return { kind, panel: 'both', by: 5 };
  }
}
