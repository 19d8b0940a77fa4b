import NativeSelect from '@mui/material/NativeSelect';
import { useId, type ReactNode } from 'react';
import {
  kindOf,
  type Alteration,
  type AlterationWork,
  type Field,
  type LevelPlace,
  type SeamPlace,
} from '../../core/alter/index.js';
import { LEGS, type Leg } from '../../core/draft/index.js';
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

/** A value with what is done when another is entered. */
interface Entry<T> {
  readonly label: string;
  readonly value: T;
  readonly onChange: (value: T) => void;
}

function Length({ label, value, onChange }: Entry<number>) {
  const unit = useUnit();
  return (
    <Line label={label}>
      {(id) => (
        <LengthField
          id={id}
          label={label}
          mm={value}
          unit={unit}
          onCommit={(mm) => {
            onChange(mm ?? 0);
          }}
        />
      )}
    </Line>
  );
}

function Share({ label, value, onChange }: Entry<number>) {
  return (
    <Line label={label}>
      {(id) => (
        <PlainField
          id={id}
          label={label}
          value={value * 100}
          places={0}
          suffix="%"
          step={5}
          onCommit={(percent) => {
            onChange(Math.min(1, Math.max(0, percent / 100)));
          }}
        />
      )}
    </Line>
  );
}

function Pick({
  label,
  value,
  onChange,
  options,
}: Entry<string> & { readonly options: readonly (readonly [string, string])[] }) {
  return (
    <Line label={label}>
      {(id) => (
        <NativeSelect
          inputProps={{ id }}
          value={value}
          onChange={(event) => {
            onChange(event.target.value);
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

const LINES: readonly (readonly [LevelPlace['line'], string])[] = [['waistLine', 'Waist line'], ...LEVELS];

function Level({ label, value, onChange }: Entry<LevelPlace>) {
  return (
    <>
      <Pick
        label={label}
        value={value.line}
        options={LINES}
        onChange={(name) => {
          onChange({ ...value, line: LINES.find(([line]) => line === name)?.[0] ?? value.line });
        }}
      />
      <Length
        label={`${label}: below (+) or above (−) the line`}
        value={value.by}
        onChange={(by) => {
          onChange({ ...value, by });
        }}
      />
    </>
  );
}

const EDGES = ['rise', 'side', 'inseam', 'waist', 'hem'] as const;

function Place({ label, value, onChange }: Entry<SeamPlace>) {
  return (
    <>
      <Pick
        label={label}
        value={value.edge}
        options={EDGES.map((edge) => [edge, edge])}
        onChange={(name) => {
          onChange({ ...value, edge: EDGES.find((edge) => edge === name) ?? value.edge });
        }}
      />
      {'level' in value ? (
        <Level
          label={`${label} at`}
          value={value.level}
          onChange={(level) => {
            onChange({ edge: value.edge, level });
          }}
        />
      ) : (
        <Share
          label={`${label}: share of the seam from its upper end`}
          value={value.share}
          onChange={(share) => {
            onChange({ edge: value.edge, share });
          }}
        />
      )}
    </>
  );
}

/** A figure of an alteration that can be entered. */
type Entered = Exclude<Field, { as: 'points' }>;

function Figure({ field, value, onChange }: { field: Entered; value: unknown; onChange: (v: unknown) => void }) {
  const { label } = field;
  switch (field.as) {
    case 'length':
      return <Length label={label} value={value as number} onChange={onChange} />;
    case 'share':
      return <Share label={label} value={value as number} onChange={onChange} />;
    case 'level':
      return <Level label={label} value={value as LevelPlace} onChange={onChange} />;
    case 'place':
      return <Place label={label} value={value as SeamPlace} onChange={onChange} />;
    case 'pick':
      return <Pick label={label} value={value as string} options={field.options} onChange={onChange} />;
    case 'count':
      return (
        <Line label={label}>
          {(id) => (
            <PlainField
              id={id}
              label={label}
              value={(value as number) + 1}
              places={0}
              suffix=""
              step={1}
              onCommit={(counted) => {
                onChange(Math.min(field.most, Math.max(0, Math.round(counted) - 1)));
              }}
            />
          )}
        </Line>
      );
    case 'tick':
      return (
        <label className="alter-tick">
          <input
            type="checkbox"
            checked={value as boolean}
            onChange={(event) => {
              onChange(event.target.checked);
            }}
          />{' '}
          {label}
        </label>
      );
  }
}

const PIECES = [
  ['front', 'Front'],
  ['back', 'Back'],
  ['both', 'Front and back'],
] as const;

const ON_LEGS = [
  ['both', 'Both legs'],
  ['left', 'The left leg alone'],
  ['right', 'The right leg alone'],
] as const;

/** The figures of one alteration, for exact work. */
export function AlterationForm({
  alteration: { work, leg },
  onChange,
  onLeg,
}: {
  alteration: Pick<Alteration, 'work' | 'leg'>;
  onChange: (work: AlterationWork) => void;
  onLeg: (leg: Leg | undefined) => void;
}) {
  const { fields, panels } = kindOf(work.kind);
  const values = work as unknown as Readonly<Record<string, unknown>>;
  const change = (key: string, value: unknown): void => {
    onChange({ ...values, [key]: value } as unknown as AlterationWork);
  };
  return (
    <div className="alter-form">
      {panels.includes('both') && (
        <Pick
          label="Piece"
          value={work.panel}
          options={PIECES}
          onChange={(panel) => {
            change('panel', panel);
          }}
        />
      )}
      <Pick
        label="Done to"
        value={leg ?? 'both'}
        options={ON_LEGS}
        onChange={(picked) => {
          onLeg(LEGS.find((one) => one === picked));
        }}
      />
      {Object.entries(fields).map(([key, field]) => {
        if (field.as === 'points' || ('unless' in field && field.unless?.(values))) return undefined;
        return (
          <Figure
            key={key}
            field={field}
            value={values[key]}
            onChange={(value) => {
              change(key, value);
            }}
          />
        );
      })}
    </div>
  );
}
