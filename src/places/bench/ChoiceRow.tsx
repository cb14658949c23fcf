'use client';

import { memo } from 'react';
import Check from 'lucide-react/icons/check';
import OctagonX from 'lucide-react/icons/octagon-x';
import { GRAVITY_MPS2 } from '@/core/hydro/water';
import { CLEAR_MARGIN_M } from '@/core/lure/clearance';
import type { Effect } from '@/core/lure/weigh';
import type { Part } from '@/core/parts/part';
import { decimalText, pullInWeight, showLength, showMass, type UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { misfitWords } from '@/words/fit-words';
import { partLine, partTitle } from '@/words/part-words';
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
  readonly onTake: (part: Part) => void;
}

/** One part to choose: its picture, its measures, why it does not fit, and what it would do beside the present one. */
export const ChoiceRow = memo(function ChoiceRow(props: ChoiceRowProps) {
  const { id, choice, isActive, isNow, effect, nowEffect, system, place, onTake } = props;
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
      className="absolute inset-x-0 mb-1 flex cursor-pointer items-center gap-2.5 rounded-md border border-line px-2 hover:border-accent hover:bg-accent-soft aria-[current=true]:border-accent aria-selected:border-accent aria-selected:bg-accent-soft"
      style={{ top: place.top, height: place.height - 4 }}
      onClick={() => onTake(part)}
      onKeyDown={(event) => event.key === 'Enter' && onTake(part)}
    >
      <PartPortrait part={part} width={112} height={58} scale={2.4} />
      <span className="min-w-0 flex-1 leading-snug">
        <span className="block truncate font-semibold">
          {partTitle(part)}
          {isNow && <span className="ml-2 text-sm font-normal text-ink-soft">on the lure</span>}
        </span>
        <span className="block truncate text-sm">{partLine(part, system)}</span>
        {misfits[0] ? (
          <span className="flex items-center gap-1 text-sm text-fault">
            <OctagonX aria-hidden size={14} className="shrink-0" />
            <span className="truncate">{misfitWords(misfits[0], system).figure}</span>
          </span>
        ) : (
          <span className="block truncate text-sm text-ink-soft">{part.maker}</span>
        )}
      </span>
      <span className="measure w-30 shrink-0 text-right text-xs leading-snug">
        {effect && <EffectLines effect={effect} now={isNow ? null : nowEffect} system={system} />}
      </span>
    </div>
  );
});

/** Only what the part changes is said, with by how much. */
function EffectLines({
  effect,
  now,
  system,
}: {
  readonly effect: Effect;
  readonly now: Effect | null;
  readonly system: UnitSystem;
}) {
  const { rateHz, dragN, massKg, clearanceM } = effect;
  const pull = (newtons: number) => {
    const { number, unit } = pullInWeight(newtons / GRAVITY_MPS2, system);
    return `${number} ${unit}`;
  };
  const change = (value: number, before: number | null | undefined, digits: number) => {
    if (before === null || before === undefined) return '';
    const text = decimalText(value - before, digits);
    return Number(text) === 0 ? '' : ` (${value > before ? '+' : '−'}${text.replace('-', '')})`;
  };
  return (
    <>
      {rateHz !== null && (
        <span className="block">
          {decimalText(rateHz, 1)} turns/s{change(rateHz, now?.rateHz, 1)}
        </span>
      )}
      {dragN !== null && <span className="block">drag {pull(dragN)}</span>}
      {massKg > 0 && <span className="block">lure {showMass(massKg, system)}</span>}
      {clearanceM !== null && (
        <span className={`flex items-center justify-end gap-1 ${clearanceM < 0 ? 'text-fault' : ''}`}>
          {clearanceM < CLEAR_MARGIN_M ? (
            <OctagonX aria-hidden size={12} />
          ) : (
            <Check aria-hidden size={12} className="text-good" />
          )}
          {clearanceM < 0 ? `hook ${showLength(-clearanceM, system)} in` : `hook ${showLength(clearanceM, system)} off`}
        </span>
      )}
    </>
  );
}
