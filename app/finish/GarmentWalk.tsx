import Button from '@mui/material/Button';
import { useMemo, useRef } from 'react';
import { partOf, partOutline, seamOf, type Garment, type Part, type Stretch } from '../../core/garment/index.js';
import { boxOf, enclosedArea, flatten } from '../../core/geometry/index.js';
import { posed, poseAt, walkedRound, walkSeam, type SeamWalk } from '../../core/walk/index.js';
import type { Placement } from '../board/arrange.js';
import { useSize } from '../board/use-size.js';
import { fitView } from '../board/view.js';
import { PickLine } from '../shared/PickLine.js';
import { useTape } from '../store/work-context.js';
import { useWalking } from '../walk/use-walking.js';
import { WalkControls } from '../walk/WalkControls.js';
import { WalkDrawing, type WalkedPiece } from '../walk/WalkDrawing.js';
import { inkOf } from './PartDrawing.js';

/** As it lies on its own paper. */
const AS_IT_LIES: Placement = { mirrored: false, dx: 0 };

/** Seams of two edges: an edge that is sewn to its own mirror image has nothing to be walked along. */
export const walkable = ({ seams }: Garment): Garment['seams'] => seams.filter(({ second }) => !second.mirrored);

/** A part as it is walked; where an edge is sewn by another line than it lies on, by that line beside. */
function pieceOf(part: Part, stretch: Stretch, seam: SeamWalk['first']): WalkedPiece {
  const sewnElsewhere = part.edges.some(({ id, sewn }) => id === stretch.edge && sewn !== undefined);
  return {
    className: inkOf({ part }),
    outline: partOutline(part),
    lines: part.edges.map(({ path }) => path),
    closedWaist: sewnElsewhere ? seam : undefined,
  };
}

/** Any seam of the garment walked: band along waist, bag along pocket, casing, facing; with what is out at each notch. */
export function GarmentWalk({
  garment,
  seam,
  onSeam,
  onEnd,
}: {
  garment: Garment;
  seam: string;
  onSeam: (id: string) => void;
  onEnd: () => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const size = useSize(svg);
  const tape = useTape();
  // The larger piece stands still.
  const { sewn, first, second } = useMemo(() => {
    const found = seamOf(garment, seam);
    const walk = walkSeam(garment, seam);
    const area = ({ part }: Stretch): number => Math.abs(enclosedArea(partOutline(partOf(garment, part))));
    return area(found.second) > area(found.first)
      ? { sewn: walkedRound(walk), first: found.second, second: found.first }
      : { sewn: walk, first: found.first, second: found.second };
  }, [garment, seam]);
  const walking = useWalking(sewn);
  const walk = walking.walk ?? sewn;
  const [here, there] = [partOf(garment, first.part), partOf(garment, second.part)];
  const standing = useMemo(() => pieceOf(here, first, sewn.first), [here, first, sewn]);
  const walked = useMemo(() => pieceOf(there, second, sewn.second), [there, second, sewn]);
  const darted = standing.closedWaist ?? walked.closedWaist;
  // All that the walked piece passes over stays in sight.
  const box = useMemo(() => {
    const of = ({ lines }: WalkedPiece): ReturnType<typeof flatten> => lines.flatMap((path) => flatten(path, 2));
    const poses = [0, 0.5, 1].map((share) => poseAt(sewn, share * walking.most));
    return boxOf([...of(standing), ...poses.flatMap((pose) => of(walked).map((p) => posed(pose, p)))]);
  }, [standing, walked, sewn, walking.most]);
  const label = (id: string): string => {
    const { label: name, first: a } = seamOf(garment, id);
    const alone = walkable(garment).filter((s) => s.label === name).length === 1;
    return alone ? name : `${name}, ${partOf(garment, a.part).name.toLowerCase()}`;
  };
  return (
    <>
      <main id="board" className="board" aria-label="Board">
        <svg ref={svg} className="drawing" role="img" aria-label={`${there.name} walked along ${here.name}`}>
          {size && (
            <WalkDrawing
              walk={walk}
              length={walking.length}
              standing={standing}
              walked={walked}
              place={AS_IT_LIES}
              view={fitView(box, size)}
              size={size}
              held
            />
          )}
        </svg>
      </main>
      <aside className="bench" aria-label="Walk the seams of the garment">
        <div className="view-head">
          <h2>Walk the seams</h2>
          <Button size="small" autoFocus onClick={onEnd}>
            Back to Finish
          </Button>
        </div>
        <PickLine
          label="Seam"
          value={seam}
          choices={walkable(garment).map(({ id }) => [id, label(id)] as const)}
          about={`${there.name} is ${sewn.turnedOver ? 'turned over and ' : ''}walked along ${here.name.toLowerCase()}${darted ? ', at the waist as it runs with its darts closed' : ''}.`}
          onChoose={(next) => {
            onSeam(next);
            walking.begin('');
          }}
        />
        <WalkControls
          walking={walking}
          tape={tape}
          names={here === there ? ['First', 'Second'] : [here.name, there.name]}
        />
      </aside>
    </>
  );
}
