import { memo, useMemo } from 'react';
import { computeDraft } from '../../core/chain/index.js';
import { inputOf, type Work } from '../../core/kept/index.js';
import { useSheet } from '../store/sheets.js';
import { PiecePicture } from '../shared/PiecePicture.js';

/** A small picture of a draft, drawn from its real geometry; an empty sheet where nothing can be drawn yet. */
export const DraftPicture = memo(function DraftPicture({ work }: { work: Work }) {
  const sheet = useSheet(work.draft);
  const block = useMemo(() => {
    if (!sheet) return undefined;
    const outcome = computeDraft(inputOf(work, sheet));
    return outcome.ok ? outcome.value.block : undefined;
  }, [work, sheet]);
  if (block) return <PiecePicture block={block} label={`Front and back of ${work.draft.name}`} weight={1.3} />;
  return (
    <svg className="picture" viewBox="0 0 92 104" role="img" aria-label="Nothing drawn yet">
      <path d="M20 8h52v88H20z" fill="none" stroke="var(--rule)" strokeDasharray="4 4" />
    </svg>
  );
});
