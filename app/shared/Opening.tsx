import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { storage } from '../store/storage.js';

const LONG_MS = 6000;

/** What stands in the room until its work has been read; when that takes long, what to do. */
export function Opening({ className }: { readonly className: string }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, []);
  const blocked = useStore(storage, (now) => now.blocked);
  return (
    <p className={className} role="status">
      Opening the workroom …
      {blocked && ' Another window of Upstride, of an older version, holds it: close that window.'}
      {long &&
        !blocked &&
        ' This takes longer than it should. Close the other windows of Upstride, then load this page again.'}
    </p>
  );
}
