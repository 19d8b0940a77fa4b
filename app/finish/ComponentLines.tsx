import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useState } from 'react';
import { refusalSentence } from '../../core/refusal/index.js';
import {
  COMPONENTS,
  findingWords,
  standing,
  styleContext,
  type AnyComponent,
  type Field,
  type Group,
  type StyleContext,
  type Styled,
  type StyleItem,
  type StyleValue,
} from '../../core/style/index.js';
import { readerIn } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { PlainField } from '../shared/PlainField.js';
import { useComputed, useUnit } from '../store/work-context.js';
import { withComponent, withValue } from './style-change.js';
import { useStyle, type Finished } from './use-garment.js';

/** The components of some parts of the work, each a switch with its choices below it. */
export function ComponentLines({ groups, finished }: { groups: readonly Group[]; finished: Finished }) {
  const draft = useComputed((c) => c.draft);
  const unit = useUnit();
  if (!draft) return null;
  const context = styleContext(draft, unit);
  return COMPONENTS.filter((c) => groups.includes(c.group)).map((component) => (
    <ComponentCard key={component.id} component={component} styled={finished.styled} context={context} />
  ));
}

function ComponentCard({
  component,
  styled,
  context,
}: {
  component: AnyComponent;
  styled: Styled;
  context: StyleContext;
}) {
  const { id, label, about, fields } = component;
  const unit = useUnit();
  const { style, take } = useStyle();
  const [said, setSaid] = useState<string>();
  const item = style.find((s) => s.id === id);
  const told = styled.told.find((t) => t.component === id);
  const findings = styled.findings.filter((f) => f.component === id);
  const reader = readerIn(unit);
  const put = (values: StyleItem['values'] | undefined): void => {
    const { not = [] } = component;
    // What cannot be beside it gives way: a waist has one finish, a leg one shape.
    const room =
      values === undefined || item
        ? style
        : style.filter((s) => !not.includes(s.id) && !COMPONENTS.find((c) => c.id === s.id)?.not?.includes(id));
    setSaid(take(withComponent(room, id, values), id));
  };
  return (
    <section className="component" data-component={id} data-on={item !== undefined} aria-label={label}>
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={item !== undefined}
            onChange={(_, on) => {
              put(on ? {} : undefined);
            }}
          />
        }
        label={label}
      />
      {(item !== undefined || said !== undefined) && (
        <>
          {item !== undefined && <p className="quiet component-about">{withFractions(about)}</p>}
          {item &&
            Object.entries(fields).map(([name, field]) => (
              <FieldLine
                key={name}
                component={id}
                name={name}
                field={field}
                value={standing(field, item.values[name], context)}
                byHand={item.values[name] !== undefined}
                onSet={(value) => {
                  put(withValue(item.values, name, value));
                }}
              />
            ))}
          {said !== undefined && (
            <p className="doubt" role="status">
              {withFractions(said)}
            </p>
          )}
          {told?.refusal && (
            <p className="doubt" role="note">
              Left out: {withFractions(refusalSentence(told.refusal, reader))}
            </p>
          )}
          {findings.map((finding) => (
            <p key={finding.code} className={finding.weight === 'told' ? 'quiet' : 'doubt'} role="note">
              {withFractions(findingWords(finding, reader))}
            </p>
          ))}
        </>
      )}
    </section>
  );
}

interface FieldLineProps {
  readonly component: string;
  readonly name: string;
  readonly field: Field;
  readonly value: StyleValue | undefined;
  readonly byHand: boolean;
  readonly onSet: (value: StyleValue | undefined) => void;
}

function FieldLine({ component, name, field, value, byHand, onSet }: FieldLineProps) {
  const unit = useUnit();
  const id = `style-${component}-${name}`;
  if (field.as === 'pick') {
    return (
      <PickLine
        label={field.label}
        value={String(value)}
        choices={field.options}
        onChoose={(next) => {
          onSet(next === field.start ? undefined : next);
        }}
      />
    );
  }
  if (field.as === 'tick') {
    return (
      <FormControlLabel
        control={
          <Switch
            size="small"
            checked={value === true}
            onChange={(_, on) => {
              onSet(on === field.start ? undefined : on);
            }}
          />
        }
        label={field.label}
      />
    );
  }
  if (field.as === 'count') {
    return (
      <div className="line">
        <label htmlFor={id}>{field.label}</label>
        <PlainField
          id={id}
          label={field.label}
          value={Number(value)}
          places={0}
          suffix=""
          step={1}
          onCommit={(next) => {
            onSet(Math.round(next));
          }}
        />
      </div>
    );
  }
  return (
    <div className="line">
      <label htmlFor={id}>{field.label}</label>
      <LengthField
        id={id}
        label={field.label}
        mm={typeof value === 'number' ? value : undefined}
        unit={unit}
        source={byHand ? 'hand' : 'sheet'}
        allowEmpty
        placeholder="as the piece"
        onCommit={onSet}
      />
    </div>
  );
}
