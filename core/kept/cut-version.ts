import { computeDraft } from '../chain/index.js';
import type { Block } from '../draft/index.js';
import { garmentOf } from '../garment/index.js';
import type { Path } from '../geometry/index.js';
import type { PanelName, Sheet } from '../method/index.js';
import { piecesOf } from '../piece/index.js';
import type { DraftVersion } from '../workbook/index.js';
import { inputOf, type Work } from './kept.js';
import { workOfVersion } from './versions.js';

/** A version as it was cut: its pieces on the stitching line, and the cut edges of front and back. */
export interface CutVersion {
  readonly block: Block;
  readonly cutLines: Readonly<Record<PanelName, Path>>;
}

/** What was cut of a version, by its allowances; nothing where it cannot be drafted any more. */
export function cutOfVersion(work: Work, version: DraftVersion, shipped: Sheet): CutVersion | undefined {
  const then = workOfVersion(work, version);
  const draft = computeDraft(inputOf(then, shipped));
  if (!draft.ok) return undefined;
  const { block } = draft.value;
  const pieces = piecesOf(garmentOf(block), then.draft.allowances);
  const cut = (name: PanelName): Path | undefined => pieces.find((p) => p.part.id === name)?.cut;
  const [front, back] = [cut('front'), cut('back')];
  return front && back ? { block, cutLines: { front, back } } : undefined;
}

/** The latest version of a draft whose cloth was cut, where there is one. */
export const cutVersionOf = ({ versions = [] }: Pick<Work['draft'], 'versions'>): DraftVersion | undefined =>
  versions.filter((v) => v.state !== 'uncut').sort((a, b) => b.number - a.number)[0];
