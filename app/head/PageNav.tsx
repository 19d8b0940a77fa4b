import { NavLink } from 'react-router';
import type { RoomId } from '../store/rooms.js';

const PAGES: readonly (readonly [path: string, label: string])[] = [
  ['', 'Drafts'],
  ['/crew', 'Crew'],
  ['/sizes', 'Size charts'],
  ['/practise', 'Practise'],
];

/** The way between the pages of a workroom: drafts, crew, size charts, practising. */
export function PageNav({ room }: { room: RoomId }) {
  return (
    <nav className="page-nav" aria-label="Workroom">
      {PAGES.map(([path, label]) => (
        <NavLink key={path} to={`/${room}${path}`} end>
          {label}
        </NavLink>
      ))}
    </nav>
  );
}
