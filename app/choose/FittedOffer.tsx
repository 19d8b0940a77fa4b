import Button from '@mui/material/Button';
import { useParams } from 'react-router';
import { fittedDraft, lastFitting, type Fitting } from '../../core/kept/index.js';
import { VERDICTS } from '../shared/verdicts.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { beginFromFitted } from '../store/version-work.js';
import { useChange, useWork } from '../store/work-context.js';

/** The block that fits this person, offered to another draft of theirs. */
export function FittedOffer() {
  const { person, draft } = useWork(({ work }) => work);
  const { fitted } = person;
  return fitted && fitted.draft !== draft.id ? <Offer /> : null;
}

/** “Last fitting, 2026-10-05, of “Work trousers”: again in basted cloth. Stands: hips forward. Note: Tried on the ladder.” */
function lastSaid(of: string, { date, closed, posture = '', note }: Fitting): string {
  const verdict = VERDICTS.find(([id]) => id === closed)?.[1].toLowerCase() ?? '';
  return [
    `Last fitting, ${date}, of “${of}”: ${verdict}.`,
    ...(posture === '' ? [] : [`Stands: ${posture}.`]),
    ...(note === '' ? [] : [`Note: ${note}`]),
  ].join(' ');
}

function Offer() {
  const shelf = useShelf(roomOf(useParams().room));
  const person = useWork(({ work }) => work.person);
  const change = useChange();
  const drafts = shelf.data?.drafts.map((d) => d.value) ?? [];
  const found = fittedDraft(person, drafts);
  if (!found) return null;
  const last = lastFitting(drafts, person.id);
  return (
    <section className="notice" aria-label="The block that fits" data-fitted={found.name}>
      <p>
        “{found.name}” fits {person.name}, marked on {person.fitted?.date}. Begin from its method, lines and
        alterations; finish, cloth and measurements stay this draft’s.
      </p>
      {last && <p data-last-fitting={last.fitting.date}>{lastSaid(last.of, last.fitting)}</p>}
      <Button
        size="small"
        variant="outlined"
        onClick={() => {
          change(beginFromFitted(found));
        }}
      >
        Begin from the block that fits
      </Button>
    </section>
  );
}
