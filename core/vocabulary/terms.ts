import type { CheckId } from '../check/index.js';
import type { EdgeName, PanelPoints } from '../draft/index.js';
import type { MeasurementId } from '../measure/index.js';
import type { Levels, PanelName, ParameterName } from '../method/index.js';

/** What the drawing of a term shows on a pair of pieces. */
export interface Shown {
  readonly edges?: readonly (readonly [PanelName, EdgeName])[];
  readonly level?: keyof Levels | 'waistLevel';
  /** Straight from point to point of a panel. */
  readonly lines?: readonly (readonly [PanelName, keyof PanelPoints, keyof PanelPoints])[];
  readonly points?: readonly (readonly [PanelName, keyof PanelPoints])[];
  readonly crease?: true;
  readonly darts?: true;
}

/** A word of the trade, as this program uses it. */
export interface Term {
  readonly id: string;
  readonly term: string;
  readonly meaning: string;
  /** Other words under which makers look for it. */
  readonly also: readonly string[];
  readonly shows?: Shown;
  /** Lines, measurements and checks that the term explains, by their names. */
  readonly of?: readonly (ParameterName | MeasurementId | keyof Levels | CheckId | 'seatAngle')[];
}

const both = (edge: EdgeName): readonly (readonly [PanelName, EdgeName])[] => [
  ['front', edge],
  ['back', edge],
];

/** The vocabulary of the program, in the order of the body and then of the work. */
export const TERMS: readonly Term[] = [
  {
    id: 'waist-line',
    term: 'Waist line',
    meaning: 'The top level of the frame. All other levels are measured down from it at the side.',
    also: ['waistline', 'top'],
    shows: { level: 'waistLevel' },
  },
  {
    id: 'hip-line',
    term: 'Hip line',
    meaning: 'The level at which the seat is fullest, the hip depth below the waist line.',
    also: ['seat level'],
    shows: { level: 'hipLevel' },
    of: ['hipLevel', 'hipDepth'],
  },
  {
    id: 'crotch-line',
    term: 'Crotch line',
    meaning: 'The level of the fork, the crotch depth below the waist line.',
    also: ['fork', 'depth line'],
    shows: { level: 'crotchLevel' },
    of: ['crotchLevel'],
  },
  {
    id: 'thigh-line',
    term: 'Thigh line',
    meaning: 'A hand below the crotch line, where the leg is fullest.',
    also: ['upper leg'],
    shows: { level: 'thighLevel' },
    of: ['thighLevel', 'thighLine'],
  },
  {
    id: 'knee-line',
    term: 'Knee line',
    meaning: 'The level of the knee, where the leg’s two lines may bend.',
    also: ['knee level'],
    shows: { level: 'kneeLevel' },
    of: ['kneeLevel', 'kneeDepth', 'kneeLine'],
  },
  {
    id: 'hem-line',
    term: 'Hem line',
    meaning: 'The level at which the leg ends.',
    also: ['bottom', 'length'],
    shows: { level: 'hemLevel' },
    of: ['hemLevel', 'hem'],
  },
  {
    id: 'side-seam',
    term: 'Side seam',
    meaning: 'The outer leg seam, from waist to hem. Its length on the body is the outseam.',
    also: ['outseam', 'outside leg'],
    shows: { edges: both('side') },
    of: ['outseam', 'sideWalk', 'sideLine'],
  },
  {
    id: 'inseam',
    term: 'Inseam',
    meaning:
      'The inner leg seam, from the crotch point to the hem. Above the knee the back is a little shorter and stretched on.',
    also: ['inside leg', 'inner leg'],
    shows: { edges: both('inseam') },
    of: ['inseam', 'inseamWalk', 'inseamWalkBelow'],
  },
  {
    id: 'centre-front',
    term: 'Centre front',
    meaning: 'The seam that joins the two fronts above the crotch; the fly opens it.',
    also: ['cf', 'fly line'],
    shows: { lines: [['front', 'centreWaist', 'curveStart']] },
  },
  {
    id: 'centre-back',
    term: 'Centre back',
    meaning: 'The seam that joins the two backs above the crotch. Its straight upper part is the seat line.',
    also: ['cb', 'seat seam'],
    shows: { lines: [['back', 'centreWaist', 'curveStart']] },
    of: ['centreIn'],
  },
  {
    id: 'rise',
    term: 'Rise',
    meaning:
      'The seam from the waist down the centre line and round the crotch curve to the crotch point, measured along it. Front and back rise together go through the crotch.',
    also: ['j curve', 'crotch curve', 'crotch seam', 'fork seam'],
    shows: { edges: both('rise') },
    of: ['frontRise', 'backRise', 'wholeRise', 'crotchLength', 'frontRiseLine', 'backRiseLine'],
  },
  {
    id: 'crotch-point',
    term: 'Crotch point',
    meaning: 'The end of the rise, where the inseam starts.',
    also: ['fork point'],
    shows: {
      points: [
        ['front', 'crotchPoint'],
        ['back', 'crotchPoint'],
      ],
    },
    of: ['crotchJoin'],
  },
  {
    id: 'crotch-extension',
    term: 'Crotch extension',
    meaning:
      'How far the crotch point lies beyond the centre frame line, along the crotch line. Both together make the room through the body from front to back.',
    also: ['fork', 'crotch hook', 'extension', 'point'],
    shows: {
      lines: [
        ['front', 'corner', 'crotchPoint'],
        ['back', 'corner', 'crotchPoint'],
      ],
    },
    of: ['extension', 'crotchWidth'],
  },
  {
    id: 'crotch-depth',
    term: 'Crotch depth',
    meaning: 'Plumb from the waist line to the crotch line; on the body, from the waist to the seat of a chair.',
    also: ['body rise', 'sitting depth', 'depth of crotch'],
    shows: { level: 'crotchLevel', lines: [['front', 'sideWaist', 'sideCrotch']] },
    of: ['crotchDepth'],
  },
  {
    id: 'seat-line',
    term: 'Seat line',
    meaning:
      'The straight part of centre back above the crotch curve, tilted so that the back is long enough to sit in.',
    also: ['tilt', 'seat seam'],
    shows: { lines: [['back', 'tiltPoint', 'centreWaist']] },
    of: ['tiltFrom'],
  },
  {
    id: 'seat-angle',
    term: 'Seat angle',
    meaning:
      'How far the seat line leans from plumb. Told as an angle, and as so much inward over so much upward. The front has one too, mostly smaller.',
    also: ['rise angle', 'pitch', 'tilt of the seat'],
    shows: {
      lines: [
        ['back', 'tiltPoint', 'centreWaist'],
        ['back', 'corner', 'tiltPoint'],
      ],
    },
    of: ['seatAngle'],
  },
  {
    id: 'centre-lift',
    term: 'Centre lift',
    meaning: 'How far the waist end of the centre line lies above the waist line; a drop, where it lies below.',
    also: ['back raise', 'centre drop'],
    shows: {
      points: [
        ['back', 'centreWaist'],
        ['front', 'centreWaist'],
      ],
      level: 'waistLevel',
    },
    of: ['centreLift'],
  },
  {
    id: 'crotch-drop',
    term: 'Crotch drop',
    meaning:
      'How far the back crotch point lies below the crotch line, so that the shorter back inseam can be stretched on.',
    also: ['back drop'],
    shows: { points: [['back', 'crotchPoint']], level: 'crotchLevel' },
    of: ['crotchDrop'],
  },
  {
    id: 'hollow',
    term: 'Hollow',
    meaning:
      'The diagonal at 45° from the corner of centre frame line and crotch line to the crotch curve. The shorter it is, the more cloth lies in the crotch.',
    also: ['scoop', 'depth of the curve', 'diagonal'],
    shows: {
      lines: [
        ['front', 'corner', 'hollow'],
        ['back', 'corner', 'hollow'],
      ],
    },
    of: ['depth'],
  },
  {
    id: 'curve-start',
    term: 'Curve start',
    meaning: 'Where the straight centre line ends and the crotch curve begins.',
    also: ['curve from'],
    shows: {
      points: [
        ['front', 'curveStart'],
        ['back', 'curveStart'],
      ],
    },
    of: ['curveRise'],
  },
  {
    id: 'crease-line',
    term: 'Crease line',
    meaning: 'The plumb line through the middle of the leg, on which it is pressed. It is the grain line.',
    also: ['grain', 'grain line', 'straight grain'],
    shows: { crease: true },
    of: ['creaseShift', 'crease'],
  },
  {
    id: 'dart',
    term: 'Dart',
    meaning: 'A wedge stitched out at the waist, so that cloth as wide as the hip closes to the waist.',
    also: ['tuck', 'pence'],
    shows: { darts: true },
    of: ['dartCount', 'dartAt', 'darts'],
  },
  {
    id: 'dart-intake',
    term: 'Dart intake',
    meaning: 'How much a dart takes out at the waist.',
    also: ['dart width', 'uptake'],
    shows: { darts: true },
    of: ['dartIntake'],
  },
  {
    id: 'apex',
    term: 'Apex',
    meaning: 'The point in which a dart ends. It lies above the fullest place, never upon it.',
    also: ['dart point', 'dart tip'],
    shows: { darts: true },
    of: ['dartLength', 'apexSpan'],
  },
  {
    id: 'surplus',
    term: 'Surplus',
    meaning: 'What the cloth is wider at the hip than at the waist. Darts, sides and centre share it.',
    also: ['hip to waist difference', 'drop'],
    shows: { level: 'waistLevel' },
    of: ['waistWidth'],
  },
  {
    id: 'side-lift',
    term: 'Side lift',
    meaning:
      'How far the waist end of the side lies above the waist line, so that the waist runs square across the side.',
    also: ['side raise'],
    shows: {
      points: [
        ['front', 'sideWaist'],
        ['back', 'sideWaist'],
      ],
    },
    of: ['sideLift'],
  },
  {
    id: 'side-inset',
    term: 'Side inset',
    meaning:
      'How far the side comes inward from hip to waist; below the hip line, side out says how far it stands outward.',
    also: ['side out', 'hip curve'],
    shows: { edges: both('side') },
    of: ['sideInset', 'sideOut'],
  },
  {
    id: 'ease',
    term: 'Ease',
    meaning: 'Finished girth less the body’s girth: the room to move in.',
    also: ['room', 'looseness', 'allowance for movement'],
    shows: { level: 'hipLevel' },
    of: ['hip', 'thigh'],
  },
  {
    id: 'fit-class',
    term: 'Fit class',
    meaning: 'How close trousers are meant to be, from knit to very loose: each class has its own eases.',
    also: ['fit', 'silhouette'],
    of: ['fitClass'],
  },
  {
    id: 'walk',
    term: 'Walk',
    meaning: 'To lay one seam along the other that it is sewn to, notch by notch, and read by how much they differ.',
    also: ['walk the seams', 'match seams'],
    shows: { edges: both('inseam') },
  },
  {
    id: 'true',
    term: 'True',
    meaning: 'To correct a draft so that seams walk, lines run into one another, and figures lie in their bands.',
    also: ['truing', 'blend', 'correct'],
    shows: { edges: [...both('waist'), ...both('side')] },
    of: ['waistRun', 'waistLine', 'outline'],
  },
  {
    id: 'wedge',
    term: 'Wedge',
    meaning: 'A cut from one edge to a hinge at another, opened to lengthen the one or closed to shorten it.',
    also: ['slash', 'slash and spread', 'pinch'],
    shows: { lines: [['back', 'sideHip', 'centreHip']] },
  },
  {
    id: 'scoop',
    term: 'Scoop',
    meaning: 'To cut the crotch curve deeper at one place; to fill is its opposite.',
    also: ['dig out', 'fill'],
    shows: { edges: [['back', 'rise']] },
  },
  {
    id: 'rise-shape',
    term: 'Rise shape',
    meaning: 'How the whole rise runs, held against the curve traced from the body.',
    also: ['u', 'l and j', 'curve of the body', 'flexible curve'],
    shows: { edges: both('rise') },
    of: ['riseShape', 'riseCharacter'],
  },
  {
    id: 'block',
    term: 'Block',
    meaning: 'A plain draft without style, kept to derive others from.',
    also: ['sloper', 'basic pattern'],
  },
  {
    id: 'allowance',
    term: 'Allowance',
    meaning: 'What is added outside the stitching line: seam and hem.',
    also: ['seam allowance', 'turnings', 'margin'],
  },
  {
    id: 'stitching-line',
    term: 'Stitching line',
    meaning: 'The line that is sewn. All figures of a draft are taken on it, never on the cut line.',
    also: ['sewing line', 'seam line', 'net line'],
  },
  {
    id: 'notch',
    term: 'Notch',
    meaning: 'A mark across the cut edge that meets its partner on the other piece.',
    also: ['balance mark', 'nick'],
  },
  {
    id: 'toile',
    term: 'Toile',
    meaning: 'The trial garment in cheap cloth, fitted before the good cloth is cut.',
    also: ['muslin', 'mock-up', 'trial'],
  },
  {
    id: 'method',
    term: 'Method',
    meaning:
      'A way of drafting as one maker teaches it: sums for every line from the body’s figures. Its page is the method sheet.',
    also: ['system', 'draft formula', 'sheet'],
  },
  {
    id: 'estimate',
    term: 'Estimate',
    meaning: 'A figure that was not measured but made by a rule from others. It is marked ≈ wherever it stands.',
    also: ['adopted', 'approximately'],
  },
  {
    id: 'set',
    term: 'Set of measurements',
    meaning: 'All figures taken of a person on one day. A newer set never replaces the older one by itself.',
    also: ['measures', 'figures'],
  },
];

const byLine = new Map(TERMS.flatMap((term) => (term.of ?? []).map((name) => [name as string, term] as const)));

/** The term that explains a line, a measurement or a check, by its name; `back.extension` is explained as `extension`. */
export const termOf = (name: string): Term | undefined => byLine.get(name.replace(/^(front|back)\./, ''));
