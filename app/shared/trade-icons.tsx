import { createSvgIcon } from '@mui/material/utils';
import type { ReactNode } from 'react';

/** Lines of one weight, as all icons of the trade are drawn. */
const drawn = (lines: ReactNode): ReactNode => (
  <g fill="none" stroke="currentColor" strokeWidth={1.7} strokeLinecap="round" strokeLinejoin="round">
    {lines}
  </g>
);

/** A tape that is laid round in a loop, its free end with marks. */
export const TapeIcon = createSvgIcon(
  drawn(
    <>
      <path d="M21 19.5H9.5a6 6 0 1 1 5.9-7.1" />
      <path d="M21 15H9.8a1.8 1.8 0 1 1 1.6-2.4M21 15v4.500M17.500 17.400v2.100M14 17.400v2.100M10.500 17.400v2.100" />
    </>,
  ),
  'Tape',
);

/** A front with its crotch curve and crease. */
export const PieceIcon = createSvgIcon(
  drawn(
    <>
      <path d="M7.500 3h7.700l.2 5.200q.3 2.300 3.900 2.800L17 21H9.300L7 11z" />
      <path d="M12.200 5.500v13" strokeDasharray="2.500 2.400" strokeWidth={1.2} />
    </>,
  ),
  'Piece',
);

/** Two seams walked along one another to a notch, and found right. */
export const WalkedIcon = createSvgIcon(
  drawn(
    <>
      <path d="M5 3q3 8.500 1 18M10 3q3 8.500 1 18M4.800 12.500h9" />
      <path d="m15.300 17 2.200 2.200 4-5" />
    </>,
  ),
  'Walked',
);

/** A trouser with band, fly and pockets. */
export const GarmentIcon = createSvgIcon(
  drawn(
    <>
      <path d="M6.500 3h11L20 21h-5.700L12 10.500 9.700 21H4z" />
      <path d="M6.200 6h11.600M12 6v4.500M6 9.500q2.600-.4 3-3.500M18 9.500q-2.600-.4-3-3.500" strokeWidth={1.3} />
    </>,
  ),
  'Garment',
);
