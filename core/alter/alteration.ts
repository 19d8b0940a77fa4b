import type { EdgeName } from '../draft/index.js';
import type { Point } from '../geometry/index.js';
import type { Levels, PanelName } from '../method/index.js';

/** A level on a piece: `by` mm below (+) a line of the frame, or the waist line (`waistLine`). */
export interface LevelPlace {
  readonly line: keyof Levels | 'waistLine';
  readonly by: number;
}

/** A place on a seam: at a share (0 to 1) of its length from its upper end (waist and hem: from the centre), or at a level. */
export type SeamPlace =
  { readonly edge: EdgeName; readonly share: number } | { readonly edge: EdgeName; readonly level: LevelPlace };

/** What an alteration is done to. */
export type PanelChoice = PanelName | 'both';

/** Cut from a seam to a hinge on another seam, opened (+) or overlapped (-) by `by` mm at the seam. */
export interface Wedge {
  readonly kind: 'wedge';
  readonly panel: PanelChoice;
  readonly from: SeamPlace;
  readonly hinge: SeamPlace;
  readonly by: number;
}

/** Cut square across at a level and spread (+) or overlapped (-) evenly by `by` mm, grain kept. */
export interface Across {
  readonly kind: 'across';
  readonly panel: PanelChoice;
  readonly level: LevelPlace;
  readonly by: number;
}

/** A fold from seam to seam that takes out `byFrom` mm at one end and `byTo` at the other, as pinned on a toile. */
export interface Pinch {
  readonly kind: 'pinch';
  readonly panel: PanelChoice;
  readonly from: SeamPlace;
  readonly to: SeamPlace;
  readonly byFrom: number;
  readonly byTo: number;
}

/** The waist raised (+) or lowered (-) at the centre and at the side, in mm. */
export interface Waist {
  readonly kind: 'waist';
  readonly panel: PanelChoice;
  readonly centre: number;
  readonly side: number;
}

/**
 * The crotch curve deepened (+, cloth away) or filled (-) by `by` mm at a share (0 at the crotch point, 1 where the
 * curve begins) of its length. `keepLength`: the waist at the centre gives back what the seam gained.
 */
export interface Scoop {
  readonly kind: 'scoop';
  readonly panel: PanelChoice;
  readonly at: number;
  readonly by: number;
  readonly keepLength: boolean;
}

/** The crotch point moved `out` (+) and `down` (+), in mm; `recentre`: the leg goes along so that the crease halves the crotch width again. */
export interface CrotchPoint {
  readonly kind: 'crotchPoint';
  readonly panel: PanelChoice;
  readonly out: number;
  readonly down: number;
  readonly recentre: boolean;
}

/** The seat line turned about the place where it is `above` mm above the start of the curve, in (+) by `by` mm at the waist. */
export interface Tilt {
  readonly kind: 'tilt';
  readonly panel: PanelChoice;
  readonly above: number;
  readonly by: number;
  /** Hip and waist lost at the centre are given back at the side. */
  readonly giveBack: boolean;
}

/** A seam moved out (+) or in (-) by `by` mm between two levels, running out over `runOut` mm above and below. */
export interface SeamMove {
  readonly kind: 'seam';
  readonly panel: PanelChoice;
  readonly seam: 'side' | 'inseam' | 'centre';
  readonly by: number;
  readonly from: LevelPlace;
  readonly to: LevelPlace;
  readonly runOut: number;
}

/** What is done to a dart, counted from the centre. */
export interface DartChange {
  readonly kind: 'dart';
  readonly panel: PanelChoice;
  readonly dart: number;
  /** `intoSide`, `intoCentre`: a seam takes the intake over; `intoHem`: the dart is closed and the leg opens below its point. */
  readonly act: 'intake' | 'length' | 'move' | 'turn' | 'split' | 'intoSide' | 'intoCentre' | 'intoHem';
  /** Deeper, longer, toward the side (+), in mm; for `split` the space between the two; without meaning for `into`. */
  readonly by: number;
  /** The waist is kept: the side gives or takes what the dart does. */
  readonly keepWaist: boolean;
}

/** Grain and leg moved across, toward the inseam (+), in mm. */
export interface Crease {
  readonly kind: 'crease';
  readonly panel: PanelChoice;
  readonly by: number;
}

/**
 * A rise taken from elsewhere: points from the crotch point up, in mm from the crotch point in panel coordinates, laid
 * at the crotch point and blended into inseam and waist. `blend` is the share of it, from the waist, that is blended.
 */
export interface RiseShape {
  readonly kind: 'rise';
  readonly panel: PanelName;
  readonly points: readonly Point[];
  readonly blend: number;
  readonly keepLength: boolean;
}

/** The work of an alteration. */
export type AlterationWork =
  Wedge | Across | Pinch | Waist | Scoop | CrotchPoint | Tilt | SeamMove | DartChange | Crease | RiseShape;

/** The name of a kind of alteration. */
export type AlterationKind = AlterationWork['kind'];

/** An alteration as it is kept (docs/alterations.md): a named change in an ordered list on top of the block. */
export interface Alteration {
  readonly id: string;
  readonly on: boolean;
  readonly work: AlterationWork;
  /** What it was made for, in the maker's or the program's words. */
  readonly note: string;
}
