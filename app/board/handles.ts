import { add, distance, dot, point, scale, subtract, unit, type Point } from '../../core/geometry/index.js';
import { parametersOf, type Block, type Panel } from '../../core/draft/index.js';
import {
  PANEL_PARAMETERS,
  type Levels,
  type PanelName,
  type PanelParameters,
  type ParameterName,
} from '../../core/method/index.js';
import { snapTo } from '../../core/units/index.js';
import type { HandValues } from '../store/open-work.js';

/** How a handle was moved: the step of the tape in mm, and with the modifier or without. */
export interface Move {
  readonly step: number;
  /** A seat line turns at constant length; a leg width is changed on this piece alone. */
  readonly modified: boolean;
}

/** A place on a piece that can be taken hold of. Coordinates are the panel's. */
export interface Place {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
  /** What it does: slides across the piece, along it, both ways, or also turns. */
  readonly does: 'across' | 'along' | 'both' | 'turns';
  /**
   * How far it goes for one step of its figure, as a share: a width that moves on both sides of the crease at once goes
   * half as far at either.
   */
  readonly ofStep: 0.5 | 1;
}

/** A place that sets lines of the sheet. */
export interface Handle extends Place {
  /** The parameters it sets, without the panel's name. */
  readonly sets: readonly ParameterName[];
  /** The lines of the other panel that go along, unless the modifier is held. */
  readonly along: readonly string[];
  /** The lines set by hand that bring the handle to `to`. */
  readonly drag: (to: Point, move: Move) => HandValues;
}

/** Degrees in steps of which a seat line turns. */
const TURN_STEP = { coarse: 0.5, fine: 0.1 };

/** True where knee or hem lie half on each side of the crease; from a straight side they are laid off whole. */
function halved({ points, crease }: Panel, which: 'knee' | 'hem'): boolean {
  const [side, inseam] = which === 'knee' ? [points.sideKnee, points.inseamKnee] : [points.sideHem, points.inseamHem];
  return Math.abs(side.x + inseam.x - 2 * crease) < 0.01;
}

/** A leg width changed on the other panel by as much as on this one, so that the two keep their difference. */
function otherWidth(panel: Panel, other: Panel, name: 'kneeWidth' | 'hemWidth', own: HandValues): HandValues {
  const [mine, theirs] = [parametersOf(panel)?.[name], parametersOf(other)?.[name]];
  const set = own[`${panel.name}.${name}`];
  if (mine === undefined || theirs === undefined || typeof set !== 'number') return own;
  return { ...own, [`${other.name}.${name}`]: theirs + set - mine };
}

function widthHandle(panel: Panel, other: Panel, which: 'knee' | 'hem', side: 'side' | 'inseam'): Handle {
  const sets = which === 'knee' ? 'kneeWidth' : 'hemWidth';
  const corner =
    which === 'knee' ? (side === 'side' ? 'sideKnee' : 'inseamKnee') : side === 'side' ? 'sideHem' : 'inseamHem';
  const at = panel.points[corner];
  const way = side === 'side' ? -1 : 1;
  const opposite = panel.points[which === 'knee' ? 'sideKnee' : 'sideHem'];
  return {
    id: `${which}-${side}`,
    label: `${which === 'knee' ? 'Knee' : 'Hem'} at the ${side === 'side' ? 'side' : 'inseam'}`,
    at,
    does: 'across',
    sets: [sets],
    along: [`${other.name}.${sets}`],
    ofStep: halved(panel, which) ? 0.5 : 1,
    drag: (to, { step, modified }) => {
      const width = halved(panel, which) ? 2 * way * (to.x - panel.crease) : to.x - opposite.x;
      const own = stepped(panel, sets, width, step);
      return modified ? own : otherWidth(panel, other, sets, own);
    },
  };
}

/** A parameter moved to the nearest step; nothing where it would not change by half a step. */
function stepped(panel: Panel, name: ParameterName, value: number, step: number): HandValues {
  const now = parametersOf(panel)?.[name];
  if (typeof now === 'number' && Math.abs(value - now) < step / 2) return {};
  return { [`${panel.name}.${name}`]: snapTo(value, step) };
}

/** Turns the waist end of the seat line about its tilt point, its length kept. */
function turned(panel: Panel, to: Point, step: number): Point {
  const { tiltPoint, centreWaist } = panel.points;
  const grain = step < 2.2 ? TURN_STEP.fine : TURN_STEP.coarse;
  const angle = (Math.atan2(tiltPoint.x - to.x, tiltPoint.y - to.y) * 180) / Math.PI;
  const radians = (snapTo(angle, grain) * Math.PI) / 180;
  const reach = distance(tiltPoint, centreWaist);
  return point(tiltPoint.x - reach * Math.sin(radians), tiltPoint.y - reach * Math.cos(radians));
}

function seatHandle(panel: Panel, { hipWidth }: PanelParameters): Handle {
  return {
    id: 'seat',
    label: panel.name === 'back' ? 'Waist end of the seat line' : 'Waist end of centre front',
    at: panel.points.centreWaist,
    does: 'turns',
    sets: ['centreIn', 'centreLift'],
    along: [],
    ofStep: 1,
    drag: (to, { step, modified }) => {
      if (modified) {
        const end = turned(panel, to, step);
        return { [`${panel.name}.centreIn`]: hipWidth - end.x, [`${panel.name}.centreLift`]: -end.y };
      }
      return { ...stepped(panel, 'centreIn', hipWidth - to.x, step), ...stepped(panel, 'centreLift', -to.y, step) };
    },
  };
}

function crotchHandle(panel: Panel, { hipWidth }: PanelParameters, levels: Levels): Handle {
  const at = panel.points.crotchPoint;
  return {
    id: 'crotch',
    label: 'Crotch point',
    at,
    does: 'both',
    sets: ['extension', 'crotchDrop'],
    along: [],
    ofStep: 1,
    drag: (to, { step }) => ({
      ...stepped(panel, 'extension', to.x - hipWidth, step),
      // Measured from where truing has put the point: moving it sideways alone must not set the drop.
      ...(Math.abs(to.y - at.y) < step / 2
        ? {}
        : { [`${panel.name}.crotchDrop`]: snapTo(to.y - levels.crotchLevel, step) }),
    }),
  };
}

function dartHandles(panel: Panel, parameters: PanelParameters): Handle[] {
  const { centreWaist, sideWaist } = panel.points;
  const across = unit(subtract(sideWaist, centreWaist));
  const { settled } = panel;
  // A dart set by hand sets the waist plan aside, so the number of darts that it took is set with it.
  const count: HandValues =
    settled.dartCount === parameters.dartCount ? {} : { [`${panel.name}.dartCount`]: settled.dartCount };
  return panel.darts.flatMap((dart, i): Handle[] => {
    const middle = scale(add(dart.centreLeg, dart.sideLeg), 0.5);
    const down = unit(subtract(dart.apex, middle));
    const number = panel.darts.length > 1 ? ` ${i + 1}` : '';
    const leg = (which: 'centreLeg' | 'sideLeg', way: 1 | -1): Handle => ({
      id: `dart-${i}-${which}`,
      label: `Dart${number}, leg toward the ${which === 'centreLeg' ? 'centre' : 'side'}`,
      at: dart[which],
      does: 'across',
      sets: ['dartIntake'],
      along: [],
      ofStep: 0.5,
      drag: (to, { step }) => {
        const intake = settled.dartIntake + 2 * way * dot(subtract(to, dart[which]), across);
        if (Math.abs(intake - settled.dartIntake) < step / 2) return {};
        return { [`${panel.name}.dartIntake`]: Math.max(0, snapTo(intake, step)), ...count };
      },
    });
    const apex: Handle = {
      id: `dart-${i}-apex`,
      label: `Dart${number} apex`,
      at: dart.apex,
      does: 'both',
      sets: ['dartLength', 'dartAt'],
      along: [],
      ofStep: 1,
      drag: (to, { step }) => {
        const moved = subtract(to, dart.apex);
        const sideways = dot(moved, across);
        const station = dot(subtract(middle, centreWaist), across);
        return {
          ...stepped(panel, 'dartLength', parameters.dartLength + dot(moved, down), step),
          ...(i > 0 || Math.abs(sideways) < step / 2
            ? {}
            : { [`${panel.name}.dartAt`]: Math.max(step, snapTo(station + sideways, step)) }),
        };
      },
    };
    return [apex, leg('centreLeg', -1), leg('sideLeg', 1)];
  });
}

/**
 * Everything on a panel that can be taken hold of, in the order of the tab key: crotch, seat, leg, darts. An outline
 * without a sheet has no parameter that a handle could set.
 */
export function handlesOf(block: Block, name: PanelName): Handle[] {
  const { levels, [name]: panel, [name === 'front' ? 'back' : 'front']: other } = block;
  const parameters = parametersOf(panel);
  if (!parameters) return [];
  const both = (which: 'knee' | 'hem'): Handle[] => [
    ...(halved(panel, which) ? [widthHandle(panel, other, which, 'side')] : []),
    widthHandle(panel, other, which, 'inseam'),
  ];
  return [
    crotchHandle(panel, parameters, levels),
    seatHandle(panel, parameters),
    ...(panel.kneeOnPiece ? both('knee') : []),
    ...both('hem'),
    ...dartHandles(panel, parameters),
  ];
}

/** What a handle's parameter is called in running text. */
export const handleWord = (name: ParameterName): string => PANEL_PARAMETERS[name].label.toLowerCase();
