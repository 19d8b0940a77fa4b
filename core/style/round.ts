import type { Leg } from '../draft/index.js';
import type { PanelName } from '../method/index.js';
import type { Opening } from './opening.js';
import { turnedRun, type Run } from './run.js';

/** The top edge of a leg, in front and behind, each from the centre in front to the centre behind. */
export interface Top {
  readonly front: Run;
  readonly back: Run;
}

/** The top edges of both legs. */
export type Tops = Readonly<Record<Leg, Top>>;

/** A quarter of the waist as it is passed once round, seen from outside. */
export interface Quarter {
  readonly leg: Leg;
  readonly panel: PanelName;
  readonly run: Run;
}

/** The quarters once round to the right, from the centre in front: over the wearer's left, behind, over the right. */
function fromFront(top: Tops): Quarter[] {
  return [
    { leg: 'left', panel: 'front', run: top.left.front },
    { leg: 'left', panel: 'back', run: top.left.back },
    { leg: 'right', panel: 'back', run: turnedRun(top.right.back) },
    { leg: 'right', panel: 'front', run: turnedRun(top.right.front) },
  ];
}

/** How many quarters lie before an opening, from the centre in front. */
const BEFORE: Readonly<Record<Opening['at'], number>> = { front: 0, side: 1, back: 2 };

/** The waist once round, seen from outside, from where the garment opens to the right; from the front where it does not. */
export function quartersOf(top: Tops, opening: Opening | undefined): Quarter[] {
  const all = fromFront(top);
  const first = BEFORE[opening?.at ?? 'front'];
  return [...all.slice(first), ...all.slice(0, first)];
}

/** The same as one run. */
export const onceRound = ({ top, opening }: { readonly top: Tops; readonly opening: Opening | undefined }): Run =>
  quartersOf(top, opening).flatMap(({ run }) => run);

/** The whole top edge of a leg, from the centre in front to the centre behind. */
export const topOf = ({ front, back }: Top): Run => [...front, ...back];
