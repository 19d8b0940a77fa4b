import ListIcon from '@mui/icons-material/FormatListBulleted';
import { memo, useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { groupOf, type Check } from '../../core/check/index.js';
import type { Tape } from '../../core/units/index.js';
import { UNLIT, useBoard } from '../board/board-store.js';
import { useSize } from '../board/use-size.js';
import { useComputed, useTape } from '../store/work-context.js';
import { usePreferences } from '../store/preferences.js';
import { bandOf, labelOf, said, sayCounts, VERDICTS } from './check-words.js';
import { Gauge } from './Gauge.js';
import { isAbout, litBy } from './lit-by.js';
import { countVerdicts, LEAST_TAPE, openOnTape, TAPE_WIDTHS, tapeGroups, type TapeGroup } from './tape-plan.js';
import { usePiecesVerdict } from './use-pieces-verdict.js';
import './checks.css';

interface GaugeProps {
  readonly check: Check;
  readonly tape: Tape;
  readonly lit: boolean;
  readonly inHand: boolean;
}

const sameGauge = (a: GaugeProps, b: GaugeProps): boolean =>
  a.lit === b.lit &&
  a.inHand === b.inHand &&
  a.tape === b.tape &&
  a.check.id === b.check.id &&
  a.check.verdict === b.check.verdict &&
  a.check.low === b.check.low &&
  a.check.high === b.check.high &&
  a.check.restsOnEstimate === b.check.restsOnEstimate &&
  (a.check.value === b.check.value || said(a.check, a.tape) === said(b.check, b.tape));

/** Lays checks on the bench, which is brought out where it was folded away. */
function toBench(change: Parameters<ReturnType<typeof useBoard.getState>['set']>[0]): void {
  const board = useBoard.getState();
  board.set({ ...change, asked: board.asked + 1 });
  const { sheet, set } = usePreferences.getState();
  set({ benchOpen: true, sheet: sheet === 'low' ? 'half' : sheet });
}

const GaugeButton = memo(function GaugeButton({ check, tape, lit, inHand }: GaugeProps) {
  const set = useBoard((s) => s.set);
  const light = (): void => {
    set({ lit: litBy(check) });
  };
  const dim = (): void => {
    set({ lit: UNLIT });
  };
  const { sign, word } = VERDICTS[check.verdict];
  const band = bandOf(check, tape);
  return (
    <button
      type="button"
      className="gauge"
      tabIndex={-1}
      data-check={check.id}
      data-verdict={check.verdict}
      data-lit={lit}
      aria-pressed={inHand}
      title={check.restsOnEstimate ? 'Rests on an estimate.' : undefined}
      onPointerEnter={light}
      onPointerLeave={dim}
      onFocus={light}
      onBlur={dim}
      onClick={() => {
        toBench({ checks: groupOf(check.id), check: check.id });
      }}
    >
      <span className="name">{labelOf(check, tape)}</span>
      <span className="name">
        <Gauge value={check.value} low={check.low} high={check.high} />
        <span className="verdict" data-verdict={check.verdict} aria-hidden="true">
          {sign}
        </span>
      </span>
      <span className="said" style={check.restsOnEstimate ? { fontStyle: 'italic' } : undefined}>
        {check.restsOnEstimate ? '≈' : ''}
        {said(check, tape) || word}
        <span className="visually-hidden">
          , {word}
          {band && `; band ${band}`}
        </span>
      </span>
    </button>
  );
}, sameGauge);

/** Opens Finish at its seams. */
function usePiecesShown(): () => void {
  const { room, draftId } = useParams();
  const go = useNavigate();
  return useCallback(() => {
    const { sections, set } = usePreferences.getState();
    set({ sections: { ...sections, finish: 'seams' } });
    void go(`/${room ?? ''}/draft/${draftId ?? ''}/finish`);
  }, [room, draftId, go]);
}

const GroupName = memo(function GroupName({
  id,
  label,
  out,
  near,
  sound,
  shown,
  stop,
  onPress,
}: {
  id: TapeGroup['id'] | 'pieces';
  label: string;
  out: number;
  near: number;
  sound: number;
  shown: boolean;
  /** Whether Tab comes to the tape here. */
  stop: boolean;
  /** What a press does in the place of laying the group on the bench. */
  onPress?: () => void;
}) {
  const counts = { out, near, in: sound };
  return (
    <button
      type="button"
      className="group-name"
      tabIndex={stop ? 0 : -1}
      data-group={id}
      aria-pressed={shown}
      onClick={
        onPress ??
        (() => {
          if (id !== 'pieces') toBench({ checks: id, check: undefined });
        })
      }
    >
      <span>{label}</span>
      <span aria-hidden="true">
        {(['out', 'near', 'in'] as const)
          .filter((verdict) => counts[verdict] > 0)
          .map((verdict) => (
            <span key={verdict} className="count" data-verdict={verdict}>
              {VERDICTS[verdict].sign}
              <span>{counts[verdict]}</span>
            </span>
          ))}
      </span>
      <span className="visually-hidden">{sayCounts(counts)}</span>
    </button>
  );
});

/** What is shown while a hand moves something stays as it lay before: nothing on the tape moves under the eye. */
function useHeld(value: string, holding: boolean): string {
  const [held, setHeld] = useState(value);
  if (!holding && held !== value) setHeld(value);
  return holding ? held : value;
}

/** One stop for Tab, arrows within; Escape takes the checks off the bench. */
function tapeKeys(event: KeyboardEvent<HTMLElement>): void {
  if (event.key === 'Escape') useBoard.getState().set({ checks: undefined, check: undefined });
  const stops = [...event.currentTarget.querySelectorAll<HTMLElement>('button')];
  const at = stops.findIndex((stop) => stop === event.target);
  const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: stops.length - 1 }[event.key];
  const next = to === undefined ? undefined : stops[Math.min(stops.length - 1, Math.max(0, to))];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

/**
 * The tape at the foot of the room: the checks in groups in the order of the body. What is in band is folded to its
 * group's name; what asks for something stands open in its place. A press lays it on the bench; last the pieces of a
 * styled draft, which are looked at where they are finished.
 */
export function CheckTape() {
  const checks = useComputed((c) => c.draft?.checks);
  const moving = useComputed((c) => c.before !== undefined);
  const tape = useTape();
  const lit = useBoard((s) => s.lit);
  const shown = useBoard((s) => s.checks);
  const inHand = useBoard((s) => s.check);
  const foot = useRef<HTMLElement>(null);
  const width = useSize(foot)?.width ?? 0;
  const pieces = usePiecesVerdict();
  const showPieces = usePiecesShown();
  const room = width - (pieces ? TAPE_WIDTHS.group : 0);
  const open = useHeld(openOnTape(checks ?? [], room, inHand).join(' '), moving);
  const groups = useMemo(() => tapeGroups(checks ?? [], new Set(open.split(' '))), [checks, open]);
  if (!checks) return <footer ref={foot} className="tape" aria-label="Checks" />;
  const unknown = checks.filter((c) => c.verdict === 'unknown').length;
  const all = countVerdicts(checks);
  return (
    <footer ref={foot} className="tape" aria-label="Checks" onKeyDown={tapeKeys}>
      {width >= LEAST_TAPE &&
        groups.map((group) => {
          const folded = countVerdicts(group.folded);
          return (
            <div key={group.id} className="tape-group" role="group" aria-label={group.label}>
              <GroupName
                id={group.id}
                label={group.label}
                out={folded.out}
                near={folded.near}
                sound={folded.in}
                shown={shown === group.id && inHand === undefined}
                stop={group === groups[0]}
              />
              {group.open.map((check) => (
                <GaugeButton
                  key={check.id}
                  check={check}
                  tape={tape}
                  lit={isAbout(check, lit)}
                  inHand={inHand === check.id}
                />
              ))}
            </div>
          );
        })}
      {width >= LEAST_TAPE && pieces && (
        <div className="tape-group" role="group" aria-label="Pieces">
          <GroupName
            id="pieces"
            label="Pieces"
            out={pieces.out}
            near={pieces.near}
            sound={pieces.in}
            shown={false}
            stop={false}
            onPress={showPieces}
          />
        </div>
      )}
      <button
        type="button"
        className="tape-all"
        tabIndex={width >= LEAST_TAPE && groups.length > 0 ? -1 : 0}
        aria-pressed={shown === 'all'}
        onClick={() => {
          toBench({ checks: 'all', check: undefined });
        }}
      >
        <ListIcon fontSize="small" />
        <span>
          <strong>All checks</strong>
          <br />
          {width < LEAST_TAPE ? sayCounts(all) : unknown > 0 ? `${unknown} not measured` : 'all measured'}
        </span>
      </button>
    </footer>
  );
}
