/** Candidates as a search weighs them: one random part of its kind after another, in random places of one lure. */
import { LAKE_WATER } from '../src/core/hydro/water';
import type { ItemId, Lure } from '../src/core/lure/lure';
import { CATALOGUE } from '../src/core/parts/catalogue';
import type { Part } from '../src/core/parts/part';
import { prepare } from '../src/core/prepared/prepared';
import { seeded } from '../src/testing/seeded';

/** @returns weighs so many candidates more, and gives something that hangs on all of them */
export function candidatesOf(lure: Lure): (count: number) => number {
  const prepared = prepare(lure, { water: LAKE_WATER, speedMps: 0.8 });
  const random = seeded(77);
  const places = Object.values(lure.build.items).map(
    ({ id, part }): { readonly id: ItemId; readonly parts: Part[] } => ({
      id,
      parts: CATALOGUE.filter(({ kind }) => kind === part.kind),
    }),
  );
  return (count) => {
    let sum = 0;
    for (let n = 0; n < count; n++) {
      const place = places[Math.floor(random() * places.length)];
      const part = place?.parts[Math.floor(random() * place.parts.length)];
      if (!place || !part) continue;
      const { massKg, depthM, thumpNs, misfits, blades } = prepared.swap(place.id, part);
      // All that a search asks of a candidate, the stall with it.
      for (const blade of blades) sum += blade.keepsMps() ?? 0;
      sum += massKg + depthM + thumpNs + misfits.length;
    }
    return sum;
  };
}
