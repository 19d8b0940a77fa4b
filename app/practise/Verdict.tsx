import { withFractions } from '../shared/fractions.js';

const WORDS = {
  right: '✓',
  near: '≈',
  slip: '✕',
  wrong: '✕',
  unread: '!',
} as const;

/** What came of an answer, told to those who listen as well. */
export function Verdict({
  verdict,
  said,
}: {
  readonly verdict: keyof typeof WORDS | undefined;
  readonly said: string | undefined;
}) {
  return (
    <p role="status" className="practise-verdict" data-verdict={verdict}>
      {verdict && (
        <>
          <span aria-hidden="true">{WORDS[verdict]}</span> {withFractions(said ?? '')}
        </>
      )}
    </p>
  );
}
