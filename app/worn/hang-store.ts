import { proxy } from 'comlink';
import { create } from 'zustand';
import type { Assumed } from '../../core/body/index.js';
import type { DraftInput } from '../../core/chain/index.js';
import type { Leg } from '../../core/draft/index.js';
import { shapesOf, type BodyTold, type FitMapId, type Hung, type Wearing } from '../../core/sew/index.js';
import { runJob, type Job } from '../shared/job.js';
import type { Hanger, HangOrder, HungDraft } from '../workers/toile.worker.js';
import { FRONT, type Look, type Pointed } from './look.js';

const sewer = (): Worker => new Worker(new URL('../workers/toile.worker.ts', import.meta.url), { type: 'module' });

/** A garment that is being hung, or hangs. */
export interface Hanging {
  /** How far it is, from nought to one. */
  readonly share: number;
  readonly body: BodyTold | undefined;
  /** What hangs so far. */
  readonly so: Hung | undefined;
  readonly done: boolean;
  /** Why it could not be hung. */
  readonly failed: string | undefined;
}

interface HangState {
  readonly cloth: string;
  readonly map: FitMapId;
  /** What the draft in hand is held against. */
  readonly against: string;
  /** What a maker has set of a body that is assumed, and of whose body. */
  readonly assumed: { readonly person: string; readonly set: Partial<Assumed> };
  /** The leg whose figures and pieces are shown, where an alteration makes the two differ. */
  readonly leg: Leg;
  readonly look: Look;
  /** What one points at, on the body or on the pieces. */
  readonly pointed: Pointed | undefined;
  readonly hangings: Readonly<Record<string, Hanging>>;
  /** The body that was made last, and of whose figures: it stays in sight while what is assumed of it is changed. */
  readonly last: { readonly wearer: string; readonly body: BodyTold } | undefined;
  readonly set: (
    change: Partial<Pick<HangState, 'cloth' | 'map' | 'against' | 'assumed' | 'leg' | 'look' | 'pointed'>>,
  ) => void;
}

/** What hangs, and how it is looked at; kept while the program runs. */
export const useHanging = create<HangState>()((set) => ({
  cloth: 'calico',
  map: 'drag',
  against: 'drafted',
  assumed: { person: '', set: {} },
  leg: 'left',
  look: FRONT,
  pointed: undefined,
  hangings: {},
  last: undefined,
  set: (change) => {
    set(change);
  },
}));

/** So many hangings are remembered, the newest last. */
const REMEMBERED = 6;

const jobs = new Map<string, Job<unknown>>();

/** An order that hangs one draft on the body of another, or on its own: only what it hangs by is in it. */
export function orderFor(draft: HungDraft, on: DraftInput, assumed: Partial<Assumed>, cloth: string): HangOrder {
  const { sheet, measured, figure, adopted } = on;
  const style = shapesOf(draft.style);
  // House figures are rounded to the maker's unit: without a style there are none.
  const unit = style.length > 0 ? draft.unit : 'cm';
  return { input: draft.input, style, unit, wearer: { sheet, measured, figure, adopted }, assumed, cloth };
}

/** Whose body an order is for. */
export const wearerOf = ({ wearer }: HangOrder): string => JSON.stringify(wearer);

/** What an order is remembered by. */
export const keyOf = (order: HangOrder): string => JSON.stringify(order);

function put(key: string, change: Partial<Hanging>): void {
  useHanging.setState(({ hangings }) => {
    const { [key]: before, ...others } = hangings;
    const next: Hanging = {
      share: 0,
      body: undefined,
      so: undefined,
      done: false,
      failed: undefined,
      ...before,
      ...change,
    };
    const kept = Object.entries(others).slice(1 - REMEMBERED);
    return { hangings: { ...Object.fromEntries(kept), [key]: next } };
  });
}

/** Hangs what is ordered in a worker of its own, unless it hangs already or is being hung. */
export function hang(order: HangOrder): void {
  const key = keyOf(order);
  const known = useHanging.getState().hangings[key];
  if (jobs.has(key) || known?.done) return;
  put(key, { share: 0, failed: undefined });
  const wearer = wearerOf(order);
  const tell = (wearing: Wearing): void => {
    put(key, wearing);
    if (wearing.body) useHanging.setState({ last: { wearer, body: wearing.body } });
  };
  const job = runJob<Hanger, boolean>(sewer, 'The virtual toile could not be sewn', (at) =>
    at.hang(order, proxy(tell)),
  );
  jobs.set(key, job);
  job.answer
    .then((drawn) => {
      put(key, drawn ? { share: 1, done: true } : { failed: 'This draft cannot be drawn, so it cannot be sewn.' });
    })
    .catch((fault: unknown) => {
      put(key, { failed: fault instanceof Error ? `${fault.message}.` : 'The virtual toile could not be sewn.' });
    })
    .finally(() => jobs.delete(key));
}

/** Stops all that is being hung; what hangs so far stays. */
export function stopHanging(): void {
  for (const [key, job] of jobs) {
    job.stop();
    jobs.delete(key);
    const hanging = useHanging.getState().hangings[key];
    if (hanging && !hanging.so) {
      useHanging.setState(({ hangings }) => ({
        hangings: Object.fromEntries(Object.entries(hangings).filter(([other]) => other !== key)),
      }));
    }
  }
}
