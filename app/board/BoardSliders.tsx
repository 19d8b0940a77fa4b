import Slider from '@mui/material/Slider';
import { useRef } from 'react';
import type { Setting, Worked } from '../../core/method/index.js';
import { formatLength } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import './board.css';
import { useChange, useTape } from '../store/work-context.js';
import { changeSetting, joined } from '../store/work-changes.js';

/** The settings to which a sheet gives a slider, on the board itself: the pieces follow while it is moved. */
export function BoardSliders({ worked, settings }: { worked: Worked; settings: readonly Setting[] }) {
  const change = useChange();
  const tape = useTape();
  const moving = useRef(false);
  return (
    <div className="board-sliders" role="group" aria-label="Sliders">
      {settings.map((s) => {
        const value = Number(worked.ledger.get(s.name)?.value ?? s.least);
        const words = s.kind === 'share' ? `${(value * 100).toFixed(1)} %` : formatLength(value, tape);
        return (
          <label key={s.name} data-slider={s.name}>
            <span>
              {s.label} <strong>{withFractions(words)}</strong>
            </span>
            <Slider
              size="small"
              aria-label={`${s.label}, slider`}
              min={s.least}
              max={s.most}
              step={s.kind === 'share' ? 0.005 : 1}
              value={value}
              valueLabelDisplay="off"
              onChange={(_, figure) => {
                const next = changeSetting(s.name, Number(figure));
                change(moving.current ? joined(next) : next);
                moving.current = true;
              }}
              onChangeCommitted={() => {
                moving.current = false;
              }}
            />
          </label>
        );
      })}
    </div>
  );
}
