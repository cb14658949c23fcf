'use client';

import type { Item } from '@/core/lure/lure';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { change } from '@/desk/open-lure';

export interface EyeFieldsProps {
  readonly item: Item;
  readonly unit: 'mm' | 'in';
}

const SIDES = [
  { value: 'belly', name: 'in the belly' },
  { value: 'back', name: 'in the back' },
] as const;

/** Where a screw eye sits in its body. */
export function EyeFields({ item, unit }: EyeFieldsProps) {
  const { seat } = item;
  if (seat.on !== 'body') return null;
  const move = (next: Partial<typeof seat>) =>
    change('moveEye', [{ kind: 'reseat', item: item.id, seat: { ...seat, ...next } }]);
  return (
    <div className="grid grid-cols-2 gap-2">
      <QuantityField
        label="Behind the nose"
        kind="length"
        si={seat.atM}
        unit={unit}
        minSi={0}
        maxSi={0.5}
        onCommit={(atM) => move({ atM })}
      />
      <SelectField label="Screwed in" value={seat.side} options={SIDES} onChange={(side) => move({ side })} />
    </div>
  );
}
