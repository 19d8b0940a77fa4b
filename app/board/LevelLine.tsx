import { readLevel, type Draft } from '../../core/chain/index.js';
import { girthLevels } from '../../core/draft/index.js';
import { measurementLabel } from '../../core/measure/index.js';
import { LEVELS } from '../../core/method/index.js';
import { formatLength, handStep, type Tape } from '../../core/units/index.js';
import { useDrag } from '../shared/use-drag.js';
import { useBoard } from './board-store.js';
import { Tag } from './Tag.js';
import { RULER, type ScreenSize, type View } from './view.js';

/** How near, in pixels, the line catches a frame level or the place of a girth. */
const CATCH = 7;

interface LevelLineProps {
  readonly draft: Draft;
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
}

/** A level line that is run up and down: both pieces read across, and held against the body's girth there. */
export function LevelLine({ draft, view, size, tape }: LevelLineProps) {
  const set = useBoard((s) => s.set);
  const at = useBoard((s) => s.levelAt) ?? draft.block.levels.thighLevel;
  const { hemLevel } = draft.block.levels;
  const y = view.y + at * view.scale;
  const move = (mm: number): void => {
    set({ levelAt: Math.min(hemLevel, Math.max(0, mm)) });
  };
  const catching = [
    ...LEVELS.map(([name]) => draft.block.levels[name]),
    ...girthLevels(draft.block.levels).map(([, level]) => level),
  ];
  const pulled = (from: number, by: number): void => {
    const mm = from + by / view.scale;
    const caught = catching.find((level) => Math.abs(level - mm) * view.scale < CATCH);
    move(caught ?? mm);
  };
  const { on } = useDrag<number>({
    move: (from, pull) => {
      pulled(from, pull.to.y - pull.from.y);
    },
    drop: (from, pull) => {
      pulled(from, pull.to.y - pull.from.y);
    },
    giveUp: move,
  });
  const read = readLevel(draft, at);
  const show = (mm: number | undefined): string => (mm === undefined ? '–' : formatLength(mm, tape));
  const words = [
    `${read.name ?? 'Level'} ${show(at)}`,
    `front ${show(read.front)}, back ${show(read.back)}`,
    ...(read.leg === undefined ? [] : [`leg ${show(read.leg)}`]),
    ...(read.girth
      ? [`${measurementLabel(read.girth.id).toLowerCase()} ${show(read.girth.body)}, over it ${show(read.girth.over)}`]
      : []),
  ];
  return (
    <g
      className="level-reader"
      tabIndex={0}
      role="slider"
      aria-label="Level line"
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(hemLevel)}
      aria-valuenow={Math.round(at)}
      aria-valuetext={words.join('; ')}
      data-level={at}
      onKeyDown={(event) => {
        const step = handStep(tape.unit, !event.shiftKey);
        if (event.key === 'ArrowDown') move(at + step);
        else if (event.key === 'ArrowUp') move(at - step);
        else if (event.key === 'PageDown') move(catching.filter((l) => l > at + 1).sort((a, b) => a - b)[0] ?? at);
        else if (event.key === 'PageUp') move(catching.filter((l) => l < at - 1).sort((a, b) => b - a)[0] ?? at);
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      {...on(() => at)}
    >
      <line className="level-line" x1={RULER} x2={size.width} y1={y} y2={y} />
      <line className="level-grip" x1={RULER} x2={size.width} y1={y} y2={y} />
      <Tag at={{ x: RULER + 80, y }} size={size} lines={words} />
    </g>
  );
}
