import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { registerSW } from 'virtual:pwa-register';
import './acts-list.css';

/** How often, in ms, an open page asks whether there is a newer build. */
const ASK_EVERY = 3_600_000;

/** Keeping begins so many ms after the page was opened, at the first idle moment, and at last after so many. */
const BEGIN_MS = 10_000;
const AT_LAST_MS = 30_000;

/**
 * Keeps the whole application on the device, so that it works without a server, and offers a newer build when there is
 * one: it is taken at a press, never under one's hands.
 */
export function NewVersion() {
  const [take, setTake] = useState<() => void>();
  useEffect(() => {
    let asking: ReturnType<typeof setInterval> | undefined;
    const begin = (): void => {
      const update = registerSW({
        onNeedRefresh: () => {
          setTake(() => (): void => {
            navigator.serviceWorker.addEventListener(
              'controllerchange',
              () => {
                window.location.reload();
              },
              { once: true },
            );
            void update(false);
          });
        },
        onRegisteredSW: (_, registration) => {
          asking = registration && setInterval(() => void registration.update().catch(() => undefined), ASK_EVERY);
        },
      });
    };
    // Keeping the program on the device waits until nothing else is done: the first minutes belong to the maker.
    const later = setTimeout(() => {
      if ('requestIdleCallback' in window) requestIdleCallback(begin, { timeout: AT_LAST_MS });
      else begin();
    }, BEGIN_MS);
    return () => {
      clearTimeout(later);
      clearInterval(asking);
    };
  }, []);
  if (!take) return null;
  return (
    <div className="new-version" role="status">
      A newer Upstride is ready. What is open is kept.{' '}
      <Button size="small" variant="contained" onClick={take}>
        Load it
      </Button>{' '}
      <Button
        size="small"
        onClick={() => {
          setTake(undefined);
        }}
      >
        Later
      </Button>
    </div>
  );
}
