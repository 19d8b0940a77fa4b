import { isNotLoaded } from './not-loaded.js';

/** What stands in place of a station that failed: the work is kept, and the room about it goes on. */
export function StationFault({
  error,
  resetErrorBoundary,
}: {
  readonly error: unknown;
  readonly resetErrorBoundary: () => void;
}) {
  const message = error instanceof Error ? error.message : String(error);
  return (
    <div className="board page" role="alert">
      <h2>This station stopped</h2>
      <p>
        {isNotLoaded(error)
          ? 'A part of Upstride could not be loaded. Everything entered is kept; load the page again when the server can be reached.'
          : 'Everything entered is kept on this device, and the other stations go on. Undo the last step, or try again.'}
      </p>
      <p className="quiet">{message}</p>
      <button type="button" className="plain-act" onClick={resetErrorBoundary}>
        Try again
      </button>{' '}
      <button
        type="button"
        className="link"
        onClick={() => {
          window.location.reload();
        }}
      >
        Load the page again
      </button>
    </div>
  );
}
