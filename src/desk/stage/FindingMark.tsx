'use client';

import type { Finding } from '@/core/judgement/finding';
import type { Build } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { findingWords, SEVERITY_WORDS } from '@/words/finding-words';
import { pick } from '../desk-state';
import { SEVERITY_MARKS } from '../severity-marks';

export interface FindingMarkProps {
  readonly finding: Finding;
  readonly build: Build;
  readonly system: UnitSystem;
}

/** What is not in order, at the part it is about; pressed it picks that part. Its repair stands beside the drawing. */
export function FindingMark({ finding, build, system }: FindingMarkProps) {
  const { title, figure } = findingWords(finding, build, system);
  const { icon: Icon, look, word } = SEVERITY_MARKS[finding.severity];
  const about = finding.items[0];
  return (
    <button
      type="button"
      data-mark={finding.code}
      className={`flex max-w-60 items-start gap-1.5 rounded-md border px-2 py-1 text-left text-sm leading-snug ${look}`}
      onClick={() => about && pick(about)}
    >
      <Icon aria-hidden size={16} className={`mt-0.5 shrink-0 ${word}`} />
      <span>
        <span className="sr-only">{SEVERITY_WORDS[finding.severity]}: </span>
        {title} {figure}
      </span>
    </button>
  );
}
