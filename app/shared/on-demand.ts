import { createElement, lazy, useState, type FunctionComponent, type ReactNode } from 'react';

/** Something that is fetched on demand, and can be had ready before. */
export interface Fetched {
  readonly ready: () => Promise<unknown>;
}

type Drawn = ReactNode | Promise<ReactNode>;
type PropsOf<Part> = Part extends (props: infer Props) => Drawn ? Props : never;

/**
 * A component that is fetched on demand. What stands in its place while it comes is kept on the screen for 300 ms by
 * React, however soon it is there; what was had `ready` before it is shown needs no such place, and is shown at once.
 */
export function onDemand<Component extends (props: never) => Drawn>(
  load: () => Promise<{ readonly default: Component }>,
): FunctionComponent<PropsOf<Component>> & Fetched {
  type Props = PropsOf<Component>;
  type Part = FunctionComponent<Props>;
  let coming: Promise<{ readonly default: Part }> | undefined;
  let there: Part | undefined;
  const fetched = async (): Promise<{ readonly default: Part }> => {
    there = (await load()).default as unknown as Part;
    return { default: there };
  };
  const ready = (): Promise<{ readonly default: Part }> => (coming ??= fetched());
  const Later = lazy(ready) as Part;
  function OnDemand(props: Props) {
    // Chosen once: what was begun one way is not begun anew the other way.
    const [Part] = useState<Part>(() => there ?? Later);
    return createElement(Part as FunctionComponent<object>, props as object);
  }
  return Object.assign(OnDemand, { ready });
}

/** True of what is fetched on demand. */
export const isFetched = (part: unknown): part is Fetched => typeof part === 'function' && 'ready' in part;

/** Has all of them ready; one that cannot be fetched says so where it is shown. */
export const allReady = (all: readonly Fetched[]): Promise<unknown> =>
  Promise.allSettled(all.map(({ ready }) => ready()));
