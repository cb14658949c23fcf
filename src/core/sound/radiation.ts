/**
 * What the water passes on, as a hydrophone a metre off beside the lure would hear it.
 *
 * Everything on a lure is far smaller than the sound's wave is long (7 cm at 20 kHz), so a piece that is pushed about is heard
 * as a force on the water, a dipole: p = (1/(4π r)) (F′/c + F/r) along it, on the mean over all directions 1/√3 of that. Its
 * second term is what is near: below c/(2π r), 236 Hz at a metre, that is what a fish's side feels.
 * Source: Lighthill, Waves in Fluids, 1978, §1.5.
 */

/** Sound in lake water of 20 °C, m/s (Del Grosso and Mader, 1972, rounded). */
export const SOUND_MPS = 1482;
/** How far off it is heard. */
export const HEARD_AT_M = 1;
/** Over all directions, the mean of the cosine squared is a third. */
const ALL_ROUND = 1 / Math.sqrt(3);
/** Of what a force gives to the pressure: by how fast it changes, and by itself, Pa per N/s and per N. */
export const BY_CHANGE = ALL_ROUND / (4 * Math.PI * HEARD_AT_M * SOUND_MPS);
export const BY_FORCE = ALL_ROUND / (4 * Math.PI * HEARD_AT_M ** 2);

/** Pressure that a force of this rate gives, Pa per N. */
export function pressurePerN(hz: number): number {
  return Math.hypot(2 * Math.PI * hz * BY_CHANGE, BY_FORCE);
}

/** Edges of the bands that a sound is summed in, Hz: six to the octave, from a blade's beat to the end of hearing. */
const FIRST_HZ = 1.25;
const PER_OCTAVE = 6;
const BAND_COUNT = 84;

export const BAND_EDGES_HZ: Float64Array = Float64Array.from(
  { length: BAND_COUNT + 1 },
  (_, i) => FIRST_HZ * 2 ** (i / PER_OCTAVE),
);
export const BAND_MIDDLES_HZ: Float64Array = Float64Array.from(
  { length: BAND_COUNT },
  (_, i) => FIRST_HZ * 2 ** ((i + 0.5) / PER_OCTAVE),
);
export const BAND_WIDTHS_HZ: Float64Array = Float64Array.from(
  { length: BAND_COUNT },
  (_, i) => (BAND_EDGES_HZ[i + 1] as number) - (BAND_EDGES_HZ[i] as number),
);

/** Pressure that a force of a band's middle gives, Pa per N. */
export const BAND_PRESSURES: Float64Array = BAND_MIDDLES_HZ.map(pressurePerN);

/** Mean square of a sound in each band, Pa². */
export type Bands = Float64Array;

export function noBands(): Bands {
  return new Float64Array(BAND_COUNT);
}

/** The band that a pitch lies in; −1 outside them all. */
export function bandOf(hz: number): number {
  const i = Math.floor(PER_OCTAVE * Math.log2(hz / FIRST_HZ));
  return i >= 0 && i < BAND_COUNT ? i : -1;
}

/** Mean square between two pitches, bands that an edge cuts taken by their share, Pa². */
export function between(bands: Bands, fromHz: number, toHz: number): number {
  let sum = 0;
  const first = Math.max(0, Math.floor(PER_OCTAVE * Math.log2(fromHz / FIRST_HZ)));
  for (let i = first; i < BAND_COUNT && (BAND_EDGES_HZ[i] as number) < toHz; i++) {
    const [low, high] = [BAND_EDGES_HZ[i] as number, BAND_EDGES_HZ[i + 1] as number];
    const share = (Math.min(high, toHz) - Math.max(low, fromHz)) / (high - low);
    if (share > 0) sum += Math.min(1, share) * (bands[i] as number);
  }
  return sum;
}

/** What people hear, Hz. */
export const PEOPLE_HZ = [20, 20_000] as const;

/** The pitch about which what people hear of it lies, by its power, Hz; null of silence. */
export function centroidOf(bands: Bands): number | null {
  let [sum, weighed] = [0, 0];
  for (let i = 0; i < BAND_COUNT; i++) {
    const hz = BAND_MIDDLES_HZ[i] as number;
    if (hz < PEOPLE_HZ[0] || hz > PEOPLE_HZ[1]) continue;
    sum += bands[i] as number;
    weighed += hz * (bands[i] as number);
  }
  return sum > 0 ? weighed / sum : null;
}
