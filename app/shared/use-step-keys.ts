import { useKeys } from './use-keys.js';

/**
 * The keys that go through what is looked at one by one: on and back, and to either end. `go` holds what lies beyond the
 * ends.
 */
export function useStepKeys(
  at: number,
  [first, last]: readonly [number, number],
  go: (to: number) => void,
  more: Readonly<Record<string, () => void>> = {},
): void {
  const to = (place: number) => (): void => {
    go(place);
  };
  useKeys({
    n: to(at + 1),
    PageDown: to(at + 1),
    p: to(at - 1),
    PageUp: to(at - 1),
    Home: to(first),
    End: to(last),
    ...more,
  });
}
