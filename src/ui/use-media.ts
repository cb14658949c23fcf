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

/** The size of an element, kept up to date; null until it is on the page. */
export function useSize(ref: RefObject<HTMLElement | null>): { readonly width: number } | null {
  const [size, setSize] = useState<{ readonly width: number } | null>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: Math.floor(entry.contentRect.width) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
