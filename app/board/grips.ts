import type { Draft } from '../../core/chain/index.js';
import type { AdoptedPattern } from '../../core/draft/index.js';
import type { Point } from '../../core/geometry/index.js';
import { lineKind, type PanelName, type ParameterName } from '../../core/method/index.js';
import { formatAngle, formatLength, type Tape } from '../../core/units/index.js';
import { changePattern, previewPattern } from '../store/reference-work.js';
import { giveBack, previewByHand, setByHand, type Change } from '../store/work-changes.js';
import { handlesOf, handleWord, type Handle, type Move, type Place } from './handles.js';
import { patternHandlesOf, type PatternHandle } from './pattern-handles.js';

/** A place that is taken hold of on the board, with what a hand does there, whatever it sets. */
export interface Grip extends Place {
  /** The line whose words the bench shows while it is in hand. */
  readonly line: string;
  /** Its first figure, for those who hear it told. */
  readonly now: number;
  /** Its figures in words. */
  readonly tells: readonly string[];
  /** Shows what comes of bringing it to `to`. */
  readonly show: (to: Point, move: Move) => Change;
  /** Keeps it there; nothing where nothing is changed by that. */
  readonly keep: (to: Point, move: Move) => Change | undefined;
  /** Lets it lie as it lay. */
  readonly leave: Change;
  /** Gives it back to the sheet, or to the pattern as it came; alone: without what goes along. */
  readonly giveBack: (alone: boolean) => Change;
}

function sheetGrip(handle: Handle, draft: Draft, name: PanelName, tape: Tape): Grip {
  const worked = draft.worked[name];
  const figureOf = (parameter: ParameterName): string => {
    const value = worked[parameter];
    if (typeof value !== 'number') return `${handleWord(parameter)} ${value}`;
    const length = lineKind(`${name}.${parameter}`) === 'length' || parameter === 'dartAt';
    return `${handleWord(parameter)} ${length ? formatLength(value, tape) : String(value)}`;
  };
  const first = worked[handle.sets[0] ?? 'extension'];
  const angle = formatAngle((draft.block[name].seatAngle * 180) / Math.PI);
  const own = handle.sets.map((parameter) => `${name}.${parameter}`);
  return {
    ...handle,
    line: own[0] ?? '',
    now: typeof first === 'number' ? first : 0,
    tells: [...handle.sets.map(figureOf), ...(handle.id === 'seat' ? [`seat angle ${angle}`] : [])],
    show: (to, move) => previewByHand(handle.drag(to, move)),
    keep: (to, move) => {
      const values = handle.drag(to, move);
      return Object.keys(values).length > 0 ? setByHand(values) : undefined;
    },
    leave: previewByHand(undefined),
    giveBack: (alone) => giveBack(alone ? own : [...own, ...handle.along]),
  };
}

function patternGrip(handle: PatternHandle, name: PanelName, tape: Tape): Grip {
  return {
    ...handle,
    line: `${name}.${handle.id}`,
    now: handle.figures[0]?.[1] ?? 0,
    tells: handle.figures.map(([words, mm]) => `${formatLength(mm, tape)} ${words}`),
    show: (to, move) => previewPattern(handle.drag(to, move)),
    keep: (to, move) => {
      const laid = handle.drag(to, move);
      return Object.keys(laid).length > 0 ? changePattern(laid) : undefined;
    },
    leave: previewPattern(undefined),
    giveBack: () => changePattern(handle.given),
  };
}

/**
 * What can be taken hold of on a piece: the handles of the sheet that draws it, or, of an adopted pattern, what is laid
 * into it.
 */
export function gripsOf(draft: Draft, name: PanelName, pattern: AdoptedPattern | undefined, tape: Tape): Grip[] {
  return pattern
    ? patternHandlesOf(draft.block, name, pattern).map((handle) => patternGrip(handle, name, tape))
    : handlesOf(draft.block, name).map((handle) => sheetGrip(handle, draft, name, tape));
}
