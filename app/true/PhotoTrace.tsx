import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState, type MouseEvent } from 'react';
import type { Point } from '../../core/geometry/index.js';
import { LengthField } from '../shared/LengthField.js';
import { useUnit } from '../store/work-context.js';

interface PhotoTraceProps {
  readonly photo: string;
  readonly onCancel: () => void;
  /** Points in mm, y down. */
  readonly onPoints: (points: readonly Point[]) => void;
}

/** A known length on a photo, in mm, where nothing else is said: a ruler of 20 cm. */
const KNOWN = 200;

/** Clicks over a photo: first the two ends of a known length, then points along the curve from the front's waist. */
export function PhotoTrace({ photo, onCancel, onPoints }: PhotoTraceProps) {
  const unit = useUnit();
  const [known, setKnown] = useState(KNOWN);
  const [clicks, setClicks] = useState<readonly Point[]>([]);
  const [size, setSize] = useState({ width: 4, height: 3 });
  const [from, to, ...points] = clicks;
  const scale = from && to ? known / Math.hypot(to.x - from.x, to.y - from.y) : undefined;
  const click = (event: MouseEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = {
      x: ((event.clientX - box.left) / box.width) * size.width,
      y: ((event.clientY - box.top) / box.height) * size.height,
    };
    setClicks([...clicks, at]);
  };
  const dot = Math.max(size.width, size.height) / 140;
  return (
    <Dialog open maxWidth={false} onClose={onCancel} aria-label="Trace over a photo">
      <div className="photo-trace">
        <p>
          {clicks.length < 2
            ? 'Click both ends of a length that you know, such as a ruler in the photo.'
            : `Click along the curve from the front’s waist under to the back’s: ${points.length} points so far.`}
        </p>
        <div className="alter-field">
          <span>The known length</span>
          <LengthField
            label="The known length"
            mm={known}
            unit={unit}
            onCommit={(mm) => {
              if (mm !== undefined && mm > 0) setKnown(mm);
            }}
          />
        </div>
        <svg viewBox={`0 0 ${size.width} ${size.height}`} onClick={click} role="img" aria-label="Photo to click on">
          <image href={photo} width={size.width} height={size.height} preserveAspectRatio="none" />
          {from && to && (
            <line className="alter-cut" x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={dot / 2} />
          )}
          <polyline
            points={points.map((p) => `${p.x},${p.y}`).join(' ')}
            fill="none"
            stroke="var(--act)"
            strokeWidth={dot / 2}
          />
          {clicks.map((p, i) => (
            <circle key={i} cx={p.x} cy={p.y} r={dot} fill={i < 2 ? 'var(--hand)' : 'var(--act)'} />
          ))}
        </svg>
        <img
          src={photo}
          alt=""
          hidden
          onLoad={(event) => {
            const { naturalWidth: width, naturalHeight: height } = event.currentTarget;
            if (width > 0 && height > 0) setSize({ width, height });
          }}
        />
        <div className="acts">
          <Button
            variant="contained"
            size="small"
            disabled={scale === undefined || points.length < 5}
            onClick={() => {
              if (scale !== undefined) onPoints(points.map((p) => ({ x: p.x * scale, y: p.y * scale })));
            }}
          >
            Lay it on
          </Button>
          <Button
            size="small"
            disabled={clicks.length === 0}
            onClick={() => {
              setClicks(clicks.slice(0, -1));
            }}
          >
            Take the last click back
          </Button>
          <Button size="small" onClick={onCancel}>
            Leave it
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
