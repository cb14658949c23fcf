import * as z from 'zod/mini';
import { formedLength } from '../formed-wire';
import { wireMass } from '../stock';
import { wireFormSchema } from '../wire-form';
import { common } from './common';
import { headRoom, headSchema } from './head';
import { hookRoom, hookSchema } from './hook';
import { asMeasured, noWords, plain, type KindRoom, noItem } from './room';
import { wireRoom, wireSchema } from './wire';

/** A bought frame: its wire formed, its head cast on with the hook in it, its end loop still open. */
export const frameSchema = z.strictObject({
  kind: z.literal('frame'),
  ...common,
  wire: wireSchema,
  form: wireFormSchema,
  head: headSchema,
  hook: hookSchema,
});
export type Frame = z.infer<typeof frameSchema>;

/** Taken as a carrier with a head and a hook: it is no item of a lure. */
export const frameRoom: KindRoom<Frame, null> = {
  ...asMeasured,
  ...plain,
  ...noItem,
  radiusM: ({ head }) => headRoom.radiusM(head),
  geometricKg: ({ head, hook, wire, form }) =>
    headRoom.geometricKg(head) + hookRoom.geometricKg(hook) + wireMass(wire, formedLength(form, wire.diameterM)),
  smaller: ({ wire, head, hook }) => [...wireRoom.smaller(wire), ...headRoom.smaller(head), ...hookRoom.smaller(hook)],
  telling: ({ wire }) => [wire.diameterM],
  words: noWords,
};
