import { roomOf, type Part } from './part';

/** Plan area of whatever turns, all its lobes, m²; 0 of any other part. */
export function bladeArea(part: Part): number {
  return roomOf(part).turningM2(part);
}
