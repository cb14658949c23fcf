'use client';

import { useDesk } from '@/desk/desk-state';
import { changeSettings } from '@/desk/settings';
import { Button } from '@/ui/Button';

/** What the app is for, said once: until it is read, or the first change is made. */
export function Introduction() {
  const isIntroduced = useDesk(
    ({ settings, history }) => settings.isIntroduced || (history !== null && history.past.length > 0),
  );
  if (isIntroduced) return null;
  return (
    <section aria-label="What Mazurka is for" className="rounded-md bg-accent-soft px-2.5 py-1.5">
      <p className="text-sm">
        Mazurka tells how a bladed lure will turn, run and hold together before you build it. Pick a part below the
        drawing and swap it.
      </p>
      <Button look="quiet" onClick={() => changeSettings({ isIntroduced: true })}>
        Got it
      </Button>
    </section>
  );
}
