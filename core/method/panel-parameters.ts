/** Where the first dart sits: on the crease, midway along the waist, or by half the apex span from the centre. */
export type DartPlace = 'crease' | 'midway' | 'apexSpan';

/** True where a word names a place for a dart. */
export const isDartPlace = (word: unknown): word is DartPlace =>
  word === 'crease' || word === 'midway' || word === 'apexSpan';

/**
 * Everything the geometry needs to know of one panel (docs/trade/methods.md). Lengths in mm; panel
 * coordinates run from the side frame line toward the centre (x) and down from the waist line (y).
 */
export interface PanelParameters {
  /** Side frame line to centre frame line. */
  readonly hipWidth: number;
  /** The whole side, waist to knee, moved outward. */
  readonly sideOut: number;
  /** Side seam at the crotch line: in (+) or out (-) from the side frame line. */
  readonly sideInset: number;
  /** Crotch point beyond the centre frame line. */
  readonly extension: number;
  /** Crotch point below the crotch line. */
  readonly crotchDrop: number;
  /** The hollow as a share (0 to 1) of the diagonal from the corner to the chord. */
  readonly depth: number;
  /** Waist end of the centre line: in from the centre frame line. */
  readonly centreIn: number;
  /** Waist end of the centre line: above (+) or below (-) the waist line. */
  readonly centreLift: number;
  /** Height above the crotch line at which the centre line passes through the centre frame line. */
  readonly tiltFrom: number;
  /** Height above the crotch line at which the straight centre line ends. */
  readonly curveRise: number;
  /** Waist at the side seam, above the waist line. */
  readonly sideLift: number;
  /** Net waist of the panel, darts closed. */
  readonly waistWidth: number;
  /** Number of waist darts. */
  readonly dartCount: number;
  /** Intake of each dart. */
  readonly dartIntake: number;
  /** Length of each dart. */
  readonly dartLength: number;
  /** Place of the first dart; a figure is its distance from the centre along the waist. */
  readonly dartAt: DartPlace | number;
  /** Crease off the middle of the crotch width, toward the side (+). */
  readonly creaseShift: number;
  /** Panel width at the knee, half on each side of the crease. */
  readonly kneeWidth: number;
  /** Panel width at the hem, half on each side of the crease. */
  readonly hemWidth: number;
  /** How far the inseam bows inward between crotch point and knee, as a share of that length. */
  readonly inseamHollowShare: number;
  /** The same in mm, where a hand or an own sheet states it so: it wins over the share. */
  readonly inseamHollow?: number;
  /** Panel width at the thigh line, half on each side of the crease, where a sheet states one. */
  readonly thighWidth?: number;
  /** Side seam to crotch point along the crotch line, where a sheet states it: the extension is settled by it. */
  readonly crotchWidth?: number;
}

/** The name of a panel parameter. */
export type ParameterName = keyof PanelParameters;

/** How a parameter counts: a length, a plain share, a whole number or a place. */
export type ParameterKind = 'length' | 'share' | 'count' | 'place';

/** Every panel parameter with its name for the maker and how it counts, in the order of drafting. */
export const PANEL_PARAMETERS: Record<ParameterName, { readonly label: string; readonly kind: ParameterKind }> = {
  hipWidth: { label: 'Hip width', kind: 'length' },
  sideOut: { label: 'Side out', kind: 'length' },
  sideInset: { label: 'Side inset', kind: 'length' },
  extension: { label: 'Crotch extension', kind: 'length' },
  crotchDrop: { label: 'Crotch drop', kind: 'length' },
  depth: { label: 'Hollow, share of diagonal', kind: 'share' },
  centreIn: { label: 'Centre in', kind: 'length' },
  centreLift: { label: 'Centre lift', kind: 'length' },
  tiltFrom: { label: 'Tilt from', kind: 'length' },
  curveRise: { label: 'Curve from', kind: 'length' },
  sideLift: { label: 'Side lift', kind: 'length' },
  waistWidth: { label: 'Waist width', kind: 'length' },
  dartCount: { label: 'Darts', kind: 'count' },
  dartIntake: { label: 'Dart intake', kind: 'length' },
  dartLength: { label: 'Dart length', kind: 'length' },
  dartAt: { label: 'Dart place', kind: 'place' },
  creaseShift: { label: 'Crease shift', kind: 'length' },
  kneeWidth: { label: 'Knee width', kind: 'length' },
  hemWidth: { label: 'Hem width', kind: 'length' },
  inseamHollowShare: { label: 'Inseam hollow, share of its length', kind: 'share' },
  inseamHollow: { label: 'Inseam hollow', kind: 'length' },
  thighWidth: { label: 'Thigh width', kind: 'length' },
  crotchWidth: { label: 'Crotch width', kind: 'length' },
};

/** Parameters that a sheet need not state. */
export const OPTIONAL_PARAMETERS: ReadonlySet<ParameterName> = new Set(['inseamHollow', 'thighWidth', 'crotchWidth']);

/** All parameter names, in the order of drafting. */
export const PARAMETER_NAMES = Object.keys(PANEL_PARAMETERS) as readonly ParameterName[];

/** The frame's levels, in mm below the waist line at the side (docs/trade/methods.md). */
export interface Levels {
  readonly hipLevel: number;
  readonly crotchLevel: number;
  readonly thighLevel: number;
  readonly kneeLevel: number;
  readonly hemLevel: number;
}

/** The names of the levels from the top down, with what they are called. */
export const LEVELS: readonly (readonly [keyof Levels, string])[] = [
  ['hipLevel', 'Hip line'],
  ['crotchLevel', 'Crotch line'],
  ['thighLevel', 'Thigh line'],
  ['kneeLevel', 'Knee line'],
  ['hemLevel', 'Hem line'],
];

/** The two panels of a trouser leg. */
export type PanelName = 'front' | 'back';

/** Both panels, front first. */
export const PANEL_NAMES: readonly PanelName[] = ['front', 'back'];

/** A line of a panel, by its panel and parameter. */
export interface PanelLine {
  readonly panel: PanelName;
  readonly parameter: ParameterName;
}

const PANEL_LINES: ReadonlyMap<string, PanelLine> = new Map(
  PANEL_NAMES.flatMap((panel) =>
    PARAMETER_NAMES.map((parameter) => [`${panel}.${parameter}`, { panel, parameter }] as const),
  ),
);

/** The panel and the parameter of a line such as `back.extension`; nothing for a level or any other name. */
export const panelLine = (name: string): PanelLine | undefined => PANEL_LINES.get(name);
