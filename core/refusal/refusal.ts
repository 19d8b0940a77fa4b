import type { ALTER_SAID } from './said/alter.js';
import type { DRAFT_SAID } from './said/draft.js';
import type { MEASURE_SAID } from './said/measure.js';
import type { METHOD_SAID } from './said/method.js';
import type { STYLE_SAID } from './said/style.js';
import { refusalMaker, type RefusalIn } from './refusals-of.js';

/** Every refusal of a draft; how it is said stands in `refusal-words.ts`. */
export type DraftSaid = typeof MEASURE_SAID &
  typeof METHOD_SAID &
  typeof DRAFT_SAID &
  typeof ALTER_SAID &
  typeof STYLE_SAID;

/** Why something entered into a draft cannot be used. */
export type Refusal = RefusalIn<DraftSaid>;

/** Why a panel cannot be drawn, where the panel is all that is to be said. */
export type PanelCode = Exclude<
  keyof typeof DRAFT_SAID,
  | 'tooSmall'
  | 'centreLift'
  | 'levelOrder'
  | 'adoptedEdge'
  | 'adoptedLevel'
  | 'adoptedDart'
  | 'adoptedCrosses'
  | 'gradeSize'
  | 'gradeKnee'
>;

/** Why an alteration cannot be done. */
export type AlterationFault = keyof typeof ALTER_SAID;

/** Why a component of a style cannot be made. */
export type StyleFault = keyof typeof STYLE_SAID;

/** A refusal of what was entered in a field. */
export const refusal = refusalMaker<DraftSaid>();
