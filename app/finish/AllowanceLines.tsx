import { useState } from 'react';
import { useParams } from 'react-router';
import { EDGE_LABELS } from '../../core/garment/index.js';
import {
  MOST_ALLOWANCE,
  PROFILE_ROLES,
  PROFILES,
  profileNamed,
  widthsAlong,
  type Proof,
} from '../../core/piece/index.js';
import { formatFigure, formatLength, showsNothing } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { LengthField } from '../shared/LengthField.js';
import { PickLine } from '../shared/PickLine.js';
import { signedFigure } from '../shared/signed.js';
import { allowEdge, changeAllowance, stateDepth, takeProfile } from '../store/work-changes.js';
import { useShelf } from '../store/queries.js';
import { roomOf } from '../store/rooms.js';
import { useChange, useTape, useUnit, useWork } from '../store/work-context.js';
import { CornersLine, PartCorners } from './CornerLines.js';
import { edgeWords } from './edge-names.js';
import { useFinish } from './finish-store.js';
import { StretchLines } from './StretchLines.js';
import { useProof, type Finished } from './use-garment.js';

const PROOF: readonly (readonly [keyof Proof, string])[] = [
  ['waist', 'Waist'],
  ['hip', 'Hip'],
  ['thigh', 'Thigh'],
  ['knee', 'Knee'],
  ['hem', 'Hem'],
];

/** Allowances: the profile, its figures, those of the edges of the piece in hand, and the proof of the sewn girths. */
export function AllowanceLines({ finished }: { finished: Finished }) {
  const unit = useUnit();
  const tape = useTape();
  const change = useChange();
  const allowances = useWork(({ work }) => work.draft.allowances);
  const inHand = useFinish((f) => f.inHand);
  const setFinish = useFinish((f) => f.set);
  const [said, setSaid] = useState<string>();
  const piece = finished.pieces.find(({ part }) => part.id === inHand) ?? finished.pieces[0];
  const within = (label: string, mm: number | undefined): mm is number => {
    const good = mm !== undefined && mm >= 0 && mm <= MOST_ALLOWANCE;
    setSaid(good ? undefined : `${label}: an allowance lies between 0 and ${formatLength(MOST_ALLOWANCE, tape)}.`);
    return good;
  };
  const { seams } = finished.styled.garment;
  const from = allowances.from ?? 'house';
  const own = (useShelf(roomOf(useParams().room)).data?.styles ?? []).flatMap(({ value }) =>
    value.allowances ? [{ id: value.id, label: value.name, allowances: value.allowances }] : [],
  );
  const choices = [...PROFILES, ...own].map((p) => [p.id, p.label] as const);
  return (
    <>
      <PickLine
        label="Laid on"
        value={from}
        choices={choices.some(([id]) => id === from) ? choices : [...choices, [from, 'A style that was forgotten']]}
        about={profileNamed(from)?.about ?? 'As they were kept with the style.'}
        onChoose={(id) => {
          const profile = profileNamed(id)?.allowances(unit) ?? own.find((one) => one.id === id)?.allowances;
          if (profile) change(takeProfile({ corners: allowances.corners, ...profile, from: id }));
        }}
      />
      {PROFILE_ROLES.map((role) => (
        <div className="line" key={role}>
          <label htmlFor={`finish-allow-${role}`}>{EDGE_LABELS[role]}</label>
          <LengthField
            id={`finish-allow-${role}`}
            label={`${EDGE_LABELS[role]} allowance`}
            mm={allowances.profile[role]}
            unit={unit}
            onCommit={(mm) => {
              if (within(EDGE_LABELS[role], mm)) change(changeAllowance(role, mm));
            }}
          />
        </div>
      ))}
      <div className="line">
        <label htmlFor="finish-depth">Sewn at</label>
        <LengthField
          id="finish-depth"
          label="Depth at which every seam is sewn"
          mm={allowances.depth}
          unit={unit}
          allowEmpty
          placeholder="as allowed"
          onCommit={(mm) => {
            if (mm === undefined) change(stateDepth(undefined));
            else if (within('Sewn at', mm)) change(stateDepth(mm));
          }}
        />
      </div>
      <CornersLine corners={allowances.corners} />
      {said !== undefined && (
        <p className="doubt" role="status">
          {withFractions(said)}
        </p>
      )}
      <ProofTable finished={finished} />
      {piece && (
        <>
          <h3>{piece.part.name}, edge by edge</h3>
          {piece.part.edges
            .filter((edge) => edge.role !== 'fold')
            .map((edge) => {
              const part = piece.part.like ?? piece.part.id;
              const runs = widthsAlong({ seams }, piece.part, edge.id, allowances);
              const widest = Math.max(...runs.map(({ mm, end }) => Math.max(mm, end ?? mm)));
              const given = allowances.given.some(
                (g) =>
                  g.on !== 'seam' && g.on !== 'corner' && g.part === part && (g.on === 'part' || g.edge === edge.id),
              );
              const label = `${piece.part.name}, ${edgeWords(edge)}`;
              return (
                <div
                  className="line"
                  key={edge.id}
                  onFocus={() => {
                    setFinish({ lit: [{ part: piece.part.id, edge: edge.id }] });
                  }}
                >
                  <label htmlFor={`edge-${piece.part.id}-${edge.id}`}>{`${piece.part.name}, ${edgeWords(edge)}`}</label>
                  <LengthField
                    id={`edge-${piece.part.id}-${edge.id}`}
                    label={`${label} allowance`}
                    mm={widest}
                    unit={unit}
                    source={given ? 'hand' : 'sheet'}
                    allowEmpty
                    onCommit={(mm) => {
                      if (mm === undefined) change(allowEdge(part, edge.id, undefined));
                      else if (within(label, mm)) change(allowEdge(part, edge.id, mm));
                    }}
                  />
                </div>
              );
            })}
          <p className="quiet">An emptied field goes back to the profile.</p>
          <StretchLines part={piece.part} garment={{ seams }} allowances={allowances} />
          <PartCorners part={piece.part} allowances={allowances} />
        </>
      )}
    </>
  );
}

/** The girths as drafted and as the cut pieces come out when they are sewn. */
function ProofTable({ finished }: { finished: Finished }) {
  const tape = useTape();
  const proof = useProof(finished);
  if (!proof) return null;
  const off = PROOF.filter(([name]) => Math.abs(proof[name].sewn - proof[name].net) > 1);
  return (
    <>
      <table className="figures" data-proof>
        <caption>What the cut pieces give when they are sewn</caption>
        <thead>
          <tr>
            <th scope="col">Girth, {tape.unit}</th>
            <th scope="col">Net</th>
            <th scope="col">Sewn</th>
            <th scope="col">Out by</th>
          </tr>
        </thead>
        <tbody>
          {PROOF.map(([name, label]) => {
            const { net, sewn } = proof[name];
            const differ = sewn - net;
            return (
              <tr key={name} data-proof-line={name}>
                <th scope="row">{label}</th>
                <td>{withFractions(formatFigure(net, tape))}</td>
                <td>{withFractions(formatFigure(sewn, tape))}</td>
                <td className={Math.abs(differ) > 1 ? 'doubt' : ''}>
                  {showsNothing(differ, tape) ? '0' : withFractions(signedFigure(differ, tape))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className={off.length > 0 ? 'doubt' : 'quiet'} role="note">
        {off.length === 0
          ? 'Sewn at its depth, every girth is the drafted one.'
          : 'Sewn at this depth the pieces do not give the drafted girths: change the depth or the allowances.'}
      </p>
    </>
  );
}
