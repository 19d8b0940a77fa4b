import { useMemo } from 'react';
import { canCloseSideLast, makePages, makePlan, type MakeChoice } from '../../core/make/index.js';
import { cutListOf } from '../../core/piece/index.js';
import { NO_STYLE } from '../../core/style/index.js';
import { readerIn } from '../../core/units/index.js';
import { PickLine } from '../shared/PickLine.js';
import { ViewHead } from '../shared/ViewHead.js';
import { usePreferences } from '../store/preferences.js';
import { useUnit, useWork } from '../store/work-context.js';
import { SheetPdf } from '../shared/sheets/SheetPdf.js';
import { useLayPictures } from './use-lay-pictures.js';
import { useSheetSource } from './use-sheets.js';
import { WrittenSheet } from '../shared/sheets/WrittenSheet.js';
import '../shared/sheets/sheets.css';
import './cut.css';

const INSEAMS: readonly (readonly [MakeChoice['inseams'], string])[] = [
  ['last', 'Last, in one run'],
  ['first', 'First, legs closed'],
];
const HEMS: readonly (readonly [MakeChoice['hem'], string])[] = [
  ['after', 'After the try-on'],
  ['before', 'Flat, before'],
];
const BANDS: readonly (readonly [MakeChoice['band'], string])[] = [
  ['whole', 'On whole'],
  ['sideLast', 'A side closed last'],
];

/** Make sheet: the order of sewing that follows from the seams and from how the maker works, ticked as it is done. */
export function MakeView() {
  const source = useSheetSource();
  const style = useWork(({ work }) => work.draft.style) ?? NO_STYLE;
  const lays = useLayPictures(source);
  const unit = useUnit();
  const choice = usePreferences((p) => p.make);
  const set = usePreferences((p) => p.set);
  const page = useMemo(() => {
    if (!source) return undefined;
    const { child, stretch } = source.draft.worked;
    const steps = makePlan(source.styled.garment, style, { child, stretch }, choice);
    return makePages(steps, source.styled, cutListOf(source.pieces), readerIn(unit), lays);
  }, [source, style, choice, lays, unit]);
  const choose = (change: Partial<MakeChoice>): void => {
    set({ make: { ...choice, ...change } });
  };
  return (
    <>
      <main id="board" className="board sheet-page" aria-label="Make sheet" tabIndex={0}>
        <h2 className="visually-hidden">The work, step by step</h2>
        {page && source ? (
          <WrittenSheet page={page} sheet="make" />
        ) : (
          <p className="quiet">Enter the four measurements first.</p>
        )}
      </main>
      <aside className="bench" aria-label="Make sheet">
        <ViewHead title="Make sheet" station="Cut" />
        <PickLine
          label="Inseams"
          value={choice.inseams}
          choices={INSEAMS}
          onChoose={(inseams) => {
            choose({ inseams });
          }}
        />
        <PickLine
          label="Hem"
          value={choice.hem}
          choices={HEMS}
          onChoose={(hem) => {
            choose({ hem });
          }}
        />
        {source && canCloseSideLast(source.styled.garment) && (
          <PickLine
            label="Band"
            value={choice.band}
            choices={BANDS}
            onChoose={(band) => {
              choose({ band });
            }}
          />
        )}
        <p className="quiet">
          The order follows from the seams: nothing is sewn before what it is sewn to is there. Stitch lengths and kinds
          of seam are yours.
        </p>
        {page && <SheetPdf pages={[page]} name="make" />}
      </aside>
    </>
  );
}
