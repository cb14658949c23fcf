/** A build with one thing of it larger or heavier by a share, everything else as it is: for asking what matters. */
import type { Part } from '../parts/part';
import type { Build, ItemId } from './lure';

/** The part in more or less metal: all its lengths grow with the cube root of its mass. */
export function heavier<P extends Part>(part: P, by: number): P {
  const lengths = Math.cbrt(by);
  switch (part.kind) {
    case 'head':
      return {
        ...part,
        massKg: part.massKg * by,
        lengthM: part.lengthM * lengths,
        heightM: part.heightM * lengths,
        widthM: part.widthM * lengths,
      };
    case 'weight':
      // Its bore stays: what metal it gains lies along and about it.
      return {
        ...part,
        massKg: part.massKg * by,
        lengthM: part.lengthM * lengths,
        diameterM: part.diameterM * lengths,
      };
    case 'body': {
      const metalLengthM = part.metalLengthM * lengths;
      return {
        ...part,
        massKg: part.massKg * by,
        metalLengthM,
        lengthM: part.lengthM + metalLengthM - part.metalLengthM,
        diameterM: part.diameterM * lengths,
      };
    }
    default:
      return part;
  }
}

/** A blade of the same shape and sheet, larger in all its outline. */
export function larger<P extends Part>(part: P, by: number): P {
  switch (part.kind) {
    case 'blade':
      return {
        ...part,
        lengthM: part.lengthM * by,
        widthM: part.widthM * by,
        cupDepthM: part.cupDepthM * by,
        massKg: part.massKg * by ** 2,
      };
    case 'filmBlade':
      return { ...part, spanM: part.spanM * by, widthM: part.widthM * by, massKg: part.massKg * by ** 2 };
    case 'deltaBlade':
      return { ...part, spanM: part.spanM * by, lengthM: part.lengthM * by, massKg: part.massKg * by ** 2 };
    default:
      return part;
  }
}

/** A blade of the same outline in thicker sheet. */
export function thicker<P extends Part>(part: P, by: number): P {
  return 'thicknessM' in part ? { ...part, thicknessM: part.thicknessM * by, massKg: part.massKg * by } : part;
}

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
  const weights = items.filter(({ part }) => part.kind === 'weight' || part.kind === 'body');
  return weights.toSorted((a, b) => b.part.massKg - a.part.massKg)[0]?.id ?? null;
}
