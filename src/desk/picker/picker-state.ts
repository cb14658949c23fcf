/** What the part picker is open for, and which places that ask for a part were passed over. Not kept. */
import { create } from 'zustand';
import type { Placement } from '@/core/fits/placement';
import type { Slot, SlotCode } from '@/core/judgement/slot';
import { openSlots } from '@/core/judgement/families/slots';
import type { Lure } from '@/core/lure/lure';
import type { PartKind } from '@/core/parts/part';

/** A place, and the kinds of part that could go there, those that usually do first. */
export interface PickerAim {
  readonly placement: Placement;
  readonly kinds: readonly PartKind[];
  /** The place that asked for it: the next one follows. */
  readonly slot: SlotCode | null;
}

export interface PickerState {
  readonly aim: PickerAim | null;
  readonly passedOver: ReadonlySet<SlotCode>;
  /** Of which lure they were passed over. */
  readonly of: string | null;
}

export const usePicker = create<PickerState>(() => ({ aim: null, passedOver: new Set(), of: null }));

export function openPicker(aim: PickerAim) {
  usePicker.setState({ aim });
}

export function closePicker() {
  usePicker.setState({ aim: null });
}

export function passOver(lure: Lure, code: SlotCode) {
  const { passedOver, of } = usePicker.getState();
  usePicker.setState({ passedOver: new Set([...(of === lure.id ? passedOver : []), code]), of: lure.id });
}

/** The place that asks next; null where none does, or all were passed over. */
export function nextSlot(lure: Lure, { passedOver, of }: Pick<PickerState, 'passedOver' | 'of'>): Slot | null {
  return openSlots(lure).find(({ code }) => of !== lure.id || !passedOver.has(code)) ?? null;
}

/** Opens the picker for the place that asks next, or closes it. */
export function goToNextSlot(lure: Lure) {
  const slot = nextSlot(lure, usePicker.getState());
  usePicker.setState({ aim: slot && aimOf(slot) });
}

export function aimOf({ code, placement, kinds }: Slot): PickerAim {
  return { placement, kinds, slot: code };
}
