/** The lure against the rules the user has entered. */
import type { Edit } from '../edit';
import type { Finding, Repair } from '../finding';
import { ruleBreaches, type HookRule, type RuleBreach } from '../hook-rule';
import type { Build } from '../lure';

export function ruleFindings(build: Build, rules: readonly HookRule[]): Finding[] {
  return rules.flatMap((rule): Finding[] => {
    const breaches = ruleBreaches(build, rule);
    if (breaches.length === 0) {
      return [{ code: 'ruleKept', key: `ruleKept ${rule.id}`, severity: 'good', items: [], rule, repairs: [] }];
    }
    return breaches.map((breach) => ({
      code: 'ruleBroken',
      key: `ruleBroken ${rule.id} ${breach.of}`,
      severity: 'fault',
      items: breach.items,
      rule,
      breach,
      repairs: repairsOf(breach),
    }));
  });
}

function repairsOf({ of, items }: RuleBreach): Repair[] {
  if (of !== 'barbs') return [];
  const edits = items.map((item): Edit => ({ kind: 'adjust', item, changes: { pinched: true } }));
  return [{ code: 'pinchBarbs', count: items.length, edits }];
}
