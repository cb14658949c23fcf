/**
 * The form of a bent wire, as a builder bends it: from where it leaves the head, straight lengths, bends and coils in
 * turn, then the arm that parts are threaded on, then its end. A bought frame is such a form with a head cast on.
 *
 * Headings are in the plane of the lure, from the tail direction, anticlockwise seen with the nose at the left: 0 runs to
 * the tail, a quarter turn straight up, half a turn to the nose. A bend of positive angle turns anticlockwise. A bend out
 * of that plane stands beside it as `sideRad`, to the far side of that view.
 */
import * as z from 'zod/mini';
import { partLengthM, wireLengthM } from '../schema';

const angleRad = z.number().check(z.minimum(-2 * Math.PI), z.maximum(2 * Math.PI));
const sideRad = z.number().check(z.minimum(-Math.PI / 2), z.maximum(Math.PI / 2));

export const sectionSchema = z.discriminatedUnion('section', [
  z.strictObject({ section: z.literal('straight'), lengthM: wireLengthM }),
  z.strictObject({
    section: z.literal('bend'),
    angleRad,
    /** How far it is twisted out of the plane. A bend as it should be has 0. */
    sideRad,
    /** Inside radius, m. */
    insideRadiusM: partLengthM,
    /** The line is tied in this bend. */
    isTie: z.boolean(),
  }),
  /** A closed line tie: whole turns of wire, after which the heading is as before. */
  z.strictObject({
    section: z.literal('coil'),
    insideDiameterM: partLengthM,
    turns: z.int().check(z.minimum(1), z.maximum(4)),
  }),
]);
export type Section = z.infer<typeof sectionSchema>;

export const KNOTS = ['clinch', 'palomar'] as const;

export const wireEndSchema = z.discriminatedUnion('form', [
  z.strictObject({ form: z.literal('plain') }),
  z.strictObject({
    form: z.literal('wrappedLoop'),
    insideDiameterM: partLengthM,
    turns: z.number().check(z.minimum(0.5), z.maximum(3)),
    wraps: z.number().check(z.minimum(0), z.maximum(12)),
    /** Left over behind the last wrap and clipped, m. */
    tagM: wireLengthM,
  }),
  /** A round bend without wraps; `gapM` is what is left open between its end and the wire, 0 when closed. */
  z.strictObject({ form: z.literal('bentLoop'), insideDiameterM: partLengthM, gapM: wireLengthM }),
  /** The end turned down square behind what is threaded. */
  z.strictObject({ form: z.literal('bentOver'), lengthM: partLengthM }),
  /** Of a line: tied to what hangs there. A clinch turns its end about itself so often; a palomar is tied with the line doubled. */
  z.strictObject({
    form: z.literal('knot'),
    knot: z.enum(KNOTS),
    turns: z.int().check(z.minimum(1), z.maximum(12)),
    tagM: wireLengthM,
  }),
  /** Of a line: a loop knotted in its end, so long inside when it is drawn straight. */
  z.strictObject({ form: z.literal('tiedLoop'), insideM: partLengthM, tagM: wireLengthM }),
]);
export type WireEnd = z.infer<typeof wireEndSchema>;

export const wireFormSchema = z.strictObject({
  /** Heading in which the wire leaves the head. */
  startRad: angleRad,
  sections: z.array(sectionSchema).check(z.maxLength(30)),
  /** The last straight, up to the end's loop: parts are threaded on it. */
  armM: wireLengthM,
  tail: wireEndSchema,
});
export type WireForm = z.infer<typeof wireFormSchema>;
