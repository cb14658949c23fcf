/** The lure against the rules the user has entered. */
import type { Edit } from '../../lure/edit';
import { noRepairs, type Finding, type Repair } from '../finding';
import { ruleBreaches, type HookRule, type RuleBreach } from '../hook-rule';
import { takeOff } from '../../lure/editing';
import type { Build, ItemId } from '../../lure/lure';

/** The lure against each rule: broken or kept. */
export function ruleFindings(build: Build, rules: readonly HookRule[]): Finding[] {
  return rules.flatMap((rule): Finding[] => {
    const breaches = ruleBreaches(build, rule);
    if (breaches.length === 0) {
      return [{ code: 'ruleKept', key: `ruleKept ${rule.id}`, severity: 'good', items: [], rule, repairs: noRepairs }];
    }
    return breaches.map((breach) => ({
      code: 'ruleBroken',
      key: `ruleBroken ${rule.id} ${breach.of}`,
      severity: 'fault',
      items: breach.items,
      rule,
      breach,
      repairs: () => repairsOf(build, breach),
    }));
  });
}

function repairsOf(build: Build, { of, items }: RuleBreach): Repair[] {
  if (of === 'hooks') {
    // A stinger is the hook that can go without changing the lure.
    const stinger = items.find((id) => isStinger(build, id));
    return stinger ? [{ code: 'takeOffStinger', edits: [takeOff(build, stinger)] }] : [];
  }
  if (of !== 'barbs') return [];
  const edits = items.map((item): Edit => ({
    kind: 'adjust',
    item,
    changes: { state: { of: 'hook', pinched: true } },
  }));
  return [{ code: 'pinchBarbs', count: items.length, edits }];
}

function isStinger(build: Build, id: ItemId): boolean {
  const seat = build.items[id]?.seat;
  return seat?.on === 'item' && build.items[seat.item]?.part.kind === 'hook';
}
