/** What tests hear of a lure. */
import { USUAL_OUTFIT } from '@/core/hydro/outfit';
import { LAKE_WATER, waterViscosity } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import { lureInWater } from '@/core/predict/lure-in-water';
import { soundAsEstimated, USUAL_SOUND, type SoundAsked } from '@/core/predict/sound';
import type { ContactKind } from '@/core/sound/contact';
import type { ContactHeard, Heard } from '@/core/sound/heard';
import { between, centroidOf, PEOPLE_HZ, type Bands } from '@/core/sound/radiation';

/** All that is heard of a lure, with every coefficient at its estimate. */
export function heardOf(lure: Lure, speedMps = 0.8, asked: Partial<SoundAsked> = {}): Heard {
  const inWater = lureInWater(lure.build, LAKE_WATER, USUAL_OUTFIT);
  const heard = soundAsEstimated(inWater, waterViscosity(LAKE_WATER), speedMps, { ...USUAL_SOUND, ...asked });
  if (!heard) throw new Error(`${lure.name} is within the model at ${speedMps} m/s`);
  return heard;
}

export type Sounding = Extract<ContactHeard, { outcome: 'sounds' }>;

export function soundings({ contacts }: Heard, kind?: ContactKind): Sounding[] {
  return contacts.filter(
    (each): each is Sounding => each.outcome === 'sounds' && (!kind || each.contact.kind === kind),
  );
}

/** Mean square of what people hear, Pa². */
export function loudness(bands: Bands): number {
  return between(bands, ...PEOPLE_HZ);
}

export function brightness(bands: Bands): number {
  return centroidOf(bands) ?? 0;
}

/** What blows give over each second, N·s/s: impulse times knocks. */
export function impulses(all: readonly Sounding[]): number {
  return all.reduce((sum, { knocks }) => sum + (knocks ? knocks.perS * knocks.blow.impulseNs : 0), 0);
}
