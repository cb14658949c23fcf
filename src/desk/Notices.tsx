'use client';

import { useEffect } from 'react';
import { Toaster, toast } from 'sonner';
import { useDesk } from './desk-state';

/** In the inks of the app and its type. */
const LOOKS = {
  style: { background: 'var(--panel)', color: 'var(--ink)', borderColor: 'var(--line)', fontFamily: 'inherit' },
  actionButtonStyle: { background: 'var(--accent)', color: 'var(--on-accent)', minHeight: 36 },
} as const;

/** What is told once, in a corner, with the way back where there is one. */
export function Notices({ isDark }: { readonly isDark: boolean }) {
  const notice = useDesk((state) => state.notice);
  useEffect(() => {
    if (!notice) return;
    const { tone, text, action } = notice;
    const options = action ? { action: { label: action.label, onClick: action.run } } : {};
    if (tone === 'trouble') toast.error(text, { duration: 20_000, ...options });
    else toast(text, options);
  }, [notice]);
  return <Toaster position="bottom-left" theme={isDark ? 'dark' : 'light'} duration={8000} toastOptions={LOOKS} />;
}
