// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { newPerson, type Person } from '../../core/kept/index.js';
import { actsNow, queryClient, shelfKey, useShelf } from '../store/queries.js';
import type { Shelf } from '../store/database.js';
import { useShelfActs, type ShelfActs } from './shelf-acts.js';

let acts: ShelfActs;
let n = 0;

function Page() {
  const shelf = useShelf('own');
  const own = useShelfActs('own', 'crew');
  useEffect(() => {
    acts = own;
  });
  return (
    <>
      {own.undoRedo}
      {own.message}
      <ul>
        {shelf.data?.people.map(({ value }) => (
          <li key={value.id}>{value.name}</li>
        ))}
      </ul>
    </>
  );
}

const person = (name: string): Person => ({ ...newPerson(() => `p-${++n}`, name, 'cm', new Date(2026, 10, 1)), name });
const names = (): string[] => screen.queryAllByRole('listitem').map((li) => li.textContent);
const people = (): string[] =>
  (queryClient.getQueryData<Shelf>(shelfKey('own'))?.people ?? []).map(({ value }) => value.name);
/** Puts people on the shelf without waiting for the one before. */
const put = (...who: Person[]): Promise<void>[] =>
  who.map((p) => acts.act({ said: `New: ${p.name}`, put: { people: [p] }, quiet: true }));

beforeEach(async () => {
  render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter>
        <Page />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await waitFor(() => {
    expect(queryClient.getQueryData(shelfKey('own'))).toBeDefined();
  });
});
afterEach(() => {
  cleanup();
  queryClient.clear();
});

describe('acts on a room', () => {
  it('undo the last one, also where it was still being written when undo was pressed', async () => {
    await Promise.all(put(person('Stoker')));
    await waitFor(() => {
      expect(names()).toContain('Stoker');
    });
    // A fast hand: the next is put and undone at once.
    const written = put(person('Bosun'));
    await userEvent.keyboard('{Control>}z{/Control}');
    await Promise.all(written);
    await waitFor(() => {
      expect(actsNow('own', 'crew').at(-1)).toMatchObject({ said: 'New: Bosun', undone: true });
    });
    expect(people()).toContain('Stoker');
    expect(people()).not.toContain('Bosun');
  });

  it('are each kept, however many come at once, and undone one by one, the last first', async () => {
    await Promise.all(put(person('Mate'), person('Pilot'), person('Cook')));
    await waitFor(() => {
      expect(names()).toEqual(expect.arrayContaining(['Mate', 'Pilot', 'Cook']));
    });
    await userEvent.keyboard('{Control>}zz{/Control}');
    await waitFor(() => {
      expect(people()).toContain('Mate');
      expect(people()).not.toContain('Pilot');
      expect(people()).not.toContain('Cook');
    });
    await userEvent.keyboard('{Control>}y{/Control}');
    await waitFor(() => {
      expect(people()).toContain('Pilot');
      expect(people()).not.toContain('Cook');
    });
  });

  it('say what was done, and undo it from there', async () => {
    const user = userEvent.setup();
    await acts.act({ said: 'New: Purser', put: { people: [person('Purser')] } });
    await screen.findByText('New: Purser');
    const buttons = await screen.findAllByRole('button', { name: 'Undo' });
    await user.click(buttons.at(-1) as HTMLElement);
    await waitFor(() => {
      expect(people()).not.toContain('Purser');
    });
  });
});
