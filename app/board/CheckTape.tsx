import IconButton from '@mui/material/IconButton';
import ExpandLess from '@mui/icons-material/ExpandLess';
import ExpandMore from '@mui/icons-material/ExpandMore';
import { memo, useCallback, useMemo, useState } from 'react';
import { worstFirst, type Check } from '../../core/check/index.js';
import type { Tape } from '../../core/units/index.js';
import { useComputed, useTape } from '../store/work-context.js';
import { UNLIT, useBoard, type Lit } from './board-store.js';
import { bandOf, comparesOf, labelOf, said, VERDICTS } from './check-words.js';

const WIDTH = 50;

/** A band with a pointer: the band fills the middle, figures beyond it are held at the ends. */
function Gauge({ check }: { check: Check }) {
  const { value, low, high } = check;
  if (typeof value !== 'number' || low === undefined || high === undefined) {
    return (
      <svg width={WIDTH} height={8} aria-hidden="true">
        <line x1={0} x2={WIDTH} y1={4} y2={4} stroke="var(--rule)" strokeDasharray="2 3" />
      </svg>
    );
  }
  const end = Number.isFinite(high) ? high : low + Math.max(Math.abs(value - low) * 2, 1);
  const width = Math.max(end - low, 1e-6);
  const x = Math.min(WIDTH - 3, Math.max(3, WIDTH * (0.25 + (0.5 * (value - low)) / width)));
  return (
    <svg width={WIDTH} height={8} aria-hidden="true">
      <line x1={0} x2={WIDTH} y1={4} y2={4} stroke="var(--rule)" />
      <rect
        x={WIDTH * 0.25}
        y={2}
        width={Number.isFinite(high) ? WIDTH * 0.5 : WIDTH * 0.75}
        height={4}
        fill="var(--frame)"
      />
      <path d={`M${x} 0V8`} stroke="var(--text)" strokeWidth={2.5} />
    </svg>
  );
}

const isAbout = (check: Check, lit: Lit): boolean => {
  const { pointed } = lit;
  return (
    lit.check === check.id ||
    (pointed !== undefined && check.about.edges.some(([p, e]) => p === pointed.panel && e === pointed.edge))
  );
};

const litBy = (check: Check): Lit => ({
  edges: check.about.edges.map(([panel, edge]) => ({ panel, edge })),
  level: check.about.level,
  at: check.about.at,
  check: check.id,
});

interface GaugeProps {
  readonly check: Check;
  readonly tape: Tape;
  readonly lit: boolean;
  readonly onOpen: () => void;
}

const sameGauge = (a: GaugeProps, b: GaugeProps): boolean =>
  a.lit === b.lit &&
  a.tape === b.tape &&
  a.onOpen === b.onOpen &&
  a.check.id === b.check.id &&
  a.check.verdict === b.check.verdict &&
  a.check.low === b.check.low &&
  a.check.high === b.check.high &&
  a.check.restsOnEstimate === b.check.restsOnEstimate &&
  (a.check.value === b.check.value || said(a.check, a.tape) === said(b.check, b.tape));

const GaugeButton = memo(function GaugeButton({ check, tape, lit, onOpen }: GaugeProps) {
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
      data-check={check.id}
      data-verdict={check.verdict}
      data-lit={lit}
      title={`${comparesOf(check, tape)}${check.restsOnEstimate ? ' Rests on an estimate.' : ''}`}
      onPointerEnter={light}
      onPointerLeave={dim}
      onFocus={light}
      onBlur={dim}
      onClick={onOpen}
    >
      <span className="name">{labelOf(check, tape)}</span>
      <span className="name">
        <Gauge check={check} />
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

/**
 * The tape at the foot of the room: every check as a gauge, worst first; it opens upward to the full page of checks.
 */
export function CheckTape() {
  const checks = useComputed((c) => c.draft?.checks);
  const tape = useTape();
  const lit = useBoard((s) => s.lit);
  const [open, setOpen] = useState(false);
  const sorted = useMemo(() => worstFirst(checks ?? []), [checks]);
  const toggle = useCallback(() => {
    setOpen((was) => !was);
  }, []);
  if (!checks) return null;
  return (
    <footer className="tape" aria-label="Checks">
      {open && <CheckPage checks={sorted} tape={tape} />}
      <div className="gauges">
        {sorted.map((check) => (
          <GaugeButton key={check.id} check={check} tape={tape} lit={isAbout(check, lit)} onOpen={toggle} />
        ))}
        <OpenButton open={open} toggle={toggle} />
      </div>
    </footer>
  );
}

const OpenButton = memo(function OpenButton({ open, toggle }: { open: boolean; toggle: () => void }) {
  return (
    <IconButton
      aria-label={open ? 'Close the page of checks' : 'Open the page of checks'}
      aria-expanded={open}
      sx={{
        borderRadius: 0,
        borderLeft: '1px solid var(--rule)',
        position: 'sticky',
        right: 0,
        zIndex: 1,
        background: 'var(--sheet)',
        '&:hover': { background: 'var(--ground)' },
      }}
      onClick={toggle}
    >
      {open ? <ExpandMore /> : <ExpandLess />}
    </IconButton>
  );
});

function CheckPage({ checks, tape }: { checks: readonly Check[]; tape: Tape }) {
  const group = (against: Check['against'], title: string) => (
    <>
      <tr>
        <th colSpan={5}>{title}</th>
      </tr>
      {checks
        .filter((c) => c.against === against)
        .map((c) => (
          <tr key={c.id}>
            <td>
              <span className="verdict" data-verdict={c.verdict} aria-hidden="true">
                {VERDICTS[c.verdict].sign}
              </span>{' '}
              {VERDICTS[c.verdict].word}
            </td>
            <td>{labelOf(c, tape)}</td>
            <td className="number">{said(c, tape)}</td>
            <td>{bandOf(c, tape)}</td>
            <td>
              {comparesOf(c, tape)}
              {c.restsOnEstimate && ' Rests on an estimated measurement.'}
            </td>
          </tr>
        ))}
    </>
  );
  return (
    <section className="check-page" aria-label="All checks" tabIndex={0}>
      <table>
        <thead>
          <tr>
            <th scope="col">Verdict</th>
            <th scope="col">Check</th>
            <th scope="col">Figure ({tape.unit})</th>
            <th scope="col">Band</th>
            <th scope="col">What is compared</th>
          </tr>
        </thead>
        <tbody>
          {group('body', 'Against the body')}
          {group('itself', 'Against itself')}
        </tbody>
      </table>
    </section>
  );
}
