import Button from '@mui/material/Button';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Cloth } from '../../core/garment/index.js';
import {
  clothsOf,
  clothWords,
  garmentShapes,
  layDrawing,
  layFault,
  toBuy,
  type FoundLay,
  type LayCloth,
  type LayShape,
} from '../../core/lay/index.js';
import { formatLength } from '../../core/units/index.js';
import { pathData, toDxf, toSvg } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';
import type { Job } from '../shared/job.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { ViewHead } from '../shared/ViewHead.js';
import { usePreferences, type Preferences } from '../store/preferences.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { startLay } from './lay-search.js';
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

/** A first look is so long, in ms; gone on for at a press. */
const FIRST_MS = 3000;
const ON_MS = 30_000;
/** What was changed stands so long before it is laid, in ms. */
const SETTLED_MS = 150;

/** What is laid on what: a lay of other shapes, or on other cloth, is not shown. */
interface Asked {
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
}

interface Searching {
  readonly asked: Asked;
  readonly found: FoundLay | undefined;
  readonly busy: boolean;
  readonly failed: boolean;
}

/** The search for the shapes at hand: begun at once, gone on at a press, stopped at a press; the shortest is kept. */
function useLay(shapes: readonly LayShape[], cloth: LayCloth, fault: string | undefined) {
  const [state, setState] = useState<Searching>();
  const job = useRef<Job<FoundLay>>(undefined);
  const seed = useRef(0);
  const { width, gap } = cloth;
  const asked = useMemo((): Asked => ({ shapes, cloth: { width, gap } }), [shapes, width, gap]);
  const search = useMemo(
    () =>
      (ms: number): void => {
        job.current?.stop();
        seed.current++;
        const better = (was: Searching | undefined, found: FoundLay): FoundLay =>
          was?.asked === asked && was.found && was.found.length <= found.length ? was.found : found;
        setState((was) => ({ asked, found: was?.asked === asked ? was.found : undefined, busy: true, failed: false }));
        const hear = (found: FoundLay, busy: boolean): void => {
          setState((was) =>
            job.current === started ? { asked, found: better(was, found), busy, failed: false } : was,
          );
        };
        const started = startLay(asked.shapes, asked.cloth, seed.current, ms, (found) => {
          hear(found, true);
        });
        job.current = started;
        started.answer
          .then((found) => {
            hear(found, false);
          })
          .catch(() => {
            setState((was) => (job.current === started && was ? { ...was, busy: false, failed: true } : was));
          });
      },
    [asked],
  );
  useEffect(() => {
    // A figure that is still being typed begins no search for each of its digits.
    const timer = window.setTimeout(() => {
      if (fault === undefined && shapes.length > 0) search(FIRST_MS);
    }, SETTLED_MS);
    return () => {
      window.clearTimeout(timer);
      job.current?.stop();
      job.current = undefined;
    };
  }, [search, fault, shapes.length]);
  const stop = (): void => {
    job.current?.stop();
    job.current = undefined;
    setState((was) => (was ? { ...was, busy: false } : was));
  };
  const shown = state?.asked === asked ? state : undefined;
  return { found: shown?.found, busy: shown?.busy ?? false, failed: shown?.failed ?? false, search, stop };
}

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
