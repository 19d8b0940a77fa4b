import type { Path, Point } from '../geometry/index.js';

/** What a line means; told apart by weight and dash before colour (docs/trade/pieces.md). */
export type LineRole =
  'stitching' | 'cut' | 'construction' | 'crease' | 'grain' | 'dart' | 'fold' | 'placement' | 'notch' | 'square';

/** One thing on a drawing sheet. Coordinates in mm, x right and y down. */
export type Mark =
  | {
      readonly kind: 'line';
      readonly role: LineRole;
      readonly name: string;
      /** The part that it belongs to, by name; of one leg’s the pair’s. */
      readonly part?: string;
      readonly path: Path;
      /** How it is drawn, where not as all of its role are. */
      readonly pen?: LineStyle;
      /** The layer of a file that it stands on, where not on that of its role. */
      readonly layer?: string;
    }
  | {
      readonly kind: 'text';
      readonly at: Point;
      readonly text: string;
      /** Height of the letters' em, in mm. */
      readonly size: number;
      /** Turned clockwise, in degrees. */
      readonly turn: number;
      readonly bold?: boolean;
    };

/** A drawing at full size: its marks and the size of the sheet that holds them, in mm. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

/** How a role is drawn: weight and dashes in mm. */
export interface LineStyle {
  readonly weight: number;
  readonly dash: readonly number[];
}

/** The line meanings of every print. */
const LINE_STYLES: Record<LineRole, LineStyle> = {
  stitching: { weight: 0.5, dash: [] },
  cut: { weight: 0.3, dash: [6, 2] },
  construction: { weight: 0.13, dash: [] },
  crease: { weight: 0.18, dash: [12, 2, 1, 2] },
  grain: { weight: 0.35, dash: [] },
  dart: { weight: 0.35, dash: [] },
  fold: { weight: 0.35, dash: [10, 3] },
  placement: { weight: 0.25, dash: [2, 2] },
  notch: { weight: 0.5, dash: [] },
  square: { weight: 0.25, dash: [] },
};

/** How a line is drawn: by its own pen, or as its role is. */
export const penOf = ({ role, pen }: { readonly role: LineRole; readonly pen?: LineStyle }): LineStyle =>
  pen ?? LINE_STYLES[role];
