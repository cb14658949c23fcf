/** What a builder wants of a lure: windows on lines of its action card, each with how much it matters. */
import * as z from 'zod/mini';
import { shortText } from '../schema';

/** The lines of an action card, SI. */
export const CARD_LINES = [
  /** Its blades keep turning down to this, m/s: of the one that stops first. */
  'keepsMps',
  /** From hanging still all of them turn from this on, m/s. */
  'startsMps',
  /** Turns a second of the blade that pulls most, Hz. */
  'rateHz',
  /** How often the first two blades come round together, Hz. */
  'beatHz',
  /** How often the body of a hard bait swings, Hz, how far to each side, rad, and from which speed on, m/s. */
  'wobbleHz',
  'wobbleRad',
  'wobbleStartMps',
  'thumpNs',
  'pulseN',
  'shakeM',
  'depthM',
  /** How steeply the line comes up from it, rad: the flatter, the more it lifts. */
  'lineSlopeRad',
  'surfaceMps',
  'planingMps',
  'sinkMps',
  'leanRad',
  'sidePullRad',
  /** How loud it is beside the reference spinner, dB, and about which pitch, Hz. */
  'levelDb',
  'centroidHz',
  /** Bright area of the blades' outsides times their turns a second, m²/s; and of their hollows. */
  'flashFrontM2PerS',
  'flashBackM2PerS',
  /** Area it shows to the water from the side, m². */
  'bulkM2',
  'massKg',
] as const;
export type CardLine = (typeof CARD_LINES)[number];

export const WEIGHTS = ['must', 'wouldLike', 'whatever'] as const;

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

/** What is wanted, under a name. */
export const targetSchema = z.strictObject({
  name: shortText,
  wants: z.array(wantSchema).check(z.minLength(1), z.maxLength(MOST_WANTS)),
});
export type Target = z.infer<typeof targetSchema>;
