import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { CLOTH_LABELS, clothFault, clothOf } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import {
  layCloth,
  layDrawing,
  placedOutline,
  sectionsJoined,
  type FoundLay,
  type LayShape,
} from '../../core/lay/index.js';
import type { Run } from '../../core/kept/index.js';
import { formatLength } from '../../core/units/index.js';
import { toDxf, toSvg } from '../../formats/index.js';
import { withFractions } from '../shared/fractions.js';
import { PickLine } from '../shared/PickLine.js';
import { inHandWords } from '../shared/in-hand-words.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { useStable } from '../shared/use-stable.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { laidWords } from './laid-words.js';
import { useLayAll, type SectionLaid } from './use-lay-all.js';
import '../shared/lay.css';

/** Each section is laid for so long at first, and looked on for so long at a press, in ms. */
const FIRST_MS = 2500;
const ON_MS = 8000;

/** What a part of a body is called, and by whose ink it is drawn. */
interface PartShown {
  readonly name: string;
  readonly ink: string;
}

type Laid = SectionLaid & { readonly lay: FoundLay };
const isLaid = (s: SectionLaid): s is Laid => s.lay !== undefined;

/** All garments of the run on one cloth, section after section: how much to buy, and how they lie. */
export function LayAll({
  run,
  tasks,
  kinds,
}: {
  readonly run: Run;
  /** Those that are laid. */
  readonly tasks: readonly BatchTask[];
  readonly kinds: readonly Cloth[];
}) {
  const unit = useUnit();
  const tape = useTape();
  const draft = useWork((s) => s.work.draft);
  const [wanted, setKind] = useState<Cloth>('shell');
  const kind = kinds.includes(wanted) ? wanted : (kinds[0] ?? 'shell');
  const cloth = clothOf(draft.cloths, kind, unit);
  const laidOn = useStable(layCloth(draft.cloths, kind, unit));
  const all = useLayAll(tasks, kind, laidOn, cloth);
  const fault = clothFault(cloth, (mm) => formatLength(mm, tape))?.told;
  const laid = all.sections.filter(isLaid);
  const joined = useMemo(() => sectionsJoined(laid, laidOn.gap), [laid, laidOn]);
  const parts = useMemo(
    () =>
      new Map<string, PartShown>(
        all.bodies.flatMap((body) =>
          body.parts.map(({ id, name, ink }) => [`${body.key}/${id}`, { name: `${name}, ${body.name}`, ink }] as const),
        ),
      ),
    [all.bodies],
  );
  const partOf = (id: string): PartShown => parts.get(id) ?? { name: id, ink: '' };
  const bodyName = (key: string): string => all.bodies.find((b) => b.key === key)?.name ?? key;
  const whole = all.sections.length > 0 && laid.length === all.sections.length;
  const inHand = inHandWords(joined.length, cloth, unit);
  const file = fileName(`${draft.name} ${run.name} lay ${kind}`);
  const drawing = (): ReturnType<typeof layDrawing> =>
    layDrawing(joined.shapes, joined.placed, { length: joined.length, width: laidOn.width }, (id) => partOf(id).name);
  return (
    <div className="lay-all">
      <div className="acts">
        {kinds.length > 1 && (
          <PickLine
            label="Cloth"
            value={kind}
            choices={kinds.map((k) => [k, CLOTH_LABELS[k]] as const)}
            onChoose={setKind}
          />
        )}
        {all.busy ? (
          <Button variant="contained" onClick={all.stop}>
            Stop
          </Button>
        ) : (
          <Button
            variant="contained"
            disabled={tasks.length === 0 || fault !== undefined}
            onClick={() => {
              all.search(laid.length > 0 && whole ? ON_MS : FIRST_MS);
            }}
          >
            {all.sections.length === 0 ? `Lay all ${tasks.length}` : whole ? 'Look on' : 'Go on'}
          </Button>
        )}
        {laid.length > 0 && !all.busy && (
          <>
            <Button
              variant="outlined"
              onClick={() => {
                saveFile(`${file}.svg`, toSvg(drawing(), `${draft.name}, ${run.name}`), 'image/svg+xml');
              }}
            >
              Save SVG
            </Button>
            <Button
              variant="outlined"
              onClick={() => {
                saveFile(`${file}.dxf`, toDxf(drawing()), 'application/dxf');
              }}
            >
              Save DXF
            </Button>
          </>
        )}
      </div>
      <p role="status" data-laid={laid.length} data-laying={all.busy}>
        {fault !== undefined
          ? withFractions(fault)
          : all.fault !== undefined
            ? `${all.fault}. Press again to go on.`
            : laid.length === 0
              ? all.busy
                ? 'The pieces are being made ready …'
                : `One after the other at first, then two beside one another, on cloth ${formatLength(cloth.width, tape)} wide. The cloth is told at Lay on cloth.`
              : withFractions(
                  `${laidWords(joined.length, laid.flatMap((s) => s.section.keys).length, tasks.length, cloth, unit)}${all.busy ? '; looking for a shorter one …' : '.'}`,
                )}
      </p>
      {whole && inHand !== undefined && <p data-in-hand>{withFractions(inHand)}</p>}
      <ol className="lay-sections" tabIndex={0} aria-label="Sections of the lay">
        {all.sections.map(({ section, lay }, i) => (
          <li key={section.keys.join()} data-section={i + 1}>
            <span>
              {section.keys.map(bodyName).join(' and ')}
              {lay &&
                withFractions(`: ${formatLength(lay.length, tape)} long, ${(100 * lay.use).toFixed(1)} % of it used`)}
            </span>
            {lay ? (
              <SectionPicture shapes={section.shapes} lay={lay} width={laidOn.width} partOf={partOf} />
            ) : (
              <p className="quiet">{all.busy ? 'waits its turn …' : 'not laid yet'}</p>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}

/** A section as it lies, its length to the right. */
function SectionPicture({
  shapes,
  lay,
  width,
  partOf,
}: {
  readonly shapes: readonly LayShape[];
  readonly lay: FoundLay;
  readonly width: number;
  readonly partOf: (id: string) => PartShown;
}) {
  return (
    <svg
      className="lay lay-section"
      viewBox={`-4 -4 ${lay.length + 8} ${width + 8}`}
      role="img"
      aria-label={`${lay.placed.length} pieces laid`}
    >
      <rect className="lay-cloth" x={0} y={0} width={lay.length} height={width} vectorEffect="non-scaling-stroke" />
      {lay.placed.map((p) => {
        const shape = shapes.find((s) => s.id === p.id);
        if (!shape) return null;
        const d = placedOutline(shape, p)
          .map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
          .join('');
        const { name, ink } = partOf(p.id);
        return (
          <g key={`${p.id} ${p.copy}`} className="lay-copy" data-ink={ink}>
            <path className="lay-part" d={`${d}Z`} vectorEffect="non-scaling-stroke">
              <title>{name}</title>
            </path>
          </g>
        );
      })}
    </svg>
  );
}
