import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { PANEL_NAMES, type PanelName } from '../../../core/method/index.js';
import { compareReference, largestFirst, type ReferenceFigure } from '../../../core/reference/index.js';
import type { Drawn } from '../../board/drawn-board.js';
import { arrange } from '../../board/arrange.js';
import { useBoard } from '../../board/board-store.js';
import { useKeys } from '../../shared/use-keys.js';
import { ViewHead } from '../../shared/ViewHead.js';
import { usePreferences } from '../../store/preferences.js';
import { useComputed, useTape, useUnit, useWork } from '../../store/work-context.js';
import { WalkDrawing } from '../../walk/WalkDrawing.js';
import { AdoptOutline } from './AdoptOutline.js';
import { LayOutline } from './LayOutline.js';
import { ChooseOutline, OutlineFile } from './OutlineFile.js';
import { FarthestMarks, OutlineFigures } from './OutlineFigures.js';
import { OutlineHands, type ChosenStretch } from './OutlineHands.js';
import { OutlineRises } from './OutlineRises.js';
import { OutlineSeams } from './OutlineSeams.js';
import { OutlineSizes } from './OutlineSizes.js';
import { OutlineWalk, useOutlineWalk } from './OutlineWalk.js';
import { measured, outlinesOf, type OnOutline, type OutlineTool } from './reference-hands.js';
import '../true.css';
import './reference.css';

const PARTS = [
  ['lay', 'Lay'],
  ['seams', 'Seams'],
  ['figures', 'Figures'],
  ['walk', 'Walk'],
] as const;

type Part = (typeof PARTS)[number][0];

interface ReferenceViewProps {
  readonly board: (over?: (drawn: Drawn) => ReactNode, above?: (drawn: Drawn) => ReactNode) => ReactNode;
}

/** An outline from outside laid under the draft: scaled, placed, named, measured, compared and walked. */
export function ReferenceView({ board }: ReferenceViewProps) {
  const block = useComputed((c) => c.draft?.block);
  const reference = useWork(({ work }) => work.draft.reference);
  const unit = useUnit();
  const tape = useTape();
  const arrangement = usePreferences((p) => p.arrangement);
  const shown = usePreferences((p) => p.showReference);
  const prefer = usePreferences((p) => p.set);
  const set = useBoard((s) => s.set);
  const [part, setPart] = useState<Part>('lay');
  const [panel, setPanel] = useState<PanelName>('front');
  const [tool, setTool] = useState<OutlineTool>();
  const [taken, setTaken] = useState<readonly OnOutline[]>([]);
  const [chosen, setChosen] = useState<ChosenStretch>();
  const [side, setSide] = useState<ReferenceFigure['panel']>('front');
  const compared = part === 'figures' ? reference : undefined;
  const figures = useMemo(
    () => (compared && block ? largestFirst(compareReference(compared, block)) : []),
    [compared, block],
  );
  const walk = useOutlineWalk(part === 'walk' ? reference : undefined, block);
  const arranged = useMemo(() => block && arrange(block, arrangement), [block, arrangement]);

  useKeys({
    Escape: () => {
      setTool(undefined);
      setTaken([]);
      setChosen(undefined);
    },
  });
  useEffect(
    () => () => {
      set({ referenceTrial: undefined });
    },
    [set],
  );

  if (!block || !arranged) return <p className="quiet">Enter the four measurements first.</p>;
  const [first, second] = taken;
  const reading = reference && first && second ? measured(outlinesOf(reference), arranged, first, second) : undefined;
  const { pieces } = walk;
  const walked = walk.walk;
  const over =
    part === 'walk' && walked && pieces
      ? ({ arranged, view, size }: Drawn) => (
          <WalkDrawing
            walk={walked}
            length={walk.walking.length}
            place={arranged.front}
            view={view}
            size={size}
            {...pieces}
          />
        )
      : undefined;
  const hands = (drawn: Drawn): ReactNode =>
    reference && (
      <OutlineHands
        reference={reference}
        drawn={drawn}
        tool={tool}
        taken={tool === 'measure' ? taken : []}
        chosen={part === 'seams' ? chosen : undefined}
        onTake={setTaken}
        onChoose={setChosen}
        onPanel={setPanel}
      />
    );
  const marks = (drawn: Drawn): ReactNode => (
    <FarthestMarks figures={side === 'both' ? figures : figures.filter((f) => f.panel === side)} drawn={drawn} />
  );
  const handled = part === 'seams' || (part === 'lay' && tool !== undefined);
  return (
    <>
      {board(over, handled ? hands : part === 'figures' ? marks : undefined)}
      <aside className="bench" aria-label="Outline from a file">
        <ViewHead title="Outline from a file" station="True" />
        {!reference && (
          <>
            <p>
              Lays an outline from another program, a scan or a pair taken apart under the draft: front and back found,
              scaled, named and measured against it.
            </p>
            <ChooseOutline block={block} words="Choose an SVG or DXF" />
          </>
        )}
        {reference && (
          <>
            {!shown && (
              <p>
                The outline is hidden.{' '}
                <button
                  type="button"
                  className="link"
                  onClick={() => {
                    prefer({ showReference: true });
                  }}
                >
                  Show it
                </button>
              </p>
            )}
            <ToggleButtonGroup
              exclusive
              fullWidth
              size="small"
              value={part}
              aria-label="What to do with the outline"
              onChange={(_, next: Part | null) => {
                if (!next) return;
                setPart(next);
                setTool(undefined);
                setTaken([]);
              }}
            >
              {PARTS.map(([name, label]) => (
                <ToggleButton key={name} value={name} sx={{ color: 'var(--text)', textTransform: 'none' }}>
                  {label}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {(part === 'lay' || part === 'seams') && (
              <fieldset className="outline-piece">
                <legend>Piece in hand</legend>
                {PANEL_NAMES.map((name) => (
                  <label key={name}>
                    <input
                      type="radio"
                      name="outline-piece"
                      checked={panel === name}
                      onChange={() => {
                        setPanel(name);
                        setChosen(undefined);
                      }}
                    />{' '}
                    {name === 'front' ? 'Front' : 'Back'}
                  </label>
                ))}
              </fieldset>
            )}
            {part === 'lay' && (
              <>
                <LayOutline
                  reference={reference}
                  block={block}
                  panel={panel}
                  mirrored={arranged[panel].mirrored}
                  unit={unit}
                  tape={tape}
                  tool={tool}
                  reading={reading}
                  onTool={(next) => {
                    setTool(next);
                    setTaken([]);
                  }}
                  onScaled={() => {
                    setTaken([]);
                  }}
                />
                <OutlineFile reference={reference} block={block} tape={tape} />
              </>
            )}
            {part === 'seams' && (
              <>
                <OutlineSeams
                  reference={reference}
                  panel={panel}
                  tape={tape}
                  chosen={chosen}
                  tool={tool}
                  onChoose={setChosen}
                  onTool={setTool}
                />
                <AdoptOutline reference={reference} block={block} unit={unit} />
              </>
            )}
            {part === 'figures' && (
              <>
                <OutlineFigures figures={figures} tape={tape} side={side} onSide={setSide} />
                <OutlineRises reference={reference} tape={tape} />
                <OutlineSizes reference={reference} tape={tape} />
              </>
            )}
            {part === 'walk' && <OutlineWalk chosen={walk} tape={tape} />}
          </>
        )}
      </aside>
    </>
  );
}
