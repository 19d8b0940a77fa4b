import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { JobProgress } from '../shared/JobProgress.js';
import type { Job } from '../shared/job.js';
import { startPrint } from '../shared/print-job.js';
import { fileName, saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useTape, useWork } from '../store/work-context.js';
import { printHead } from './print.js';
import type { Print } from './use-print.js';

/** Makes the print a PDF, all of it or the pages that are wanted, or has its pages looked at first. */
export function PrintActs({
  print,
  only,
  onLook,
}: {
  readonly print: Print;
  /** The pages that are wanted; all where none are named; nothing where what was typed cannot be read. */
  readonly only: { readonly pages: readonly number[] | undefined } | undefined;
  readonly onLook: (bytes: Uint8Array) => void;
}) {
  const { draft, drawing, pages, paper } = print;
  const work = useWork((s) => s.work);
  const tape = useTape();
  const ink = usePreferences((p) => p.ink);
  const [progress, setProgress] = useState<number>();
  const [said, setSaid] = useState<string>();
  const job = useRef<Job<Uint8Array>>(undefined);
  const make = useRef<HTMLButtonElement>(null);
  useEffect(() => () => job.current?.stop(), []);

  const made = progress === undefined && said !== undefined;
  useEffect(() => {
    // The button that was pressed gave way to the progress: the focus comes back to it, unless it went elsewhere.
    if (made && document.activeElement === document.body) make.current?.focus();
  }, [made]);

  const run = (
    wanted: readonly number[] | undefined,
    then: (bytes: Uint8Array<ArrayBuffer>) => string | undefined,
  ): void => {
    if (!draft || !drawing) return;
    setSaid(undefined);
    setProgress(0);
    const started = startPrint(drawing, printHead(draft, work, tape), paper, { ink, only: wanted }, (done, all) => {
      setProgress((100 * done) / all);
    });
    job.current = started;
    started.answer
      .then((bytes) => {
        setSaid(then(new Uint8Array(bytes)));
      })
      .catch(() => {
        setSaid('The print could not be made. Try again; if it fails again, save the SVG instead.');
      })
      .finally(() => {
        setProgress(undefined);
      });
  };
  const save = (): void => {
    const wanted = paper ? only?.pages : undefined;
    const count = wanted?.length ?? pages;
    const name = fileName(`${work.person.name} ${work.draft.name}`);
    run(wanted, (bytes) => {
      saveFile(`${name}.pdf`, bytes, 'application/pdf');
      return `Made ${name}.pdf, ${count} ${count === 1 ? 'page' : 'pages'}. Print it at 100 % and measure the test squares.`;
    });
  };
  const look = (): void => {
    run(undefined, (bytes) => {
      onLook(bytes);
      return undefined;
    });
  };

  return (
    <>
      {progress === undefined ? (
        <div className="acts">
          <Button ref={make} variant="contained" disabled={!drawing || !only} onClick={save}>
            Make PDF
          </Button>
          <Button variant="outlined" disabled={!drawing} onClick={look}>
            Look at the pages
          </Button>
        </div>
      ) : (
        <JobProgress
          label="Making the print"
          value={progress}
          onStop={() => {
            job.current?.stop();
            setProgress(undefined);
            setSaid('Stopped. Nothing was made.');
          }}
        />
      )}
      <p role="status">{said}</p>
    </>
  );
}
