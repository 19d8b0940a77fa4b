import Button from '@mui/material/Button';
import { Link } from 'react-router';

interface NotHereProps {
  readonly title: string;
  readonly about: string;
  /** Where the way out leads, and what it is called. */
  readonly to: string;
  readonly out: string;
}

/** What an address names is not here: what may be the matter, and the way out. */
export default function NotHere({ title, about, to, out }: NotHereProps) {
  return (
    <main className="page">
      <title>{`${title} – Upstride`}</title>
      <h1>{title}</h1>
      <p>{about}</p>
      <Button component={Link} to={to} variant="contained">
        {out}
      </Button>
    </main>
  );
}
