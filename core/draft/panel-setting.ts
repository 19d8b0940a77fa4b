import { PARAMETER_NAMES, type Levels, type PanelName, type PanelParameters } from '../method/index.js';
import type { Refusal } from '../refusal/index.js';
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
  /** A waist larger than the hip leans the centre out, whoever places the surplus; a pull-on swings out as it is taught. */
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
  /** The piece's own leg, where it is not as long as the body's: what lies above the crotch is drawn with the full leg. */
  readonly cut: { readonly parameters: PanelParameters; readonly levels: Levels } | undefined;
  /** How far truing may move a point, in mm. */
  readonly mostMoved: number;
  /** Names of this panel's parameters that a hand has set. */
  readonly byHand: ReadonlySet<string>;
}

/**
 * The refusal of a panel, on the first of `fields` that a hand has set; failing that on whatever a hand has set in
 * this panel, since the sheet's own values go together; failing that on the first of `fields`.
 */
export function refusePanel(
  setting: PanelSetting,
  fields: readonly (keyof PanelParameters)[],
  reason: string,
  wayOut: string,
): Refusal {
  const field =
    fields.find((f) => setting.byHand.has(f)) ??
    PARAMETER_NAMES.find((f) => setting.byHand.has(f)) ??
    fields[0] ??
    'hipWidth';
  return { field: `${setting.name}.${field}`, value: String(setting.parameters[field]), reason, wayOut };
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
      return refusePanel(
        setting,
        [field],
        `The ${panel} ${label} is too small to draw a piece.`,
        `Give it at least ${least / 10} cm.`,
      );
    }
  }
  if (p.dartIntake < 0)
    return refusePanel(setting, ['dartIntake'], `The ${panel} dart intake is below nothing.`, 'Give it 0 or more.');
  if (p.tiltFrom < -1 || p.tiltFrom > levels.crotchLevel * 0.9) {
    return refusePanel(
      setting,
      ['tiltFrom'],
      `The ${panel} seat line cannot tilt from there.`,
      'Give a height between the crotch line and just below the waist line.',
    );
  }
  if (p.curveRise < 10 || p.curveRise > levels.crotchLevel + p.centreLift - 5) {
    return refusePanel(
      setting,
      ['curveRise', 'centreLift'],
      `The ${panel} crotch curve would start outside the centre line.`,
      'Let it start between the crotch line and the waist.',
    );
  }
  if (p.centreLift < 0.2 * -levels.hipLevel || p.centreLift > 0.6 * levels.crotchLevel) {
    return refusePanel(
      setting,
      ['centreLift'],
      `The ${panel} centre lift puts the waist where no piece can be drawn.`,
      'Give a smaller lift or drop.',
    );
  }
  return undefined;
}

/** The order of the frame: each level below the one before, with room for a seam between. */
export function refuseLevels(levels: Levels, isByHand: (name: string) => boolean): Refusal | undefined {
  const order: readonly (readonly [keyof Levels, keyof Levels | undefined, number, string])[] = [
    ['hipLevel', undefined, 30, 'The hip line must lie at least 3 cm below the waist line.'],
    ['crotchLevel', 'hipLevel', 5, 'The crotch line must lie below the hip line.'],
    ['kneeLevel', 'crotchLevel', 40, 'The knee line must lie at least 4 cm below the crotch line.'],
    ['hemLevel', 'crotchLevel', 3, 'The hem line must lie below the crotch line.'],
  ];
  for (const [name, above, gap, reason] of order) {
    const upper = above === undefined ? 0 : levels[above];
    if (!(levels[name] >= upper + gap)) {
      const field = isByHand(name) || above === undefined ? name : isByHand(above) ? above : name;
      return {
        field,
        value: String(levels[name]),
        reason,
        wayOut: 'Check the measurements of depth, or give the level back to the sheet.',
      };
    }
  }
  return undefined;
}
