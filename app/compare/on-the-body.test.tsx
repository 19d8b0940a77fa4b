// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Draft, DraftInput } from '../../core/chain/index.js';
import { FIT_FIGURE_IDS, type BodyTold, type FitFigures, type Hung } from '../../core/sew/index.js';
import { keyOf, orderFor, useHanging, type Hanging } from '../worn/hang-store.js';
import type { Compared } from './compared.js';
import { OnTheBody } from './OnTheBody.js';

vi.mock('../store/work-context.js', async () => {
  const { tapeFor } = await import('../../core/units/index.js');
  return { useTape: () => tapeFor('cm'), useWork: () => 'cm' };
});
vi.mock('../worn/use-assumed.js', () => {
  const nothing = {};
  return { useAssumed: () => nothing };
});
const hung: DraftInput[] = [];
const stopped = vi.fn();
vi.mock('../worn/hang-store.js', async (real) => ({
  ...(await real<object>()),
  hang: (order: { input: DraftInput }) => hung.push(order.input),
  stopHanging: () => {
    stopped();
  },
}));
vi.mock('../worn/WornCanvas.js', () => ({
  WornCanvas: ({ sides, label }: { sides: readonly unknown[]; label: string }) => (
    <div role="img" aria-label={label} data-sides={sides.length} />
  ),
}));

const input = (name: string): DraftInput =>
  ({ sheet: name, measured: { waist: 780 }, figure: 'woman', adopted: {} }) as unknown as DraftInput;
const compared = (letter: string): Compared => ({
  id: letter,
  letter,
  label: `draft ${letter}`,
  input: input(letter),
  style: [],
  draft: {} as Draft,
  why: '',
});
const [a, b, c] = [compared('A'), compared('B'), compared('C')];

const figures = (by: Partial<FitFigures>): FitFigures =>
  ({ ...Object.fromEntries(FIT_FIGURE_IDS.map((id) => [id, 0])), ...by }) as FitFigures;
const body = { sound: true, risesKnown: true, surface: { places: [], triangles: [] } } as unknown as BodyTold;
const so = (by: Partial<FitFigures>): Hung => ({ parts: [], figures: figures(by) });

/** Puts what is known of a hanging of one of the drafts; on the body of the first. */
function hangs(of: Compared, hanging: Partial<Hanging>): void {
  const key = keyOf(orderFor({ input: of.input, style: [], unit: 'cm' }, a.input, {}, 'calico'));
  act(() => {
    useHanging.setState(({ hangings }) => ({
      hangings: {
        ...hangings,
        [key]: { share: 0, body: undefined, so: undefined, done: false, failed: undefined, ...hanging },
      },
    }));
  });
}

beforeEach(() => {
  hung.length = 0;
  stopped.mockClear();
  useHanging.setState({ hangings: {}, cloth: 'calico' });
});
afterEach(cleanup);

describe('two drafts that are compared, on the body', () => {
  it('are the first two that are shown, and nothing where there is only one', async () => {
    const { rerender, container } = render(<OnTheBody compared={[a]} hidden={new Set()} />);
    expect(container.textContent).toBe('');
    rerender(<OnTheBody compared={[a, b, c]} hidden={new Set(['B'])} />);
    await userEvent.click(screen.getByRole('button', { name: 'Sew and hang A and C' }));
    expect(hung.map(({ sheet }) => sheet)).toEqual(['A', 'C']);
    rerender(<OnTheBody compared={[a, b, { ...c, draft: undefined }]} hidden={new Set(['B'])} />);
    expect(container.textContent).toBe('');
  });

  it('are shown as they are hung, and can be stopped', async () => {
    render(<OnTheBody compared={[a, b]} hidden={new Set()} />);
    hangs(a, { share: 0.5, body });
    hangs(b, { share: 0.3, body, so: so({}) });
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('40');
    expect(screen.getByRole('img').dataset['sides']).toBe('1');
    expect(screen.queryByText(/From B to A/)).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Stop/ }));
    expect(stopped).toHaveBeenCalledOnce();
  });

  it('tell what differs from the second to the first, the most telling first', () => {
    render(<OnTheBody compared={[a, b]} hidden={new Set()} />);
    hangs(a, { share: 1, done: true, body, so: so({ gapBehind: 12, holdBehind: 4 }) });
    hangs(b, { share: 1, done: true, body, so: so({ gapBehind: 2, holdBehind: 1 }) });
    expect(screen.getByText('From B to A, in calico:')).toBeTruthy();
    const said = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect(said).toHaveLength(2);
    expect(said[0]).toMatch(/The waist stands off behind by 1\.2 cm, 0\.2 cm before/);
    expect(said[1]).toMatch(/The waist behind must be held up with 4\.0 N, 1\.0 N before/);
    expect(screen.queryByRole('button', { name: /Sew and hang/ })).toBeNull();
  });

  it('say why they cannot be hung', () => {
    render(<OnTheBody compared={[a, b]} hidden={new Set()} />);
    hangs(a, { body: { ...body, sound: false }, done: true, share: 1 });
    hangs(b, { failed: 'The virtual toile could not be sewn.' });
    expect(screen.getByText('The virtual toile could not be sewn.')).toBeTruthy();
    expect(screen.getByText(/No body can be made that reads these measurements within 0\.6 cm/)).toBeTruthy();
    // What failed may be tried again.
    expect(screen.getByRole('button', { name: 'Sew and hang A and B' })).toBeTruthy();
  });
});
