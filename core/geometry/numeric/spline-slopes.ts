/**
 * The slopes at its places of the cubic spline through values at rising places. Where no slope is given for an end it bends
 * evenly there, as a parabola. By elimination of the tridiagonal system.
 */
export function splineSlopes(
  gaps: readonly number[],
  values: readonly number[],
  first: number | undefined,
  last: number | undefined,
): number[] {
  const n = gaps.length;
  const step = (i: number): number => ((values[i + 1] as number) - (values[i] as number)) / (gaps[i] as number);
  // Through two values alone, and with no slope given, it is the straight between them.
  if (n === 1 && first === undefined && last === undefined) return [step(0), step(0)];
  const row = (i: number): readonly [number, number, number, number] => {
    const given = i === 0 ? first : i === n ? last : undefined;
    if (given !== undefined) return [0, 1, 0, given];
    if (i === 0) return [0, 1, 1, 2 * step(0)];
    if (i === n) return [1, 1, 0, 2 * step(n - 1)];
    const [before, after] = [1 / (gaps[i - 1] as number), 1 / (gaps[i] as number)];
    return [before, 2 * (before + after), after, 3 * (step(i - 1) * before + step(i) * after)];
  };
  const upper: number[] = [];
  const right: number[] = [];
  for (let i = 0; i <= n; i++) {
    const [lower, middle, above, rhs] = row(i);
    const pivot = middle - lower * (upper[i - 1] ?? 0);
    upper.push(above / pivot);
    right.push((rhs - lower * (right[i - 1] ?? 0)) / pivot);
  }
  const slopes = new Array<number>(n + 1).fill(0);
  for (let i = n; i >= 0; i--) slopes[i] = (right[i] as number) - (upper[i] as number) * (slopes[i + 1] ?? 0);
  return slopes;
}

/**
 * The slopes at its places of a line through values at rising places that never goes beyond two neighbours (Fritsch and
 * Carlson, "Monotone piecewise cubic interpolation", with Fritsch and Butland's slopes). Where no slope is given for an end
 * it runs straight out of there.
 */
export function monotoneSlopes(
  gaps: readonly number[],
  values: readonly number[],
  first: number | undefined,
  last: number | undefined,
): number[] {
  const n = gaps.length;
  const step = (i: number): number => ((values[i + 1] as number) - (values[i] as number)) / (gaps[i] as number);
  return values.slice(0, n + 1).map((_, i) => {
    if (i === 0) return first ?? step(0);
    if (i === n) return last ?? step(n - 1);
    const [before, after] = [step(i - 1), step(i)];
    if (before * after <= 0) return 0;
    const [long, longAfter] = [gaps[i - 1] as number, gaps[i] as number];
    const share = (long + 2 * longAfter) / (3 * (long + longAfter));
    return (before * after) / (share * after + (1 - share) * before);
  });
}
