/**
 * Solves a symmetric positive system by Cholesky's method; nothing where it is not positive. Rows are as long as the
 * system.
 */
export function solveSymmetric(a: readonly (readonly number[])[], b: readonly number[]): number[] | undefined {
  const n = b.length;
  const lower: number[][] = [];
  const at = (i: number, j: number): number => (lower[i] as number[])[j] as number;
  for (let i = 0; i < n; i++) {
    const row: number[] = [];
    lower.push(row);
    for (let j = 0; j <= i; j++) {
      let sum = (a[i] as readonly number[])[j] as number;
      for (let k = 0; k < j; k++) sum -= at(i, k) * at(j, k);
      if (i === j && !(sum > 0)) return undefined;
      row.push(i === j ? Math.sqrt(sum) : sum / at(j, j));
    }
  }
  const y: number[] = [];
  for (let i = 0; i < n; i++) {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= at(i, k) * (y[k] as number);
    y.push(sum / at(i, i));
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = y[i] as number;
    for (let k = i + 1; k < n; k++) sum -= at(k, i) * (x[k] as number);
    x[i] = sum / at(i, i);
  }
  return x;
}
