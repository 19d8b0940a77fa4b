import { useLayoutEffect, useState, type RefObject } from 'react';
import type { ScreenSize } from './view.js';

/** The size of an element in pixels, followed as it changes. */
export function useSize(element: RefObject<Element | null>): ScreenSize | undefined {
  const [size, setSize] = useState<ScreenSize>();
  useLayoutEffect(() => {
    const target = element.current;
    if (!target) return;
    const read = (): void => {
      const box = target.getBoundingClientRect();
      setSize({ width: box.width, height: box.height });
    };
    read();
    const observer = new ResizeObserver(read);
    observer.observe(target);
    return () => {
      observer.disconnect();
    };
  }, [element]);
  return size;
}
