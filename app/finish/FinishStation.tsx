import { COMPONENTS, topEdgeWords } from '../../core/style/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { withFractions } from '../shared/fractions.js';
import { useComputed, useUnit } from '../store/work-context.js';
import { AllowanceLines } from './AllowanceLines.js';
import { ComponentLines } from './ComponentLines.js';
import { CutList } from './CutList.js';
import { memo, useDeferredValue, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { GarmentBoard } from './GarmentBoard.js';
import { SeamTable } from './SeamTable.js';
import { GarmentWalk, walkable } from './GarmentWalk.js';
import { OwnStyles } from './OwnStyles.js';
import { useGarment, useStyle, type Finished } from './use-garment.js';
import './finish.css';

const groupOf = (id: string): string | undefined => COMPONENTS.find((c) => c.id === id)?.group;

/** Finish: leg, waist, closure and pockets on the block, every piece with its seams, and what is allowed for. */
export function FinishStation() {
  const finished = useGarment();
  const refusal = useComputed((c) => c.refusals[0]);
  // While a hand pulls, the bench follows where there is time for it.
  const told = useDeferredValue(finished);
  const unit = useUnit();
  const [query, setQuery] = useSearchParams();
  const garment = finished?.styled.garment;
  const walked = garment && walkable(garment).find(({ id }) => id === query.get('walk'));
  const left = useRef<string>(undefined);
  const walking = walked !== undefined;
  useEffect(() => {
    if (walking || left.current === undefined) return;
    // Back at the row from which the walk was begun, or at the index of the bench where that row is folded away.
    const row = document.querySelector<HTMLElement>(`[data-seam="${left.current}"] .walk-seam`);
    (row ?? document.querySelector<HTMLElement>('.bench-index [role=tab][aria-selected=true]'))?.focus();
    left.current = undefined;
  }, [walking]);
  if (garment && walked) {
    return (
      <GarmentWalk
        garment={garment}
        seam={walked.id}
        onSeam={(id) => {
          setQuery({ walk: id }, { replace: true });
        }}
        onEnd={() => {
          setQuery({}, { replace: true });
          left.current = walked.id;
        }}
      />
    );
  }
  return (
    <>
      <GarmentBoard finished={finished} />
      <aside className="bench" aria-label="Finish">
        {refusal && (
          <p className="doubt" role="status">
            {withFractions(refusalSentence(refusal, readerIn(unit)))} The pieces show the last good draft.
          </p>
        )}
        {told ? <FinishBench finished={told} /> : <p className="quiet">Enter the four measurements first.</p>}
      </aside>
    </>
  );
}

const FinishBench = memo(function FinishBench({ finished }: { finished: Finished }) {
  const unit = useUnit();
  const { style } = useStyle();
  const chosen = new Set(style.map((item) => groupOf(item.id)));
  const { styled } = finished;
  const out = styled.findings.filter((f) => f.code === 'bandTwice');
  return (
    <BenchSections
      bench="finish"
      told={false}
      above={
        <p className={out.length > 0 ? 'doubt' : 'quiet'} data-top-edge>
          {withFractions(topEdgeWords(styled.topEdge, readerIn(unit)))}
        </p>
      }
      sections={[
        {
          id: 'leg',
          label: 'Leg',
          marked: chosen.has('leg'),
          content: () => (
            <>
              <OwnStyles />
              <ComponentLines groups={['leg']} finished={finished} />
            </>
          ),
        },
        {
          id: 'waist',
          label: 'Waist',
          marked: chosen.has('top') || chosen.has('closure'),
          content: () => <ComponentLines groups={['top', 'closure']} finished={finished} />,
        },
        {
          id: 'pockets',
          label: 'Pockets',
          marked: chosen.has('pockets') || chosen.has('small'),
          content: () => <ComponentLines groups={['pockets', 'small']} finished={finished} />,
        },
        { id: 'seams', label: 'Seams', content: () => <SeamTable finished={finished} /> },
        { id: 'edges', label: 'Edges', content: () => <AllowanceLines finished={finished} /> },
        { id: 'list', label: 'List', content: () => <CutList finished={finished} /> },
      ]}
    />
  );
});
