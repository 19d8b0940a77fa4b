import type { Assumed } from '../../core/body/index.js';
import { useWork } from '../store/work-context.js';
import { useHanging } from './hang-store.js';

const NOTHING: Partial<Assumed> = {};

/** What is set of the body of the person in hand: what was set of another's stays with that one. */
export function useAssumed(): Partial<Assumed> {
  const person = useWork(({ work }) => work.person.id);
  const assumed = useHanging((s) => s.assumed);
  return assumed.person === person ? assumed.set : NOTHING;
}
