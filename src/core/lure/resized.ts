/** A build with one thing of it larger or heavier by a share, everything else as it is: for asking what matters. */
import { roomOf, type Part } from '../parts/part';
import type { Build, ItemId } from './lure';

/** The part in more or less metal: all its lengths grow with the cube root of its mass. The same where it is no weight. */
export function heavier<P extends Part>(part: P, by: number): P {
  return roomOf(part).heavier?.(part, by) ?? part;
}

/** A blade of the same shape and sheet, larger in all its outline. The same where it is no blade. */
export function larger<P extends Part>(part: P, by: number): P {
  return roomOf(part).larger?.(part, by) ?? part;
}

/** A blade of the same outline in thicker sheet. */
export function thicker<P extends Part>(part: P, by: number): P {
  return 'thicknessM' in part ? { ...part, thicknessM: part.thicknessM * by, massKg: part.massKg * by } : part;
}

/** The build with the part of one item changed. @throws Error for an item it does not have */
export function withPart(build: Build, station: ItemId, change: (part: Part) => Part): Build {
  const item = build.items[station];
  if (!item) throw new Error(`withPart: no item ${station}`);
  return { ...build, items: { ...build.items, [station]: { ...item, part: change(item.part) } } };
}

/** What gives the lure most of its weight and can be had heavier: its head, or else its heaviest weight; null without. */
export function ballastOf(build: Build): ItemId | null {
  const items = Object.values(build.items);
  const head = items.find(({ part }) => part.kind === 'head');
  if (head) return head.id;
  const weights = items.filter(({ part }) => roomOf(part).heavier !== null);
  return weights.toSorted((a, b) => b.part.massKg - a.part.massKg)[0]?.id ?? null;
}
