const two = (n: number): string => String(n).padStart(2, '0');

/** The day of a moment where its maker is, as an ISO date: not the day it is in Greenwich. */
export const dayOf = (at: Date | string): string => {
  const date = new Date(at);
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
};
