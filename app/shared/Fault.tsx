import { Link } from 'react-router';

/**
 * What stands in place of a view that failed: that nothing is lost, and the ways on. It needs nothing that would have to
 * be loaded, since that may be what failed.
 */
export function Fault({ error }: { readonly error: unknown }) {
  return (
    <main className="page" role="alert">
      <h1>This view stopped</h1>
      <p>
        Everything entered so far is kept on this device. Load the page again; if the view stops once more, go to the
        drafts and save the workbook from there.
      </p>
      <p className="quiet">{error instanceof Error ? error.message : String(error)}</p>
      <button type="button" className="plain-act" onClick={() => window.location.reload()}>
        Load again
      </button>{' '}
      <Link to="/">To the start</Link>
    </main>
  );
}
