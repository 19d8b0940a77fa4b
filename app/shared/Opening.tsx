import { useEffect, useState } from 'react';

const LONG_MS = 6000;

/** What stands in the room until its work has been read; when that takes long, what to do. */
export function Opening({ className }: { readonly className: string }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p className={className} role="status">
      Opening the workroom …
      {long && ' This takes longer than it should. Close the other windows of Upstride, then load this page again.'}
    </p>
  );
}
