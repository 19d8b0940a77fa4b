import { FIT_MAPS, fitFigureSaid, type FitMapId } from '../../core/sew/index.js';
import { colourOf, fullOf, type Rgb } from '../worn/worn-colours.js';

const css = ([r, g, b]: Rgb): string => `rgb(${[r, g, b].map((v) => Math.round(255 * v)).join(' ')})`;

/** What the colours mean, in words, with the least and the most that they tell. */
export function MapLegend({ map, show }: { readonly map: FitMapId; readonly show: (mm: number) => string }) {
  const { noise, unit } = FIT_MAPS[map];
  const full = fullOf(map);
  const said = (value: number): string => fitFigureSaid(value, unit, show);
  const patches = [
    [-full, `less by ${said(full)} or more`],
    [-noise * 1.01, `less by ${said(noise)}`],
    [0, 'nothing that can be told'],
    [noise * 1.01, `more by ${said(noise)}`],
    [full, `more by ${said(full)} or more`],
  ] as const;
  return (
    <ul className="map-legend" aria-label="What the colours mean">
      {patches.map(([by, words]) => (
        <li key={words}>
          <span className="map-patch" style={{ background: css(colourOf(by, map)) }} aria-hidden />
          {words}
        </li>
      ))}
    </ul>
  );
}
