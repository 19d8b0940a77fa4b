import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useId, useState } from 'react';
import { type Edge, type Garment, type Part } from '../../core/garment/index.js';
import { pathLength } from '../../core/geometry/index.js';
import { MOST_ALLOWANCE, widthsAlong, type Allowances, type GivenStretch } from '../../core/piece/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { giveStretches } from '../store/work-changes.js';
import { useChange, useTape, useUnit } from '../store/work-context.js';
import { edgeWords, upper } from './edge-names.js';
import { useFinish } from './finish-store.js';

/** A stretch that widens to its end, or is as wide all along. */
const widening = ({ on, part, edge, from, to, mm }: GivenStretch, end: number | undefined): GivenStretch => ({
  on,
  part,
  edge,
  from,
  to,
  mm,
  ...(end === undefined ? {} : { end }),
});

/** No stretch is shorter than this, in mm. */
const SHORTEST = 5;

/**
 * Stretches of the edges of the piece in hand that are given their own width, the same all along or widening: where each
 * begins and ends along its edge as the outline runs, and how wide it is there.
 */
export function StretchLines({
  part,
  garment,
  allowances,
}: {
  part: Part;
  garment: Pick<Garment, 'seams'>;
  allowances: Allowances;
}) {
  const id = useId();
  const change = useChange();
  const tape = useTape();
  const setFinish = useFinish((f) => f.set);
  const [said, setSaid] = useState<string>();
  const name = part.like ?? part.id;
  const edges = part.edges.filter(({ role }) => role !== 'fold');
  const mine = allowances.given.filter(
    (g): g is GivenStretch => g.on === 'stretch' && g.part === name && edges.some((e) => e.id === g.edge),
  );
  const put = (next: readonly GivenStretch[]): void => {
    setSaid(undefined);
    change(giveStretches(name, next));
  };
  return (
    <>
      <h3>{part.name}, stretches of an edge</h3>
      {mine.map((stretch, i) => {
        const at = part.edges.findIndex((e) => e.id === stretch.edge);
        const [edge, before] = [part.edges[at], part.edges.at(at - 1)];
        return (
          edge &&
          before && (
            <StretchCard
              // A stretch has no name of its own: it is the nth of its part.
              key={`${stretch.edge} ${i}`}
              number={i + 1}
              edge={edge}
              before={before}
              stretch={stretch}
              onSay={setSaid}
              onLit={() => {
                setFinish({ lit: [{ part: part.id, edge: edge.id }] });
              }}
              onChange={(next) => {
                put(mine.flatMap((one, k) => (k === i ? (next ?? []) : one)));
              }}
            />
          )
        );
      })}
      {said !== undefined && (
        <p className="doubt" role="status">
          {withFractions(said)}
        </p>
      )}
      <div className="line">
        <label htmlFor={id}>Add a stretch of</label>
        <NativeSelect
          inputProps={{ id }}
          sx={{ gridColumn: '2 / -1' }}
          value=""
          onChange={(event) => {
            const edge = edges.find((e) => e.id === event.target.value);
            if (!edge) return;
            const widths = widthsAlong(garment, part, edge.id, allowances).map(({ mm }) => mm);
            put([...mine, { on: 'stretch', part: name, edge: edge.id, from: 0.5, to: 1, mm: Math.max(...widths) }]);
          }}
        >
          <option value="">Choose</option>
          {edges.map((edge) => (
            <option key={edge.id} value={edge.id}>
              {`${edgeWords(edge)}, ${formatLength(pathLength(edge.path), tape)}`}
            </option>
          ))}
        </NativeSelect>
      </div>
    </>
  );
}

interface StretchCardProps {
  readonly number: number;
  readonly edge: Edge;
  /** The edge at whose end this one begins. */
  readonly before: Edge;
  readonly stretch: GivenStretch;
  readonly onSay: (sentence: string | undefined) => void;
  readonly onLit: () => void;
  readonly onChange: (next: GivenStretch | undefined) => void;
}

function StretchCard({ number, edge, before, stretch, onSay, onLit, onChange }: StretchCardProps) {
  const unit = useUnit();
  const tape = useTape();
  const long = pathLength(edge.path);
  const title = `${edgeWords(edge)}, stretch ${number}`;
  const place = (label: string, mm: number | undefined): void => {
    if (mm === undefined) return;
    const next = { ...stretch, [label === 'Begins' ? 'from' : 'to']: mm / long };
    if (mm < 0 || mm > long + 0.01 || (next.to - next.from) * long < SHORTEST) {
      onSay(
        `${title}, ${label.toLowerCase()} ${formatLength(mm, tape)}: the edge is ${formatLength(long, tape)} long, and a stretch of it ${formatLength(SHORTEST, tape)} or more.`,
      );
      return;
    }
    onChange({ ...next, to: Math.min(1, next.to) });
  };
  const width = (label: string, mm: number | undefined): void => {
    if (mm !== undefined && (mm < 0 || mm > MOST_ALLOWANCE)) {
      onSay(`${title}, ${label.toLowerCase()}: an allowance lies between 0 and ${formatLength(MOST_ALLOWANCE, tape)}.`);
      return;
    }
    if (label === 'Wide at its end') onChange(widening(stretch, mm));
    else if (mm !== undefined) onChange({ ...stretch, mm });
  };
  const lines: readonly (readonly [string, number | undefined, (label: string, mm: number | undefined) => void])[] = [
    ['Begins', stretch.from * long, place],
    ['Ends', stretch.to * long, place],
    ['Wide there', stretch.mm, width],
    ['Wide at its end', stretch.end, width],
  ];
  return (
    <section className="component" aria-label={title} data-stretch={number} onFocus={onLit}>
      <p className="quiet">{`${upper(title)}, counted from the ${edgeWords(before)}`}</p>
      {lines.map(([label, mm, commit]) => (
        <div className="line" key={label}>
          <label htmlFor={`stretch-${number}-${label}`}>{label}</label>
          <LengthField
            id={`stretch-${number}-${label}`}
            label={`${title}: ${label.toLowerCase()}`}
            mm={mm}
            unit={unit}
            allowEmpty={label === 'Wide at its end'}
            placeholder="the same"
            onCommit={(next) => {
              commit(label, next);
            }}
          />
        </div>
      ))}
      <Button
        size="small"
        aria-label={`Take out ${title}`}
        onClick={() => {
          onChange(undefined);
        }}
      >
        Take out
      </Button>
    </section>
  );
}
