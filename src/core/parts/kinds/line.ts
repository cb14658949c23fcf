import * as z from 'zod/mini';
import { breakingN, stockLengthM, thicknessM } from '../../schema';
import { common } from './common';
import { asMeasured, noItem, plain, roundStock, type KindRoom } from './room';

export const STIFFNESSES = ['limp', 'medium', 'stiff'] as const;

/** Line sold by the length; the mass is that of one stock length. A carrier is made of it: it is no item of a lure. */
export const lineSchema = z.strictObject({
  kind: z.literal('line'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
  /** What it carries without a knot, as its maker states it, N. */
  breakingN,
  /** How it feels between the fingers: stiff line seats worst in a knot. */
  stiffness: z.enum(STIFFNESSES),
});
export type Line = z.infer<typeof lineSchema>;

export const lineRoom: KindRoom<Line, null> = {
  ...asMeasured,
  ...plain,
  ...roundStock,
  ...noItem,
  words: ({ stiffness }) => [stiffness, 'leader'],
};
