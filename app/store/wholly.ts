/** A transaction that is over once everything in it is, and that nothing of which stays where any part fails. */
export async function wholly(
  tx: { readonly done: Promise<void>; readonly abort: () => void },
  writes: readonly (() => Promise<unknown>)[],
): Promise<void> {
  const begun: Promise<unknown>[] = [];
  try {
    for (const write of writes) begun.push(write());
    await Promise.all(begun);
  } catch (fault) {
    // What was begun fails with the transaction; the one reason that counts is told.
    for (const promise of [tx.done, ...begun]) promise.catch(() => undefined);
    try {
      tx.abort();
    } catch {
      // It has ended by itself already.
    }
    throw fault;
  }
  await tx.done;
}
