import { useId } from 'react';
import type { Person } from '../../core/kept/index.js';
import type { Figure } from '../../core/measure/index.js';
import { PickLine } from '../shared/PickLine.js';
import { NameField } from '../shared/NameField.js';
import { useChange, useWork } from '../store/work-context.js';
import { changePerson } from '../store/work-changes.js';

const FIGURES: readonly (readonly [Figure, string])[] = [
  ['unknown', 'Not said'],
  ['woman', 'Woman’s'],
  ['man', 'Man’s'],
  ['child', 'Child’s'],
];

type Build = Person['build'];
const PARTS: readonly (readonly [keyof Build, string])[] = [
  ['seat', 'Seat'],
  ['stomach', 'Stomach'],
  ['thigh', 'Thigh'],
];
const WEIGHTS: readonly Build['seat'][] = ['flat', 'average', 'full'];

/** Who is measured: name or role; figure, build and a note one press away. */
export function PersonLines() {
  const person = useWork(({ work }) => work.person);
  const change = useChange();
  const nameId = useId();
  const noteId = useId();
  return (
    <>
      <div className="line">
        <label htmlFor={nameId}>Person or role</label>
        <NameField
          id={nameId}
          label="Person or role"
          className="text-field wide"
          value={person.name}
          onCommit={(name) => {
            change(changePerson({ name }));
          }}
        />
      </div>
      <PickLine
        label="Figure"
        value={person.figure}
        choices={FIGURES}
        onChoose={(figure) => {
          change(changePerson({ figure }));
        }}
      />
      <h3>Build</h3>
      {PARTS.map(([part, label]) => (
        <PickLine
          key={part}
          label={label}
          value={person.build[part]}
          choices={WEIGHTS.map((w) => [w, w] as const)}
          onChoose={(weight) => {
            change(changePerson({ build: { ...person.build, [part]: weight } }));
          }}
        />
      ))}
      <p className="quiet">As seen, for the fitting. The sheet is not changed by it.</p>
      <div className="line">
        <label htmlFor={noteId}>Note</label>
        <NameField
          id={noteId}
          label="Note on the person"
          className="text-field wide"
          allowEmpty
          value={person.note}
          onCommit={(note) => {
            change(changePerson({ note }));
          }}
        />
      </div>
    </>
  );
}
