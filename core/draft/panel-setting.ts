import { LEVELS, PARAMETER_NAMES, type Levels, type PanelName, type PanelParameters } from '../method/index.js';
import { refusal, type PanelCode, type Refusal } from '../refusal/index.js';
import type { PlanLimits } from './waist-plan.js';

/** What a panel is drawn from beside its parameters. */
export interface PanelSetting {
  readonly name: PanelName;
  readonly parameters: PanelParameters;
  readonly levels: Levels;
  readonly halfSpan: number | undefined;
  /** Hip width is kept square to the centre line. */
  readonly hipKept: boolean;
  /** The limits of the waist plan. */
  readonly waistLimits: Omit<PlanLimits, 'leanTaper' | 'waistHeld'>;
  /** The makers of the method place the surplus of hip over waist themselves. */
  readonly ownSurplus: boolean;
  /**
   * A waist larger than the hip leans the centre out, whoever places the surplus; a pull-on swings out as it is taught.
   */
  readonly leansOut: boolean;
  /** The side is one straight vertical from which the leg's widths are laid off. */
  readonly straightSide: boolean;
  /** The side stands straight above the hip: the waist's length is settled at the centre. */
  readonly uprightSide: boolean;
  /** The leg falls plumb from hip and crotch point. */
  readonly plumbLeg: boolean;
  /** A short leg is laid off from its side, which falls plumb, and not about the crease. */
  readonly legFromSide: boolean;
  /** What lengths of a fair curve shrink by: 1 for an adult, hip over 90 cm for a child. */
  readonly size: number;
  /**
   * The piece's own leg, where it is not as long as the body's: what lies above the crotch is drawn with the full leg.
   */
  readonly cut: { readonly parameters: PanelParameters; readonly levels: Levels } | undefined;
  /** How much shorter than the front's the back inseam is cut above the knee, in mm: it is stretched on in sewing. */
  readonly inseamStretch: number;
  /** How far truing may move a point, in mm. */
  readonly mostMoved: number;
  /** Names of this panel's parameters that a hand has set. */
  readonly byHand: ReadonlySet<string>;
}

/**
 * The refusal of a panel, on the first of `fields` that a hand has set; failing that on whatever a hand has set in
 * this panel, since the sheet's own values go together; failing that on the first of `fields`.
 */
export const refusePanel = (
  setting: PanelSetting,
  code: PanelCode,
  fields: readonly [keyof PanelParameters, ...(keyof PanelParameters)[]],
): Refusal => refusal(fieldOf(setting, fields), code, { panel: setting.name });

function fieldOf(
  { name, byHand }: PanelSetting,
  fields: readonly [keyof PanelParameters, ...(keyof PanelParameters)[]],
): string {
  const field = fields.find((f) => byHand.has(f)) ?? PARAMETER_NAMES.find((f) => byHand.has(f)) ?? fields[0];
  return `${name}.${field}`;
}

/** Why a panel's own sizes cannot make a piece; nothing where they can. */
export function refuseSizes(setting: PanelSetting): Refusal | undefined {
  const { parameters: p, levels } = setting;
  const panel = setting.name;
  const positive: readonly (readonly [keyof PanelParameters, number, string])[] = [
    ['hipWidth', 40, 'hip width'],
    ['extension', 5, 'crotch extension'],
    ['waistWidth', 40, 'waist width'],
    ['kneeWidth', 40, 'knee width'],
    ['hemWidth', 30, 'hem width'],
    ['dartLength', 10, 'dart length'],
  ];
  for (const [field, least, label] of positive) {
    if ((p[field] as number) < least) {
      return refusal(fieldOf(setting, [field]), 'tooSmall', { panel, label, value: p[field] as number, least });
    }
  }
  if (p.dartIntake < 0) return refusePanel(setting, 'dartBelowNothing', ['dartIntake']);
  if (p.tiltFrom < -1 || p.tiltFrom > levels.crotchLevel * 0.9) {
    return refusePanel(setting, 'tiltPlace', ['tiltFrom']);
  }
  if (p.curveRise < 10 || p.curveRise > levels.crotchLevel + p.centreLift - 5) {
    return refusePanel(setting, 'curveStart', ['curveRise', 'centreLift']);
  }
  if (p.centreLift < 0.2 * -levels.hipLevel || p.centreLift > 0.6 * levels.crotchLevel) {
    return refusal(fieldOf(setting, ['centreLift']), 'centreLift', { panel, value: p.centreLift });
  }
  return undefined;
}

/** The order of the frame: each level below the one before, with room for a seam between. */
export function refuseLevels(levels: Levels, isByHand: (name: string) => boolean): Refusal | undefined {
  const order: readonly (readonly [keyof Levels, keyof Levels | undefined, number])[] = [
    ['hipLevel', undefined, 30],
    ['crotchLevel', 'hipLevel', 5],
    ['kneeLevel', 'crotchLevel', 40],
    ['hemLevel', 'crotchLevel', 3],
  ];
  const said = (name: string): string => (LEVELS.find(([id]) => id === name)?.[1] ?? name).toLowerCase();
  for (const [name, above, gap] of order) {
    const upper = above === undefined ? 0 : levels[above];
    if (!(levels[name] >= upper + gap)) {
      const field = isByHand(name) || above === undefined ? name : isByHand(above) ? above : name;
      return refusal(field, 'levelOrder', { level: said(name), above: above ? said(above) : 'waist line', gap });
    }
  }
  return undefined;
}
