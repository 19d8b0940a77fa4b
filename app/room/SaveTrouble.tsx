import Button from '@mui/material/Button';
import { useStore } from 'zustand';
import { sayAct, type Work } from '../../core/kept/index.js';
import { sayClashes } from '../shared/clashes-said.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { withFractions } from '../shared/fractions.js';
import type { Autosave } from '../store/autosave.js';
import { sheetOf } from '../store/sheets.js';
import type { OpenWork } from '../store/open-work.js';
import { useUnit, useWork } from '../store/work-context.js';

/** Saves the person and the draft as they are here, stored or not, as a workbook. */
async function saveToFile({ person, draft }: Work): Promise<void> {
  const { writeWorkbook } = await import('../../core/workbook/index.js');
  const text = writeWorkbook({ people: [person], drafts: [draft], charts: [], practice: [], styles: [] }, new Date());
  saveFile(`${fileName(draft.name)}.upstride.json`, text, 'application/json');
}

/** What stands in the way of keeping the work, of computing it, or of the last step back, with the ways out. */
export function SaveTrouble({ autosave, open }: { readonly autosave: Autosave; readonly open: OpenWork }) {
  const { save, reason, clashes = [] } = useStore(autosave.state);
  const fault = useStore(open.computed, (c) => c.fault);
  const { refused, acts } = useStore(open.done);
  const work = useWork((s) => s.work);
  const reader = { unit: useUnit(), sheet: sheetOf(work.draft) };
  const toFile = (
    <Button size="small" variant="outlined" onClick={() => void saveToFile(work)}>
      Save to a file
    </Button>
  );
  if (save === 'conflict') {
    const what = sayClashes(clashes, reader);
    return (
      <div className="save-trouble" role="alert">
        {withFractions(`Another window has changed the same: ${what}. What is here is not stored yet.`)}{' '}
        <Button size="small" variant="contained" onClick={autosave.keepMine}>
          Keep what is here
        </Button>{' '}
        <Button size="small" variant="outlined" onClick={() => void autosave.takeTheirs()}>
          Take the other
        </Button>{' '}
        {toFile}
      </div>
    );
  }
  if (save === 'failed') {
    return (
      <div className="save-trouble" role="alert">
        This browser could not store the draft: {reason} It is here until the page is closed.{' '}
        <Button size="small" variant="contained" onClick={autosave.flush}>
          Try again
        </Button>{' '}
        {toFile}
      </div>
    );
  }
  if (fault !== undefined) {
    return (
      <div className="save-trouble" role="alert">
        Upstride could not compute this draft ({fault}). What was entered is kept; the last good draft stays on the
        board. Undo the last step, or save the draft to a file. {toFile}
      </div>
    );
  }
  if (refused) {
    const act = refused === 'undo' ? acts.findLast((a) => !a.undone) : acts.find((a) => a.undone);
    const done = refused === 'undo' ? 'undone' : 'done again';
    return (
      <div className="save-trouble" role="status">
        {withFractions(
          `“${act ? sayAct(act, reader) : 'The last act'}” cannot be ${done}: what it changed has been changed elsewhere since.`,
        )}{' '}
        <Button
          size="small"
          onClick={() => {
            open.done.setState({ refused: undefined });
          }}
        >
          All right
        </Button>
      </div>
    );
  }
  return null;
}
