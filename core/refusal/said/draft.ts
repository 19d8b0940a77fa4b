import type { Reader, Said } from '../reader.js';

interface OfPanel {
  readonly panel: 'front' | 'back';
}

/** Refusals of panels that cannot be drawn. */
export const DRAFT_SAID = {
  tooSmall: (
    {
      panel,
      label,
      value,
      least,
    }: OfPanel & { readonly label: string; readonly value: number; readonly least: number },
    reader: Reader,
  ): Said => [
    `The ${panel} ${label} of ${reader.length(value)} is too small to draw a piece.`,
    `Give it at least ${reader.least(least)}.`,
  ],
  dartBelowNothing: ({ panel }: OfPanel): Said => [`The ${panel} dart intake is below nothing.`, 'Give it 0 or more.'],
  tiltPlace: ({ panel }: OfPanel): Said => [
    `The ${panel} seat line cannot tilt from there.`,
    'Give a height between the crotch line and just below the waist line.',
  ],
  curveStart: ({ panel }: OfPanel): Said => [
    `The ${panel} crotch curve would start outside the centre line.`,
    'Let it start between the crotch line and the waist.',
  ],
  centreLift: ({ panel, value }: OfPanel & { readonly value: number }, reader: Reader): Said => [
    `The ${panel} centre lift of ${reader.length(value)} puts the waist where no piece can be drawn.`,
    'Give a smaller lift or drop.',
  ],
  levelOrder: (
    { level, above, gap }: { readonly level: string; readonly above: string; readonly gap: number },
    reader: Reader,
  ): Said => [
    `The ${level} must lie at least ${reader.least(gap)} below the ${above}.`,
    'Check the measurements of depth, or give the level back to the sheet.',
  ],
  adoptedEdge: ({ panel }: OfPanel): Said => [
    `The ${panel} of the adopted outline has no waist, side, hem, inseam and rise that each are one line.`,
    'Name its stretches under Seams, or go back to the method.',
  ],
  adoptedLevel: ({ panel }: OfPanel): Said => [
    `The ${panel} of the adopted outline does not reach the hip line or the crotch line.`,
    'Give another height of the hip line, or go back to the method.',
  ],
  adoptedDart: ({ panel }: OfPanel): Said => [
    `A dart has no room on the ${panel} waist of the adopted pattern.`,
    'Give another place or a smaller intake, or take it out.',
  ],
  adoptedCrosses: ({ panel }: OfPanel): Said => [
    `The ${panel} of the adopted outline does not close, or crosses itself.`,
    'Name its stretches under Seams, or go back to the method.',
  ],
  gradeSize: ({ size }: { readonly size: string }): Said => [
    `The grade rule has no size ${size}.`,
    'Take the size out of the run, or take another rule.',
  ],
  gradeKnee: (): Said => [
    'The grade rule was written from pieces that end on the other side of the knee line.',
    'Take another rule, or draft each size on its own figures.',
  ],
  sideNoRoom: ({ panel }: OfPanel): Said => [
    `The ${panel} side seam has no room between waist, hip, crotch and knee.`,
    'Check the depths, or give the side lift back to the sheet.',
  ],
  crotchAtKnee: ({ panel }: OfPanel): Said => [
    `The ${panel} crotch point lies at the knee.`,
    'Give a smaller crotch drop.',
  ],
  sideBends: ({ panel }: OfPanel): Said => [
    `The ${panel} side seam cannot run from the waist over the hip to the knee without a bend the wrong way.`,
    'Give more waist width, a wider knee, or another hip level.',
  ],
  legEnds: ({ panel }: OfPanel): Said => [
    `The ${panel} leg cannot run from the crotch line to its hem.`,
    'Give another hem width or length.',
  ],
  riseTurns: ({ panel }: OfPanel): Said => [
    `The ${panel} crotch curve cannot run from the centre line to the crotch point without turning back.`,
    'Give a longer extension, less centre in, or let the curve start higher.',
  ],
  crossesItself: ({ panel }: OfPanel): Said => [
    `The ${panel} piece would cross itself.`,
    'Take back the last change, or give a value set by hand back to the sheet.',
  ],
  dartOutside: ({ panel }: OfPanel): Said => [
    `A ${panel} dart points outside its piece.`,
    'Give a shorter dart, or another place.',
  ],
  dartsNoRoom: ({ panel }: OfPanel): Said => [
    `The ${panel} darts have no room on the waist.`,
    'Give a smaller intake, fewer darts, or another place.',
  ],
  waistNoReach: ({ panel }: OfPanel): Said => [
    `The ${panel} waist does not reach from the centre to the side.`,
    'Give a smaller lift, or a larger waist width.',
  ],
  inseamBends: ({ panel }: OfPanel): Said => [
    `The ${panel} inseam cannot run from the crotch point to the knee without a bend the wrong way.`,
    'Give another knee width, hem width or inseam hollow.',
  ],
};
