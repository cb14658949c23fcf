/**
 * What was measured of a lure on the water. Each reading is of the lure as it was then: a rate and a spread of that blade, a
 * depth and a fall of the whole. Of another blade or another lure they teach nothing (predict/readings.ts says what they do).
 */
import * as z from 'zod/mini';
import { daySchema } from '../schema';
import { itemIdSchema } from './ids';

/** Share of what was read that it may be off by, nine times in ten. */
const errorShare = z.number().check(z.minimum(0.001), z.maximum(1));
/** Taken although it is doubted: it was read again and stands. */
const insisted = z.optional(z.boolean());
const speedMps = z.number().check(z.minimum(0.05), z.maximum(5));

export const readingSchema = z.discriminatedUnion('kind', [
  /** Turns of a blade counted at a known speed. */
  z.strictObject({
    kind: z.literal('rate'),
    station: itemIdSchema,
    speedMps,
    rateHz: z.number().check(z.minimum(0.1), z.maximum(200)),
    errorShare: z._default(errorShare, 0.05),
    insisted,
  }),
  /** How far a blade stands out from its wire, on a photograph from the side. */
  z.strictObject({
    kind: z.literal('spread'),
    station: itemIdSchema,
    speedMps,
    spreadRad: z.number().check(z.minimum(0.02), z.maximum(1.57)),
    errorShare: z._default(errorShare, 0.08),
    insisted,
  }),
  /** Depth the lure ran at with this much line out, at a known speed. */
  z.strictObject({
    kind: z.literal('depth'),
    speedMps,
    lineOutM: z.number().check(z.minimum(0.5), z.maximum(300)),
    depthM: z.number().check(z.minimum(0.05), z.maximum(100)),
    errorShare: z._default(errorShare, 0.08),
    insisted,
  }),
  /** Time it took to fall through this much water on slack line. */
  z.strictObject({
    kind: z.literal('sink'),
    /** Up to what a line is long. */
    throughM: z.number().check(z.minimum(0.01), z.maximum(10)),
    seconds: z.number().check(z.minimum(0.1), z.maximum(600)),
    errorShare: z._default(errorShare, 0.08),
    insisted,
  }),
]);
export type Reading = z.infer<typeof readingSchema>;
export const readingsSchema = z.array(readingSchema).check(z.maxLength(200));

/** A reading with the day it was taken and the mark of what it was taken on. */
export const keptReadingSchema = z.strictObject({
  reading: readingSchema,
  onDay: daySchema,
  /** `markOf` the blade's part, or of the whole build. */
  of: z.string().check(z.regex(/^[0-9a-f]{16}$/, 'sixteen hexadecimal digits')),
});
export type KeptReading = z.infer<typeof keptReadingSchema>;
export const MOST_READINGS = 60;
export const keptReadingsSchema = z.array(keptReadingSchema).check(z.maxLength(MOST_READINGS));

/** Sixteen digits that two different things do not share by chance: FNV-1a over their plain data, twice from different starts. */
export function markOf(thing: unknown): string {
  const text = JSON.stringify(sorted(thing));
  return [0x811c9dc5, 0x9747b28c].map((start) => fnv(text, start).toString(16).padStart(8, '0')).join('');
}

function fnv(text: string, start: number): number {
  let hash = start;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** The same data in whatever order its fields stand. */
function sorted(thing: unknown): unknown {
  if (Array.isArray(thing)) return thing.map(sorted);
  if (typeof thing !== 'object' || thing === null) return thing;
  return Object.fromEntries(
    Object.entries(thing)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, value]) => [key, sorted(value)]),
  );
}
