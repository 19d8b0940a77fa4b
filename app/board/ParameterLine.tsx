import NativeSelect from '@mui/material/NativeSelect';
import { memo, useCallback, useId } from 'react';
import {
  lineLabel,
  lineKind,
  PANEL_PARAMETERS,
  panelLine,
  showSum,
  type DartPlace,
  type Worked,
} from '../../core/method/index.js';
import { refusalSentence, type Refusal } from '../../core/refusal/index.js';
import { formatLength, readerIn, type Tape, type Unit } from '../../core/units/index.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { LengthField, type FieldSource } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { giveBack, setByHand } from '../store/work-changes.js';
import { withFractions } from '../shared/fractions.js';
import { drawnOf } from './drawn.js';

const PLACES: readonly (readonly [DartPlace, string])[] = [
  ['crease', 'On the crease'],
  ['midway', 'Midway'],
  ['apexSpan', 'By the apex span'],
];

interface LineProps {
  readonly name: string;
  readonly label: string;
  readonly value: number | DartPlace;
  readonly source: FieldSource;
  readonly sum: string;
  readonly unit: Unit;
  readonly problem: string | undefined;
  /** The figure as it lies on the piece, where that is another one, and why. */
  readonly drawn: string | undefined;
  readonly why: string | undefined;
}

const Line = memo(function Line({ name, label, value, source, sum, unit, problem, drawn, why }: LineProps) {
  const change = useChange();
  const id = useId();
  const kind = lineKind(name);
  const back = useCallback((): void => {
    change(giveBack([name]));
  }, [change, name]);
  const put = useCallback(
    (next: number | DartPlace | undefined): void => {
      if (next !== undefined) change(setByHand({ [name]: next }));
    },
    [change, name],
  );
  return (
    <div className="line" data-line={name} data-source={source} onFocus={takeLine(name)}>
      <label htmlFor={id}>{label}</label>
      {kind === 'length' && typeof value === 'number' && (
        <LengthField id={id} label={label} mm={value} unit={unit} source={source} problem={problem} onCommit={put} />
      )}
      {(kind === 'share' || kind === 'count') && typeof value === 'number' && (
        <PlainField
          id={id}
          label={label}
          value={value}
          places={kind === 'count' ? 0 : 3}
          suffix=""
          source={source}
          step={kind === 'count' ? 1 : 0.01}
          onCommit={put}
        />
      )}
      {kind === 'place' && (
        <NativeSelect
          inputProps={{ id }}
          value={typeof value === 'number' ? 'hand' : value}
          onChange={(event) => {
            put(event.target.value as DartPlace);
          }}
        >
          {PLACES.map(([place, words]) => (
            <option key={place} value={place}>
              {words}
            </option>
          ))}
          {typeof value === 'number' && <option value="hand">As placed</option>}
        </NativeSelect>
      )}
      <SourceMark source={source} label={label} onGiveBack={back} />
      {problem !== undefined && kind !== 'length' && <p className="problem">{problem}</p>}
      {drawn !== undefined && (
        <div className="drawn">
          drawn <b>{drawn}</b>
        </div>
      )}
      <LineTold line={name} title={label}>
        {source === 'hand' ? `set by hand; the sheet has ${sum}` : sum}
        {drawn !== undefined && (
          <>
            . Drawn {drawn}: {why}
          </>
        )}
      </LineTold>
    </div>
  );
});

/** Where a ledger line's figure comes from, as a field shows it. */
export function sourceOf(worked: Worked, name: string): FieldSource {
  const line = worked.ledger.get(name);
  if (line?.source === 'hand') return 'hand';
  return line?.restsOnEstimate ? 'estimate' : 'sheet';
}

/** A figure as it lies on the piece, by the kind of its line. */
const sayFigure = (name: string, figure: number, tape: Tape): string =>
  lineKind(name) === 'length' ? withFractions(formatLength(figure, tape)) : String(Number(figure.toFixed(3)));

/** One line of the ledger on the bench: its figure, where it comes from, its sum, and the way back to the sheet. */
export const ParameterLine = memo(function ParameterLine({ name, label }: { name: string; label?: string }) {
  const worked = useComputed((c) => c.draft?.worked);
  const entered = useWork(({ work, preview }) => preview?.set?.[name] ?? work.draft.set[name]);
  const refusal = useComputed((c) => c.refusals.find((r: Refusal) => r.field === name));
  const unit = useUnit();
  const drawn = useComputed((c) => c.draft && drawnOf(c.draft).get(name)?.drawn);
  const why = useComputed((c) => c.draft && drawnOf(c.draft).get(name)?.why);
  const tape = useTape();
  const line = worked?.ledger.get(name);
  if (!worked || !line) return null;
  const parameter = panelLine(name)?.parameter;
  const told = drawn === undefined ? undefined : sayFigure(name, drawn, tape);
  const entry = entered ?? line.value;
  // What reads alike on the reader's tape is not told twice.
  const otherwise = typeof entry === 'number' && told === sayFigure(name, entry, tape) ? undefined : told;
  const words = label ?? (parameter ? PANEL_PARAMETERS[parameter].label : lineLabel(worked.sheet, name));
  return (
    <Line
      name={name}
      label={words}
      value={entry}
      source={entered === undefined ? sourceOf(worked, name) : 'hand'}
      sum={withFractions(showSum(worked, name, unit).told)}
      unit={unit}
      problem={refusal && refusalSentence(refusal, readerIn(unit))}
      drawn={otherwise}
      why={why}
    />
  );
});
