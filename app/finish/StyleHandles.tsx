import { useState } from 'react';
import { dot, subtract } from '../../core/geometry/index.js';
import { formatLength, handStep, snapTo, type Tape } from '../../core/units/index.js';
import type { Style } from '../../core/style/index.js';
import { Tag } from '../board/Tag.js';
import { toScreen, type ScreenSize, type View } from '../board/view.js';
import type { Pull } from '../shared/drag.js';
import { useDrag } from '../shared/use-drag.js';
import { withComponent, withValue } from './style-change.js';
import type { StyleHandle } from './style-handles.js';

interface StyleHandlesProps {
  /** In board coordinates. */
  readonly handles: readonly StyleHandle[];
  readonly view: View;
  readonly size: ScreenSize;
  readonly tape: Tape;
  readonly style: Style;
  readonly take: (next: Style, id: string) => string | undefined;
  readonly tryOn: (next: Style | undefined) => void;
}

const SLIDES = 'M-8 0H8M-8 0l3.5 -3.5M-8 0l3.5 3.5M8 0l-3.5 -3.5M8 0l-3.5 3.5';

/** The places of a part that can be pulled: by pointer, or by the arrow keys in steps of the tape; Escape gives it up. */
export function StyleHandles({ handles, view, size, tape, style, take, tryOn }: StyleHandlesProps) {
  const [tried, setTried] = useState<number>();
  const keyOf = (h: StyleHandle): string => `${h.component}.${h.field}`;
  const styleWith = (h: StyleHandle, mm: number): Style => {
    const values = style.find((item) => item.id === h.component)?.values ?? {};
    return withComponent(style, h.component, withValue(values, h.field, mm));
  };
  const within = (h: StyleHandle, mm: number): number => Math.min(h.most, Math.max(h.least, mm));
  const pulledTo = (h: StyleHandle, { from, to, fine }: Pull): number => {
    const way = dot(subtract(to, from), h.along) / view.scale;
    return within(h, snapTo(h.mm + way * h.share, handStep(tape.unit, fine)));
  };
  const letLie = (): void => {
    setTried(undefined);
    tryOn(undefined);
  };
  const { held, on } = useDrag<StyleHandle>({
    move: (h, pull) => {
      const mm = pulledTo(h, pull);
      if (mm === tried) return;
      setTried(mm);
      tryOn(styleWith(h, mm));
    },
    drop: (h, pull) => {
      const mm = pulledTo(h, pull);
      letLie();
      if (mm !== h.mm) take(styleWith(h, mm), h.component);
    },
    giveUp: letLie,
  });
  const shown = held && { key: keyOf(held), mm: tried ?? held.mm };
  return handles.map((h) => {
    const at = toScreen(h.at, view);
    const key = keyOf(h);
    const angle = (Math.atan2(h.along.y, h.along.x) * 180) / Math.PI;
    return (
      <g key={key}>
        <g
          className="handle"
          data-handle={key}
          data-held={shown?.key === key}
          tabIndex={0}
          role="slider"
          aria-label={h.label}
          aria-valuenow={Number(h.mm.toFixed(1))}
          aria-valuemin={h.least}
          aria-valuemax={h.most}
          aria-valuetext={formatLength(h.mm, tape)}
          transform={`translate(${at.x} ${at.y})`}
          {...on(() => h)}
          onKeyDown={(event) => {
            const steps = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
            if (steps === undefined) return;
            event.preventDefault();
            const step = handStep(tape.unit, event.shiftKey);
            take(styleWith(h, within(h, snapTo(h.mm + steps * step, step))), h.component);
          }}
        >
          <title>{`${h.label}, ${formatLength(h.mm, tape)}`}</title>
          <circle className="touch" r={20} />
          <circle className="ring" r={12} />
          <rect className="grip" x={-6} y={-6} width={12} height={12} rx={2} />
          {shown?.key === key && (
            <path className="measure-line" d={SLIDES} transform={`rotate(${angle}) translate(0 -20)`} />
          )}
        </g>
        {shown?.key === key && <Tag at={at} size={size} lines={[h.label, formatLength(shown.mm, tape)]} />}
      </g>
    );
  });
}
