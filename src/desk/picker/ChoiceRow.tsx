'use client';

import { memo, type ReactNode } from 'react';
import OctagonX from 'lucide-react/icons/octagon-x';
import Play from 'lucide-react/icons/play';
import { GRAVITY_MPS2 } from '@/core/hydro/water';
import { CLEAR_MARGIN_M } from '@/core/geometry/clearance';
import type { Effect } from '@/core/prepared/weigh';
import { decimalText, pullInWeight, showLength, showMass, type UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { misfitWords } from '@/words/fit-words';
import { partLine, partTitle } from '@/words/part-words';
import { signed } from '@/words/sound-words';
import type { Choice } from './use-choices';

export interface ChoiceRowProps {
  readonly id: string;
  readonly choice: Choice;
  readonly isActive: boolean;
  readonly isNow: boolean;
  readonly effect: Effect | null;
  readonly nowEffect: Effect | null;
  readonly system: UnitSystem;
  readonly place: { readonly top: number; readonly height: number };
}

/** One part to choose: its picture, its measures, why it does not fit, and what it would do beside the present one. */
export const ChoiceRow = memo(function ChoiceRow(props: ChoiceRowProps) {
  const { id, choice, isActive, isNow, effect, nowEffect, system, place } = props;
  const { part, misfits } = choice;
  return (
    <div
      id={id}
      role="option"
      tabIndex={-1}
      aria-selected={isActive}
      aria-current={isNow}
      data-part={part.id}
      data-fits={misfits.length === 0}
      className="absolute inset-x-0 mb-1 flex cursor-pointer flex-wrap content-center items-center gap-x-2.5 rounded-md sm:flex-nowrap border border-line px-2 hover:border-accent hover:bg-accent-soft aria-[current=true]:border-accent aria-selected:border-accent aria-selected:bg-accent-soft"
      style={{ top: place.top, height: place.height - 4 }}
    >
      <PartPortrait part={part} width={84} height={58} scale={2.1} />
      <span className="min-w-0 flex-1 basis-40 leading-tight">
        <span className="block font-semibold">{partTitle(part)}</span>
        <span className="block text-sm leading-tight">
          {isNow && <span className="font-semibold">on the lure: </span>}
          {partLine(part, system)}
          {!misfits[0] && <span className="text-ink-soft">, {part.maker}</span>}
        </span>
        {misfits[0] && (
          <span className="flex items-center gap-1 text-sm text-fault">
            <OctagonX aria-hidden size={14} className="shrink-0" />
            {misfitWords(misfits[0], system).figure}
          </span>
        )}
      </span>
      <span className="flex shrink-0 text-sm max-sm:w-full">
        {effect && <EffectColumns effect={effect} now={isNow ? null : nowEffect} system={system} />}
      </span>
    </div>
  );
});

/** The columns of what a part would do, under the heads they are sorted by; beneath each how it differs from now. */
function EffectColumns({
  effect,
  now,
  system,
}: {
  readonly effect: Effect;
  readonly now: Effect | null;
  readonly system: UnitSystem;
}) {
  const { rateHz, dragN, massKg, clearanceM, levelDb } = effect;
  const pull = (newtons: number) => pullInWeight(newtons / GRAVITY_MPS2, system);
  const mass = (kg: number) => showMass(kg, system).split(' ');
  const clears = clearanceM !== null && clearanceM >= CLEAR_MARGIN_M;
  return (
    <>
      <Column
        value={rateHz === null ? null : decimalText(rateHz, 1)}
        unit="/s"
        change={rateHz === null ? null : difference(rateHz, now?.rateHz, 1)}
      />
      <Column
        value={dragN === null ? null : pull(dragN).number}
        unit={dragN === null ? '' : pull(dragN).unit}
        change={
          dragN === null || !now?.dragN
            ? null
            : difference(Number(pull(dragN).number), Number(pull(now.dragN).number), 1)
        }
      />
      <Column
        value={mass(massKg).slice(0, -1).join(' ')}
        unit={mass(massKg).at(-1) ?? ''}
        change={now === null || system === 'trade' ? null : difference(massKg * 1000, now.massKg * 1000, 1)}
      />
      <Column
        value={clearanceM === null ? null : (showLength(clearanceM, system).replace('-', '−').split(' ')[0] ?? '')}
        unit={system === 'metric' ? 'mm' : 'in'}
        change={null}
        mark={clearanceM === null ? null : clears ? 'clear' : clearanceM < 0 ? 'reaches in' : 'close'}
        isFault={!clears}
      />
      {/* Pressed it is heard; by keys it is the marked one that is. */}
      <span data-hear title="Hear it on the lure" className="rounded-md hover:bg-panel max-sm:flex-1">
        <Column
          value={levelDb === null ? null : signed(levelDb)}
          unit="dB"
          change={
            levelDb === null ? null : (
              <>
                <Play aria-hidden size={16} className="mr-1 inline text-accent" />
                {difference(levelDb, now?.levelDb, 0)}
              </>
            )
          }
        />
      </span>
    </>
  );
}

function Column({
  value,
  unit,
  change,
  mark,
  isFault,
}: {
  readonly value: string | null;
  readonly unit: string;
  readonly change: ReactNode;
  readonly mark?: string | null;
  readonly isFault?: boolean;
}) {
  return (
    <span
      className={`block shrink-0 text-right leading-tight max-sm:flex-1 ${mark === undefined ? 'sm:w-15' : 'sm:w-19'}`}
    >
      {value === null ? (
        <span className="text-ink-soft">–</span>
      ) : (
        <>
          <span className="measure">{value}</span> <span className="text-sm">{unit}</span>
          <span className={`block text-sm ${isFault && mark ? 'font-semibold text-fault' : 'text-ink-soft'}`}>
            {mark ?? change ?? '\u00a0'}
          </span>
        </>
      )}
    </span>
  );
}

/** `+1.2`, or nothing where it would be no difference at these digits. */
function difference(value: number, before: number | null | undefined, digits: number): string | null {
  if (before === null || before === undefined) return null;
  const text = decimalText(Math.abs(value - before), digits);
  return Number(text) === 0 ? 'same' : `${value > before ? '+' : '−'}${text}`;
}
