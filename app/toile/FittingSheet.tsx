import Checkbox from '@mui/material/Checkbox';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { computeDraft } from '../../core/chain/index.js';
import { inputOf, workOfVersion } from '../../core/kept/index.js';
import { predictionSaid } from '../../core/sew/index.js';
import { formatLength, tapeFor } from '../../core/units/index.js';
import { blankFittingPage, fittingPage, sewnSeam } from '../../core/toile/index.js';
import { SheetPdf } from '../shared/sheets/SheetPdf.js';
import { WrittenSheet } from '../shared/sheets/WrittenSheet.js';
import { ViewHead } from '../shared/ViewHead.js';
import { roomOf } from '../store/rooms.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';
import { CLOTHS, VERDICTS } from '../shared/verdicts.js';
import { useFitting } from './use-fitting.js';
import { useKnowledge } from './use-knowledge.js';
import { useFittingPictures } from './use-fitting-pictures.js';
import '../shared/sheets/sheets.css';

const SEEN_SO = { so: 'It was so.', otherwise: 'It was otherwise.', not: '' } as const;

/** Something that is left out of the sheet unless it is ticked. */
function Ticked({ label, on, onTick }: { label: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label>
      <Checkbox
        size="small"
        checked={on}
        onChange={(_, next) => {
          onTick(next);
        }}
      />
      {label}
    </label>
  );
}

/** The fitting as a page: blank, to be filled beside the person; or as it was, to be kept on paper or handed over. */
export function FittingSheet() {
  const { fitting } = useFitting();
  const work = useWork((s) => s.work);
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  const knowledge = useKnowledge();
  const [blank, setBlank] = useState(false);
  const [named, setNamed] = useState(false);
  const [pictured, setPictured] = useState(false);
  const room = roomOf(useParams().room);
  const pictures = useFittingPictures(room, pictured ? fitting : undefined);
  const filled = useMemo(() => {
    if (!fitting || !draft) return undefined;
    const show = (mm: number): string => formatLength(mm, tapeFor(unit));
    const {
      date,
      who,
      cloth,
      give,
      posture = '',
      note,
      seen,
      pins,
      sewn = [],
      done = [],
      predicted = [],
      version,
      allowance = 0,
      closed,
    } = fitting;
    const tried = work.draft.versions?.find((v) => v.id === version);
    const then = tried && workOfVersion(work, tried);
    const before = then && computeDraft(inputOf(then, sheetOf(then.draft)));
    return fittingPage(
      {
        date,
        of: named ? `${work.person.name}, ${work.draft.name}` : work.draft.name,
        who: named ? who : '',
        cloth: CLOTHS.find(([id]) => id === cloth)?.[1].toLowerCase() ?? '',
        give,
        posture,
        note,
        verdict: VERDICTS.find(([id]) => id === closed)?.[1].toLowerCase() ?? '',
        seen,
        pins,
        sewn: sewn.flatMap((one) => sewnSeam(one, allowance, draft) ?? []),
        predicted: predicted.map((p) => ({ words: predictionSaid(p, show), seen: SEEN_SO[p.seen ?? 'not'] })),
        done: done.map(({ cause, by, leg }) => ({
          words: knowledge.causes.find((c) => c.id === cause)?.words ?? cause,
          by,
          leg,
        })),
        photos: pictures,
        before: before?.ok ? before.value.block : undefined,
        now: draft.block,
      },
      unit,
      knowledge,
    );
  }, [fitting, draft, work, named, unit, pictures, knowledge]);
  const page = blank || !filled ? blankFittingPage(knowledge) : filled;
  return (
    <main id="board" className="board sheet-page" aria-label="Fitting sheet" tabIndex={0}>
      <ViewHead title="Fitting sheet" station="Toile" />
      <div className="acts">
        {filled && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={blank ? 'blank' : 'filled'}
            aria-label="Which sheet"
            onChange={(_, next: string | null) => {
              if (next) setBlank(next === 'blank');
            }}
          >
            <ToggleButton value="filled" sx={{ color: 'var(--text)', textTransform: 'none' }}>
              This fitting
            </ToggleButton>
            <ToggleButton value="blank" sx={{ color: 'var(--text)', textTransform: 'none' }}>
              Blank
            </ToggleButton>
          </ToggleButtonGroup>
        )}
        {filled && !blank && <Ticked label="With names" on={named} onTick={setNamed} />}
        {filled && !blank && (fitting?.photos ?? []).length > 0 && (
          <Ticked label="With photos" on={pictured} onTick={setPictured} />
        )}
        <SheetPdf pages={[page]} name={blank || !filled ? 'blank fitting sheet' : 'fitting'} unnamed={!named} />
      </div>
      <WrittenSheet page={page} sheet="fitting" />
    </main>
  );
}
