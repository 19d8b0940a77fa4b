import Button from '@mui/material/Button';
import { useId } from 'react';
import { useParams } from 'react-router';
import {
  clothsAtHand,
  layersOf,
  MOST_LAYERS,
  type ClothData,
  type ClothFault,
  type ClothField,
} from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { newId } from '../shared/new-id.js';
import { LengthField } from '../shared/LengthField.js';
import { NameField } from '../shared/NameField.js';
import { PickLine } from '../shared/PickLine.js';
import { PlainField } from '../shared/PlainField.js';
import { changeCloth } from '../store/cloth-work.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useChange, useUnit } from '../store/work-context.js';

const NAPS: readonly (readonly [ClothData['nap'], string])[] = [
  ['one-way', 'All one way'],
  ['two-way', 'Either way'],
];
const FOLDS: readonly (readonly [ClothData['fold'], string])[] = [
  ['open', 'Open'],
  ['folded', 'Folded, right sides in'],
];

const percent = (share: number): number => Math.round(share * 1000) / 10;
/** Cloth that shrinks by more is washed before it is cut. */
const MOST_SHRINKAGE = 0.3;
const FLAW_SIZE = 50;

/** What is known of a cloth of the garment: how it lies, what of it cannot be used, what it shrinks by. */
export function ClothLines({
  kind,
  cloth,
  fault,
}: {
  readonly kind: Cloth;
  readonly cloth: ClothData;
  readonly fault: ClothFault | undefined;
}) {
  const unit = useUnit();
  const change = useChange();
  const set = (facts: Partial<ClothData>): void => {
    change(changeCloth(kind, facts));
  };
  const field = (
    name: Exclude<ClothField, 'flaws' | 'shrinkage'>,
    label: string,
    take: (mm: number | undefined) => void,
    empty = false,
  ) => (
    <div className="line">
      <label htmlFor={`cloth-${name}`}>{label}</label>
      <LengthField
        id={`cloth-${name}`}
        label={label}
        mm={cloth[name]}
        unit={unit}
        allowEmpty={empty}
        problem={fault?.field === name ? fault.told : undefined}
        onCommit={take}
      />
    </div>
  );
  const shrinks = (name: 'shrinkLength' | 'shrinkWidth', label: string) => (
    <div className="line">
      <label htmlFor={`cloth-${name}`}>{label}</label>
      <PlainField
        id={`cloth-${name}`}
        label={label}
        value={percent(cloth[name])}
        places={1}
        suffix="%"
        step={1}
        onCommit={(value) => {
          set({ [name]: Math.min(MOST_SHRINKAGE, Math.max(0, value / 100)) });
        }}
      />
      <span />
    </div>
  );
  return (
    <>
      <ClothAtHand name={cloth.name} onTake={set} />
      {field('width', 'Usable width', (mm) => {
        if (mm !== undefined) set({ width: mm });
      })}
      {field(
        'inHand',
        'Length in hand',
        (mm) => {
          set({ inHand: mm });
        },
        true,
      )}
      <PickLine
        label="Nap"
        value={cloth.nap}
        choices={NAPS}
        onChoose={(nap) => {
          set({ nap });
        }}
      />
      <PickLine
        label="Lies"
        value={cloth.fold}
        choices={FOLDS}
        onChoose={(fold) => {
          set({ fold });
        }}
      />
      <div className="line">
        <label htmlFor="cloth-layers">Layers</label>
        <PlainField
          id="cloth-layers"
          label="Layers"
          value={layersOf(cloth)}
          places={0}
          suffix="×"
          step={1}
          onCommit={(value) => {
            const layers = Math.min(MOST_LAYERS, Math.max(1, Math.round(value)));
            set({ layers: layers > 1 ? layers : undefined });
          }}
        />
        <span />
      </div>
      {field('gap', 'Gap between parts', (mm) => {
        if (mm !== undefined) set({ gap: mm });
      })}
      <h3>Stripe or check</h3>
      {field('stripeRepeat', 'Repeat across', (mm) => {
        set({ stripeRepeat: mm ?? 0 });
      })}
      {field('barRepeat', 'Repeat along', (mm) => {
        set({ barRepeat: mm ?? 0 });
      })}
      <p className="quiet">
        0 where there is none. Each leg lies with its crease on a stripe, and all with the same level on a bar, so that
        both meet at the sides and centres.
      </p>
      <h3>Shrinks</h3>
      {shrinks('shrinkLength', 'In length')}
      {shrinks('shrinkWidth', 'In width')}
      {(cloth.shrinkLength > 0 || cloth.shrinkWidth > 0) && (
        <p className="quiet">Its pieces are cut larger by what it will shrink.</p>
      )}
      <h3>Flaws</h3>
      {cloth.flaws.map((flaw, i) => (
        <FlawLines
          key={flaw.id}
          n={i + 1}
          flaw={flaw}
          onChange={(facts) => {
            set({ flaws: cloth.flaws.map((f) => (f.id === flaw.id ? { ...f, ...facts } : f)) });
          }}
          onForget={() => {
            set({ flaws: cloth.flaws.filter((f) => f.id !== flaw.id) });
          }}
        />
      ))}
      {fault?.field === 'flaws' && (
        <p className="doubt" role="status">
          {fault.told}
        </p>
      )}
      <div className="acts">
        <Button
          variant="outlined"
          onClick={() => {
            const at = { along: 300, across: cloth.width / 4, length: FLAW_SIZE, width: FLAW_SIZE };
            set({ flaws: [...cloth.flaws, { id: newId(), ...at }] });
          }}
        >
          Note a flaw
        </Button>
      </div>
      <h3>Price</h3>
      <div className="line">
        <label htmlFor="cloth-price">Of a {unit === 'in' ? 'yard' : 'metre'}</label>
        <PlainField
          id="cloth-price"
          label="Price"
          value={(cloth.price ?? 0) * (unit === 'in' ? METRES_A_YARD : 1)}
          places={2}
          suffix=""
          step={1}
          onCommit={(value) => {
            const metre = value / (unit === 'in' ? METRES_A_YARD : 1);
            set({ price: metre > 0 ? metre : undefined });
          }}
        />
        <span />
      </div>
    </>
  );
}

const METRES_A_YARD = 0.9144;

/** The name of a cloth, and the named cloths of the room's other garments. */
function ClothAtHand({
  name,
  onTake,
}: {
  readonly name: string;
  readonly onTake: (facts: Partial<ClothData>) => void;
}) {
  const id = useId();
  const { room } = useParams();
  const shelf = useShelf(roomOf(room));
  const others = clothsAtHand((shelf.data?.drafts ?? []).map((d) => d.value)).filter((cloth) => cloth.name !== name);
  return (
    <>
      <div className="line">
        <label htmlFor={id}>Called</label>
        <span className="field cloth-name">
          <NameField
            id={id}
            label="Name of the cloth"
            value={name}
            className=""
            allowEmpty
            onCommit={(next) => {
              onTake({ name: next });
            }}
          />
        </span>
      </div>
      {others.length > 0 && (
        <PickLine
          label="Cloths at hand"
          value=""
          choices={[['', 'Take one …'], ...others.map((c) => [c.name, c.name] as const)]}
          onChoose={(chosen) => {
            const cloth = others.find((c) => c.name === chosen);
            if (cloth) onTake(cloth);
          }}
        />
      )}
    </>
  );
}

/** Where a flaw lies, from the cut end and the upper edge, and how large it is. */
function FlawLines({
  n,
  flaw,
  onChange,
  onForget,
}: {
  readonly n: number;
  readonly flaw: ClothData['flaws'][number];
  readonly onChange: (facts: Partial<ClothData['flaws'][number]>) => void;
  readonly onForget: () => void;
}) {
  const unit = useUnit();
  const line = (name: 'along' | 'across' | 'length' | 'width', label: string) => (
    <div className="line">
      <label htmlFor={`flaw-${flaw.id}-${name}`}>{label}</label>
      <LengthField
        id={`flaw-${flaw.id}-${name}`}
        label={`Flaw ${n}: ${label}`}
        mm={flaw[name]}
        unit={unit}
        onCommit={(mm) => {
          if (mm !== undefined) onChange({ [name]: mm });
        }}
      />
    </div>
  );
  return (
    <fieldset className="flaw">
      <legend>Flaw {n}</legend>
      {line('along', 'From the cut end')}
      {line('across', 'From the upper edge')}
      {line('length', 'So long')}
      {line('width', 'So wide')}
      <Button size="small" onClick={onForget}>
        Forget flaw {n}
      </Button>
    </fieldset>
  );
}
