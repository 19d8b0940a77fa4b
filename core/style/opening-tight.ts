import type { StyleContext } from './component.js';
import type { Finding } from './finding.js';
import { partsByName, type Making } from './making.js';
import { onceRound } from './round.js';
import { runLength } from './run.js';

/** A top that does not open and is narrower, stretched, than the hips it must pass: told of the component that makes it. */
export function openingTight(component: string, making: Making, { hip, stretch }: StyleContext): readonly Finding[] {
  if (making.opening) return [];
  const opening = runLength(partsByName(making), onceRound(making));
  if (opening * (1 + stretch) >= hip) return [];
  return [{ component, code: 'openingTight', figures: { opening, hip }, weight: 'out' }];
}
