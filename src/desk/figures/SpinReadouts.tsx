'use client';

import { memo } from 'react';
import { doesTurn, type BladePrediction, type SpinPrediction } from '@/core/predict/spin';
import { itemOf, type Build, type ItemId } from '@/core/lure/lure';
import { GRAVITY_MPS2 } from '@/core/hydro/water';
import { decimalText, pullInWeight, type UnitSystem } from '@/core/units/write';
import { BandedReadout } from '@/ui/BandedReadout';
import { partTitle } from '@/words/part-words';
import type { BladeOutput } from '@/core/predict/movers';
import { movesWords, unsureWords, type RideShown, type SpeedUnit } from '@/words/ride-words';
import { READOUT_WHY, stillWords } from '@/words/spin-words';
import { useDesk } from '../desk-state';
import { RideReadouts } from './RideReadouts';
import { shownOf, useRide } from './use-core';

export interface SpinReadoutsProps {
  readonly build: Build;
  readonly prediction: SpinPrediction;
  /** Rate of each blade before the last change, to show what the change did. */
  readonly ratesBefore: ReadonlyMap<ItemId, number>;
  readonly system: UnitSystem;
  /** The rate drawn as ticks, where the blade itself is not shown turning. */
  readonly showsTicks: boolean;
  readonly speedMps: number;
  readonly speedUnit: SpeedUnit;
}

/** What each blade does at the chosen speed, over the drawing that shows it. */
export const SpinReadouts = memo(function SpinReadouts({
  build,
  prediction,
  ratesBefore,
  system,
  showsTicks,
  speedMps,
  speedUnit,
}: SpinReadoutsProps) {
  const { blades } = prediction;
  const { water, outfit } = useDesk((state) => state.settings);
  const bladeState = useDesk((state) => state.bladeState);
  const ride = useRide(build, water, outfit, bladeState, speedMps);
  const answer = shownOf(ride);
  const shown = answer && { ...answer, system, speedUnit };
  return (
    <div className="flex flex-wrap gap-x-4">
      <div aria-live="polite" className="contents">
        {blades.length === 0 && <p className="px-2 py-1 text-ink-soft">No blade turns on this wire yet.</p>}
        {blades.map(({ station, at }) => (
          <Readouts
            key={station}
            station={station}
            title={blades.length > 1 ? partTitle(itemOf(build, station).part) : null}
            at={at[0]}
            fixedAs={itemOf(build, station).part.kind === 'deltaBlade' ? null : 'as folded'}
            rateBefore={ratesBefore.get(station) ?? null}
            system={system}
            showsTicks={showsTicks}
            build={build}
            shown={shown}
          />
        ))}
      </div>
      <RideReadouts asked={ride} shown={shown} isCompact={blades.length > 1} />
    </div>
  );
});

function Readouts({
  station,
  title,
  at,
  fixedAs,
  rateBefore,
  system,
  showsTicks,
  build,
  shown,
}: {
  readonly station: ItemId;
  readonly title: string | null;
  readonly at: BladePrediction | undefined;
  /** Said of a spread that nothing but the hand changes; null of a blade that always stands square. */
  readonly fixedAs: string | null;
  readonly rateBefore: number | null;
  readonly system: UnitSystem;
  readonly showsTicks: boolean;
  readonly build: Build;
  readonly shown: RideShown | null;
}) {
  if (!at) return null;
  const still = stillWords(at);
  if (!doesTurn(at)) {
    return (
      <p data-testid={`still ${station}`}>
        {title && <span className="font-semibold">{title}: </span>}
        {at.outcome === 'stopped' ? 'Stops. ' : at.outcome === 'doesNotTurn' ? 'Does not turn. ' : 'Cannot be said. '}
        <span className="text-ink-soft">{still}</span>
      </p>
    );
  }
  const { rateHz, spreadRad, dragN } = at;
  const range = (low: number, high: number, digits: number) =>
    `${decimalText(low, digits)} to ${decimalText(high, digits)}`;
  const degrees = (rad: number) => (rad * 180) / Math.PI;
  const pull = (newtons: number) => pullInWeight(newtons / GRAVITY_MPS2, system);
  // What moves it comes with the last ride worked out, which may still be of the lure before.
  const more = (output: BladeOutput) =>
    [shown ? movesWords(`${output} of ${station}`, shown) : '', unsureWords(at[output].leastKnown, build)].filter(
      (each) => each !== '',
    );
  const changed = rateBefore !== null && Math.abs(rateBefore - rateHz.value) >= 0.05;
  return (
    <div>
      {title && <p className="text-sm font-semibold">{title}</p>}
      <div className="flex flex-wrap gap-x-2">
        <BandedReadout
          name="Turns a second"
          value={decimalText(rateHz.value, 1)}
          unit="turns/s"
          band={range(rateHz.low, rateHz.high, 1)}
          before={changed ? `was ${decimalText(rateBefore, 1)}` : null}
          why={at.outcome === 'mayStop' ? `${READOUT_WHY.rateIfTurning} ${READOUT_WHY.rate}` : READOUT_WHY.rate}
          more={more('rateHz')}
          testId={`rate ${station}`}
        />
        {fixedAs !== null && (
          <BandedReadout
            name="Spread angle"
            value={decimalText(degrees(spreadRad.value), 0)}
            unit="°"
            band={
              spreadRad.low === spreadRad.high ? fixedAs : range(degrees(spreadRad.low), degrees(spreadRad.high), 0)
            }
            why={READOUT_WHY.spread}
            more={more('spreadRad')}
            testId={`spread ${station}`}
          />
        )}
        <BandedReadout
          name="Blade drag"
          value={pull(dragN.value).number}
          unit={`${pull(dragN.value).unit} pull`}
          band={`${pull(dragN.low).number} to ${pull(dragN.high).number}`}
          why={READOUT_WHY.drag}
          more={more('dragN')}
          testId={`drag ${station}`}
        />
        {title === null && showsTicks && <OneSecond rateHz={rateHz.value} />}
      </div>
    </div>
  );
}

/** Two blades at their own rates fall in and out of step. */
export const BeatReadouts = memo(function BeatReadouts({ beats }: { readonly beats: SpinPrediction['beats'] }) {
  return beats.map(({ stations, at: [beat] }) =>
    beat ? (
      <BandedReadout
        key={stations.join(' ')}
        compact
        name="Beat"
        value={decimalText(beat.value, 1)}
        unit="a second"
        band={`${decimalText(beat.low, 1)} to ${decimalText(beat.high, 1)}`}
        why={READOUT_WHY.beat}
        testId="beat"
      />
    ) : null,
  );
});

/** The beat drawn: one second, a tick for each turn. */
function OneSecond({ rateHz }: { readonly rateHz: number }) {
  const ticks = Array.from({ length: Math.floor(rateHz) + 1 }, (_, i) => i / rateHz).filter((at) => at <= 1);
  return (
    <div className="flex flex-col justify-end px-2 pb-2 text-xs text-ink-soft">
      <svg viewBox="0 0 300 14" preserveAspectRatio="none" className="h-5 w-36 max-w-full" aria-hidden>
        <line x1={0} x2={300} y1={13} y2={13} stroke="var(--line)" />
        {ticks.map((at) => (
          <line key={at} x1={at * 298 + 1} x2={at * 298 + 1} y1={2} y2={13} stroke="var(--accent)" strokeWidth={2.5} />
        ))}
      </svg>
      one second
    </div>
  );
}
