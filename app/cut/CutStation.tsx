import { useState } from 'react';
import { DRAW_ALL, type SheetChoice } from '../../core/drawing/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { useComputed, useUnit } from '../store/work-context.js';
import { FileLines } from './FileLines.js';
import { PrintLines } from './PrintLines.js';
import { SheetLinks } from './SheetLinks.js';
import { TilePreview } from './TilePreview.js';
import { usePrint } from './use-print.js';
import { WHOLE, type PrintSize } from './print-size.js';
import './cut.css';
import '../board/board.css';

/** Cut: paper, files and written sheets of the whole garment, with the pages as they will come out. */
export function CutStation() {
  const refusal = useComputed((c) => c.refusals[0]);
  const unit = useUnit();
  const [choice, setChoice] = useState<SheetChoice>(DRAW_ALL);
  const [part, setPart] = useState<string>();
  const [size, setSize] = useState<PrintSize>(WHOLE);
  const print = usePrint(choice, part, size);
  const { drawing, plan } = print;
  return (
    <>
      <main id="board" className="board" aria-label="Print preview">
        {drawing ? (
          <TilePreview drawing={drawing} plan={plan} />
        ) : (
          <div className="board-empty">There are no pieces to print yet.</div>
        )}
        {refusal && (
          <div className="board-message" role="status">
            {refusalSentence(refusal, readerIn(unit))} The print shows the last good draft.
          </div>
        )}
      </main>
      <aside className="bench" aria-label="Cut">
        <BenchSections
          bench="cut"
          told={false}
          sections={[
            {
              id: 'print',
              label: 'Print',
              content: () => (
                <PrintLines
                  print={print}
                  choice={choice}
                  onChoice={setChoice}
                  part={part}
                  onPart={setPart}
                  size={size}
                  onSize={setSize}
                />
              ),
            },
            { id: 'sheets', label: 'Sheets', content: () => <SheetLinks /> },
            { id: 'files', label: 'Files', content: () => <FileLines choice={choice} part={part} onPart={setPart} /> },
          ]}
        />
      </aside>
    </>
  );
}
