import { memo } from 'react';
import { LEVELS, type Levels } from '../../core/method/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { RULER, type ScreenSize, type View } from './view.js';

const LINE_HEIGHT = 15;
/** Below this width, in pixels, a level is told by its first word. */
const NARROW = 520;

interface FrameLinesProps {
  readonly levels: Levels;
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
  /** Names of the levels that rest on an estimate, with blanks between. */
  readonly estimated: string;
}

const sameFrame = (a: FrameLinesProps, b: FrameLinesProps): boolean =>
  LEVELS.every(([name]) => a.levels[name] === b.levels[name]) &&
  a.view === b.view &&
  a.size === b.size &&
  a.tape === b.tape &&
  a.estimated === b.estimated;

/**
 * The frame's levels as hairlines across the board, named and figured at its left edge. Names give way to one another.
 */
export const FrameLines = memo(function FrameLines({ levels, view, size, tape, estimated }: FrameLinesProps) {
  let last = -Infinity;
  const lines = [['waistLevel', 'Waist line'] as const, ...LEVELS].map(([name, label]) => {
    const mm = name === 'waistLevel' ? 0 : levels[name];
    const y = view.y + mm * view.scale;
    const textY = Math.max(y - 4, last + LINE_HEIGHT);
    last = textY;
    return { name, label, mm, y, textY };
  });
  return (
    <g>
      {lines.map(({ name, label, mm, y, textY }) => (
        <g key={name}>
          <line className="frame-line" x1={RULER} x2={size.width} y1={y} y2={y} />
          <text className="frame-name halo" data-level-name={name} x={RULER + 6} y={textY}>
            {size.width < NARROW ? label.replace(' line', '') : label}{' '}
            {name === 'waistLevel'
              ? ''
              : (estimated.includes(name) ? '≈ ' : '') + withFractions(formatLength(mm, tape))}
          </text>
        </g>
      ))}
    </g>
  );
}, sameFrame);
