import NativeSelect from '@mui/material/NativeSelect';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useRef, useState } from 'react';
import type { Conflict, Merge, Side, WorkbookContent } from '../../core/kept/index.js';
import { isMeasurementId, measurementLabel } from '../../core/measure/index.js';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import type { RoomId } from '../store/rooms.js';
import { openBook, type OpeningBook } from '../store/open-book.js';
import { FileButton, JSON_FILES } from './FileButton.js';
import './workbook-opened.css';

interface OpenWorkbookProps {
  readonly room: RoomId;
  readonly label: string;
  readonly size?: 'small' | 'large';
  /** What is in the room already; the file is merged into it. */
  readonly here: () => Promise<WorkbookContent>;
  readonly onMerged: (put: WorkbookContent, told: string) => Promise<void>;
  /** Hears why a file was refused, in a sentence; nothing once another file is chosen. */
  readonly onRefuse: (sentence: string | undefined) => void;
}

/** A file that is read faster than this shows no progress. */
const SLOW_MS = 350;

const SIDES: Readonly<Record<Conflict['kind'], readonly (readonly [Side, string])[]>> = {
  set: [
    ['both', 'Keep both sets'],
    ['mine', 'Keep what is here'],
    ['theirs', 'Take the file’s'],
  ],
  person: [
    ['both', 'Keep what is here, note the file’s'],
    ['mine', 'Keep what is here'],
    ['theirs', 'Take the file’s'],
  ],
  draft: [
    ['both', 'Keep both drafts'],
    ['mine', 'Keep what is here'],
    ['theirs', 'Take the file’s'],
  ],
  chart: [
    ['both', 'Keep both charts'],
    ['mine', 'Keep what is here'],
    ['theirs', 'Take the file’s'],
  ],
  style: [
    ['both', 'Keep both styles'],
    ['mine', 'Keep what is here'],
    ['theirs', 'Take the file’s'],
  ],
  name: [
    ['both', 'Two people'],
    ['mine', 'One person: facts from here'],
    ['theirs', 'One person: facts from the file'],
  ],
};

const WORDS: Readonly<Record<string, string>> = {
  corrected: 'history of corrections',
  waistSits: 'where the waist was taken',
  settings: 'settings',
  set: 'lines set by hand',
  sizes: 'sizes',
};

const inWords = (key: string): string =>
  isMeasurementId(key) ? measurementLabel(key).toLowerCase() : (WORDS[key] ?? key);

function Question({ conflict, side, onChoose }: { conflict: Conflict; side: Side; onChoose: (side: Side) => void }) {
  return (
    <li data-conflict={conflict.kind}>
      <div>
        <strong>{conflict.about}</strong>
        <div className="quiet">
          {conflict.kind === 'name' ? 'The same name here and in the file: ' : 'Differs in '}
          {conflict.differs.slice(0, 6).map(inWords).join(', ')}
          {conflict.differs.length > 6 && ` and ${conflict.differs.length - 6} more`}
        </div>
      </div>
      <NativeSelect
        inputProps={{ 'aria-label': `What to keep of ${conflict.about}` }}
        value={side}
        onChange={(event) => {
          onChoose(event.target.value as Side);
        }}
      >
        {SIDES[conflict.kind].map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </NativeSelect>
    </li>
  );
}

const counted = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** What a merge brought, in a sentence. */
const told = ({ fresh, conflicts }: Merge): string =>
  `Opened a workbook: ${counted(fresh.people, 'new person', 'new people')}, ${counted(fresh.sets, 'new set', 'new sets')}, ${counted(fresh.drafts, 'new draft', 'new drafts')}${fresh.styles > 0 ? `, ${counted(fresh.styles, 'new style', 'new styles')}` : ''}${conflicts.length > 0 ? `, ${conflicts.length} decided` : ''}`;

/** Lets the maker choose a workbook file and merges it into the room: whole, or not at all; what differs is asked. */
export function OpenWorkbook({ room, label, size = 'small', here, onMerged, onRefuse }: OpenWorkbookProps) {
  const job = useRef<OpeningBook>(undefined);
  const [progress, setProgress] = useState<number>();
  const [slow, setSlow] = useState(false);
  const reading = progress !== undefined;
  useEffect(() => {
    if (!reading) return undefined;
    const timer = setTimeout(() => setSlow(true), SLOW_MS);
    return () => clearTimeout(timer);
  }, [reading]);
  const [merge, setMerge] = useState<Merge>();
  const [decisions, setDecisions] = useState<ReadonlyMap<string, Side>>(new Map());

  const close = (): void => {
    job.current?.stop();
    job.current = undefined;
    setProgress(undefined);
    setSlow(false);
    setMerge(undefined);
    setDecisions(new Map());
  };
  const finish = async (asked: Merge, decided: ReadonlyMap<string, Side>): Promise<void> => {
    const put = await job.current?.merged(decided, room);
    close();
    if (!put) return;
    await onMerged(put, told(asked));
  };
  const open = async (chosen: File): Promise<void> => {
    onRefuse(undefined);
    setProgress(0);
    try {
      const started = openBook(chosen, await here(), (share) => {
        setProgress(100 * share);
      });
      job.current = started;
      const asked = await started.asked;
      if (job.current !== started) return;
      setProgress(undefined);
      setSlow(false);
      if (!asked.ok) {
        close();
        onRefuse(`${fileRefusalsSentence(asked.refusals, readerIn('cm'))} Nothing was changed.`);
      } else if (asked.merge.conflicts.length > 0) setMerge(asked.merge);
      else await finish(asked.merge, new Map());
    } catch {
      close();
      onRefuse('The file could not be opened. Try again, or open an older copy of it. Nothing was changed.');
    }
  };
  return (
    <>
      <FileButton
        words={label}
        label="Workbook file"
        accept={JSON_FILES}
        size={size}
        onFile={(file) => {
          void open(file);
        }}
      />
      <Dialog open={reading && slow} aria-label="Reading the workbook" fullWidth maxWidth="xs">
        <DialogContent>
          <p>Reading the workbook …</p>
          <LinearProgress variant="determinate" value={progress ?? 0} aria-label="Reading the workbook" />
        </DialogContent>
        <DialogActions>
          <Button onClick={close}>Stop</Button>
        </DialogActions>
      </Dialog>
      <Dialog open={merge !== undefined} onClose={close} aria-labelledby="merge-title" fullWidth maxWidth="sm">
        <DialogTitle id="merge-title">What is here and in the file differs</DialogTitle>
        <DialogContent>
          <p>Everything else is joined: every set of both sides is kept.</p>
          <ul className="conflicts">
            {merge?.conflicts.map((conflict) => (
              <Question
                key={conflict.id}
                conflict={conflict}
                side={decisions.get(conflict.id) ?? 'both'}
                onChoose={(side) => {
                  setDecisions(new Map(decisions).set(conflict.id, side));
                }}
              />
            ))}
          </ul>
        </DialogContent>
        <DialogActions>
          <Button onClick={close}>Change nothing</Button>
          <Button
            variant="contained"
            onClick={() => {
              if (merge) void finish(merge, decisions);
            }}
          >
            Merge
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
