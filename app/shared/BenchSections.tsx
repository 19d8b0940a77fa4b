import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { memo, useEffect, useId, type ReactNode } from 'react';
import { usePreferences } from '../store/preferences.js';
import { useLineInHand } from './line-in-hand.js';
import './bench-sections.css';

/** A part of a bench: only the one that is opened is laid out. */
export interface BenchSection {
  readonly id: string;
  readonly label: string;
  /** Whether something in it was set by hand or asks for something. */
  readonly marked?: boolean;
  /** Whether a line stands in it, by its name in the ledger: a handle taken on the board opens the section of its line. */
  readonly holds?: (line: string) => boolean;
  readonly content: () => ReactNode;
}

const putFoot = (foot: HTMLElement | null): void => {
  useLineInHand.getState().set({ foot });
};

function show(bench: string, section: string): void {
  const { set, sections } = usePreferences.getState();
  set({ sections: { ...sections, [bench]: section } });
}

/**
 * A bench in sections that open one at a time under an index that stays in sight; at its foot what is to be told of the
 * line in hand. Which section lies open is kept from visit to visit.
 */
export function BenchSections({
  bench,
  above,
  sections,
  told = true,
}: {
  bench: string;
  above?: ReactNode;
  sections: readonly BenchSection[];
  /** Whether there are lines in it of which something is to be told. */
  told?: boolean;
}) {
  const id = useId();
  const kept = usePreferences((p) => p.sections[bench]);
  const line = useLineInHand((s) => s.line);
  const open = sections.find((s) => s.id === kept) ?? sections[0];
  const home = line === undefined ? undefined : sections.find((s) => s.holds?.(line))?.id;
  useEffect(() => {
    if (home !== undefined) show(bench, home);
  }, [home, bench]);
  useEffect(
    () => () => {
      useLineInHand.getState().set({ line: undefined });
    },
    [],
  );
  if (!open) return null;
  return (
    <div className="bench-sections">
      <div className="bench-index">
        {above}
        <Index id={id} bench={bench} open={open.id} entries={sections} />
      </div>
      <div
        role="tabpanel"
        id={`${id}-panel`}
        aria-labelledby={`${id}-${open.id}`}
        className="bench-panel"
        key={open.id}
      >
        <h2 className="visually-hidden">{open.label}</h2>
        {open.content()}
      </div>
      {told && <div className="bench-foot" ref={putFoot} />}
    </div>
  );
}

interface IndexProps {
  readonly id: string;
  readonly open: string;
  readonly bench: string;
  readonly entries: readonly Pick<BenchSection, 'id' | 'label' | 'marked'>[];
}

const sameIndex = (a: IndexProps, b: IndexProps): boolean =>
  a.id === b.id &&
  a.bench === b.bench &&
  a.open === b.open &&
  a.entries.length === b.entries.length &&
  a.entries.every(({ id, label, marked }, i) => {
    const other = b.entries[i];
    return id === other?.id && label === other.label && marked === other.marked;
  });

/** The index of a bench. Drawn again it is measured again, which lays out the whole page: so only where it differs. */
const Index = memo(function Index({ id, bench, open, entries }: IndexProps) {
  return (
    <Tabs
      value={open}
      variant="fullWidth"
      aria-label="Sections of the bench"
      onChange={(_, next: string) => {
        useLineInHand.getState().set({ line: undefined });
        show(bench, next);
      }}
    >
      {entries.map((s) => (
        <Tab
          key={s.id}
          value={s.id}
          id={`${id}-${s.id}`}
          aria-controls={`${id}-panel`}
          label={
            <>
              {s.label}
              {s.marked && <span className="section-mark" title="Something here was set by hand" />}
            </>
          }
        />
      ))}
    </Tabs>
  );
}, sameIndex);
