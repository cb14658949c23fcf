'use client';

import { useEffect, useState } from 'react';

const WORKER = '/serwist/sw.js';
/** How often an open page looks whether a newer build is there. */
const LOOK_EVERY_MS = 60 * 60 * 1000;

/**
 * Sees to it that the app is held for use without a network, once the page stands. A newer one that waits is told of, and
 * taken when the user says so.
 */
export function Offline() {
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (process.env.NODE_ENV === 'development' || !('serviceWorker' in navigator)) return;
    let isHere = true;
    let timer: ReturnType<typeof setInterval> | undefined;
    const follow = (registration: ServiceWorkerRegistration | undefined) => {
      // Where service workers are turned off the browser may answer with nothing.
      if (!registration) return;
      const tell = () => {
        // Without one in charge it is the first, and there is nothing newer about it.
        if (isHere && registration.waiting && navigator.serviceWorker.controller) setWaiting(registration.waiting);
      };
      tell();
      registration.addEventListener('updatefound', () => {
        registration.installing?.addEventListener('statechange', tell);
      });
      timer = setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY_MS);
    };
    const register = () => void navigator.serviceWorker.register(WORKER, { scope: '/' }).then(follow, () => undefined);
    // The drawing first: what the page needs comes before what it may need later.
    if (document.readyState === 'complete') register();
    else window.addEventListener('load', register, { once: true });
    return () => {
      isHere = false;
      clearInterval(timer);
      window.removeEventListener('load', register);
    };
  }, []);
  if (!waiting) return null;
  const take = () => {
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
    waiting.postMessage({ type: 'SKIP_WAITING' });
  };
  return (
    <aside
      aria-label="A newer Mazurka"
      className="fixed right-3 bottom-24 z-20 flex items-center gap-2 rounded-md border border-line bg-panel p-2 text-ink shadow-lg print:hidden"
    >
      <p className="pl-1">A newer Mazurka is ready.</p>
      <button
        type="button"
        className="min-h-11 rounded-md px-3 font-semibold text-accent hover:bg-accent-soft"
        onClick={take}
      >
        Use it now
      </button>
      <button type="button" className="min-h-11 rounded-md px-3 hover:bg-accent-soft" onClick={() => setWaiting(null)}>
        Later
      </button>
    </aside>
  );
}
