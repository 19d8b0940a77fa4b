import Button from '@mui/material/Button';
import { newId } from '../shared/new-id.js';
import { useNavigate } from 'react-router';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { GARMENT_STARTS, startWork, type StartId } from '../../core/kept/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { outlinesOf } from '../shared/outlines.js';
import { PiecePicture } from '../shared/PiecePicture.js';
import { doOnShelf } from '../store/place-acts.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import './starts.css';

/** Bodies from the middle of the range, for the pictures. */
const ADULT = { waist: 760, hip: 1000, crotchDepth: 272, inseam: 780 };
const CHILD = { waist: 580, hip: 680, crotchDepth: 200, inseam: 520 };

const PICTURES = new Map(
  GARMENT_STARTS.map((start) => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      sheet: SHEETS.find((s) => s.id === start.method) ?? EMPTY_INPUT.sheet,
      measured: start.figure === 'child' ? CHILD : ADULT,
      fit: { fitClass: start.fitClass, stretch: start.stretch ?? 0 },
      choices: start.choices ?? {},
      settings: start.settings?.cm ?? {},
    });
    return [start.id, outcome.ok ? outlinesOf(outcome.value.block) : undefined] as const;
  }),
);

/** The ways to start: four measurements, a garment with its method, fit and leg, or a pair that fits. */
export function Starts({ room, onRefuse }: { room: RoomId; onRefuse: (sentence: string) => void }) {
  const go = useNavigate();
  const unit = usePreferences((p) => p.unit);
  const start = (id: StartId) => (): void => {
    const { person, draft } = startWork(id, newId, unit, new Date());
    const begin = async (): Promise<void> => {
      await doOnShelf(room, `New draft for ${person.name}`, { put: { people: [person], drafts: [draft] } });
      await go(`/${room}/draft/${draft.id}/measure`);
    };
    begin().catch((fault: unknown) => {
      const reason = fault instanceof Error ? fault.message : String(fault);
      onRefuse(
        `This browser does not let Upstride store anything: ${reason}. Allow storage for this address and try again.`,
      );
    });
  };
  return (
    <section className="starts" aria-label="Ways to start">
      <Button variant="contained" size="large" onClick={start('figures')}>
        Start from four measurements
      </Button>
      <h2>Or from a garment: method, fit and leg come with it</h2>
      <ul>
        {GARMENT_STARTS.map(({ id, label, about }) => {
          const outlines = PICTURES.get(id);
          return (
            <li key={id}>
              <button type="button" onClick={start(id)}>
                {outlines && <PiecePicture outlines={outlines} weight={1.3} />}
                <strong>{label}</strong>
                <span className="quiet">{about}</span>
              </button>
            </li>
          );
        })}
        <li>
          <button type="button" onClick={start('pair')}>
            <svg className="picture" viewBox="0 0 92 104" aria-hidden="true">
              <path
                d="M18 8h56l8 88H58L46 40 34 96H10zM18 16h56"
                fill="none"
                stroke="var(--text)"
                strokeWidth={1.3}
                strokeLinejoin="round"
              />
            </svg>
            <strong>A pair that fits</strong>
            <span className="quiet">Measured laid flat, as it is worn.</span>
          </button>
        </li>
      </ul>
    </section>
  );
}
