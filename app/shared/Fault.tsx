import Button from '@mui/material/Button';
import { Link } from 'react-router';

/** What stands in place of a view that failed: that nothing is lost, and the ways on. */
export function Fault({ error }: { readonly error: unknown }) {
  return (
    <main className="page" role="alert">
      <h1>This view stopped</h1>
      <p>
        Everything entered so far is kept on this device. Load the page again; if the view stops once more, go to the
        drafts and save the workbook from there.
      </p>
      <p className="quiet">{error instanceof Error ? error.message : String(error)}</p>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Load again
      </Button>{' '}
      <Button component={Link} to="/">
        To the start
      </Button>
    </main>
  );
}
