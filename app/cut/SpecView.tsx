import { useMemo } from 'react';
import { specOf, specPage } from '../../core/make/index.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useWork } from '../store/work-context.js';
import { SheetPdf } from '../shared/sheets/SheetPdf.js';
import { useSheetSource } from './use-sheets.js';
import { WrittenSheet } from '../shared/sheets/WrittenSheet.js';
import '../shared/sheets/sheets.css';
import './cut.css';

/** The spec sheet: points of measure of the finished garment, with what each may be off by. */
export function SpecView() {
  const source = useSheetSource();
  const name = useWork(({ work }) => work.person.name);
  const page = useMemo(
    () => source && specPage([{ name, lines: specOf(source.styled, source.unit) }], source.unit),
    [source, name],
  );
  return (
    <main id="board" className="board sheet-page" aria-label="Spec sheet" tabIndex={0}>
      <ViewHead title="Spec sheet" station="Cut" />
      {page ? (
        <>
          <div className="acts">
            <SheetPdf pages={[page]} name="spec" />
          </div>
          <WrittenSheet page={page} sheet="spec" />
        </>
      ) : (
        <p className="quiet">Enter the four measurements first.</p>
      )}
    </main>
  );
}
