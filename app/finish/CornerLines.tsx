import type { Part } from '../../core/garment/index.js';
import { cornersOf, cornerWay, type Allowances, type CornerWay } from '../../core/piece/index.js';
import { PickLine } from '../shared/PickLine.js';
import { cutCorner, cutCorners } from '../store/work-changes.js';
import { useChange } from '../store/work-context.js';
import { edgeWords, upper } from './edge-names.js';
import { useFinish } from './finish-store.js';

const WAYS: readonly (readonly [CornerWay, string])[] = [
  ['mitred', 'Mitred'],
  ['squared', 'Squared'],
  ['stepped', 'Stepped'],
];

const ABOUT: Readonly<Record<CornerWay, string>> = {
  mitred: 'Both cut lines run on until they meet.',
  squared: 'What is sewn first ends square to its stitching line.',
  stepped: 'What is sewn first ends so that, pressed open, it lies along the other cut edge.',
};

/** How the outward corners of all pieces are cut. */
export function CornersLine({ corners = 'mitred' }: { corners: CornerWay | undefined }) {
  const change = useChange();
  return (
    <PickLine
      label="Corners"
      value={corners}
      choices={WAYS}
      about={ABOUT[corners]}
      onChoose={(way) => {
        change(cutCorners(way));
      }}
    />
  );
}

/** The corners of the piece in hand, each as all are cut or otherwise. */
export function PartCorners({ part, allowances }: { part: Part; allowances: Allowances }) {
  const change = useChange();
  const setFinish = useFinish((f) => f.set);
  const corners = cornersOf(part);
  const name = part.like ?? part.id;
  if (corners.length === 0) return null;
  return (
    <>
      <h3>{part.name}, corner by corner</h3>
      {corners.map(([edge, next]) => {
        const given = allowances.given.some((g) => g.on === 'corner' && g.part === name && g.edge === edge.id);
        const all = WAYS.find(([way]) => way === (allowances.corners ?? 'mitred'))?.[1] ?? '';
        return (
          <div
            key={edge.id}
            onFocus={() => {
              setFinish({ lit: [edge, next].map((e) => ({ part: part.id, edge: e.id })) });
            }}
          >
            <PickLine
              label={upper(`${edgeWords(edge)} and ${edgeWords(next)}`)}
              value={given ? cornerWay(part, edge.id, allowances) : 'all'}
              choices={[['all', `As all: ${all.toLowerCase()}`], ...WAYS]}
              onChoose={(way) => {
                change(cutCorner(name, edge.id, way === 'all' ? undefined : way));
              }}
            />
          </div>
        );
      })}
    </>
  );
}
