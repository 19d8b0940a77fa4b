import { memo, useCallback } from 'react';
import { parametersOf } from '../../core/draft/index.js';
import type { PanelName } from '../../core/method/index.js';
import { formatLength } from '../../core/units/index.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useTape, useUnit } from '../store/work-context.js';
import { giveBack, setByHand } from '../store/work-changes.js';
import { sourceOf } from './ParameterLine.js';
import { anglePlaced } from './seat-angle.js';
import { withFractions } from '../shared/fractions.js';

interface DerivedLineProps {
  readonly panelName: PanelName;
}

/** The seat angle as an angle and as in and up; typing one sets centre in and centre lift at constant length. */
export const SeatAngleLine = memo(function SeatAngleLine({ panelName }: DerivedLineProps) {
  const change = useChange();
  const tape = useTape();
  const worked = useComputed((c) => c.draft?.worked);
  const panel = useComputed((c) => c.draft?.block[panelName]);
  const back = useCallback(() => {
    change(giveBack([`${panelName}.centreIn`, `${panelName}.centreLift`]));
  }, [change, panelName]);
  if (!worked || !panel) return null;
  const sources = (['centreIn', 'centreLift'] as const).map((p) => sourceOf(worked, `${panelName}.${p}`));
  const source = sources.includes('hand') ? 'hand' : sources.includes('estimate') ? 'estimate' : 'sheet';
  const { tiltPoint, centreWaist } = panel.points;
  const label = panelName === 'back' ? 'Seat angle' : 'Front rise angle';
  const name = `${panelName}.seatAngle`;
  return (
    <div className="line" data-line={name} onFocus={takeLine(name)}>
      <span className="label">{label}</span>
      <PlainField
        label={label}
        value={(panel.seatAngle * 180) / Math.PI}
        places={1}
        suffix="°"
        step={0.5}
        source={source}
        onCommit={(degrees) => {
          change(setByHand(anglePlaced(panel, degrees)));
        }}
      />
      <SourceMark source={source} label={label} onGiveBack={back} />
      <LineTold line={name} title={label}>
        {withFractions(
          `inward ${formatLength(tiltPoint.x - centreWaist.x, tape)} over upward ${formatLength(tiltPoint.y - centreWaist.y, tape)}`,
        )}
      </LineTold>
    </div>
  );
});

/** The hollow as the length that makers measure; typing one sets its share of the diagonal. */
export const HollowLine = memo(function HollowLine({ panelName }: DerivedLineProps) {
  const change = useChange();
  const tape = useTape();
  const unit = useUnit();
  const worked = useComputed((c) => c.draft?.worked);
  const panel = useComputed((c) => c.draft?.block[panelName]);
  const name = `${panelName}.depth`;
  const back = useCallback(() => {
    change(giveBack([name]));
  }, [change, name]);
  const diagonal = panel?.diagonal ?? 1;
  const put = useCallback(
    (mm: number | undefined) => {
      if (mm !== undefined) change(setByHand({ [name]: Math.round((mm / diagonal) * 1e6) / 1e6 }));
    },
    [change, name, diagonal],
  );
  const parameters = panel && parametersOf(panel);
  if (!worked || !panel || !parameters) return null;
  const source = sourceOf(worked, name);
  const id = `hollow-${panelName}`;
  const asked = parameters.depth * panel.diagonal;
  const other = Math.abs(panel.hollow - asked) > 0.5;
  const sheet = withFractions(formatLength(asked, tape));
  return (
    <div className="line" data-line={name} data-source={source} onFocus={takeLine(name)}>
      <label htmlFor={id}>Hollow</label>
      <LengthField
        id={id}
        label="Hollow"
        mm={Math.round(panel.hollow * 100) / 100}
        unit={unit}
        source={source}
        onCommit={put}
      />
      <SourceMark source={source} label="Hollow" onGiveBack={back} />
      {other && (
        <div className="drawn">
          sheet <s>{sheet}</s>
        </div>
      )}
      <LineTold line={name} title="Hollow">
        {Number(parameters.depth.toFixed(3))} of the diagonal, {withFractions(formatLength(panel.diagonal, tape))}
        {other && `. The sheet has ${sheet}: this is the nearest that a fair rise has.`}
      </LineTold>
    </div>
  );
});
