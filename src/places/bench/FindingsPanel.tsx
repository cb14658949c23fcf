'use client';

import Check from 'lucide-react/icons/check';
import OctagonX from 'lucide-react/icons/octagon-x';
import TriangleAlert from 'lucide-react/icons/triangle-alert';
import { useDeferredValue, useMemo } from 'react';
import type { Finding } from '@/core/judgement/finding';
import { itemOf, type Build } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { findingWords, repairWords, SEVERITY_WORDS } from '@/words/finding-words';
import { partTitle } from '@/words/part-words';
import { pick } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';

const MARKS = {
  fault: { icon: OctagonX, look: 'border-fault bg-fault-soft', word: 'text-fault' },
  caution: { icon: TriangleAlert, look: 'border-caution bg-caution-soft', word: 'text-caution' },
  good: { icon: Check, look: 'border-transparent', word: 'text-good' },
} as const;

export interface FindingsPanelProps {
  readonly findings: readonly Finding[];
  readonly build: Build;
  readonly system: UnitSystem;
}

/** What is wrong, what to look at and what is in order; a repair is one press. */
export function FindingsPanel({ findings, build, system }: FindingsPanelProps) {
  const open = findings.filter(({ severity }) => severity !== 'good').length;
  return (
    <section aria-label="Findings" className="flex flex-col gap-2">
      <h2 className="text-lg font-semibold">
        Findings{' '}
        <span className="text-base font-normal text-ink-soft">{open === 0 ? 'all in order' : `${open} open`}</span>
      </h2>
      <ul className="flex flex-col gap-1.5" aria-live="polite">
        {findings.map((finding) => (
          <FindingRow
            key={finding.key}
            finding={finding}
            build={build}
            system={system}
            isOneOfSeveral={findings.some(
              (other) => other !== finding && other.code === finding.code && other.items[0] !== finding.items[0],
            )}
          />
        ))}
      </ul>
    </section>
  );
}

function FindingRow({
  finding,
  build,
  system,
  isOneOfSeveral,
}: {
  readonly finding: Finding;
  readonly build: Build;
  readonly system: UnitSystem;
  /** Other parts have the like: say which one this is about. */
  readonly isOneOfSeveral: boolean;
}) {
  const words = findingWords(finding, build, system);
  const { figure, why } = words;
  const about = finding.items[0];
  const title = isOneOfSeveral && about ? `${words.title} (${partTitle(itemOf(build, about).part)})` : words.title;
  const { icon: Icon, look, word } = MARKS[finding.severity];
  if (finding.severity === 'good') {
    return (
      <li data-severity="good">
        <details>
          <summary className="flex min-h-9 max-sm:min-h-11 pointer-coarse:min-h-11 cursor-pointer items-start gap-1.5 py-1 leading-snug">
            <Icon aria-hidden size={17} className={`mt-0.5 shrink-0 ${word}`} />
            <span>
              <span className="sr-only">{SEVERITY_WORDS.good}: </span>
              {title} <span className="text-ink-soft">{figure}</span>
            </span>
          </summary>
          <p className="pb-1 pl-6 text-sm text-ink-soft">{why}</p>
        </details>
      </li>
    );
  }
  return (
    <li className={`rounded-md border-l-4 px-2.5 py-1.5 ${look}`} data-severity={finding.severity}>
      <p className={`flex items-center gap-1.5 text-xs font-semibold ${word}`}>
        <Icon aria-hidden size={15} /> {SEVERITY_WORDS[finding.severity]}
      </p>
      <p className="leading-snug font-semibold">
        {about ? (
          <button type="button" className="text-left underline-offset-4 hover:underline" onClick={() => pick(about)}>
            {title}
          </button>
        ) : (
          title
        )}
      </p>
      {figure !== '' && <p className="text-sm">{figure}</p>}
      <p className="text-sm text-ink-soft">{why}</p>
      <Repairs finding={finding} system={system} />
    </li>
  );
}

/** Looking for a repair takes longer than judging: it follows behind the hand. */
function Repairs({ finding, system }: { readonly finding: Finding; readonly system: UnitSystem }) {
  const asked = useDeferredValue<Finding | null>(finding, null);
  const repairs = useMemo(() => asked?.repairs() ?? [], [asked]);
  return repairs.map((repair) => (
    <Button
      key={repair.code}
      className="mt-1.5 w-full !justify-start py-1 text-left"
      disabled={asked !== finding}
      onClick={() => change({ code: 'repair', repair: repair.code }, repair.edits)}
    >
      {repairWords(repair, system)}
    </Button>
  ));
}
