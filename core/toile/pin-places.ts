import type { Block, Panel } from '../draft/index.js';
import {
  along,
  crossLine,
  directionAtPlace,
  pathLength,
  placeAtLength,
  point,
  quarterTurn,
  reversePath,
  scale,
  type Path,
  type Point,
} from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';

/** What a pin takes up, or a slash lets in, on one piece: the corners of it, in panel coordinates, mm. */
export interface PinPlace {
  readonly panel: PanelName;
  readonly corners: readonly Point[];
}

/** How far a pinch at the top of a seam runs down it, in mm. */
const DOWN = 90;
/** How far a seam that is unpicked along the thigh gapes, in mm. */
const LONG = 250;
/** How high a band is drawn above a waist, in mm. */
const BAND = 40;
/** Between how many places a pinch along a seam is drawn. */
const STEPS = 12;

/** A wedge across a piece at a level: as much as is pinned where the rise crosses it, nothing at the side. */
function across(panel: Panel, y: number, by: number): PinPlace[] {
  const at = (path: Path): Point | undefined => crossLine(path, point(0, y), point(1, 0))[0]?.at;
  const [centre, side] = [at(panel.edges.rise), at(panel.edges.side)];
  if (!centre || !side) return [];
  const { centreDown } = panel;
  return [
    {
      panel: panel.name,
      corners: [along(centre, centreDown, -by / 2), side, along(centre, centreDown, by / 2)],
    },
  ];
}

/** A pinch along a seam, `inward` square into the piece: `by` at its start, running out to nothing. */
function beside(name: PanelName, seam: Path, by: (share: number) => number, side: 1 | -1): PinPlace {
  const long = pathLength(seam);
  const places = Array.from({ length: STEPS + 1 }, (_, i) => placeAtLength(seam, (long * i) / STEPS));
  const inner = places.map((place, i) =>
    along(place.at, scale(quarterTurn(directionAtPlace(seam, place)), side), by(i / STEPS)),
  );
  return { panel: name, corners: [...places.map(({ at }) => at), ...inner.reverse()] };
}

/** A wedge in a band above the centre of a waist: what is pinned at its top, nothing at its seam. */
function inBand({ name, points, centreDown }: Panel, by: number): PinPlace {
  const top = along(points.centreWaist, centreDown, -BAND);
  return { panel: name, corners: [top, points.centreWaist, along(top, quarterTurn(centreDown), by)] };
}

/** What is missing above a waist: `by` at its centre, nothing at the side. */
function above({ name, closedWaist, edges, centreDown, darts }: Panel, by: number): PinPlace {
  const waist = darts.length > 0 ? edges.waist : closedWaist;
  const long = pathLength(waist);
  const places = Array.from({ length: STEPS + 1 }, (_, i) => placeAtLength(waist, (long * i) / STEPS).at);
  const raised = places.map((at, i) => along(at, centreDown, -by * (1 - i / STEPS)));
  return { panel: name, corners: [...places, ...raised.reverse()] };
}

/** The part of a seam from its start, at most so long. */
const begun = (seam: Path, long: number): Path => {
  const whole = pathLength(seam);
  if (long >= whole) return seam;
  const { index } = placeAtLength(seam, long);
  return seam.slice(0, index + 1);
};

/**
 * Where a pin lies on the pieces and what it takes up there (docs/trade/toile.md): of an amount that is pinned in all, by
 * the kind of the pin. Nothing for a kind that has no place.
 */
export function pinPlaces(kind: string, by: number, { front, back }: Block): readonly PinPlace[] {
  switch (kind) {
    case 'pinchedCentreBack': {
      const down = begun(reversePath(back.edges.rise), DOWN);
      return [beside('back', down, (s) => (by / 2) * (1 - s), 1)];
    }
    case 'pinchedBandTop':
      return [inBand(back, by / 2)];
    case 'foldedSeat':
    case 'openedSeat':
      return across(back, back.levels.hipLevel, by);
    case 'foldedFront':
      return across(front, front.levels.hipLevel / 2, by);
    case 'pinchedSide':
      return [front, back].map((panel) => {
        const below = panel.edges.side.slice(panel.joints.sideHip, panel.joints.sideKnee);
        return beside(panel.name, below, (s) => (by / 2) * Math.max(0, 1 - 2 * Math.max(0, s - 0.3)), -1);
      });
    case 'openedSide':
      return [front, back].map((panel) => {
        const below = panel.edges.side.slice(panel.joints.sideHip, panel.joints.sideKnee);
        return beside(panel.name, below, (s) => (by / 2) * Math.max(0, 1 - 2 * Math.max(0, s - 0.3)), 1);
      });
    case 'openedThigh':
      return PANEL_NAMES.map((name) => {
        const down = begun(reversePath((name === 'front' ? front : back).edges.inseam), LONG);
        return beside(name, down, (s) => (by / 2) * (1 - s), -1);
      });
    case 'waistGap':
      return [beside('front', begun(reversePath(front.edges.rise), DOWN), (s) => (by / 2) * (1 - s), -1)];
    case 'droppedFront':
      return [above(front, by)];
    case 'pinchedInseam':
      return PANEL_NAMES.map((name) => {
        const down = begun(reversePath((name === 'front' ? front : back).edges.inseam), DOWN);
        return beside(name, down, (s) => (by / 2) * (1 - s), 1);
      });
    default:
      return [];
  }
}
