import { create } from 'zustand';
import type { CheckGroupId, CheckId } from '../../core/check/index.js';
import type { EdgeName } from '../../core/draft/index.js';
import type { Levels, PanelName } from '../../core/method/index.js';
import type { Point } from '../../core/geometry/index.js';
import type { BoardLine } from './line-verbs.js';
import type { Reference } from '../../core/reference/index.js';

/** An edge of a panel. */
export interface EdgeRef {
  readonly panel: PanelName;
  readonly edge: EdgeName;
}

/** A point taken with the measuring tool: on the board, and on which seam where it lies on one. */
export interface TakenPoint {
  readonly at: Point;
  readonly on: (EdgeRef & { readonly length: number }) | undefined;
}

/** A line whose verbs are asked for: where it was pressed, on the board and on the screen. */
export interface AskedVerbs {
  readonly line: BoardLine;
  /** In pixels from the board's corner; nothing where it was picked from a list. */
  readonly at: Point | undefined;
  readonly screen: Point;
}

/** What is lit on board and tape: pointed at on either side. */
export interface Lit {
  readonly edges: readonly EdgeRef[];
  readonly level?: keyof Levels | undefined;
  /** A level that is no line of the frame, in mm below the waist line. */
  readonly at?: number | undefined;
  readonly check?: CheckId | undefined;
  /** The edge under the pointer, where it is the board that is pointed at. */
  readonly pointed?: EdgeRef | undefined;
}

interface BoardState {
  /** The piece whose handles are out. */
  readonly inHand: PanelName;
  readonly tool: 'hand' | 'measure';
  /** The points taken with the measuring tool: none, one or two. */
  readonly taken: readonly TakenPoint[];
  readonly legend: boolean;
  readonly verbs: AskedVerbs | undefined;
  /** Whether the level line is out, and where it lies, in mm below the waist line. */
  readonly levelShown: boolean;
  readonly levelAt: number | undefined;
  readonly lit: Lit;
  /** What of the checks lies on the bench: those that ask for something, all, or a group of them; none while closed. */
  readonly checks: 'asking' | 'all' | CheckGroupId | undefined;
  /** The check in hand, whose band, meaning and corrections are on the bench. */
  readonly check: CheckId | undefined;
  /** How often something was asked of the checks: each asking brings them to the top of the bench. */
  readonly asked: number;
  /** The alteration in hand, whose lines are shown on the piece. */
  readonly alteration: string | undefined;
  /** The outline laid under the draft as a hand moves it, not yet kept. */
  readonly referenceTrial: Reference | undefined;
  readonly set: (change: Partial<Omit<BoardState, 'set'>>) => void;
}

/** Nothing lit. */
export const UNLIT: Lit = { edges: [] };

/** What the board and the benches beside it share. */
export const useBoard = create<BoardState>()((set) => ({
  inHand: 'back',
  tool: 'hand',
  taken: [],
  legend: false,
  verbs: undefined,
  levelShown: false,
  levelAt: undefined,
  lit: UNLIT,
  checks: undefined,
  check: undefined,
  asked: 0,
  alteration: undefined,
  referenceTrial: undefined,
  set: (change) => {
    set(change);
  },
}));
