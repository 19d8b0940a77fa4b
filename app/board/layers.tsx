import { lazy, useCallback, useMemo, type ReactNode } from 'react';
import type { EdgeName, Leg } from '../../core/draft/index.js';
import { edgeLengths } from '../../core/draft/index.js';
import { EDGE_WORDS, LEG_SEAMS, sewnTo } from '../../core/garment/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { formatLength } from '../../core/units/index.js';
import { onDemand } from '../shared/on-demand.js';
import { usePreferences } from '../store/preferences.js';
import { useComputed, useWork } from '../store/work-context.js';
import { toBoard } from './arrange.js';
import { UNLIT, useBoard } from './board-store.js';
import type { BoardLayer, Drawn } from './drawn-board.js';
import { readBetween, takeAt } from './measuring.js';
import { GhostOutline, PieceDrawing } from './PieceDrawing.js';
import { usePointer } from './pointer.js';
import { Tag } from './Tag.js';
import { toScreen } from './view.js';

const CutLines = lazy(() => import('./CutLayer.js').then((m) => ({ default: m.CutLayer })));
/** The handles of the piece in hand. */
export const Handles = onDemand(() => import('./HandleLayer.js').then((m) => ({ default: m.HandleLayer })));
const ReferenceLines = lazy(() => import('./ReferenceLayer.js').then((m) => ({ default: m.ReferenceLayer })));
const ReadingTag = lazy(() => import('./ReadingTag.js').then((m) => ({ default: m.ReadingTag })));
const LevelLine = lazy(() => import('./LevelLine.js').then((m) => ({ default: m.LevelLine })));

/** Below this scale, in pixels a millimetre, a piece has no room for its name. */
const LEAST_NAMED = 0.25;

/** What a piece is called on the board; where the legs differ, of which leg it is. */
function pieceName(panel: PanelName, leg: Leg | undefined): string {
  const of = { left: 'Left ', right: 'Right ' };
  const name = leg ? `${of[leg]}${panel}` : panel;
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Lays what is drawn in board millimetres as the board is seen. */
const OnBoard = ({ view, children }: Pick<Drawn, 'view'> & { readonly children: ReactNode }) => (
  <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>{children}</g>
);

const Before: BoardLayer = ({ drawn: { arranged, view } }) => {
  const before = useComputed((c) => c.before);
  if (!before) return null;
  return (
    <OnBoard view={view}>
      {PANEL_NAMES.map((name) => (
        <GhostOutline key={name} panel={before.block[name]} place={arranged[name]} />
      ))}
    </OnBoard>
  );
};

const UnderLaid: BoardLayer = ({ drawn: { arranged, view } }) => {
  const trial = useBoard((s) => s.referenceTrial);
  const kept = useWork(({ work }) => work.draft.reference);
  const shown = usePreferences((p) => p.showReference);
  const reference = trial ?? kept;
  if (!reference || !shown) return null;
  return (
    <OnBoard view={view}>
      <ReferenceLines reference={reference} arranged={arranged} />
    </OnBoard>
  );
};

const CutShown: BoardLayer = ({ drawn: { draft, arranged, view } }) => {
  const shown = usePreferences((p) => p.showCut);
  const allowances = useWork(({ work }) => work.draft.allowances);
  if (!shown) return null;
  return (
    <OnBoard view={view}>
      <CutLines block={draft.block} allowances={allowances} arranged={arranged} />
    </OnBoard>
  );
};

/** Both pieces; `gripped`: whether the lines of the one in hand are out. */
function Pieces({ drawn: { draft, arranged, view }, gripped }: { drawn: Drawn; gripped: boolean }) {
  const { lit, inHand, set } = useBoard();
  const showConstruction = usePreferences((p) => p.showConstruction);
  const point = useCallback(
    (panel: PanelName) =>
      (edge: EdgeName | undefined): void => {
        if (edge === undefined) {
          set({ lit: UNLIT });
          return;
        }
        const here = { panel, edge };
        const other = sewnTo(LEG_SEAMS, { part: panel, edge });
        const along = PANEL_NAMES.filter((name) => name === other?.part).map((name) => ({ panel: name, edge }));
        set({ lit: { edges: [here, ...along], pointed: here } });
      },
    [set],
  );
  const pointed = useMemo(() => ({ front: point('front'), back: point('back') }), [point]);
  return (
    <OnBoard view={view}>
      {PANEL_NAMES.map((name) => (
        <PieceDrawing
          key={name}
          panel={draft.block[name]}
          levels={draft.block.levels}
          place={arranged[name]}
          lit={lit}
          inHand={gripped && inHand === name}
          showConstruction={showConstruction}
          onPoint={pointed[name]}
        />
      ))}
    </OnBoard>
  );
}

const LyingPieces: BoardLayer = ({ drawn }) => <Pieces drawn={drawn} gripped={false} />;
const GrippedPieces: BoardLayer = ({ drawn }) => <Pieces drawn={drawn} gripped />;

const Names: BoardLayer = ({ drawn: { draft, arranged, view } }) => {
  const leg = useWork((s) => s.leg);
  if (view.scale <= LEAST_NAMED) return null;
  return PANEL_NAMES.map((name) => {
    const panel = draft.block[name];
    const at = toScreen(toBoard({ x: panel.crease, y: draft.block.levels.crotchLevel + 60 }, arranged[name]), view);
    return (
      <text
        key={name}
        className="halo"
        x={at.x}
        y={at.y}
        textAnchor="middle"
        fontWeight={600}
        style={{ fill: `var(--${name})`, fontSize: 17 }}
        pointerEvents="none"
      >
        {pieceName(name, draft.legs ? leg : undefined)}
      </text>
    );
  });
};

const Handled: BoardLayer = ({ drawn: { draft, arranged, view, size, tape } }) => {
  const { inHand, tool } = useBoard();
  const refused = useComputed((c) => c.refusals.length > 0);
  if (tool !== 'hand') return null;
  return <Handles draft={draft} place={arranged[inHand]} view={view} size={size} tape={tape} refused={refused} />;
};

const Reading: BoardLayer = ({ drawn }) => {
  const taken = useBoard((s) => s.taken);
  const pointer = usePointer((p) => p.at);
  const first = taken[0];
  const last = taken.length === 1 && pointer ? takeAt(drawn, pointer) : taken[1];
  if (!first || !last) return null;
  const { view, size, tape } = drawn;
  return (
    <ReadingTag
      reading={readBetween(first, last)}
      from={toScreen(first.at, view)}
      to={toScreen(last.at, view)}
      size={size}
      tape={tape}
    />
  );
};

const Level: BoardLayer = ({ drawn: { draft, view, size, tape } }) => {
  const shown = useBoard((s) => s.levelShown);
  return shown && <LevelLine draft={draft} view={view} size={size} tape={tape} />;
};

/** Says the name and the length of the seam under the pointer. */
const PointedSeam: BoardLayer = ({ drawn: { draft, size, tape } }) => {
  const pointed = useBoard((s) => s.lit.pointed);
  const tool = useBoard((s) => s.tool);
  const pointer = usePointer((p) => p.at);
  if (!pointed || !pointer || tool !== 'hand') return null;
  return (
    <Tag
      at={pointer}
      size={size}
      lines={[
        `${pointed.panel === 'front' ? 'Front' : 'Back'} ${EDGE_WORDS[pointed.edge]}`,
        formatLength(edgeLengths(draft.block[pointed.panel])[pointed.edge], tape),
      ]}
    />
  );
};

const ABOVE: readonly BoardLayer[] = [Reading, Level, PointedSeam];

/** The pieces as they lie, with all that may be laid under and over them. */
export const PIECES: readonly BoardLayer[] = [Before, UnderLaid, CutShown, LyingPieces, Names, ...ABOVE];

/** The pieces with the handles of the one in hand. */
export const PIECES_IN_HAND: readonly BoardLayer[] = [
  Before,
  UnderLaid,
  CutShown,
  GrippedPieces,
  Names,
  Handled,
  ...ABOVE,
];

/** What can be read on the board where something else is drawn in the place of the pieces. */
export const READINGS: readonly BoardLayer[] = [Reading, Level];
