'use client';

import dynamic from 'next/dynamic';
import { useId } from 'react';
import type { BladePrediction, BladePredictions } from '@/core/predict';
import type { Build, ItemId } from '@/core/lure/lure';
import { itemOf } from '@/core/lure/lure';
import { decimalText, type UnitSystem } from '@/core/units/write';
import type { Retrieve } from '@/data/settings-store';
import { BandedReadout } from '@/ui/BandedReadout';
import { QuantityField } from '@/ui/QuantityField';
import { partTitle } from '@/words/part-words';
import { READOUT_WHY, stillWords } from '@/words/spin-words';
import { changeSettings, useBench } from './bench-store';
import { FASTEST_SHOWN_MPS, SPEED_WAYS, retrieveSpeed, sayBy, speedInWords } from './speed';
import { useCurve } from './use-curve';

const RateCurve = dynamic(() => import('./RateCurve'), { ssr: false });

export interface RetrievePanelProps {
  readonly build: Build;
  readonly blades: readonly BladePredictions[];
  /** Rate of each blade before the last change, to show what the change did. */
  readonly ratesBefore: ReadonlyMap<ItemId, number>;
}

/** The retrieve and what the blade does at it. */
export function RetrievePanel({ build, blades, ratesBefore }: RetrievePanelProps) {
  const { retrieve, system } = useBench((state) => state.settings);
  const speed = retrieveSpeed(retrieve);
  const curve = useCurve(build);
  const shown = curve.state === 'ready' ? curve.prediction : curve.state === 'working' ? curve.last : null;
  const first = blades[0]?.at[0];
  return (
    <section
      aria-label="Retrieve"
      className="flex flex-wrap items-stretch gap-x-5 gap-y-3 border-t border-line bg-panel px-4 py-3"
    >
      <RetrieveControls retrieve={retrieve} system={system} />
      <div className="flex min-w-64 flex-1 flex-col gap-1" aria-live="polite">
        {blades.length === 0 && <p className="text-ink-soft">No blade turns on this wire yet.</p>}
        {blades.map(({ station, at }) => (
          <Readouts
            key={station}
            station={station}
            title={blades.length > 1 ? partTitle(itemOf(build, station).part) : null}
            at={at[0]}
            rateBefore={ratesBefore.get(station) ?? null}
          />
        ))}
      </div>
      <figure className="h-36 min-w-64 flex-1 basis-72" aria-label="Turns a second against speed">
        {curve.state === 'failed' ? (
          <p role="alert" className="text-sm text-fault">
            The curve could not be worked out ({curve.reason}). The figures beside it hold.
          </p>
        ) : shown ? (
          <RateCurve
            prediction={shown}
            speedMps={speed}
            rateHz={first?.outcome === 'turning' ? first.rateHz.value : null}
          />
        ) : (
          <p className="p-2 text-sm text-ink-soft">Working out the curve…</p>
        )}
      </figure>
    </section>
  );
}

function RetrieveControls({ retrieve, system }: { readonly retrieve: Retrieve; readonly system: UnitSystem }) {
  const id = useId();
  const set = (next: Retrieve) => changeSettings({ retrieve: next });
  const isReel = retrieve.by === 'reel';
  const fastest = isReel ? Math.max(3, FASTEST_SHOWN_MPS / retrieve.linePerTurnM) : FASTEST_SHOWN_MPS;
  const value = isReel ? retrieve.turnsPerS : retrieve.speedMps;
  return (
    <div className="flex w-80 max-w-full flex-col gap-1.5">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-sm text-ink-soft">Retrieve</h2>
        <div role="radiogroup" aria-label="Say the speed by" className="flex">
          {SPEED_WAYS.map(({ by, name }) => (
            <button
              key={by}
              type="button"
              role="radio"
              aria-checked={retrieve.by === by}
              className="min-h-11 px-2.5 text-sm text-ink-soft aria-checked:font-semibold aria-checked:text-ink aria-checked:underline aria-checked:decoration-2 aria-checked:underline-offset-4"
              onClick={() => set(sayBy(retrieve, by))}
            >
              {name}
            </button>
          ))}
        </div>
      </div>
      <label htmlFor={id} className="flex items-baseline gap-2">
        <span className="measure text-2xl font-semibold">
          {isReel ? decimalText(retrieve.turnsPerS, 2) : speedText(retrieve)}
        </span>
        <span className="text-sm">
          {isReel ? 'handle turns a second' : SPEED_WAYS.find(({ by }) => by === retrieve.by)?.name}
        </span>
      </label>
      <input
        id={id}
        type="range"
        className="h-8 w-full accent-accent"
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
      <p className="measure text-sm text-ink-soft" data-testid="speed-words">
        {speedInWords(retrieve)}
      </p>
      {isReel && (
        <QuantityField
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

function speedText({ by, speedMps }: Retrieve): string {
  return decimalText(speedMps * { reel: 1, mps: 1, kmh: 3.6, mph: 1 / 0.44704 }[by], 2);
}

function Readouts({
  station,
  title,
  at,
  rateBefore,
}: {
  readonly station: ItemId;
  readonly title: string | null;
  readonly at: BladePrediction | undefined;
  readonly rateBefore: number | null;
}) {
  if (!at) return null;
  const still = stillWords(at);
  if (at.outcome !== 'turning') {
    return (
      <p data-testid={`still ${station}`}>
        {title && <span className="font-semibold">{title}: </span>}
        {at.outcome === 'doesNotTurn' ? 'Does not turn. ' : 'Cannot be said. '}
        <span className="text-ink-soft">{still}</span>
      </p>
    );
  }
  const { rateHz, spreadRad, dragN } = at;
  const range = (low: number, high: number, digits: number) =>
    `${decimalText(low, digits)} to ${decimalText(high, digits)}`;
  const degrees = (rad: number) => (rad * 180) / Math.PI;
  const grams = (n: number) => (n / 9.80665) * 1000;
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
          why={READOUT_WHY.rate}
          testId={`rate ${station}`}
        />
        <BandedReadout
          name="Spread from the wire"
          value={decimalText(degrees(spreadRad.value), 0)}
          unit="°"
          band={range(degrees(spreadRad.low), degrees(spreadRad.high), 0)}
          why={READOUT_WHY.spread}
          testId={`spread ${station}`}
        />
        <BandedReadout
          name="Blade drag"
          value={decimalText(grams(dragN.value), 1)}
          unit="g pull"
          band={`${range(grams(dragN.low), grams(dragN.high), 1)} g`}
          why={READOUT_WHY.drag}
          testId={`drag ${station}`}
        />
      </div>
      <OneSecond rateHz={rateHz.value} />
    </div>
  );
}

/** The beat drawn: one second, a tick for each turn. */
function OneSecond({ rateHz }: { readonly rateHz: number }) {
  const ticks = Array.from({ length: Math.floor(rateHz) + 1 }, (_, i) => i / rateHz).filter((at) => at <= 1);
  return (
    <div className="flex items-center gap-2 px-2 text-xs text-ink-soft">
      <svg viewBox="0 0 300 14" preserveAspectRatio="none" className="h-3.5 w-60 max-w-full" aria-hidden>
        <line x1={0} x2={300} y1={13} y2={13} stroke="var(--line)" />
        {ticks.map((at) => (
          <line key={at} x1={at * 298 + 1} x2={at * 298 + 1} y1={2} y2={13} stroke="var(--accent)" strokeWidth={2.5} />
        ))}
      </svg>
      one second
    </div>
  );
}
