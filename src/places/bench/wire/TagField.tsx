'use client';

import { QuantityField } from '@/ui/QuantityField';

/** What is left over at an end and clipped. */
export function TagField({
  tagM,
  unit,
  set,
}: {
  readonly tagM: number;
  readonly unit: 'mm' | 'in';
  readonly set: (tagM: number) => void;
}) {
  return <QuantityField label="Tag to clip" kind="length" si={tagM} unit={unit} minSi={0} maxSi={0.2} onCommit={set} />;
}
