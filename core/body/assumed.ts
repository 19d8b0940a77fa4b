/** What no tape says and a body needs: shares and heights that stand in, to be set by hand. */
export interface Assumed {
  /** How deep the body is from front to back at the waist and at the hip, as a share of its width there. */
  readonly waistDeep: number;
  readonly hipDeep: number;
  /** How much of the depth at the hip lies behind the middle of the leg: a full seat has more. */
  readonly seatShare: number;
  /** How square the trunk closes under the crotch: two is round, more is squarer. */
  readonly under: number;
  /** How far the middle lies in behind what stands out on either side of it, as a share of the hip. */
  readonly hollow: number;
  /** How far centre front and centre back waist lie above the side waist, in mm. */
  readonly frontTilt: number;
  readonly backTilt: number;
}

/** The name of something that is assumed of a body. */
export type AssumedId = keyof Assumed;

/** A body from the middle of the range (house figures), and within what each can be set. */
export const ASSUMED: Readonly<
  Record<AssumedId, { readonly usual: number; readonly least: number; readonly most: number }>
> = {
  waistDeep: { usual: 0.76, least: 0.6, most: 1 },
  hipDeep: { usual: 0.72, least: 0.54, most: 0.95 },
  seatShare: { usual: 0.56, least: 0.48, most: 0.66 },
  under: { usual: 1.9, least: 1.6, most: 6 },
  hollow: { usual: 0.024, least: 0, most: 0.075 },
  frontTilt: { usual: 0, least: -60, most: 60 },
  backTilt: { usual: 0, least: -60, most: 60 },
};

/** Everything assumed in order. */
export const ASSUMED_IDS = Object.keys(ASSUMED) as AssumedId[];
