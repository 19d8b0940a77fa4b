const MEANINGS: readonly (readonly [string, string])[] = [
  ['stitching', 'Stitching line'],
  ['cut-line', 'Cut line'],
  ['crease-line', 'Crease line, grain'],
  ['construction', 'Construction'],
  ['frame-line', 'Frame level'],
  ['ghost', 'Before the change'],
  ['alter-cut', 'Cut of an alteration'],
  ['alter-was', 'Seam before it'],
  ['trace-line', 'Curve of the body'],
  ['reference-line', 'Outline laid under'],
];

/** The line meanings, told apart by weight and dash. */
export function Legend() {
  return (
    <div className="legend drawing" role="note" aria-label="Line meanings">
      {MEANINGS.map(([name, label]) => (
        <div key={name} className="piece-front">
          <svg viewBox="0 0 44 10" aria-hidden="true">
            <line className={`paper-line ${name}`} x1={0} y1={5} x2={44} y2={5} />
          </svg>
          {label}
        </div>
      ))}
    </div>
  );
}
