// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { Suspense, type FunctionComponent } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { allReady, isFetched, onDemand } from './on-demand.js';

afterEach(cleanup);

const Said = ({ words }: { readonly words: string }) => <p>{words}</p>;
const shown = (Part: FunctionComponent<{ readonly words: string }>): void => {
  render(
    <Suspense fallback={<p>coming</p>}>
      <Part words="there" />
    </Suspense>,
  );
};

describe('what is fetched on demand', () => {
  it('is shown at once where it was had ready, with nothing in its place before', async () => {
    let fetches = 0;
    const Part = onDemand(() => {
      fetches += 1;
      return Promise.resolve({ default: Said });
    });
    expect(isFetched(Part)).toBe(true);
    expect(isFetched(Said)).toBe(false);
    await allReady([Part, Part]);
    expect(fetches).toBe(1);
    shown(Part);
    expect(screen.queryByText('coming')).toBeNull();
    expect(screen.getByText('there')).toBeDefined();
  });

  it('has its place kept until it comes where it was not, and does not begin anew', async () => {
    let give: (part: { default: typeof Said }) => void = () => undefined;
    const Part = onDemand(() => new Promise<{ default: typeof Said }>((given) => (give = given)));
    shown(Part);
    expect(screen.getByText('coming')).toBeDefined();
    give({ default: Said });
    expect(await screen.findByText('there')).toBeDefined();
  });

  it('holds nothing up where it cannot be fetched', async () => {
    const lost = onDemand<typeof Said>(() => Promise.reject(new TypeError('a module was not found')));
    await expect(allReady([lost, onDemand(() => Promise.resolve({ default: Said }))])).resolves.toBeDefined();
  });
});
