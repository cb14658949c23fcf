'use client';

import { useMemo } from 'react';
import type { Water } from '@/core/hydro/water';
import type { Build } from '@/core/lure/lure';
import type { StallPrediction } from '@/core/predict/stalls';
import { decimalText } from '@/core/units/write';
import type { Retrieve } from '@/data/settings';
import { Button } from '@/ui/Button';
import { latePart } from '@/ui/late-part';
import { askAgain, useDesk } from '../desk-state';
import { CURVE, mostRate } from '../figures/curve-frame';
import { shownOf, useCurve, useStall } from '../figures/use-core';
import { atSpeed, FASTEST_SHOWN_MPS, speedInWords, speedTicks } from '../speed';

const RateCurve = latePart(() => import('../figures/RateCurve').then((room) => room.default));

export interface SpeedAxisProps {
  readonly build: Build;
  readonly water: Water;
  readonly retrieve: Retrieve;
  readonly speedMps: number;
  /** Of the first blade now. */
  readonly rateHz: number | null;
  /** Something on the wire turns: there is a curve to draw. */
  readonly turns: boolean;
  readonly onRetrieve: (next: Retrieve) => void;
}

/** Of a slider, the width of its thumb: its middle stands over the speed. */
const THUMB_PX = 16;

/** The speeds, with the rate at each drawn over them; the retrieve is drawn along them. */
export function SpeedAxis(props: SpeedAxisProps) {
  const { build, water, retrieve, speedMps, rateHz, turns, onRetrieve } = props;
  const bladeState = useDesk((state) => state.bladeState);
  const curve = useCurve(build, water, bladeState);
  const stalls = shownOf(useStall(build, water, bladeState)) ?? NO_STALLS;
  const shown = shownOf(curve);
  const { by, linePerTurnM } = retrieve;
  const ticks = useMemo(() => speedTicks(by, linePerTurnM), [by, linePerTurnM]);
  const mostHz = shown ? mostRate(shown) : 1;
  const share = Math.min(1, speedMps / FASTEST_SHOWN_MPS);
  const isReel = by === 'reel';
  // One step of the slider is a hundredth of what is said: of a handle turn, or of a metre a second.
  const perUnitMps = isReel ? linePerTurnM : 1;
  return (
    <div className="relative min-w-64 flex-1 pt-1">
      {turns && (
        <figure className="min-w-0" style={{ height: CURVE.heightPx }} aria-label="Turns a second against speed">
          {curve.state === 'failed' ? (
            <div role="alert" className="flex flex-col items-start gap-1.5 text-sm">
              <p className="text-fault">
                The curve could not be worked out ({curve.reason}). The lure and the figures on the drawing hold.
              </p>
              <Button onClick={askAgain}>Work it out again</Button>
            </div>
          ) : shown ? (
            <RateCurve prediction={shown} stalls={stalls} ticks={ticks} mostHz={mostHz} />
          ) : (
            <p className="p-2 text-sm text-ink-soft">Working out the curve…</p>
          )}
        </figure>
      )}
      {turns && shown && (
        <div
          aria-hidden
          className="pointer-events-none absolute"
          style={{ left: CURVE.leftPx, right: CURVE.rightPx, top: 4 + CURVE.topPx, height: CURVE.plotPx }}
        >
          <span
            className="absolute inset-y-0 border-l border-dashed border-ink-soft"
            style={{ left: `${share * 100}%` }}
          />
          {rateHz !== null && rateHz <= mostHz && (
            <span
              className="absolute size-2.5 -translate-x-1/2 translate-y-1/2 rounded-full border border-panel bg-ink"
              style={{ left: `${share * 100}%`, bottom: `${(rateHz / mostHz) * 100}%` }}
            />
          )}
        </div>
      )}
      <input
        type="range"
        aria-label={isReel ? 'Retrieve, handle turns a second' : 'Retrieve, speed'}
        className="block h-6 accent-accent max-sm:h-11 pointer-coarse:h-11"
        style={{
          marginLeft: CURVE.leftPx - THUMB_PX / 2,
          width: `calc(100% - ${CURVE.leftPx + CURVE.rightPx - THUMB_PX}px)`,
        }}
        min={0}
        max={FASTEST_SHOWN_MPS / perUnitMps}
        step={0.01}
        value={Math.min(speedMps, FASTEST_SHOWN_MPS) / perUnitMps}
        aria-valuetext={isReel ? `${decimalText(retrieve.turnsPerS, 2)} handle turns a second` : speedInWords(retrieve)}
        onChange={(event) => onRetrieve(atSpeed(retrieve, Number(event.target.value) * perUnitMps))}
      />
    </div>
  );
}

const NO_STALLS: readonly StallPrediction[] = [];
