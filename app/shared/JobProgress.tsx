import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';

/** How far something is that is done in a worker, in per cent, and the way to stop it. */
export function JobProgress({
  label,
  value,
  onStop,
}: {
  readonly label: string;
  readonly value: number;
  readonly onStop: () => void;
}) {
  return (
    <>
      <LinearProgress variant="determinate" value={value} aria-label={label} />
      <Button onClick={onStop}>Stop</Button>
    </>
  );
}
