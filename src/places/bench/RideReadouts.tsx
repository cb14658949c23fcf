'use client';

import { memo } from 'react';
import type { Build } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { BandedReadout } from '@/ui/BandedReadout';
import { GLANCE, GLANCE_AT_SURFACE, noRideWords, rideFigures, type SpeedUnit } from '@/words/ride-words';
import { askAgain, useBench } from './bench-state';
import { shownOf, useRide } from './use-core';

export interface RideReadoutsProps {
  readonly build: Build;
  readonly speedMps: number;
  readonly speedUnit: SpeedUnit;
  readonly isCompact: boolean;
}

/** What the whole lure does at the chosen speed: thump, depth, where it surfaces, lean. Follows the blades a moment later. */
export const RideReadouts = memo(function RideReadouts({ build, speedMps, speedUnit, isCompact }: RideReadoutsProps) {
  const { system, water, outfit } = useBench((state) => state.settings);
  const bladeState = useBench((state) => state.bladeState);
  const asked = useRide(build, water, outfit, bladeState, speedMps);
  const answer = shownOf(asked);
  if (asked.state === 'failed') {
    return (
      <div role="alert" className="flex items-center gap-2 px-2 text-sm">
        <p className="text-fault">How it rides could not be worked out ({asked.reason}).</p>
        <Button onClick={askAgain}>Work it out again</Button>
      </div>
    );
  }
  if (!answer) return <p className="px-2 py-1 text-sm text-ink-soft">Working out how it rides…</p>;
  const { prediction } = answer;
  const [ride] = prediction.rides;
  if (ride && ride.outcome !== 'rides') return <p className="px-2 py-1 text-sm">{noRideWords(ride)}</p>;
  const glance = prediction.lure.planingMps ? GLANCE_AT_SURFACE : GLANCE;
  return (
    <div
      className={`flex flex-wrap gap-x-2 ${isCompact ? '' : 'sm:border-l sm:border-line sm:pl-2'}`}
      aria-busy={asked.state === 'working'}
      data-testid="ride"
    >
      {rideFigures({ ...answer, system, speedUnit }, glance).map(
        ({ output, name, value, unit, band, why, moves, unsure }) => (
          <BandedReadout
            key={output}
            compact={isCompact}
            name={name}
            value={value}
            unit={unit}
            band={band}
            why={why}
            more={[moves, unsure].filter((each) => each !== '')}
            testId={`ride ${output}`}
          />
        ),
      )}
    </div>
  );
});
