import Button from '@mui/material/Button';
import { roomForDart, type LaidDart } from '../../core/draft/index.js';
import { PANEL_NAMES, type PanelName } from '../../core/method/index.js';
import { toMm } from '../../core/units/index.js';
import { changePattern, leavePattern } from '../store/reference-work.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { LengthField } from './LengthField.js';

type Laid = 'hipAbove' | 'kneeBelow' | 'creaseOff' | 'creaseOffBack';

const LINES: readonly (readonly [Laid, string])[] = [
  ['hipAbove', 'Hip line, above the crotch line'],
  ['kneeBelow', 'Knee line, below the crotch line'],
  ['creaseOff', 'Crease, from the middle of the hem inward'],
];

/** Where the back's crease lies otherwise than the front's. */
const LINES_APART: typeof LINES = [
  ...LINES.filter(([id]) => id !== 'creaseOff'),
  ['creaseOff', 'Front’s crease, from the middle of the hem inward'],
  ['creaseOffBack', 'Back’s crease, from the middle of the hem inward'],
];

const DART_FIGURES: readonly (readonly [Exclude<keyof LaidDart, 'panel'>, string])[] = [
  ['at', 'from the centre'],
  ['intake', 'intake'],
  ['length', 'length'],
];

/** Darts that are laid into a pattern whose file draws none: where, how much, how long. */
function LaidDarts({ darts }: { readonly darts: readonly LaidDart[] }) {
  const block = useComputed((c) => c.draft?.drafted);
  const unit = useUnit();
  const change = useChange();
  const put = (next: readonly LaidDart[]): void => {
    change(changePattern({ darts: next }));
  };
  const lay = (panel: PanelName): void => {
    if (!block) return;
    const { levels } = block[panel];
    const intake = unit === 'in' ? toMm(0.75, 'in') : 20;
    const length = Math.round(levels.hipLevel * (panel === 'front' ? 0.5 : 0.65));
    put([...darts, { panel, at: Math.round(roomForDart(block[panel])), intake, length }]);
  };
  return (
    <>
      {darts.map((dart, i) => (
        <fieldset key={`${dart.panel} ${i}`} className="laid-dart">
          <legend>{`Dart laid into the ${dart.panel}`}</legend>
          {DART_FIGURES.map(([id, label]) => (
            <div key={id} className="line">
              <label htmlFor={`laid-dart-${i}-${id}`}>{label}</label>
              <LengthField
                id={`laid-dart-${i}-${id}`}
                label={`Dart ${i + 1} ${label}`}
                mm={dart[id]}
                unit={unit}
                source="hand"
                onCommit={(mm) => {
                  if (mm !== undefined) put(darts.map((d, k) => (k === i ? { ...d, [id]: mm } : d)));
                }}
              />
            </div>
          ))}
          <Button
            size="small"
            aria-label={`Take dart ${i + 1} out`}
            onClick={() => {
              put(darts.filter((_, k) => k !== i));
            }}
          >
            Take out
          </Button>
        </fieldset>
      ))}
      <p className="acts">
        {PANEL_NAMES.map((panel) => (
          <Button
            key={panel}
            size="small"
            onClick={() => {
              lay(panel);
            }}
          >
            {`Dart into the ${panel}`}
          </Button>
        ))}
      </p>
    </>
  );
}

/** The pattern that stands in the place of the method's draft: whose it is, its levels, and the way back. */
export function AdoptedBlock() {
  const pattern = useWork(({ work }) => work.draft.pattern);
  const levels = useComputed((c) => c.draft?.drafted.levels);
  const unit = useUnit();
  const change = useChange();
  if (!pattern) return null;
  const drawn: Readonly<Record<Laid, number | undefined>> = {
    hipAbove: levels && levels.crotchLevel - levels.hipLevel,
    kneeBelow: levels && levels.kneeLevel - levels.crotchLevel,
    creaseOff: 0,
    creaseOffBack: pattern.creaseOff ?? 0,
  };
  const lines = pattern.creaseOffBack === undefined ? LINES : LINES_APART;
  return (
    <section className="notice" aria-label="Adopted pattern" data-adopted={pattern.name}>
      <p>
        The block is “{pattern.name}”, adopted on {pattern.date}. The method’s lines do not draw it; its eases and
        checks hold.
      </p>
      {lines.map(([id, label]) => (
        <div key={id} className="line" data-laid={id}>
          <label htmlFor={`laid-${id}`}>{label}</label>
          <LengthField
            id={`laid-${id}`}
            label={label}
            mm={pattern[id] ?? drawn[id]}
            unit={unit}
            source={pattern[id] === undefined ? 'estimate' : 'hand'}
            allowEmpty
            onCommit={(mm) => {
              change(changePattern({ [id]: mm }));
            }}
          />
        </div>
      ))}
      <LaidDarts darts={pattern.darts ?? []} />
      <p className="acts">
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            change(leavePattern);
          }}
        >
          Draft by the method again
        </Button>
      </p>
    </section>
  );
}
