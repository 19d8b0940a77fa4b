import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { advise, CLOTHS, USES, type Advice, type ClothId, type UseId } from '../../core/advise/index.js';
import { inputByMethod } from '../../core/kept/index.js';
import { COMMON, FIT_CLASSES, type FitClassId } from '../../core/method/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { formatAngle, formatLength, type Tape } from '../../core/units/index.js';
import { AskList } from '../shared/AskList.js';
import { withFractions } from '../shared/fractions.js';
import { outlinesOf } from '../shared/outlines.js';
import { PiecePicture } from '../shared/PiecePicture.js';
import { signedFigure } from '../shared/signed.js';
import { ViewHead } from '../shared/ViewHead.js';
import { putSheets } from '../store/sheets.js';
import { useChange, useComputed, useCurrentSet, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeFit, changeMethod, choose, unchoose } from '../store/work-changes.js';
import { useAdvise } from './advise-store.js';
import './advise.css';

putSheets(SHEETS);

function Figures({ advice: { gives }, tape }: { advice: Advice; tape: Tape }) {
  if (!gives) return undefined;
  const show = (mm: number): string => formatLength(mm, tape);
  const rise = (mm: number, over: number | undefined): string =>
    over === undefined ? show(mm) : `${show(mm)} (${signedFigure(over, tape)} to the measured)`;
  const rows: readonly (readonly [string, string])[] = [
    ['Class by its extensions', gives.fitClass],
    ['Extensions, front and back', `${show(gives.frontExtension)}, ${show(gives.backExtension)}`],
    ['Seat angle', formatAngle(gives.seatAngle)],
    ['Front rise', rise(gives.frontRise, gives.frontRiseOver)],
    ['Back rise', rise(gives.backRise, gives.backRiseOver)],
    ['Thigh ease', show(gives.thighEase)],
  ];
  return (
    <dl className="advice-figures">
      {rows.map(([label, value]) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>{withFractions(value)}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Asks what the trousers are for and ranks the methods for this body, each with reasons and its real draft. */
export function AdviseView() {
  const work = useWork((s) => s.work);
  const set = useCurrentSet();
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const go = useNavigate();
  const worked = useComputed((c) => c.draft?.worked);
  const { wish, set: ask } = useAdvise();
  const { fitClass } = work.draft.fit;
  const typed = Object.keys(work.draft.settings).length + Object.keys(work.draft.set).length;
  const ranked = useMemo(
    () =>
      advise(
        SHEETS.map((sheet) =>
          inputByMethod({ ...work, draft: { ...work.draft, fit: { ...work.draft.fit, fitClass: undefined } } }, sheet),
        ),
        { ...wish, fit: fitClass, fromPair: set.source === 'pair' },
        unit,
      ),
    [work, wish, fitClass, set.source, unit],
  );
  return (
    <main className="board advise" aria-label="Which method">
      <ViewHead title="Which method" />
      <div className="asks">
        <AskList<UseId>
          label="For"
          value={wish.use}
          options={USES}
          none="Anything"
          onPick={(use) => {
            ask({ use });
          }}
        />
        <AskList<ClothId>
          label="Of"
          value={wish.cloth}
          options={CLOTHS}
          none="Any cloth"
          onPick={(cloth) => {
            ask({ cloth });
          }}
        />
        <AskList<FitClassId>
          label="Fit"
          value={fitClass}
          options={FIT_CLASSES.map((c) => [c.id, c.label] as const)}
          none="As the method"
          onPick={(next) => {
            change(changeFit({ fitClass: next }));
          }}
        />
        {COMMON.choices
          .filter((c) => ['seat', 'stomach', 'thighs', 'age'].includes(c.id))
          .map((c) => (
            <AskList<string>
              key={c.id}
              label={c.label}
              value={work.draft.choices[c.id]}
              options={c.values.map((v) => [v.id, v.label] as const)}
              none={`As the person${worked ? `: ${c.values.find((v) => v.id === worked.choices[c.id])?.label.toLowerCase() ?? ''}` : ''}`}
              onPick={(value) => {
                change(value === undefined ? unchoose(c.id) : choose(c.id, value));
              }}
            />
          ))}
      </div>
      <p className="quiet">
        Every method is drafted on these figures, in its first way and with its makers’ own eases. The best comes first.
      </p>
      {typed > 0 && (
        <p className="doubt" role="note">
          {typed === 1 ? 'One figure was' : `${typed} figures were`} typed or set by hand for this draft. The drawings
          here leave {typed === 1 ? 'it' : 'them'} out; what the method taken has too stays in the draft.
        </p>
      )}
      <ol className="advices">
        {ranked.map((advice, i) => (
          <li key={advice.sheet.id} data-advice={advice.sheet.id}>
            {advice.draft ? (
              <PiecePicture
                outlines={outlinesOf(advice.draft.block)}
                label={`Front and back by ${advice.sheet.name}`}
                weight={1.3}
              />
            ) : (
              <span />
            )}
            <div>
              <h3>
                {i + 1}. {advice.sheet.name}
                {advice.sheet.id === work.draft.method && <span className="quiet"> in hand</span>}
              </h3>
              <p>{advice.sheet.suits}</p>
              <ul className="speaks">
                {advice.speaksFor.map((words) => (
                  <li key={words} data-for>
                    {withFractions(words)}
                  </li>
                ))}
                {advice.speaksAgainst.map((words) => (
                  <li key={words} data-against>
                    {withFractions(words)}
                  </li>
                ))}
              </ul>
            </div>
            <Figures advice={advice} tape={tape} />
            <Button
              variant={i === 0 ? 'contained' : 'outlined'}
              disabled={!advice.draft}
              aria-label={`Draft by this: ${advice.sheet.name}`}
              onClick={() => {
                change(changeMethod(advice.sheet));
                void go('..', { relative: 'path' });
              }}
            >
              Draft by this
            </Button>
          </li>
        ))}
      </ol>
    </main>
  );
}
