const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The place between two bounds where a function with one valley there is least (golden section search, Kiefer 1953).
 */
export function goldenLeast(cost: (x: number) => number, from: number, to: number, rounds: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < rounds; i++) {
    const a = high - GOLDEN * (high - low);
    const b = low + GOLDEN * (high - low);
    if (cost(a) <= cost(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}
