import Button from '@mui/material/Button';
import { useState } from 'react';
import type { SheetChoice } from '../../core/drawing/index.js';
import { cutListOf } from '../../core/piece/index.js';
import { cutListCsv, figuresCsv, toDxf, toSplineDxf, toSvg } from '../../formats/index.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { useComputed, useWork } from '../store/work-context.js';
import { PartPick } from './PartPick.js';
import { printDrawing } from './print.js';
import { useSheetSource } from './use-sheets.js';

/** Files of the pieces, of all or of one part, and of the cut list. */
export function FileLines({
  choice,
  part,
  onPart,
}: {
  readonly choice: SheetChoice;
  readonly part: string | undefined;
  readonly onPart: (part: string | undefined) => void;
}) {
  const draft = useComputed((c) => c.draft);
  const work = useWork((s) => s.work);
  const source = useSheetSource();
  const [said, setSaid] = useState<string>();
  const piece = source?.pieces.find((p) => p.part.id === part);
  const name = fileName(`${work.person.name} ${work.draft.name}${piece ? ` ${piece.part.name}` : ''}`);
  const save = (ending: string, type: string, write: () => string, told: string): void => {
    saveFile(`${name}.${ending}`, write(), type);
    setSaid(`Made ${name}.${ending}${told}.`);
  };
  if (!draft || !source) return <p className="quiet">Enter the four measurements first.</p>;
  const sheet = (): ReturnType<typeof printDrawing> =>
    printDrawing(draft, work, work.draft.allowances, choice, Infinity, part);
  return (
    <>
      <PartPick label="Pieces" part={part} onPart={onPart} />
      <ul className="file-list">
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save('svg', 'image/svg+xml', () => toSvg(sheet(), work.draft.name), ' in true millimetres');
            }}
          >
            Save SVG
          </Button>
          <span>For drawing programs: every line named, in true millimetres.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save(
                'dxf',
                'application/dxf',
                () => toDxf(sheet()),
                ', release 12, in millimetres, on layers by meaning',
              );
            }}
          >
            Save DXF
          </Button>
          <span>Release 12: polylines on layers by meaning. Any plotter or cutter reads it.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save('dxf', 'application/dxf', () => toSplineDxf(sheet()), ', release 2000, with curves as splines');
            }}
          >
            Save DXF, splines
          </Button>
          <span>Release 2000: curves as splines, the unit stated.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save(
                'csv',
                'text/csv',
                () => cutListCsv(cutListOf(source.pieces), source.styled.trimmings),
                ': the cut list',
              );
            }}
          >
            Save CSV
          </Button>
          <span>The cut list: every part with its cloth, count and area, and the trimmings.</span>
        </li>
        <li>
          <Button
            variant="outlined"
            onClick={() => {
              save('figures.csv', 'text/csv', () => figuresCsv(draft, source.unit), ': measurements, lines and checks');
            }}
          >
            Save figures
          </Button>
          <span>Measurements, lines as they are drawn, and checks with their bands, as CSV.</span>
        </li>
      </ul>
      <p role="status">{said}</p>
    </>
  );
}
