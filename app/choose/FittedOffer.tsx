import Button from '@mui/material/Button';
import { useParams } from 'react-router';
import { fittedDraft } from '../../core/kept/index.js';
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

function Offer() {
  const shelf = useShelf(roomOf(useParams().room));
  const person = useWork(({ work }) => work.person);
  const change = useChange();
  const found = fittedDraft(person, shelf.data?.drafts.map((d) => d.value) ?? []);
  if (!found) return null;
  return (
    <section className="notice" aria-label="The block that fits" data-fitted={found.name}>
      <p>
        “{found.name}” fits {person.name}, marked on {person.fitted?.date}. Begin from its method, lines and
        alterations; finish, cloth and measurements stay this draft’s.
      </p>
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
