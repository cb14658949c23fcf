'use client';

import { memo } from 'react';
import { BLADE_STATES, type BladeState } from '@/core/in-water/bearing';
import { doesTurn, type SpinPrediction } from '@/core/predict/spin';
import type { Build } from '@/core/lure/lure';
import { decimalText, showSpeed } from '@/core/units/write';
import type { Retrieve } from '@/data/settings';
import { LaidAlone } from '@/ui/LaidAlone';
import { QuantityField } from '@/ui/QuantityField';
import { RadioRow } from '@/ui/RadioRow';
import { BLADE_STATE_WORDS } from '@/words/spin-words';
import { tryState, useDesk } from '../desk-state';
import { changeRetrieve } from '../settings';
import { retrieveNumber, SPEED_WAYS, retrieveSpeed, sayBy, speedUnitOf } from '../speed';
import { SpeedAxis } from './SpeedAxis';

export interface RetrievePanelProps {
  readonly build: Build;
  readonly prediction: SpinPrediction;
}

/** The retrieve: how fast, said in the way that is wanted, and drawn along the rate at every other speed. */
export const RetrievePanel = memo(function RetrievePanel({ build, prediction }: RetrievePanelProps) {
  const by = useDesk((state) => state.settings.retrieve.by);
  const at = prediction.blades[0]?.at[0];
  const turns = prediction.blades.length > 0;
  return (
    <section aria-label="Retrieve" className="flex flex-wrap items-stretch gap-x-4 border-t border-line bg-panel px-4">
      <div className="flex w-96 max-w-full flex-col justify-between">
        <SaidBy />
        <SpeedSaid />
        <div className="flex flex-wrap items-center gap-x-3">
          {by === 'reel' && <LinePerTurn />}
          {turns && <TryState />}
        </div>
      </div>
      <SpeedAxis build={build} rateHz={doesTurn(at) ? at.rateHz.value : null} turns={turns} />
    </section>
  );
});

function SaidBy() {
  const by = useDesk((state) => state.settings.retrieve.by);
  return (
    <div className="flex items-center justify-between gap-2">
      <h2 className="text-sm text-ink-soft">Retrieve</h2>
      <RadioRow
        label="Say the speed by"
        className="flex"
        optionClassName="min-h-9 max-sm:min-h-11 pointer-coarse:min-h-11 pointer-coarse:min-w-11 max-sm:min-w-11 min-w-9 px-2 text-sm text-ink-soft aria-checked:font-semibold aria-checked:text-ink aria-checked:underline aria-checked:decoration-2 aria-checked:underline-offset-4"
        value={by}
        options={SPEED_WAYS.map((way) => ({ value: way.by, shown: way.name }))}
        onChange={(next) => changeRetrieve((retrieve) => sayBy(retrieve, next))}
      />
    </div>
  );
}

/** How fast, at once as the hand turns it. */
function SpeedSaid() {
  const retrieve = useDesk((state) => state.settings.retrieve);
  const system = useDesk((state) => state.settings.system);
  return (
    <LaidAlone className="h-9">
      <p className="flex items-baseline gap-x-1.5 whitespace-nowrap">
        <span className="measure text-2xl font-semibold">{decimalText(retrieveNumber(retrieve), 2)}</span>
        <span className="text-sm">{unitWords(retrieve)}</span>
        {retrieve.by === 'reel' && (
          <span className="text-sm text-ink-soft" data-testid="speed-words">
            = {showSpeed(retrieveSpeed(retrieve), speedUnitOf(retrieve, system))}
          </span>
        )}
      </p>
    </LaidAlone>
  );
}

function LinePerTurn() {
  const linePerTurnM = useDesk((state) => state.settings.retrieve.linePerTurnM);
  const system = useDesk((state) => state.settings.system);
  return (
    <QuantityField
      beside
      label="per turn"
      kind="length"
      si={linePerTurnM}
      unit={system === 'metric' ? 'cm' : 'in'}
      minSi={0.05}
      maxSi={3}
      onCommit={(next) => changeRetrieve((retrieve) => ({ ...retrieve, linePerTurnM: next }))}
    />
  );
}

/** What may have happened to the blades, to try what it does. */
function TryState() {
  const bladeState = useDesk((state) => state.bladeState);
  return (
    <label className="flex items-center gap-1.5 text-sm whitespace-nowrap text-ink-soft">
      Try
      <select
        className="min-h-9 max-sm:min-h-11 pointer-coarse:min-h-11 rounded-md border border-line bg-panel px-1 text-ink"
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
  );
}

function unitWords({ by }: Retrieve): string {
  return by === 'reel' ? 'handle turns a second' : (SPEED_WAYS.find((each) => each.by === by)?.name ?? '');
}
