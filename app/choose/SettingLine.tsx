import { useId } from 'react';
import { showSum, type Setting } from '../../core/method/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { useChange, useComputed, useUnit, useWork } from '../store/work-context.js';
import { changeSetting } from '../store/work-changes.js';

const percent = (share: number): number => Math.round(share * 1000) / 10;

/** One setting: its figure, where it comes from, its sum and reason. */
export function SettingLine({ setting }: { setting: Setting }) {
  const id = useId();
  const unit = useUnit();
  const change = useChange();
  const worked = useComputed((c) => c.draft?.worked);
  const refusal = useComputed((c) => c.refusals.find((r) => r.field === setting.name));
  const byHand = useWork(({ work }) => work.draft.settings[setting.name]);
  const line = worked?.ledger.get(setting.name);
  const value = byHand ?? (typeof line?.value === 'number' ? line.value : undefined);
  const source = byHand !== undefined ? 'hand' : line?.restsOnEstimate ? 'estimate' : 'sheet';
  const commit = (figure: number | undefined): void => {
    change(changeSetting(setting.name, figure));
  };
  return (
    <div className="line" data-line={setting.name} data-source={source} onFocus={takeLine(setting.name)}>
      <label htmlFor={id}>{setting.label}</label>
      {setting.kind === 'share' ? (
        <PlainField
          id={id}
          label={setting.label}
          value={percent(value ?? 0)}
          places={1}
          suffix="%"
          source={source}
          step={1}
          onCommit={(figure) => {
            commit(figure / 100);
          }}
        />
      ) : (
        <LengthField
          id={id}
          label={setting.label}
          mm={value}
          unit={unit}
          source={source}
          allowEmpty
          problem={refusal && refusalSentence(refusal, readerIn(unit))}
          onCommit={commit}
        />
      )}
      <SourceMark
        source={source}
        label={setting.label}
        onGiveBack={() => {
          commit(undefined);
        }}
      />
      <LineTold line={setting.name} title={setting.label}>
        {worked && line
          ? `${withFractions(showSum(worked, setting.name, unit).told)}${setting.formula === undefined ? '' : '. '}`
          : ''}
        {setting.reason}
      </LineTold>
    </div>
  );
}
