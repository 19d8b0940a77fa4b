import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { registerSW } from 'virtual:pwa-register';

/** How often, in ms, an open page asks whether there is a newer build. */
const ASK_EVERY = 3_600_000;

/**
 * Keeps the whole application on the device, so that it works without a server, and offers a newer build when there is
 * one: it is taken at a press, never under one's hands.
 */
export function NewVersion() {
  const [take, setTake] = useState<() => void>();
  useEffect(() => {
    let asking: ReturnType<typeof setInterval> | undefined;
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
    return () => {
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
