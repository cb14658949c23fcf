/** Turned parts that are bored through and slide on a wire or on another part. */
import { roomOf, type Part } from './part';
import type { ProfilePoint } from './profile';

export type BoredPart = Exclude<
  Extract<Part, { readonly lengthM: number; readonly boreM: number }>,
  { readonly kind: 'deltaBlade' }
>;

/** Whether a part is turned and has a bore. */
export function isBored(part: Part): part is BoredPart {
  return roomOf(part).profile !== null;
}

/** Outside radius over the part's length, nose to tail, with flat faces at the bore where the shape has them. */
export function radiusProfile(part: BoredPart): ProfilePoint[] {
  return roomOf(part).profile?.(part) ?? [];
}
