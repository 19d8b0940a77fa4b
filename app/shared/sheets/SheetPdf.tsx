import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { WrittenPage } from '../../../core/drawing/index.js';
import { PAPERS } from '../../../formats/index.js';
import { JobProgress } from '../JobProgress.js';
import { fileName, saveFile } from '../save-file.js';
import { usePreferences } from '../../store/preferences.js';
import { useWork } from '../../store/work-context.js';
import type { Job } from '../job.js';
import { startSheets } from '../print-job.js';
import { useSheetHead } from './use-sheet-head.js';

/** Makes written pages a PDF on the maker's paper, without anybody's name where asked; a roll prints sheets on A4. */
export function SheetPdf({
  pages,
  name,
  unnamed = false,
}: {
  readonly pages: readonly WrittenPage[];
  readonly name: string;
  readonly unnamed?: boolean;
}) {
  const full = useSheetHead();
  const head = unnamed ? { ...full, lines: full.lines.slice(1) } : full;
  const work = useWork((s) => s.work);
  const paperId = usePreferences((p) => p.paper);
  const [said, setSaid] = useState<string>();
  const [progress, setProgress] = useState<number>();
  const job = useRef<Job<Uint8Array>>(undefined);
  useEffect(() => () => job.current?.stop(), []);
  const paper = PAPERS.find((p) => p.id === paperId) ?? PAPERS[0];
  const make = (): void => {
    if (!paper) return;
    setProgress(0);
    setSaid(undefined);
    const file = `${fileName(`${unnamed ? '' : work.person.name} ${work.draft.name} ${name}`)}.pdf`;
    job.current = startSheets(pages, head, paper, (done, all) => {
      setProgress((100 * done) / all);
    });
    job.current.answer
      .then((bytes) => {
        saveFile(file, new Uint8Array(bytes), 'application/pdf');
        setSaid(`Made ${file}.`);
      })
      .catch(() => {
        setSaid('The sheet could not be made. Try again; what is on the screen can be worked from meanwhile.');
      })
      .finally(() => {
        setProgress(undefined);
      });
  };
  return (
    <>
      {progress === undefined ? (
        <Button variant="contained" onClick={make}>
          Make PDF
        </Button>
      ) : (
        <JobProgress
          label="Making the sheet"
          value={progress}
          onStop={() => {
            job.current?.stop();
            setProgress(undefined);
            setSaid('Stopped. Nothing was made.');
          }}
        />
      )}
      <span role="status" className="quiet">
        {said}
      </span>
    </>
  );
}
