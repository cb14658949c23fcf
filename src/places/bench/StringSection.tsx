'use client';

import { memo } from 'react';
import ArrowLeft from 'lucide-react/icons/arrow-left';
import ArrowRight from 'lucide-react/icons/arrow-right';
import type { Build } from '@/core/lure/lure';
import type { Layout } from '@/core/geometry/layout';
import type { SpinSeat } from '@/core/geometry/seats';
import type { UnitSystem } from '@/core/units/write';
import type { StageView } from '@/drawing/stage-view';
import { Button } from '@/ui/Button';
import type { PartDeeds } from './part-deeds';
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
  readonly deeds: PartDeeds;
  readonly system: UnitSystem;
}

/** The string and what can be done with the picked part of it. */
export const StringSection = memo(function StringSection(props: StringSectionProps) {
  const { build, unit, onPickUnit, deeds, ...rest } = props;
  const isEmpty = build.strand.length === 0;
  return (
    <>
      <StringOfParts build={build} pickedKey={unit?.key ?? null} onPickKey={onPickUnit} deeds={deeds} {...rest} />
      <div
        className="flex flex-wrap items-center gap-1.5 px-4 py-1.5"
        role="toolbar"
        aria-label="Do with the picked part"
      >
        <Button look={isEmpty ? 'plain' : 'main'} onClick={deeds.swap}>
          {unit?.item ? 'Swap this part' : 'Swap the wire'}
        </Button>
        <Button disabled={!deeds.canInsertBefore} onClick={deeds.insertBefore}>
          Insert before
        </Button>
        <Button look={isEmpty ? 'main' : 'plain'} disabled={!deeds.canInsertAfter} onClick={deeds.insertAfter}>
          {isEmpty ? 'Thread the first part' : 'Insert after'}
        </Button>
        {deeds.insideWord && <Button onClick={deeds.insertInside}>{deeds.insideWord}</Button>}
        {deeds.holds.map(({ word }) => (
          <Button key={word} onClick={() => deeds.hold(word)}>
            {word}
          </Button>
        ))}
        <Button aria-label="Move towards the nose" disabled={!deeds.canMove(-1)} onClick={() => deeds.move(-1)}>
          <ArrowLeft aria-hidden size={18} /> Move
        </Button>
        <Button aria-label="Move towards the tail" disabled={!deeds.canMove(1)} onClick={() => deeds.move(1)}>
          Move <ArrowRight aria-hidden size={18} />
        </Button>
        <Button disabled={!deeds.canTakeOff} onClick={deeds.takeOff}>
          Take off
        </Button>
      </div>
    </>
  );
});
