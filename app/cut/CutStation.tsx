import { useState } from 'react';
import { DRAW_ALL, type SheetChoice } from '../../core/drawing/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { usePreferences } from '../store/preferences.js';
import { useComputed, useUnit } from '../store/work-context.js';
import { FileLines } from './FileLines.js';
import { PageLook } from './PageLook.js';
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
  const [only, setOnly] = useState('');
  const print = usePrint(choice, part, size);
  const ink = usePreferences((p) => p.ink);
  // Pages are looked at as long as they are those of the print in hand.
  const [look, setLook] = useState<{ readonly bytes: Uint8Array; readonly of: unknown; readonly ink: string }>();
  const { drawing, plan } = print;
  const looked = look?.of === drawing && look?.ink === ink ? look : undefined;
  return (
    <>
      <main id="board" className="board" aria-label="Print preview">
        {looked ? (
          <PageLook
            bytes={looked.bytes}
            onOnly={(page) => {
              setOnly(String(page));
            }}
            onClose={() => {
              setLook(undefined);
            }}
          />
        ) : drawing ? (
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
                  only={only}
                  onOnly={setOnly}
                  onLook={(bytes) => {
                    setLook({ bytes, of: drawing, ink });
                  }}
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
