import { measurementLabel, type MeasurementId, type SizeChart } from '../../core/measure/index.js';
import { exactFigure, formatLength, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { NameField } from '../shared/NameField.js';

interface SizeRowsProps {
  readonly chart: SizeChart;
  readonly ids: readonly MeasurementId[];
  readonly own: boolean;
  readonly unit: Unit;
  /** Writes a figure, as it would be typed, or a name into a size. */
  readonly onWrite: (size: number, field: 'name' | MeasurementId, text: string) => void;
}

/** A chart where there is no room for a table: one size under the other with its figures; an own one is changed there. */
export function SizeRows({ chart, ids, own, unit, onWrite }: SizeRowsProps) {
  if (chart.sizes.length === 0) return <p className="quiet">No sizes yet. Add one, or bring in a table.</p>;
  return (
    <div className="size-rows">
      {chart.sizes.map(({ name, values }, at) => (
        <details key={at} data-size={name} open={chart.sizes.length === 1}>
          <summary>{name}</summary>
          {own ? (
            <>
              <label className="line">
                <span>Size</span>
                <NameField
                  label={`Name of size ${name}`}
                  className="name-input"
                  value={name}
                  onCommit={(next) => {
                    onWrite(at, 'name', next);
                  }}
                />
              </label>
              {ids.map((id) => (
                <div className="line" key={id}>
                  <label htmlFor={`size-${at}-${id}`}>{measurementLabel(id)}</label>
                  <LengthField
                    id={`size-${at}-${id}`}
                    label={`Size ${name}, ${measurementLabel(id)}`}
                    mm={values[id]}
                    unit={unit}
                    allowEmpty
                    onCommit={(mm) => {
                      onWrite(at, id, mm === undefined ? '' : exactFigure(mm, unit));
                    }}
                  />
                </div>
              ))}
            </>
          ) : (
            <dl>
              {ids.map((id) => (
                <div key={id}>
                  <dt>{measurementLabel(id)}</dt>
                  <dd>{values[id] === undefined ? '–' : withFractions(formatLength(values[id], tapeFor(unit)))}</dd>
                </div>
              ))}
            </dl>
          )}
        </details>
      ))}
    </div>
  );
}
