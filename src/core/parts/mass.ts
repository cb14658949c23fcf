/** Mass of parts, kg. */
import { roomOf, type Part } from './part';

/** From a part's measures and its material's density: the check on every measured mass. */
export function massFromGeometry(part: Part): number {
  return roomOf(part).geometricKg(part);
}

/** Mass of a length of stock sold by length, kg. */
export function wireMass(stock: { readonly massKg: number; readonly stockLengthM: number }, lengthM: number): number {
  return (stock.massKg / stock.stockLengthM) * lengthM;
}
