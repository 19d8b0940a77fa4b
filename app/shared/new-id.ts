/** A new id for something that is kept. */
export const newId = (): string => crypto.randomUUID();
