import { termOf } from '../../core/vocabulary/index.js';
import { useDialogs } from '../head/dialogs.js';

/** What the term of a line means, and the way to its drawing. */
export function Meaning({ line }: { line: string }) {
  const show = useDialogs((d) => d.show);
  const term = termOf(line);
  if (!term) return null;
  return (
    <p className="meaning">
      {term.meaning}{' '}
      <button
        type="button"
        className="link"
        onClick={() => {
          show('words', term.id);
        }}
      >
        Show
      </button>
    </p>
  );
}
