import ApexCharts from 'apexcharts';
import { useEffect, useRef } from 'react';
import { formatFigure, fromMm, type Tape } from '../../core/units/index.js';

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
  const share = (here.mm / first.mm - 1) * 100;
  return `${share >= 0 ? '+' : '−'}${Math.abs(share).toFixed(1)} %`;
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
