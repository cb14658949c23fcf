'use client';

import { memo } from 'react';
import ArrowLeft from 'lucide-react/icons/arrow-left';
import ArrowRight from 'lucide-react/icons/arrow-right';
import Plus from 'lucide-react/icons/plus';
import type { Slot } from '@/core/judgement/slot';
import { aimOf, openPicker } from '@/desk/picker/picker-state';
import { SLOT_WORDS } from '@/words/slot-words';
import type { Build } from '@/core/lure/lure';
import type { Layout } from '@/core/geometry/layout';
import type { SpinSeat } from '@/core/geometry/seats';
import type { UnitSystem } from '@/core/units/write';
import type { StageView } from '@/drawing/stage-view';
import { Button } from '@/ui/Button';
import type { PartCommands } from './part-commands';
import { StringOfParts } from './StringOfParts';
import type { StringUnit } from './string-units';

export interface StringSectionProps {
  readonly build: Build;
  readonly layout: Layout;
  readonly view: StageView;
  readonly seats: readonly SpinSeat[];
  readonly units: readonly StringUnit[];
  readonly unit: StringUnit | null;
  readonly onPickUnit: (unit: StringUnit) => void;
  readonly commands: PartCommands;
  readonly system: UnitSystem;
  /** The place that asks for its part next; null where none does. */
  readonly slot: Slot | null;
}

/** What a carrier is made of, to be swapped. */
const STOCK_WORDS = { wire: 'wire', line: 'line', lureBody: 'body' } as const;

/** The string and what can be done with the picked part of it. */
export const StringSection = memo(function StringSection(props: StringSectionProps) {
  const { build, unit, onPickUnit, commands, slot, ...rest } = props;
  const isEmpty = build.strand.length === 0;
  return (
    <>
      <StringOfParts build={build} pickedKey={unit?.key ?? null} onPickKey={onPickUnit} commands={commands} {...rest} />
      <div
        className="flex flex-wrap items-center gap-1.5 px-4 py-1"
        role="toolbar"
        aria-label="Do with the picked part"
      >
        {slot && (
          <Button dense look="main" onClick={() => openPicker(aimOf(slot))}>
            <Plus aria-hidden size={16} /> {SLOT_WORDS[slot.code]}
          </Button>
        )}
        <Button dense look={slot ? 'plain' : 'main'} onClick={commands.swap}>
          {unit?.item ? 'Swap this part' : `Swap the ${STOCK_WORDS[build.carrier.wire.kind]}`}
        </Button>
        <Button dense disabled={!commands.canInsertBefore} onClick={commands.insertBefore}>
          Insert before
        </Button>
        <Button dense disabled={!commands.canInsertAfter} onClick={commands.insertAfter}>
          {isEmpty ? 'Thread the first part' : 'Insert after'}
        </Button>
        {commands.insideWord && (
          <Button dense onClick={commands.insertInside}>
            {commands.insideWord}
          </Button>
        )}
        {commands.holds.map(({ word, seat }) => (
          <Button dense key={word} onClick={() => commands.hold(seat)}>
            {word}
          </Button>
        ))}
        <Button
          dense
          aria-label="Move towards the nose"
          disabled={!commands.canMove(-1)}
          onClick={() => commands.move(-1)}
        >
          <ArrowLeft aria-hidden size={18} /> Move
        </Button>
        <Button
          dense
          aria-label="Move towards the tail"
          disabled={!commands.canMove(1)}
          onClick={() => commands.move(1)}
        >
          Move <ArrowRight aria-hidden size={18} />
        </Button>
        <Button dense disabled={!commands.canTakeOff} onClick={commands.takeOff}>
          Take off
        </Button>
      </div>
    </>
  );
});
