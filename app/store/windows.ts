import type { RecordRef } from '../../core/kept/index.js';
import type { RoomId } from './rooms.js';

/** What of a room has changed: the records named, or without them all of it. */
export interface Changed {
  readonly room: RoomId;
  readonly records?: readonly RecordRef[];
}

type Message = { readonly changed: Changed } | { readonly knock: true };

const channel = new BroadcastChannel('upstride');

/** Tells the other windows what has changed. */
export const tellChanged = (changed: Changed): void => {
  channel.postMessage({ changed } satisfies Message);
};

/** Calls `then` whenever another window has changed something. */
export function onChanged(then: (changed: Changed) => void): void {
  channel.addEventListener('message', (event: MessageEvent<Message>) => {
    if ('changed' in event.data) then(event.data.changed);
  });
}

/**
 * Knocks at every other page of Upstride. A page that was left and is kept frozen for the back button may still hold
 * a database that it had begun to make; a message to a frozen page makes the browser drop it, and the database is free.
 */
export const knock = (): void => {
  channel.postMessage({ knock: true } satisfies Message);
};
