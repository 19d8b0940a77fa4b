import { Link } from 'react-router';
import { useStore } from 'zustand';
import type { RoomId } from '../store/rooms.js';
import { unsettled } from '../store/unsettled.js';

/** Drafts that were left with changes that this browser could not store, or that another window had changed as well. */
export function LeftUnstored({ room }: { readonly room: RoomId }) {
  const left = useStore(unsettled, (s) => s.left).filter((l) => l.room === room);
  return left.map(({ place, name, path }) => (
    <p key={place} className="problem" role="alert">
      {name} holds changes that are not stored yet. <Link to={path}>Open it</Link> to keep them.
    </p>
  ));
}
