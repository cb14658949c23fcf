/** What a builder wants of a lure: windows on lines of its action card, each with how much it matters. */
import * as z from 'zod/mini';
import { shortText } from '../schema';

/** The lines of an action card, SI. */
export const CARD_LINES = [
  /** Its blades keep turning down to this, m/s: of the one that stops first. */
  'keepsMps',
  /** Turns a second of the blade that pulls most, Hz. */
  'rateHz',
  'thumpNs',
  'pulseN',
  'shakeM',
  'depthM',
  'surfaceMps',
  'planingMps',
  'sinkMps',
  'leanRad',
  'sidePullRad',
  /** How loud it is beside the reference spinner, dB, and about which pitch, Hz. */
  'levelDb',
  'centroidHz',
  'massKg',
] as const;
export type CardLine = (typeof CARD_LINES)[number];

const WEIGHTS = ['must', 'wouldLike'] as const;

/** A window is open to a side that has no edge. */
export const wantSchema = z
  .strictObject({
    line: z.enum(CARD_LINES),
    low: z.nullable(z.number()),
    high: z.nullable(z.number()),
    weight: z.enum(WEIGHTS),
  })
  .check(
    z.refine(({ low, high }) => low !== null || high !== null, 'a window with at least one edge: low, high or both'),
    z.refine(
      ({ low, high }) => low === null || high === null || low < high,
      'a window whose low edge lies below its high one',
    ),
  );
export type Want = z.infer<typeof wantSchema>;

export const MOST_WANTS = 30;

export const TARGET_FILE_VERSION = 1;

export const targetFileSchema = z.strictObject({
  format: z.literal('mazurka-target'),
  version: z.literal(TARGET_FILE_VERSION),
  name: shortText,
  wants: z.array(wantSchema).check(z.minLength(1), z.maxLength(MOST_WANTS)),
});
