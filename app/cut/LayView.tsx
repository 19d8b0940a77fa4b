import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { Cloth } from '../../core/garment/index.js';
import { clothsOf, clothWords, garmentShapes, layDrawing, layFault, toBuy } from '../../core/lay/index.js';
import { formatLength } from '../../core/units/index.js';
import { pathData, toDxf, toSvg } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { ViewHead } from '../shared/ViewHead.js';
import { usePreferences, type Preferences } from '../store/preferences.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { useLay } from './use-lay.js';
import { useSheetSource } from './use-sheets.js';
import './cut.css';

const NAPS: readonly (readonly [Preferences['cloth']['nap'], string])[] = [
  ['one-way', 'All one way'],
  ['two-way', 'Either way'],
];
const FOLDS: readonly (readonly [Preferences['cloth']['fold'], string])[] = [
  ['open', 'Open'],
  ['folded', 'Folded, right sides in'],
];
const CLOTHS: Readonly<Record<Cloth, string>> = {
  shell: 'Shell',
  lining: 'Lining',
  pocketing: 'Pocketing',
  interfacing: 'Interfacing',
};

/** A search is gone on with for so long at a press, in ms. */
const ON_MS = 30_000;

/** The lay: the pieces of one cloth on it, as short as it is found, and how much to buy. */
export function LayView() {
  const source = useSheetSource();
  const work = useWork((s) => s.work);
  const unit = useUnit();
  const tape = useTape();
  const cloth = usePreferences((p) => p.cloth);
  const set = usePreferences((p) => p.set);
  const kinds = useMemo(() => (source ? clothsOf(source.pieces) : []), [source]);
  const [wanted, setKind] = useState<Cloth>('shell');
  const kind = kinds.includes(wanted) ? wanted : (kinds[0] ?? 'shell');
  const { nap, fold } = cloth;
  const shapes = useMemo(
    () => (source ? garmentShapes(source.pieces, kind, nap, fold) : []),
    [source, kind, nap, fold],
  );
  const layers = { width: fold === 'folded' ? cloth.width / 2 : cloth.width, gap: cloth.gap };
  const fault = source ? layFault(shapes, layers, (mm) => formatLength(mm, tape)) : undefined;
  const { found, busy, failed, search, stop } = useLay(shapes, layers, fault);
  const names = useMemo(() => new Map(source?.pieces.map((p) => [p.part.id, p.part.name])), [source]);
  const drawing = useMemo(
    () =>
      found &&
      layDrawing(shapes, found.placed, { length: found.length, width: layers.width }, (id) => names.get(id) ?? id),
    [found, shapes, layers.width, names],
  );
  const name = fileName(`${work.person.name} ${work.draft.name} lay ${kind}`);
  return (
    <>
      <main id="board" className="board lay-board" aria-label="The lay on the cloth">
        {drawing ? (
          <svg
            className="lay"
            viewBox={`-10 -10 ${drawing.width + 20} ${drawing.height + 20}`}
            role="img"
            aria-label={`${found?.placed.length ?? 0} parts on ${clothWords(drawing.width, unit)} of cloth`}
          >
            {drawing.marks.map((mark, i) =>
              mark.kind === 'line' ? (
                <path
                  key={i}
                  className={mark.part ? 'lay-part' : 'lay-cloth'}
                  data-placed={mark.name}
                  d={pathData(mark.path)}
                  vectorEffect="non-scaling-stroke"
                />
              ) : (
                <text key={i} x={mark.at.x} y={mark.at.y} fontSize={mark.size}>
                  {mark.text}
                </text>
              ),
            )}
          </svg>
        ) : (
          <div className="board-empty">{fault ?? 'There are no pieces to lay yet.'}</div>
        )}
      </main>
      <aside className="bench" aria-label="Lay on cloth">
        <ViewHead title="Lay on cloth" station="Cut" />
        {kinds.length > 1 && (
          <PickLine label="Cloth" value={kind} choices={kinds.map((k) => [k, CLOTHS[k]] as const)} onChoose={setKind} />
        )}
        <div className="line">
          <label htmlFor="cloth-width">Usable width</label>
          <LengthField
            id="cloth-width"
            label="Usable width"
            mm={cloth.width}
            unit={unit}
            problem={fault}
            onCommit={(mm) => {
              if (mm !== undefined && mm > 0) set({ cloth: { ...cloth, width: mm } });
            }}
          />
        </div>
        <PickLine
          label="Nap"
          value={nap}
          choices={NAPS}
          onChoose={(next) => {
            set({ cloth: { ...cloth, nap: next } });
          }}
        />
        <PickLine
          label="Lies"
          value={fold}
          choices={FOLDS}
          onChoose={(next) => {
            set({ cloth: { ...cloth, fold: next } });
          }}
        />
        <div aria-live="polite">
          {found && (
            <p data-to-buy>
              <strong className="to-buy">{withFractions(clothWords(toBuy(found.length, unit), unit))}</strong>{' '}
              {withFractions(
                `of cloth ${formatLength(cloth.width, tape)} wide: the lay is ${formatLength(found.length, tape)} long, ${(100 * found.use).toFixed(1)} % of it used.`,
              )}
            </p>
          )}
          <p className="quiet" data-searching={busy}>
            {busy
              ? 'Looking for a shorter one …'
              : failed
                ? 'The search broke off. Look on, or go on with this lay.'
                : ''}
          </p>
        </div>
        <div className="acts">
          {busy ? (
            <Button variant="contained" onClick={stop}>
              Stop
            </Button>
          ) : (
            <Button
              variant="contained"
              disabled={fault !== undefined || !source}
              onClick={() => {
                search(ON_MS);
              }}
            >
              Look on for 30 s
            </Button>
          )}
          <Button
            variant="outlined"
            disabled={!drawing}
            onClick={() => {
              if (drawing) saveFile(`${name}.svg`, toSvg(drawing, work.draft.name), 'image/svg+xml');
            }}
          >
            Save SVG
          </Button>
          <Button
            variant="outlined"
            disabled={!drawing}
            onClick={() => {
              if (drawing) saveFile(`${name}.dxf`, toDxf(drawing), 'application/dxf');
            }}
          >
            Save DXF
          </Button>
        </div>
        <p className="quiet">
          Parts keep their grain; no two lie in one another. On folded cloth a pair is cut at once, and of a single part
          one is left over.
        </p>
      </aside>
    </>
  );
}
