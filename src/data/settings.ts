/** What the user set: units, theme, retrieve. */
import * as z from 'zod/mini';
import { handLengthM, placeText } from '../core/schema';
import { outfitSchema, USUAL_OUTFIT } from '../core/hydro/outfit';
import { LAKE_WATER, waterSchema } from '../core/hydro/water';
import { TOOLS } from '../core/make/operation-rule';
import { FISH_GROUPS } from '../core/sound/fish-ears';
import { targetSchema } from '../core/tune/target';
import { FINGERS } from '../core/units/finger-spans';

export const retrieveSchema = z.strictObject({
  by: z.enum(['reel', 'mph', 'kmh', 'mps']),
  /** Reel handle turns a second, and line taken in by one. */
  turnsPerS: z.number().check(z.minimum(0), z.maximum(8)),
  linePerTurnM: z.number().check(z.minimum(0.05), z.maximum(3)),
  /** Speed when it is given directly. */
  speedMps: z.number().check(z.minimum(0), z.maximum(5)),
  /** Of the water against the retrieve, m/s; below zero with it. */
  currentMps: z._default(z.number().check(z.minimum(-2), z.maximum(2)), 0),
});
export type Retrieve = z.infer<typeof retrieveSchema>;

const scriptStepSchema = z.strictObject({
  seconds: z.number().check(z.minimum(0.1), z.maximum(60)),
  speedMps: z.number().check(z.minimum(0), z.maximum(5)),
});
export const MOST_TARGETS = 60;
export const MOST_STEPS = 12;

/** The Tank: its water, the retrieve in it, and what is wanted. */
const tankSchema = z.strictObject({
  /** How deep the water is, and how high weed stands in it, m. */
  bottomM: z.number().check(z.minimum(0.2), z.maximum(60)),
  weedM: z.number().check(z.minimum(0), z.maximum(60)),
  script: z.strictObject({
    countdownS: z.number().check(z.minimum(0), z.maximum(600)),
    steps: z.array(scriptStepSchema).check(
      z.minLength(1),
      z.maxLength(MOST_STEPS),
      z.refine((steps) => steps.some(({ speedMps }) => speedMps > 0), 'a step that moves'),
    ),
    isTrolled: z.boolean(),
  }),
  wanted: z.nullable(targetSchema),
  /** Kept under their names. */
  targets: z.array(targetSchema).check(z.maxLength(MOST_TARGETS)),
});
export type TankSettings = z.infer<typeof tankSchema>;

const USUAL_TANK: TankSettings = {
  bottomM: 3,
  weedM: 0.4,
  script: { countdownS: 0, steps: [{ seconds: 10, speedMps: 0.66 }], isTrolled: false },
  wanted: null,
  targets: [],
};

export const settingsSchema = z.strictObject({
  system: z.enum(['metric', 'trade']),
  theme: z.enum(['auto', 'light', 'dark']),
  retrieve: retrieveSchema,
  /** Show the blade turning slower than life by this much. */
  slowedBy: z.union([z.literal(1), z.literal(8)]),
  lastLure: z.nullable(z.string().check(z.maxLength(80))),
  /** Pixels to the millimetre as measured against a bank card; null until someone has. */
  screenPxPerMm: z._default(z.nullable(z.number().check(z.minimum(1), z.maximum(20))), null),
  /** Show the lure as large as it is. */
  trueSize: z._default(z.boolean(), false),
  /** The user's own measures of hand, m; null until measured. */
  fingers: z._default(z.record(z.enum(FINGERS), z.nullable(handLengthM)), { thumb: null, joint: null, span: null }),
  /** Where each tool lies, as the user says it; a tool that is missing is told of before a lure is begun. */
  tools: z._default(z.partialRecord(z.enum(TOOLS), z.strictObject({ place: placeText, isMissing: z.boolean() })), {}),
  /** Say the steps of making aloud. */
  spoken: z._default(z.boolean(), false),
  /** The water lures are worked out for, and rod and line. */
  water: z._default(waterSchema, LAKE_WATER),
  outfit: z._default(outfitSchema, USUAL_OUTFIT),
  /** Counted before the first turn of the handle, s. */
  countdownS: z._default(z.number().check(z.minimum(0), z.maximum(600)), 0),
  /** How loud a lure is heard, 0 to 1: quiet at first, and the fish it is told for. */
  soundVolume: z._default(z.number().check(z.minimum(0), z.maximum(1)), 0.25),
  fish: z._default(z.enum(FISH_GROUPS), 'perch'),
  /** What the app is for has been read. */
  isIntroduced: z._default(z.boolean(), false),
  /** Parts taken last, the last first: they stand first in every choice they fit. */
  recentParts: z._default(z.array(z.string().check(z.maxLength(120))).check(z.maxLength(20)), []),
  tank: z._default(tankSchema, USUAL_TANK),
});
export type Settings = z.infer<typeof settingsSchema>;

export const USUAL_SETTINGS: Settings = {
  system: 'metric',
  theme: 'auto',
  retrieve: { by: 'reel', turnsPerS: 1, linePerTurnM: 0.66, speedMps: 0.66, currentMps: 0 },
  slowedBy: 1,
  lastLure: null,
  screenPxPerMm: null,
  trueSize: false,
  fingers: { thumb: null, joint: null, span: null },
  tools: {},
  spoken: false,
  water: LAKE_WATER,
  outfit: USUAL_OUTFIT,
  countdownS: 0,
  soundVolume: 0.25,
  fish: 'perch',
  isIntroduced: false,
  recentParts: [],
  tank: USUAL_TANK,
};
