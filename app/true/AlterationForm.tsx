import NativeSelect from '@mui/material/NativeSelect';
import { useId, type ReactNode } from 'react';
import type { AlterationWork, LevelPlace, PanelChoice, SeamPlace } from '../../core/alter/index.js';
import { LEVELS } from '../../core/method/index.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { useUnit } from '../store/work-context.js';

function Line({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="alter-field">
      <label htmlFor={id}>{label}</label>
      {children(id)}
    </div>
  );
}

function Length({ label, mm, onCommit }: { label: string; mm: number; onCommit: (mm: number) => void }) {
  const unit = useUnit();
  return (
    <Line label={label}>
      {(id) => (
        <LengthField
          id={id}
          label={label}
          mm={mm}
          unit={unit}
          onCommit={(next) => {
            onCommit(next ?? 0);
          }}
        />
      )}
    </Line>
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onPick: (value: T) => void;
}

function Pick<T extends string>({ label, value, options, onPick }: PickProps<T>) {
  return (
    <Line label={label}>
      {(id) => (
        <NativeSelect
          inputProps={{ id }}
          value={value}
          onChange={(event) => {
            const found = options.find(([name]) => name === event.target.value);
            if (found) onPick(found[0]);
          }}
        >
          {options.map(([name, words]) => (
            <option key={name} value={name}>
              {words}
            </option>
          ))}
        </NativeSelect>
      )}
    </Line>
  );
}

function Tick({ label, checked, onTick }: { label: string; checked: boolean; onTick: (checked: boolean) => void }) {
  return (
    <label className="alter-tick">
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => {
          onTick(event.target.checked);
        }}
      />{' '}
      {label}
    </label>
  );
}

const LINES: readonly (readonly [LevelPlace['line'], string])[] = [['waistLine', 'Waist line'], ...LEVELS];

function Level({ label, level, onChange }: { label: string; level: LevelPlace; onChange: (l: LevelPlace) => void }) {
  return (
    <>
      <Pick
        label={label}
        value={level.line}
        options={LINES}
        onPick={(line) => {
          onChange({ ...level, line });
        }}
      />
      <Length
        label={`${label}: below (+) or above (−) the line`}
        mm={level.by}
        onCommit={(by) => {
          onChange({ ...level, by });
        }}
      />
    </>
  );
}

const EDGES = [
  ['rise', 'rise'],
  ['side', 'side'],
  ['inseam', 'inseam'],
  ['waist', 'waist'],
  ['hem', 'hem'],
] as const;

function Place({ label, place, onChange }: { label: string; place: SeamPlace; onChange: (p: SeamPlace) => void }) {
  return (
    <>
      <Pick
        label={label}
        value={place.edge}
        options={EDGES}
        onPick={(edge) => {
          onChange({ ...place, edge });
        }}
      />
      {'level' in place ? (
        <Level
          label={`${label} at`}
          level={place.level}
          onChange={(level) => {
            onChange({ edge: place.edge, level });
          }}
        />
      ) : (
        <Line label={`${label}: share of the seam from its upper end`}>
          {(id) => (
            <PlainField
              id={id}
              label={`${label}: share of the seam from its upper end`}
              value={place.share * 100}
              places={1}
              suffix="%"
              step={1}
              onCommit={(figure) => {
                onChange({ edge: place.edge, share: Math.min(1, Math.max(0, figure / 100)) });
              }}
            />
          )}
        </Line>
      )}
    </>
  );
}

const ACTS = [
  ['intake', 'Deeper (+) or narrower (−)'],
  ['length', 'Longer (+) or shorter (−)'],
  ['move', 'Moved toward the side (+) or centre (−)'],
  ['turn', 'Point turned toward the side (+) or centre (−)'],
  ['split', 'Split in two'],
  ['intoSide', 'Taken over by the side seam'],
  ['intoCentre', 'Taken over by the centre seam'],
] as const;

/** The figures of one alteration, for exact work. */
export function AlterationForm({ work, onChange }: { work: AlterationWork; onChange: (work: AlterationWork) => void }) {
  const amount = (label: string) => {
    if (!('by' in work)) return null;
    return (
      <Length
        label={label}
        mm={work.by}
        onCommit={(by) => {
          onChange({ ...work, by });
        }}
      />
    );
  };
  return (
    <div className="alter-form">
      {work.kind !== 'rise' && (
        <Pick<PanelChoice>
          label="Piece"
          value={work.panel}
          options={[
            ['front', 'Front'],
            ['back', 'Back'],
            ['both', 'Front and back'],
          ]}
          onPick={(panel) => {
            onChange({ ...work, panel });
          }}
        />
      )}
      <Fields work={work} onChange={onChange} amount={amount} />
    </div>
  );
}

interface FieldsProps {
  readonly work: AlterationWork;
  readonly onChange: (work: AlterationWork) => void;
  readonly amount: (label: string) => ReactNode;
}

function Fields({ work, onChange, amount }: FieldsProps) {
  switch (work.kind) {
    case 'wedge':
      return (
        <>
          {amount('Opened (+) or closed (−)')}
          <Place
            label="Cut from"
            place={work.from}
            onChange={(from) => {
              onChange({ ...work, from });
            }}
          />
          <Place
            label="Hinge"
            place={work.hinge}
            onChange={(hinge) => {
              onChange({ ...work, hinge });
            }}
          />
        </>
      );
    case 'across':
      return (
        <>
          {amount('Longer (+) or shorter (−)')}
          <Level
            label="At"
            level={work.level}
            onChange={(level) => {
              onChange({ ...work, level });
            }}
          />
        </>
      );
    case 'pinch':
      return (
        <>
          <Length
            label="Taken out at the first end"
            mm={work.byFrom}
            onCommit={(byFrom) => {
              onChange({ ...work, byFrom });
            }}
          />
          <Length
            label="Taken out at the other end"
            mm={work.byTo}
            onCommit={(byTo) => {
              onChange({ ...work, byTo });
            }}
          />
          <Place
            label="Fold from"
            place={work.from}
            onChange={(from) => {
              onChange({ ...work, from });
            }}
          />
          <Place
            label="Fold to"
            place={work.to}
            onChange={(to) => {
              onChange({ ...work, to });
            }}
          />
        </>
      );
    case 'waist':
      return (
        <>
          <Length
            label="Raised (+) or lowered (−) at the centre"
            mm={work.centre}
            onCommit={(centre) => {
              onChange({ ...work, centre });
            }}
          />
          <Length
            label="Raised (+) or lowered (−) at the side"
            mm={work.side}
            onCommit={(side) => {
              onChange({ ...work, side });
            }}
          />
        </>
      );
    case 'scoop':
      return (
        <>
          {amount('Deeper (+) or filled (−)')}
          <Line label="Place on the curve, from the crotch point">
            {(id) => (
              <PlainField
                id={id}
                label="Place on the curve, from the crotch point"
                value={work.at * 100}
                places={0}
                suffix="%"
                step={5}
                onCommit={(figure) => {
                  onChange({ ...work, at: Math.min(1, Math.max(0, figure / 100)) });
                }}
              />
            )}
          </Line>
          <Tick
            label="Keep the rise’s length at the waist"
            checked={work.keepLength}
            onTick={(keepLength) => {
              onChange({ ...work, keepLength });
            }}
          />
        </>
      );
    case 'crotchPoint':
      return (
        <>
          <Length
            label="Out (+) or in (−)"
            mm={work.out}
            onCommit={(out) => {
              onChange({ ...work, out });
            }}
          />
          <Length
            label="Down (+) or up (−)"
            mm={work.down}
            onCommit={(down) => {
              onChange({ ...work, down });
            }}
          />
          <Tick
            label="Recentre the crease"
            checked={work.recentre}
            onTick={(recentre) => {
              onChange({ ...work, recentre });
            }}
          />
        </>
      );
    case 'tilt':
      return (
        <>
          {amount('In (+) or out (−) at the waist')}
          <Length
            label="Turned above the start of the curve by"
            mm={work.above}
            onCommit={(above) => {
              onChange({ ...work, above });
            }}
          />
          <Tick
            label="Give hip and waist back at the side"
            checked={work.giveBack}
            onTick={(giveBack) => {
              onChange({ ...work, giveBack });
            }}
          />
        </>
      );
    case 'seam':
      return (
        <>
          <Pick
            label="Seam"
            value={work.seam}
            options={[
              ['side', 'side'],
              ['inseam', 'inseam'],
              ['centre', 'centre'],
            ]}
            onPick={(seam) => {
              onChange({ ...work, seam });
            }}
          />
          {amount('Out (+) or in (−)')}
          <Level
            label="From"
            level={work.from}
            onChange={(from) => {
              onChange({ ...work, from });
            }}
          />
          <Level
            label="To"
            level={work.to}
            onChange={(to) => {
              onChange({ ...work, to });
            }}
          />
          <Length
            label="Running out over"
            mm={work.runOut}
            onCommit={(runOut) => {
              onChange({ ...work, runOut });
            }}
          />
        </>
      );
    case 'dart':
      return (
        <>
          <Pick
            label="What"
            value={work.act}
            options={ACTS}
            onPick={(act) => {
              onChange({ ...work, act });
            }}
          />
          {!work.act.startsWith('into') && amount(work.act === 'split' ? 'Space between the two' : 'By')}
          <Line label="Dart, from the centre">
            {(id) => (
              <PlainField
                id={id}
                label="Dart, from the centre"
                value={work.dart + 1}
                places={0}
                suffix=""
                step={1}
                onCommit={(figure) => {
                  onChange({ ...work, dart: Math.min(9, Math.max(0, Math.round(figure) - 1)) });
                }}
              />
            )}
          </Line>
          {!work.act.startsWith('into') && (
            <Tick
              label="Keep the waist’s width"
              checked={work.keepWaist}
              onTick={(keepWaist) => {
                onChange({ ...work, keepWaist });
              }}
            />
          )}
        </>
      );
    case 'crease':
      return amount('Toward the inseam (+) or the side (−)');
    case 'rise':
      return (
        <>
          <Line label="Blended into the waist over">
            {(id) => (
              <PlainField
                id={id}
                label="Blended into the waist over"
                value={work.blend * 100}
                places={0}
                suffix="% of it"
                step={5}
                onCommit={(figure) => {
                  onChange({ ...work, blend: Math.min(1, Math.max(0, figure / 100)) });
                }}
              />
            )}
          </Line>
          <Tick
            label="Keep the rise’s length at the waist"
            checked={work.keepLength}
            onTick={(keepLength) => {
              onChange({ ...work, keepLength });
            }}
          />
        </>
      );
  }
}
