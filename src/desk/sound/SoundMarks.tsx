'use client';

import { useEffect, useMemo, useRef } from 'react';
import { useMedia } from '@/ui/use-media';
import { fromPlane, type StageView } from '@/drawing/stage-view';
import { shownOf } from '../figures/use-core';
import { isHeard, useSound } from './sound-state';

/** Where on the drawing it strikes and rubs: lit with each knock while it plays, a ring while it does not. */
export function SoundMarks({ view }: { readonly view: StageView }) {
  const { now, alone, without, isPlaying } = useSound();
  const answer = now && shownOf(now);
  const isStill = useMedia('(prefers-reduced-motion: reduce)');
  const frame = useRef<SVGSVGElement>(null);
  const places = useMemo(() => {
    if (!answer || !('heard' in answer.prediction)) return [];
    const loudest = Math.max(...answer.prediction.contacts.map(({ said }) => said?.levelDb?.value ?? -Infinity));
    return answer.prediction.contacts.flatMap(({ heard, said }) => {
      if (heard.outcome !== 'sounds' || !isHeard({ alone, without }, heard.contact.id)) return [];
      const belowDb = loudest - (said?.levelDb?.value ?? -Infinity);
      return belowDb < LIT_DB
        ? [{ id: heard.contact.id, at: heard.contact.at, perS: heard.knocks?.perS ?? 0, belowDb }]
        : [];
    });
  }, [answer, alone, without]);
  useEffect(() => {
    if (!isPlaying || isStill || !frame.current) return;
    const animations = [...frame.current.querySelectorAll('circle')].flatMap((circle) => {
      const perS = Number(circle.dataset.perS);
      // Faster ones flicker: they stand lit.
      if (!(perS > 0) || perS > FASTEST_BLINK_HZ) return [];
      return [circle.animate([{ opacity: 1 }, { opacity: 0.15 }], { duration: 1000 / perS, iterations: Infinity })];
    });
    return () => {
      for (const each of animations) each.cancel();
    };
  }, [places, isPlaying, isStill]);
  return (
    <svg
      ref={frame}
      aria-hidden
      width={view.widthPx}
      height={view.heightPx}
      className="pointer-events-none absolute inset-0 text-accent"
      data-testid="sounding places"
    >
      {places.map(({ id, at, perS, belowDb }) => {
        const { x, y } = fromPlane(view, at);
        return (
          <circle
            key={id}
            data-contact={id}
            data-per-s={perS}
            cx={x}
            cy={y}
            r={Math.max(6, 16 - belowDb / 3)}
            fill="currentColor"
            fillOpacity={isPlaying ? 0.3 : 0.1}
            stroke="currentColor"
            strokeWidth={2}
          />
        );
      })}
    </svg>
  );
}

const LIT_DB = 30;
/** More than three flashes a second can harm. */
const FASTEST_BLINK_HZ = 3;
