import type { AnyComponent } from '../component.js';
import { band } from './band.js';
import { casing, drawstring } from './casing.js';
import { flare } from './flare.js';
import { fly } from './fly.js';
import { fullLeg } from './full-leg.js';
import { hem, slit } from './hem.js';
import { hemCurve } from './hem-curve.js';
import { inSeamPocket } from './in-seam-pocket.js';
import { shortLength } from './length.js';
import { lining } from './lining.js';
import { onePiece } from './one-piece.js';
import { coinPocket, kneePatch, patchPocket } from './patch-pocket.js';
import { pleats } from './pleats.js';
import { shapedBand } from './shaped-band.js';
import { slantPocket } from './slant-pocket.js';
import { draping, loops, tabs } from './strips.js';
import { taper } from './taper.js';
import { waistDrop } from './waist-drop.js';
import { waistFacing } from './waist-facing.js';
import { weltPocket } from './welt-pocket.js';
import { yoke } from './yoke.js';
import { zip } from './zip.js';

const ALL = [
  flare,
  taper,
  fullLeg,
  shortLength,
  hemCurve,
  waistDrop,
  yoke,
  pleats,
  slantPocket,
  fly,
  zip,
  slit,
  hem,
  casing,
  onePiece,
  inSeamPocket,
  weltPocket,
  patchPocket,
  coinPocket,
  kneePatch,
  band,
  shapedBand,
  waistFacing,
  drawstring,
  loops,
  tabs,
  lining,
  draping,
];

/**
 * Every component, in the order in which the work is done: the leg and the top are cut first, then what is cut out of
 * the pieces, then what closes them, last what is sewn on. A new one is a file and a line here.
 */
export const COMPONENTS: readonly AnyComponent[] = ALL;

/** A component by its name. */
export const componentNamed = (id: string): AnyComponent | undefined => COMPONENTS.find((c) => c.id === id);
