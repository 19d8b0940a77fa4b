import Button from '@mui/material/Button';
import { useState } from 'react';
import { CLOTH_LABELS, layersOf, type ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import type { Drawing } from '../../core/drawing/index.js';
import { clothWords, layDrawing, toBuy, type FoundLay, type LayShape } from '../../core/lay/index.js';
import { formatLength } from '../../core/units/index.js';
import { drawingToScale, PAPERS, toDxf, toSvg } from '../../formats/index.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { startPrint } from '../shared/print-job.js';
import { useSheetHead } from '../shared/sheets/use-sheet-head.js';

/** The lay as files: to scale on one page, at full size for a roll, and for drawing programs and cutters. */
export function LayFiles({
  kind,
  lay,
  shapes,
  width,
  cloth,
  nameOf,
}: {
  readonly kind: Cloth;
  readonly lay: FoundLay | undefined;
  readonly shapes: readonly LayShape[];
  readonly width: number;
  readonly cloth: ClothData;
  readonly nameOf: (id: string) => string;
}) {
  const work = useWork((s) => s.work);
  const unit = useUnit();
  const tape = useTape();
  const head = useSheetHead();
  const paperId = usePreferences((p) => p.paper);
  const ink = usePreferences((p) => p.ink);
  const [said, setSaid] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (!lay) return <p className="quiet">The pieces are laid first.</p>;
  const layers = layersOf(cloth);
  const drawing = (): Drawing => layDrawing(shapes, lay.placed, { length: lay.length, width }, nameOf);
  const name = fileName(`${work.person.name} ${work.draft.name} lay ${kind}`);
  const words = [
    `${work.draft.name}, ${work.person.name}: ${CLOTH_LABELS[kind].toLowerCase()}${cloth.name ? ` (${cloth.name})` : ''}`,
    `${clothWords(toBuy(lay.length * layers, unit), unit)} of cloth ${formatLength(cloth.width, tape)} wide${cloth.fold === 'folded' ? ', folded' : ''}; the lay is ${formatLength(lay.length, tape)} long${layers > 1 ? `, in ${layers} layers` : ''}, ${(100 * lay.use).toFixed(1)} % used`,
  ];
  const pdf = (file: string, sheet: Drawing): void => {
    setBusy(true);
    setSaid(undefined);
    startPrint(sheet, head, undefined, { ink }, () => undefined)
      .answer.then((bytes) => {
        saveFile(`${file}.pdf`, new Uint8Array(bytes), 'application/pdf');
        setSaid(`Made ${file}.pdf.`);
      })
      .catch(() => {
        setSaid('The PDF could not be made. Try again, or save the lay as SVG.');
      })
      .finally(() => {
        setBusy(false);
      });
  };
  const paper = PAPERS.find((p) => p.id === paperId) ?? PAPERS[0];
  const save = (ending: string, type: string, text: string): void => {
    saveFile(`${name}.${ending}`, text, type);
    setSaid(`Made ${name}.${ending}.`);
  };
  return (
    <>
      <ul className="file-list">
        <li>
          <Button
            variant="outlined"
            disabled={busy}
            onClick={() => {
              if (paper) pdf(`${name} to scale`, drawingToScale(drawing(), paper, words));
            }}
          >
            PDF to scale
          </Button>
          <span>One page with the whole lay, to lie beside the cloth.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            disabled={busy}
            onClick={() => {
              pdf(`${name} full size`, drawing());
            }}
          >
            PDF full size
          </Button>
          <span>One sheet as large as the lay, for a roll of paper laid on the cloth.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save('svg', 'image/svg+xml', toSvg(drawing(), work.draft.name));
            }}
          >
            Save SVG
          </Button>
          <span>True millimetres, every part named.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save('dxf', 'application/dxf', toDxf(drawing()));
            }}
          >
            Save DXF
          </Button>
          <span>For a cutter or a plotter.</span>
        </li>
      </ul>
      <p role="status" className="quiet">
        {said}
      </p>
    </>
  );
}
