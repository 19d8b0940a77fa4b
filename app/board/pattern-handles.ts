import {
  dartToward,
  laidDartsOn,
  type AdoptedPattern,
  type Block,
  type LaidDart,
  type Panel,
} from '../../core/draft/index.js';
import { dot, point, subtract, unit, type Point } from '../../core/geometry/index.js';
import type { PanelName } from '../../core/method/index.js';
import { snapTo } from '../../core/units/index.js';
import type { Move, Place } from './handles.js';

/** What was laid into an adopted pattern by hand: its levels, creases and darts. */
export type Laid = Pick<AdoptedPattern, 'hipAbove' | 'kneeBelow' | 'creaseOff' | 'creaseOffBack' | 'darts'>;

/** A figure that a handle moves, in mm, by what it is called in running text. */
export type LaidFigure = readonly [words: string, mm: number];

/** A place on an adopted piece that can be taken hold of: what is laid into the pattern follows it. */
export interface PatternHandle extends Place {
  readonly figures: readonly LaidFigure[];
  /** What is laid in otherwise where the handle is brought to `to`; nothing where it is moved by less than a step. */
  readonly drag: (to: Point, move: Move) => Partial<Laid>;
  /** What gives it back to the pattern as it came. */
  readonly given: Partial<Laid>;
}

/** No dart is narrower or shorter than this, in mm. */
const LEAST_DART = 1;

/** A figure brought to the nearest step of the tape; nothing where it would not change by half a step. */
const stepped = (now: number, next: number, step: number): number | undefined =>
  Math.abs(next - now) < step / 2 ? undefined : snapTo(next, step);

type Level = 'hipAbove' | 'kneeBelow';

function levelHandle(panel: Panel, { levels }: Block, which: Level): PatternHandle {
  const hip = which === 'hipAbove';
  const at = hip ? panel.points.sideHip : panel.points.sideKnee;
  const now = hip ? levels.crotchLevel - levels.hipLevel : levels.kneeLevel - levels.crotchLevel;
  return {
    id: hip ? 'hip-line' : 'knee-line',
    label: hip ? 'Hip line' : 'Knee line',
    at,
    does: 'along',
    ofStep: 1,
    figures: [[hip ? 'above the crotch line' : 'below the crotch line', now]],
    drag: (to, { step }) => {
      const mm = stepped(now, now + (hip ? at.y - to.y : to.y - at.y), step);
      return mm === undefined ? {} : { [which]: Math.max(step, mm) };
    },
    given: { [which]: undefined },
  };
}

/** Where the crease lies from the middle of the hem, toward the inseam, in mm. */
const creaseOffOf = ({ crease, points }: Panel): number => crease - (points.sideHem.x + points.inseamHem.x) / 2;

/** The crease of both pieces; with the modifier of this one alone. */
function creaseHandle(panel: Panel, other: Panel): PatternHandle {
  const [now, theirs] = [creaseOffOf(panel), creaseOffOf(other)];
  const at = point(panel.crease, (panel.points.sideHem.y + panel.points.inseamHem.y) / 2);
  const laid = (front: number, back: number): Partial<Laid> => ({
    creaseOff: front,
    creaseOffBack: Math.abs(back - front) < 0.01 ? undefined : back,
  });
  return {
    id: 'crease',
    label: 'Crease',
    at,
    does: 'across',
    ofStep: 1,
    figures: [['inward of the middle of the hem', now]],
    drag: (to, { step, modified }) => {
      const mm = stepped(now, now + to.x - at.x, step);
      if (mm === undefined) return {};
      const others = modified ? theirs : theirs + mm - now;
      return panel.name === 'front' ? laid(mm, others) : laid(others, mm);
    },
    given: { creaseOff: undefined, creaseOffBack: undefined },
  };
}

/** The handles of the darts that were laid in: apex and both legs. Those that the pattern came with stay as they are. */
function dartHandles(panel: Panel, darts: readonly LaidDart[]): PatternHandle[] {
  const own = darts.filter((d) => d.panel === panel.name);
  const drawn = laidDartsOn(panel, darts);
  return own.flatMap((laid, i): PatternHandle[] => {
    const dart = panel.darts[drawn[i] ?? -1];
    if (!dart) return [];
    const changed = (facts: Partial<LaidDart>): Partial<Laid> =>
      Object.keys(facts).length === 0 ? {} : { darts: darts.map((d) => (d === laid ? { ...d, ...facts } : d)) };
    const given = { darts: darts.filter((d) => d !== laid) };
    const across = unit(subtract(dart.sideLeg, dart.centreLeg));
    const number = own.length > 1 ? ` ${i + 1}` : '';
    const figures: readonly LaidFigure[] = [
      ['from the centre', laid.at],
      ['intake', laid.intake],
      ['length', laid.length],
    ];
    const leg = (which: 'centreLeg' | 'sideLeg', way: 1 | -1): PatternHandle => ({
      id: `laid-dart-${i}-${which}`,
      label: `Laid dart${number}, leg toward the ${which === 'centreLeg' ? 'centre' : 'side'}`,
      at: dart[which],
      does: 'across',
      ofStep: 0.5,
      figures,
      drag: (to, { step }) => {
        const mm = stepped(laid.intake, laid.intake + 2 * way * dot(subtract(to, dart[which]), across), step);
        return changed(mm === undefined ? {} : { intake: Math.max(LEAST_DART, mm) });
      },
      given,
    });
    const apex: PatternHandle = {
      id: `laid-dart-${i}-apex`,
      label: `Laid dart${number} apex`,
      at: dart.apex,
      does: 'both',
      ofStep: 1,
      figures,
      drag: (to, { step }) => {
        const toward = dartToward(panel, drawn[i] ?? -1, to);
        if (!toward) return {};
        const [along, far] = [
          stepped(laid.at, laid.at + toward.moved, step),
          stepped(laid.length, toward.length, step),
        ];
        return changed({
          ...(along !== undefined && { at: Math.max(LEAST_DART, along) }),
          ...(far !== undefined && { length: Math.max(LEAST_DART, far) }),
        });
      },
      given,
    };
    return [apex, leg('centreLeg', -1), leg('sideLeg', 1)];
  });
}

/**
 * Everything that is laid into an adopted pattern and can be taken hold of on one of its pieces, in the order of the tab
 * key: hip line, knee line, crease, darts.
 */
export function patternHandlesOf(block: Block, name: PanelName, pattern: AdoptedPattern): PatternHandle[] {
  const { [name]: panel, [name === 'front' ? 'back' : 'front']: other } = block;
  return [
    levelHandle(panel, block, 'hipAbove'),
    ...(panel.kneeOnPiece ? [levelHandle(panel, block, 'kneeBelow')] : []),
    creaseHandle(panel, other),
    ...dartHandles(panel, pattern.darts ?? []),
  ];
}
