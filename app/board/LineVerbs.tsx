import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import ListSubheader from '@mui/material/ListSubheader';
import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { edgeLengths } from '../../core/draft/index.js';
import { nearestPlace, startOf, type Point } from '../../core/geometry/index.js';
import { formatLength } from '../../core/units/index.js';
import { useDialogs } from '../head/dialogs.js';
import { withFractions } from '../shared/fractions.js';
import { usePreferences } from '../store/preferences.js';
import { toBoard, toPanel } from './arrange.js';
import { useBoard, type EdgeRef, type TakenPoint } from './board-store.js';
import type { Drawn } from './drawn-board.js';
import { lineWords, verbsOf, type LineVerb } from './line-verbs.js';
import { fromScreen } from './view.js';

/** The place on a seam that was pressed; its beginning, where it was not pressed but picked by name. */
function takenOn({ panel, edge }: EdgeRef, at: Point | undefined, { draft, arranged, view }: Drawn): TakenPoint {
  const path = draft.block[panel].edges[edge];
  const place = nearestPlace(path, at ? toPanel(fromScreen(at, view), arranged[panel]) : startOf(path));
  return { at: toBoard(place.at, arranged[panel]), on: { panel, edge, length: place.length } };
}

/** What can be done to the line that was pressed on the board, as a menu where it was pressed. */
export function LineVerbs({ drawn }: { readonly drawn: Drawn }) {
  const { draft, tape } = drawn;
  const asked = useBoard((s) => s.verbs);
  const set = useBoard((s) => s.set);
  const go = useNavigate();
  // Left with the menu open, the next board does not begin with it.
  useEffect(
    () => () => {
      set({ verbs: undefined });
    },
    [set],
  );
  const path = useLocation().pathname.split('/').slice(0, 4).join('/');
  if (!asked) return null;
  const { line, at, screen } = asked;
  const close = (): void => {
    set({ verbs: undefined });
  };
  const figure =
    'level' in line
      ? line.level === 'waistLevel'
        ? undefined
        : draft.block.levels[line.level]
      : edgeLengths(draft.block[line.panel])[line.edge];
  const act = (verb: LineVerb): void => {
    close();
    if ('term' in verb) useDialogs.getState().show('words', verb.term);
    else if ('to' in verb) {
      if (verb.open) {
        const { sections, set: prefer } = usePreferences.getState();
        prefer({ sections: { ...sections, [verb.open[0]]: verb.open[1] } });
      }
      void go(verb.to);
    } else if (verb.does === 'measure') {
      if (!('level' in line)) set({ tool: 'measure', taken: [takenOn(line, at, drawn)] });
    } else if ('level' in line && line.level !== 'waistLevel') {
      set({ levelShown: true, levelAt: draft.block.levels[line.level] });
    }
  };
  return (
    <Menu
      open
      onClose={close}
      anchorReference="anchorPosition"
      anchorPosition={{ left: screen.x, top: screen.y }}
      slotProps={{ list: { dense: true, 'aria-label': lineWords(line) } }}
    >
      <ListSubheader sx={{ lineHeight: '30px', background: 'none' }}>
        {lineWords(line)}
        {figure !== undefined && <> {withFractions(formatLength(figure, tape))}</>}
      </ListSubheader>
      {verbsOf(line, path).map((verb) => (
        <MenuItem
          key={verb.words}
          onClick={() => {
            act(verb);
          }}
        >
          {verb.words}
        </MenuItem>
      ))}
    </Menu>
  );
}
