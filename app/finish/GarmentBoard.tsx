import { useDeferredValue, useMemo, useRef, useState, type PointerEvent } from 'react';
import { boxOf, flatten, pathBox, pathLength } from '../../core/geometry/index.js';
import { partOutline, sewnTo } from '../../core/garment/index.js';
import type { Piece } from '../../core/piece/index.js';
import { styleContext } from '../../core/style/index.js';
import { formatLength } from '../../core/units/index.js';
import { toBoard, type Placement } from '../board/arrange.js';
import { Tag } from '../board/Tag.js';
import { useNavigation } from '../board/use-navigation.js';
import { useSize } from '../board/use-size.js';
import { fitView, toScreen, useView } from '../board/view.js';
import { withFractions } from '../shared/fractions.js';
import { useComputed, useTape, useUnit } from '../store/work-context.js';
import { edgeName } from './edge-names.js';
import { useFinish } from './finish-store.js';
import { inkOf, PartDrawing } from './PartDrawing.js';
import { PieceRow } from './PieceRow.js';
import { StyleHandles } from './StyleHandles.js';
import { styleHandles } from './style-handles.js';
import { useStyle, type Finished } from './use-garment.js';
import '../board/board.css';

/** Room between two pieces on the board, in mm. */
const GAP = 70;

interface Lying {
  readonly piece: Piece;
  readonly place: Placement;
}

/** The piece in hand as it lies on the board: the legs beside one another, sides together; any other alone. */
function lyingOf(pieces: readonly Piece[], inHand: Piece): Lying[] {
  if (!inHand.part.onFrame) return [{ piece: inHand, place: { mirrored: false, dx: 0 } }];
  let x = 0;
  return pieces
    .filter(({ part }) => part.onFrame)
    .map((piece): Lying => {
      const box = pathBox(piece.cut);
      // A front lies turned over, so that its side meets the back's; a single one as the leg has it.
      const front = (piece.part.like ?? piece.part.id) === 'front';
      const mirrored = front && piece.part.up === 'right' ? piece.part.leg !== 'right' : piece.part.up === 'wrong';
      const dx = mirrored ? x + box.maxX : x - box.minX;
      x += box.maxX - box.minX + GAP;
      return { piece, place: { mirrored, dx } };
    });
}

/** Where a piece bears its name: a leg where its label stands, any other in its middle. */
function nameAt({ part }: Piece): { x: number; y: number } {
  const [a, b] = part.words;
  if (part.onFrame) return { x: (a.x + b.x) / 2, y: a.y };
  const box = pathBox(partOutline(part));
  return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
}

/** The board at Finish: the piece in hand large with its handles, all pieces in a row at its foot. */
export function GarmentBoard({ finished }: { finished: Finished | undefined }) {
  const svg = useRef<SVGSVGElement>(null);
  const size = useSize(svg);
  const tape = useTape();
  const unit = useUnit();
  const draft = useComputed((c) => c.draft);
  const { inHand, lit, pointed, refused, set } = useFinish();
  const { style, take, tryOn } = useStyle();
  const trial = useFinish((f) => f.trial);
  const looked = useView((s) => s.view);
  const [at, setAt] = useState<{ x: number; y: number }>();
  const [moving, setMoving] = useState(false);
  const pieces = finished?.pieces ?? [];
  // While a hand pulls the piece in hand, the row follows where there is time for it.
  const inRow = useDeferredValue(finished);
  const piece = pieces.find(({ part }) => part.id === inHand) ?? pieces[0];
  const lying = useMemo(() => (finished && piece ? lyingOf(finished.pieces, piece) : []), [finished, piece]);
  const box = useMemo(
    () => boxOf(lying.flatMap(({ piece: p, place }) => flatten(p.cut, 1).map((q) => toBoard(q, place)))),
    [lying],
  );
  // While a hand pulls, the board keeps still.
  const [kept, setKept] = useState<{ key: string; box: typeof box }>();
  const key = `${piece?.part.onFrame ? 'legs' : (piece?.part.id ?? '')}`;
  const still = trial !== undefined && kept?.key === key ? kept.box : box;
  if (trial === undefined && (kept?.key !== key || kept.box !== box)) setKept({ key, box });
  const view =
    size && lying.length > 0 ? (key === 'legs' ? (looked ?? fitView(still, size)) : fitView(still, size)) : undefined;
  const navigation = useNavigation(svg, view);
  const place = (event: PointerEvent): { x: number; y: number } => {
    const from = svg.current?.getBoundingClientRect();
    return { x: event.clientX - (from?.left ?? 0), y: event.clientY - (from?.top ?? 0) };
  };
  const handles = useMemo(() => {
    if (!finished || !draft) return [];
    const context = styleContext(draft, unit);
    const found = new Map<string, ReturnType<typeof styleHandles>[number]>();
    for (const { piece: p, place: at0 } of lying) {
      for (const h of styleHandles(p.part, trial ?? style, finished.styled, context)) {
        const name = `${h.component}.${h.field}`;
        if (found.has(name)) continue;
        const way = at0.mirrored ? -1 : 1;
        found.set(name, { ...h, at: toBoard(h.at, at0), along: { x: way * h.along.x, y: h.along.y } });
      }
    }
    return [...found.values()];
  }, [finished, draft, unit, lying, style, trial]);
  const seams = finished?.styled.garment.seams ?? [];
  const point =
    (part: string) =>
    (edge: string | undefined): void => {
      if (edge === undefined) {
        set({ lit: [], pointed: undefined });
        return;
      }
      const here = { part, edge };
      const other = sewnTo(seams, here);
      set({ lit: other ? [here, other] : [here], pointed: here });
    };
  const told = pointed && pieces.find(({ part }) => part.id === pointed.part);
  const edge = told?.part.edges.find((e) => e.id === pointed?.edge);
  return (
    <main id="board" className="board garment-board" aria-label="Board">
      <svg
        ref={svg}
        className="drawing"
        data-dragging={moving}
        tabIndex={0}
        role="group"
        aria-label={
          piece ? `${piece.part.name}. Arrow keys move the board, plus and minus zoom, 0 shows all.` : 'Board'
        }
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          navigation.down(event.pointerId, place(event));
          setMoving(true);
        }}
        onPointerMove={(event) => {
          if (moving) navigation.move(event.pointerId, place(event));
          else setAt(place(event));
        }}
        onPointerUp={(event) => {
          navigation.up(event.pointerId);
          setMoving(false);
        }}
        onPointerCancel={(event) => {
          navigation.up(event.pointerId);
          setMoving(false);
        }}
        onKeyDown={(event) => {
          if (event.target !== event.currentTarget || !size || event.ctrlKey || event.metaKey) return;
          if (navigation.key(event.key, { x: size.width / 2, y: size.height / 2 })) event.preventDefault();
        }}
      >
        {view && size && (
          <>
            <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
              {lying.map(({ piece: p, place: { mirrored, dx } }) => (
                <g key={p.part.id} transform={`translate(${dx} 0) scale(${mirrored ? -1 : 1} 1)`}>
                  <PartDrawing piece={p} lit={lit} onPoint={point(p.part.id)} />
                </g>
              ))}
            </g>
            {lying.map(({ piece: p, place: at0 }) => {
              const words = toScreen(toBoard(nameAt(p), at0), view);
              return (
                <text
                  key={p.part.id}
                  className={`halo piece-name ${inkOf(p)}`}
                  x={words.x}
                  y={words.y}
                  textAnchor="middle"
                  pointerEvents="none"
                >
                  {p.part.name}
                </text>
              );
            })}
            <g className="piece-other handles">
              <StyleHandles
                handles={handles}
                view={view}
                size={size}
                tape={tape}
                style={style}
                take={take}
                tryOn={tryOn}
              />
            </g>
            {told && edge && at && !moving && (
              <Tag
                at={at}
                size={size}
                lines={[
                  `${told.part.name}, ${edgeName(edge.id, edge.role)}`,
                  formatLength(pathLength(edge.sewn ?? edge.path), tape),
                ]}
              />
            )}
          </>
        )}
      </svg>
      {!finished && (
        <div className="board-empty">
          <p>The pieces appear as soon as waist, hip, crotch depth and inseam are in.</p>
        </div>
      )}
      {inRow && <PieceRow pieces={inRow.pieces} inHand={piece?.part.id} lit={lit} />}
      {refused !== undefined && (
        <div className="board-message" role="status">
          {withFractions(refused)} The last good garment stays.
        </div>
      )}
    </main>
  );
}
