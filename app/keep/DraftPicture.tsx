import { useQuery } from '@tanstack/react-query';
import { memo } from 'react';
import { inputOf, setOf, type Work } from '../../core/kept/index.js';
import { PiecePicture } from '../shared/PiecePicture.js';
import { useSheet } from '../store/sheets.js';
import { outlinesLater } from './pictures.js';

/** A small picture of a draft, drawn from its real geometry; an empty sheet until it is, and where nothing can be drawn. */
export const DraftPicture = memo(function DraftPicture({ work }: { work: Work }) {
  const sheet = useSheet(work.draft);
  const { draft } = work;
  const { data: outlines } = useQuery({
    queryKey: ['picture', draft.id, draft.changed, JSON.stringify(setOf(work))],
    queryFn: () => (sheet ? outlinesLater(inputOf(work, sheet)) : null),
    enabled: sheet !== undefined,
    staleTime: Infinity,
  });
  if (outlines) return <PiecePicture outlines={outlines} label={`Front and back of ${draft.name}`} weight={1.3} />;
  return (
    <svg className="picture" viewBox="0 0 92 104" role="img" aria-label={`No picture of ${draft.name} yet`}>
      <path d="M20 8h52v88H20z" fill="none" stroke="var(--rule)" strokeDasharray="4 4" />
    </svg>
  );
});
