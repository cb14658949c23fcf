/** Mass of parts, kg. */
import { roomOf, type Part } from './part';

/** From a part's measures and its material's density: the check on every measured mass. */
export function massFromGeometry(part: Part): number {
  return roomOf(part).geometricKg(part);
}
