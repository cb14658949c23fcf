'use client';

import { memo, useId } from 'react';
import { BLADE_STATES, type BladeState } from '@/core/in-water/bearing';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { itemOf, type Build } from '@/core/lure/lure';
import { decimalText, inUnit, type UnitSystem } from '@/core/units/write';
import type { Retrieve } from '@/data/settings';
import { latePart } from '@/ui/late-part';
import { QuantityField } from '@/ui/QuantityField';
import { BLADE_STATE_WORDS, stallWords } from '@/words/spin-words';
import { partTitle } from '@/words/part-words';
import { Button } from '@/ui/Button';
import { askAgain, tryState, useDesk } from '../desk-state';
import { changeSettings } from '../settings';
import { FASTEST_SHOWN_MPS, SPEED_WAYS, retrieveSpeed, sayBy, speedInWords } from '../speed';
import { shownOf, useCurve, useStall, type Asked } from '../figures/use-core';
import { RadioRow } from '@/ui/RadioRow';

const RateCurve = latePart(() => import('../figures/RateCurve').then((room) => room.default));

export interface RetrievePanelProps {
  readonly build: Build;
  readonly prediction: SpinPrediction;
}

/** The retrieve, and the rate against every other speed. */
export const RetrievePanel = memo(function RetrievePanel({ build, prediction }: RetrievePanelProps) {
  const { retrieve, system, water } = useDesk((state) => state.settings);
  const speed = retrieveSpeed(retrieve);
  const bladeState = useDesk((state) => state.bladeState);
  const curve = useCurve(build, water, bladeState);
  const stall = useStall(build, water, bladeState);
  const shown = shownOf(curve);
  const stalls = shownOf(stall);
  const first = prediction.blades[0]?.at[0];
  return (
    <section
      aria-label="Retrieve"
      className="flex flex-1 flex-wrap items-stretch gap-x-6 gap-y-3 border-t border-line bg-panel px-4 pt-1 pb-1.5"
    >
      <RetrieveControls retrieve={retrieve} system={system} />
      <div className="flex min-w-64 flex-1 basis-72 flex-col">
        <StallLine build={build} stalls={stalls} asked={stall} speedMps={speed} by={retrieve.by} />
        <figure className="h-26 min-w-0" aria-label="Turns a second against speed">
          {curve.state === 'failed' ? (
            <div role="alert" className="flex flex-col items-start gap-1.5 text-sm">
              <p className="text-fault">
                The curve could not be worked out ({curve.reason}). The lure and the figures on the drawing hold.
              </p>
              <Button onClick={askAgain}>Work it out again</Button>
            </div>
          ) : shown ? (
            <RateCurve
              prediction={shown}
              stalls={stalls ?? []}
              speedMps={speed}
              rateHz={doesTurn(first) ? first.rateHz.value : null}
            />
          ) : (
            <p className="p-2 text-sm text-ink-soft">Working out the curve…</p>
          )}
        </figure>
      </div>
    </section>
  );
});

function RetrieveControls({ retrieve, system }: { readonly retrieve: Retrieve; readonly system: UnitSystem }) {
  const id = useId();
  const set = (next: Retrieve) => changeSettings({ retrieve: next });
  const isReel = retrieve.by === 'reel';
  const fastest = isReel ? Math.max(3, FASTEST_SHOWN_MPS / retrieve.linePerTurnM) : FASTEST_SHOWN_MPS;
  const value = isReel ? retrieve.turnsPerS : retrieve.speedMps;
  return (
    <div className="flex w-[27rem] max-w-full flex-col gap-0.5">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-sm text-ink-soft">Retrieve</h2>
        <RadioRow
          label="Say the speed by"
          className="flex"
          optionClassName="min-h-11 min-w-11 px-2.5 text-sm text-ink-soft aria-checked:font-semibold aria-checked:text-ink aria-checked:underline aria-checked:decoration-2 aria-checked:underline-offset-4"
          value={retrieve.by}
          options={SPEED_WAYS.map(({ by, name }) => ({ value: by, shown: name }))}
          onChange={(by) => set(sayBy(retrieve, by))}
        />
      </div>
      <div className="flex flex-wrap items-end justify-between gap-x-4">
        <label htmlFor={id} className="whitespace-nowrap">
          <span className="measure text-2xl font-semibold">
            {isReel ? decimalText(retrieve.turnsPerS, 2) : speedText(retrieve)}
          </span>{' '}
          <span className="text-sm">
            {isReel ? 'handle turns a second' : SPEED_WAYS.find(({ by }) => by === retrieve.by)?.name}
          </span>
        </label>
        <p className="text-sm text-ink-soft" data-testid="speed-words">
          {speedInWords(retrieve)}
        </p>
      </div>
      <input
        id={id}
        type="range"
        className="h-7 w-full accent-accent"
        min={0}
        max={fastest}
        step={0.01}
        value={value}
        aria-valuetext={isReel ? `${decimalText(value, 2)} handle turns a second` : speedInWords(retrieve)}
        onChange={(event) => {
          const next = Number(event.target.value);
          set(isReel ? { ...retrieve, turnsPerS: next } : { ...retrieve, speedMps: next });
        }}
      />
      {isReel && (
        <QuantityField
          beside
          label="Line taken in by one handle turn"
          kind="length"
          si={retrieve.linePerTurnM}
          unit={system === 'metric' ? 'cm' : 'in'}
          minSi={0.05}
          maxSi={3}
          onCommit={(linePerTurnM) => set({ ...retrieve, linePerTurnM })}
        />
      )}
    </div>
  );
}

/** Where each blade stalls, and what may have happened to it. */
function StallLine({
  build,
  stalls,
  asked,
  speedMps,
  by,
}: {
  readonly build: Build;
  readonly stalls: readonly StallPrediction[] | null;
  readonly asked: Asked<StallPrediction[]>;
  readonly speedMps: number;
  readonly by: Retrieve['by'];
}) {
  const bladeState = useDesk((state) => state.bladeState);
  const unit = by === 'reel' ? 'mps' : by;
  return (
    <div className="flex items-start justify-between gap-x-3">
      <div data-testid="stall" aria-busy={asked.state === 'working'} className="text-sm">
        {asked.state === 'failed' && <p role="alert">Where it stalls could not be worked out ({asked.reason}).</p>}
        {stalls === null && asked.state === 'working' && <p className="text-ink-soft">Working out where it stalls…</p>}
        {stalls?.map(({ station, stall }) => {
          const item = build.items[station];
          const name = stalls.length > 1 && item ? `${partTitle(itemOf(build, station).part)}. ` : '';
          return (
            <p key={station}>
              {name}
              {stallWords(stall, speedMps, unit, stalls.length > 1)}
            </p>
          );
        })}
      </div>
      {stalls !== null && stalls.length > 0 && (
        <label className="flex items-center gap-1.5 text-sm whitespace-nowrap text-ink-soft">
          Try
          <select
            className="min-h-9 max-sm:min-h-11 pointer-coarse:min-h-11 w-28 rounded-md border border-line bg-panel px-1 text-ink"
            value={bladeState}
            onChange={(event) => {
              const next = BLADE_STATES.find((each) => each === event.target.value);
              if (next) tryState(next);
            }}
          >
            {BLADE_STATES.map((each: BladeState) => (
              <option key={each} value={each}>
                {BLADE_STATE_WORDS[each]}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

function speedText({ by, speedMps }: Retrieve): string {
  return decimalText(inUnit(speedMps, by === 'reel' ? 'mps' : by), 2);
}
