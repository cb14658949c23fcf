'use client';

import type { Snell } from '@/core/parts/kinds/hook';
import { CountField } from '@/ui/CountField';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';

const ENTERS: readonly { readonly value: Snell['enters']; readonly name: string }[] = [
  { value: 'pointSide', name: 'from the point’s side: a pull turns the point out' },
  { value: 'backSide', name: 'from the back: a pull turns the point in' },
];

export interface SnellFieldsProps {
  readonly snell: Snell;
  readonly unit: 'mm' | 'in';
  readonly set: (snell: Snell) => void;
}

/** How a hook is held on its line. */
export function SnellFields({ snell, unit, set }: SnellFieldsProps) {
  return (
    <>
      <CountField
        label="Wraps"
        one="wrap"
        value={snell.wraps}
        least={3}
        most={20}
        onChange={(wraps) => set({ ...snell, wraps })}
      />
      <QuantityField
        label="Line from its last wrap to the next eye"
        kind="length"
        si={snell.behindM}
        unit={unit}
        minSi={0}
        maxSi={1}
        onCommit={(behindM) => set({ ...snell, behindM })}
      />
      <SelectField
        label="Line comes through the eye"
        value={snell.enters}
        options={ENTERS}
        onChange={(enters) => set({ ...snell, enters })}
      />
    </>
  );
}
