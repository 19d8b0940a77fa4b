import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useId, useState } from 'react';
import type { Block } from '../../../core/draft/index.js';
import { point, type Point } from '../../../core/geometry/index.js';
import type { PanelName } from '../../../core/method/index.js';
import {
  broughtTo,
  carried,
  laidAnew,
  laidOutline,
  namedEdges,
  pairedCorners,
  placed,
  scaledByKnown,
  turnedAbout,
  turnedOver,
  type CornerName,
  type Reference,
  type ReferencePlace,
} from '../../../core/reference/index.js';
import { formatFigure, formatLength, handStep, type Tape, type Unit } from '../../../core/units/index.js';
import { LengthField } from '../../shared/LengthField.js';
import { withFractions } from '../../shared/fractions.js';
import { changeReference } from '../../store/reference-work.js';
import { useChange } from '../../store/work-context.js';
import { pivotOf, type OutlineTool } from './reference-hands.js';

const CORNER_WORDS: Record<CornerName, string> = {
  crotchPoint: 'Crotch point on crotch point',
  centreWaist: 'Centre waist on centre waist',
  sideWaist: 'Side waist on side waist',
  sideHem: 'Hem at the side on the same',
  inseamHem: 'Hem at the inseam on the same',
};

const TOOLS: readonly (readonly [OutlineTool, string, string])[] = [
  ['move', 'Move', 'Take hold of an outline and move it.'],
  ['turn', 'Turn', 'Take hold of an outline and turn it about its crotch point.'],
  ['measure', 'Measure', 'Press two places on an outline.'],
];

/** A turn by one press, in degrees. */
const TURN = 0.5;

interface LayOutlineProps {
  readonly reference: Reference;
  readonly block: Block;
  readonly panel: PanelName;
  /** Whether the piece lies turned over on the board. */
  readonly mirrored: boolean;
  readonly unit: Unit;
  readonly tape: Tape;
  readonly tool: OutlineTool | undefined;
  /** What is measured between two places, in mm. */
  readonly reading: { readonly straight: number; readonly along: number | undefined } | undefined;
  readonly onTool: (tool: OutlineTool | undefined) => void;
  readonly onScaled: () => void;
}

/**
 * Lays the outline of the piece in hand: by hand, by corners, by nudges; measures it, and scales it by a known length.
 */
export function LayOutline(props: LayOutlineProps) {
  const { reference, block, panel, mirrored, unit, tape, tool, reading, onTool, onScaled } = props;
  const id = useId();
  const change = useChange();
  const [wrong, setWrong] = useState<number>();
  const [way, setWay] = useState<'straight' | 'along'>('straight');
  const corners = pairedCorners(namedEdges(laidOutline(reference, panel), block[panel]), block[panel]);
  const relay = (make: (place: ReferencePlace) => ReferencePlace): void => {
    change(changeReference((r) => placed(r, panel, make(r.places[panel]))));
  };
  const step = handStep(unit, true);
  const nudge = (x: number, y: number): Point => point((mirrored ? -x : x) * step, y * step);
  const turn = (degrees: number): void => {
    const pivot = pivotOf(reference, panel, block);
    const angle = ((mirrored ? -degrees : degrees) * Math.PI) / 180;
    relay((place) => turnedAbout(place, pivot, angle));
  };
  const nudges: readonly (readonly [string, string, () => void])[] = [
    [
      '←',
      'Move left',
      () => {
        relay((place) => carried(place, nudge(-1, 0)));
      },
    ],
    [
      '→',
      'Move right',
      () => {
        relay((place) => carried(place, nudge(1, 0)));
      },
    ],
    [
      '↑',
      'Move up',
      () => {
        relay((place) => carried(place, nudge(0, -1)));
      },
    ],
    [
      '↓',
      'Move down',
      () => {
        relay((place) => carried(place, nudge(0, 1)));
      },
    ],
    [
      '↺',
      'Turn left by half a degree',
      () => {
        turn(-TURN);
      },
    ],
    [
      '↻',
      'Turn right by half a degree',
      () => {
        turn(TURN);
      },
    ],
    [
      '⇋',
      'Turn over',
      () => {
        relay(turnedOver);
      },
    ],
  ];
  const told = TOOLS.find(([name]) => name === tool)?.[2];
  const along = reading?.along;
  const measuredNow = way === 'along' && along !== undefined ? along : reading?.straight;
  return (
    <section aria-label="Lay the outline">
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={tool ?? null}
        aria-label="Tool"
        onChange={(_, next: OutlineTool | null) => {
          onTool(next ?? undefined);
        }}
      >
        {TOOLS.map(([name, label]) => (
          <ToggleButton key={name} value={name} sx={{ color: 'var(--text)', textTransform: 'none' }}>
            {label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {told && <p className="quiet">{told}</p>}
      {tool === 'measure' && reading && measuredNow !== undefined && (
        <div role="group" aria-label="Measured">
          <p>
            Straight <strong data-measured="straight">{withFractions(formatLength(reading.straight, tape))}</strong>
            {along !== undefined && (
              <>
                , along the outline <strong data-measured="along">{withFractions(formatLength(along, tape))}</strong>
              </>
            )}
          </p>
          <div className="alter-field">
            <span>
              <label htmlFor={id}>The known length, </label>
              <NativeSelect
                inputProps={{ 'aria-label': 'Measured' }}
                value={along === undefined ? 'straight' : way}
                onChange={(event) => {
                  setWay(event.target.value === 'along' ? 'along' : 'straight');
                }}
              >
                <option value="straight">straight</option>
                {along !== undefined && <option value="along">along it</option>}
              </NativeSelect>
            </span>
            <LengthField
              id={id}
              label="The known length"
              mm={undefined}
              unit={unit}
              allowEmpty
              placeholder={formatFigure(measuredNow, tape)}
              problem={
                wrong === undefined
                  ? undefined
                  : `A known length of ${formatLength(wrong, tape)} scales nothing. Write how long it really is, as 27.3, 10 3/4 or 273mm.`
              }
              onCommit={(mm) => {
                if (mm === undefined) return;
                setWrong(mm <= 0 ? mm : undefined);
                if (mm <= 0) return;
                change(changeReference((r) => scaledByKnown(r, measuredNow, mm, block)));
                onScaled();
              }}
            />
          </div>
          <p className="quiet">A length that you know scales the whole outline.</p>
        </div>
      )}
      <div className="alter-field">
        <label htmlFor={`${id}-lay`}>Lay the {panel}</label>
        <NativeSelect
          inputProps={{ id: `${id}-lay` }}
          value=""
          onChange={(event) => {
            const { value } = event.target;
            if (value === 'nearest') change(changeReference((r) => laidAnew(r, panel, block)));
            const corner = corners.find((c) => c.name === value);
            if (corner) relay((place) => broughtTo(place, corner.outline, corner.draft));
          }}
        >
          <option value="">where it lies</option>
          <option value="nearest">Nearest all round, named anew</option>
          {corners.map(({ name }) => (
            <option key={name} value={name}>
              {CORNER_WORDS[name]}
            </option>
          ))}
        </NativeSelect>
      </div>
      <div className="nudges" role="group" aria-label={`Nudge the ${panel}`}>
        {nudges.map(([sign, words, act]) => (
          <Button key={words} size="small" variant="outlined" title={words} aria-label={words} onClick={act}>
            {sign}
          </Button>
        ))}
      </div>
    </section>
  );
}
