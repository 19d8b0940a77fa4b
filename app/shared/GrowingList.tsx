import { useEffect, useRef, useState, type ReactNode } from 'react';

/** How many rows are drawn at first, and how many more whenever the end comes into sight. */
const ROWS = 12;

/**
 * A list that draws its first rows and the others as one scrolls to them, so that a thousand cost no more than a dozen.
 */
export function GrowingList<T>({
  items,
  className,
  children,
}: {
  items: readonly T[];
  className: string;
  children: (item: T) => ReactNode;
}) {
  const [shown, setShown] = useState(ROWS);
  const end = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const mark = end.current;
    if (!mark) return undefined;
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setShown((n) => n + ROWS);
      },
      { rootMargin: '600px' },
    );
    watch.observe(mark);
    return () => {
      watch.disconnect();
    };
  }, [shown]);
  return (
    <>
      <ul className={className}>{items.slice(0, shown).map(children)}</ul>
      {shown < items.length && (
        <div ref={end} className="quiet">
          {items.length - shown} more below
        </div>
      )}
    </>
  );
}
