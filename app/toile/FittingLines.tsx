import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Fitting } from '../../core/kept/index.js';
import { atPlace, firstFold, FOLD, pinNamed, type BodyPlace, type OnLeg, type Seen } from '../../core/toile/index.js';
import { toMm } from '../../core/units/index.js';
import { LengthField } from '../shared/LengthField.js';
import { NameField } from '../shared/NameField.js';
import { newId } from '../shared/new-id.js';
import { PickLine } from '../shared/PickLine.js';
import { PlainField } from '../shared/PlainField.js';
import {
  beginFitting,
  changeFitting,
  changePin,
  closeFitting,
  forgetFitting,
  markSeen,
  putPin,
  reopenFitting,
} from '../store/fitting-work.js';
import { useChange, useUnit, useWork } from '../store/work-context.js';
import { placeWords, SeenPlaces } from './SeenPlaces.js';
import { PhotoLines } from './PhotoLines.js';
import { SewnLines } from './SewnLines.js';
import { FoldPin } from './FoldPin.js';
import { PredictedLines } from './PredictedLines.js';
import { useFitting } from './use-fitting.js';
import { useKnowledge } from './use-knowledge.js';
import { CLOTHS, VERDICTS } from '../shared/verdicts.js';

const LEGS: readonly (readonly [OnLeg, string])[] = [
  ['both', 'both legs'],
  ['left', 'left'],
  ['right', 'right'],
];
const PLACES: readonly (readonly [Seen['where'], string])[] = [
  ['front', 'Seen in front'],
  ['side', 'Seen at the side and the leg'],
  ['back', 'Seen behind'],
];

/** A fitting: whose, in what cloth, what was seen and what was pinned; begun, closed and opened again. */
export function FittingLines() {
  const change = useChange();
  const { fitting, all, choose } = useFitting();
  const begin = (
    <div className="acts">
      <Button
        variant={fitting ? 'outlined' : 'contained'}
        onClick={() => {
          const id = newId();
          change(beginFitting(id, new Date()));
          choose(id);
        }}
      >
        New fitting
      </Button>
    </div>
  );
  if (!fitting)
    return (
      <>
        <p className="quiet">
          Try the toile on, note what you see and what you pin: what may be behind it is told from this draft’s own
          figures.
        </p>
        {begin}
        <p className="acts">
          <Button component={Link} to="fitting" relative="path" size="small" variant="outlined">
            Blank fitting sheet
          </Button>
        </p>
      </>
    );
  return (
    <>
      {all.length > 1 && (
        <PickLine
          label="Fitting"
          value={fitting.id}
          choices={all.map((f, i) => [f.id, `${all.length - i}: ${f.date}`] as const)}
          onChoose={choose}
        />
      )}
      <OneFitting key={fitting.id} fitting={fitting} />
      {begin}
    </>
  );
}

function OneFitting({ fitting }: { readonly fitting: Fitting }) {
  const change = useChange();
  const knowledge = useKnowledge();
  const unit = useUnit();
  const versions = useWork(({ work }) => work.draft.versions);
  const [verdict, setVerdict] = useState<NonNullable<Fitting['closed']>>('fits');
  const [place, setPlace] = useState<BodyPlace>();
  const { id, seen, pins } = fitting;
  const seenHere = place ? atPlace(knowledge.seen, place) : knowledge.seen;
  const pinsHere = place ? atPlace(knowledge.pins, place) : knowledge.pins;
  const tried = versions?.find((v) => v.id === fitting.version);
  const closed = VERDICTS.find(([v]) => v === fitting.closed)?.[1];
  const text = (label: string, value: string, take: (next: string) => void) => (
    <label className="version-field">
      <span>{label}</span>
      <NameField label={label} className="" value={value} allowEmpty onCommit={take} />
    </label>
  );
  return (
    <div data-fitting={fitting.date}>
      <p className="quiet">
        {fitting.date}
        {tried ? `, version ${tried.number}` : ''}
        {closed ? `: ${closed.toLowerCase()}.` : ''}
      </p>
      <PickLine
        label="Tried in"
        value={fitting.cloth}
        choices={CLOTHS}
        onChoose={(cloth) => {
          change(changeFitting(id, { cloth }));
        }}
      />
      <div className="line">
        <label htmlFor={`give-${id}`}>Gives, in width</label>
        <PlainField
          id={`give-${id}`}
          label="Give of the cloth"
          value={100 * (fitting.give ?? 0)}
          places={0}
          suffix="%"
          step={5}
          least={0}
          most={300}
          source={fitting.give === undefined ? 'estimate' : 'hand'}
          onCommit={(percent) => {
            change(changeFitting(id, { give: percent / 100 }));
          }}
        />
      </div>
      {text('Stands', fitting.posture ?? '', (posture) => {
        change(changeFitting(id, { posture }));
      })}
      {text('Seen by', fitting.who, (who) => {
        change(changeFitting(id, { who }));
      })}
      {text('Note', fitting.note, (note) => {
        change(changeFitting(id, { note }));
      })}
      <SeenPlaces fitting={fitting} knowledge={knowledge} place={place} onPlace={setPlace} />
      {PLACES.filter(([where]) => seenHere.some((s) => s.where === where)).map(([where, label]) => (
        <fieldset key={where} className="seen">
          <legend>{place ? placeWords(place) : label}</legend>
          {seenHere
            .filter((s) => s.where === where)
            .map((s) => {
              const noted = seen.find((one) => one.what === s.id);
              return (
                <div key={s.id} className="seen-line" data-seen={s.id}>
                  <label>
                    <Checkbox
                      size="small"
                      checked={noted !== undefined}
                      onChange={(_, on) => {
                        change(markSeen(id, s.id, on ? 'both' : undefined));
                      }}
                    />
                    {s.words}
                  </label>
                  {noted && (
                    <PickLine
                      label="Leg"
                      value={noted.leg}
                      choices={LEGS}
                      onChoose={(leg) => {
                        change(markSeen(id, s.id, leg));
                      }}
                    />
                  )}
                </div>
              );
            })}
        </fieldset>
      ))}
      <fieldset className="seen">
        <legend>Pinned</legend>
        {pins.map((pin, i) => (
          <div key={pin.id} className="pin" data-pin={pin.kind}>
            {pin.fold ? (
              <FoldPin fitting={id} pin={pin} fold={pin.fold} number={i + 1} />
            ) : (
              <>
                <p>{pinNamed(pin.kind, knowledge)?.words ?? pin.kind}</p>
                <div className="line">
                  <label htmlFor={`pin-${pin.id}`}>{`Pin ${i + 1}, in all`}</label>
                  <LengthField
                    id={`pin-${pin.id}`}
                    label={`Pin ${i + 1}`}
                    mm={pin.by}
                    unit={unit}
                    problem={
                      pin.by > 0
                        ? undefined
                        : `Pin ${i + 1}: a pin takes something in. Give an amount above 0, or take it out.`
                    }
                    onCommit={(by) => {
                      if (by !== undefined) change(changePin(id, pin.id, { by }));
                    }}
                  />
                </div>
              </>
            )}
            <PickLine
              label="Leg"
              value={pin.leg}
              choices={LEGS}
              onChoose={(leg) => {
                change(changePin(id, pin.id, { leg }));
              }}
            />
            <Button
              size="small"
              aria-label={`Take pin ${i + 1} out`}
              onClick={() => {
                change(changePin(id, pin.id, undefined));
              }}
            >
              Take out
            </Button>
          </div>
        ))}
        <PickLine
          label="Put a pin"
          value=""
          choices={[
            ['', 'Where …'],
            ...pinsHere.map((p) => [p.id, p.words] as const),
            ['front', 'A fold across the front, anywhere'],
            ['back', 'A fold across the back, anywhere'],
          ]}
          onChoose={(kind) => {
            if (kind === '') return;
            const by = unit === 'in' ? toMm(0.5, 'in') : 10;
            const across = kind === 'front' || kind === 'back';
            change(
              putPin(id, across ? { kind: FOLD, by, leg: 'both', fold: firstFold(kind) } : { kind, by, leg: 'both' }),
            );
          }}
        />
        <p className="quiet">
          Pins: heads outward, counted in and out; none left in before pressing, or for a child to try. Measured from
          the stitching line, all of it together.
        </p>
      </fieldset>
      <SewnLines fitting={fitting} />
      <PredictedLines fitting={fitting} />
      <PhotoLines fitting={fitting} />
      <p className="acts">
        <Button component={Link} to="fitting" relative="path" size="small" variant="outlined">
          Fitting sheet
        </Button>
      </p>
      {fitting.closed ? (
        <div className="acts">
          <Button
            variant="outlined"
            onClick={() => {
              change(reopenFitting(id));
            }}
          >
            Open it again
          </Button>
        </div>
      ) : (
        <>
          <PickLine label="Verdict" value={verdict} choices={VERDICTS} onChoose={setVerdict} />
          <div className="acts">
            <Button
              variant="contained"
              onClick={() => {
                const said = VERDICTS.find(([v]) => v === verdict)?.[1] ?? '';
                change(closeFitting(id, verdict, `${said}.`, new Date()));
              }}
            >
              Close, and keep this version
            </Button>
          </div>
        </>
      )}
      <div className="acts">
        <Button
          size="small"
          onClick={() => {
            change(forgetFitting(id));
          }}
        >
          Forget this fitting
        </Button>
      </div>
    </div>
  );
}
