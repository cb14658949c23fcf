'use client';

import Plus from 'lucide-react/icons/plus';
import type { Slot } from '@/core/judgement/slot';
import type { Layout } from '@/core/geometry/layout';
import type { DrawnThing } from '@/drawing/drawn-things';
import { anchorAtEnd, anchorOnStrand, anchorsOf } from '@/drawing/labels/lure-ground';
import type { Point } from '@/drawing/path';
import type { StageView } from '@/drawing/stage-view';
import { SLOT_WORDS } from '@/words/slot-words';
import { aimOf, openPicker } from '../picker/picker-state';

/** The place that asks for its part next, on the drawing where the part would be. */
export function SlotMark({ slot }: { readonly slot: Slot }) {
  return (
    <button
      type="button"
      className="flex items-center gap-1.5 rounded-md border border-dashed border-accent bg-panel px-2 py-1 text-sm text-accent hover:bg-accent-soft"
      onClick={() => openPicker(aimOf(slot))}
    >
      <Plus aria-hidden size={16} className="shrink-0" />
      {SLOT_WORDS[slot.code]}
    </button>
  );
}

export function slotAnchors(
  { placement }: Slot,
  things: readonly DrawnThing[],
  layout: Layout,
  view: StageView,
): readonly Point[] {
  if (placement.put === 'thread') return [anchorOnStrand(layout, placement.index, view)];
  if (placement.put !== 'seat' || placement.seat.on === 'tie' || placement.seat.on === 'body') return [];
  const { seat } = placement;
  return seat.on === 'end' ? [anchorAtEnd(layout, seat.end, view)] : anchorsOf(things, seat.item, view);
}
