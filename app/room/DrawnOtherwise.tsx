import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo } from 'react';
import { outlineOf, type Block } from '../../core/draft/index.js';
import { EDGE_WORDS } from '../../core/garment/index.js';
import { drawnOtherwise, type KeptOutline } from '../../core/kept/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { Overlay } from '../shared/Overlay.js';
import { useTape } from '../store/work-context.js';

/**
 * Says once of a draft that the program draws it otherwise than when it was kept: by how much, where, and both
 * drawings.
 */
export default function DrawnOtherwise({
  kept,
  block,
  onUnderstood,
}: {
  kept: KeptOutline;
  block: Block;
  onUnderstood: () => void;
}) {
  const tape = useTape();
  const told = useMemo(() => drawnOtherwise(kept, block), [kept, block]);
  const now = useMemo(() => ({ front: outlineOf(block.front), back: outlineOf(block.back) }), [block]);
  if (!told) return null;
  const show = (mm: number): string => withFractions(formatLength(Math.abs(mm), tape));
  return (
    <Dialog open onClose={onUnderstood} fullWidth maxWidth="sm" aria-labelledby="drawn-otherwise">
      <DialogTitle id="drawn-otherwise">Drawn otherwise than when it was kept</DialogTitle>
      <DialogContent>
        <p>
          The figures of this draft are as they were, but this version of the program draws its lines otherwise: by up
          to <strong>{show(told.by)}</strong>, on the {told.panel}’s {EDGE_WORDS[told.edge]}, {show(told.below)}{' '}
          {told.below < 0 ? 'above' : 'below'} the waist line. Compare it with your paper before you cut again.
        </p>
        <div className="drawn-otherwise">
          <Overlay
            first={now}
            dashed={told.then}
            label="The pieces as they are drawn now, and dashed as they were kept"
          />
        </div>
        <p className="quiet">Filled: as drawn now. Dashed: as it was kept.</p>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onUnderstood} autoFocus>
          Understood
        </Button>
      </DialogActions>
    </Dialog>
  );
}
