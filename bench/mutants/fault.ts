/** A small fault: `was` stands once in the file and is written as `now`; `seen` are the tests that should notice. */
export interface Fault {
  readonly id: string;
  readonly file: string;
  readonly was: string;
  readonly now: string;
  readonly seen: readonly string[];
}

/** A fault by its name, its file, what stands there, what is written instead, and who should see it. */
export const fault = (id: string, file: string, was: string, now: string, ...seen: string[]): Fault => ({
  id,
  file,
  was,
  now,
  seen,
});
