/** What a change was for, as coded data; the words are written where it is shown. */
import * as z from 'zod/mini';
import { shortText } from '../schema';

export const CHANGE_CODES = [
  'rename',
  'nameHook',
  'swap',
  'add',
  'takeWire',
  'move',
  'takeOff',
  'turn',
  'legForward',
  'legBack',
  'repair',
  'freeRoom',
  'loop',
  'arm',
  'straight',
  'bend',
  'twist',
  'bendRadius',
  'straighten',
  'tie',
  'fold',
  'barb',
  'tube',
  'swivel',
  'rivet',
  'collar',
  'tips',
  'cutTrailer',
  'threadTrailer',
  'buryPoint',
  'roundTrailer',
  'slideTube',
  'snell',
  'slideStop',
  'link',
  'threadBait',
  'lineLength',
  'knot',
  'tieBehind',
  'untieBehind',
  'clack',
  'nail',
  'moveEye',
  'lock',
  'keepVersion',
  'goBackToVersion',
  'forgetVersion',
  'note',
  'noteVersion',
  'keepReading',
  'forgetReading',
  'markMade',
  'markNotMade',
  'use',
  'tune',
] as const;
export type ChangeCode = (typeof CHANGE_CODES)[number];

/** A code alone, or with the part it put in or the repair it was. */
export const changeNameSchema = z.union([
  z.enum(CHANGE_CODES),
  z.strictObject({
    code: z.enum(CHANGE_CODES),
    /** Name of the part. */
    part: z.optional(shortText),
    /** Code of the repair. */
    repair: z.optional(z.string().check(z.regex(/^[a-zA-Z]{1,40}$/, 'the code of a repair'))),
  }),
]);
export type ChangeName = z.infer<typeof changeNameSchema>;

/** As a change stands in a history: those of before 2026-12 were kept by words. */
export const keptNameSchema = z.union([changeNameSchema, shortText]);
export type KeptName = z.infer<typeof keptNameSchema>;
