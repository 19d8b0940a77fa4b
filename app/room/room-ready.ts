import { matchPath } from 'react-router';
import { BOARD_PARTS } from '../board/Board.js';
import { Handles, PIECES_IN_HAND } from '../board/layers.js';
import { allReady, isFetched } from '../shared/on-demand.js';
import { ROOM_PARTS } from './Room.js';
import { HEAD_PARTS } from './RoomHead.js';
import { stationNamed, stationOf, viewOf } from './stations.js';

/** Has all ready that the room shows at an address when it is first opened. */
export async function roomReady(pathname: string): Promise<void> {
  const draft = matchPath('/:room/draft/:draftId/:station?/:view?', pathname)?.params;
  const station = draft ? stationOf(draft.station) : 'measure';
  const { Bench, Place, layers = [] } = stationNamed(station);
  const own = [Bench, Place, viewOf(station, draft?.view)?.View, ...layers].flatMap((part) =>
    isFetched(part) ? [part] : [],
  );
  const handles = layers === PIECES_IN_HAND ? [Handles] : [];
  await allReady([...ROOM_PARTS, ...HEAD_PARTS, ...BOARD_PARTS, ...handles, ...own]);
}
