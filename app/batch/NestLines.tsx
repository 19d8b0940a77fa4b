import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { grownWords } from '../../core/cloth/index.js';
import {
  type NEST_ALIGNMENTS,
  nestSheet,
  sharedPoints,
  type NestAlignment,
  type NestPart,
} from '../../core/nest/index.js';
import { PAPERS, pageStep, toDxf, toSvg } from '../../formats/index.js';
import { dayOf, type Run } from '../../core/kept/index.js';
import { PickLine } from '../shared/PickLine.js';
import { startPrint } from '../shared/print-job.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { methodName } from '../store/sheets.js';
import { useWork } from '../store/work-context.js';
import { useBatch } from './batch-store.js';
import { PenSample } from './NestDrawing.js';
import { RuleWritten } from './RuleWritten.js';
import type { RunInHand } from './use-run.js';

const ALIGNED: readonly (readonly [(typeof NEST_ALIGNMENTS)[number], string])[] = [
  ['crease', 'Crease at crotch'],
  ['crotch', 'Crotch point'],
  ['side', 'Waist at side'],
  ['centre', 'Waist at centre'],
  ['hem', 'Crease at hem'],
];

const sameAlignment = (a: NestAlignment, b: NestAlignment): boolean =>
  typeof a === 'string' || typeof b === 'string' ? a === b : a.point === b.point;

/** How the sizes are laid over one another, which line is which, and the nest as a file. */
export function NestLines({
  run,
  parts,
  charts,
}: {
  readonly run: Run;
  readonly parts: readonly NestPart[] | undefined;
  readonly charts: RunInHand['charts'];
}) {
  const { align, part, cut, stitching, arrows, focus, body, set } = useBatch();
  const draft = useWork((s) => s.work.draft);
  const paperId = usePreferences((p) => p.paper);
  const ink = usePreferences((p) => p.ink);
  const [said, setSaid] = useState<string>();
  const [busy, setBusy] = useState(false);
  const paper = PAPERS.find((p) => p.id === paperId);
  const longest = parts?.reduce<NestPart | undefined>(
    (a, p) => (a && a.sizes.length >= p.sizes.length ? a : p),
    undefined,
  );
  const shown = (parts ?? []).filter((p) => (part === undefined ? p.onFrame : p.id === part));
  const together: readonly { readonly key: string; readonly label: string; readonly at: NestAlignment }[] = [
    ...ALIGNED.map(([at, label]) => ({ key: at, label, at })),
    ...sharedPoints(shown).map(({ id, label }) => ({ key: `point ${id}`, label, at: { point: id } })),
  ];
  const sheet = (paged: boolean): ReturnType<typeof nestSheet> =>
    nestSheet(
      parts ?? [],
      { title: draft.name, method: methodName(draft) + grownWords(draft.cloths), date: dayOf(draft.changed) },
      { cut, stitching: stitching || !cut },
      paged && paper ? pageStep(paper) : undefined,
    );
  const name = fileName(`${draft.name} ${run.name} nest`);
  const pdf = (): void => {
    setBusy(true);
    setSaid(undefined);
    const head = {
      title: draft.name,
      lines: [
        `Nest: ${longest?.sizes.map((s) => s.name).join(', ') ?? ''}`,
        methodName(draft) + grownWords(draft.cloths),
      ],
      date: new Date(draft.changed),
    };
    startPrint(sheet(true), head, paper, { ink }, () => undefined)
      .answer.then((bytes) => {
        saveFile(`${name}.pdf`, new Uint8Array(bytes), 'application/pdf');
        setSaid(`Made ${name}.pdf.`);
      })
      .catch(() => {
        setSaid('The PDF could not be made. Try again, or save the nest as SVG.');
      })
      .finally(() => {
        setBusy(false);
      });
  };
  const save = (ending: string, type: string, text: string): void => {
    saveFile(`${name}.${ending}`, text, type);
    setSaid(`Made ${name}.${ending}.`);
  };
  const none = !parts || parts.length === 0;
  return (
    <>
      <PickLine
        label="Brought together at"
        value={together.find(({ at }) => sameAlignment(at, align))?.key ?? 'crease'}
        choices={together.map(({ key, label }) => [key, label] as const)}
        onChoose={(next) => {
          set({ align: together.find(({ key }) => key === next)?.at ?? 'crease' });
        }}
      />
      <PickLine
        label="Part"
        value={part ?? ''}
        choices={[['', 'Both legs'], ...(parts ?? []).map((p) => [p.id, p.name] as const)]}
        onChoose={(id) => {
          // A corner of one part is not a corner of another.
          set({ part: id === '' ? undefined : id, align: typeof align === 'string' ? align : 'crease' });
        }}
      />
      <PickLine
        label="How near"
        value={focus}
        choices={[
          ['whole', 'Whole pieces'],
          ['upper', 'Above the knee'],
        ]}
        onChoose={(next) => {
          set({ focus: next });
        }}
      />
      {(
        [
          ['cut', 'Cut lines', cut],
          ['stitching', 'Stitching lines', stitching],
          ...(run.of.from === 'chart' ? [['arrows', 'Arrows from the first size to the last', arrows] as const] : []),
        ] as const
      ).map(([id, label, on]) => (
        <FormControlLabel
          key={id}
          className="tick"
          control={
            <Checkbox
              size="small"
              checked={on}
              onChange={(_, next) => {
                set({ [id]: next });
              }}
            />
          }
          label={label}
        />
      ))}
      <h3>Sizes</h3>
      <ul className="pens">
        {(longest?.sizes ?? []).map((size, i) => (
          <li key={size.key}>
            <button
              type="button"
              className="plain-button"
              aria-pressed={body === size.key}
              onClick={() => {
                set({ body: body === size.key ? undefined : size.key });
              }}
            >
              <PenSample index={i} /> {size.name}
            </button>
          </li>
        ))}
      </ul>
      {run.of.from === 'chart' && (
        <>
          <h3>Grade rule</h3>
          <RuleWritten run={run} charts={charts} />
        </>
      )}
      <h3>As a file</h3>
      <div className="acts">
        <Button variant="outlined" disabled={none || busy} onClick={pdf}>
          {paper ? `PDF on ${paper.label}` : 'PDF for the roll'}
        </Button>
        <Button
          variant="outlined"
          disabled={none}
          onClick={() => {
            save('dxf', 'application/dxf', toDxf(sheet(false)));
          }}
        >
          Save DXF
        </Button>
        <Button
          variant="outlined"
          disabled={none}
          onClick={() => {
            save('svg', 'image/svg+xml', toSvg(sheet(false), `${draft.name}, nest`));
          }}
        >
          Save SVG
        </Button>
      </div>
      <p className="quiet">One line for each size, named on the line; in a DXF each size has its layers.</p>
      <p role="status" className="quiet">
        {said}
      </p>
    </>
  );
}
