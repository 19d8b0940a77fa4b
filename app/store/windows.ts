import type { RoomId } from './rooms.js';

type Message = { readonly changed: RoomId } | { readonly knock: true };

const channel = new BroadcastChannel('upstride');

/** Tells the other windows that a room has changed. */
export const tellChanged = (room: RoomId): void => {
  channel.postMessage({ changed: room } satisfies Message);
};

/** Calls `then` whenever another window has changed a room. */
export function onChanged(then: (room: RoomId) => void): void {
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
