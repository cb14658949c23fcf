'use client';

import dynamic from 'next/dynamic';
import { useId } from 'react';
import type { BladePredictions } from '@/core/predict';
import type { Build } from '@/core/lure/lure';
import { decimalText, inUnit, type UnitSystem } from '@/core/units/write';
import type { Retrieve } from '@/data/settings-store';
import { QuantityField } from '@/ui/QuantityField';
import { changeSettings, useBench } from './bench-store';
import { FASTEST_SHOWN_MPS, SPEED_WAYS, retrieveSpeed, sayBy, speedInWords } from './speed';
import { useCurve } from './use-curve';

const RateCurve = dynamic(() => import('./RateCurve'), { ssr: false });

export interface RetrievePanelProps {
  readonly build: Build;
  readonly blades: readonly BladePredictions[];
}

/** The retrieve, and the rate against every other speed. */
export function RetrievePanel({ build, blades }: RetrievePanelProps) {
  const { retrieve, system } = useBench((state) => state.settings);
  const speed = retrieveSpeed(retrieve);
  const curve = useCurve(build);
  const shown = curve.state === 'ready' ? curve.prediction : curve.state === 'working' ? curve.last : null;
  const first = blades[0]?.at[0];
  return (
    <section
      aria-label="Retrieve"
      className="flex flex-1 flex-wrap items-stretch gap-x-6 gap-y-3 border-t border-line bg-panel px-4 pt-1 pb-1.5"
    >
      <RetrieveControls retrieve={retrieve} system={system} />
      <figure className="h-33 min-w-64 flex-1 basis-72" aria-label="Turns a second against speed">
        {curve.state === 'failed' ? (
          <p role="alert" className="text-sm text-fault">
            The curve could not be worked out ({curve.reason}). The figures on the drawing hold.
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
    <div className="flex w-[29rem] max-w-full flex-col gap-1">
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

function speedText({ by, speedMps }: Retrieve): string {
  return decimalText(inUnit(speedMps, by === 'reel' ? 'mps' : by), 2);
}
