'use client';

import { useEffect, useState, useSyncExternalStore, type RefObject } from 'react';

/** Whether a media query holds; false while the page is prerendered. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (onChange) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', onChange);
      return () => list.removeEventListener('change', onChange);
    },
    () => window.matchMedia(query).matches,
    () => false,
  );
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element, kept up to date; null until it is on the page. */
export function useSize(ref: RefObject<HTMLElement | null>): Size | null {
  const [size, setSize] = useState<Size | null>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const [width, height] = [Math.floor(entry.contentRect.width), Math.floor(entry.contentRect.height)];
      setSize((known) => (known?.width === width && known.height === height ? known : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
