'use client';

import { useState, type FormEvent } from 'react';
import { lureRuleSchema, type LureRule } from '@/core/judgement/lure-rule';
import { Button } from '@/ui/Button';
import { PutBack } from '@/ui/PutBack';
import { Sheet } from '@/ui/Sheet';
import { useDesk } from '@/desk/desk-state';
import { putRule, removeRule } from '@/desk/own-things';

const FIELD = 'min-h-11 rounded-md border border-line bg-panel px-2.5 text-base text-ink';
const LABEL = 'flex flex-col gap-1 text-sm text-ink-soft';

/** The user's own table of rules about hooks and blades, with where and when each was read. */
export function RulesSheet({ onClose }: { readonly onClose: () => void }) {
  const rules = useDesk((state) => state.rules);
  const [gone, setGone] = useState<LureRule | null>(null);
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title="Your rules about hooks and blades"
      description="Enter what holds where you fish, as you read it. Every lure is then checked against it. None comes with Mazurka: the authority’s current text decides."
    >
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto">
        {gone && (
          <PutBack
            words={`The rule for ${gone.place} was taken out.`}
            onPutBack={() => void putRule(gone).then(() => setGone(null))}
          />
        )}
        {rules.length > 0 && (
          <ul className="flex flex-col gap-1.5" aria-label="Rules">
            {rules.map((rule) => (
              <li key={rule.id} className="flex items-start justify-between gap-3 rounded-md border border-line p-2.5">
                <div>
                  <p className="font-semibold">{rule.place}</p>
                  <p className="text-sm">{ruleInWords(rule)}</p>
                  <p className="text-sm text-ink-soft">
                    {rule.source}, looked at on {rule.onDay}
                  </p>
                </div>
                <Button
                  aria-label={`Take out the rule for ${rule.place}`}
                  onClick={() => void removeRule(rule).then(setGone)}
                >
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        )}
        <RuleForm key={rules.length} taken={rules} />
      </div>
    </Sheet>
  );
}

function ruleInWords({ mostHooks, mostPoints, mostBlades = null, barbless }: LureRule): string {
  const said = [
    mostHooks === null ? null : `at most ${mostHooks} ${mostHooks === 1 ? 'hook' : 'hooks'}`,
    mostPoints === null ? null : mostPoints === 1 ? 'single hooks only' : `at most ${mostPoints} points on a hook`,
    mostBlades === null ? null : `at most ${mostBlades} ${mostBlades === 1 ? 'blade' : 'blades'}`,
    barbless ? 'no barbs' : null,
  ].filter((each) => each !== null);
  return said.length > 0 ? said.join(', ') : 'nothing about hooks or blades';
}

function RuleForm({ taken }: { readonly taken: readonly LureRule[] }) {
  const [problem, setProblem] = useState<string | null>(null);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    const number = (name: string) => (text(name) === '' ? null : Number(text(name)));
    const parsed = lureRuleSchema.safeParse({
      id: freeRuleId(taken),
      place: text('place'),
      mostHooks: number('mostHooks'),
      mostPoints: number('mostPoints'),
      mostBlades: number('mostBlades'),
      barbless: data.get('barbless') !== null,
      source: text('source'),
      onDay: text('onDay'),
    });
    if (parsed.success) void putRule(parsed.data);
    else setProblem(PROBLEMS[String(parsed.error.issues[0]?.path[0])] ?? 'Something in it cannot be read.');
  };
  return (
    <form className="flex flex-col gap-3" onSubmit={submit} aria-label="A rule" noValidate>
      <label className={LABEL}>
        Water or district it holds for
        <input name="place" className={FIELD} maxLength={120} placeholder="Lake Hovna" />
      </label>
      <div className="grid grid-cols-2 gap-3">
        <label className={LABEL}>
          Most hooks on a lure
          <input name="mostHooks" inputMode="numeric" className={FIELD} placeholder="not said" />
        </label>
        <label className={LABEL}>
          Most points on a hook
          <select name="mostPoints" className={FIELD} defaultValue="">
            <option value="">not said</option>
            <option value="1">1: singles only</option>
            <option value="2">2</option>
            <option value="3">3</option>
          </select>
        </label>
        <label className={LABEL}>
          Most blades on a lure
          <input name="mostBlades" inputMode="numeric" className={FIELD} placeholder="not said" />
        </label>
      </div>
      <label className="flex min-h-11 items-center gap-2">
        <input type="checkbox" name="barbless" className="size-5 accent-accent" />
        No barbs, or barbs pinched flat
      </label>
      <div className="grid grid-cols-2 gap-3">
        <label className={LABEL}>
          Where you read it
          <input name="source" className={FIELD} maxLength={120} placeholder="Board at the landing" />
        </label>
        <label className={LABEL}>
          On the day
          <input name="onDay" type="date" className={FIELD} />
        </label>
      </div>
      {problem !== null && (
        <p role="alert" className="text-sm text-fault">
          {problem}
        </p>
      )}
      <Button type="submit" look="main">
        Add this rule
      </Button>
    </form>
  );
}

const PROBLEMS: Readonly<Record<string, string>> = {
  place: 'Say which water or district it holds for.',
  mostHooks: 'Most hooks on a lure: a whole number from 0 to 20, or nothing.',
  mostBlades: 'Most blades on a lure: a whole number from 0 to 20, or nothing.',
  source: 'Say where you read it, so that you can look again.',
  onDay: 'Give the day you read it: such texts change.',
};

function freeRuleId(taken: readonly LureRule[]): string {
  const numbers = taken.map(({ id }) => Number(id.replace('rule-', '')));
  return `rule-${Math.max(0, ...numbers) + 1}`;
}
