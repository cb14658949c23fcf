'use client';

import { BandedReadout } from '@/ui/BandedReadout';
import { Button } from '@/ui/Button';
import { GLANCE, GLANCE_AT_SURFACE, noRideWords, rideFigures, type RideShown } from '@/words/ride-words';
import { askAgain } from '../desk-state';
import type { Asked, RideAnswer } from './use-core';

export interface RideReadoutsProps {
  readonly asked: Asked<RideAnswer>;
  /** The last answer, while a new one is worked out. */
  readonly shown: RideShown | null;
  readonly isCompact: boolean;
}

/** What the whole lure does at the chosen speed: thump, depth, where it surfaces, lean. Follows the blades a moment later. */
export function RideReadouts({ asked, shown, isCompact }: RideReadoutsProps) {
  if (asked.state === 'failed') {
    return (
      <div role="alert" className="flex items-center gap-2 px-2 text-sm">
        <p className="text-fault">How it rides could not be worked out ({asked.reason}).</p>
        <Button onClick={askAgain}>Work it out again</Button>
      </div>
    );
  }
  if (!shown) return <p className="px-2 py-1 text-sm text-ink-soft">Working out how it rides…</p>;
  const { prediction } = shown;
  const [ride] = prediction.rides;
  if (ride && ride.outcome !== 'rides') return <p className="px-2 py-1 text-sm">{noRideWords(ride)}</p>;
  const glance = prediction.lure.planingMps ? GLANCE_AT_SURFACE : GLANCE;
  return (
    <div
      className={`flex flex-wrap gap-x-2 ${isCompact ? '' : 'sm:border-l sm:border-line sm:pl-2'}`}
      aria-busy={asked.state === 'working'}
      data-testid="ride"
    >
      {rideFigures(shown, glance).map(({ output, name, value, unit, band, why, moves, unsure }) => (
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
      ))}
    </div>
  );
}
