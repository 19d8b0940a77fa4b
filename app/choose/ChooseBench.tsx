import type { ReactNode } from 'react';
import { useShallow } from 'zustand/shallow';
import { COMMON, settingsOf, type Choice, type Setting } from '../../core/method/index.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useWork } from '../store/work-context.js';
import { BenchSections, type BenchSection } from '../shared/BenchSections.js';
import { BUILD, BuildLines } from './BuildLines.js';
import { ChoiceLine, ChoiceRadios } from './ChoiceLines.js';
import { EASE_SETTINGS, EaseTable } from './EaseTable.js';
import { HouseRules } from './HouseRules.js';
import { MethodPick } from './MethodPick.js';
import { SettingLine } from './SettingLine.js';

const names = (settings: readonly Setting[]): string[] => settings.map((s) => s.name);
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
  const byHand = useWork(
    useShallow(({ work: { draft } }) => [...Object.keys(draft.settings), ...Object.keys(draft.choices)]),
  );
  const section = (id: string, label: string, names: readonly string[], content: () => ReactNode): BenchSection => ({
    id,
    label,
    marked: byHand.some((name) => names.includes(name)),
    holds: (line) => names.includes(line),
    content,
  });
  const inLeg = [...(short ? OF_SHORT_LEG : []), ...OF_LEG];
  return (
    <BenchSections
      bench="choose"
      sections={[
        section(
          'method',
          'Method',
          sheet.choices.map((c) => c.id),
          () => (
            <>
              <MethodPick />
              {sheet.choices.map((c) => (
                <ChoiceRadios key={c.id} choice={c} />
              ))}
            </>
          ),
        ),
        section('ease', 'Ease', [...EASE_SETTINGS, 'thighWidth'], () => <EaseTable />),
        section('leg', 'Leg', ['leg', ...names(ofLeg), ...names(ofSheet), ...inLeg.map((c) => c.id)], () => (
          <>
            {LEG && <ChoiceLine choice={LEG} />}
            {ofLeg.map((s) => (
              <SettingLine key={s.name} setting={s} />
            ))}
            {ofSheet.map((s) => (
              <SettingLine key={s.name} setting={s} />
            ))}
            {inLeg.map((choice) => (
              <ChoiceLine key={choice.id} choice={choice} />
            ))}
          </>
        )),
        section('rises', 'Rises', [...OF_BAND, ...OF_RISES].map((c) => c.id).concat(names(ofBand)), () => (
          <>
            {OF_BAND.map((choice) => (
              <ChoiceLine key={choice.id} choice={choice} />
            ))}
            {ofBand.map((s) => (
              <SettingLine key={s.name} setting={s} />
            ))}
            {OF_RISES.map((choice) => (
              <ChoiceLine key={choice.id} choice={choice} />
            ))}
          </>
        )),
        section('build', 'Build', BUILD, () => <BuildLines />),
        section('house', 'House', ['waistPlan', ...names(counting.filter((s) => s.group === 'house'))], () => (
          <HouseRules />
        )),
      ]}
    />
  );
}
