import { useEffect, useMemo, useState } from 'react';
import { CLOTH_LABELS, clothFault, clothOf, layersOf, spread } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { inputOf } from '../../core/kept/index.js';
import {
  clothsOf,
  laidUnder,
  layAreaOf,
  layCloth,
  layFault,
  shapesTogether,
  toBuy,
  type LayOrder,
} from '../../core/lay/index.js';
import { formatLength } from '../../core/units/index.js';
import { NO_STYLE } from '../../core/style/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { PickLine } from '../shared/PickLine.js';
import { useStable } from '../shared/use-stable.js';
import { ViewHead } from '../shared/ViewHead.js';
import { keepLay } from '../store/cloth-work.js';
import { noteLay } from '../store/last-lays.js';
import { sheetOf } from '../store/sheets.js';
import { useChange, useTape, useUnit, useWork } from '../store/work-context.js';
import { ClothLines } from './ClothLines.js';
import { HandLines } from './HandLines.js';
import { LayBoard } from './LayBoard.js';
import { LayFiles } from './LayFiles.js';
import { LaySaid, LaySearch, LeftLines } from './LayLines.js';
import { SavingLines } from './SavingLines.js';
import { TogetherLines } from './TogetherLines.js';
import { useLaidTogether } from './use-laid-together.js';
import { useLeftOvers } from './use-left-overs.js';
import { useLay } from './use-lay.js';
import { useLayHand } from './use-lay-hand.js';
import { useSheetSource } from './use-sheets.js';
import './cut.css';

/** The lay: the pieces of one cloth on it, as short as it is found or as a hand lays them, and how much to buy. */
export function LayView() {
  const source = useSheetSource();
  const work = useWork((s) => s.work);
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const kinds = useMemo(() => (source ? clothsOf(source.pieces) : []), [source]);
  const [wanted, setKind] = useState<Cloth>('shell');
  const kind = kinds.includes(wanted) ? wanted : (kinds[0] ?? 'shell');
  const { cloths, lays } = work.draft;
  const cloth = clothOf(cloths, kind, unit);
  // A layer has its share of what there is in hand.
  const layer = useStable(spread(cloth));
  const layers = layersOf(cloth);
  // Of a cloth only what the lay follows from: its name or price begins no search.
  const lies = useStable({ nap: cloth.nap, fold: cloth.fold });
  const laidOn = useStable(layCloth(cloths, kind, unit));
  const together = useLaidTogether(source);
  const { garments, alone, nameOf, inkOf } = together;
  const made = useMemo(() => shapesTogether(garments, kind, lies.nap, lies.fold), [garments, kind, lies]);
  // Drafted anew the pieces are other objects, and mostly the same shapes.
  const shapes = useStable(made);
  const length = (mm: number): string => formatLength(mm, tape);
  const ofCloth = clothFault(cloth, length);
  const fault = source ? (ofCloth?.told ?? layFault(shapes, laidOn, length)) : undefined;
  const lay = useLay(shapes, laidOn, fault, lays?.[kind], (kept) => {
    change(keepLay(kind, kept));
  });
  const hand = useLayHand(shapes, laidOn, lay);
  const order = useMemo(
    (): LayOrder => ({
      input: inputOf(work, sheetOf(work.draft)),
      style: work.draft.style ?? NO_STYLE,
      allowances: work.draft.allowances,
      cloths: work.draft.cloths,
      unit,
    }),
    [work, unit],
  );
  const beside = useMemo(() => ({ count: together.own, others: garments.slice(1) }), [together.own, garments]);
  const { found } = lay;
  const bought = found ? Math.max(toBuy(found.length * layers, unit) / layers, layer.inHand ?? 0) : 0;
  const left = useLeftOvers(shapes, lay.busy ? undefined : found, bought, laidOn);
  useEffect(() => {
    // A length that is for others too tells nothing of this garment.
    if (!found || !alone) return;
    noteLay(work.draft.id, kind, {
      length: found.length,
      area: layAreaOf(shapes),
      under: laidUnder(shapes, laidOn),
    });
  }, [found, alone, shapes, laidOn, kind, work.draft.id]);
  return (
    <>
      <main id="board" className="board lay-board" aria-label="The lay on the cloth">
        {found && fault === undefined ? (
          <LayBoard
            shapes={shapes}
            lay={found}
            cloth={layer}
            bought={bought}
            unit={unit}
            nameOf={nameOf}
            inkOf={inkOf}
            hand={hand}
            locked={lay.locked}
            left={left}
          />
        ) : (
          <div className="board-empty">
            {fault ?? (source ? 'The pieces are being laid …' : 'There are no pieces to lay yet.')}
          </div>
        )}
      </main>
      <aside className="bench" aria-label="Lay on cloth">
        <BenchSections
          bench="lay"
          told={false}
          above={
            <>
              <ViewHead title="Lay on cloth" station="Cut" />
              {kinds.length > 1 && (
                <PickLine
                  label="Cloth"
                  value={kind}
                  choices={kinds.map((k) => [k, CLOTH_LABELS[k]] as const)}
                  onChoose={setKind}
                />
              )}
              <LaySaid
                lay={lay}
                cloth={cloth}
                fault={fault}
                garments={garments.reduce((sum, { count }) => sum + count, 0)}
              />
            </>
          }
          sections={[
            {
              id: 'lay',
              label: 'Lay',
              content: () => (
                <>
                  <LaySearch lay={lay} fault={fault} />
                  {!lay.busy && <LeftLines left={left} cloth={cloth} kind={kind} />}
                  <HandLines lay={lay} hand={hand} shapes={shapes} nameOf={nameOf} />
                </>
              ),
            },
            {
              id: 'cloth',
              label: 'Cloth',
              marked: cloths?.[kind] !== undefined,
              content: () => <ClothLines kind={kind} cloth={cloth} fault={ofCloth} />,
            },
            {
              id: 'with',
              label: 'With',
              marked: !alone,
              content: () => <TogetherLines together={together} />,
            },
            {
              id: 'less',
              label: 'Less',
              marked: found !== undefined && layer.inHand !== undefined && found.length > layer.inHand,
              content: () =>
                found ? (
                  <SavingLines
                    order={order}
                    kind={kind}
                    beside={beside}
                    lay={found}
                    cloth={cloth}
                    unit={unit}
                    tape={tape}
                  />
                ) : (
                  <p className="quiet">The pieces are laid first.</p>
                ),
            },
            {
              id: 'files',
              label: 'Files',
              content: () => (
                <LayFiles kind={kind} lay={found} shapes={shapes} width={laidOn.width} cloth={cloth} nameOf={nameOf} />
              ),
            },
          ]}
        />
      </aside>
    </>
  );
}
