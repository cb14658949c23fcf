'use client';

import { useRef, useState } from 'react';
import { kitFor, type KitPart } from '@/core/make/kit';
import type { Tool } from '@/core/make/operation-rule';
import { begin, type Run, type ToMake } from '@/core/make/run';
import { showLength, type UnitSystem } from '@/core/units/write';
import type { Settings } from '@/data/settings';
import { LurePicture } from '@/drawing/LurePicture';
import { PartPortrait } from '@/drawing/PartPortrait';
import { useSize } from '@/ui/use-media';
import { SUPPLY_WORDS, TOOL_WORDS } from '@/words/tool-words';
import { partLine, partTitle } from '@/words/part-words';
import { FingersSheet } from './FingersSheet';
import { useHandsFree } from './hands-free';
import { BIG } from './looks';
import { changeRun, changeSettings, startNew, useMake, type Planned } from './make-store';
import { RunsUnderWay } from './UnderWay';

export interface BeforeProps {
  readonly lure: ToMake;
  readonly plan: Planned;
  readonly underWay: readonly Run[];
  /** Begun already, and gone back to its first page; null before it is begun. */
  readonly run: { readonly run: Run; readonly names: readonly string[] } | null;
}

/** Which tools, where they lie, what is missing; the parts in the order in which they are used. */
export function Before({ lure, plan, underWay, run }: BeforeProps) {
  const settings = useMake((state) => state.settings);
  const [hand, setHand] = useState(false);
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  const { tools, supplies, parts } = kitFor(plan.steps);
  const missing = tools.filter((tool) => settings.tools[tool]?.isMissing);
  const isGoing = useRef(false);
  const go = async () => {
    if (run) return changeRun((each) => begin(each, run.names));
    // Pressed again before the first step stands: once is enough.
    if (isGoing.current) return;
    isGoing.current = true;
    await startNew(lure);
    isGoing.current = false;
    const { make } = useMake.getState();
    if (make.state === 'run') changeRun((each) => begin(each, make.names));
  };
  useHandsFree({ onNext: () => void go() });
  return (
    <div className="flex min-h-dvh flex-col">
      <main className="mx-auto flex w-full max-w-6xl flex-1 flex-col gap-5 p-4 pb-8">
        <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 className="text-3xl font-bold">Make {lure.name}</h1>
          <p className="text-xl">
            {plan.steps.length} steps, about {Math.max(5, Math.round(plan.minutes / 5) * 5)} minutes
          </p>
        </header>
        <RunsUnderWay runs={underWay} />
        <div ref={stage} className="flex justify-center rounded-lg bg-stage">
          {size && (
            <LurePicture
              build={lure.build}
              width={size.width}
              height={190}
              scale={9}
              label={`${lure.name}, as it will be`}
            />
          )}
        </div>
        <div className="grid gap-6 lg:grid-cols-2">
          <section aria-label="Tools" className="flex flex-col gap-2">
            <h2 className="text-2xl font-semibold">Tools to hand</h2>
            <ul className="flex flex-col gap-2">
              {tools.map((tool) => (
                <ToolRow key={tool} tool={tool} known={settings.tools[tool] ?? null} all={settings.tools} />
              ))}
            </ul>
            <p className="text-lg">
              <span className="font-semibold">Also:</span> {supplies.map((each) => SUPPLY_WORDS[each]).join(', ')}.
            </p>
            <div className="flex flex-wrap gap-2">
              <button type="button" className={BIG.plain} onClick={() => setHand(true)}>
                Measures of your hand
              </button>
              <button
                type="button"
                className={BIG.plain}
                aria-pressed={settings.spoken}
                onClick={() => changeSettings({ spoken: !settings.spoken })}
              >
                {settings.spoken ? 'Steps are spoken' : 'Speak the steps'}
              </button>
            </div>
          </section>
          <section aria-label="Parts" className="flex flex-col gap-2">
            <h2 className="text-2xl font-semibold">Parts, in the order you need them</h2>
            <ol className="flex flex-col">
              {parts.map((each) => (
                <PartRow key={`${each.part.id} ${each.step}`} kit={each} system={settings.system} />
              ))}
            </ol>
          </section>
        </div>
      </main>
      <footer data-stays className="sticky bottom-0 flex items-center gap-3 border-t-2 border-line bg-panel p-3">
        <a className={BIG.plain} href={`/bench?lure=${lure.id}`}>
          To the bench
        </a>
        <p role="status" className="flex-1 text-lg text-caution">
          {missing.length > 0 && `⚠ Missing: ${missing.map((tool) => TOOL_WORDS[tool]).join(', ')}`}
        </p>
        <button
          type="button"
          className={`${underWay.length > 0 ? BIG.plain : BIG.main} px-8 text-xl`}
          onClick={() => void go()}
        >
          {run ? 'Go on' : underWay.length > 0 ? 'Begin another' : 'All here: begin'}
        </button>
      </footer>
      {hand && <FingersSheet onClose={() => setHand(false)} />}
    </div>
  );
}

type Known = NonNullable<Settings['tools'][Tool]>;

function ToolRow({
  tool,
  known,
  all,
}: {
  readonly tool: Tool;
  readonly known: Known | null;
  readonly all: Settings['tools'];
}) {
  const { place, isMissing } = known ?? { place: '', isMissing: false };
  const set = (changes: Partial<Known>) =>
    changeSettings({ tools: { ...all, [tool]: { place, isMissing, ...changes } } });
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line pb-2">
      <span className="w-full text-lg font-semibold sm:w-44 sm:flex-1">{TOOL_WORDS[tool]}</span>
      <input
        aria-label={`Where the ${TOOL_WORDS[tool]} lies`}
        placeholder="where it lies"
        className="min-h-14 w-40 flex-1 rounded-lg border-2 border-line bg-panel px-3 text-lg placeholder:text-ink-soft"
        defaultValue={place}
        maxLength={80}
        onBlur={(event) => event.target.value !== place && set({ place: event.target.value })}
      />
      <button
        type="button"
        aria-label={`${TOOL_WORDS[tool]} is missing`}
        aria-pressed={isMissing}
        className={`${BIG.plain} w-28`}
        onClick={() => set({ isMissing: !isMissing })}
      >
        {isMissing ? '✕ missing' : '✓ here'}
      </button>
    </li>
  );
}

function PartRow({ kit, system }: { readonly kit: KitPart; readonly system: UnitSystem }) {
  const { part, items, cutM } = kit;
  return (
    <li className="flex items-center gap-3 border-b border-line py-1.5">
      <span className="measure w-10 shrink-0 text-right text-lg">{Math.max(items.length, 1)} ×</span>
      <PartPortrait part={part} width={84} height={44} scale={4} />
      <span className="flex min-w-0 flex-col">
        <span className="text-lg font-semibold">{partTitle(part)}</span>
        <span>
          {partLine(part, system)}
          {cutM === null ? '' : `, to cut ${showLength(cutM, system)}`}
        </span>
      </span>
    </li>
  );
}
