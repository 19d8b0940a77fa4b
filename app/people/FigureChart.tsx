import ApexCharts from 'apexcharts';
import { useEffect, useRef } from 'react';
import { formatFigure, fromMm, type Tape } from '../../core/units/index.js';

import { signedPercent } from '../shared/signed.js';

/** One figure of a person at the dates it was taken, in mm. */
export interface FigurePoint {
  readonly date: string;
  readonly mm: number;
}

const ink = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Change per cent from the first to each point, as it stands beside the point. */
export function changeWords(points: readonly FigurePoint[], at: number): string {
  const [first, here] = [points[0], points[at]];
  if (!first || !here || at === 0) return '';
  return signedPercent(here.mm / first.mm - 1);
}

/** A figure over time as a chart; the same figures stand in the table beside it. */
export function FigureChart({
  points,
  label,
  tape,
  dark,
}: {
  points: readonly FigurePoint[];
  label: string;
  tape: Tape;
  dark: boolean;
}) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = place.current;
    if (!element) return undefined;
    const values = points.map((p) => fromMm(p.mm, tape.unit));
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const room = Math.max((most - least) * 0.35, most * 0.02);
    // Whole centimetres or inches at both ends, so that the lines between stand at plain figures.
    const [low, high] = [Math.floor(least - room), Math.ceil(most + room)];
    const chart = new ApexCharts(element, {
      chart: {
        type: 'line',
        height: 260,
        toolbar: { show: false },
        zoom: { enabled: false },
        animations: { enabled: false },
        fontFamily: 'inherit',
        background: 'transparent',
        foreColor: ink('--quiet'),
      },
      theme: { mode: dark ? 'dark' : 'light' },
      colors: [ink('--act')],
      stroke: { width: 2.5, curve: 'straight' },
      markers: { size: 6 },
      grid: { borderColor: ink('--rule'), padding: { left: 24, right: 64, top: 8 } },
      dataLabels: {
        enabled: true,
        offsetY: -8,
        background: { enabled: false },
        style: { colors: [ink('--text')], fontSize: '13px', fontWeight: 400 },
        formatter: (_: unknown, { dataPointIndex: i }: { dataPointIndex: number }) =>
          [formatFigure(points[i]?.mm ?? 0, tape), changeWords(points, i)].filter(Boolean).join('  '),
      },
      series: [{ name: label, data: points.map((p, i) => ({ x: new Date(p.date).getTime(), y: values[i] ?? null })) }],
      xaxis: { type: 'datetime', labels: { datetimeUTC: true }, tooltip: { enabled: false } },
      yaxis: {
        min: low,
        max: high,
        tickAmount: Math.min(6, high - low),
        labels: { formatter: (v: number) => v.toFixed(1) },
        title: { text: tape.unit, style: { fontWeight: 400 } },
      },
      tooltip: { enabled: false },
    });
    void chart.render();
    return () => {
      chart.destroy();
    };
  }, [points, label, tape, dark]);
  return <div ref={place} role="img" aria-label={`${label} over time`} className="figure-chart" />;
}

/** How far one set lies from another, figure by figure, in per cent. */
export interface ShareBar {
  readonly label: string;
  readonly share: number;
}

/** The differences between two sets as bars, in per cent; the same figures stand in the table beside it. */
export function ShareChart({ bars, label, dark }: { bars: readonly ShareBar[]; label: string; dark: boolean }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = place.current;
    if (!element) return undefined;
    const percents = bars.map((b) => Math.round(b.share * 1000) / 10);
    const most = Math.max(1, ...percents.map(Math.abs)) * 1.35;
    const chart = new ApexCharts(element, {
      chart: {
        type: 'bar',
        height: 60 + 26 * bars.length,
        toolbar: { show: false },
        animations: { enabled: false },
        fontFamily: 'inherit',
        background: 'transparent',
        foreColor: ink('--quiet'),
      },
      theme: { mode: dark ? 'dark' : 'light' },
      colors: [ink('--act')],
      plotOptions: { bar: { horizontal: true, barHeight: '55%', dataLabels: { position: 'top' } } },
      grid: { borderColor: ink('--rule') },
      dataLabels: {
        enabled: true,
        offsetX: 30,
        style: { colors: [ink('--text')], fontSize: '12px', fontWeight: 400 },
        formatter: (v: number) => signedPercent(v / 100),
      },
      series: [{ name: label, data: bars.map((b, i) => ({ x: b.label, y: percents[i] ?? 0 })) }],
      xaxis: { min: -most, max: most, labels: { formatter: (v: string) => `${Number(v).toFixed(0)} %` } },
      tooltip: { enabled: false },
    });
    void chart.render();
    return () => {
      chart.destroy();
    };
  }, [bars, label, dark]);
  return <div ref={place} role="img" aria-label={label} className="share-chart" />;
}
