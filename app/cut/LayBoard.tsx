import { Fragment, memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { laidWidth, type ClothData } from '../../core/cloth/index.js';
import {
  clothWords,
  copyName,
  placedOutline,
  type FoundLay,
  type LayShape,
  type LeftOver,
  type Placed,
} from '../../core/lay/index.js';
import { formatLength, handStep, tapeFor, type Unit } from '../../core/units/index.js';
import type { Pull } from '../shared/drag.js';
import { useDrag } from '../shared/use-drag.js';
import { LayMark } from './LayMark.js';
import type { LayHand } from './use-lay-hand.js';
import '../shared/lay.css';

/** Cloth is shown this far beyond its lay and about it, in mm. */
const AROUND = 40;

/** A long cloth is shown to the next of such steps, in mm: while it grows and shrinks, all on it keeps its scale. */
const LONG = 3000;
const STEP = 500;

/** An outline as path data, in the cloth's own coordinates. */
const outlineData = (outline: readonly (readonly [number, number])[]): string =>
  `M${outline.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;

/** What a part is called on the cloth, and where it lies. */
const saidOf = (name: string, { copy, turn, flipped }: Placed, count: number, locked: boolean): string =>
  [
    count > 1 ? `${name}, ${copy + 1} of ${count}` : name,
    flipped ? 'mirrored' : '',
    turn === 180 ? 'turned' : '',
    locked ? 'locked' : '',
  ]
    .filter(Boolean)
    .join(', ');

/** The cloth with everything on it: parts are dragged, nudged by arrow keys, turned, changed with their pair and locked. */
export function LayBoard({
  shapes,
  lay,
  cloth,
  bought,
  unit,
  nameOf,
  inkOf,
  hand,
  locked,
  left,
}: {
  readonly shapes: readonly LayShape[];
  readonly lay: FoundLay;
  readonly cloth: ClothData;
  /** How much of it is bought, in mm. */
  readonly bought: number;
  readonly unit: Unit;
  readonly nameOf: (id: string) => string;
  /** Which panel of the legs a part is: they have their inks here too. */
  readonly inkOf: (id: string) => string;
  readonly hand: LayHand;
  readonly locked: ReadonlySet<string>;
  readonly left: readonly LeftOver[];
}) {
  const svg = useRef<SVGSVGElement>(null);
  const width = laidWidth(cloth);
  const end = Math.max(lay.length, bought);
  const shown = Math.max(end < LONG ? end : Math.ceil(end / STEP) * STEP, cloth.inHand ?? 0) + AROUND;
  const held = hand.chosen ?? (lay.placed[0] && copyName(lay.placed[0]));

  /** What a pull on the screen is on the cloth, in mm. */
  const onCloth = ({ from, to }: Pull): { readonly x: number; readonly y: number } => {
    const matrix = svg.current?.getScreenCTM()?.inverse() ?? new DOMMatrix();
    const [start, end] = [from, to].map(({ x, y }) => new DOMPoint(x, y).matrixTransform(matrix));
    return { x: (end?.x ?? 0) - (start?.x ?? 0), y: (end?.y ?? 0) - (start?.y ?? 0) };
  };
  const movedBy = (placed: Placed, pull: Pull): Placed => {
    const { x, y } = onCloth(pull);
    return { ...placed, x: placed.x + x, y: placed.y + y };
  };
  const { on } = useDrag<Placed>({
    move: (placed, pull) => {
      hand.tryAt(movedBy(placed, pull));
    },
    drop: (placed, pull) => {
      hand.letGo(movedBy(placed, pull));
    },
    giveUp: hand.giveBack,
  });
  const take = (event: PointerEvent, placed: Placed): Placed | undefined => {
    hand.choose(copyName(placed));
    (event.currentTarget as SVGGElement).focus({ preventScroll: true });
    return locked.has(copyName(placed)) ? undefined : placed;
  };
  const keys = (event: KeyboardEvent, placed: Placed): void => {
    // With a modifier they are the browser's: find, a new tab, the address.
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const step = handStep(unit, event.shiftKey);
    const nudge: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const by = nudge[key];
    const at = lay.placed.findIndex((p) => copyName(p) === copyName(placed));
    const next = { PageDown: at + 1, PageUp: at - 1, Home: 0, End: lay.placed.length - 1 }[key];
    if (by) hand.nudge(placed, by[0], by[1]);
    else if (next !== undefined) {
      const to = lay.placed[(next + lay.placed.length) % lay.placed.length];
      if (to) {
        hand.choose(copyName(to));
        svg.current?.querySelector<SVGGElement>(`[data-copy="${CSS.escape(copyName(to))}"]`)?.focus();
      }
    } else if (key === 't') hand.turn(placed);
    else if (key === 'f') hand.change(placed);
    else if (key === 'l') hand.lock(placed);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <svg
      ref={svg}
      className="lay"
      viewBox={`${-AROUND} ${-AROUND} ${shown + AROUND} ${width + 2 * AROUND}`}
      role="group"
      aria-label={`${lay.placed.length} parts on ${clothWords(lay.length, unit)} of cloth`}
    >
      <LayMark cloth={cloth} length={lay.length} shown={shown - AROUND} unit={unit} left={left} />
      {lay.placed.map((placed) => {
        const shape = shapes.find((s) => s.id === placed.id);
        if (!shape) return null;
        const name = copyName(placed);
        const trial = hand.trial?.moved && copyName(hand.trial.moved) === name ? hand.trial : undefined;
        return (
          <g
            key={name}
            className="lay-copy"
            data-copy={name}
            data-ink={inkOf(placed.id)}
            data-locked={locked.has(name)}
            data-chosen={hand.chosen === name}
            data-lifted={trial !== undefined}
            tabIndex={name === held ? 0 : -1}
            role="button"
            aria-label={saidOf(nameOf(placed.id), placed, shape.count, locked.has(name))}
            aria-pressed={hand.chosen === name}
            {...on((event) => take(event, placed))}
            onFocus={() => {
              hand.choose(name);
            }}
            onKeyDown={(event) => {
              keys(event, placed);
            }}
          >
            <LayPart
              shape={shape}
              copy={placed.copy}
              x={placed.x}
              y={placed.y}
              turn={placed.turn}
              flipped={placed.flipped}
              words={nameOf(placed.id)}
              locked={locked.has(name)}
            />
          </g>
        );
      })}
      {hand.trial && (
        <LayTrial shape={shapes.find((s) => s.id === hand.trial?.moved.id)} trial={hand.trial} unit={unit} />
      )}
    </svg>
  );
}

/** A part as it lies, with its name: drawn again only where it was moved, of many. */
const LayPart = memo(function LayPart({
  shape,
  words,
  locked,
  ...lies
}: Omit<Placed, 'id'> & { readonly shape: LayShape; readonly words: string; readonly locked: boolean }) {
  const placed = { ...lies, id: shape.id };
  const outline = placedOutline(shape, placed);
  return (
    <>
      <path
        className="lay-part"
        data-placed={copyName(placed)}
        d={outlineData(outline)}
        vectorEffect="non-scaling-stroke"
      />
      <PartWords outline={outline} words={words} locked={locked} />
    </>
  );
});

/** A part where the hand has it, and where it would come to lie. */
function LayTrial({
  shape,
  trial,
  unit,
}: {
  readonly shape: LayShape | undefined;
  readonly trial: NonNullable<LayHand['trial']>;
  readonly unit: Unit;
}) {
  if (!shape) return null;
  const { moved, place, length } = trial;
  const wanted = placedOutline(shape, moved);
  return (
    <g className="lay-trial" data-free={place?.free ?? false} pointerEvents="none">
      <path className="lay-wanted" d={outlineData(wanted)} vectorEffect="non-scaling-stroke" />
      {place?.free && (
        <path
          className="lay-comes"
          d={outlineData(placedOutline(shape, { ...moved, x: place.x, y: place.y }))}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {place && (
        <text className="lay-told" x={moved.x + 20} y={Math.max(30, Math.min(...wanted.map(([, y]) => y)) + 50)}>
          {place.free ? formatLength(length, tapeFor(unit)) : 'no room here'}
        </text>
      )}
    </g>
  );
}

/** Words on a part are so high, in mm, and at most so much of its height. */
const WORDS = 26;
const WORDS_SHARE = 0.3;
/** How wide a letter is for its height. */
const LETTER = 0.52;
/** Lines of words are so far apart, for their height. */
const LINE = 1.15;
/** Smaller words are not written: the part says what it is when it is taken in hand. */
const LEAST_WORDS = 9;

/** The name of a part in the middle of it, as large as it has room for. */
function PartWords({
  outline,
  words,
  locked,
}: {
  readonly outline: readonly (readonly [number, number])[];
  readonly words: string;
  readonly locked: boolean;
}) {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const whole = locked ? [words, 'locked'] : [words];
  const sizeOf = (lines: readonly string[]): number =>
    Math.min(
      WORDS,
      (WORDS_SHARE * 2 * (high - low)) / (lines.length * LINE),
      (0.9 * (right - left)) / (LETTER * Math.max(1, ...lines.map((l) => l.length))),
    );
  // On several lines where the words are larger so.
  const lines = [whole, whole.flatMap((l) => l.split(' '))].reduce((a, b) => (sizeOf(b) > sizeOf(a) + 1 ? b : a));
  const size = sizeOf(lines);
  if (size < LEAST_WORDS) return null;
  const top = (low + high) / 2 - (lines.length * size * LINE) / 2;
  return (
    <text fontSize={size} textAnchor="middle">
      {lines.map((line, i) => (
        <Fragment key={line}>
          {/* Read as words of their own, though they stand on lines of their own. */}
          {i > 0 && <tspan fontSize={0}> </tspan>}
          <tspan x={(left + right) / 2} y={top + (i + 0.8) * size * LINE}>
            {line}
          </tspan>
        </Fragment>
      ))}
    </text>
  );
}
