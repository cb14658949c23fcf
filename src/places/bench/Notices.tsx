'use client';

import { useEffect } from 'react';
import { Toaster, toast } from 'sonner';
import { useBench } from './bench-state';

/** What is told once, in a corner, with the way back where there is one. */
export function Notices({ isDark }: { readonly isDark: boolean }) {
  const notice = useBench((state) => state.notice);
  useEffect(() => {
    if (!notice) return;
    const { tone, text, action } = notice;
    const options = action ? { action: { label: action.label, onClick: action.run } } : {};
    if (tone === 'trouble') toast.error(text, { duration: 20_000, ...options });
    else toast(text, options);
  }, [notice]);
  return <Toaster position="bottom-left" theme={isDark ? 'dark' : 'light'} duration={8000} />;
}
