'use client';

import { useEffect } from 'react';

/** The places of the app, in the order in which builders work, each with the letter that leads there. */
const PLACES = [
  { key: 'bench', name: 'Bench', letter: 'b' },
  { key: 'tank', name: 'Tank', letter: 't' },
  { key: 'make', name: 'Make', letter: 'm' },
] as const;

export interface PlacesProps {
  readonly at: (typeof PLACES)[number]['key'];
  /** The lure that stays open from place to place. */
  readonly lureId: string | null;
}

/** Where one is and where one can go; the same everywhere. */
export function Places({ at, lureId }: PlacesProps) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const place = PLACES.find(({ letter }) => letter === event.key.toLowerCase());
      if (place && place.key !== at) window.location.assign(addressOf(place.key, lureId));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [at, lureId]);
  return (
    <nav aria-label="Places" className="flex items-center gap-0.5">
      <span className="mr-1.5 text-lg font-extrabold tracking-tight text-accent max-md:hidden">Mazurka</span>
      {PLACES.map(({ key, name, letter }) => (
        <a
          key={key}
          href={addressOf(key, lureId)}
          aria-current={key === at ? 'page' : undefined}
          aria-keyshortcuts={letter}
          title={`${name}: the letter ${letter.toUpperCase()}`}
          className={`inline-flex ${at === 'make' ? 'min-h-14 min-w-14' : 'min-h-11 min-w-11'} items-center justify-center rounded-md px-2 hover:bg-accent-soft aria-[current]:font-semibold aria-[current]:text-accent aria-[current]:underline aria-[current]:decoration-2 aria-[current]:underline-offset-8`}
        >
          {name}
        </a>
      ))}
    </nav>
  );
}

function addressOf(key: PlacesProps['at'], lureId: string | null): string {
  return lureId === null ? `/${key}` : `/${key}?lure=${lureId}`;
}

/** What takes letters itself, or opens what does: they may be typed before it is there. */
const TAKES_LETTERS =
  'input, textarea, select, [role="menu"], [role="dialog"], [role="listbox"], [role="toolbar"], [data-label]';

/** A letter that is typed into something leads nowhere. */
function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || target.closest(TAKES_LETTERS) !== null);
}
