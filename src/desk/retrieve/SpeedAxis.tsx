'use client';

import { useMemo } from 'react';
import type { Build } from '@/core/lure/lure';
import type { StallPrediction } from '@/core/predict/stalls';
import { decimalText } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { latePart } from '@/ui/late-part';
import { askAgain, useDesk } from '../desk-state';
import { CURVE, mostRate } from '../figures/curve-frame';
import { shownOf, useCurve, useStall } from '../figures/use-core';
import { changeRetrieve } from '../settings';
import { atSpeed, FASTEST_SHOWN_MPS, retrieveSpeed, speedInWords, speedTicks } from '../speed';

const RateCurve = latePart(() => import('../figures/RateCurve').then((room) => room.default));

export interface SpeedAxisProps {
  readonly build: Build;
  /** Of the first blade now. */
  readonly rateHz: number | null;
  /** Something on the wire turns: there is a curve to draw. */
  readonly turns: boolean;
}

/** Of a slider, the width of its thumb: its middle stands over the speed. */
const THUMB_PX = 16;

/** The speeds, with the rate at each drawn over them; the retrieve is drawn along them. */
export function SpeedAxis({ build, rateHz, turns }: SpeedAxisProps) {
  const water = useDesk((state) => state.settings.water);
  const bladeState = useDesk((state) => state.bladeState);
  const by = useDesk((state) => state.settings.retrieve.by);
  const linePerTurnM = useDesk((state) => state.settings.retrieve.linePerTurnM);
  const curve = useCurve(build, water, bladeState);
  const stalls = shownOf(useStall(build, water, bladeState)) ?? NO_STALLS;
  const shown = shownOf(curve);
  const ticks = useMemo(() => speedTicks(by, linePerTurnM), [by, linePerTurnM]);
  const mostHz = useMemo(() => (shown ? mostRate(shown) : 1), [shown]);
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
      {turns && shown && <SpeedMark rateShare={rateHz !== null && rateHz <= mostHz ? rateHz / mostHz : null} />}
      <SpeedSlider />
    </div>
  );
}

/** Room beside the plot for half a dot. */
const EDGE_PX = 6;

/**
 * Where on the curve the retrieve is: moved over the plot as a whole, so that nothing is laid out anew.
 * @param rateShare of the axis' height; null where the rate is not on it
 */
function SpeedMark({ rateShare }: { readonly rateShare: number | null }) {
  const share = useDesk(({ settings }) => Math.min(1, retrieveSpeed(settings.retrieve) / FASTEST_SHOWN_MPS));
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute overflow-x-clip"
      style={{
        left: CURVE.leftPx - EDGE_PX,
        right: CURVE.rightPx - EDGE_PX,
        top: 4 + CURVE.topPx,
        height: CURVE.plotPx,
      }}
    >
      <div
        className="absolute inset-y-0"
        style={{ left: EDGE_PX, right: EDGE_PX, transform: `translateX(${share * 100}%)` }}
      >
        <span className="absolute inset-y-0 left-0 border-l border-dashed border-ink-soft" />
        {rateShare !== null && (
          <span
            className="absolute left-0 -mb-1.25 -ml-1.25 size-2.5 rounded-full border border-panel bg-ink"
            style={{ bottom: `${rateShare * 100}%` }}
          />
        )}
      </div>
    </div>
  );
}

function SpeedSlider() {
  const retrieve = useDesk((state) => state.settings.retrieve);
  const isReel = retrieve.by === 'reel';
  // One step of the slider is a hundredth of what is said: of a handle turn, or of a metre a second.
  const perUnitMps = isReel ? retrieve.linePerTurnM : 1;
  return (
    <div
      className="h-6 contain-layout contain-size max-sm:h-11 pointer-coarse:h-11"
      style={{ marginLeft: CURVE.leftPx - THUMB_PX / 2, marginRight: CURVE.rightPx - THUMB_PX / 2 }}
    >
      <input
        type="range"
        aria-label={isReel ? 'Retrieve, handle turns a second' : 'Retrieve, speed'}
        className="block size-full accent-accent"
        min={0}
        max={FASTEST_SHOWN_MPS / perUnitMps}
        step={0.01}
        value={Math.min(retrieveSpeed(retrieve), FASTEST_SHOWN_MPS) / perUnitMps}
        aria-valuetext={isReel ? `${decimalText(retrieve.turnsPerS, 2)} handle turns a second` : speedInWords(retrieve)}
        onChange={(event) => {
          const speedMps = Number(event.target.value) * perUnitMps;
          changeRetrieve((now) => atSpeed(now, speedMps));
        }}
      />
    </div>
  );
}

const NO_STALLS: readonly StallPrediction[] = [];
