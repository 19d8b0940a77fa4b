import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Back from '@mui/icons-material/NavigateBefore';
import Next from '@mui/icons-material/NavigateNext';
import { useEffect, useRef, useState } from 'react';
import { useStepKeys } from '../shared/use-step-keys.js';
import type { OpenPages } from './open-pages.js';
import './page-look.css';

/** Room about a page on the board, in CSS pixels, and how much larger a page is drawn to read it. */
const ROUND = 28;
const LARGER = 2.5;

/** The pages of a print as they come out of the printer, read back from the file; one of them can be asked for alone. */
export function PageLook({
  bytes,
  onOnly,
  onClose,
}: {
  readonly bytes: Uint8Array;
  readonly onOnly: (page: number) => void;
  readonly onClose: () => void;
}) {
  const [pages, setPages] = useState<OpenPages>();
  const [failed, setFailed] = useState(false);
  const [page, setPage] = useState(1);
  const [larger, setLarger] = useState(false);
  const [drawn, setDrawn] = useState<string>();
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);

  useEffect(() => {
    let left = false;
    let opened: OpenPages | undefined;
    import('./open-pages.js')
      .then(({ openPages }) => openPages(bytes))
      .then((found) => {
        opened = found;
        if (left) found.close();
        else setPages(found);
      })
      .catch(() => {
        if (!left) setFailed(true);
      });
    return () => {
      left = true;
      opened?.close();
    };
  }, [bytes]);

  const shows = `${page} ${larger ? 'larger' : 'whole'}`;
  useEffect(() => {
    const [on, room] = [canvas.current, frame.current];
    if (!pages || !on || !room) return;
    let gone = false;
    const box = { width: room.clientWidth - ROUND, height: room.clientHeight - ROUND };
    // A page is drawn on a sheet of its own, so that a slow one does not come to lie on the next.
    const sheet = document.createElement('canvas');
    pages
      .draw(sheet, page, box, larger ? LARGER : 1)
      .then(() => {
        if (gone) return;
        on.width = sheet.width;
        on.height = sheet.height;
        on.style.width = sheet.style.width;
        on.style.height = sheet.style.height;
        on.getContext('2d')?.drawImage(sheet, 0, 0);
        setDrawn(shows);
      })
      .catch(() => {
        if (!gone) setFailed(true);
      });
    return () => {
      gone = true;
    };
  }, [pages, page, larger, shows]);

  const count = pages?.count ?? 0;
  const go = (to: number): void => {
    setPage(Math.min(Math.max(1, to), Math.max(1, count)));
  };
  const turn = (): void => {
    setLarger((is) => !is);
  };
  useStepKeys(page, [1, count], go, { Escape: onClose });
  return (
    <section className="page-look" aria-label="The pages">
      <div className="page-look-acts" role="toolbar" aria-label="Pages">
        <IconButton aria-label="Page before" disabled={page <= 1} onClick={() => go(page - 1)}>
          <Back />
        </IconButton>
        <span role="status">{count > 0 ? `Page ${page} of ${count}` : 'Opening the pages'}</span>
        <IconButton aria-label="Next page" disabled={page >= count} onClick={() => go(page + 1)}>
          <Next />
        </IconButton>
        <Button size="small" disabled={count === 0} aria-pressed={larger} onClick={turn}>
          {larger ? 'Whole page' : 'Larger'}
        </Button>
        <Button
          size="small"
          disabled={count === 0}
          onClick={() => {
            onOnly(page);
          }}
        >
          Print only this page
        </Button>
        <Button size="small" onClick={onClose}>
          Back to the plan
        </Button>
      </div>
      {failed ? (
        <p className="board-empty" role="alert">
          The pages cannot be shown here. Make the PDF and look at it in the reader that you print with.
        </p>
      ) : (
        <div className="page-look-frame" ref={frame} tabIndex={0} role="group" aria-label="The page, to be scrolled">
          <canvas ref={canvas} role="img" aria-label={`Page ${page} of the print`} data-drawn={drawn} />
        </div>
      )}
    </section>
  );
}
