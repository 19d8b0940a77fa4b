/**
 * True for the error of a part of the program that could not be fetched: a script that the server no longer has or that
 * cannot be reached, or the styles that go with it.
 */
export const isNotLoaded = (error: unknown): boolean =>
  error instanceof Error &&
  ((error instanceof TypeError && error.message.includes('module')) || error.message.startsWith('Unable to preload'));
