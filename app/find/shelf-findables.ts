import COURSE from '../../core/practice/course.json' with { type: 'json' };
import { TERMS } from '../../core/vocabulary/index.js';
import { useDialogs } from '../head/dialogs.js';
import type { Shelf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import type { Findable } from './findable.js';

const command = (id: string, label: string, also: string, go: () => void): Findable => ({
  id,
  kind: 'Command',
  label,
  also,
  go,
});

/** What can be found on every page of a room: its pages, people and drafts, what holds everywhere, and the words. */
export function shelfFindables(room: RoomId, shelf: Shelf | undefined, go: (path: string) => void): Findable[] {
  const { show } = useDialogs.getState();
  const { set } = usePreferences.getState();
  const page = (id: string, label: string, also: string, path: string): Findable => ({
    id,
    kind: 'Page',
    label,
    also,
    go: () => {
      go(path);
    },
  });
  return [
    page('keep', 'Keep: all drafts', 'shelf, workbook, saved, files', `/${room}`),
    page('crew', 'Crew: everybody’s figures', 'people, persons, cast, table', `/${room}/crew`),
    page('sizes', 'Size charts', 'grade, standard sizes', `/${room}/sizes`),
    page('practise', 'Practise: lessons, sums, curves', 'learn, course, trainer, exercise, teach', `/${room}/practise`),
    page('forms', 'Measuring forms', 'sheet to fill in, print a form', `/${room}/forms`),
    ...COURSE.map(({ id, title, about }): Findable => ({
      id: `lesson-${id}`,
      kind: 'Lesson',
      label: title,
      also: `practise, learn, course, ${about}`,
      go: () => {
        go(`/${room}/practise/${id}`);
      },
    })),
    ...(shelf?.people ?? []).map(({ value }): Findable => ({
      id: `person-${value.id}`,
      kind: 'Person',
      label: value.name,
      go: () => {
        go(`/${room}/person/${value.id}`);
      },
    })),
    ...(shelf?.drafts ?? []).map(({ value }): Findable => ({
      id: `draft-${value.id}`,
      kind: 'Draft',
      label: value.name,
      go: () => {
        go(`/${room}/draft/${value.id}/draft`);
      },
    })),
    command('settings', 'Settings', 'preferences, options, unit, paper', () => {
      show('settings');
    }),
    command('keys', 'Sheet of keys', 'shortcuts, keyboard, help', () => {
      show('keys');
    }),
    command('dark', 'Dark theme', 'night, black, slate', () => {
      set({ theme: 'dark' });
    }),
    command('light', 'Light theme', 'day, white, card', () => {
      set({ theme: 'light' });
    }),
    ...TERMS.map((term): Findable => ({
      id: `term-${term.id}`,
      kind: 'Word',
      label: term.term,
      also: term.also.join(', '),
      go: () => {
        show('words', term.id);
      },
    })),
  ];
}
