'use client';

import { memo, useEffect, useMemo, useRef, useState } from 'react';
import type { Lure } from '@/core/lure/lure';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import type { UnitSystem } from '@/core/units/write';
import { drawnOf, motionsWith } from '@/desk/derived';
import { useDesk } from '@/desk/desk-state';
import { FrontDrawing } from '@/desk/stage/FrontDrawing';
import { Stage } from '@/desk/stage/Stage';
import { useStageView } from '@/desk/stage/use-stage-view';
import { frontView } from '@/drawing/front-view';
import { useMedia, useSize } from '@/ui/use-media';
import { degrees } from '@/words/angle-words';
import { swimWords } from '@/words/swim-words';
import { HearButton } from './HearButton';
import { useTank } from './tank-state';
import type * as FiguresAt from './figures-at';

export interface SwimmingProps {
  /** With what is tried. */
  readonly lure: Lure;
  readonly prediction: SpinPrediction;
  readonly speedMps: number;
  readonly system: UnitSystem;
  /** Called once, when it is first painted. */
  readonly onPainted: () => void;
}

/** Shown so large at least, px, and by no more than a few round factors. */
const SEEN_PX = 2.5;
const FACTORS = [1, 2, 5, 10, 20, 50, 100];
const MOST_SHAKE_PX = 9;

/**
 * The lure as it swims: its blades turn, it hangs at its pitch, shakes at its beat or swings with its wobble, and leans as
 * the small view from the front shows.
 */
export const Swimming = memo(function Swimming({ lure, prediction, speedMps, system, onPainted }: SwimmingProps) {
  const stage = useRef<HTMLDivElement>(null);
  const body = useRef<HTMLDivElement>(null);
  const swung = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const slowedBy = useDesk((state) => state.settings.slowedBy);
  const room = useFiguresRoom();
  const isStill = useMedia('(prefers-reduced-motion: reduce)');
  const tried = useTank((state) => state.tried);
  const laid = drawnOf(lure.build);
  const motions = motionsWith(prediction, laid);
  const view = useStageView(size, laid.layout, motions);
  const figures = room && speedMps > 0 ? room.swimmingFigures(lure, water, outfit, speedMps) : null;
  const ride = useMemo(() => figures?.ride() ?? null, [figures]);
  const pitchRad = figures?.trim?.pitchRad ?? 0;
  const leanRad = ride?.lean.outcome === 'leans' ? ride.lean.leanRad : 0;
  const shakes = figures?.isShaken ? (ride?.shakes ?? []) : [];
  const most = shakes.reduce<(typeof shakes)[number] | null>(
    (best, each) => (each.amplitudeM > (best?.amplitudeM ?? 0) ? each : best),
    null,
  );
  const turning = prediction.blades.find(({ station }) => station === most?.station)?.at[0];
  const rateHz = doesTurn(turning) ? turning.rateHz.value : 0;
  const amplitudePx = (most?.amplitudeM ?? 0) * 1000 * (view?.pxPerMm ?? 0);
  const factor = FACTORS.find((each) => each * amplitudePx >= SEEN_PX) ?? FACTORS.at(-1) ?? 1;
  const shownPx = Math.min(MOST_SHAKE_PX, amplitudePx * factor);
  const wobble = ride?.wobble ?? null;
  useMoving(
    body,
    isStill ? [] : [`translateY(${shownPx}px)`, `translateY(${-shownPx}px)`],
    shownPx > SEEN_AT_ALL_PX ? rateHz / slowedBy : 0,
  );
  useMoving(
    swung,
    // A lure behind a line swings about its own eye: the line ahead does not, so it is only told.
    isStill || !wobble || lure.build.carrier.kind !== 'body' ? [] : [turned(wobble.swingRad), turned(-wobble.swingRad)],
    (wobble?.rateHz ?? 0) / slowedBy,
  );
  const front = useMemo(() => frontView(laid.layout, motions), [laid, motions]);
  const words = swimWords(
    { pitchRad, leanRad, shakeM: most?.amplitudeM ?? null, factor, rateHz, wobble, isStill },
    system,
  );
  return (
    <section aria-label="Swimming" className="relative flex min-h-0 flex-1 flex-col">
      <div ref={stage} className="relative flex-1 overflow-hidden bg-stage contain-strict">
        <div
          className="absolute inset-0"
          style={{ transform: `rotate(${pitchRad}rad)`, transformOrigin: originOf(view) }}
          data-testid="swimming"
          data-pitch={pitchRad}
        >
          {/* It swings about its line eye, towards the eye that looks and away from it. */}
          <div ref={swung} className="absolute inset-0" style={{ transformOrigin: originOf(view) }}>
            <div ref={body} className="absolute inset-0">
              {size && (
                <Stage
                  size={size}
                  isWide={false}
                  prediction={prediction}
                  findings={NONE}
                  system={system}
                  isReady={false}
                  isBare
                  onPainted={onPainted}
                >
                  {null}
                </Stage>
              )}
            </div>
          </div>
        </div>
        <figure className="absolute right-2 top-2 w-24 text-center max-sm:w-16">
          <div style={{ transform: `rotate(${leanRad}rad)` }}>
            <FrontDrawing
              view={front}
              label={`From the front, leaning ${degrees(Math.abs(leanRad))}`}
              className="aspect-square w-full rounded-full bg-panel/70"
            />
          </div>
          <figcaption className="text-sm text-ink-soft max-sm:sr-only">from the front</figcaption>
        </figure>
        <div className="absolute left-2 top-2 flex flex-col items-start gap-1">
          <HearButton />
          {tried && (
            <p className="rounded-md border border-dashed border-accent bg-panel px-2 py-0.5 text-sm text-accent">
              as it would be
            </p>
          )}
        </div>
        <p className="absolute inset-x-2 bottom-1 text-sm text-ink-soft" data-testid="swim words">
          {words}
        </p>
      </div>
    </section>
  );
});

/** First the drawing stands, then it hangs and shakes as it swims. */
function useFiguresRoom(): typeof FiguresAt | null {
  const [room, setRoom] = useState<typeof FiguresAt | null>(null);
  useEffect(() => {
    void import('./figures-at').then(setRoom);
  }, []);
  return room;
}

const NONE: readonly never[] = [];

/** It pitches about where its line pulls, near its nose. */
function originOf(view: { readonly originX: number; readonly originY: number } | null): string {
  return view ? `${view.originX}px ${view.originY}px` : '50% 50%';
}

const SEEN_AT_ALL_PX = 0.3;
/** From so far away, px, a swing is looked at. */
const SEEN_FROM_PX = 1400;

function turned(rad: number): string {
  return `perspective(${SEEN_FROM_PX}px) rotateY(${rad}rad)`;
}

/** From the one to the other and back at this rate, Hz. */
function useMoving(moved: { readonly current: HTMLElement | null }, transforms: readonly string[], rateHz: number) {
  const between = transforms.join(' | ');
  useEffect(() => {
    const element = moved.current;
    if (!element || between === '' || !(rateHz > 0)) return;
    const moving = element.animate(
      between.split(' | ').map((transform) => ({ transform })),
      { duration: 500 / rateHz, iterations: Infinity, direction: 'alternate', easing: 'ease-in-out' },
    );
    return () => moving.cancel();
  }, [moved, between, rateHz]);
}
