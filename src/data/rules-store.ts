/** The user's own rules about hooks and blades: a small table. */
import { liveQuery } from 'dexie';
import { lureRuleSchema, type LureRule } from '../core/judgement/lure-rule';
import type { MazurkaDatabase } from './database';
import { StorageError } from './failure';
import { guarded, readable, type Stored } from './guarded';

const MOST_RULES = 500;

export class RulesStore {
  constructor(private readonly database: MazurkaDatabase) {}

  put(rule: LureRule): Promise<Stored<void>> {
    const { rules } = this.database;
    return guarded(this.database, () =>
      this.database.transaction('rw', rules, async () => {
        const kept = readable(lureRuleSchema, rule, 'rule');
        if ((await rules.count()) >= MOST_RULES && !(await rules.get(kept.id)))
          throw new StorageError({ code: 'tooMany', of: 'rule', most: MOST_RULES });
        await rules.put({ id: kept.id, rule: kept });
      }),
    );
  }

  remove(id: string): Promise<Stored<void>> {
    return guarded(this.database, async () => {
      await this.database.rules.delete(id);
    });
  }

  /** Calls back with the readable rules, now and after every change in this tab or another. */
  watch(onChange: (rules: readonly LureRule[]) => void): () => void {
    const subscription = liveQuery(() => this.database.rules.toArray()).subscribe({
      next: (rows) =>
        onChange(
          rows.flatMap(({ rule }) => {
            const parsed = lureRuleSchema.safeParse(rule);
            return parsed.success ? [parsed.data] : [];
          }),
        ),
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }
}
