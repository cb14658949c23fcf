'use client';

import { useEffect } from 'react';
import { useMedia } from './use-media';

/** Whether the page is dark, by the user's choice or the system's; sets it on the page. */
export function useDark(theme: 'auto' | 'light' | 'dark'): boolean {
  const prefersDark = useMedia('(prefers-color-scheme: dark)');
  const isDark = theme === 'dark' || (theme === 'auto' && prefersDark);
  useEffect(() => {
    document.documentElement.dataset.theme = isDark ? 'dark' : 'light';
  }, [isDark]);
  return isDark;
}
