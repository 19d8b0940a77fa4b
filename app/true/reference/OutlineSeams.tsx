import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import ToggleButton from '@mui/material/ToggleButton';
import { pathLength } from '../../../core/geometry/index.js';
import type { PanelName } from '../../../core/method/index.js';
import {
  joinStretch,
  laidOutline,
  nameStretch,
  STRETCH_NAMES,
  type Reference,
  type StretchName,
} from '../../../core/reference/index.js';
import { formatFigure, type Tape } from '../../../core/units/index.js';
import { withFractions } from '../../shared/fractions.js';
import { changeReference } from '../../store/reference-work.js';
import { useChange } from '../../store/work-context.js';
import type { ChosenStretch } from './OutlineHands.js';
import type { OutlineTool } from './reference-hands.js';

const WORDS: Record<StretchName, string> = {
  waist: 'waist',
  side: 'side',
  hem: 'hem',
  inseam: 'inseam',
  rise: 'rise',
  dart: 'dart leg',
  none: 'not compared',
};

interface OutlineSeamsProps {
  readonly reference: Reference;
  readonly panel: PanelName;
  readonly tape: Tape;
  readonly chosen: ChosenStretch | undefined;
  readonly tool: OutlineTool | undefined;
  readonly onChoose: (chosen: ChosenStretch | undefined) => void;
  readonly onTool: (tool: OutlineTool | undefined) => void;
}

/** The stretches of the outline in hand, from corner to corner, each with the seam that it is. */
export function OutlineSeams({ reference, panel, tape, chosen, tool, onChoose, onTool }: OutlineSeamsProps) {
  const change = useChange();
  const outline = laidOutline(reference, panel);
  if (outline.length === 0) return <p className="quiet">No line of the file is the outline of the {panel}.</p>;
  return (
    <section aria-label="Seams of the outline">
      <p className="quiet">
        Press a stretch on the board, or name it here. What bears one name is one seam; dart legs are left out of the
        waist.
      </p>
      <table className="figures stretches">
        <thead>
          <tr>
            <th scope="col">Stretch</th>
            <th scope="col">Long ({tape.unit})</th>
            <th scope="col">
              <span className="visually-hidden">Join</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {outline.flatMap(({ index, closed, stretches }) =>
            stretches.map((stretch, i) => {
              const here: ChosenStretch = { panel, index, stretch: i };
              const is = chosen?.panel === panel && chosen.index === index && chosen.stretch === i;
              return (
                <tr
                  key={`${index} ${i}`}
                  data-stretch={stretch.name}
                  data-chosen={is}
                  onPointerEnter={() => {
                    onChoose(here);
                  }}
                >
                  <td>
                    <NativeSelect
                      inputProps={{ 'aria-label': `Stretch ${i + 1} is` }}
                      value={stretch.name}
                      onFocus={() => {
                        onChoose(here);
                      }}
                      onChange={(event) => {
                        const name = STRETCH_NAMES.find((n) => n === event.target.value);
                        if (name) change(changeReference((r) => nameStretch(r, index, i, name)));
                      }}
                    >
                      {STRETCH_NAMES.map((name) => (
                        <option key={name} value={name}>
                          {WORDS[name]}
                        </option>
                      ))}
                    </NativeSelect>
                  </td>
                  <td className="number">{withFractions(formatFigure(pathLength(stretch.path), tape))}</td>
                  <td>
                    {stretches.length > 1 && (closed || i > 0) && (
                      <Button
                        size="small"
                        title="Join it to the stretch before it"
                        aria-label={`Join stretch ${i + 1} to the one before it`}
                        onClick={() => {
                          change(changeReference((r) => joinStretch(r, index, i)));
                          onChoose(undefined);
                        }}
                      >
                        Join
                      </Button>
                    )}
                  </td>
                </tr>
              );
            }),
          )}
        </tbody>
      </table>
      <ToggleButton
        value="divide"
        size="small"
        selected={tool === 'divide'}
        sx={{ color: 'var(--text)', textTransform: 'none' }}
        onChange={() => {
          onTool(tool === 'divide' ? undefined : 'divide');
        }}
      >
        Divide a stretch
      </ToggleButton>
      {tool === 'divide' && <p className="quiet">Press the outline where a seam ends and another begins.</p>}
    </section>
  );
}
