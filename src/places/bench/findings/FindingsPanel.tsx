'use client';

import Check from 'lucide-react/icons/check';
import ChevronRight from 'lucide-react/icons/chevron-right';
import { TOUCHED_BY_BENDS, type Finding } from '@/core/judgement/finding';
import type { Mending } from '@/core/judgement/mending';
import { itemOf, type Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { findingWords, NO_REPAIR_WORDS, repairWords, SEVERITY_WORDS } from '@/words/finding-words';
import { partTitle } from '@/words/part-words';
import { pick, useDesk } from '@/desk/desk-state';
import { shownOf, useMendings } from '@/desk/figures/use-core';
import { change } from '@/desk/open-lure';
import { SEVERITY_MARKS } from '@/desk/severity-marks';

export interface FindingsPanelProps {
  readonly findings: readonly Finding[];
  readonly lure: Lure;
  readonly system: UnitSystem;
  readonly speedMps: number;
}

/** What is wrong, what to look at and what is in order; a repair is one press. */
export function FindingsPanel(props: FindingsPanelProps) {
  const { findings } = props;
  const inOrder = findings.filter(({ severity }) => severity === 'good');
  const isAllInOrder = inOrder.length === findings.length;
  // Under the hand what the bend can put wrong stays in sight.
  const isBending = useDesk(({ draft }) => draft?.edits.some(({ kind }) => kind === 'carrier') ?? false);
  const touched = isBending ? inOrder.filter(({ code }) => TOUCHED_BY_BENDS.has(code)) : [];
  return (
    <section aria-label="Findings" className="flex flex-col gap-1.5">
      <h2 className="sr-only">Findings</h2>
      <ul className="flex flex-col gap-1.5" aria-live="polite">
        {!isAllInOrder && <OpenFindings {...props} />}
      </ul>
      {touched.length > 0 && (
        <ul aria-label="What the bend touches" className="flex flex-col gap-1">
          {touched.map((finding) => (
            <InOrderRow key={finding.key} finding={finding} {...props} />
          ))}
        </ul>
      )}
      {inOrder.length > 0 && (
        <details className="group">
          <summary className="flex min-h-9 cursor-pointer list-none items-center gap-1.5 max-sm:min-h-11 pointer-coarse:min-h-11">
            <Check aria-hidden size={18} className="shrink-0 text-good" />
            {inOrder.length} {inOrder.length === 1 ? 'check' : 'checks'} in order
            <ChevronRight aria-hidden size={16} className="ml-auto shrink-0 text-ink-soft group-open:rotate-90" />
          </summary>
          <ul className="flex flex-col gap-1">
            {inOrder.map((finding) => (
              <InOrderRow key={finding.key} finding={finding} {...props} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

type RowProps = FindingsPanelProps & { readonly finding: Finding };

/** Where other parts have the like, the title says which one this is about. */
function wordsOf({ finding, findings, lure: { build }, system }: RowProps) {
  const words = findingWords(finding, build, system);
  const about = finding.items[0];
  const isOneOfSeveral = findings.some(
    (other) => other !== finding && other.code === finding.code && other.items[0] !== about,
  );
  if (!isOneOfSeveral || !about) return words;
  return { ...words, title: `${words.title} (${partTitle(itemOf(build, about).part)})` };
}

function InOrderRow(props: RowProps) {
  const { title, figure, why } = wordsOf(props);
  return (
    <li data-severity="good" className="pl-6 leading-snug">
      <p>
        <span className="sr-only">{SEVERITY_WORDS.good}: </span>
        {title} <span className="text-ink-soft">{figure}</span>
      </p>
      <p className="text-sm text-ink-soft">{why}</p>
    </li>
  );
}

/** The open findings, each with what would mend it. */
function OpenFindings(props: FindingsPanelProps) {
  const { findings, lure, speedMps } = props;
  const water = useDesk((state) => state.settings.water);
  const rules = useDesk((state) => state.rules);
  const { outfit, tank } = useDesk((state) => state.settings);
  const ownParts = useDesk((state) => state.ownParts);
  const asked = useMendings(lure, water, speedMps, rules, outfit, tank.bottomM, ownParts);
  // Of the lure before nothing is offered: what mended that may harm this. Asked again of the same lure, as when own parts
  // come in, what was found stays under the hand until more is known.
  const known = shownOf(asked);
  const found = known?.lure === lure ? known.mendings : null;
  return findings
    .filter(({ severity }) => severity !== 'good')
    .map((finding) => (
      <OpenRow key={finding.key} finding={finding} mending={found?.[finding.key] ?? null} {...props} />
    ));
}

/** Its mending is null while that is looked for. */
function OpenRow(props: RowProps & { readonly mending: Mending | null }) {
  const { finding, mending, system } = props;
  const { title, figure, why } = wordsOf(props);
  const about = finding.items[0];
  const { icon: Icon, look, word } = SEVERITY_MARKS[finding.severity];
  return (
    <li className={`rounded-md border-l-4 px-2.5 py-1.5 ${look}`} data-severity={finding.severity}>
      <p className={`flex items-center gap-1.5 text-sm font-semibold ${word}`}>
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
      <Repairs mending={mending} system={system} />
    </li>
  );
}

function Repairs({ mending, system }: { readonly mending: Mending | null; readonly system: UnitSystem }) {
  if (!mending) return <p className="mt-1 text-sm text-ink-soft">Looking for what would mend it…</p>;
  if (mending.none) return <p className="mt-1 text-sm">{NO_REPAIR_WORDS[mending.none]}</p>;
  return mending.repairs.map((repair) => (
    <Button
      key={repair.code}
      className="mt-1.5 w-full !justify-start py-1 text-left"
      onClick={() => change({ code: 'repair', repair: repair.code }, repair.edits)}
    >
      {repairWords(repair, system)}
    </Button>
  ));
}
