import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { ClothNeeded } from '../shared/ClothNeeded.js';
import { useSheetSource } from './use-sheets.js';

const SHEETS = [
  [
    'chalk',
    'Chalk sheet',
    'The draft as numbered moves with the sums done, to be chalked straight on cloth or drawn on paper.',
  ],
  ['lay', 'Lay on cloth', 'How much cloth to buy, and how the pieces lie on it.'],
  ['ready', 'Ready to cut', 'What to measure once more before the shears.'],
  ['make', 'Make sheet', 'The order of sewing, to be ticked.'],
  ['spec', 'Spec sheet', 'Points of measure of the finished garment.'],
  ['many', 'Many bodies', 'The same garment for people of the crew or the sizes of a chart; nest, grade, all files.'],
] as const;

/** The written sheets of the garment. */
export function SheetLinks() {
  const source = useSheetSource();
  return (
    <>
      {source && <ClothNeeded pieces={source.pieces} />}
      <ul className="file-list">
        {SHEETS.map(([to, label, about]) => (
          <li key={to}>
            <Button component={Link} to={to} variant="outlined">
              {label}
            </Button>
            <span>{about}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
