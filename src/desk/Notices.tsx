'use client';

import { useEffect } from 'react';
import { Toaster, toast } from 'sonner';
import { takeUntold, useDesk, type Notice } from './desk-state';

/** In the inks of the app and its type. */
const LOOKS = {
  style: {
    background: 'var(--panel)',
    color: 'var(--ink)',
    borderColor: 'var(--line)',
    fontFamily: 'inherit',
    fontSize: 15,
  },
  actionButtonStyle: { background: 'var(--accent)', color: 'var(--on-accent)', minHeight: 36, fontSize: 15 },
} as const;

/** What is told once, in a corner, with the way back where there is one. */
export function Notices({ isDark }: { readonly isDark: boolean }) {
  const untold = useDesk((state) => state.untold);
  useEffect(() => {
    if (untold.length > 0) takeUntold().forEach(show);
  }, [untold]);
  return <Toaster position="bottom-left" theme={isDark ? 'dark' : 'light'} duration={8000} toastOptions={LOOKS} />;
}

function show({ tone, text, action }: Notice) {
  const options = action ? { action: { label: action.label, onClick: action.run } } : {};
  if (tone === 'trouble') toast.error(text, { duration: 20_000, ...options });
  else toast(text, options);
}
