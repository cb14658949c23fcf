import { roomOf, type Part } from '../parts/part';

/** How far a part reaches from the line it lies on, m; a bow or a hook's gap to its one side. */
export function outsideRadius(part: Part): number {
  return roomOf(part).radiusM(part);
}
