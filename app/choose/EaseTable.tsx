import NativeSelect from '@mui/material/NativeSelect';
import { useId } from 'react';
import { Link, useParams } from 'react-router';
import { easeTable, extensionsFor, type EaseRow } from '../../core/chain/index.js';
import { FIT_CLASSES, fitClassOf, showSum, warningSentence, type FitClassId } from '../../core/method/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { formatFigure, formatLength, readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { inputNow } from '../store/sheets.js';
import { takeLine } from '../shared/line-in-hand.js';
import { LineTold } from '../shared/LineTold.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { SourceMark } from '../shared/SourceMark.js';
import { sheetOf } from '../store/sheets.js';
import { useChange, useComputed, useTape, useUnit, useWork } from '../store/work-context.js';
import { changeFit, changeSetting, giveBack, setByHand } from '../store/work-changes.js';
import './choose.css';

const EXTENSIONS = ['front.extension', 'back.extension'];
const NAMES: Readonly<Record<string, readonly [ease: string, finished: string]>> = {
  waist: ['Waist ease', 'Finished waist'],
  hip: ['Hip ease', 'Finished hip'],
  crotchDepth: ['Crotch depth ease', 'Finished crotch depth'],
  thigh: ['Thigh ease', 'Finished thigh'],
  knee: ['Knee ease', 'Knee girth'],
  heel: ['Hem ease', 'Hem girth'],
};

/** What the pieces measure beyond the ease is told from here, in mm. */
const OVER_TOLD = 1;

/**
 * What the pieces measure beyond body and ease, in sentences: what the sheet lays on, and what comes of the lines
 * drawn.
 */
function overTold({ id, setting }: EaseRow, show: (mm: number) => string): string {
  if (setting?.holds !== 'ease') return '';
  const { over, laidOn } = setting;
  const said = (mm: number, words: (more: string) => string): string =>
    Math.abs(mm) > OVER_TOLD ? ` ${words(`${show(Math.abs(mm))} ${mm > 0 ? 'more' : 'less'}`)}` : '';
  const drawn =
    id === 'hip'
      ? (more: string) =>
          `The pieces measure ${more} than is laid off: on the hip line the rises leave their centre lines.`
      : (more: string) => `The pieces measure ${more} than is laid off.`;
  return said(laidOn, (more) => `The sheet lays off ${more} than body and ease.`) + said(over - laidOn, drawn);
}

/** The settings that the table of ease holds, so that they are not asked for a second time. */
export const EASE_SETTINGS: ReadonlySet<string> = new Set([
  'waistEase',
  'hipEase',
  'crotchEase',
  'thighEase',
  'kneeGirth',
  'hemGirth',
]);

function EaseLine({ row }: { row: EaseRow }) {
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const draft = useComputed((c) => c.draft);
  const refusal = useComputed((c) => c.refusals.find((r) => r.field === (row.setting?.name ?? 'front.extension')));
  const work = useWork(({ work: now }) => now);
  const byHand = useWork(({ work }) =>
    row.setting ? row.setting.name in work.draft.settings : EXTENSIONS.some((name) => name in work.draft.set),
  );
  const typed = useWork(({ work }) => (row.setting ? work.draft.settings[row.setting.name] : undefined));
  const [easeName, finishedName] = NAMES[row.id] ?? [row.label, row.label];
  const source = byHand ? 'hand' : row.restsOnEstimate ? 'estimate' : 'sheet';
  const held = row.setting?.holds;
  const over = row.setting?.over ?? 0;
  const asked = typed === undefined ? row.finished : typed + over;
  // A refused figure stays in its field, though the last good draft gives another.
  const ease = held === 'ease' ? (typed ?? row.ease) : held === 'finished' ? asked - row.body : row.ease;
  const finished = held === 'finished' ? asked : row.body + ease + over;
  const wish = (mm: number | undefined, as: 'ease' | 'finished'): void => {
    if (row.setting) {
      const { name, holds } = row.setting;
      if (mm === undefined) change(changeSetting(name, undefined));
      else {
        const drawn = as === 'ease' ? mm + row.body : mm;
        change(changeSetting(name, holds === 'finished' ? drawn - over : as === 'ease' ? mm : mm - row.body - over));
      }
    } else if (draft) {
      const wanted =
        mm === undefined ? undefined : extensionsFor(draft, as === 'ease' ? mm + row.body : mm, inputNow(work));
      change(wanted ? setByHand(wanted) : giveBack(EXTENSIONS));
    }
  };
  const line = row.setting && draft?.worked.ledger.get(row.setting.name);
  const lineName = row.setting?.name ?? 'thighWidth';
  return (
    <div className="line ease-line" data-line={lineName} data-source={source} onFocus={takeLine(lineName)}>
      <span className="label">
        {row.label} <span className="quiet">{withFractions(formatFigure(row.body, tape))}</span>
      </span>
      <LengthField
        label={easeName}
        mm={ease}
        unit={unit}
        source={source}
        allowEmpty
        problem={held === 'ease' ? refusal && refusalSentence(refusal, readerIn(unit)) : undefined}
        onCommit={(mm) => {
          wish(mm, 'ease');
        }}
      />
      <LengthField
        label={finishedName}
        mm={finished}
        unit={unit}
        source={source}
        allowEmpty
        problem={held === 'ease' ? undefined : refusal && refusalSentence(refusal, readerIn(unit))}
        onCommit={(mm) => {
          wish(mm, 'finished');
        }}
      />
      <SourceMark
        source={source}
        label={held === 'finished' ? finishedName : easeName}
        onGiveBack={() => {
          wish(undefined, 'ease');
        }}
      />
      <LineTold line={lineName} title={row.label}>
        {line && draft && line.source !== 'hand'
          ? `${withFractions(showSum(draft.worked, line.name, unit).told)}. ${line.reason}`
          : row.setting
            ? ''
            : 'Both crotch widths together; a figure given here changes both extensions.'}
        {overTold(row, (mm) => withFractions(formatLength(mm, tape)))}
      </LineTold>
    </div>
  );
}

const percent = (share: number): number => Math.round(share * 1000) / 10;

/** Cloth stretches by no more than this share. */
const MOST_STRETCH = 3;

/**
 * How close it fits and of what cloth: the class, and every finished girth as body + ease, which both pieces follow.
 */
export function EaseTable() {
  const unit = useUnit();
  const { room = '', draftId = '' } = useParams();
  const classId = useId();
  const work = useWork((s) => s.work);
  const draft = useComputed((c) => c.draft);
  const change = useChange();
  const sheet = sheetOf(work.draft);
  const { fit } = work.draft;
  return (
    <>
      <div className="line">
        <label htmlFor={classId}>Fit</label>
        <NativeSelect
          inputProps={{ id: classId }}
          sx={{ gridColumn: '2 / -1' }}
          value={fit.fitClass ?? ''}
          onChange={(event) => {
            const chosen = event.target.value;
            change(changeFit({ fitClass: chosen === '' ? undefined : (chosen as FitClassId) }));
          }}
        >
          <option value="">As the sheet</option>
          {FIT_CLASSES.map((c) => (
            <option key={c.id} value={c.id}>
              {c.label}
            </option>
          ))}
        </NativeSelect>
      </div>
      {!fit.fitClass && (
        <p className="quiet">
          The sheet’s own eases; it is meant to be{' '}
          {(draft?.worked.fitClass ?? fitClassOf(sheet, work.draft.choices)).label.toLowerCase()}.
        </p>
      )}
      {draft?.worked.warnings.map((w) => (
        <p key={w.code === 'outOfRange' ? w.label : w.code} className="doubt" role="note">
          {withFractions(warningSentence(w, readerIn(unit)))}
        </p>
      ))}
      <div className="line ease-line ease-head" aria-hidden="true">
        <span>Body</span>
        <span>+ ease</span>
        <span>= finished</span>
        <span />
      </div>
      {draft ? (
        easeTable(draft).map((row) => <EaseLine key={row.id} row={row} />)
      ) : (
        <p className="quiet">The finished girths appear once the four measurements are in.</p>
      )}
      <h3>Cloth</h3>
      <div className="line" data-line="stretch">
        <label htmlFor="cloth-stretch">Stretch</label>
        <PlainField
          id="cloth-stretch"
          label="Stretch"
          value={percent(fit.stretch)}
          places={1}
          suffix="%"
          source={fit.stretch === 0 ? 'sheet' : 'hand'}
          step={1}
          onCommit={(value) => {
            change(changeFit({ stretch: Math.min(MOST_STRETCH, Math.max(0, value / 100)) }));
          }}
        />
        <span />
      </div>
      <p className="quiet">
        Width, nap and what it shrinks by are set <Link to={`/${room}/draft/${draftId}/cut/lay`}>with the cloth</Link>.
      </p>
    </>
  );
}
