import { COMMON, settingsOf, type Choice } from '../../core/method/index.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useWork } from '../store/work-context.js';
import { BuildLines } from './BuildLines.js';
import { ChoiceLine, ChoiceRadios } from './ChoiceLines.js';
import { EASE_SETTINGS, EaseTable } from './EaseTable.js';
import { HouseRules } from './HouseRules.js';
import { MethodPick } from './MethodPick.js';
import { SettingLine } from './SettingLine.js';

const LEG = COMMON.choices.find((c) => c.id === 'leg');
const named = (...ids: string[]): Choice[] => COMMON.choices.filter((c) => ids.includes(c.id));
const OF_SHORT_LEG = named('legFrom', 'shortHem');
const OF_LEG = named('inseams');
const OF_BAND = named('bandCounts');
const OF_RISES = named('riseTo');
/** Settings that hold for every method and belong to the length. */
const LENGTH_SETTINGS = new Set(['waistToHem']);

/** The bench at Choose: the method and its variants, fit and leg, build, length, and the rules of the house. */
export function ChooseBench() {
  const sheet = useWork(({ work }) => sheetOf(work.draft));
  const counting = useComputed((c) => c.draft?.worked.settings) ?? settingsOf(sheet);
  const settings = counting.filter((s) => !EASE_SETTINGS.has(s.name) && s.group !== 'house');
  const ofLeg = settings.filter((s) => s.when?.['leg'] !== undefined);
  const ofSheet = settings.filter(
    (s) => LENGTH_SETTINGS.has(s.name) || sheet.settings.some((own) => own.name === s.name),
  );
  const short = useComputed((c) => c.draft?.block.front.kneeOnPiece === false);
  const ofBand = settings.filter((s) => s.when?.['bandCounts'] !== undefined);
  return (
    <>
      <MethodPick />
      {sheet.choices.map((c) => (
        <ChoiceRadios key={c.id} choice={c} />
      ))}
      <EaseTable
        leg={
          <>
            {LEG && <ChoiceLine choice={LEG} />}
            {ofLeg.map((s) => (
              <SettingLine key={s.name} setting={s} />
            ))}
          </>
        }
      />
      <BuildLines />
      <h3>Leg and length</h3>
      {ofSheet.map((s) => (
        <SettingLine key={s.name} setting={s} />
      ))}
      {[...(short ? OF_SHORT_LEG : []), ...OF_LEG].map((choice) => (
        <ChoiceLine key={choice.id} choice={choice} />
      ))}
      <h3>Band and rises</h3>
      {OF_BAND.map((choice) => (
        <ChoiceLine key={choice.id} choice={choice} />
      ))}
      {ofBand.map((s) => (
        <SettingLine key={s.name} setting={s} />
      ))}
      {OF_RISES.map((choice) => (
        <ChoiceLine key={choice.id} choice={choice} />
      ))}
      <HouseRules />
    </>
  );
}
