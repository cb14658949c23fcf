/** What the pieces of a lure are called by. */
import * as z from 'zod/mini';
import '../schema';

export const itemIdSchema = z
  .string()
  .check(z.regex(/^[a-zA-Z]+-[0-9]+$/, 'an item id like bead-2'), z.maxLength(40))
  .brand<'ItemId'>();
export type ItemId = z.infer<typeof itemIdSchema>;

export const lureIdSchema = z
  .string()
  .check(z.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'a lure id: small letters, digits and single hyphens'), z.maxLength(80))
  .brand<'LureId'>();
export type LureId = z.infer<typeof lureIdSchema>;

export const carrierIdSchema = z
  .string()
  .check(z.regex(/^[a-zA-Z]+-[0-9]+$/, 'a carrier id like wire-2'), z.maxLength(40))
  .brand<'CarrierId'>();
export type CarrierId = z.infer<typeof carrierIdSchema>;
