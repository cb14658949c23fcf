/** The lure against the rules the user has entered. */
import type { Edit } from '../../lure/edit';
import { noRepairs, type Finding, type Repair } from '../finding';
import { ruleBreaches, type LureRule, type RuleBreach } from '../lure-rule';
import { takeOff } from '../../lure/editing';
import { stateOf } from '../../lure/item-state';
import { itemOf, type Build, type ItemId } from '../../lure/lure';

/** The lure against each rule: broken or kept. */
export function ruleFindings(build: Build, rules: readonly LureRule[]): Finding[] {
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
    // A stinger is what can go without changing the lure.
    const stinger = items.map((id) => stingerOf(build, id)).find((id) => id !== null);
    return stinger ? [{ code: 'takeOffStinger', edits: [takeOff(build, stinger)] }] : [];
  }
  if (of !== 'barbs') return [];
  const edits = items.map((item): Edit => ({
    kind: 'adjust',
    item,
    changes: { state: { ...stateOf(itemOf(build, item), 'hook'), pinched: true } },
  }));
  return [{ code: 'pinchBarbs', count: items.length, edits }];
}

/** What goes with a hook that hangs on another: itself, or the link it hangs by; null for any other hook. */
function stingerOf(build: Build, id: ItemId): ItemId | null {
  const { seat } = itemOf(build, id);
  if (seat.on !== 'item') return null;
  const { kind } = itemOf(build, seat.item).part;
  return kind === 'hook' ? id : kind === 'link' ? seat.item : null;
}
