import { useState } from 'react';
import { same } from '../../core/kept/index.js';

/** A value that stays the very one as long as nothing in it changes. */
export function useStable<T>(value: T): T {
  const [held, setHeld] = useState(value);
  if (same(held, value)) return held;
  setHeld(value);
  return value;
}
