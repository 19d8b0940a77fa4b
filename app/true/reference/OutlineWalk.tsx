import NativeSelect from '@mui/material/NativeSelect';
import { useId, useMemo, useState } from 'react';
import { EDGE_NAMES, outlineOf, type Block } from '../../../core/draft/index.js';
import type { PanelName } from '../../../core/method/index.js';
import {
  laidOutline,
  REFERENCE_SEAMS,
  SEWN_SEAMS,
  walkReference,
  type Reference,
  type ReferenceSeam,
  type WalkedAlong,
} from '../../../core/reference/index.js';
import type { Tape } from '../../../core/units/index.js';
import type { SeamWalk } from '../../../core/walk/index.js';
import { useWalking, type Walking } from '../../walk/use-walking.js';
import { WalkControls } from '../../walk/WalkControls.js';
import type { WalkedPiece } from '../../walk/WalkDrawing.js';

const SEAM_WORDS: Record<ReferenceSeam, string> = { inseam: 'Inseam', side: 'Side', rise: 'Rise', hem: 'Hem' };
const ALONG_WORDS: readonly (readonly [WalkedAlong, string])[] = [
  ['sewn', 'The outline’s back along its front'],
  ['front', 'The outline’s front along the draft’s'],
  ['back', 'The outline’s back along the draft’s'],
];

/** A walk of an outline: what is walked, what along, and how far. */
export interface OutlineWalking {
  readonly seam: ReferenceSeam;
  readonly along: WalkedAlong;
  readonly walk: SeamWalk | undefined;
  readonly walking: Walking;
  readonly pieces: { readonly standing: WalkedPiece; readonly walked: WalkedPiece } | undefined;
  readonly choose: (change: { seam?: ReferenceSeam; along?: WalkedAlong }) => void;
}

/** The walk that is chosen, and the pieces as they are walked. */
export function useOutlineWalk(reference: Reference | undefined, block: Block | undefined): OutlineWalking {
  const [{ seam, along }, setChosen] = useState<{ seam: ReferenceSeam; along: WalkedAlong }>({
    seam: 'inseam',
    along: 'sewn',
  });
  const sewn = useMemo(
    () => (reference && block ? walkReference(reference, block, seam, along) : undefined),
    [reference, block, seam, along],
  );
  const walking = useWalking(sewn);
  const pieces = useMemo(() => {
    if (!reference || !block) return undefined;
    const ofOutline = (panel: PanelName): WalkedPiece => {
      const shapes = laidOutline(reference, panel);
      const [whole] = shapes;
      const round = shapes.length === 1 && whole?.closed ? whole.path : undefined;
      return { className: `piece-${panel} from-outside`, outline: round, lines: shapes.map((s) => s.path) };
    };
    const ofDraft = (panel: PanelName): WalkedPiece => ({
      className: `piece-${panel}`,
      outline: outlineOf(block[panel]),
      lines: EDGE_NAMES.map((edge) => block[panel].edges[edge]),
    });
    return along === 'sewn'
      ? { standing: ofOutline('front'), walked: ofOutline('back') }
      : { standing: ofDraft(along), walked: ofOutline(along) };
  }, [reference, block, along]);
  return {
    seam,
    along,
    walk: walking.walk,
    walking,
    pieces,
    choose: (change) => {
      setChosen({ seam, along, ...change });
      walking.begin('');
    },
  };
}

/** Chooses what of the outline is walked along what, and walks it. */
export function OutlineWalk({ chosen, tape }: { chosen: OutlineWalking; tape: Tape }) {
  const id = useId();
  const { seam, along, walk, walking, choose } = chosen;
  const seams = along === 'sewn' ? SEWN_SEAMS : REFERENCE_SEAMS;
  return (
    <section aria-label="Walk the outline">
      <div className="alter-field">
        <label htmlFor={`${id}-seam`}>Seam</label>
        <NativeSelect
          inputProps={{ id: `${id}-seam` }}
          value={seam}
          onChange={(event) => {
            const next = REFERENCE_SEAMS.find((s) => s === event.target.value);
            if (next) choose({ seam: next });
          }}
        >
          {seams.map((s) => (
            <option key={s} value={s}>
              {SEAM_WORDS[s]}
            </option>
          ))}
        </NativeSelect>
        <label htmlFor={`${id}-along`}>Walked</label>
        <NativeSelect
          inputProps={{ id: `${id}-along` }}
          value={along}
          onChange={(event) => {
            const next = ALONG_WORDS.find(([name]) => name === event.target.value)?.[0];
            if (!next) return;
            const kept = next !== 'sewn' || SEWN_SEAMS.includes(seam);
            choose({ along: next, ...(kept ? {} : { seam: 'inseam' }) });
          }}
        >
          {ALONG_WORDS.map(([name, words]) => (
            <option key={name} value={name}>
              {words}
            </option>
          ))}
        </NativeSelect>
      </div>
      {walk ? (
        <WalkControls
          walking={walking}
          tape={tape}
          names={along === 'sewn' ? ['Front', 'Back'] : ['Draft', 'Outline']}
        />
      ) : (
        <p>
          The {SEAM_WORDS[seam].toLowerCase()} of the outline cannot be walked: it must be one line on each piece. Name
          its stretches under Seams.
        </p>
      )}
    </section>
  );
}
