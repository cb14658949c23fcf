/**
 * Two clevises whose legs lie among each other on the wire. Interleaved: fore, fore, aft, aft. Nested: one whole clevis
 * between the legs of the other. Both can be threaded, and in both both lower legs go on before either blade's carriage is
 * closed by its upper leg.
 */
import type { LaidCarrier, Layout } from './layout';
import type { PlacedClevis } from './placed';
import type { ItemId } from '../lure/lure';

export interface StackedPair {
  /** The one whose first leg comes first, nose to tail. */
  readonly fore: ItemId;
  readonly aft: ItemId;
  readonly form: 'interleaved' | 'nested';
}

/** Every two clevises whose legs lie among each other, by carrier. */
export function stackedPairs({ carriers }: Layout): StackedPair[] {
  return carriers.flatMap(stackedOn);
}

function stackedOn(layout: LaidCarrier): StackedPair[] {
  const spans = layout.clevises.map((clevis) => ({ clevis, ...legIndexes(layout, clevis) }));
  return spans.flatMap((a, i) =>
    spans.slice(i + 1).flatMap((b): StackedPair[] => {
      const [first, second] = a.fore < b.fore ? [a, b] : [b, a];
      if (second.fore > first.aft) return [];
      const form = second.aft < first.aft ? 'nested' : 'interleaved';
      return [{ fore: first.clevis.item.id, aft: second.clevis.item.id, form }];
    }),
  );
}

function legIndexes(layout: LaidCarrier, { item }: PlacedClevis): { fore: number; aft: number } {
  const index = (leg: 'fore' | 'aft') =>
    layout.strand.findIndex((entry) => entry.item.id === item.id && entry.leg === leg);
  return { fore: index('fore'), aft: index('aft') };
}
