/**
 * A rule about hooks and blades as the user entered it from the text that holds where they fish. None ships with the app; what is
 * said of a lure is said against the user's own entry, and the authority's current text decides.
 */
import * as z from 'zod/mini';
import { daySchema, shortText } from '../schema';
import { stateOf } from '../lure/item-state';
import type { Build, Item, ItemId } from '../lure/lure';
import type { Hook } from '../parts/kinds/hook';
import type { Part } from '../parts/part';

export const lureRuleSchema = z.strictObject({
  id: z.string().check(z.regex(/^rule-[0-9]+$/, 'a rule id like rule-2'), z.maxLength(40)),
  /** The water or district it holds for. */
  place: shortText,
  /** Most hooks on one lure; null when the rule does not say. */
  mostHooks: z.nullable(z.int().check(z.minimum(0), z.maximum(20))),
  /** Most points on one hook: 1 allows no trebles. */
  mostPoints: z.nullable(z.int().check(z.minimum(1), z.maximum(3))),
  /** Most blades on one lure; absent or null when the rule does not say. */
  mostBlades: z.optional(z.nullable(z.int().check(z.minimum(0), z.maximum(20)))),
  /** Barbs must be pressed flat or absent. */
  barbless: z.boolean(),
  /** Where the user read it. */
  source: shortText,
  /** The day the text was looked at. */
  onDay: daySchema,
});
export type LureRule = z.infer<typeof lureRuleSchema>;

export type RuleBreach =
  | { readonly of: 'hooks'; readonly found: number; readonly most: number; readonly items: readonly ItemId[] }
  | { readonly of: 'blades'; readonly found: number; readonly most: number; readonly items: readonly ItemId[] }
  | { readonly of: 'points'; readonly found: number; readonly most: number; readonly items: readonly ItemId[] }
  | { readonly of: 'barbs'; readonly items: readonly ItemId[] };

/** Where this build goes beyond the rule; empty when it keeps it. */
export function ruleBreaches(build: Build, rule: LureRule): RuleBreach[] {
  const hooks = hooksOf(build);
  const breaches: RuleBreach[] = [];
  if (rule.mostHooks !== null && hooks.length > rule.mostHooks) {
    breaches.push({ of: 'hooks', found: hooks.length, most: rule.mostHooks, items: hooks.map(({ id }) => id) });
  }
  const { mostPoints, mostBlades = null } = rule;
  const blades = Object.values(build.items).filter(({ part }) => BLADES.has(part.kind));
  if (mostBlades !== null && blades.length > mostBlades) {
    breaches.push({ of: 'blades', found: blades.length, most: mostBlades, items: blades.map(({ id }) => id) });
  }
  if (mostPoints !== null) {
    const many = hooks.filter(({ part }) => part.points > mostPoints);
    const found = Math.max(0, ...many.map(({ part }) => part.points));
    if (many.length > 0) breaches.push({ of: 'points', found, most: mostPoints, items: many.map(({ id }) => id) });
  }
  const barbed = hooks.filter((hook) => hook.part.barb && !stateOf(hook, 'hook').pinched);
  if (rule.barbless && barbed.length > 0) breaches.push({ of: 'barbs', items: barbed.map(({ id }) => id) });
  return breaches;
}

const BLADES: ReadonlySet<Part['kind']> = new Set(['blade', 'deltaBlade', 'filmBlade']);

function hooksOf(build: Build): (Item & { readonly part: Hook })[] {
  return Object.values(build.items).filter((item): item is Item & { part: Hook } => item.part.kind === 'hook');
}
