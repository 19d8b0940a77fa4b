const PARTS = [
  ['.drawing, .board', 'To the board'],
  ['.bench', 'To the bench'],
  ['.tape', 'To the checks'],
] as const;

const STOPS = 'button:not([tabindex="-1"]), a[href], input, select, [tabindex="0"]';

/** Puts the focus on a part of the room, or on the first stop in it. */
function skipTo(part: string): void {
  const there = document.querySelector<HTMLElement>(part);
  const stop = there?.matches(STOPS) ? there : there?.querySelector<HTMLElement>(STOPS);
  stop?.focus();
}

/** The first stops of the room for Tab: past walk and head to board, bench and checks. */
export function SkipLinks() {
  return (
    <nav aria-label="Skip">
      {PARTS.map(([part, label]) => (
        <button
          key={part}
          type="button"
          className="skip"
          onClick={() => {
            skipTo(part);
          }}
        >
          {label}
        </button>
      ))}
    </nav>
  );
}
