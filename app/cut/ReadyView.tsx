import { useMemo } from 'react';
import { readyPage } from '../../core/make/index.js';
import { ViewHead } from '../shared/ViewHead.js';
import { SheetPdf } from '../shared/sheets/SheetPdf.js';
import { useChalkSheet, useSheetSource } from './use-sheets.js';
import { WrittenSheet } from '../shared/sheets/WrittenSheet.js';
import '../shared/sheets/sheets.css';
import './cut.css';

/** Ready to cut: what is measured once more before the shears. */
export function ReadyView() {
  const source = useSheetSource();
  const sheet = useChalkSheet(source);
  const page = useMemo(
    () => source && sheet && readyPage(source.draft, source.styled, sheet, source.unit),
    [source, sheet],
  );
  return (
    <main id="board" className="board sheet-page" aria-label="Ready to cut" tabIndex={0}>
      <ViewHead title="Ready to cut" station="Cut" />
      {page ? (
        <>
          <div className="acts">
            <SheetPdf pages={[page]} name="ready to cut" />
          </div>
          <WrittenSheet page={page} sheet="ready" />
        </>
      ) : (
        <p className="quiet">Enter the four measurements first.</p>
      )}
    </main>
  );
}
