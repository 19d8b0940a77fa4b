import type { Leg } from '../draft/index.js';
import type { PanelName } from '../method/index.js';
import type { AnyKind, WorkOf } from './kind.js';
import { across } from './kinds/across.js';
import { crease } from './kinds/crease.js';
import { crotchPoint } from './kinds/crotch-point.js';
import { dart } from './kinds/dart.js';
import { levelHem } from './kinds/level-hem.js';
import { moveSeam } from './kinds/move-seam.js';
import { pinch } from './kinds/pinch.js';
import { rise } from './kinds/rise.js';
import { scoop } from './kinds/scoop.js';
import { seam } from './kinds/seam.js';
import { tilt } from './kinds/tilt.js';
import { waist } from './kinds/waist.js';
import { wedge } from './kinds/wedge.js';

/** Every kind of alteration, in the order in which they are offered. */
export const KINDS = [
  wedge,
  across,
  waist,
  scoop,
  crotchPoint,
  tilt,
  seam,
  moveSeam,
  dart,
  crease,
  levelHem,
  pinch,
  rise,
] as const;

/** The work of an alteration. */
export type AlterationWork = WorkOf<(typeof KINDS)[number]>;

/** The name of a kind of alteration. */
export type AlterationKind = AlterationWork['kind'];

/** A rise taken from elsewhere. */
export type RiseShape = WorkOf<typeof rise>;

/** An alteration as it is kept (docs/alterations.md): a named change in an ordered list on top of the block. */
export interface Alteration {
  readonly id: string;
  readonly on: boolean;
  readonly work: AlterationWork;
  /** The one leg that it is done to; both without it. */
  readonly leg?: Leg | undefined;
  /** What it was made for, in the maker's or the program's words. */
  readonly note: string;
}

/** A kind by its name. Throws for a name that is none, since files are read by the list. */
export function kindOf(name: string, kinds: readonly AnyKind[] = KINDS): AnyKind {
  const found = kinds.find(({ kind }) => kind === name);
  if (!found) throw new Error(`There is no alteration “${name}”`);
  return found;
}

/** The kinds that can be begun from nothing; a rise is taken from elsewhere. */
export const STARTING_KINDS: readonly AlterationKind[] = KINDS.filter((k) => k.start !== undefined).map((k) => k.kind);

/**
 * An alteration of a kind with the amounts that a maker would begin with. Throws for one that is taken from elsewhere.
 */
export function startingWork(kind: AlterationKind, panel: PanelName): AlterationWork {
  const begun = kindOf(kind).start?.(panel);
  if (!begun) throw new Error(`“${kind}” is taken from elsewhere`);
  return { kind, ...begun } as AlterationWork;
}
