'use client';

import { memo } from 'react';
import { doesTurn, type BladePrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { itemOf, type Build, type ItemId } from '@/core/lure/lure';
import { GRAVITY_MPS2 } from '@/core/hydro/water';
import { decimalText, pullInWeight, type UnitSystem } from '@/core/units/write';
import { BandedReadout } from '@/ui/BandedReadout';
import { ReadingForm } from './ReadingForm';
import { partTitle } from '@/words/part-words';
import type { BladeOutput } from '@/core/predict/movers';
import { unsureWords } from '@/words/factor-words';
import { movesWords, type RideShown } from '@/words/ride-words';
import { chanceWords, keepsFigure, outcomeWords, READOUT_WHY, type SpeedUnit } from '@/words/spin-words';

export interface BladeFiguresProps {
  readonly station: ItemId;
  readonly at: BladePrediction;
  readonly build: Build;
  /** Several blades turn: say which this is. */
  readonly isNamed: boolean;
  /** Its rate before the last change, Hz. */
  readonly rateBefore: number | null;
  readonly stall: StallPrediction['stall'] | null;
  readonly shown: RideShown | null;
  readonly system: UnitSystem;
  readonly speedMps: number;
  readonly speedUnit: SpeedUnit;
  /** The rate drawn as ticks, where the blade itself is not shown turning. */
  readonly showsTicks: boolean;
  /** Only what it does now, on one line. */
  readonly isBrief: boolean;
}

/** What one blade does at the chosen speed: rate, spread, pull, and down to where it keeps turning. */
export const BladeFigures = memo(function BladeFigures(props: BladeFiguresProps) {
  const { station, at, build, isNamed, stall, speedMps, speedUnit, showsTicks, isBrief } = props;
  const { part } = itemOf(build, station);
  const name = isNamed && <p className="px-1.5 text-sm font-semibold">{partTitle(part)}</p>;
  if (!doesTurn(at)) {
    const { short, why } = outcomeWords(at);
    return (
      <div data-testid={`still ${station}`} className="max-w-64">
        {name}
        <p className="px-1.5 text-lg font-semibold">{short}</p>
        <p className="px-1.5 text-sm text-ink-soft">{why}</p>
      </div>
    );
  }
  return (
    <div className={isBrief ? 'flex flex-wrap items-center' : ''}>
      {name}
      <Rate {...props} at={at} />
      {!isBrief && (
        <div className="flex flex-wrap px-0.5">
          <SpreadAndPull {...props} at={at} />
          {stall?.outcome === 'stalls' && (
            <BandedReadout look="small" name="down to" {...keepsFigure(stall, speedUnit)} testId={`stall ${station}`} />
          )}
        </div>
      )}
      {!isBrief && showsTicks && <OneSecond rateHz={at.rateHz.value} />}
      {at.outcome === 'mayStop' && stall?.outcome === 'stalls' && (
        <p className="px-1.5 text-sm font-semibold text-caution" data-testid={`may stop ${station}`}>
          {chanceWords(stall, speedMps)}
        </p>
      )}
    </div>
  );
});

type Turning = BladeFiguresProps & { readonly at: Extract<BladePrediction, { readonly rateHz: unknown }> };

const range = (low: number, high: number, digits: number) =>
  `${decimalText(low, digits)} to ${decimalText(high, digits)}`;

/** What moves it comes with the last ride worked out, which may still be of the lure before. */
function moreOf({ station, shown, build, at }: Turning, output: BladeOutput): string[] {
  return [shown ? movesWords(`${output} of ${station}`, shown) : '', unsureWords(at[output].leastKnown, build)].filter(
    (each) => each !== '',
  );
}

function Rate(props: Turning) {
  const { station, at, rateBefore, isBrief } = props;
  const { rateHz } = at;
  const changed = rateBefore !== null && Math.abs(rateBefore - rateHz.value) >= 0.05;
  return (
    <BandedReadout
      name="Turns a second"
      isNamed={false}
      look={isBrief ? 'among' : 'first'}
      value={decimalText(rateHz.value, 1)}
      unit="turns/s"
      band={range(rateHz.low, rateHz.high, 1)}
      before={changed ? `was ${decimalText(rateBefore, 1)}` : null}
      why={at.outcome === 'mayStop' ? `${READOUT_WHY.rateIfTurning} ${READOUT_WHY.rate}` : READOUT_WHY.rate}
      more={moreOf(props, 'rateHz')}
      testId={`rate ${station}`}
    >
      <ReadingForm kind="rate" station={station} />
    </BandedReadout>
  );
}

function SpreadAndPull(props: Turning) {
  const { station, at, build, system } = props;
  const { spreadRad, dragN } = at;
  const degrees = (rad: number) => (rad * 180) / Math.PI;
  const pull = (newtons: number) => pullInWeight(newtons / GRAVITY_MPS2, system);
  // A delta blade always stands square: nothing is said of it.
  const stands = itemOf(build, station).part.kind !== 'deltaBlade';
  const isSet = spreadRad.low === spreadRad.high;
  return (
    <>
      {stands && (
        <BandedReadout
          look="small"
          name="out"
          value={decimalText(degrees(spreadRad.value), 0)}
          unit="°"
          band={isSet ? 'as folded' : range(degrees(spreadRad.low), degrees(spreadRad.high), 0)}
          why={READOUT_WHY.spread}
          more={moreOf(props, 'spreadRad')}
          testId={`spread ${station}`}
        />
      )}
      <BandedReadout
        look="small"
        name="pull"
        value={pull(dragN.value).number}
        unit={pull(dragN.value).unit}
        band={`${pull(dragN.low).number} to ${pull(dragN.high).number}`}
        why={READOUT_WHY.drag}
        more={moreOf(props, 'dragN')}
        testId={`drag ${station}`}
      />
    </>
  );
}

/** The beat drawn: one second, a tick for each turn. */
function OneSecond({ rateHz }: { readonly rateHz: number }) {
  const ticks = Array.from({ length: Math.floor(rateHz) + 1 }, (_, i) => i / rateHz).filter((at) => at <= 1);
  return (
    <div className="flex items-end gap-2 px-1.5 text-sm text-ink-soft">
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
