import Button from '@mui/material/Button';
import { Link } from 'react-router';

/** The heading of a view that is opened from a station, with the way back. */
export function ViewHead({ title, station = 'Choose' }: { title: string; station?: string }) {
  return (
    <div className="view-head">
      <h2>{title}</h2>
      <Button component={Link} to=".." relative="path" size="small">
        Back to {station}
      </Button>
    </div>
  );
}
