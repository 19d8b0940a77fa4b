import Button from '@mui/material/Button';
import { ASSUMED, type AssumedId } from '../../core/body/index.js';
import { measurementLabel } from '../../core/measure/index.js';
import { ASSUMED_LABELS, MOST_RESIDUAL, type BodyTold } from '../../core/sew/index.js';
import { formatLength, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { useWork } from '../store/work-context.js';
import { useHanging } from '../worn/hang-store.js';
import { useAssumed } from '../worn/use-assumed.js';

const isTilt = (id: AssumedId): boolean => id === 'frontTilt' || id === 'backTilt';

/** The body that the garment hangs on: what its tapes read, what is estimated, and what is assumed, to be set. */
export function BodyLines({ body, tape }: { readonly body: BodyTold; readonly tape: Tape }) {
  const assumed = useAssumed();
  const person = useWork(({ work }) => work.person.id);
  const set = useHanging((s) => s.set);
  const show = (mm: number): string => withFractions(formatLength(mm, tape));
  const worst = body.residuals.reduce((most, r) => Math.max(most, Math.abs(r.tape - r.measured)), 0);
  return (
    <>
      <p className="quiet">
        {worst < 1
          ? 'A tape round this body reads every measurement that was taken.'
          : `A tape round this body is off by up to ${show(worst)}.`}
        {body.estimated.length > 0 &&
          ` Estimated: ${body.estimated.map((id) => measurementLabel(id).toLowerCase()).join(', ')}.`}
      </p>
      {worst >= 1 && (
        <table className="figures">
          <thead>
            <tr>
              <th>Measurement</th>
              <th>Taken</th>
              <th>On the body</th>
            </tr>
          </thead>
          <tbody>
            {body.residuals.map(({ id, measured, tape: reads }) => (
              <tr key={id} data-residual={id} data-out={Math.abs(reads - measured) > MOST_RESIDUAL}>
                <th>{measurementLabel(id)}</th>
                <td>{show(measured)}</td>
                <td>{show(reads)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <fieldset className="assumed">
        <legend>Assumed, since no tape says it</legend>
        {body.assumedIds.map((id) => (
          <label key={id}>
            <span>{ASSUMED_LABELS[id]}</span>
            <input
              type="range"
              min={ASSUMED[id].least}
              max={ASSUMED[id].most}
              step={isTilt(id) ? 1 : 0.005}
              value={assumed[id] ?? body.assumed[id]}
              aria-valuetext={isTilt(id) ? show(assumed[id] ?? body.assumed[id]) : undefined}
              onChange={(event) => {
                set({ assumed: { person, set: { ...assumed, [id]: Number(event.target.value) } } });
              }}
            />
            <output>
              {isTilt(id)
                ? show(assumed[id] ?? body.assumed[id])
                : (assumed[id] ?? body.assumed[id]).toFixed(id === 'hollow' ? 3 : 2)}
            </output>
          </label>
        ))}
        <p className="quiet">These stay with this view; nothing of them is kept as measured.</p>
        {Object.keys(assumed).length > 0 && (
          <Button
            size="small"
            onClick={() => {
              set({ assumed: { person, set: {} } });
            }}
          >
            As it was assumed
          </Button>
        )}
      </fieldset>
    </>
  );
}
