'use client';

import type { Item } from '@/core/lure/lure';
import type { NailState } from '@/core/parts/kinds/nail-weight';
import { degrees } from '@/words/angle-words';
import { QuantityField } from '@/ui/QuantityField';
import { SlideField } from '@/ui/SlideField';
import { showDraft } from '@/desk/desk-state';
import { change, doDraft } from '@/desk/open-lure';

export interface NailFieldsProps {
  readonly item: Item;
  readonly state: NailState;
  readonly unit: 'mm' | 'in';
}

const MOST_OUT_MM = 10;

/** Where a nail weight sits in its body, and how far it stands out of it. */
export function NailFields({ item, state, unit }: NailFieldsProps) {
  const edit = (next: Partial<NailState>) =>
    ({ kind: 'adjust', item: item.id, changes: { state: { ...state, ...next } } }) as const;
  return (
    <>
      <SlideField
        label="Stands out of the belly"
        words={`${(state.outM * 1000).toFixed(1)} mm`}
        value={Math.round(state.outM * 10_000) / 10}
        min={0}
        max={MOST_OUT_MM}
        step={0.1}
        onSlide={(outMm) => showDraft([edit({ outM: outMm / 1000 })])}
        onSettle={() => doDraft('nail')}
      />
      <SlideField
        label="Leans from upright: a right angle lays it lengthwise"
        words={degrees(state.leanRad)}
        value={Math.round((state.leanRad * 180) / Math.PI)}
        min={-30}
        max={90}
        step={1}
        onSlide={(value) => showDraft([edit({ leanRad: (value * Math.PI) / 180 })])}
        onSettle={() => doDraft('nail')}
      />
      <div className="grid grid-cols-2 gap-2">
        <QuantityField
          label="From the body’s head"
          kind="length"
          si={state.atM}
          unit={unit}
          minSi={0}
          maxSi={0.3}
          onCommit={(atM) => change('nail', [edit({ atM })])}
        />
        <QuantityField
          label="Clipped off"
          kind="length"
          si={state.clippedM}
          unit={unit}
          minSi={0}
          maxSi={0.05}
          onCommit={(clippedM) => change('nail', [edit({ clippedM })])}
        />
      </div>
    </>
  );
}
